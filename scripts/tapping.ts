// How fast a tap is drawn: node scripts/run.mjs scripts/tapping.ts [taps of each kind, default 40]
// The built server, Chromium with a processor slowed four times. The browser slows the page's own thread only, so what the
// worker takes from hearing the mark to its first answer, measured in the worker, is added three more times. A drawn tap is
// one whose moved windows are painted: the first task after the frame in which the end's window is another.
import { chromium } from '@playwright/test'
import { runHearth } from '../test/browser/hearth'
import makeDemoOnce from '../test/browser/makeDemoOnce'
import { CHROMIUM, CHROMIUM_ARGS } from './chromium.mjs'

const taps = Number(process.argv[2] ?? 40)
const SLOWED = 4
makeDemoOnce()
const hearth = await runHearth({ demo: true, rate: 1 })
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, baseURL: hearth.url, serviceWorkers: 'block' })
await page.goto('/measure?dish=sweet-water-semolina')
await page.getByRole('button', { name: 'Take it to the fire' }).click()
await page.waitForURL(/\/fire\//)
const id = page.url().split('/').pop() ?? ''
const start = Date.now() - 420_000
const told = [['cook.started', 0, {}], ['sign.seen', 180, { sign: 'nuts-golden' }], ['stage.began', 200, { stage: 'roast' }], ['vessel.lit', 260, { vessel: 'pot' }]] as const
await page.request.post(`/api/streams/${id}/observations`, {
  data: { sentAt: Date.now(), observations: told.map(([kind, timeS, payload], i) => ({ id: `${id.slice(0, 8)}-${i}`, device: 'other', number: i + 1, deviceTime: start + timeS * 1000, kind, payload })) },
})
await page.waitForTimeout(3000)
const worker = page.workers()[0]
if (!worker) throw new Error('There is no worker to be measured.')
await worker.evaluate(`
  self.took = []
  let heard = null
  const listen = self.onmessage, post = self.postMessage.bind(self)
  self.onmessage = (event) => { if (event.data.type === 'forecast') heard = performance.now(); listen(event) }
  self.postMessage = (message) => { if (heard !== null && (message.type === 'reweighed' || message.type === 'forecast')) { self.took.push({ ms: performance.now() - heard, type: message.type }); heard = null } post(message) }
`)
const client = await page.context().newCDPSession(page)
await client.send('Emulation.setCPUThrottlingRate', { rate: SLOWED })
/** Presses the key of a tap and waits until windows that have moved are painted; how long that took, ms. */
const TAP = `async (key) => {
  const main = document.querySelector('main')
  const from = performance.now()
  const moved = new Promise(done => {
    const seen = new MutationObserver(() => { seen.disconnect(); done(true) })
    seen.observe(main, { attributeFilter: ['data-end'] })
    setTimeout(() => done(false), 5000)
  })
  window.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }))
  if (!await moved) return null
  await new Promise(done => requestAnimationFrame(() => { const after = new MessageChannel(); after.port1.onmessage = done; after.port2.postMessage(0) }))
  return performance.now() - from
}`
await page.evaluate('window.gaps = []; let last = performance.now(); (function beat() { const now = performance.now(); window.gaps.push(now - last); last = now; requestAnimationFrame(beat) })()')

interface Tapped { readonly page: number, readonly worker: number, readonly first: string }
async function tap(key: string): Promise<Tapped | null> {
  await worker!.evaluate('void (self.took.length = 0)')
  const took = await page.evaluate(`(${TAP})(${JSON.stringify(key)})`) as number | null
  const [first] = await worker!.evaluate('self.took') as { ms: number, type: string }[]
  await page.waitForTimeout(1800)
  return took !== null && first ? { page: took, worker: first.ms, first: first.type } : null
}

/** Taps one after the other, each told by `keyOf` its place; says how long they took. */
async function measure(name: string, keyOf: (i: number) => string): Promise<void> {
  const all: Tapped[] = []
  for (let i = 0; i < taps; i++) {
    const one = await tap(keyOf(i))
    if (one) all.push(one)
  }
  const at = (of: (one: Tapped) => number, share: number): number => {
    const sorted = all.map(of).sort((p, q) => p - q)
    return Math.round(sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? Number.NaN)
  }
  const whole = (one: Tapped): number => one.page + (SLOWED - 1) * one.worker
  console.log(`${name}: ${all.length} of ${taps} drawn; ${at(whole, 0.5)} ms in the middle, ${at(whole, 0.95)} ms at the 95th percentile, ${at(whole, 1)} ms at most; of it the page ${at(one => one.page, 0.5)} and ${at(one => one.page, 0.95)}, the worker ${at(one => one.worker, 0.5)} and ${at(one => one.worker, 0.95)} before it is slowed; ${all.filter(one => one.first === 'moved').length} from stored runs`)
}
console.log(`processor slowed ${SLOWED} times`)
// The smell, and taking it back: nothing is run for them.
await measure('a sign', i => (i % 2 === 0 ? '1' : 'z'))
// The pour, and taking it back: a few members are run again.
await page.keyboard.press('1')
await page.waitForTimeout(2500)
await measure('a stage', i => (i % 2 === 0 ? '2' : 'z'))
console.log(`longest gap between two frames of the page: ${Math.round(Number(await page.evaluate('Math.max(...window.gaps.slice(5))')))} ms`)
await browser.close()
await hearth.end()
