import type { APIRequestContext, Locator, Page } from '@playwright/test'
import type { Spread } from '../../core/day/spread/spread'
import { nothingSerious } from './accessible'
import { expect, test } from './hearth'

const DAY = '/spread/lamp-evening'
const MINUTE = 60_000
/** Every dish stands on the clock and the search is over. */
async function planned(page: Page, dishes = 5): Promise<void> {
  await expect(page.locator('[data-dish]')).toHaveCount(dishes, { timeout: 20_000 })
  await expect(page.getByText('A better plan is being sought.')).toHaveCount(0, { timeout: 40_000 })
}
const startOf = async (step: Locator): Promise<string> =>
  /(\d\d:\d\d) to/.exec((await step.getAttribute('aria-label')) ?? '')?.[1] ?? ''
const kept = async (request: APIRequestContext, id = 'lamp-evening'): Promise<Spread> =>
  (await (await request.get(`/api/spreads/${id}`)).json()) as Spread

/** The demo's day, but on now: two of its dishes for a meal in some minutes. */
async function dayIsOn(request: APIRequestContext, inMinutes: number): Promise<void> {
  const day = await kept(request)
  // In the morning the day before is its eve, later this very day: nothing then lies beyond either of its ends.
  const now = new Date()
  const eve = new Date(now.getTime() - (now.getHours() < 12 ? 86_400_000 : 0))
  const minute = (now.getHours() < 12 ? 1440 : 0) + now.getHours() * 60 + now.getMinutes()
  const date = `${eve.getFullYear()}-${String(eve.getMonth() + 1).padStart(2, '0')}-${String(eve.getDate()).padStart(2, '0')}`
  const dishes = day.dishes.filter(dish => dish.id === 'd5').map(dish => ({ ...dish, meal: 'm1' }))
  const body = {
    ...day,
    id: 'today',
    revision: 0,
    name: 'Today',
    eve: date,
    nights: null,
    plan: null,
    promises: [],
    dishes,
    meals: [{ id: 'm1', name: 'Supper', at: minute + inMinutes }],
    hands: day.hands.map(hand => ({ ...hand, away: [] })),
  }
  expect((await request.put('/api/spreads/today', { data: body })).ok()).toBe(true)
}

test.describe('a day of five dishes', () => {
  test('stands as an arcade, is dragged and held while the rest gives way, and taken back', async ({
    page,
    complaints,
  }) => {
    await page.goto(DAY)
    await planned(page)
    await expect(page.getByText('Tried 400 times with honest delays')).toBeVisible({ timeout: 30_000 })
    const roast = page.locator('[data-step="d5.roast"]')
    const before = await startOf(roast)
    const box = (await page.locator('[data-dish="d5"] .stone').first().boundingBox())!
    await page.mouse.move(box.x + 3, box.y + 8)
    await page.mouse.down()
    await page.mouse.move(box.x - 60, box.y + 8, { steps: 6 })
    await expect(roast).not.toHaveAttribute('aria-label', new RegExp(before), { timeout: 10_000 })
    await page.mouse.up()
    await planned(page)
    await expect(page.locator('[data-step="d5.pour"]')).toHaveAttribute('aria-label', /held/)
    await expect
      .poll(async () => (await kept(page.request)).wishes)
      .toEqual([expect.objectContaining({ kind: 'pin', step: 'd5.pour' })])
    await page.getByRole('button', { name: 'Undo' }).click()
    await planned(page)
    await expect.poll(() => startOf(roast)).toBe(before)
    await expect.poll(async () => (await kept(page.request)).wishes).toEqual([])
    expect(complaints.list).toEqual([])
  })

  test('can be done by the keyboard alone, and is the same after a reload', async ({ page }) => {
    await page.goto(DAY)
    await planned(page)
    await page.locator('[data-dish="d1"]').focus()
    await page.keyboard.press('ArrowLeft')
    // Said to who does not see it.
    await expect(page.locator('[role="status"].visually-hidden').filter({ hasText: 'Marble gram balls' })).toHaveCount(
      1,
    )
    await planned(page)
    await page.locator('[data-dish="d1"]').focus()
    await page.keyboard.press('Enter')
    const panel = page.getByRole('dialog')
    await expect(panel).toHaveAccessibleName(/Marble gram balls/)
    await expect(panel.getByRole('button', { name: 'Let it go' })).toBeVisible()
    await expect.poll(async () => (await kept(page.request)).plan !== null).toBe(true)
    await expect.poll(async () => (await kept(page.request)).wishes.length).toBe(1)
    const wish = (await kept(page.request)).wishes[0]!
    await page.reload()
    await planned(page)
    expect((await kept(page.request)).wishes).toEqual([wish])
    await page.locator('[data-dish="d1"]').focus()
    await page.keyboard.press('Enter')
    await panel.getByRole('button', { name: 'Let it go' }).focus()
    await page.keyboard.press('Enter')
    await expect.poll(async () => (await kept(page.request)).wishes).toEqual([])
    await planned(page)
    await page.keyboard.press('Escape')
    await expect(panel).toHaveCount(0)
    await page.locator('[data-step="d5.roast"]').focus()
    await page.keyboard.press('Enter')
    await expect(panel).toHaveAccessibleName('roast, Sweet-water semolina')
    await panel.getByRole('button', { name: 'Not at this time' }).focus()
    await page.keyboard.press('Enter')
    await expect.poll(async () => (await kept(page.request)).wishes.map(one => one.kind)).toEqual(['forbid'])
  })

  test('gives up a fire, a dish and an hour, and says what would help', async ({ page }) => {
    await page.goto(DAY)
    await planned(page)
    await page.getByRole('tab', { name: 'Kitchen', exact: true }).click()
    await page.getByRole('button', { name: 'Back fire is not there' }).click()
    await planned(page)
    await expect(page.locator('.day')).not.toContainText('Back fire')
    await page.getByRole('tab', { name: 'Dishes', exact: true }).click()
    await page
      .locator('.dish')
      .filter({ hasText: 'Winter-market carrot' })
      .getByRole('button', { name: 'Take off' })
      .click()
    await planned(page, 4)
    await page.getByLabel('On the table at').last().fill('18:00')
    await page.getByLabel('On the table at').last().press('Enter')
    await expect(page.locator('h1')).toContainText('18:00')
    await planned(page, 4)
    await page.getByRole('button', { name: 'What would help?' }).click()
    await expect(page.locator('.said li').first()).toContainText(/saves|in time|delay falls|would help nothing/, {
      timeout: 30_000,
    })
  })

  test('says in a sentence what cannot be, and loses nothing', async ({ page }) => {
    await page.goto(DAY)
    await planned(page)
    await page.getByRole('tab', { name: 'Kitchen', exact: true }).click()
    await page.getByRole('button', { name: 'Front fire is not there' }).click()
    await page.getByRole('button', { name: 'Back fire is not there' }).click()
    await expect(page.getByText('There is no fire. The day is kept')).toBeVisible()
    await page.getByRole('button', { name: 'Undo' }).click()
    await page.getByRole('button', { name: 'Undo' }).click()
    await planned(page)
    await expect.poll(async () => (await kept(page.request)).fires.length).toBe(2)
    await dayIsOn(page.request, -60)
    await page.goto('/spread/today')
    await expect(page.getByText('The time of Supper has passed already. The day is kept')).toBeVisible({
      timeout: 15_000,
    })
    expect((await kept(page.request, 'today')).dishes).toHaveLength(1)
  })

  test('has nothing serious against it, prints on one sheet and leaves as a calendar', async ({ page }) => {
    await page.goto(DAY)
    await planned(page)
    for (const size of [{ width: 1280, height: 800 }, { width: 820, height: 1180 }]) {
      await page.setViewportSize(size)
      await nothingSerious(page, `a day at ${size.width}`)
      expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true)
    }
    const download = page.waitForEvent('download')
    await page.getByRole('button', { name: 'Take it along' }).click()
    await page.getByRole('menuitem', { name: 'As a calendar file' }).click()
    expect((await download).suggestedFilename()).toBe('Lamp evening.ics')
    await page.getByRole('tab', { name: 'Hands', exact: true }).click()
    await page.getByRole('tab', { name: 'Dishes', exact: true }).click()
    await nothingSerious(page, 'dishes and meals of a day')
    await page.goto('/spread/sheet/lamp-evening')
    await expect(page.locator('[data-dish]')).toHaveCount(5, { timeout: 20_000 })
    const pdf = await page.pdf({ preferCSSPageSize: true })
    expect(pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)).toHaveLength(1)
  })
})

