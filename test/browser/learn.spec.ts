import { expect, test } from './hearth'

test.describe('a boil check', () => {
  test('goes from the fire to what it says, moves the fire, and can be forgotten', async ({ page, complaints }) => {
    await page.goto('/kitchen')
    await page.getByRole('link', { name: 'Boil check' }).first().click()
    await expect(page.getByText(/With nothing known it boils in/)).toBeVisible()
    await page.getByRole('button', { name: 'On the fire' }).click()
    await expect(page.getByRole('timer')).toBeVisible()
    // The clock is put back as time would have: the check lives on the device.
    await page.evaluate(() => {
      const state = JSON.parse(localStorage.getItem('yon-hearth.boil') ?? '{}') as Record<string, number>
      localStorage.setItem('yon-hearth.boil', JSON.stringify({ ...state, startedMs: state.startedMs! - 380_000 }))
    })
    await page.reload()
    await page.getByRole('button', { name: 'It boils' }).click()
    await page.getByLabel('Thermometer in the boiling').fill('200')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('alert').filter({ hasText: 'Nothing was changed' })).toBeVisible()
    await page.getByRole('button', { name: 'Enough: read it' }).click()
    await expect(page.getByText(/W reach this pan/)).toBeVisible()
    await page.getByRole('link', { name: 'What the forecast rests on' }).click()
    const sources = page.locator('.sources li')
    await expect(sources.first()).toContainText('boil check')
    const before = await page.locator('.two').nth(3).innerText()
    await sources.first().getByRole('button').click()
    await expect(sources.first().getByRole('button')).toContainText('Learn again')
    await expect(page.locator('.two').nth(3)).not.toHaveText(before)
    await page.reload()
    await expect(sources.first().getByRole('button')).toContainText('Learn again')
    await sources.first().getByRole('button').click()
    await expect(sources.first().getByRole('button')).toContainText('Forget')
    expect(complaints.list).toEqual([])
  })
})

test.describe('what the forecast rests on', () => {
  test('counts older readings less once a burner was cleaned', async ({ page }) => {
    await page.goto('/kitchen/learned')
    const row = page.locator('.two').first()
    await expect(row).toBeVisible()
    const before = await row.innerText()
    await page.getByRole('button', { name: 'Cleaned or replaced' }).first().click()
    await expect(page.locator('.says')).toContainText('count less')
    await expect(row).not.toHaveText(before)
  })
})

test.describe('flames of a roast', () => {
  test('are planned on Measure, taken, and called at the fire when their cue comes', async ({ page }) => {
    await page.goto('/measure?dish=brick-kiln-wheat')
    const planner = page.locator('.planner')
    await expect(planner.getByText(/Best of|Nothing on this fire/)).toBeVisible({ timeout: 20_000 })
    await planner.getByRole('button', { name: 'Plan it so: Advised' }).click()
    await expect(planner.getByRole('button', { name: 'Plan it so: Advised' })).toHaveText('Planned')
    const turns = await page.evaluate(
      () =>
        (JSON.parse(localStorage.getItem('yon-hearth.sheet') ?? '{}') as { turns?: { cue: string, mark: string }[] })
          .turns,
    )
    await page.getByRole('button', { name: 'Take it to the fire' }).click()
    await page.waitForURL(/fire/)
    await page.locator('[data-action="start"]').click()
    await page.locator('[data-action="sign.aroma"]').click()
    const turn = turns?.find(one => one.cue === 'aroma')
    if (turn) {
      await expect(page.locator('.cue')).toContainText('Turn the flame down to')
      await page.locator(`[data-action="turn.${turn.mark}"]`).click()
      await expect(page.locator(`[data-action="turn.${turn.mark}"]`)).toHaveCount(0)
    }
  })
})
