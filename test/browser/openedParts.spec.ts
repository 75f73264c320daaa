import { drawn } from './drawn'
import type { Locator, Page } from '@playwright/test'
import { nothingSerious } from './accessible'
import { toTheFire } from './cookAlong'
import { expect, test } from './hearth'
import { cutOff, tooSmall } from './standing'

test.use({ shared: true })
// None needs what another did, and a file of so many would be the last one running, alone.
test.describe.configure({ mode: 'parallel' })

/** Something that opens beside or above a view. */
interface Opened {
  readonly what: string
  /** The view of the demo house it opens from: its address, or the way there. */
  readonly from: string | ((page: Page) => Promise<unknown>)
  /** Opens it there. */
  readonly open: (page: Page) => Promise<void>
  /** What has opened. */
  readonly part: (page: Page) => Locator
  /** What the keyboard comes back to; left out where it does not go in. */
  readonly opener?: (page: Page) => Locator
}

const button = (page: Page, name: string | RegExp): Locator => page.getByRole('button', { name }).first()
const drawer = (page: Page): Locator => page.getByRole('dialog').first()
const dishMenu = (page: Page): Locator => page.locator('.dishes .more').first()
async function ofDish(page: Page, command: string): Promise<void> {
  await dishMenu(page).click()
  await page.getByRole('menuitem', { name: command }).click()
}
const onBoard = (page: Page, board: string): Locator =>
  page.getByRole('region', { name: board }).locator('.thing').first()
async function lit(page: Page): Promise<void> {
  await toTheFire(page)
  await page.locator('[data-action="start"]').click()
}
const MEASURE = '/measure?dish=sweet-water-semolina'
const DAY = '/spread/lamp-evening'
const dayTab = (name: string): Opened => ({
  what: `the day’s ${name}`,
  from: DAY,
  open: page => page.getByRole('tab', { name, exact: true }).click(),
  part: page => page.getByRole('tabpanel', { name }),
})
const paneOf = (name: string): Opened => ({
  what: `Measure’s ${name}`,
  from: MEASURE,
  open: page => page.getByRole('tab', { name, exact: true }).click(),
  part: page => page.getByRole('tabpanel', { name }),
})

const OPENED: readonly Opened[] = [
  {
    what: 'a menu of a dish',
    from: '/book',
    open: page => dishMenu(page).click(),
    part: page => page.getByRole('menu').first(),
    opener: dishMenu,
  },
  {
    what: 'a drawer of versions',
    from: '/book',
    open: page => ofDish(page, 'Its versions'),
    part: drawer,
    opener: dishMenu,
  },
  {
    what: 'a dialog that gives a dish away',
    from: '/book',
    open: page => ofDish(page, 'To another house'),
    part: drawer,
    opener: dishMenu,
  },
  {
    what: 'a form for a new dish',
    from: '/book',
    open: page => button(page, 'A new dish').click(),
    part: page => page.locator('form').first(),
  },
  {
    what: 'a pasted text',
    from: '/book',
    open: page => button(page, 'From a pasted text').click(),
    part: page => page.getByRole('textbox', { name: /The text/ }),
  },
  {
    what: 'an ingredient',
    from: MEASURE,
    open: page => page.locator('.labels .name').nth(1).click(),
    part: drawer,
    opener: page => page.locator('.labels .name').nth(1),
  },
  {
    what: 'an ingredient to be added',
    from: MEASURE,
    open: page => button(page, 'Add an ingredient').click(),
    part: drawer,
    opener: page => button(page, 'Add an ingredient'),
  },
  ...['Its stages', 'In the pan', 'Get ready and buy'].map(paneOf),
  {
    what: 'everything else at the fire',
    from: lit,
    open: page => button(page, 'Everything else').click(),
    part: page => page.locator('.drawer').first(),
    opener: page => button(page, 'Everything else'),
  },
  {
    what: 'what is wrong at the fire',
    from: lit,
    open: page => button(page, 'Something is wrong').click(),
    part: page => page.locator('.drawer, .repair').first(),
    opener: page => button(page, 'Something is wrong'),
  },
  {
    what: 'the far view',
    from: lit,
    open: page => button(page, 'far view').click(),
    part: page => page.locator('.fire.far'),
  },
  ...['Cups and spoons', 'Pans and pots', 'Fires', 'Trays and plates'].map((board): Opened => ({
    what: `a thing of ${board}`,
    from: '/kitchen',
    open: page => onBoard(page, board).click(),
    part: drawer,
    opener: page => onBoard(page, board),
  })),
  {
    what: 'a calendar of days',
    from: '/kitchen',
    open: page => page.getByRole('combobox', { name: 'Use by' }).click(),
    part: drawer,
  },
  ...['Dishes', 'Hands', 'Kitchen', 'Promised', 'To buy'].map(dayTab),
  {
    what: 'what a day is taken along as',
    from: DAY,
    open: page => button(page, 'Take it along').click(),
    part: page => page.getByRole('menu').first(),
    opener: page => button(page, 'Take it along'),
  },
  {
    what: 'a list of a filter',
    from: '/ledger',
    open: page => page.locator('main .el-select').first().click(),
    part: page => page.getByRole('listbox').first(),
  },
  {
    what: 'the numbers of the model',
    from: '/kitchen/learned',
    open: page => button(page, 'Every number of the model').click(),
    part: page => page.locator('.numbers .el-table').first(),
  },
]

