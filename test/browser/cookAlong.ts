import { expect, type APIResponse, type Page } from '@playwright/test'

/** Code of the first action of the fire screen; nothing where none is offered. */
export async function firstAction(page: Page): Promise<string> {
  return page.evaluate(() => document.querySelector<HTMLElement>('[data-action]')?.dataset.action ?? '')
}

const isFinished = (page: Page): Promise<boolean> =>
  page.evaluate(() => document.querySelector<HTMLElement>('main')?.dataset.cue === 'finished')

/**
 * Waits until the first action is another one, a second and a half at most: where the other vessel was called just as
 * the hand came down, that was done instead, and the same action is first again.
 */
async function settle(page: Page, before: string): Promise<void> {
  for (let i = 0; i < 15 && await firstAction(page) === before; i++) await page.waitForTimeout(100)
}

/**
 * Cooks a whole dish by doing, at every moment, what the screen puts first. At hundreds of times the speed another
 * action can have come into its place before the hand is down: that one is done then, and it goes on until the cook is
 * finished.
 *
 * @param page on the fire screen, before the fire is lit
 * @param press does the first action
 * @param choose chooses the first colour
 * @returns codes of the actions that were looked at, in order
 */
export async function cookThrough(
  page: Page,
  press: (code: string) => Promise<unknown>,
  choose: () => Promise<unknown>,
): Promise<string[]> {
  const done: string[] = []
  await expect(page.locator('[data-action="start"]')).toBeVisible()
  for (let i = 0; i < 60; i++) {
    if (await isFinished(page)) return done
    const code = await firstAction(page)
    if (code !== '') {
      done.push(code)
      await press(code)
      if (code === 'looks') await choose()
      await settle(page, code)
    }
    await page.waitForTimeout(120)
  }
  throw new Error(`The cook did not end: ${done.join(', ')}`)
}

/** Asks the server; an idle connection that it closed in the same moment is tried once more. */
export async function get(page: Page, path: string): Promise<APIResponse> {
  return page.request.get(path).catch(() => page.request.get(path))
}

/** What a stream holds on the server. */
export async function stored(page: Page, id: string): Promise<{ id: string, kind: string, number: number }[]> {
  const answer = await get(page, `/api/streams/${id}/observations`)
  return (await answer.json() as { observations: { id: string, kind: string, number: number }[] }).observations
}

/** Measures the demo dish and takes it to the fire; gives the id of the cook. */
export async function toTheFire(page: Page): Promise<string> {
  await page.goto('/measure?dish=sweet-water-semolina')
  await page.getByRole('button', { name: 'Take it to the fire' }).click()
  await page.waitForURL(/\/fire\//)
  return page.url().split('/').pop()!
}
