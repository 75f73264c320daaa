import { nextTick, watch, type Ref } from 'vue'

/**
 * Leads into a panel that opens on a page, and back to where it was opened from: the focus goes to its heading, which
 * comes into sight, and on closing to the button that opened it.
 *
 * @param panel the element that holds it, or null while it is closed
 * @param opened what is open; nothing where all is closed
 */
export function useOpenedPanel(panel: Readonly<Ref<HTMLElement | null>>, opened: () => unknown): void {
  let opener: HTMLElement | null = null
  watch(opened, async (now, before) => {
    if (!now) {
      await nextTick()
      // Who has gone on elsewhere meanwhile is left there.
      if (opener?.isConnected && (document.activeElement === document.body || document.activeElement === null))
        opener.focus()
      opener = null
      return
    }
    if (!before && document.activeElement instanceof HTMLElement && document.activeElement !== document.body)
      opener = document.activeElement
    await nextTick()
    const heading = panel.value?.querySelector<HTMLElement>('h1, h2, h3') ?? panel.value
    if (!heading) return
    heading.tabIndex = -1
    heading.focus({ preventScroll: true })
    heading.scrollIntoView({ block: 'nearest' })
  })
}