const LAPTOP = { width: 1280, height: 800 }
const PHONE = { width: 390, height: 844 }

async function stands(page: Page, part: Locator, what: string, size: 'laptop' | 'phone'): Promise<void> {
  await drawn(page)
  expect(await tooSmall(page), what).toEqual([])
  expect(await cutOff(page), what).toEqual([])
  // The view it opened from is looked at with every view.
  await nothingSerious(page, `${what} on a ${size}`, { schemes: size === 'phone' ? 'light' : 'both', part })
}
async function leadsInAndOut(page: Page, part: Locator, opener: Locator): Promise<void> {
  await expect
    .poll(() => part.evaluate(one => one.contains(document.activeElement)), 'the keyboard is in it')
    .toBe(true)
  await page.keyboard.press('Escape')
  await expect(part).toBeHidden()
  await expect(opener).toBeFocused()
}

/** Opens a part as its page stands, looks at it on a laptop and on a phone, and leaves it where it is left by the keyboard. */
async function tried(page: Page, { what, open, part, opener }: Opened): Promise<void> {
  await page.setViewportSize(LAPTOP)
  await open(page)
  await expect(part(page)).toBeVisible()
  await stands(page, part(page), what, 'laptop')
  if (opener) await leadsInAndOut(page, part(page), opener(page))
  await page.setViewportSize(PHONE)
  if (opener) await open(page)
  await expect(part(page)).toBeVisible()
  await stands(page, part(page), what, 'phone')
  if (opener) await leadsInAndOut(page, part(page), opener(page))
}

for (const from of new Set(OPENED.map(one => one.from))) {
  const parts = OPENED.filter(one => one.from === from)
  const names = parts.map(one => one.what).join(', ')
  test(`${names}: nothing against it on a laptop and a phone, and the keyboard goes in and comes back`, async ({
    page,
    complaints,
  }) => {
    await page.setViewportSize(LAPTOP)
    if (typeof from === 'string') await page.goto(from)
    else await from(page)
    // One after another on one page, as it is used.
    for (const part of parts) await test.step(part.what, () => tried(page, part))
    expect(complaints.list).toEqual([])
  })
}

/** Goes on by Tab, or back, until something has the focus. */
async function tabTo(page: Page, wanted: Locator, key: 'Tab' | 'Shift+Tab' = 'Tab'): Promise<void> {
  for (let i = 0; i < 90; i++) {
    if (await wanted.evaluate(one => one === document.activeElement)) return
    await page.keyboard.press(key)
  }
  throw new Error(`${key} never came to ${wanted.toString()}`)
}

test('Measure can be gone through by the keyboard alone', async ({ page, complaints }) => {
  await page.goto(MEASURE)
  await expect(page.locator('.preview svg')).toBeVisible()
  const ghee = page.locator('.labels .vessel').nth(1)
  await expect(ghee).toContainText('195 g')
  await tabTo(page, page.getByRole('slider', { name: /Ghee/ }))
  await page.keyboard.press('ArrowUp')
  await expect(ghee).not.toContainText('195 g')
  const moved = await ghee.locator('p').nth(1).textContent() ?? ''
  const name = page.getByRole('button', { name: /^Ghee: amount/ })
  await tabTo(page, name)
  await page.keyboard.press('Enter')
  const panel = page.getByRole('dialog', { name: 'Ghee' })
  await tabTo(page, panel.getByLabel(/Change it to/))
  await page.keyboard.type('210 g')
  await page.keyboard.press('Enter')
  await expect(ghee).toContainText('210 g')
  await page.keyboard.press('Escape')
  await expect(panel).toBeHidden()
  await expect(name).toBeFocused()
  const undo = page.getByRole('button', { name: 'Undo' })
  await tabTo(page, undo, 'Shift+Tab')
  await page.keyboard.press('Enter')
  await expect(ghee).toContainText(moved)
  await tabTo(page, page.getByRole('tab', { name: 'How it is cooked' }))
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('tabpanel', { name: 'Its stages' })).toBeVisible()
  const fire = page.getByRole('button', { name: 'Take it to the fire' })
  await tabTo(page, fire, 'Shift+Tab')
  await page.keyboard.press('Enter')
  await page.waitForURL(/\/fire\//)
  expect(complaints.list).toEqual([])
})
