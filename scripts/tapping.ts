// How fast a tap is drawn: node scripts/run.mjs scripts/tapping.ts [taps, default 40]
// The built server, Chromium with a processor slowed four times. The browser slows the page's own thread only, so the time
// until the worker's first answer is added three more times: too much rather than too little, as part of it is the page's
// own. A drawn tap is one after which the windows have moved.
import { chromium } from '@playwright/test'
import { runHearth } from '../test/browser/hearth'
import makeDemoOnce from '../test/browser/makeDemoOnce'

const taps = Number(process.argv[2] ?? 40)
const SLOWED = 4
makeDemoOnce()
const hearth = await runHearth({ demo: true, rate: 1 })
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: ['--headless', '--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
})
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, baseURL: hearth.url, serviceWorkers: 'block' })
// Told apart by the page itself: when a question went to the worker and when its first answer came.
await page.addInitScript(`
  const Real = window.Worker
  window.workerTimes = []
  window.Worker = class extends Real {
    postMessage(message, ...rest) { if (message?.type === 'forecast') window.asked = { ticket: message.ticket, at: performance.now() }; super.postMessage(message, ...rest) }
    set onmessage(heard) { super.onmessage = (event) => { if (window.asked && event.data?.ticket === window.asked.ticket) { window.workerTimes.push(performance.now() - window.asked.at); window.asked = null } heard(event) } }
  }
`)
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
const client = await page.context().newCDPSession(page)
await client.send('Emulation.setCPUThrottlingRate', { rate: SLOWED })
/** Presses the key of a tap and waits until the windows on the arch have moved; how long that took, and the worker's part. */
const TAP = `async (key) => {
  const arch = document.querySelector('svg.arch')
  const bands = () => document.querySelector('main').dataset.end
  const before = bands()
  window.workerTimes.length = 0
  const from = performance.now()
  window.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }))
  while (bands() === before) { if (performance.now() - from > 5000) return null; await new Promise(done => requestAnimationFrame(done)) }
  return { drawn: performance.now() - from, worker: window.workerTimes[0] ?? 0 }
}`
const all: number[] = []
let longest = 0
await page.evaluate('window.gaps = []; let last = performance.now(); (function beat() { const now = performance.now(); window.gaps.push(now - last); last = now; requestAnimationFrame(beat) })()')
for (let i = 0; i < taps; i++) {
  // The smell, and taking it back: each moves the windows.
  const took = await page.evaluate(`(${TAP})(${JSON.stringify(i % 2 === 0 ? '1' : 'z')})`) as { drawn: number, worker: number } | null
  if (took && took.worker > 0) all.push(took.drawn + (SLOWED - 1) * took.worker)
  await page.waitForTimeout(1800)
}
longest = Number(await page.evaluate('Math.max(...window.gaps.slice(5))'))
all.sort((p, q) => p - q)
const at = (share: number): number => Math.round(all[Math.min(all.length - 1, Math.floor(share * all.length))] ?? Number.NaN)
console.log(`${all.length} of ${taps} taps drawn; processor slowed ${SLOWED} times: ${at(0.5)} ms in the middle, ${at(0.95)} ms at the 95th percentile, ${at(1)} ms at most; longest gap between two frames of the page ${Math.round(longest)} ms`)
await browser.close()
await hearth.end()
