import { spawn, type ChildProcess } from 'node:child_process'
import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { CookPlan } from '../../../core/record/plan/plan'
import { onOwn } from '../../../server/services/ownConnection'

/** What is under way when the server is killed. */
export const KILLED_IN = [
  'marks',
  'finishes',
  'days',
  'shelves',
  'restores',
  'backups',
  'copies',
  'migrations',
] as const
export type KilledIn = (typeof KILLED_IN)[number]
/** How it is to be killed: so many times in each. */
export interface Killing {
  readonly kills: number
  readonly cooks: number
  readonly rate: number
  readonly of?: readonly KilledIn[]
  say(line: string): void
}
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

/** What is found, counted on. */
export type Tally = { -readonly [K in keyof Killed]: Killed[K] }
/** The house that is killed again and again. */
export interface House {
  readonly folder: string
  readonly port: number
  readonly url: string
  readonly uniform: () => number
  readonly tally: Tally
}

// The example of the documents: the browser tests' runner loads no JSON modules.
export const PLAN = JSON.parse(readFileSync('docs/examples/cook-plan.json', 'utf8')) as CookPlan

/** What goes on until the server is gone; it says when something was acknowledged. */
type UnderWay = (goesOn: () => boolean, acknowledged: () => void) => Promise<unknown>
/** What the time until the kill counts from. */
type Since = 'start' | 'acknowledged'
/** So long a slow machine may take until something is acknowledged, ms. */
const MOST_SILENT_MS = 20_000

/** Starts it, has something under way, kills it, and looks whether the database is whole. */
export async function killed(
  house: House,
  how: Killing,
  underWay: UnderWay,
  afterMs: number,
  since: Since = 'start',
): Promise<void> {
  const server = await start(house, how)
  await killedRunning(house, server, underWay, afterMs, since)
}

/** The same of a server that is running. */
export async function killedRunning(
  house: House,
  server: ChildProcess,
  underWay: UnderWay,
  afterMs: number,
  since: Since = 'start',
): Promise<void> {
  let running = true
  // What is cut off fails, as it should; what the server refused is no cut.
  let first = (): void => undefined
  const acknowledged = new Promise<void>((resolve) => { first = resolve })
  const going = underWay(() => running, first).then(
    () => null,
    (error: unknown) => (error instanceof Refused ? error : null),
  )
  if (since === 'acknowledged') await Promise.race([acknowledged, going, pause(MOST_SILENT_MS)])
  await pause(afterMs)
  await kill9(server)
  running = false
  const refused = await going
  if (refused) throw refused
  house.tally.kills++
  // Killed before there was a database at all, there is none that could be broken.
  if (!existsSync(join(house.folder, 'hearth.sqlite'))) return void house.tally.whole++
  const [check] = await onOwn(join(house.folder, 'hearth.sqlite'), 'write', own =>
    own.all<{ integrity_check: string }>('PRAGMA integrity_check'),
  )
  if (check?.integrity_check === 'ok') house.tally.whole++
}

/** A house with one batch of that id. */
export async function cookOne(house: House, id: string): Promise<void> {
  const now = Date.now()
  await send(house, 'PUT', `/cooks/${id}`, { ...PLAN, id })
  await send(house, 'POST', `/streams/${id}/observations`, {
    sentAt: now,
    observations: ['cook.started', 'cook.finished'].map((kind, k) => ({
      id: `${id}-${k}`,
      device: id,
      number: k + 1,
      deviceTime: now - 1000 * (2 - k),
      kind,
      payload: {},
    })),
  })
  for (let i = 0; i < 200 && (await read<{ count: number }>(house, '/batches/tally')).count === 0; i++) await pause(50)
}

/** The server answered, and would not. */
class Refused extends Error {}

/** Waits. */
export const pause = (ms: number): Promise<void> => new Promise(done => setTimeout(done, ms))

/** Sends JSON; null where the server is gone or refuses. */
export async function send<T = unknown>(house: House, method: string, path: string, body: unknown): Promise<T | null> {
  const answer = await fetch(`${house.url}/api${path}`, {
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  }).catch(() => null)
  if (answer && !answer.ok) throw new Refused(`${method} ${path} answered ${answer.status}: ${await answer.text()}`)
  return answer ? await answer.json().catch(() => null) as T | null : null
}

/** Reads JSON. */
export async function read<T>(house: House, path: string): Promise<T> {
  return await (await fetch(`${house.url}/api${path}`)).json() as T
}

/**
 * Starts the built server over the house, and does not wait for it. What it says of errors comes to us by a pipe that
 * every process beside it holds as well: the pipe's end is the end of them all.
 */
export function spawned(house: House, how: Killing): ChildProcess {
  const child = spawn(process.execPath, ['.output/server/index.mjs'], {
    env: {
      ...process.env,
      HOST: '127.0.0.1',
      PORT: String(house.port),
      NITRO_HOST: '127.0.0.1',
      NITRO_PORT: String(house.port),
      HEARTH_DATA: house.folder,
      HEARTH_CLOCK_RATE: String(how.rate),
      HEARTH_CLOCK_ANCHOR: String(ANCHOR),
    },
    stdio: ['ignore', 'ignore', 'pipe'],
  })
  child.stderr?.pipe(process.stderr, { end: false })
  return child
}

const ANCHOR = Date.now()
/** A start that takes longer has failed, ms. */
const MOST_START_MS = 20_000

/** Starts it, and waits until it answers. */
export async function start(house: House, how: Killing): Promise<ChildProcess> {
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

/** Kills it without a word, and waits until it and all that worked beside it are gone. */
export async function kill9(child: ChildProcess): Promise<void> {
  if (child.exitCode !== null) return
  const gone = new Promise(done => child.once('close', done))
  child.kill('SIGKILL')
  await gone
}
