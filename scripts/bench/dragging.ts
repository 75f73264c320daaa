import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import type { Figure } from './figure'
import { CHROMIUM, CHROMIUM_ARGS } from '../chromium.mjs'
import { serve } from './serve'

const SLOWER = 4
const MOVES = 80
const percentile = (list: readonly number[], share: number): number =>
  [...list].sort((p, q) => p - q)[Math.min(list.length - 1, Math.floor(list.length * share))]!

/**
 * Dragging a level on a processor slowed four times: from the beginning of the frame in which the hand has moved until
 * amounts, consequences, pan and arch stand redrawn. Everything of it happens on the page, which the browser slows; the
 * worker only refines once the hand rests.
 *
 * @param root folder that holds `.output`
 * @returns median and 95th percentile over a drag
 */
export async function dragging(root = '.'): Promise<Figure[]> {
  const data = mkdtempSync(join(tmpdir(), 'yon-hearth-drag-'))
  const { port, end } = await serve(root, data)
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`http://127.0.0.1:${port}/measure?dish=sweet-water-semolina`)
  await page.locator('.preview svg').waitFor()
  await page.waitForTimeout(2500)
  const session = await page.context().newCDPSession(page)
  const drag = async (moves: number): Promise<{ ms: number, arch: boolean }[]> => page.evaluate(async (moves) => {
    const slider = document.querySelectorAll<SVGSVGElement>('[role="slider"]')[1]!
    const preview = document.querySelector('.preview')!
    slider.setPointerCapture = () => undefined
    const box = slider.getBoundingClientRect()
    let clientY = box.bottom - 30
    const send = (type: 'down' | 'move' | 'up', movementY: number): void => {
      clientY += movementY
      const at = { bubbles: true, cancelable: true, view: window, clientX: box.left + 20, clientY, movementY }
      // As a browser does: first what a pointer does, then what a mouse does.
      slider.dispatchEvent(new PointerEvent(`pointer${type}`, { ...at, pointerId: 1 }))
      const target = type === 'down' ? slider : window
      target.dispatchEvent(new MouseEvent(`mouse${type}`, at))
    }
    send('down', 0)
    const figures: { ms: number, arch: boolean }[] = []
    for (let i = 0; i < moves; i++) {
      let arch = false
      const watcher = new MutationObserver(() => {
        arch = true
      })
      watcher.observe(preview, { subtree: true, childList: true, attributes: true, characterData: true })
      // Frames are counted from their beginning: a callback asked for first runs first in its frame.
      let start = 0
      const redrawn = new Promise<void>((done) => {
        requestAnimationFrame(() => {
          start = performance.now()
        })
        send('move', i % 20 < 10 ? -3 : 3)
        requestAnimationFrame(() => {
          const channel = new MessageChannel()
          channel.port1.onmessage = () => done()
          channel.port2.postMessage(0)
        })
      })
      await redrawn
      figures.push({ ms: performance.now() - start, arch })
      watcher.disconnect()
      await new Promise(done => setTimeout(done, 40))
    }
    send('up', 0)
    return figures
  }, moves)
  await drag(40)
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER })
  await drag(10)
  const figures = await drag(MOVES)
  await browser.close()
  end()
  rmSync(data, { recursive: true, force: true })
  const times = figures.map(one => one.ms)
  return [
    {
      name: 'dragging a level, 4x slowed, all redrawn, median',
      value: percentile(times, 0.5),
      unit: 'ms',
      ratio: null,
      limit: '<= 50 ms at the 95th percentile',
    },
    {
      name: 'dragging a level, 4x slowed, all redrawn, 95th percentile',
      value: percentile(times, 0.95),
      unit: 'ms',
      ratio: null,
      limit: '<= 50 ms',
    },
    {
      name: 'moves that redrew the arch in the same frame',
      value: (100 * figures.filter(one => one.arch).length) / figures.length,
      unit: '%',
      ratio: null,
      limit: 'most: an arch that does not change is not redrawn',
    },
  ]
}
