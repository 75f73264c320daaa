import type { Locator, Page } from '@playwright/test'
import { cookThrough, firstAction, get } from './cookAlong'
import { expect, test } from './hearth'

/**
 * No whole job of a house takes its cook more than this: taps, typings, keys; what a cook marks at the fire is the
 * cook's.
 */
const MOST_ACTIONS = 15

/** What a hand does, counted: a tap, a typing, a key, a choice out of a list (two taps). */
class Hand {
  count = 0
  constructor(private readonly page: Page) {}

  async tap(...find: Parameters<Page['getByRole']>): Promise<void> {
    await this.touch(this.page.getByRole(...find).first())
  }

  async touch(what: Locator): Promise<void> {
    this.count++
    await what.click()
  }

  async type(what: Locator | string, text: string): Promise<void> {
    this.count++
    await (typeof what === 'string' ? this.page.getByLabel(what) : what).first().fill(text)
  }

  async key(name: string): Promise<void> {
    this.count++
    await this.page.keyboard.press(name)
  }

  /** Opens a list and takes one of it; a long one is typed into first. */
  async choose(list: Locator, option: RegExp | string, typed?: string): Promise<void> {
    await this.touch(list)
    if (typed !== undefined) {
      this.count++
      await this.page.keyboard.type(typed)
    }
    await this.touch(this.page.getByRole('option', { name: option }).first())
  }

  /** A dish found by its name on the home view. */
  async open(name: string): Promise<void> {
    await this.type(this.page.getByRole('searchbox'), name)
    await this.touch(this.page.locator('a[href^="/measure"]', { hasText: name }).first())
    await this.page.waitForURL(/measure/)
    await expect(this.page.locator('.labels .vessel').first()).toBeVisible()
  }

  list(name: string): Locator {
    return this.page.locator('.el-select', { has: this.page.getByRole('combobox', { name }) }).first()
  }
}

/** Goes by the menu of the house. */
const menu = (hand: Hand, name: string): Promise<void> => hand.tap('link', { name, exact: true })

/** A job from the home view of a fresh house to its end, with its actions said and bounded. */
function job(letter: string, what: string, act: (at: { page: Page, hand: Hand }) => Promise<void>): void {
  test(`${letter}. ${what}`, async ({ page, complaints }, info) => {
    await page.goto('/')
    await expect(page.getByRole('searchbox')).toBeVisible()
    const hand = new Hand(page)
    await act({ page, hand })
    info.annotations.push({ type: 'actions', description: String(hand.count) })
    console.log(`job ${letter}: ${hand.count} actions`)
    expect(hand.count).toBeLessThanOrEqual(MOST_ACTIONS)
    expect(complaints.list).toEqual([])
  })
}

/**
 * Cooks by what the screen puts first, faster than a hand can: what it marks is not counted among the actions of a job.
 */
async function cook(page: Page): Promise<void> {
  const press = (code: string): Promise<void> =>
    page
      .locator(`[data-action="${code}"]`)
      .first()
      .click({ timeout: 2000 })
      .catch(() => undefined)
  const choose = (): Promise<void> =>
    page
      .locator('.colours button')
      .first()
      .click({ timeout: 3000 })
      .catch(() => undefined)
  await cookThrough(page, press, choose)
}

