import { drawn } from './drawn'
import type { Page } from '@playwright/test'
import { toTheFire } from './cookAlong'
import { expect, test } from './hearth'
import { AT_THE_FIRE_PX, tooSmall } from './standing'

/**
 * What a newcomer meets that only a whole page shows: pages that hold still, that can be enlarged, that are touched
 * twice.
 */
test.use({ shared: true })

/** A window of 1280 by 1024 enlarged fourfold (WCAG 2.2, 1.4.10). */
const FOURFOLD = { width: 320, height: 256 }
const width = (page: Page): Promise<number> => page.evaluate(() => document.documentElement.scrollWidth)

test('enlarged fourfold the fire shows one thing after another, and nothing lies over the clock', async ({ page }) => {
  await page.setViewportSize(FOURFOLD)
  await toTheFire(page)
  await page.locator('[data-action="start"]').click()
  await expect(page.locator('.clock')).toBeVisible()
  const box = async (what: string): Promise<{ top: number, bottom: number }> =>
    page
      .locator(what)
      .first()
      .evaluate(one => {
        const { top, bottom } = one.getBoundingClientRect()
        return { top, bottom }
      })
  const [clock, cue, hands, side] = [await box('.clock'), await box('.cue'), await box('.hands'), await box('.side')]
  expect(clock.bottom).toBeLessThanOrEqual(cue.top + 1)
  expect(cue.bottom).toBeLessThanOrEqual(hands.top + 1)
  expect(hands.bottom).toBeLessThanOrEqual(side.top + 1)
  expect(await width(page)).toBeLessThanOrEqual(FOURFOLD.width)
})

test('what is touched at the fire is large enough for a wet thumb, whatever is open', async ({ page }) => {
  await toTheFire(page)
  await page.locator('[data-action="start"]').click()
  const sizes = [
    { width: 1280, height: 800 },
    { width: 820, height: 1180 },
    { width: 390, height: 844 },
    { width: 844, height: 390 },
  ]
  for (const viewport of sizes) {
    await page.setViewportSize(viewport)
    for (const [key, opened] of [
      ['', '.clock'],
      ['m', 'h2:text("Everything else")'],
      ['x', 'h2:text("What is wrong?")'],
      ['f', '.fire.far'],
    ] as const) {
      if (key) await page.keyboard.press(key)
      await expect(page.locator(opened)).toBeVisible()
      expect(
        await tooSmall(page, AT_THE_FIRE_PX),
        `${viewport.width} by ${viewport.height}, ${key || 'nothing'} open`,
      ).toEqual([])
      if (key) await page.keyboard.press(key === 'f' ? 'f' : 'Escape')
    }
  }
})

test('colours to choose from are seen where the system forces its own', async ({ page }) => {
  await page.emulateMedia({ forcedColors: 'active' })
  await toTheFire(page)
  await page.locator('[data-action="start"]').click()
  const looks = page.locator('[data-action="looks"]')
  // Nuts first, then the base: colours are asked for in the roast.
  for (let i = 0; i < 6 && await looks.count() === 0; i++) {
    await page.locator('[data-action]').first().click()
    await drawn(page)
  }
  await looks.click()
  const swatches = page.locator('.swatch')
  await expect(swatches.first()).toBeVisible()
  const pictures = await Promise.all([swatches.first().screenshot(), swatches.last().screenshot()])
  expect(pictures[0].equals(pictures[1])).toBe(false)
})

test('two screens that mark one sign mark it once', async ({ page, context }) => {
  const id = await toTheFire(page)
  await page.locator('[data-action="start"]').click()
  const other = await context.newPage()
  await other.goto(`/fire/${id}`)
  const sign = (of: Page) => of.locator('[data-action="sign.nuts-golden"]').first()
  await expect(sign(page)).toBeVisible()
  await expect(sign(other)).toBeVisible()
  await Promise.all([sign(page).click(), sign(other).click()])
  await expect(sign(page)).toHaveCount(0)
  await expect(sign(other)).toHaveCount(0)
  await page.reload()
  await expect(page.locator('.side')).toContainText(/1 mark\b/)
})

test('an address of a dish that is not there, and the fire with nothing on it, say so', async ({
  page,
  complaints,
}) => {
  await page.goto('/measure?dish=nothing-of-that-name')
  await expect(page.getByText('No dish called “nothing-of-that-name” is in this book.')).toBeVisible()
  for (const { id } of ((await (await page.request.get('/api/cooks')).json()) as { cooks: { id: string }[] }).cooks)
    await page.request.delete(`/api/cooks/${id}`)
  await page.goto('/fire')
  await expect(page.locator('main h1').first()).toBeVisible()
  expect(complaints.list).toEqual([])
})

