import { firstAction, stored, toTheFire } from './cookAlong'
import { expect, test } from './hearth'

test.describe('nothing acknowledged is lost and nothing is doubled', () => {
  test('when the server is killed in the middle, started again and the cook goes on', async ({ page, hearth }) => {
    const id = await toTheFire(page)
    await page.locator('[data-action="start"]').click()
    await page.locator('[data-action="sign.nuts-golden"]').click()
    await expect.poll(async () => (await stored(page, id)).length).toBe(2)
    const before = Number(await page.locator('main').getAttribute('data-now'))
    await hearth.kill()
    await page.locator('[data-action="begin.roast"]').click()
    await expect(page.getByText(/hearth away: 1 kept here/)).toBeVisible()
    await page.locator('[data-action="sign.aroma"]').click()
    await expect(page.getByText(/hearth away: 2 kept here/)).toBeVisible()
    await hearth.start()
    await expect(page.getByText('kept on the hearth')).toBeVisible({ timeout: 15_000 })
    const kinds = await stored(page, id)
    expect(kinds.map(one => one.kind)).toEqual(['cook.started', 'sign.seen', 'stage.began', 'sign.seen'])
    expect(new Set(kinds.map(one => one.id)).size).toBe(4)
    await page.reload()
    await expect(page.locator('main')).toHaveAttribute('data-stage', 'roast')
    const after = Number(await page.locator('main').getAttribute('data-now'))
    expect(after).toBeGreaterThanOrEqual(before)
    await page.locator('[data-action="looks"]').click()
    await page.getByRole('button', { name: /^pale/ }).click()
    await expect.poll(() => firstAction(page)).toBe('begin.pour')
    await expect.poll(async () => (await stored(page, id)).length).toBe(5)
  })
})

test.describe('a lost connection', () => {
  test.use({ serviceWorkers: 'allow' })

  test('lets the cook go on, also over a reload, and sends everything once it is back', async ({ page, context }) => {
    await page.goto('/')
    await page.evaluate(async () => {
      await navigator.serviceWorker.ready
    })
    // Everything that the shell needs is on the device, and the worker answers for this page.
    await page.reload()
    await expect.poll(() => page.evaluate(async () => {
      const kept = await Promise.all((await caches.keys()).map(async name => (await (await caches.open(name)).keys()).length))
      return navigator.serviceWorker.controller !== null && kept.some(count => count > 20)
    }), { timeout: 20_000 }).toBe(true)
    const id = await toTheFire(page)
    await page.locator('[data-action="start"]').click()
    await expect.poll(async () => (await stored(page, id)).length).toBe(1)
    await expect(page.getByText('kept on the hearth')).toBeVisible()
    await context.setOffline(true)
    await page.locator('[data-action="sign.nuts-golden"]').click()
    await expect(page.getByText(/hearth away: 1 kept here/)).toBeVisible()
    await page.reload()
    await expect(page.locator('main')).toHaveAttribute('data-stage', 'nuts', { timeout: 15_000 })
    await expect.poll(() => firstAction(page)).toBe('begin.roast')
    await page.locator('[data-action="begin.roast"]').click()
    await expect(page.locator('main')).toHaveAttribute('data-stage', 'roast')
    await expect(page.locator('svg.arch')).toBeVisible()
    await context.setOffline(false)
    await expect(page.getByText('kept on the hearth')).toBeVisible({ timeout: 15_000 })
    await expect
      .poll(async () => (await stored(page, id)).map(one => one.kind))
      .toEqual(['cook.started', 'sign.seen', 'stage.began'])
  })

  test('lets a cook begin that the hearth has not heard of yet', async ({ page, context }) => {
    await page.goto('/measure?dish=sweet-water-semolina')
    await expect(page.getByRole('button', { name: 'Take it to the fire' })).toBeEnabled()
    await context.setOffline(true)
    await page.getByRole('button', { name: 'Take it to the fire' }).click()
    await page.waitForURL(/\/fire\//)
    await page.locator('[data-action="start"]').click()
    await expect(page.getByText(/hearth away: 2 kept here/)).toBeVisible()
    await context.setOffline(false)
    await expect(page.getByText('kept on the hearth')).toBeVisible({ timeout: 15_000 })
    expect((await stored(page, page.url().split('/').pop()!)).map(one => one.kind)).toEqual(['cook.started'])
  })
})