/** Takes the dish in hand to the fire and cooks it. */
async function cookIt(page: Page, hand: Hand): Promise<string> {
  await hand.tap('button', { name: 'Take it to the fire' })
  await page.waitForURL(/\/fire\//)
  await cook(page)
  await expect(page.getByText('How did it turn out?')).toBeVisible()
  return page.url().split('/').pop()!
}

test.describe('the twelve jobs of a house, from a fresh one', () => {
  test.use({ demo: false, rate: 600, shared: true })

  job('a', 'a dish for six in one\'s own glass', async ({ page, hand }) => {
    await menu(hand, 'Kitchen')
    await hand.touch(page.locator('.thing').first())
    await hand.type('Holds', '165')
    await hand.key('Enter')
    await menu(hand, 'Hearth')
    await hand.open('Sweet-water semolina')
    await hand.type('Make it from', '6 people')
    await hand.key('Enter')
    await expect(page.getByText(/165 ml/).first()).toBeVisible()
    await expect(page.locator('.right')).toContainText(/6 of 190/)
  })

  job('b', 'what is on hand decides, and it is seen whether it fits the pan', async ({ page, hand }) => {
    await hand.open('Winter-market carrot')
    await hand.type('Make it from', '930 g carrots')
    await hand.key('Enter')
    await expect(page.getByText(/^Taken as bought: 79\d g is left of it/)).toBeVisible()
    await expect(page.locator('.right')).toContainText(/rises to \d+ of \d+ mm/)
  })

  job('c', 'a lentil paste with a saffron syrup', async ({ page, hand }) => {
    await hand.open('Long-spoon mung')
    await hand.tap('button', { name: 'Add an ingredient' })
    await hand.choose(hand.list('What goes in'), /Saffron/, 'kesar')
    await hand.type('How much', '0.2 g')
    await hand.tap('button', { name: 'Put it in' })
    await hand.choose(hand.list('Sugar goes in'), 'as a boiled syrup')
    await hand.tap('tab', { name: 'Its stages' })
    await expect(page.locator('.stages')).toContainText('syrup')
    await expect(page.locator('.stages')).toContainText(/saffron/i)
    await expect(page.getByText('This cannot work')).toHaveCount(0)
  })

  job('d', 'a pasted text becomes a dish', async ({ page, hand }) => {
    await menu(hand, 'Book')
    await hand.tap('button', { name: 'From a pasted text' })
    await hand.type(
      page.getByLabel(/ingredient lines/),
      'Sunday besan halwa\nserves 6\n1 cup besan\n3/4 cup ghee\n1 cup sugar\n2 cups water\n2-3 tbsp cashews\nMethod: roast the besan in the ghee.',
    )
    await hand.touch(page.getByRole('button', { name: /^Yes, 2-3 tbsp cashews/ }))
    await hand.type('Name of the dish', 'Sunday gram')
    await hand.tap('button', { name: 'Make a dish of it' })
    await page.waitForURL(/measure/)
    await expect(page.getByRole('heading', { name: 'Sunday gram' })).toBeVisible()
  })

  job('e', 'a first cook goes from the house to the ledger', async ({ page, hand }) => {
    await hand.open('Sweet-water semolina')
    await cookIt(page, hand)
    await hand.tap('checkbox', { name: 'gluey', exact: true })
    await hand.type('One line for next time', 'wait for the smell')
    await hand.tap('link', { name: 'See it in the ledger' })
    await page.waitForURL(/\/ledger\//)
    // What came of it is worked out beside the server.
    await expect(page.locator('.outcome').first()).toContainText('gluey', { timeout: 60_000 })
  })

  job('f', 'something goes wrong at the fire and is put right', async ({ page, hand }) => {
    await hand.open('Sweet-water semolina')
    await hand.tap('button', { name: 'Take it to the fire' })
    await page.waitForURL(/\/fire\//)
    for (let i = 0, code = ''; i < 60 && !/^begin\.enrich/.test(code); i++, code = await firstAction(page)) {
      if (code !== '')
        await page
          .locator(`[data-action="${code}"]`)
          .first()
          .click({ timeout: 2000 })
          .catch(() => undefined)
      if (code === 'looks')
        await page
          .locator('.colours button')
          .first()
          .click({ timeout: 2000 })
          .catch(() => undefined)
      await page.waitForTimeout(120)
    }
    await hand.tap('button', { name: 'Something is wrong' })
    await hand.touch(page.getByRole('button', { name: /^runny/ }).first())
    await hand.touch(page.locator('[data-way]').first())
    await expect(page.getByText(/Take back: /).first()).toBeVisible()
  })

  job('g', 'a slab is cut into pieces, and its label is there to be printed', async ({ page, hand }) => {
    await hand.open('Syrup-set semolina')
    await cookIt(page, hand)
    await hand.tap('link', { name: /^To the tray/ })
    await hand.tap('radio', { name: 'squares' })
    await expect(page.locator('.count')).toContainText(/pieces of/)
    await hand.touch(page.getByRole('link', { name: 'Print labels' }).first())
    await expect(page.locator('article.label').first()).toContainText(/Contains wheat \(gluten\), milk/)
  })

  job('h', 'a day of three dishes for one meal', async ({ page, hand }) => {
    await menu(hand, 'Spread')
    await hand.type(page.getByPlaceholder(/Lamp evening/), 'Aunt comes')
    await hand.tap('button', { name: 'Plan a day' })
    await page.waitForURL(/\/spread\/.+/)
    for (const name of ['Sweet-water semolina', 'Harbour banana', 'Blue-door']) {
      await hand.choose(hand.list('A dish of the book'), new RegExp(name), name)
      await hand.tap('button', { name: 'Put it on the day' })
      await expect(page.locator('.dish strong', { hasText: name }).first()).toBeVisible({ timeout: 40_000 })
    }
    await expect(page.locator('[data-dish]')).toHaveCount(3, { timeout: 40_000 })
  })

  job('i', 'an old batch comes in from memory', async ({ page, hand }) => {
    await menu(hand, 'Ledger')
    await hand.touch(page.getByRole('link', { name: /past batch/i }).first())
    await hand.type('From lighting to the end of the roast', '14')
    await hand.type('From lighting to off the fire', '26')
    await hand.tap('button', { name: 'Put it in the ledger' })
    await page.waitForURL(/ledger\/[a-z0-9-]{20,}/)
    await expect(page.locator('.outcome').first()).toContainText(/Came right/i)
  })

  job('j', 'a batch went wrong: why, and the dish changed for next time', async ({ page, hand }) => {
    const before = new Hand(page)
    await before.open('Sweet-water semolina')
    const id = await cookIt(page, before)
    await before.tap('checkbox', { name: 'gluey', exact: true })
    await before.type('One line for next time', 'pale, in a hurry')
    await before.key('Enter')
    // It is settled beside the server, at a low priority.
    await expect
      .poll(async () => JSON.stringify(await (await get(page, '/api/batches?limit=5')).json()).includes(id), {
        timeout: 90_000,
      })
      .toBe(true)
    await page.goto('/')
    await menu(hand, 'Ledger')
    await hand.touch(page.locator('.wall li a').filter({ hasText: /gluey/ }).first())
    await hand.touch(page.getByRole('button', { name: /^Change the dish/ }).first())
    await expect(page.locator('.finder')).toContainText(/Kept as version 2/)
  })

  job('k', 'jaggery takes the place of sugar, kept as a change', async ({ page, hand }) => {
    await hand.open('Brick-kiln wheat')
    await hand.touch(page.locator('.labels .vessel').filter({ hasText: /^Sugar/ }).first().getByRole('button').first())
    await hand.touch(page.getByRole('button', { name: /[Jj]aggery/ }).first())
    await hand.tap('button', { name: /Keep the change|Keep as a dish/ })
    await expect(page.locator('.labels')).toContainText(/Jaggery/)
  })

  job('l', 'a dish goes to another house as an address', async ({ page, hand }) => {
    await menu(hand, 'Book')
    await hand.type(page.getByRole('searchbox'), 'mill lane')
    await hand.tap('button', { name: 'More of Mill Lane jaggery semolina' })
    await hand.tap('menuitem', { name: 'To another house' })
    const given = page.getByRole('textbox', { name: 'The address' })
    await expect(given).toHaveValue(/dish=/)
    const address = await given.inputValue()
    await page.goto('/')
    await page.goto(address)
    await hand.tap('button', { name: 'Keep it in our book' })
    await page.waitForURL(/measure/)
    await expect(page.getByRole('heading', { name: /Mill Lane/ })).toBeVisible()
  })
})