test.describe('on the day', () => {
  test('says what to do now, follows what is marked, and says what a delay breaks', async ({ page }) => {
    await dayIsOn(page.request, 62)
    await page.goto('/spread/today')
    await planned(page, 1)
    const now = page.getByRole('region', { name: 'Now and next' })
    await expect(now).toContainText('Your hands', { timeout: 15_000 })
    await now.getByRole('button', { name: 'Begun' }).first().click()
    await expect(now.getByRole('button', { name: 'Done' })).toBeVisible()
    await expect.poll(async () => (await kept(page.request, 'today')).doings.length).toBe(1)
    const day = await kept(page.request, 'today')
    const first = day.doings[0]!
    const long = {
      ...day,
      doings: [{ ...first, begun: first.begun! - 90 }],
      meals: day.meals.map(meal => ({ ...meal, at: meal.at - 58 })),
    }
    expect((await page.request.put('/api/spreads/today', { data: long })).ok()).toBe(true)
    await expect(now.getByRole('alert').first()).toContainText('late as things stand', { timeout: 15_000 })
    await now.getByRole('button', { name: 'Done' }).click()
    await now.getByRole('button', { name: 'Take back' }).click()
    await expect(now.getByRole('button', { name: 'Done' })).toBeVisible()
  })

  test('is one thing with the fire: a dish is taken there, and what is marked there moves the day', async ({
    page,
  }) => {
    await dayIsOn(page.request, 45)
    await page.goto('/spread/today')
    await planned(page, 1)
    const now = page.getByRole('region', { name: 'Now and next' })
    await now.getByRole('button', { name: 'Take it to the fire' }).click()
    await expect(page).toHaveURL(/\/fire\//, { timeout: 15_000 })
    const cook = page.url().split('/').at(-1)!
    await expect.poll(async () => (await kept(page.request, 'today')).cooks).toEqual([{ dish: 'd5', cook }])
    const started = {
      id: 'from-the-fire',
      device: 'tablet',
      number: 1,
      deviceTime: Date.now() - 3 * MINUTE,
      kind: 'cook.started',
      payload: {},
    }
    expect(
      (
        await page.request.post(`/api/streams/${cook}/observations`, {
          data: { sentAt: Date.now(), observations: [started] },
        })
      ).ok(),
    ).toBe(true)
    await page.goto('/spread/today')
    await expect(now).toContainText('until about', { timeout: 20_000 })
    await expect(now.getByRole('link', { name: 'At the fire' }).first()).toHaveAttribute('href', `/fire/${cook}`)
  })
})
