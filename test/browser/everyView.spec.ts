import { drawn } from './drawn'
import type { Page } from '@playwright/test'
import { nothingSerious } from './accessible'
import { expect, test } from './hearth'
import { COUNT_SHIFTS, cutOff, shiftsOf, tooSmall } from './standing'
import { AT_THE_FIRE, pageFiles, VIEWS, type View } from './views'

test.use({ shared: true })

/** Letters are there from the second page on: what is asked here is what the views themselves move. */
const MOST_SHIFTED = 0.05
/** A window of 1280 by 1024 enlarged fourfold (WCAG 2.2, 1.4.10). */
const FOURFOLD = { width: 320, height: 256 }
const SIZES = { 'a laptop': { width: 1280, height: 800 }, 'a phone': { width: 390, height: 844 } } as const

/** Nothing is cut off at the side, and nobody has to scroll there, once a page that is open is enlarged. */
async function enlarged(page: Page, { address }: View): Promise<void> {
  await page.setViewportSize(FOURFOLD)
  await drawn(page)
  expect(await page.evaluate(() => document.documentElement.scrollWidth), address).toBeLessThanOrEqual(FOURFOLD.width)
  expect(await cutOff(page), address).toEqual([])
}

async function come(page: Page, { address, ready }: View): Promise<void> {
  await page.goto(address)
  await expect(page.locator(ready).first()).toBeVisible()
  await expect(page.locator('main')).not.toHaveAttribute('aria-busy', 'true')
}

test('no view is left out of these', () => {
  expect([...new Set([...VIEWS.map(view => view.file), ...AT_THE_FIRE])].sort()).toEqual(pageFiles().sort())
})

for (const [name, viewport] of Object.entries(SIZES)) {
  test(`holds still, is large enough for a finger, is read to its edge, enlarged as well, and has nothing serious against it, every view, on ${name}`, async ({
    page,
    complaints,
  }) => {
    await page.setViewportSize(viewport)
    await page.addInitScript(COUNT_SHIFTS)
    await page.goto('/book')
    for (const view of VIEWS) {
      await page.setViewportSize(viewport)
      // A view is held back a second and a half at most: on a machine that is busy with other things it may come in
      // parts.
      await expect(async () => {
        await come(page, view)
        await page.waitForTimeout(1000)
        expect(await shiftsOf(page), view.address).toBeLessThanOrEqual(MOST_SHIFTED)
      }).toPass({ timeout: 40_000 })
      expect(await tooSmall(page), view.address).toEqual([])
      expect(await cutOff(page), view.address).toEqual([])
      await nothingSerious(page, `${view.address} on ${name}`, { schemes: name === 'a phone' ? 'light' : 'both' })
      if (name === 'a laptop') await enlarged(page, view)
    }
    expect(complaints.list).toEqual([])
  })
}

test('has a title of its own, one heading, and the keyboard once it is come to, every view', async ({ page }) => {
  const titles = new Set<string>()
  await page.goto('/')
  await expect(page.locator('.arcade svg').first()).toBeVisible()
  for (const view of [...VIEWS.slice(1), ...VIEWS.slice(0, 1)]) {
    // As a link does it, without a page that is made anew.
    await page.evaluate((address) => {
      history.pushState({ ...history.state as object, forward: null }, '', address)
      dispatchEvent(new PopStateEvent('popstate', { state: history.state as unknown }))
    }, view.address)
    await expect(page.locator(view.ready).first()).toBeVisible()
    await expect(page).toHaveTitle(new RegExp(`^${view.title}.* · Yon Hearth$`))
    await expect(page.locator('h1'), view.address).toHaveCount(1)
    await expect
      .poll(
        () => page.evaluate(() => document.querySelector('main')?.contains(document.activeElement) ?? false),
        view.address,
      )
      .toBe(true)
    titles.add(await page.title())
  }
  expect(titles.size).toBe(VIEWS.length)
})
