// npm run shots: takes the pictures of docs/screenshots from the demo house. Look at each one before committing it.
import { spawn, spawnSync } from 'node:child_process'
import { cpSync, mkdtempSync, mkdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { CHROMIUM, CHROMIUM_ARGS } from './chromium.mjs'
import { ensureBuilt, ROOT } from './house.mjs'

ensureBuilt()
const folder = mkdtempSync(join(tmpdir(), 'yon-hearth-shots-'))
const demo = join(folder, 'demo')
const out = join(ROOT, 'docs', 'screenshots')
mkdirSync(out, { recursive: true })
spawnSync(process.execPath, [join(ROOT, 'scripts', 'run.mjs'), 'demo/makeDemo.ts', demo], { stdio: 'inherit' })
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })

/** Moments of cooks: the dish, how long ago it was lit, what was marked since, s, and what is opened then. */
const ROAST = {
  dish: 'sweet-water-semolina', agoS: 500,
  marks: [
    ['cook.started', 0],
    ['sign.seen', 165, { sign: 'nuts-golden' }],
    ['stage.began', 180, { stage: 'roast' }],
    ['vessel.lit', 265, { vessel: 'pot' }],
    ['sign.seen', 430, { sign: 'aroma' }],
  ],
}
const MOMENTS = {
  'fire-roast': ROAST,
  'fire-repair': {
    dish: 'sweet-water-semolina', agoS: 840, opens: ['Something is wrong', 'runny, will not tighten'],
    marks: [
      ...ROAST.marks,
      ['looks.like', 560, { step: 'pale' }],
      ['sign.seen', 570, { sign: 'boil', vessel: 'pot' }],
      ['stage.began', 580, { stage: 'pour' }],
      ['stage.began', 640, { stage: 'take-up' }],
      ['flame.changed', 645, { vessel: 'pan', mark: 'm1' }],
    ],
  },
}

await session('light', { width: 1280, height: 800 }, async (page) => {
  await still(page, '/', '.arcade svg', 'hearth')
  await still(page, '/measure?dish=sweet-water-semolina', '.preview svg', 'measure')
  await page.goto('/measure?dish=winter-market-carrot')
  await page.getByRole('tab', { name: 'Its stages' }).click()
  await page.waitForTimeout(1500)
  await page.screenshot({ path: join(out, 'measure-stages.png'), fullPage: true })
  await still(page, '/book', '.dishes li', 'book')
  await still(page, '/spread/lamp-evening', '[data-dish]', 'spread')
  await page.goto('/kitchen')
  await page.locator('.thing').first().click()
  await page.waitForTimeout(600)
  await page.screenshot({ path: join(out, 'kitchen.png') })
  await still(page, '/kitchen/learned', '.span', 'learned')
  await page.goto('/kitchen/boil')
  await page.getByRole('button', { name: 'On the fire' }).click()
  await page.waitForTimeout(4500)
  await page.screenshot({ path: join(out, 'boil.png') })
  await page.goto('/measure?dish=brick-kiln-wheat')
  await page.locator('.planner ol').first().waitFor()
  await page.waitForTimeout(3000)
  await page.locator('.planner').scrollIntoViewIfNeeded()
  await page.screenshot({ path: join(out, 'measure-flames.png') })
  await still(page, '/tray/demo-708', '.setting svg', 'tray')
  await still(page, '/labels?batches=demo-707,demo-708,demo-706', '.label', 'labels')
  await still(page, '/ledger/compare?ids=demo-411,demo-410,demo-404', '.words', 'compare')
  await still(page, '/ledger', '.wall canvas', 'ledger')
  await page.goto('/ledger/demo-402')
  await page.locator('.finder ol li').first().waitFor()
  await page.waitForTimeout(400)
  await page.screenshot({ path: join(out, 'batch.png') })
  for (const [name, one] of Object.entries(MOMENTS)) await moment(page, one, name)
})
await session('dark', { width: 1280, height: 800 }, page => moment(page, ROAST, 'fire-roast-dark'))
await session('dark', { width: 820, height: 1180 }, page =>
  still(page, '/spread/lamp-evening', '[data-dish]', 'spread-tablet-dark'),
)
await session('light', { width: 390, height: 844 }, page => moment(page, ROAST, 'fire-roast-phone'))
await browser.close()
rmSync(folder, { recursive: true, force: true })

async function session(scheme, viewport, act) {
  const data = mkdtempSync(join(tmpdir(), 'yon-hearth-shots-'))
  cpSync(demo, data, { recursive: true })
  const port = 4700 + Math.floor(Math.random() * 200)
  const server = spawn(process.execPath, [join(ROOT, '.output', 'server', 'index.mjs')], {
    env: {
      ...process.env,
      HOST: '127.0.0.1',
      NITRO_HOST: '127.0.0.1',
      PORT: String(port),
      NITRO_PORT: String(port),
      HEARTH_DATA: data,
    },
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  await answers(`http://127.0.0.1:${port}/api/house`)
  const context = await browser.newContext({
    viewport,
    colorScheme: scheme,
    baseURL: `http://127.0.0.1:${port}`,
    serviceWorkers: 'block',
  })
  await act(await context.newPage())
  await context.close()
  server.kill('SIGKILL')
  rmSync(data, { recursive: true, force: true })
}

async function answers(url) {
  for (let i = 0; i < 200; i++) {
    if (await fetch(url).then(answer => answer.ok, () => false)) return
    await new Promise(done => setTimeout(done, 150))
  }
  throw new Error(`Nothing answers at ${url}`)
}

async function still(page, path, ready, name) {
  await page.goto(path)
  await page.locator(ready).first().waitFor()
  await page.waitForTimeout(1500)
  await page.screenshot({ path: join(out, `${name}.png`) })
}

/** Takes a picture of a cook as it stands after what was marked, and ends it. */
async function moment(page, { dish, agoS, marks, opens = [] }, name) {
  await page.goto(`/measure?dish=${dish}`)
  await page.getByRole('button', { name: 'Take it to the fire' }).click()
  await page.waitForURL(/fire/)
  const id = page.url().split('/').pop()
  await page.getByText('kept on the hearth').waitFor()
  const lit = Date.now() - agoS * 1000
  const post = list => page.request.post(`/api/streams/${id}/observations`, {
    data: {
      sentAt: Date.now(),
      observations: list.map(([kind, timeS, payload = {}], i) => ({
        id: `${id.slice(0, 12)}-${kind}-${i}`,
        device: 'shots',
        number: i + 1,
        deviceTime: lit + timeS * 1000,
        kind,
        payload,
      })),
    },
  })
  await page.waitForTimeout(1000)
  await post(marks)
  await page.reload()
  await page.waitForTimeout(3500)
  for (const button of opens) {
    await page.getByRole('button', { name: button }).click()
    await page.waitForTimeout(700)
  }
  await page.screenshot({ path: join(out, `${name}.png`) })
  if (!marks.some(([kind]) => kind === 'cook.finished')) await post([['cook.finished', agoS + 10]])
}
