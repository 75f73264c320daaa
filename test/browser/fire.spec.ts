import { nothingSerious } from './accessible'
import type { Page } from '@playwright/test'
import { firstAction, stored, toTheFire } from './cookAlong'
import { expect, test } from './hearth'

/** Where something stands and how large it is written; whether anything lies over its middle. */
interface Standing { readonly font: number, readonly inside: boolean, readonly covered: boolean }
const standing = (page: Page, selector: string): Promise<Standing> => page.evaluate((wanted) => {
  const found = document.querySelector<HTMLElement>(wanted)!
  const box = found.getBoundingClientRect()
  const at = document.elementFromPoint(box.left + box.width / 2, box.top + box.height / 2)
  return {
    font: Number.parseFloat(getComputedStyle(found).fontSize),
    inside:
      box.top >= 0
      && box.left >= 0
      && box.right <= window.innerWidth
      && box.bottom <= window.innerHeight
      && box.width > 0,
    covered: at === null || !(found === at || found.contains(at) || at.contains(found)),
  }
}, selector)

const SIZES = [[1280, 800], [820, 1180], [390, 844], [844, 390]] as const

test.describe('the fire at every size', () => {
  for (const [width, height] of SIZES) {
    test(`${width} by ${height}: clock and cue are large and never covered, three actions at most`, async ({
      page,
      complaints,
    }) => {
      await page.setViewportSize({ width, height })
      await toTheFire(page)
      await page.locator('[data-action="start"]').click()
      await page.locator('[data-action="sign.nuts-golden"]').click()
      await page.locator('[data-action="begin.roast"]').click()
      const look = () =>
        expect(async () => {
          await page.evaluate(() => window.scrollTo(0, 0))
          const [clock, cue] = [await standing(page, '.clock'), await standing(page, '.cue')]
          expect(clock).toMatchObject({ inside: true, covered: false })
          expect(cue).toMatchObject({ inside: true, covered: false })
          expect(clock.font).toBeGreaterThanOrEqual(84)
          expect(cue.font).toBeGreaterThanOrEqual(28)
          expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true)
          expect(await page.locator('[data-action]').count()).toBeLessThanOrEqual(3)
        }).toPass({ timeout: 4000 })
      await look()
      for (const key of ['m', 'x']) {
        await page.keyboard.press(key)
        await expect(page.locator('main.aside')).toBeVisible()
        await look()
        expect(await standing(page, '[data-action]')).toMatchObject({ inside: true, covered: false })
        await page.keyboard.press('Escape')
      }
      await page.keyboard.press('f')
      const [clock, cue] = [await standing(page, '.clock'), await standing(page, '.cue')]
      expect(clock).toMatchObject({ inside: true, covered: false })
      expect(cue).toMatchObject({ inside: true, covered: false })
      expect(clock.font).toBeGreaterThanOrEqual(96)
      expect(complaints.list).toEqual([])
    })
  }

  test('an acrid smell stops the roast and leads to what can be done; taken back, the roast goes on; what more went in is kept', async ({
    page,
    complaints,
  }) => {
    const id = await toTheFire(page)
    for (const action of ['start', 'sign.nuts-golden', 'begin.roast'])
      await page.locator(`[data-action="${action}"]`).click()
    await page.keyboard.press('m')
    await page.getByRole('button', { name: 'Acrid, burnt' }).click()
    await expect(page.locator('.cue')).toHaveText('Burnt: off the fire, start anew')
    await page.getByRole('button', { name: 'Put it right' }).click()
    await expect(page.getByRole('heading', { name: 'burnt note, flecks' })).toBeInViewport()
    await page.keyboard.press('Escape')
    await page.keyboard.press('z')
    await expect(page.locator('.cue')).not.toHaveText(/Burnt/)
    await page.keyboard.press('m')
    await page.getByRole('button', { name: 'water', exact: true }).click()
    await page.getByLabel('How much: water, g').fill('40')
    await page.getByRole('button', { name: 'It is in', exact: true }).click()
    await expect(page.getByText(/Take back: beside the plan: 40 g water/)).toBeVisible()
    await expect
      .poll(async () => (await stored(page, id)).map(one => one.kind))
      .toEqual(['cook.started', 'sign.seen', 'stage.began', 'sign.seen', 'withdrawn', 'added'])
    expect(complaints.list).toEqual([])
  })

  test('has nothing serious against it, with everything else and repairs open, and from afar', async ({ page }) => {
    await toTheFire(page)
    await page.locator('[data-action="start"]').click()
    for (const key of ['m', 'x', 'f']) {
      await page.keyboard.press(key)
      await nothingSerious(page, key)
      await page.keyboard.press('Escape')
    }
  })
})

