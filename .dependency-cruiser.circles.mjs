import rooms from './.dependency-cruiser.mjs'

/** Folders of the core in circles, of values or of types; what is tried beside them does not count. */
export default {
  forbidden: [{ name: 'no-circles-of-folders', scope: 'folder', severity: 'error', from: {}, to: { circular: true } }],
  options: { ...rooms.options, exclude: { path: `${rooms.options.exclude.path}|\\.test\\.ts$|^(book|test)/` } },
}
