import type { Page } from '@playwright/test'
import { expect, test } from './hearth'

/** Counts what a hand does: a tap, a typing, a key. */
function counting(page: Page) {
  let actions = 0
  return {
    count: () => actions,
    /** A dish of the short list on the home view. */
    async open(name: RegExp): Promise<void> {
      actions++
      await page.locator('.start').getByRole('link', { name }).first().click()
      await page.waitForURL(/measure/)
      await expect(page.locator('.labels .vessel').first()).toBeVisible()
    },
    async tap(...find: Parameters<Page['getByRole']>): Promise<void> {
      actions++
      await page.getByRole(...find).first().click()
    },
    async type(label: string, text: string): Promise<void> {
      actions++
      await page.getByLabel(label).fill(text)
    },
    async key(name: string): Promise<void> {
      actions++
      await page.keyboard.press(name)
    },
  }
}

test.use({ shared: true })

test.describe('from the home view, in at most three actions', () => {
  test('a known dish is scaled to what is on hand', async ({ page }) => {
    await page.goto('/')
    const hand = counting(page)
    await hand.open(/Cart-wheel pumpkin/)
    await hand.type('Make it from', '930 g pumpkin, peeled')
    await hand.key('Enter')
    expect(hand.count()).toBeLessThanOrEqual(3)
    await expect(page.locator('.labels .vessel').first()).toContainText('930 g')
    await expect(page.getByRole('status').filter({ hasText: 'From 930 g of pumpkin' })).toBeVisible()
  })

  test('the cup is changed', async ({ page }) => {
    await page.goto('/')
    const hand = counting(page)
    await hand.open(/Brick-kiln wheat/)
    await expect(page.getByText('One glass is your verandah glass, 180 ml.')).toBeVisible()
    await page.locator('.el-select', { has: page.getByRole('combobox', { name: 'Cup' }) }).click()
    await page.getByRole('option', { name: /Brass cup/ }).click()
    expect(hand.count() + 2).toBeLessThanOrEqual(3)
    await expect(page.getByText('One cup is your brass cup, 240 ml.')).toBeVisible()
  })

  test('what a swap does is seen, then done, then undone', async ({ page }) => {
    await page.goto('/')
    const hand = counting(page)
    await hand.open(/Blue-door soft gram/)
    await hand.tap('button', { name: /^Milk, whole: amount/ })
    expect(hand.count()).toBeLessThanOrEqual(3)
    const powder = page.locator('.swaps .offer', { hasText: 'whole milk powder' })
    await expect(powder).toContainText(/\d+ g whole milk powder/)
    await powder.click()
    await expect(page.locator('.labels')).toContainText('Whole milk powder')
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.locator('.labels')).not.toContainText('powder')
  })

  test('it is seen whether it fits, and what to do where it does not', async ({ page }) => {
    await page.goto('/')
    const hand = counting(page)
    await hand.open(/First-offering semolina/)
    await expect(page.locator('.panfit')).toContainText(/It fits|Room to spare/)
    await hand.type('Make it from', '1.5 kg')
    await hand.key('Enter')
    expect(hand.count()).toBeLessThanOrEqual(3)
    await expect(page.locator('.panfit')).toContainText('Too small for this much')
    await expect(page.locator('.panfit')).toContainText(/cook \d lots/)
  })
})

test.describe('bad input gets a sentence and changes nothing', () => {
  test('nothing, less than nothing, text, too much, and a script to make it from', async ({ page }) => {
    await page.goto('/measure?dish=sweet-water-semolina')
    const glass = page.locator('.labels .vessel').first()
    const refused = page.getByRole('alert').filter({ hasText: 'Nothing was changed' })
    for (const text of ['0 g', '-2 glasses', 'a good deal', '80 kg', '<script>alert(1)</script>']) {
      await expect(glass).toContainText('250 g')
      await page.getByLabel('Make it from').fill(text)
      await page.keyboard.press('Enter')
      await expect(refused).toBeVisible()
      await expect(page.getByLabel('Make it from')).toHaveValue(text)
      await expect(glass).toContainText('250 g')
      // What is taken is taken; the sentence goes.
      await page.getByLabel('Make it from').fill('250 g')
      await page.keyboard.press('Enter')
      await expect(refused).toHaveCount(0)
    }
  })

  test('ten kilograms of cardamom', async ({ page }) => {
    await page.goto('/measure?dish=sweet-water-semolina')
    await page.getByRole('button', { name: /Cardamom/ }).click()
    await page.getByLabel(/Change it to/).fill('10 kg')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('alert').filter({ hasText: 'would drown everything else' })).toBeVisible()
    await expect(page.getByLabel(/Change it to/)).toHaveValue('10 kg')
    await expect(page.getByRole('button', { name: /Cardamom/ })).toContainText('1.5 g')
  })

  test('a cup of 0 ml, over HTTP and a full glass that cannot be', async ({ page, request, hearth }) => {
    const bad = await request.put(`${hearth.url}/api/kitchen/measures/glass`, {
      data: {
        id: 'glass',
        name: 'Glass',
        kind: 'cup',
        volumeMl: 0,
        origin: 'entered',
        topMm: 60,
        bottomMm: 50,
        heightMm: 70,
      },
    })
    expect(bad.status()).toBe(400)
    await page.goto('/measure?dish=sweet-water-semolina')
    await page.getByRole('button', { name: /^Semolina, medium/ }).click()
    await page.getByLabel('A full glass, g').fill('4000')
    await page.keyboard.press('Tab')
    await expect(page.getByRole('alert').filter({ hasText: 'Nothing was changed' })).toBeVisible()
  })

  test('a file of 20 MB, a file of something else, a recipe with a script in its name', async ({ page }) => {
    await page.goto('/book')
    const give = (name: string, buffer: Buffer) =>
      page.locator('input[type="file"]').setInputFiles({ name, mimeType: 'application/json', buffer })
    await give('huge.json', Buffer.alloc(20_000_000, 0x20))
    await expect(page.getByRole('alert').filter({ hasText: 'huge.json is 20 MB' })).toBeVisible()
    await give('photo.json', Buffer.from([0xff, 0xd8, 0xff]))
    await expect(page.getByRole('alert').filter({ hasText: 'is neither JSON nor a page' })).toBeVisible()
    let ran = false
    page.on('dialog', () => {
      ran = true
    })
    await give(
      'evil.json',
      Buffer.from(
        JSON.stringify({
          '@type': 'Recipe',
          'name': '<img src=x onerror=alert(1)><script>alert(2)</script> Halwa',
          'recipeIngredient': ['1 cup semolina, medium', '3/4 cup ghee', '1 cup sugar', '4 cups water'],
        }),
      ),
    )
    await expect(page.getByLabel('Name of the dish')).toHaveValue('alert(2) Halwa')
    expect(ran).toBe(false)
  })
})

