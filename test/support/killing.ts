import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { createServer, type AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sqlite3 from 'sqlite3'
import { mainLine } from '../../core/dish/mainLine'
import { seededRandom } from '../../core/random/seededRandom'
import type { CookPlan } from '../../core/live/plan'

/** How it is to be killed. */
export interface Killing { readonly kills: number, readonly cooks: number, readonly rate: number, say(line: string): void }
/** What was found afterwards. */
export interface Killed { readonly kills: number, readonly acknowledged: number, readonly lost: number, readonly doubled: number, readonly whole: number }

interface Sent { readonly id: string, readonly device: string, readonly number: number, readonly deviceTime: number, readonly kind: string, readonly payload: Record<string, unknown> }
interface Cook { readonly id: string, number: number, waiting: Sent[], readonly acknowledged: Set<string> }

// The example of the documents: the browser tests' runner loads no JSON modules.
const PLAN = JSON.parse(readFileSync('docs/examples/cook-plan.json', 'utf8')) as CookPlan
const STAGES = mainLine(PLAN.dish).map(stage => stage.id)

/**
 * Kills a server again and again in the middle of accelerated cooks, and looks at its database after each kill. Devices
 * behave as ours do: what was not acknowledged is sent again with the same id.
 *
 * @param how how often, with how many cooks at once
 * @returns what was lost or doubled: nothing should be
 */
export async function killAndCheck(how: Killing): Promise<Killed> {
  const folder = mkdtempSync(join(tmpdir(), 'yon-hearth-kills-'))
  const port = await freePort()
  const anchor = Date.now()
  const uniform = seededRandom(11)
  const url = `http://127.0.0.1:${port}`
  const cooks: Cook[] = []
  let whole = 0
  let lost = 0
  let doubled = 0
  for (let kill = 0; kill < how.kills; kill++) {
    const server = await start(folder, port, anchor, how.rate)
    // A cook lasts some kills; then others are begun.
    if (kill % 10 === 0) {
      const fresh = Array.from({ length: how.cooks }, (_, i): Cook => ({ id: `killed-${kill}-${i}`, number: 0, waiting: [], acknowledged: new Set() }))
      for (const cook of fresh) await put(`${url}/api/cooks/${cook.id}`, { ...PLAN, id: cook.id })
      cooks.push(...fresh)
    }
    let running = true
    const writers = cooks.slice(-how.cooks).map(cook => write(url, cook, () => running, uniform))
    await new Promise(done => setTimeout(done, 30 + 300 * uniform()))
    await kill9(server)
    running = false
    await Promise.all(writers)
    const found = await look(join(folder, 'hearth.sqlite'))
    if (found.integrity === 'ok') whole++
    lost += cooks.reduce((sum, cook) => sum + [...cook.acknowledged].filter(id => (found.times.get(id) ?? 0) === 0).length, 0)
    doubled += [...found.times.values()].filter(times => times > 1).length
    if ((kill + 1) % 25 === 0) how.say(`${kill + 1} kills, ${cooks.reduce((sum, cook) => sum + cook.acknowledged.size, 0)} acknowledged, ${lost} lost, ${doubled} doubled`)
  }
  rmSync(folder, { recursive: true, force: true })
  return { kills: how.kills, acknowledged: cooks.reduce((sum, cook) => sum + cook.acknowledged.size, 0), lost, doubled, whole }
}

/** Marks of one cook as fast as the server takes them, until it is gone. */
async function write(url: string, cook: Cook, goesOn: () => boolean, uniform: () => number): Promise<void> {
  while (goesOn()) {
    while (cook.waiting.length < 1 + Math.floor(3 * uniform())) cook.waiting.push(next(cook))
    const batch = [...cook.waiting]
    const answer = await fetch(`${url}/api/streams/${cook.id}/observations`, {
      method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ sentAt: Date.now(), observations: batch }),
    }).then(async one => (one.ok ? await one.json() as { acknowledged: { id: string }[] } : null), () => null)
    if (!answer) return
    for (const one of answer.acknowledged) cook.acknowledged.add(one.id)
    cook.waiting = cook.waiting.filter(one => !cook.acknowledged.has(one.id))
  }
}

/** The story of a cook, then notes: it starts, goes through its stages, and settles now and then. */
function next(cook: Cook): Sent {
  const number = ++cook.number
  const stage = STAGES[number - 1]
  const kind = number === 1 ? 'cook.started' : stage ? 'stage.began' : number === STAGES.length + 1 ? 'cook.finished' : number % 7 === 0 ? 'outcome' : 'note'
  const payload = kind === 'stage.began' ? { stage } : kind === 'note' ? { text: `mark ${number}` } : kind === 'outcome' ? { faults: [], line: `after ${number}` } : {}
  return { id: `${cook.id}-${number}`, device: `device-${cook.id}`, number, deviceTime: Date.now(), kind, payload }
}

async function put(url: string, body: unknown): Promise<void> {
  const answer = await fetch(url, { method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })
  if (!answer.ok) throw new Error(`${url} answered ${answer.status}`)
}

async function start(folder: string, port: number, anchor: number, rate: number): Promise<ChildProcess> {
  const child = spawn(process.execPath, ['.output/server/index.mjs'], {
    env: {
      ...process.env, HOST: '127.0.0.1', PORT: String(port), NITRO_HOST: '127.0.0.1', NITRO_PORT: String(port), HEARTH_DATA: folder,
      HEARTH_CLOCK_RATE: String(rate), HEARTH_CLOCK_ANCHOR: String(anchor),
    },
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  for (let i = 0; i < 200; i++) {
    if (await fetch(`http://127.0.0.1:${port}/api/clock`).then(answer => answer.ok, () => false)) return child
    await new Promise(done => setTimeout(done, 25))
  }
  throw new Error('The server did not start.')
}

async function kill9(child: ChildProcess): Promise<void> {
  const gone = new Promise(done => child.once('exit', done))
  child.kill('SIGKILL')
  await gone
}

/** What the database holds after a kill, by a connection of its own: how often each observation, and whether it is whole. */
function look(file: string): Promise<{ readonly times: Map<string, number>, readonly integrity: string }> {
  return new Promise((done, fail) => {
    const database = new sqlite3.Database(file, sqlite3.OPEN_READWRITE, (opened) => {
      if (opened) return fail(opened)
      database.all('SELECT stream, id FROM observations', (error: Error | null, rows: { stream: string, id: string }[]) => {
        if (error) return fail(error)
        const times = new Map<string, number>()
        for (const row of rows) times.set(row.id, (times.get(row.id) ?? 0) + 1)
        database.get('PRAGMA integrity_check', (failed: Error | null, found: { integrity_check: string } | undefined) => {
          database.close()
          if (failed) return fail(failed)
          done({ times, integrity: found?.integrity_check ?? 'unknown' })
        })
      })
    })
  })
}

function freePort(): Promise<number> {
  return new Promise((done) => {
    const probe = createServer()
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo
      probe.close(() => done(port))
    })
  })
}
