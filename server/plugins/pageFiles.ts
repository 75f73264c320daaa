import { defineNitroPlugin } from 'nitropack/runtime'
import { PAGE_FILES } from '#page-files'

const pages = PAGE_FILES.map(({ path, scripts, styles }) => ({
  address: new RegExp(path),
  links: [
    ...scripts.map(file => `<link rel="modulepreload" as="script" crossorigin href="/_nuxt/${file}">`),
    ...styles.map(file => `<link rel="preload" as="style" crossorigin href="/_nuxt/${file}">`),
  ],
}))

/**
 * Names the files of the asked page in its shell: they are on their way while the first script is still being read, and
 * not only once it has found out which page it stands on.
 */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('render:html', (html, { event }) => {
    const [path = ''] = event.path.split('?')
    html.head.push(...pages.find(one => one.address.test(path))?.links ?? [])
  })
})
