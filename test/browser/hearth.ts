import { spawn, type ChildProcess } from 'node:child_process'
import { cpSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { pathToFileURL } from 'node:url'
import { test as base, expect, type Page } from '@playwright/test'
import { freePort } from '../support/freePort'

/** Where the demo house of a run lies: made already where `DEMO_OF_TESTS` says so, else made once at its start. */
export const DEMO_FOLDER = process.env.DEMO_OF_TESTS ?? join(tmpdir(), 'yon-hearth-demo-of-tests')

const HELD_CLOCK = pathToFileURL(resolve('test/support/heldClock.mjs')).href
interface HeldWindow { moveOn(ms: number): void }
/** The steady clock of a page stands until it is moved on. */
const HELD_PAGE = 'let now = performance.now(); performance.now = () => now; window.moveOn = (ms) => { now += ms }'

/** A running server of its own, which can be killed and started again over the same data. */
export interface RunningHearth {
  readonly url: string
  /** Where its database lies. */
  readonly folder: string
  /** Of the process that serves. */
  pid(): number
  kill(): Promise<void>
  /** Asks it to end, and waits until it has. */
  stop(): Promise<void>
  start(): Promise<void>
  /** Moves a held clock on, real ms at the clock's rate; nothing where it is not held. */
  moveOn(ms: number): Promise<void>
}

/**
 * Starts the built server over a copy of the demo house or an empty folder, with a clock of the given rate, held where
 * it is to be moved by hand, and whatever else its environment says.
 */
export async function runHearth(options: {
  readonly demo: boolean
  readonly rate: number
  readonly held?: boolean
  readonly env?: Readonly<Record<string, string>>
}): Promise<RunningHearth & { end(): Promise<void> }> {
  const folder = mkdtempSync(join(tmpdir(), 'yon-hearth-'))
  if (options.demo) cpSync(DEMO_FOLDER, folder, { recursive: true })
  const port = await freePort()
  const anchor = Date.now()
  const url = `http://127.0.0.1:${port}`
  let child: ChildProcess | null = null
  const start = async (): Promise<void> => {
    child = spawn(process.execPath, ['.output/server/index.mjs'], {
      env: {
        ...process.env,
        HOST: '127.0.0.1',
        PORT: String(port),
        NITRO_HOST: '127.0.0.1',
        NITRO_PORT: String(port),
        ...(options.held ? { NODE_OPTIONS: `--import ${HELD_CLOCK}` } : {}),
        HEARTH_DATA: folder,
        HEARTH_CLOCK_RATE: String(options.rate),
        HEARTH_CLOCK_ANCHOR: String(anchor),
        ...options.env,
      },
      stdio: options.held ? ['ignore', 'ignore', 'inherit', 'ipc'] : ['ignore', 'ignore', 'inherit'],
    })
    for (let i = 0; i < 100; i++) {
      const up = await fetch(`${url}/api/house`).then(
        answer => answer.ok,
        () => false,
      )
      if (up) return
      await new Promise(resolve => setTimeout(resolve, 100))
    }
    throw new Error('The server did not start.')
  }
  const end = async (signal: 'SIGKILL' | 'SIGTERM'): Promise<void> => {
    const dying = child
    child = null
    if (!dying || dying.exitCode !== null) return
    const gone = new Promise(resolve => dying.once('exit', resolve))
    dying.kill(signal)
    await gone
  }
  const kill = (): Promise<void> => end('SIGKILL')
  await start()
  return {
    url,
    folder,
    start,
    kill,
    stop: () => end('SIGTERM'),
    pid: () => child?.pid ?? 0,
    async moveOn(ms) {
      const moving = child
      if (!options.held || !moving) return
      const moved = new Promise(resolve => moving.once('message', resolve))
      moving.send({ ms })
      await moved
    },
    async end() {
      await kill()
      rmSync(folder, { recursive: true, force: true })
    },
  }
}

/** Complaints of a page: errors on its console, requests that leave the origin. */
export interface Complaints { readonly list: string[] }

type Owned = RunningHearth & { end(): Promise<void> }
/** The hearth that the tests of a file share, one at a time in a worker. */
interface SharedHearth { of(file: string, make: () => Promise<Owned>): Promise<RunningHearth> }

interface Fixtures {
  hearth: RunningHearth
  /** True where the tests of a file leave one house as the next of them expects it: it is started once for all. */
  shared: boolean
  rate: number
  demo: boolean
  /** True where the clocks of server and page stand until `moveOn`. */
  held: boolean
  moveOn: (ms: number) => Promise<void>
  /** More of the server's environment. */
  env: Readonly<Record<string, string>>
  complaints: Complaints
}

/**
 * A test with a server of its own, or one that the tests of its file share; the page may not complain and may not ask
 * anything of another origin.
 */
export const test = base.extend<Fixtures, { sharedHearth: SharedHearth }>({
  // The runner wants to see by a pattern what a fixture needs: nothing.
  // eslint-disable-next-line no-empty-pattern
  sharedHearth: [async ({}, use) => {
    let kept: { readonly file: string, readonly hearth: Owned } | null = null
    await use({
      async of(file, make) {
        if (kept?.file !== file) {
          await kept?.hearth.end()
          kept = { file, hearth: await make() }
        }
        return kept.hearth
      },
    })
    await (kept as { readonly hearth: Owned } | null)?.hearth.end()
  }, { scope: 'worker' }],
  shared: [false, { option: true }],
  rate: [1, { option: true }],
  demo: [true, { option: true }],
  held: [false, { option: true }],
  env: [{}, { option: true }],
  hearth: async ({ rate, demo, env, held, shared, sharedHearth }, use, testInfo) => {
    const make = (): Promise<Owned> => runHearth({ demo, rate, env, held })
    if (shared) return use(await sharedHearth.of(`${testInfo.file} ${rate} ${String(demo)}`, make))
    const running = await make()
    await use(running)
    await running.end()
  },
  baseURL: async ({ hearth }, use) => {
    await use(hearth.url)
  },
  page: async ({ page, held }, use) => {
    if (held) await page.addInitScript(HELD_PAGE)
    await use(page)
  },
  moveOn: async ({ page, hearth }, use) => {
    await use(async (ms) => {
      await hearth.moveOn(ms)
      await page.evaluate(by => (window as unknown as HeldWindow).moveOn(by), ms)
    })
  },
  complaints: async ({ page, hearth }, use) => {
    const list: string[] = []
    watch(page, hearth.url, list)
    await use({ list })
  },
})

/** Collects what a page complains of. */
export function watch(page: Page, url: string, list: string[]): void {
  page.on('pageerror', error => list.push(`error: ${error.message}`))
  page.on('console', (message) => {
    if (message.type() === 'error' && !/Failed to load resource|ERR_/.test(message.text()))
      list.push(`console: ${message.text().slice(0, 300)}`)
  })
  page.on('request', (request) => {
    if (!request.url().startsWith(url) && !request.url().startsWith('data:') && !request.url().startsWith('blob:'))
      list.push(`left the origin: ${request.url()}`)
  })
}

export { expect }
