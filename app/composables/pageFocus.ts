type Guard = (
  to: { readonly path: string },
  from: { readonly path: string, readonly matched: readonly unknown[] },
) => void

/**
 * Takes the keyboard and the screen reader along to a new page: its main part has the focus, as if one had opened it
 * anew.
 *
 * @param router of the app
 * @param onShown hears whenever a page has taken the place of another: until then the old one still stands
 */
export function usePageFocus(router: { afterEach(guard: Guard): void }, onShown: (shown: () => void) => void): void {
  let toPage = false
  router.afterEach((to, from) => {
    // The first page has the focus of the browser already; a change of the query alone is no new page.
    toPage = from.matched.length > 0 && to.path !== from.path
  })
  onShown(() => {
    if (!toPage) return
    toPage = false
    setTimeout(() => {
      const main = document.getElementById('main')
      if (!main || main.contains(document.activeElement)) return
      main.tabIndex = -1
      main.focus({ preventScroll: true })
    }, 0)
  })
}