test.describe('corrections and units', () => {
  test('a density weighed once is remembered, and moves the marks of every dish', async ({ page }) => {
    await page.goto('/measure?dish=brick-kiln-wheat')
    await page.getByRole('button', { name: /^Sugar: amount/ }).click()
    await page.getByLabel('A full glass, g').fill('160')
    await Promise.all([page.waitForResponse(/\/kitchen\/corrections\/sugar/), page.keyboard.press('Tab')])
    await expect(page.getByText('taken as 160 g (weighed by you)')).toBeVisible()
    await page.reload()
    await page.getByRole('button', { name: /^Sugar: amount/ }).click()
    await expect(page.getByText('taken as 160 g (weighed by you)')).toBeVisible()
  })

  test('one switch reads every screen in ounces', async ({ page }) => {
    await page.goto('/kitchen')
    await Promise.all([
      page.waitForResponse(/\/kitchen\/settings/),
      page.getByRole('radio', { name: 'oz, lb and °F' }).check(),
    ])
    await page.goto('/measure?dish=sweet-water-semolina')
    await expect(page.locator('.labels .vessel').first()).toContainText('8.8 oz')
    await page.goto('/card/sweet-water-semolina')
    await expect(page.locator('.card')).toContainText('8.8 oz')
    await page.goto('/kitchen')
    await page.getByRole('radio', { name: 'g and °C' }).check()
  })
})

test.describe('the school of a dish', () => {
  test('says why a combination cannot work, and what would', async ({ page }) => {
    await page.goto('/measure?dish=sweet-water-semolina')
    await page.locator('.el-select', { has: page.getByRole('combobox', { name: 'Sugar goes in' }) }).click()
    await page.getByRole('option', { name: 'powdered, off the fire' }).click()
    await expect(page.getByRole('alert').filter({ hasText: 'This cannot work.' })).toContainText(
      'Powdered sugar off the fire needs a dry mass',
    )
    await expect(page.getByRole('button', { name: 'Take it to the fire' })).toBeDisabled()
    await page.getByRole('button', { name: /sugar goes in once the grain has swollen/ }).click()
    await expect(page.getByText('This cannot work.')).toHaveCount(0)
    await page.getByRole('tab', { name: 'Its stages' }).click()
    await expect(page.locator('.stages')).toContainText('It runs again when the sugar goes in, then tightens.')
  })
})

test.describe('amounts on own marks', () => {
  test('offers scales with their distortion and takes one', async ({ page }) => {
    await page.goto('/measure?dish=brick-kiln-wheat')
    await page.getByRole('button', { name: 'On my marks' }).click()
    await expect(page.locator('.owned .offer')).not.toHaveCount(0)
    await expect(page.locator('.owned .offer').first()).toContainText(/proportions/)
    await page.locator('.owned .offer').first().click()
    await expect(page.locator('.labels')).not.toContainText('% off')
  })
})

test.describe('the store', () => {
  test('keeps what was got and opened, and a surplus of ground flour with its date', async ({ page }) => {
    await page.goto('/measure?dish=granary-chickpea')
    await page.getByLabel('Make it from').fill('120 g')
    await page.keyboard.press('Enter')
    await page.getByRole('tab', { name: 'Get ready and buy' }).click()
    await Promise.all([
      page.waitForResponse(/\/kitchen\/store/),
      page.getByRole('button', { name: /Put them in the store/ }).click(),
    ])
    await page.goto('/kitchen')
    const row = page.locator('tr', { hasText: 'Split chickpeas' })
    await expect(row).toHaveCount(1)
    await row.getByRole('button', { name: 'Used up' }).click()
    await expect(row).toHaveCount(0)
    await page.getByLabel('How much').fill('much')
    await page.getByRole('button', { name: 'Put it in' }).click()
    await expect(page.getByRole('alert').filter({ hasText: 'not understood as an amount' })).toBeVisible()
  })
})
