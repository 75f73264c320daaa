import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { forecastCook } from '../../core/forecast/forecastCook'
import { examplePlan } from '../../test/support/plans'
import type { Figure } from './figure'
import { ARGS, CHROMIUM, serve } from './serve'

const SLOWER = 4
const MOVES = 80
/** Members of the first forecast while a level moves, as in the measure sheet. */
const MEMBERS = 8
const percentile = (list: readonly number[], share: number): number => [...list].sort((p, q) => p - q)[Math.min(list.length - 1, Math.floor(list.length * share))]!

/**
 * Dragging a level on a processor slowed four times: from the move of the hand until amounts, consequences and the
 * first forecast stand redrawn. The page is slowed by the browser; the worker is not, so that three times its own time
 * is added.
 *
 * @returns the 95th percentile over a drag, and the part before the forecast
 */
export async function dragging(): Promise<Figure[]> {
  const data = mkdtempSync(join(tmpdir(), 'yon-hearth-drag-'))
  const { port, end } = await serve('.', data)
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: ARGS })
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`http://127.0.0.1:${port}/measure?dish=sweet-water-semolina`)
  await page.locator('.preview svg').waitFor()
  await page.waitForTimeout(2500)
  const session = await page.context().newCDPSession(page)
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER })
  const times = await page.evaluate(async (moves) => {
    const slider = document.querySelectorAll<SVGSVGElement>('[role="slider"]')[1]!
    const preview = document.querySelector('.preview')!
    const box = slider.getBoundingClientRect()
    const send = (type: string, movementY: number): boolean => slider.dispatchEvent(new PointerEvent(type, { bubbles: true, pointerId: 1, clientX: box.x + 20, clientY: box.y + 40, movementY }))
    slider.setPointerCapture = () => undefined
    const frame = (): Promise<number> => new Promise(done => requestAnimationFrame(() => setTimeout(() => done(performance.now()))))
    send('pointerdown', 0)
    const figures: { amounts: number, all: number }[] = []
    for (let i = 0; i < moves; i++) {
      const redrawn = new Promise<void>((done) => {
        const watcher = new MutationObserver(() => {
          watcher.disconnect()
          done()
        })
        watcher.observe(preview, { subtree: true, childList: true, attributes: true, characterData: true })
      })
      const start = performance.now()
      send('pointermove', i % 20 < 10 ? -3 : 3)
      const amounts = await frame() - start
      await Promise.race([redrawn, new Promise(done => setTimeout(done, 1000))])
      figures.push({ amounts, all: await frame() - start })
      await new Promise(done => setTimeout(done, 30))
    }
    send('pointerup', 0)
    return figures
  }, MOVES)
  await browser.close()
  end()
  rmSync(data, { recursive: true, force: true })
  const plan = examplePlan()
  for (let i = 0; i < 30; i++) forecastCook(plan, [], 0, MEMBERS)
  const worker = Array.from({ length: 60 }, () => {
    const start = performance.now()
    forecastCook(plan, [], 0, MEMBERS)
    return performance.now() - start
  })
  const ownWorker = percentile(worker, 0.5)
  const whole = times.map(one => one.all + (SLOWER - 1) * ownWorker)
  return [
    { name: 'dragging a level, 4x slowed, amounts redrawn, 95th percentile', value: percentile(times.map(one => one.amounts), 0.95), unit: 'ms', ratio: null, limit: 'part of the 50 ms' },
    { name: 'dragging a level, 4x slowed, forecast and all redrawn, 95th percentile', value: percentile(whole, 0.95), unit: 'ms', ratio: null, limit: '<= 50 ms' },
    { name: 'worker\'s own time for that forecast, not slowed', value: ownWorker, unit: 'ms', ratio: null, limit: 'counted four times above' },
  ]
}