test('a dish goes to the fire at the first touch, and nothing that is asked for is missing', async ({ page }) => {
  const missing: string[] = []
  page.on('response', (answer) => {
    if (answer.status() === 404) missing.push(answer.url())
  })
  await page.goto('/measure?dish=sweet-water-semolina')
  const toFire = page.getByRole('button', { name: 'Take it to the fire' })
  await toFire.waitFor({ state: 'visible' })
  expect(await toFire.isEnabled()).toBe(true)
  await toFire.click()
  await page.waitForURL(/\/fire\//)
  await expect(page.locator('[data-action="start"]')).toBeVisible()
  expect(missing).toEqual([])
})

test('the arch says its windows, and what is made quiet can be heard again at the same place', async ({ page }) => {
  await toTheFire(page)
  await page.locator('[data-action="start"]').click()
  await expect(page.getByRole('img', { name: /Still open, from the lighting: .*\d+:\d\d/ })).toBeVisible({
    timeout: 45_000,
  })
  const quiet = page.getByRole('button', { name: 'quiet' })
  const place = await quiet.boundingBox()
  await quiet.click()
  const back = page.locator('.top .el-button').first()
  await expect(back).toBeVisible()
  expect((await back.boundingBox())!.y).toBe(place!.y)
  await back.click()
  await expect(page.getByRole('button', { name: 'quiet' })).toBeVisible()
})

test('home, label and tray give one date', async ({ page }) => {
  const day = async (path: string, of: string): Promise<string> => {
    await page.goto(path)
    const text = await page.locator(of, { hasText: 'Winter-market carrot' }).first().textContent() ?? ''
    // What is near is said as cooks say it, and counted from the day it is when it is read.
    const near = ['today', 'tomorrow'].indexOf(/not after (today|tomorrow)/.exec(text)?.[1] ?? '')
    if (near >= 0) return await page.evaluate(days => String(new Date(Date.now() + days * 86_400_000).getDate()), near)
    return /not after (?:[A-Z][a-z]{2} )?(\d+) [A-Z]/.exec(text)?.[1] ?? text
  }
  const home = await day('/', '.shelf li')
  expect(home).toMatch(/^\d+$/)
  expect(await day('/labels?batches=demo-707', 'article.label')).toBe(home)
  expect(await day('/tray', '.shelf li')).toBe(home)
})

test("ten grams of a dish are said in parts as well, and no glass is called the house's and ours at once", async ({
  page,
}) => {
  await page.goto('/measure?dish=sweet-water-semolina')
  await page.getByLabel('Make it from').fill('10 g')
  await page.keyboard.press('Enter')
  const said = page.locator('p', { hasText: 'Parts,' }).first()
  await expect(said).toContainText(/: 1 : /)
  await expect(page.locator('main')).not.toContainText('your our')
  await expect(page.locator('main')).not.toContainText('100 % off')
})

test('many dishes on the fire and two screens leave room for all that is asked', async ({ page, context }) => {
  const id = await toTheFire(page)
  await page.locator('[data-action="start"]').click()
  await expect.poll(async () => (await page.request.get(`/api/cooks/${id}`)).status()).toBe(200)
  const { plan } = await (await page.request.get(`/api/cooks/${id}`)).json() as { plan: object }
  for (let k = 0; k < 6; k++) {
    expect((await page.request.put(`/api/cooks/more-${k}`, { data: { ...plan, id: `more-${k}` } })).ok()).toBe(true)
    const observations = [
      { id: `more-${k}-1`, device: 'd', number: 1, deviceTime: Date.now(), kind: 'cook.started', payload: {} },
    ]
    expect(
      (
        await page.request.post(`/api/streams/more-${k}/observations`, { data: { sentAt: Date.now(), observations } })
      ).ok(),
    ).toBe(true)
  }
  const other = await context.newPage()
  await other.goto(`/fire/${id}`)
  // A browser opens six connections to one house; a screen, with the three other dishes it shows, stands on one of
  // them.
  for (const screen of [page, other]) {
    await screen.reload()
    await expect(screen.getByRole('region', { name: /Also on the fire/ })).toHaveCount(3)
    await expect(screen.getByText('kept on the hearth')).toBeVisible()
  }
})

test('on a phone and from afar clock, cue, window and actions stay in sight', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await toTheFire(page)
  await page.locator('[data-action="start"]').click()
  const window = /\d+:\d\d–\d+:\d\d/
  await expect(page.locator('.hearth')).toContainText(window)
  for (const name of ['It was 30 s earlier', 'what now?'])
    await expect(page.getByRole('button', { name })).toBeInViewport({ ratio: 1 })
  await page.locator('.side').evaluate(side => side.scrollTo(0, side.scrollHeight))
  for (const what of ['.clock', '.cue', '[data-action]'])
    await expect(page.locator(what).first()).toBeInViewport({ ratio: 1 })
  await page.getByRole('button', { name: 'far view' }).click()
  await expect(page.locator('.hearth')).toContainText(window)
})

test('a day on a phone shows its whole menu, and goes no further than the screen', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/spread/lamp-evening')
  await expect(page.locator('[data-dish]').first()).toBeVisible()
  const kitchen = await page
    .getByRole('navigation', { name: 'Places' })
    .getByRole('link', { name: 'Kitchen' })
    .boundingBox()
  expect(kitchen!.x + kitchen!.width).toBeLessThanOrEqual(390)
  expect(await width(page)).toBeLessThanOrEqual(390)
})
