// A ledger of years: node scripts/run.mjs scripts/ledgerLoad.ts [counts, default 10000 100000]
// Seeds houses of that many batches, asks the built server for lists, filters and comparisons, and scrolls the wall;
// says the
// 95th percentiles and, for the wall, script and layout of a frame.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { framesOf } from './bench/frames'
import { CHROMIUM, CHROMIUM_ARGS } from './chromium.mjs'
import { serve } from './bench/serve'
import { seedLedger } from './seedLedger'

const counts = process.argv.slice(2).map(Number).filter(one => one > 0)
const ROUNDS = 60
const FRAMES = 240
const STEP_PX = 90

/**
 * What is asked, and how often each: lists, each filter, several together, a jump into the middle, counts, comparisons.
 */
const QUESTIONS: Readonly<Record<string, (round: number, count: number) => readonly string[]>> = {
  'list': () => ['/batches?limit=60'],
  'older': round => [`/batches?limit=60&before=${1_780_000_000_000 - round * 5 * 86_400_000}`],
  'dish': () => ['/batches?limit=60&dish=winter-market-carrot'],
  'family': () => ['/batches?limit=60&family=vegetable'],
  'fault': () => ['/batches?limit=60&fault=greasy'],
  'any fault': () => ['/batches?limit=60&fault=any'],
  'pan and season': () => ['/batches?limit=60&pan=iron&season=jun-aug'],
  'fire, dish and fault': () => ['/batches?limit=60&fire=back&dish=brick-kiln-wheat&fault=dry'],
  'nothing like it': () => ['/batches?limit=60&dish=tide-line-coconut&fault=hard-grain'],
  'counts, first': round => [
    `/batches/tally?season=${['dec-feb', 'mar-may', 'jun-aug', 'sep-nov'][round % 4]}&pan=${['wide', 'iron', 'black'][round % 3]}`,
  ],
  'counts, all': () => ['/batches/tally'],
  'compare four': (round, count) => [1, 2, 3, 4].map(k => `/batches/seed-${(round * 997 + k * 13) % count}`),
}

const percentile = (values: readonly number[], share: number): number =>
  [...values].sort((p, q) => p - q)[Math.min(values.length - 1, Math.floor(values.length * share))]!
const report: Record<string, unknown> = {}
for (const count of counts.length > 0 ? counts : [10_000, 100_000]) {
  const folder = mkdtempSync(join(tmpdir(), 'yon-hearth-ledger-'))
  await seedLedger(folder, count)
  const server = await serve('.', folder)
  try {
    const asked: Record<string, { readonly p50: number, readonly p95: number }> = {}
    for (const [name, ask] of Object.entries(QUESTIONS)) {
      const took: number[] = []
      for (let round = 0; round < ROUNDS; round++) {
        const from = performance.now()
        await Promise.all(
          ask(round, count).map(path =>
            fetch(`http://127.0.0.1:${server.port}/api${path}`).then(answer => answer.arrayBuffer()),
          ),
        )
        took.push(performance.now() - from)
      }
      asked[name] = {
        p50: Math.round(percentile(took, 0.5) * 10) / 10,
        p95: Math.round(percentile(took, 0.95) * 10) / 10,
      }
    }
    report[count] = { ms: asked, wall: await scrolled(server.port) }
  }
  finally {
    server.end()
    rmSync(folder, { recursive: true, force: true })
  }
}
console.log(JSON.stringify(report, null, 2))

/**
 * Scrolls the wall quickly, step by step, and reads script, style and layout of every frame from the browser's trace.
 */
async function scrolled(port: number): Promise<Record<string, number>> {
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
  const page = await (
    await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' })
  ).newPage()
  await page.goto(`http://127.0.0.1:${port}/ledger`)
  await page.locator('.wall canvas').first().waitFor()
  await page.waitForTimeout(1500)
  const frames = await framesOf(page, () => page.evaluate(({ step, count }) => new Promise<void>((done) => {
    let left = count
    const next = (): void => {
      window.scrollBy(0, step)
      if (--left > 0) requestAnimationFrame(next)
      else setTimeout(done, 100)
    }
    requestAnimationFrame(next)
  }), { step: STEP_PX, count: FRAMES }))
  const batches = await page.locator('.wall li').count()
  await browser.close()
  const ms = (value: number): number => Math.round(value * 100) / 100
  return {
    frames: frames.length,
    drawnAtOnce: batches,
    p50: ms(percentile(frames, 0.5)),
    p95: ms(percentile(frames, 0.95)),
    most: ms(Math.max(...frames)),
  }
}
