import { get } from './cookAlong'
import { expect, test } from './hearth'
test.use({ shared: true })

test.describe('the book', () => {
  test('finds by regional names in three scripts, forgiving of spelling', async ({ page }) => {
    await page.goto('/book')
    for (const [text, dish] of [
      ['gaajar halva', 'Winter-market carrot'],
      ['கேழ்வரகு', 'Red-soil finger millet'],
      ['लौकी', 'Garden-wall gourd'],
    ] as const) {
      await page.getByLabel('Find', { exact: true }).fill(text)
      await expect(page.locator('.dishes li').first()).toContainText(dish)
    }
  })

  test('forecasts the dishes in sight, and others once they come into it', async ({ page }) => {
    await page.goto('/book')
    const forecast = page.locator('.dishes li:has(.stand:not(.outline))')
    const inSight = await page.locator('.dishes li').evaluateAll(
      all => all.filter(one => one.getBoundingClientRect().top < innerHeight).length,
    )
    await expect.poll(() => forecast.count()).toBeGreaterThanOrEqual(inSight)
    const last = page.locator('.dishes li').last()
    await expect(last.locator('.stand')).toHaveClass(/outline/)
    await last.scrollIntoViewIfNeeded()
    await expect(last.locator('.stand')).not.toHaveClass(/outline/)
  })

  test('makes a dish of a pasted text, asking about every doubtful line', async ({ page }) => {
    await page.goto('/book')
    await page.getByRole('button', { name: 'From a pasted text' }).click()
    await page
      .getByLabel(/ingredient lines/)
      .fill('For the halwa:\n1 cup besan\n3/4 cup ghee\n1 cup sugar\n2 cups water\n2-3 tbsp cashews\ndragon scales')
    await expect(page.getByText('2 lines want a decision.')).toBeVisible()
    await expect(page.getByRole('button', { name: 'Make a dish of it' })).toBeDisabled()
    await page.getByRole('button', { name: /^Yes, 2-3 tbsp cashews/ }).click()
    await page.locator('li.line', { hasText: 'dragon scales' }).locator('.el-select').click()
    await page.getByRole('option', { name: 'leave this line out' }).click()
    await page.getByLabel('Name of the dish').fill('Aunt\'s gram')
    await page.getByRole('button', { name: 'Make a dish of it' }).click()
    await page.waitForURL(/measure/)
    await expect(page.getByRole('heading', { name: 'Aunt\'s gram' })).toBeVisible()
    await expect(page.locator('.right')).toContainText('pour')
  })

  test('begins a new dish from a family and a style, copies, changes, takes an older version again, and puts aside', async ({
    page,
  }) => {
    await page.goto('/book')
    await page.getByRole('button', { name: 'A new dish' }).click()
    await page.getByRole('textbox', { name: 'Name' }).fill('Quick try')
    await page.getByRole('button', { name: 'Measure it out' }).click()
    await page.waitForURL(/measure/)
    await expect(page.getByRole('heading', { name: 'Quick try' })).toBeVisible()
    const ghee = page.getByRole('slider', { name: /Ghee/ })
    await ghee.press('ArrowUp')
    await page.getByRole('button', { name: 'Keep the change' }).click()
    await expect(page.getByRole('button', { name: 'Keep the change' })).toHaveCount(0)
    await page.goto('/book?find=quick%20try')
    await page.getByRole('button', { name: 'More of Quick try' }).click()
    await page.getByRole('menuitem', { name: 'Its versions' }).click()
    const versions = page.getByRole('dialog', { name: 'Versions of Quick try' })
    await versions.getByRole('button', { name: 'Take this one again' }).click()
    await expect(versions.getByRole('listitem')).toHaveCount(3)
    await page.keyboard.press('Escape')
    await expect(versions).toHaveCount(0)
    await page.getByRole('button', { name: 'More of Quick try' }).click()
    await page.getByRole('menuitem', { name: 'Put aside' }).click()
    await expect(page.locator('.dishes > li')).toHaveCount(0)
    await page.getByLabel('put aside').check()
    await expect(page.locator('.dishes > li')).toHaveCount(1)
  })

  test('gives a dish to another house as an address, its own ingredient with it', async ({ page }) => {
    await page.goto('/measure?dish=sweet-water-semolina')
    await page.getByRole('button', { name: 'Add an ingredient' }).click()
    await page.getByRole('button', { name: /not in the list/ }).click()
    await page.getByLabel('Its name').fill('Terrace seed')
    await page.locator('form.own .el-select').first().click()
    await page.keyboard.type('Sesame seed')
    await page.getByRole('option', { name: 'Sesame seed' }).click()
    await page.getByLabel(/A kilogram costs/).fill('240')
    await page.getByRole('button', { name: 'Keep it in our table' }).click()
    await page.getByLabel('How much').fill('15 g')
    await expect(page.getByText('It brings sesame into the dish.')).toBeVisible()
    await page.getByRole('button', { name: 'Put it in' }).click()
    await expect(page.getByRole('button', { name: /Terrace seed/ })).toBeVisible()
    await page.getByRole('button', { name: 'Keep the change' }).click()
    await page.goto('/book?find=sweet-water')
    await page.getByRole('button', { name: 'More of Sweet-water semolina' }).click()
    await page.getByRole('menuitem', { name: 'To another house' }).click()
    await expect(page.getByRole('img', { name: /A code to scan/ })).toBeVisible()
    const address = await page.getByRole('textbox', { name: 'The address' }).inputValue()
    await page.goto('/')
    await page.goto(address)
    await expect(page.getByRole('region', { name: 'A dish from another house' })).toContainText('Terrace seed')
    await page.getByRole('button', { name: 'Keep it in our book' }).click()
    await page.waitForURL(/measure/)
    await expect(page.getByRole('heading', { name: 'Sweet-water semolina' })).toBeVisible()
    await expect(page.getByRole('button', { name: /Terrace seed/ })).toBeVisible()
    await page.goto(address.slice(0, -60))
    await expect(page.getByText(/cannot be read/)).toBeVisible()
  })

  test('gives a dish away as a Recipe and takes it back without loss', async ({ page }) => {
    await page.goto('/book?find=patience%20almond')
    await page.getByRole('button', { name: 'More of Patience almond' }).click()
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('menuitem', { name: 'As a Recipe (JSON-LD)' }).click(),
    ])
    const chunks: Buffer[] = []
    for await (const chunk of await download.createReadStream()) chunks.push(chunk as Buffer)
    await page
      .locator('input[type="file"]')
      .setInputFiles({ name: 'a.jsonld', mimeType: 'application/ld+json', buffer: Buffer.concat(chunks) })
    await page.waitForURL(/measure/)
    await expect(page.getByRole('heading', { name: 'Patience almond' })).toBeVisible()
    const { dishes } = (await (await get(page, '/api/dishes')).json()) as {
      dishes: { name: string, ingredients: unknown[] }[]
    }
    const both = dishes.filter(dish => dish.name === 'Patience almond')
    expect(both).toHaveLength(2)
    expect(both[0]!.ingredients).toEqual(both[1]!.ingredients)
  })
})