test.describe('what comes from beside the hand', () => {
  const read = async (page: Page, body: object): Promise<void> => {
    const answer = await page.request.post('/api/devices/readings', {
      data: { protocol: 'yon-hearth/device/1', sentAt: Date.now(), ...body },
    })
    expect(answer.ok(), await answer.text()).toBe(true)
  }
  const scale = (cook: string) => ({
    device: 'bench-scale',
    kind: 'scale',
    name: 'scale by the stove',
    cook,
    vessel: 'pan',
  })

  test('readings of a scale and a probe mark themselves on the arch, and one that cannot be is asked about', async ({
    page,
    complaints,
  }) => {
    const id = await toTheFire(page)
    await page.locator('[data-action="start"]').click()
    await expect.poll(async () => (await stored(page, id)).length).toBe(1)
    const empty = Number(
      (
        (await (await page.request.get(`/api/cooks/${id}`)).json()) as {
          plan: { vessels: Record<string, { vessel: { massG: number } }> }
        }
      ).plan.vessels.pan!.vessel.massG,
    )
    const dots = page.locator('svg.arch .mark')
    const before = await dots.count()
    await read(page, {
      device: 'probe',
      kind: 'thermometer',
      cook: id,
      vessel: 'pan',
      readings: [61, 62, 61, 61, 62].map((value, i) => ({
        number: i + 1,
        at: Date.now() - 500 * (4 - i),
        value,
        unit: 'C',
      })),
    })
    await expect.poll(async () => (await stored(page, id)).some(one => one.kind === 'temperature')).toBe(true)
    await expect(dots).toHaveCount(before + 1)
    // Three times the pan fits no unit and no tare: a person is asked.
    await read(page, {
      ...scale(id),
      readings: [0, 1, 2, 3, 4, 5].map(i => ({
        number: i + 1,
        at: Date.now() - 500 * (5 - i),
        value: 3 * empty,
        unit: 'g',
      })),
    })
    await expect.poll(async () => (await stored(page, id)).at(-1)?.kind).toBe('reading.unsure')
    await expect(page.locator('[data-slab="unsure"]')).toBeVisible()
    await page.keyboard.press('m')
    await expect(page.getByText('scale by the stove')).toBeVisible()
    expect(complaints.list).toEqual([])
  })

  test('another device shows a mark within a second', async ({ page, browser, hearth }) => {
    const id = await toTheFire(page)
    await page.locator('[data-action="start"]').click()
    const second = await browser.newPage({ baseURL: hearth.url, serviceWorkers: 'block' })
    await second.goto(`/fire/${id}`)
    await expect(second.locator('[data-action="sign.nuts-golden"]')).toBeVisible()
    await second.evaluate(() => {
      new MutationObserver(
        () =>
          document.querySelector('[data-action="begin.roast"]')
          && ((window as unknown as { shownAt?: number }).shownAt ??= Date.now()),
      ).observe(document.body, { subtree: true, childList: true, attributes: true })
    })
    const tapped = await page.evaluate(() => {
      document.querySelector<HTMLButtonElement>('[data-action="sign.nuts-golden"]')!.click()
      return Date.now()
    })
    await expect.poll(() => firstAction(second)).toBe('begin.roast')
    expect(
      (await second.evaluate(() => (window as unknown as { shownAt?: number }).shownAt ?? Number.NaN)) - tapped,
    ).toBeLessThan(1000)
    await second.close()
  })

  test('a second dish on the other fire is shown beside the first', async ({ page, browser, hearth }) => {
    const id = await toTheFire(page)
    await page.locator('[data-action="start"]').click()
    const second = await browser.newPage({ baseURL: hearth.url, serviceWorkers: 'block' })
    await second.goto('/measure?dish=winter-market-carrot')
    await second.getByRole('button', { name: 'Take it to the fire' }).click()
    await second.waitForURL(/\/fire\//)
    await second.locator('[data-action="start"]').click()
    await expect(second.getByRole('region', { name: /^Also on the fire/ })).toBeVisible({ timeout: 12_000 })
    await second.getByRole('link', { name: 'Go to it' }).click()
    await second.waitForURL(`**/fire/${id}`)
    await second.close()
  })
})

test.describe('a cook that nobody looked at', () => {
  test('is taken up late: roasting for six minutes', async ({ page }) => {
    const id = await toTheFire(page)
    await page.getByRole('button', { name: 'Already under way?' }).click()
    const late = page.getByRole('region', { name: 'Already under way' })
    await late.getByRole('radio', { name: 'Base in' }).check()
    await late.getByRole('button', { name: 'One minute more' }).click()
    await expect(late.getByText('6 min ago')).toBeVisible()
    await late.getByRole('button', { name: 'Take it up from there' }).click()
    await expect(page.locator('main')).toHaveAttribute('data-stage', 'roast')
    await expect.poll(async () => Number(await page.locator('main').getAttribute('data-now'))).toBeGreaterThan(360)
    await expect
      .poll(async () => (await stored(page, id)).map(one => one.kind))
      .toEqual(['cook.started', 'stage.began'])
  })

  test('asks one question when it is come back to, and goes on from the answer', async ({ page }) => {
    const id = await toTheFire(page)
    await expect.poll(async () => (await page.request.get(`/api/cooks/${id}`)).status()).toBe(200)
    // Left alone since an hour ago: the roast began, and then nobody marked anything.
    const start = Date.now() - 3_600_000
    await page.request.post(`/api/streams/${id}/observations`, {
      data: { sentAt: Date.now(), observations: [
        { id: 'left-1', device: 'gone', number: 1, deviceTime: start, kind: 'cook.started', payload: {} },
        {
          id: 'left-2',
          device: 'gone',
          number: 2,
          deviceTime: start + 240_000,
          kind: 'stage.began',
          payload: { stage: 'roast' },
        },
      ] },
    })
    await page.reload()
    await expect(page.locator('main')).toHaveAttribute('data-cue', 'asked')
    await expect(page.getByText('One question first')).toBeVisible()
    expect(await page.locator('[data-action]').count()).toBe(3)
    await page.locator('[data-action="asked-not"]').click()
    await expect(page.locator('main')).not.toHaveAttribute('data-cue', 'asked')
    await expect(page.getByText('One question first')).toHaveCount(0)
  })
})

test.describe('a device outside the house', () => {
  test.use({ env: { HEARTH_MACHINE_TRUSTED: '0', HEARTH_PASSPHRASE: 'brass ladle morning' } })

  test('is let in by the passphrase, and only by it', async ({ page }) => {
    await page.goto('/')
    await expect(page.getByRole('heading', { name: 'Enter the house' })).toBeVisible()
    expect((await page.request.get('/api/cooks')).status()).toBe(401)
    await page.getByLabel('The household\'s passphrase').fill('tin ladle evening')
    await page.getByRole('button', { name: 'Enter' }).click()
    await expect(page.getByRole('alert')).toContainText('passphrase')
    await page.getByLabel('The household\'s passphrase').fill('brass ladle morning')
    await page.getByRole('button', { name: 'Enter' }).click()
    await expect(page.locator('.arcade svg').first()).toBeVisible()
    const id = await toTheFire(page)
    await page.locator('[data-action="start"]').click()
    await expect(page.getByText('kept on the hearth')).toBeVisible()
    // Sent out in the middle of a cook: the marks wait here until it is let in again.
    await page.request.post('/api/house/leave')
    await page.locator('[data-action="sign.nuts-golden"]').click()
    await expect(page.getByText(/outside the house: 1 kept here/)).toBeVisible()
    await page.getByLabel('The household\'s passphrase').fill('brass ladle morning')
    await page.getByRole('button', { name: 'Enter' }).click()
    await expect(page.getByText('kept on the hearth')).toBeVisible({ timeout: 15_000 })
    expect((await stored(page, id)).map(one => one.kind)).toEqual(['cook.started', 'sign.seen'])
  })
})
