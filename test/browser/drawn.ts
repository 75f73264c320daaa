import { expect, type Page } from '@playwright/test'

/**
 * Waits until a page stands as it will: its fonts are there, what moves has come to rest, and nothing has changed its
 * size between two looks.
 *
 * @param page the page
 */
export async function drawn(page: Page): Promise<void> {
  await page.evaluate(async () => {
    await document.fonts.ready
    const ends = document.getAnimations().filter(one => one.effect?.getComputedTiming().iterations !== Infinity)
    await Promise.allSettled(ends.map(one => one.finished))
  })
  let before = ''
  await expect.poll(async () => {
    const now = await page.evaluate(() => {
      const { scrollWidth, scrollHeight } = document.documentElement
      return `${scrollWidth} ${scrollHeight} ${document.querySelectorAll('*').length}`
    })
    const stands = now === before
    before = now
    return stands
  }, { intervals: [100] }).toBe(true)
}
