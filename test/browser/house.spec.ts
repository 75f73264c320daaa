import { toTheFire } from './cookAlong'
import { expect, test } from './hearth'

test.use({ shared: true })

test.describe('Measure', () => {
  test('takes amounts as cooks speak and says what it did not understand', async ({ page }) => {
    await page.goto('/measure?dish=sweet-water-semolina')
    const say = page.getByLabel('Make it from')
    await say.fill('2 glasses')
    await say.press('Enter')
    await expect(page.locator('.labels .vessel').first()).toContainText('2 glasses')
    await expect(page.locator('.labels .vessel').first()).toContainText('260 g')
    await say.fill('for 12 people')
    await say.press('Enter')
    await expect(page.locator('.right')).toContainText('12 of 190 g')
    await say.fill('much')
    await say.press('Enter')
    await expect(page.getByRole('alert').filter({ hasText: 'not understood' })).toContainText('Nothing was changed')
    await expect(page.locator('.right')).toContainText('12 of 190 g')
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.locator('.labels .vessel').first()).toContainText('2 glasses')
  })

  test('lets a level be dragged and everything follows', async ({ page }) => {
    await page.goto('/measure?dish=sweet-water-semolina')
    const ghee = page.getByRole('slider', { name: /Ghee/ })
    await expect(ghee).toBeVisible()
    const before = Number(await ghee.getAttribute('aria-valuenow'))
    const box = (await ghee.boundingBox())!
    await page.mouse.move(box.x + 20, box.y + box.height - 30)
    await page.mouse.down()
    await page.mouse.move(box.x + 20, box.y + box.height - 70, { steps: 5 })
    await page.mouse.up()
    expect(Number(await ghee.getAttribute('aria-valuenow'))).toBeGreaterThan(before + 0.2)
    await ghee.press('ArrowDown')
    const sugar = page.getByRole('slider', { name: /Sugar/ })
    for (let i = 0; i < 12; i++) await sugar.press('ArrowDown')
    await expect(page.locator('.labels')).toContainText('bland')
  })

  test('warns where coarse grain meets a coated pan', async ({ page }) => {
    await page.goto('/measure?dish=sweet-water-semolina')
    await expect(page.getByText('coarse grain scratches')).toHaveCount(0)
    await page.locator('.el-select', { has: page.getByRole('combobox', { name: 'Pan' }) }).click()
    await page.getByRole('option', { name: 'Black coated pan' }).click()
    await expect(page.getByText('coarse grain scratches')).toBeVisible()
  })
})

test.describe('Kitchen', () => {
  test('finds a cup by weighing it and remembers', async ({ page }) => {
    await page.goto('/kitchen')
    await page.getByRole('button', { name: 'Another cup' }).click()
    await page.getByLabel('Name', { exact: true }).fill('Tin mug')
    await page.getByLabel('Name', { exact: true }).press('Enter')
    await page.getByLabel(/^Empty/).fill('120')
    await page.getByLabel(/^Full/).fill('90')
    await page.getByLabel(/^Full/).press('Tab')
    await expect(page.getByRole('alert').filter({ hasText: 'Nothing was changed' })).toBeVisible()
    await page.getByLabel(/^Full/).fill('419.4')
    await page.getByLabel(/^Full/).press('Tab')
    await expect(page.locator('.thing', { hasText: 'Tin mug' })).toContainText('300 ml')
    await page.reload()
    await expect(page.locator('.thing', { hasText: 'Tin mug' })).toContainText('weighed')
    await page.locator('.thing', { hasText: 'Tin mug' }).click()
    await page.getByRole('button', { name: 'Take it off the shelf' }).click()
    await expect(page.locator('.thing', { hasText: 'Tin mug' })).toHaveCount(0)
    await page.getByRole('button', { name: 'Put it back' }).click()
    await expect(page.locator('.thing', { hasText: 'Tin mug' })).toHaveCount(1)
  })
})

test.describe('Ledger', () => {
  test('opens a batch, keeps a note, removes it and puts it back, gives it away as JSON', async ({ page }) => {
    await page.goto('/ledger')
    await expect(page.locator('.wall li')).toHaveCount(19)
    await page.locator('.wall li', { hasText: 'burnt note' }).click()
    await expect(page.getByText('Strong flame and the telephone.')).toBeVisible()
    await page.getByLabel('Note', { exact: true }).fill('Never leave it.')
    await page.getByLabel('Note', { exact: true }).press('Tab')
    await expect(page.getByText('kept', { exact: true })).toBeVisible()
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Take it away as JSON' }).click(),
    ])
    const stream = await download.createReadStream()
    const chunks: Buffer[] = []
    for await (const chunk of stream) chunks.push(chunk as Buffer)
    const taken = JSON.parse(Buffer.concat(chunks).toString('utf8')) as { format: string, observations: unknown[] }
    expect(taken.format).toBe('yon-hearth/batch/1')
    expect(taken.observations.length).toBeGreaterThan(5)
    await page.getByRole('button', { name: 'Remove' }).click()
    await expect(page.getByText('It can be put back.')).toBeVisible()
    await page.getByRole('link', { name: 'All batches' }).click()
    await expect(page.locator('.wall li')).toHaveCount(18)
    await page.goBack()
    await page.reload()
    await expect(page.getByLabel('Note', { exact: true })).toHaveValue('Never leave it.')
  })
})

test.describe('an empty house', () => {
  test.use({ demo: false })

  test('can be cooked in with nothing but guesses, which say so', async ({ page }) => {
    await page.goto('/')
    await expect(page.getByText('Nothing cooked yet.')).toBeVisible()
    await expect(page.getByText(/still guesses/)).toBeVisible()
    await toTheFire(page)
    await page.locator('[data-action="start"]').click()
    await expect(page.locator('main')).toHaveAttribute('data-stage', 'nuts')
    await expect(page.getByText(/first guesses of your fires/).first()).toBeVisible()
  })
})
