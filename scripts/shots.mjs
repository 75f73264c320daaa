// npm run shots: takes the pictures of docs/screenshots from the demo house. Look at each one before committing it.
import { spawn, spawnSync } from 'node:child_process'
import { cpSync, mkdtempSync, mkdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { ensureBuilt, ROOT } from './house.mjs'

ensureBuilt()
const folder = mkdtempSync(join(tmpdir(), 'yon-hearth-shots-'))
const demo = join(folder, 'demo')
const out = join(ROOT, 'docs', 'screenshots')
mkdirSync(out, { recursive: true })
spawnSync(process.execPath, [join(ROOT, 'scripts', 'run.mjs'), 'demo/makeDemo.ts', demo], { stdio: 'inherit' })
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
})
const RATE = 60
/** Seconds of the cook to wait before each action. */
const WAITS = { 'start': 0, 'sign.nuts-golden': 250, 'begin.roast': 15, 'sign.aroma': 200, 'looks': 70, 'begin.pour': 15, 'begin.take-up': 50, 'sign.taken-up': 110, 'begin.enrich': 15, 'sign.leaves-sides': 220 }

await session('light', { width: 1280, height: 800 }, async (page) => {
  await still(page, '/', '.arcade svg', 'hearth')
  await still(page, '/measure?dish=sweet-water-semolina', '.preview svg', 'measure')
  await page.goto('/measure?dish=long-spoon-mung')
  await page.getByRole('button', { name: 'Thickened milk' }).click()
  await page.locator('.panel').waitFor()
  await page.waitForTimeout(1200)
  await page.screenshot({ path: join(out, 'measure-swap.png'), fullPage: true })
  await page.goto('/measure?dish=winter-market-carrot')
  await page.getByRole('button', { name: 'Its stages' }).click()
  await page.waitForTimeout(1500)
  await page.screenshot({ path: join(out, 'measure-stages.png'), fullPage: true })
  await still(page, '/book', '.dishes li', 'book')
  await still(page, '/card/threshing-floor-wheat', '.card', 'card')
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
  await still(page, '/ledger', '.wall svg', 'ledger')
  await page.locator('.wall li', { hasText: 'burnt note' }).click()
  await page.locator('.story').waitFor()
  await page.waitForTimeout(400)
  await page.screenshot({ path: join(out, 'batch.png') })
  await cook(page, { 'roast': 'fire-roast', 'pour': 'fire-pour', 'enrich': 'fire-end' })
})
await session('dark', { width: 1280, height: 800 }, page => cook(page, { roast: 'fire-roast-dark' }))
await session('light', { width: 390, height: 844 }, page => cook(page, { roast: 'fire-roast-phone' }))
await browser.close()
rmSync(folder, { recursive: true, force: true })

async function session(scheme, viewport, act) {
  const data = mkdtempSync(join(tmpdir(), 'yon-hearth-shots-'))
  cpSync(demo, data, { recursive: true })
  const port = 4700 + Math.floor(Math.random() * 200)
  const server = spawn(process.execPath, [join(ROOT, '.output', 'server', 'index.mjs')], {
    env: { ...process.env, HOST: '127.0.0.1', NITRO_HOST: '127.0.0.1', PORT: String(port), NITRO_PORT: String(port), HEARTH_DATA: data, HEARTH_CLOCK_RATE: String(RATE), HEARTH_CLOCK_ANCHOR: String(Date.now()) },
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  await new Promise(done => setTimeout(done, 2500))
  const context = await browser.newContext({ viewport, colorScheme: scheme, baseURL: `http://127.0.0.1:${port}`, serviceWorkers: 'block' })
  await act(await context.newPage())
  await context.close()
  server.kill('SIGKILL')
  rmSync(data, { recursive: true, force: true })
}

async function still(page, path, ready, name) {
  await page.goto(path)
  await page.locator(ready).first().waitFor()
  await page.waitForTimeout(1500)
  await page.screenshot({ path: join(out, `${name}.png`) })
}

/** Cooks by what the screen puts first and takes a picture in the middle of the named stages. */
async function cook(page, pictures) {
  await page.goto('/measure?dish=sweet-water-semolina')
  await page.getByRole('button', { name: 'Take it to the fire' }).click()
  await page.waitForURL(/fire/)
  const wanted = { ...pictures }
  const first = () => page.locator('[data-action]').first().getAttribute('data-action')
  const second = async () => Number(await page.getAttribute('main', 'data-now'))
  await page.locator('[data-action="start"]').waitFor()
  for (let i = 0; i < 24 && Object.keys(wanted).length > 0; i++) {
    const code = await first()
    const until = (await second()) + (WAITS[code] ?? 0)
    while ((await second()) < until && (await first()) === code) await page.waitForTimeout(80)
    if ((await first()) !== code) continue
    const stage = await page.getAttribute('main', 'data-stage')
    if (wanted[stage] && code !== 'sign.aroma' && !code.startsWith('light.')) {
      await page.waitForTimeout(500)
      await page.screenshot({ path: join(out, `${wanted[stage]}.png`) })
      delete wanted[stage]
    }
    await page.keyboard.press('Space')
    if (code === 'looks') await page.keyboard.press('1')
    await page.waitForTimeout(400)
  }
}
