import type { Page } from '@playwright/test'

/** Counts shifts of layout that no hand caused, added up as they come; read with `shiftsOf`. */
export const COUNT_SHIFTS = `window.shifted = 0; new PerformanceObserver(list => { for (const one of list.getEntries()) if (!one.hadRecentInput) window.shifted += one.value }).observe({ type: 'layout-shift', buffered: true })`

/** What has moved since the page began to come, as web.dev's cumulative layout shift adds it up. */
export const shiftsOf = (page: Page): Promise<number> =>
  page.evaluate(() => (window as unknown as { shifted: number }).shifted)

/** A finger hits from this on, px (WCAG 2.2, 2.5.5); at the fire it is wet, greasy, and at arm's length. */
const FINGER = 44
export const AT_THE_FIRE_PX = 56

/**
 * What can be touched and is smaller than a finger, in a page as it stands. A link within a sentence is as high as its
 * line, and handles of drawings have their own reach.
 *
 * @param page it stands on
 * @param least px
 * @returns each by tag, name and size
 */
export async function tooSmall(page: Page, least = FINGER): Promise<string[]> {
  return page.evaluate((finger) => {
    const shown = (one: Element): boolean =>
      one.checkVisibility({ visibilityProperty: true, opacityProperty: true }) && one.getBoundingClientRect().width > 2
    const reach = (one: Element): DOMRect =>
      (one.matches('input, textarea')
        ? (one.closest('.el-input__wrapper, .el-select__wrapper, .el-radio-button, .el-checkbox, .el-switch') ?? one)
        : one
      ).getBoundingClientRect()
    return [
      ...document.querySelectorAll(
        'button, a[href], input, textarea, [role="tab"], [role="button"], [role="switch"], [role="menuitem"], [role="option"]',
      ),
    ].flatMap(one => {
      if (!shown(one) || one.closest('svg') || (one.matches('a') && getComputedStyle(one).display === 'inline'))
        return []
      const { width, height } = reach(one)
      return height < finger - 0.5 || width < finger / 2
        ? [
            `${one.tagName.toLowerCase()} “${(one.getAttribute('aria-label') ?? one.textContent).trim().slice(0, 40)}” ${Math.round(width)} by ${Math.round(height)}`,
          ]
        : []
    })
  }, least)
}

/**
 * Words that reach beyond the right edge of the window, where nothing can be moved to read them. What is chosen in a
 * field is whole in its list.
 *
 * @param page it stands on
 * @returns the beginning of each
 */
export async function cutOff(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const canBeMoved = (one: Element | null): boolean =>
      one !== null && (/auto|scroll/.test(getComputedStyle(one).overflowX) || canBeMoved(one.parentElement))
    const walker = document.createTreeWalker(document.querySelector('main')!, NodeFilter.SHOW_TEXT)
    const found: string[] = []
    const range = document.createRange()
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const text = node.textContent?.trim() ?? ''
      const parent = node.parentElement!
      if (
        text === ''
        || !parent.checkVisibility({ visibilityProperty: true })
        || parent.closest('svg, .visually-hidden, .el-tabs__nav-scroll, .el-select__selected-item')
      )
        continue
      range.selectNodeContents(node)
      const { right, width } = range.getBoundingClientRect()
      if (width > 0 && right > window.innerWidth + 1 && !canBeMoved(parent)) found.push(text.slice(0, 60))
    }
    return found
  })
}
