import { execFileSync } from 'node:child_process'
import { existsSync, mkdirSync, mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { chromium } from '@playwright/test'
import type { Figure } from './figure'
import { CHROMIUM, CHROMIUM_ARGS } from '../chromium.mjs'
import { serve } from './serve'

const RUNS = 5

/** An empty Nuxt page with Element Plus, built with the same packages: the rival of the first view. */
function buildEmpty(): string {
  const folder = mkdtempSync(join(tmpdir(), 'yon-hearth-empty-'))
  mkdirSync(join(folder, 'app'))
  symlinkSync(resolve('node_modules'), join(folder, 'node_modules'))
  writeFileSync(join(folder, 'package.json'), '{"name":"empty","private":true,"type":"module"}')
  writeFileSync(
    join(folder, 'nuxt.config.ts'),
    `export default defineNuxtConfig({ ssr: false, telemetry: false, devtools: { enabled: false }, compatibilityDate: '2026-01-01', modules: ['@element-plus/nuxt'], nitro: { compressPublicAssets: { gzip: true } } })`,
  )
  writeFileSync(
    join(folder, 'app', 'app.vue'),
    '<template><main><el-button type="primary">One</el-button><el-input model-value="two" /><el-select model-value="three"><el-option value="three" label="three" /></el-select></main></template>',
  )
  execFileSync(resolve('node_modules/.bin/nuxt'), ['build'], { cwd: folder, stdio: 'ignore' })
  return folder
}

interface View { readonly bytes: number, readonly fonts: number, readonly ms: number }

async function measure(root: string, selector: string): Promise<View> {
  const data = mkdtempSync(join(tmpdir(), 'yon-hearth-view-'))
  const { port, end } = await serve(root, data)
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
  const views: View[] = []
  for (let i = 0; i < RUNS; i++) {
    const context = await browser.newContext({ serviceWorkers: 'block' })
    const page = await context.newPage()
    let bytes = 0
    let fonts = 0
    page.on('requestfinished', (request) => {
      void request.sizes().then((sizes) => {
        if (request.resourceType() === 'font') fonts += /latin/.test(request.url()) ? sizes.responseBodySize : 0
        else bytes += sizes.responseBodySize
      }).catch(() => undefined)
    })
    const start = performance.now()
    await page.goto(`http://127.0.0.1:${port}/`)
    await page.locator(selector).first().waitFor()
    const ms = performance.now() - start
    await page.waitForLoadState('networkidle')
    views.push({ bytes, fonts, ms })
    await context.close()
  }
  await browser.close()
  end()
  rmSync(data, { recursive: true, force: true })
  const middle = (pick: (view: View) => number): number => views.map(pick).sort((p, q) => p - q)[Math.floor(RUNS / 2)]!
  return { bytes: middle(one => one.bytes), fonts: middle(one => one.fonts), ms: middle(one => one.ms) }
}

/**
 * The first view of an empty house against an empty Nuxt and Element Plus page in the same run: bytes over the wire
 * without fonts, and time until the content stands.
 *
 * @param root folder that holds `.output`
 * @returns three figures
 */
export async function firstView(root = '.'): Promise<Figure[]> {
  if (!existsSync(`${root}/.output/server/index.mjs`))
    execFileSync(resolve('node_modules/.bin/nuxt'), ['build'], { stdio: 'ignore' })
  const empty = buildEmpty()
  const rival = await measure(empty, 'button')
  const ours = await measure(root, '.dish h2')
  rmSync(empty, { recursive: true, force: true })
  return [
    {
      name: 'first view, bytes without fonts',
      value: ours.bytes / 1000,
      unit: 'kB',
      ratio: ours.bytes / rival.bytes,
      limit: 'ratio to an empty Nuxt and Element Plus page <= 1.5',
    },
    {
      name: 'first view, time',
      value: ours.ms,
      unit: 'ms',
      ratio: ours.ms / rival.ms,
      limit: 'ratio to an empty Nuxt and Element Plus page <= 1.5',
    },
    {
      name: 'first view, Latin fonts',
      value: ours.fonts / 1000,
      unit: 'kB',
      ratio: null,
      limit: 'Latin fonts <= 150 kB',
    },
  ]
}
