/** Codes of everything the core refuses. The sentences for them live in `words/`. */
export type CoreErrorCode =
  | 'out-of-range'
  | 'not-understood'
  | 'unknown-name'
  | 'cannot-work'

/**
 * A refusal of the core: data, not a sentence.
 *
 * @param code what kind of refusal it is
 * @param path where: the function and the argument, such as `cupVolumeMl.fullG`
 * @param limits what would have been accepted, or what was given
 * @example new CoreError('out-of-range', 'cupVolumeMl.fullG', { given: 0, min: 1, max: 20000 })
 */
export class CoreError extends Error {
  constructor(
    readonly code: CoreErrorCode,
    readonly path: string,
    readonly limits: Readonly<Record<string, number | string>> = {},
  ) {
    super(`${code} at ${path} ${JSON.stringify(limits)}`)
    this.name = 'CoreError'
  }
}
