import { spawn, type ChildProcess } from 'node:child_process'
import { cpSync, existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { createServer, type AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Sequelize } from 'sequelize'
import sqlite3 from 'sqlite3'
import { mainLine } from '../../core/dish/mainLine'
import { seededRandom } from '../../core/random/seededRandom'
import type { CookPlan } from '../../core/live/plan'
import { MIGRATIONS } from '../../server/migrations/all'
import { migrateTo } from '../../server/services/database'
import { checkCopy } from '../../server/services/goodCopies'
import { onOwn } from '../../server/services/ownConnection'

/** What is under way when the server is killed. */
export const KILLED_IN = ['marks', 'finishes', 'days', 'shelves', 'restores', 'backups', 'copies', 'migrations'] as const
export type KilledIn = (typeof KILLED_IN)[number]
/** How it is to be killed: so many times in each. */
export interface Killing { readonly kills: number, readonly cooks: number, readonly rate: number, readonly of?: readonly KilledIn[], say(line: string): void }
/** What was found afterwards. */
export interface Killed {
  readonly kills: number
  readonly acknowledged: number
  readonly lost: number
  readonly doubled: number
  /** What stood there in part. */
  readonly half: number
  /** Databases that were whole. */
  readonly whole: number
  /** The longest start after a kill, ms. */
  readonly longestStartMs: number
}

type Tally = { -readonly [K in keyof Killed]: Killed[K] }
interface House { readonly folder: string, readonly port: number, readonly url: string, readonly uniform: () => number, readonly tally: Tally }

// The example of the documents: the browser tests' runner loads no JSON modules.
const PLAN = JSON.parse(readFileSync('docs/examples/cook-plan.json', 'utf8')) as CookPlan
const STAGES = mainLine(PLAN.dish).map(stage => stage.id)

/**
 * Kills a server again and again in the middle of things, and looks afterwards: on disk, by what it answers, in its ledger.
 * Devices behave as ours do: what was not acknowledged is sent again with the same id.
 *
 * @param how how often in each thing, with how many cooks at once
 * @returns what was lost, doubled or half: nothing should be
 */
export async function killAndCheck(how: Killing): Promise<Killed> {
  const tally: Tally = { kills: 0, acknowledged: 0, lost: 0, doubled: 0, half: 0, whole: 0, longestStartMs: 0 }
  for (const kind of how.of ?? KILLED_IN) {
    const folder = mkdtempSync(join(tmpdir(), `yon-hearth-kills-${kind}-`))
    const port = await freePort()
    const house: House = { folder, port, url: `http://127.0.0.1:${port}`, uniform: seededRandom(11 + KILLED_IN.indexOf(kind)), tally }
    await WAYS[kind](house, how)
    how.say(`${kind}: ${tally.kills} kills so far, ${tally.acknowledged} acknowledged, ${tally.lost} lost, ${tally.doubled} doubled, ${tally.half} half, longest start ${Math.round(tally.longestStartMs)} ms`)
    rmSync(folder, { recursive: true, force: true })
  }
  return tally
}

type Way = (house: House, how: Killing) => Promise<void>
const WAYS: Readonly<Record<KilledIn, Way>> = { marks, finishes, days, shelves, restores, backups, copies, migrations }

/** Starts it, has something under way, kills it, and looks whether the database is whole. */
async function killed(house: House, how: Killing, underWay: (goesOn: () => boolean) => Promise<unknown>, afterMs: number): Promise<void> {
  const server = await start(house, how)
  await killedRunning(house, server, underWay, afterMs)
}

async function killedRunning(house: House, server: ChildProcess, underWay: (goesOn: () => boolean) => Promise<unknown>, afterMs: number): Promise<void> {
  let running = true
  // What is cut off fails, as it should; what the server refused is no cut.
  const going = underWay(() => running).then(() => null, (error: unknown) => (error instanceof Refused ? error : null))
  await pause(afterMs)
  await kill9(server)
  running = false
  const refused = await going
  if (refused) throw refused
  house.tally.kills++
  // Killed before there was a database at all, there is none that could be broken.
  if (!existsSync(join(house.folder, 'hearth.sqlite'))) return void house.tally.whole++
  const [check] = await onOwn(join(house.folder, 'hearth.sqlite'), 'write', own => own.all<{ integrity_check: string }>('PRAGMA integrity_check'))
  if (check?.integrity_check === 'ok') house.tally.whole++
}

interface Sent { readonly id: string, readonly device: string, readonly number: number, readonly deviceTime: number, readonly kind: string, readonly payload: Record<string, unknown> }
interface Cook { readonly id: string, number: number, waiting: Sent[], readonly acknowledged: Set<string> }

async function marks(house: House, how: Killing): Promise<void> {
  const cooks: Cook[] = []
  for (let kill = 0; kill < how.kills; kill++) {
    await killed(house, how, async (goesOn) => {
      // A cook lasts some kills; then others are begun.
      if (kill % 10 === 0) {
        const fresh = Array.from({ length: how.cooks }, (_, i): Cook => ({ id: `killed-${kill}-${i}`, number: 0, waiting: [], acknowledged: new Set() }))
        for (const cook of fresh) await send(house, 'PUT', `/cooks/${cook.id}`, { ...PLAN, id: cook.id })
        cooks.push(...fresh)
      }
      await Promise.all(cooks.slice(-how.cooks).map(cook => write(house, cook, goesOn)))
    }, 60 + 300 * house.uniform())
    const times = await onOwn(join(house.folder, 'hearth.sqlite'), 'read', async (own) => {
      const rows = await own.all<{ id: string, n: number }>('SELECT id, count(*) AS n FROM observations GROUP BY stream, id')
      return new Map(rows.map(row => [row.id, row.n]))
    })
    house.tally.lost += cooks.reduce((sum, cook) => sum + [...cook.acknowledged].filter(id => !times.has(id)).length, 0)
    house.tally.doubled += [...times.values()].filter(n => n > 1).length
  }
  house.tally.acknowledged += cooks.reduce((sum, cook) => sum + cook.acknowledged.size, 0)
  const server = await start(house, how)
  for (const cook of cooks) {
    const { observations } = await read<{ observations: { id: string }[] }>(house, `/streams/${cook.id}/observations`)
    const there = observations.map(one => one.id)
    house.tally.lost += [...cook.acknowledged].filter(id => !there.includes(id)).length
    house.tally.doubled += there.length - new Set(there).size
  }
  await kill9(server)
}

/** Marks of one cook as fast as the server takes them, until it is gone. */
async function write(house: House, cook: Cook, goesOn: () => boolean): Promise<void> {
  while (goesOn()) {
    while (cook.waiting.length < 1 + Math.floor(3 * house.uniform())) cook.waiting.push(next(cook))
    const answer = await send<{ acknowledged: { id: string }[] }>(house, 'POST', `/streams/${cook.id}/observations`, { sentAt: Date.now(), observations: cook.waiting })
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

/** Cooks that are finished as fast as they can be: each that was acknowledged is a batch in the end, once. */
async function finishes(house: House, how: Killing): Promise<void> {
  const finished: string[] = []
  let made = 0
  for (let kill = 0; kill < how.kills; kill++) {
    await killed(house, how, async (goesOn) => {
      while (goesOn()) {
        const id = `finished-${made++}`
        const now = Date.now()
        if (!await send(house, 'PUT', `/cooks/${id}`, { ...PLAN, id })) return
        const observations = ['cook.started', 'cook.finished', 'outcome'].map((kind, k): Sent => ({ id: `${id}-${k}`, device: id, number: k + 1, deviceTime: now - 1000 * (3 - k), kind, payload: kind === 'outcome' ? { faults: ['dry'], line: id } : {} }))
        if (!await send(house, 'POST', `/streams/${id}/observations`, { sentAt: now, observations })) return
        finished.push(id)
        await pause(80 * house.uniform())
      }
    }, 60 + 900 * house.uniform())
  }
  house.tally.acknowledged += finished.length
  const server = await start(house, how)
  // As long as it goes on: a slow machine settles one a second.
  for (let [count, last, still] = [0, -1, 0]; count < finished.length && still < 300; still = count === last ? still + 1 : 0) {
    last = count
    await pause(100)
    ;({ count } = await read<{ count: number }>(house, '/batches/tally'))
  }
  const found = new Map<string, number>()
  for (let cursor: string | null = ''; cursor !== null;) {
    const page: { batches: { id: string, summary: { faults: string[], line: string } }[], next: string | null } = await read(house, `/batches?limit=200${cursor ? `&cursor=${cursor}` : ''}`)
    for (const one of page.batches) {
      found.set(one.id, (found.get(one.id) ?? 0) + 1)
      if (one.summary.line !== one.id || one.summary.faults[0] !== 'dry') house.tally.half++
    }
    cursor = page.next
  }
  house.tally.lost += finished.filter(id => !found.has(id)).length
  house.tally.doubled += [...found.values()].filter(n => n > 1).length
  await kill9(server)
}

const CUP = { kind: 'cup', volumeMl: 200, topMm: 80, bottomMm: 70, heightMm: 60, origin: 'weighed' }
const DAY = { name: 'Killed', eve: '2026-11-28', meals: [], dishes: [], hands: [], nights: null, fires: [], vessels: [], washMin: 3, wishes: [], shared: [], promises: [], plan: null, doings: [], cooks: [] }

/** A day that is changed again and again: the last revision that was acknowledged stands, or the one that was on its way. */
async function days(house: House, how: Killing): Promise<void> {
  let revision = 0
  for (let kill = 0; kill < how.kills; kill++) {
    const id = `day-${Math.floor(kill / 10)}`
    if (kill % 10 === 0) revision = 0
    await killed(house, how, async (goesOn) => {
      while (goesOn()) {
        const kept = await send<{ revision: number }>(house, 'PUT', `/spreads/${id}`, { ...DAY, id, revision, name: `Killed ${revision + 1}` })
        if (!kept) return
        revision = kept.revision
        house.tally.acknowledged++
      }
    }, 60 + 300 * house.uniform())
    const [row] = await onOwn(join(house.folder, 'hearth.sqlite'), 'read', own => own.all<{ revision: number, name: string, spread: string }>('SELECT revision, name, spread FROM spreads WHERE id = ?', [id]))
    if (row && (row.revision < revision || row.revision > revision + 1)) house.tally.lost++
    if (!row && revision > 0) house.tally.lost++
    if (row && (row.name !== `Killed ${row.revision}` || (JSON.parse(row.spread) as { revision: number }).revision !== row.revision)) house.tally.half++
    revision = row?.revision ?? 0
  }
}

/** A shelf on which things change: each stands as it was acknowledged last, or as it was on its way. */
async function shelves(house: House, how: Killing): Promise<void> {
  const stands = new Map<string, number>()
  let volume = 100
  for (let kill = 0; kill < how.kills; kill++) {
    const sent = new Map<string, number>()
    await killed(house, how, async (goesOn) => {
      while (goesOn()) {
        const id = `cup-${Math.floor(5 * house.uniform())}`
        volume++
        sent.set(id, volume)
        if (!await send(house, 'PUT', `/kitchen/measures/${id}`, { ...CUP, id, name: `Cup ${id}`, volumeMl: volume })) return
        stands.set(id, volume)
        house.tally.acknowledged++
      }
    }, 60 + 300 * house.uniform())
    const rows = await onOwn(join(house.folder, 'hearth.sqlite'), 'read', own => own.all<{ id: string, item: string }>('SELECT id, item FROM shelf_items WHERE shelf = \'measures\''))
    const found = new Map(rows.map(row => [row.id, (JSON.parse(row.item) as { volumeMl: number }).volumeMl]))
    for (const [id, was] of stands) {
      const now = found.get(id)
      if (now === undefined || (now !== was && now !== sent.get(id))) house.tally.lost++
      else stands.set(id, now)
    }
    house.tally.doubled += rows.length - found.size
  }
}

/** A house with a batch in it, and a backup of another one that takes its place: it is always wholly one of the two. */
async function restores(house: House, how: Killing): Promise<void> {
  const made = await start(house, how)
  await cookOne(house, 'of-the-backup')
  const backup = Buffer.from(await (await fetch(`${house.url}/api/backup`)).arrayBuffer())
  await kill9(made)
  rmSync(house.folder, { recursive: true })
  mkdirSync(house.folder)
  const other = await start(house, how)
  await cookOne(house, 'of-the-house')
  await kill9(other)
  const before = mkdtempSync(join(tmpdir(), 'yon-hearth-kills-before-'))
  cpSync(house.folder, before, { recursive: true })
  for (let kill = 0; kill < how.kills; kill++) {
    rmSync(house.folder, { recursive: true })
    cpSync(before, house.folder, { recursive: true })
    let restored = false
    await killed(house, how, async () => {
      const answer = await fetch(`${house.url}/api/backup/restore?putAside=1`, { method: 'POST', body: backup, headers: { 'content-type': 'application/gzip' } })
      restored = answer.ok
      if (restored) house.tally.acknowledged++
    }, 100 + 1400 * house.uniform())
    // What worked beside it ends with its connection; then it is looked at.
    await pause(400)
    const server = await start(house, how)
    const ids = (await read<{ batches: { id: string }[] }>(house, '/batches')).batches.map(one => one.id).join()
    if (ids !== 'of-the-backup' && ids !== 'of-the-house') house.tally.half++
    if (restored && ids !== 'of-the-backup') house.tally.lost++
    if (ids === 'of-the-backup' && !(await copiesHold(house.folder, 'of-the-house'))) house.tally.lost++
    await kill9(server)
    if (readdirSync(house.folder).some(name => name.startsWith('.'))) house.tally.half++
  }
  rmSync(before, { recursive: true, force: true })
}

async function copiesHold(folder: string, id: string): Promise<boolean> {
  for (const name of readdirSync(join(folder, 'copies'))) {
    const rows = await onOwn(join(folder, 'copies', name), 'read', own => own.all('SELECT 1 FROM batches WHERE id = ?', [id])).catch(() => [])
    if (rows.length > 0) return true
  }
  return false
}

async function cookOne(house: House, id: string): Promise<void> {
  const now = Date.now()
  await send(house, 'PUT', `/cooks/${id}`, { ...PLAN, id })
  await send(house, 'POST', `/streams/${id}/observations`, { sentAt: now, observations: ['cook.started', 'cook.finished'].map((kind, k) => ({ id: `${id}-${k}`, device: id, number: k + 1, deviceTime: now - 1000 * (2 - k), kind, payload: {} })) })
  for (let i = 0; i < 200 && (await read<{ count: number }>(house, '/batches/tally')).count === 0; i++) await pause(50)
}

/** Backups that are cut off by the end of the server: nothing of them is left, and none passes for a whole one. */
async function backups(house: House, how: Killing): Promise<void> {
  const first = await start(house, how)
  await cookOne(house, 'kept')
  await kill9(first)
  for (let kill = 0; kill < how.kills; kill++) {
    await killed(house, how, async (goesOn) => {
      while (goesOn()) {
        const answer = await fetch(`${house.url}/api/backup`)
        await answer.arrayBuffer()
        house.tally.acknowledged++
      }
    }, 60 + 1200 * house.uniform())
    await pause(100)
    if (readdirSync(house.folder).some(name => name.startsWith('.') || name.endsWith('.half'))) house.tally.half++
  }
}

/** Copies of the day that are cut off: each that counts as a copy is whole. */
async function copies(house: House, how: Killing): Promise<void> {
  for (let kill = 0; kill < how.kills; kill++) {
    rmSync(join(house.folder, 'copies'), { recursive: true, force: true })
    const server = spawned(house, how)
    await killedRunning(house, server, () => Promise.resolve(), 500 + 1500 * house.uniform())
    for (const name of readdirSync(house.folder).includes('copies') ? readdirSync(join(house.folder, 'copies')) : []) {
      if (name.endsWith('.half')) continue
      if (!(await checkCopy(join(house.folder, 'copies', name))).good) house.tally.half++
      house.tally.acknowledged++
    }
  }
}

/** A house of the first version that is killed while it is brought up to date: it starts, and everything stands in it. */
async function migrations(house: House, how: Killing): Promise<void> {
  const old = mkdtempSync(join(tmpdir(), 'yon-hearth-kills-old-'))
  await firstHouse(old)
  for (let kill = 0; kill < how.kills; kill++) {
    rmSync(house.folder, { recursive: true, force: true })
    cpSync(old, house.folder, { recursive: true })
    const server = spawned(house, how)
    await killedRunning(house, server, () => Promise.resolve(), 350 + 700 * house.uniform())
    const again = await start(house, how)
    const { batches } = await read<{ batches: { id: string }[] }>(house, '/batches?limit=200')
    house.tally.acknowledged += batches.length
    house.tally.lost += OLD_BATCHES - batches.length
    house.tally.doubled += batches.length - new Set(batches.map(one => one.id)).size
    await kill9(again)
  }
  rmSync(old, { recursive: true, force: true })
}

const OLD_BATCHES = 120
async function firstHouse(folder: string): Promise<void> {
  const sequelize = new Sequelize({ dialect: 'sqlite', dialectModule: sqlite3, storage: join(folder, 'hearth.sqlite'), logging: false })
  await sequelize.query('PRAGMA journal_mode = WAL')
  await migrateTo(sequelize, MIGRATIONS[0]!.name)
  const summary = JSON.stringify({ stones: [], plannedStones: [], keystoneS: 1, endS: 2, plannedKeystoneS: null, plannedEndS: null, plannedKeystoneWindow: null, plannedEndWindow: null, moments: [], baseG: 100, finishedG: 300, plannedFinishedG: null, weighed: false, darkestStep: null, faults: ['dry'], line: '' })
  for (let i = 0; i < OLD_BATCHES; i++) {
    const id = `old-${i}`
    await sequelize.query('INSERT INTO cooks VALUES (:id, \'Dish\', :plan, 1, 1, 1, 2)', { replacements: { id, plan: JSON.stringify({ ...PLAN, id }) } })
    await sequelize.query('INSERT INTO batches VALUES (:id, \'dish\', \'Dish\', :at, :summary, \'[]\', \'\', NULL)', { replacements: { id, at: 1_790_000_000_000 + i, summary } })
  }
  await sequelize.close()
}

/** The server answered, and would not. */
class Refused extends Error {}

const pause = (ms: number): Promise<void> => new Promise(done => setTimeout(done, ms))

/** Sends JSON; null where the server is gone or refuses. */
async function send<T = unknown>(house: House, method: string, path: string, body: unknown): Promise<T | null> {
  const answer = await fetch(`${house.url}/api${path}`, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }).catch(() => null)
  if (answer && !answer.ok) throw new Refused(`${method} ${path} answered ${answer.status}: ${await answer.text()}`)
  return answer ? await answer.json().catch(() => null) as T | null : null
}

async function read<T>(house: House, path: string): Promise<T> {
  return await (await fetch(`${house.url}/api${path}`)).json() as T
}

function spawned(house: House, how: Killing): ChildProcess {
  return spawn(process.execPath, ['.output/server/index.mjs'], {
    env: {
      ...process.env, HOST: '127.0.0.1', PORT: String(house.port), NITRO_HOST: '127.0.0.1', NITRO_PORT: String(house.port), HEARTH_DATA: house.folder,
      HEARTH_CLOCK_RATE: String(how.rate), HEARTH_CLOCK_ANCHOR: String(ANCHOR),
    },
    stdio: ['ignore', 'ignore', 'inherit'],
  })
}

const ANCHOR = Date.now()
/** A start that takes longer has failed, ms. */
const MOST_START_MS = 20_000

async function start(house: House, how: Killing): Promise<ChildProcess> {
  const began = performance.now()
  const child = spawned(house, how)
  while (performance.now() - began < MOST_START_MS) {
    if (await fetch(`${house.url}/api/health`).then(answer => answer.ok, () => false)) {
      house.tally.longestStartMs = Math.max(house.tally.longestStartMs, performance.now() - began)
      return child
    }
    await pause(25)
  }
  throw new Error('The server did not start.')
}

async function kill9(child: ChildProcess): Promise<void> {
  if (child.exitCode !== null) return
  const gone = new Promise(done => child.once('exit', done))
  child.kill('SIGKILL')
  await gone
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
