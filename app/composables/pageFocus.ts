import { nextTick } from 'vue'

/**
 * Takes the keyboard and the screen reader along to a new page: its main part has the focus, as if one had opened it anew.
 *
 * @param router of the app
 */
export function usePageFocus(router: { afterEach(guard: (to: { readonly path: string }, from: { readonly path: string, readonly matched: readonly unknown[] }) => void): void }): void {
  router.afterEach((to, from) => {
    // The first page has the focus of the browser already; a change of the query alone is no new page.
    if (from.matched.length === 0 || to.path === from.path) return
    void nextTick(() => setTimeout(() => {
      const main = document.getElementById('main')
      if (!main || main.contains(document.activeElement)) return
      main.tabIndex = -1
      main.focus({ preventScroll: true })
    }, 0))
  })
}
