import { devices } from '@playwright/test'
import { cookThrough, firstAction, get, stored, toTheFire } from './cookAlong'
import { expect, test, watch } from './hearth'

test.describe('a whole cook at 600 times the speed', () => {
  test.use({ rate: 600 })

  test('goes from the house to the ledger by keyboard alone', async ({ page, complaints }) => {
    await page.goto('/')
    const press = async (name: RegExp, key = 'Enter'): Promise<void> => {
      for (let i = 0; i < 40; i++) {
        await page.keyboard.press('Tab')
        const text = await page.evaluate(
          () => (document.activeElement?.closest('label') ?? document.activeElement)?.textContent ?? '',
        )
        if (name.test(text)) return page.keyboard.press(key)
      }
      throw new Error(`Tab never reached ${String(name)}`)
    }
    await expect(page.getByRole('link', { name: 'Measure it out' }).first()).toBeVisible()
    const find = page.getByRole('searchbox')
    for (let i = 0; i < 40 && !(await find.evaluate(one => one === document.activeElement)); i++)
      await page.keyboard.press('Tab')
    await page.keyboard.type('Sweet-water semolina')
    await expect(page.getByRole('link', { name: /Sweet-water semolina/ }).first()).toBeVisible()
    await page.keyboard.press('Enter')
    await page.waitForURL(/measure\?dish=sweet-water-semolina/)
    await expect(page.getByRole('button', { name: 'Take it to the fire' })).toBeEnabled()
    await press(/Take it to the fire/)
    await page.waitForURL(/\/fire\//)
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur())
    const done = await cookThrough(page, () => page.keyboard.press('Space'), () => page.keyboard.press('1'))
    expect(done[0]).toBe('start')
    const id = page.url().split('/').pop()!
    await expect.poll(async () => (await stored(page, id)).at(-1)?.kind, { timeout: 20_000 }).toBe('cook.finished')
    const kinds = (await stored(page, id)).map(one => one.kind)
    expect(kinds.filter(kind => kind === 'stage.began')).toHaveLength(5)
    await expect(page.getByText('How did it turn out?')).toBeVisible()
    await press(/^\s*gluey\s*$/, 'Space')
    await expect.poll(async () => (await stored(page, id)).some(one => one.kind === 'outcome')).toBe(true)
    await press(/See it in the ledger/)
    await page.waitForURL(/\/ledger\//)
    // What came of it is worked out beside the server.
    await expect(page.getByText('gluey').first()).toBeVisible({ timeout: 60_000 })
    expect(complaints.list).toEqual([])
  })

  test('goes to the end by touch on a phone', async ({ browser, hearth }) => {
    const context = await browser.newContext({
      ...devices['Pixel 5'],
      viewport: { width: 390, height: 844 },
      baseURL: hearth.url,
      serviceWorkers: 'block',
    })
    const page = await context.newPage()
    const list: string[] = []
    watch(page, hearth.url, list)
    const id = await toTheFire(page)
    // At this speed the moment for a colour can be over before the thumb is down; the screen then asks for something
    // else.
    const choose = (): Promise<void> =>
      page
        .getByRole('button', { name: 'pale' })
        .tap({ timeout: 3000 })
        .catch(() => undefined)
    const done = await cookThrough(
      page,
      code =>
        page
          .locator(`[data-action="${code}"]`)
          .first()
          .tap({ timeout: 2000 })
          .catch(() => undefined),
      choose,
    )
    expect(done[0]).toBe('start')
    await expect.poll(async () => (await stored(page, id)).map(one => one.kind)).toContain('cook.finished')
    // It is settled beside the server, at a low priority.
    await expect.poll(async () => (await get(page, `/api/batches/${id}`)).status(), { timeout: 90_000 }).toBe(200)
    expect(list).toEqual([])
    await context.close()
  })
})

test.describe('a cook', () => {
  test('shows marks of another device at once and has its clock right', async ({ page, browser, hearth }) => {
    const id = await toTheFire(page)
    await page.keyboard.press('Escape')
    await page.locator('[data-action="start"]').click()
    const context = await browser.newContext({ baseURL: hearth.url, serviceWorkers: 'block' })
    const second = await context.newPage()
    await second.goto(`/fire/${id}`)
    await expect(second.locator('[data-action="sign.nuts-golden"]')).toBeVisible()
    await second.locator('[data-action="sign.nuts-golden"]').click()
    await expect.poll(() => firstAction(page)).toBe('begin.roast')
    const clocks = await Promise.all(
      [page, second].map(async one => Number(await one.locator('main').getAttribute('data-now'))),
    )
    expect(Math.abs(clocks[0]! - clocks[1]!)).toBeLessThanOrEqual(2)
    await context.close()
  })

  test('takes a mark back and moves one earlier without losing anything', async ({ page }) => {
    const id = await toTheFire(page)
    await page.locator('[data-action="start"]').click()
    await page.locator('[data-action="sign.nuts-golden"]').click()
    await expect(page.getByText('Take back: marked nuts')).toBeVisible()
    await page.getByRole('button', { name: /Take back/ }).click()
    await expect(page.locator('[data-action="sign.nuts-golden"]')).toBeVisible()
    await page.getByRole('button', { name: 'It was 30 s earlier' }).click()
    await expect
      .poll(async () => (await stored(page, id)).map(one => one.kind))
      .toEqual(
        ['cook.started', 'sign.nuts-golden', 'withdrawn', 'corrected'].map(kind =>
          kind === 'sign.nuts-golden' ? 'sign.seen' : kind,
        ),
      )
  })

  test('takes flame, lid, weight and thermometer from the drawer, and refuses nonsense with a sentence', async ({
    page,
  }) => {
    const id = await toTheFire(page)
    await page.locator('[data-action="start"]').click()
    await page.keyboard.press('m')
    const drawer = page.getByRole('region', { name: 'Everything else' })
    await drawer.getByRole('button', { name: 'half', exact: true }).first().click()
    await drawer.getByRole('button', { name: 'Lid is off, the pan' }).click()
    await drawer.getByLabel('Pan on the scale, g').fill('heavy')
    await drawer.getByRole('button', { name: 'Weighed' }).click()
    await expect(drawer.getByRole('alert')).toContainText('Nothing was marked')
    await drawer.getByLabel('Pan on the scale, g').fill('1450')
    await drawer.getByRole('button', { name: 'Weighed' }).click()
    await drawer.getByLabel('Thermometer in the pan, °C').fill('88,5')
    await drawer.getByRole('button', { name: 'Read' }).click()
    await drawer.getByLabel('A note at this minute').fill('ghee smells of cardamom')
    await drawer.getByRole('button', { name: 'Note' }).click()
    await expect
      .poll(async () => (await stored(page, id)).map(one => one.kind))
      .toEqual(['cook.started', 'flame.changed', 'lid.changed', 'weighed', 'temperature', 'note'])
    await expect(page.getByRole('timer')).toBeVisible()
  })

  test('says so where there is no such cook', async ({ page }) => {
    await page.goto('/fire/no-such-cook')
    await expect(page.getByText('There is no such cook here.')).toBeVisible()
  })
})
