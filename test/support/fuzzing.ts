import { spawn } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { Agent, request } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import fc from 'fast-check'
import { onOwn } from '../../server/services/ownConnection'
import { freePort } from './freePort'

/** What came of many generated requests. */
export interface Fuzzed {
  readonly requests: number
  /** How many were answered with each status. */
  readonly statuses: Readonly<Record<number, number>>
  /** Requests that were answered with 5xx, or not within their time: as they were sent. */
  readonly wrong: readonly string[]
  /** Resident memory of the server after a tenth of them and at the end, MB. */
  readonly memoryMb: readonly [number, number]
  readonly integrity: string
}

interface Route { readonly route: string, readonly method: string }
const PASSPHRASE = 'copper pan by the window'
/** A request that is not answered in this time hangs, ms. What starts a process of its own for it takes seconds where all is busy. */
const MOST_MS = 60_000
/** A request asks for a stream; its head is answer enough after this long, ms. */
const STREAM_MS = 120
/** Each address may ask so often in ten seconds. */
const OF_ONE_ADDRESS = 150
const AT_ONCE = 24

const example = (name: string): unknown => JSON.parse(readFileSync(`docs/examples/${name}.json`, 'utf8'))
const DAY = { id: 'some-id', revision: 0, name: 'Day', eve: '2026-11-28', meals: [], dishes: [], hands: [], nights: null, fires: [], vessels: [], washMin: 3, wishes: [], shared: [], promises: [], plan: null, doings: [], cooks: [] }

/** What is near to being right, for every route that takes a body; one thing in it is spoilt. */
const NEAR: Readonly<Record<string, unknown>> = {
  '/api/cooks/:id': example('cook-plan'), '/api/streams/:id/observations': example('append'), '/api/dishes/:id': example('dish'), '/api/lessons/:id': example('lesson'), '/api/devices/readings': example('device-readings'),
  '/api/spreads/:id': DAY, '/api/kitchen/:shelf/:id': { id: 'some-id', name: 'Pan', kind: 'pan', innerDiameterMm: 240, depthMm: 70, massG: 1000, material: 'steel', coated: false, origin: 'guess' }, '/api/house/enter': { passphrase: 'x', name: '' },
  '/api/house/passphrase': { passphrase: 'another long one', old: 'x' }, '/api/house/prove': { passphrase: 'x' }, '/api/batches/:id': { note: 'x' }, '/api/dishes/:id/aside': { aside: true }, '/api/devices/:id': { cook: null, vessel: null },
  '/api/cooks/:id/close': { doneAt: 1_795_000_000_000 },
}

/** Payloads that once broke something, and their kin. */
const AIMED: readonly { readonly method: string, readonly path: string, readonly body?: string, readonly cookie?: string }[] = [
  ...['error', 'newListener', '__proto__', 'constructor'].map(id => ({ method: 'POST', path: `/api/streams/${id}/observations`, body: '{"sentAt":1,"observations":[{"id":"a","device":"d","number":1,"deviceTime":1,"kind":"note","payload":{}}]}' })),
  { method: 'POST', path: '/api/streams/deep/observations', body: `{"sentAt":1,"observations":[{"id":"a","device":"d","number":1,"deviceTime":1,"kind":"x","payload":${'{"a":'.repeat(5000)}1${'}'.repeat(5000)}}]}` },
  { method: 'POST', path: '/api/streams/long/observations', body: JSON.stringify({ sentAt: 1, observations: [{ id: 'a', device: 'd', number: 1, deviceTime: 1, kind: 'outcome', payload: { line: 'y'.repeat(3000), faults: Array(60).fill('x'.repeat(30)) } }] }) },
  { method: 'POST', path: '/api/streams/odd/observations', body: '{"sentAt":1,"observations":[{"id":"a","device":"d","number":1,"deviceTime":7258118400000,"kind":"corrected","payload":{"replaces":"b","shiftS":-1e15}}]}' },
  { method: 'GET', path: '/api/batches?cursor=1_%00' }, { method: 'GET', path: '/api/batches?cursor=%00_%00&limit=200' }, { method: 'GET', path: '/api/batches?limit=1e9' }, { method: 'GET', path: '/%61pi/batches' }, { method: 'GET', path: '/api/%2e%2e/batches' },
  { method: 'GET', path: '/api/clock', cookie: 'hearth_session=%00.' }, { method: 'GET', path: '/api/clock', cookie: `hearth_session=${'0'.repeat(16)}.${'f'.repeat(48)}` }, { method: 'GET', path: '/api/clock', cookie: 'hearth_known=%FF' },
  { method: 'PUT', path: '/api/cooks/some-id', body: JSON.stringify(example('cook-plan')) }, { method: 'POST', path: '/api/batches/import', body: '{"format":"yon-hearth/batch/1"}\n' }, { method: 'POST', path: '/api/backup/restore?putAside=1', body: 'no gzip' },
]

const odd = fc.oneof(fc.jsonValue({ maxDepth: 2 }), fc.constantFrom(null, -1, 0, 1e308, 2 ** 53, '', '../x', '\u0000', '%00', 'a'.repeat(200), {}, [], true, '__proto__', 'constructor', '\ud800'))
const oddText = fc.oneof(fc.constantFrom('some-id', '..', '.', '%00', '%2e', '__proto__', 'constructor', 'x'.repeat(300), 'a b', 'é', '-', '1', 'seed-1', 'pans', 'measures'), fc.string({ maxLength: 12 }))

/** A copy of a value in which one thing, somewhere, is something else. */
function spoilt(value: unknown, at: number, by: unknown): unknown {
  if (typeof value !== 'object' || value === null || at % 5 === 0) return by
  const keys = Object.keys(value)
  if (keys.length === 0) return by
  const key = keys[at % keys.length]!
  const inner = spoilt((value as Record<string, unknown>)[key], Math.floor(at / keys.length) + 1, by)
  return Array.isArray(value) ? value.map((one, i) => (String(i) === key ? inner : one as unknown)) : { ...value, [key]: inner }
}

interface Wanted { readonly method: string, readonly path: string, readonly body: string | null, readonly who: 'nobody' | 'session' | 'nonsense', readonly cookie?: string | undefined, readonly type: string }

function wantedOf(routes: readonly Route[]): fc.Arbitrary<Wanted> {
  const verbs = ['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS']
  const generated = fc.record({
    route: fc.constantFrom(...routes), own: fc.integer({ min: 0, max: 9 }), verb: fc.constantFrom(...verbs), parts: fc.array(oddText, { minLength: 3, maxLength: 3 }), plain: fc.boolean(),
    at: fc.nat(10_000), by: odd, whole: fc.integer({ min: 0, max: 9 }), who: fc.constantFrom<Wanted['who']>('session', 'session', 'nobody', 'nonsense'), type: fc.constantFrom('application/json', 'text/plain', 'application/gzip', ''),
    query: fc.option(fc.tuple(fc.constantFrom('limit', 'cursor', 'before', 'after', 'dish', 'fault', 'season', 'photos', 'putAside'), oddText)),
  }).map(({ route, own, verb, parts, plain, at, by, whole, who, type, query }): Wanted => {
    let part = 0
    const path = route.route.replace('/**', () => `/${encodeURIComponent(parts[0]!)}`).replace(/:(\w+)/g, () => (plain ? (part++ === 0 && route.route.includes(':shelf') ? 'pans' : 'some-id') : encodeURIComponent(parts[part++] ?? 'x')))
    const method = own < 8 && route.method !== 'all' ? route.method.toUpperCase() : verb
    const near = NEAR[route.route]
    const body = ['GET', 'HEAD', 'OPTIONS'].includes(method) ? null : whole === 0 ? String(JSON.stringify(by)).slice(0, -1) : whole < 7 && near !== undefined ? JSON.stringify(spoilt(near, at, by)) : JSON.stringify(by) ?? ''
    return { method, path: `${path}${query ? `?${query[0]}=${encodeURIComponent(query[1])}` : ''}`, body, who, type }
  })
  const aimed = fc.tuple(fc.constantFrom(...AIMED), fc.constantFrom<Wanted['who']>('session', 'nobody')).map(([one, who]): Wanted => ({ method: one.method, path: one.path, body: one.body ?? null, who, cookie: one.cookie, type: 'application/json' }))
  return fc.oneof({ arbitrary: generated, weight: 9 }, { arbitrary: aimed, weight: 1 })
}

/**
 * Sends generated requests to every route of the build, with a session and without, aimed ones among them.
 *
 * @param count how many
 * @param seed of the generator
 * @returns what came of it
 */
export async function fuzz(count: number, seed: number): Promise<Fuzzed> {
  const folder = mkdtempSync(join(tmpdir(), 'yon-hearth-fuzz-'))
  const port = await freePort()
  const server = spawn(process.execPath, ['.output/server/index.mjs'], {
    env: { ...process.env, HOST: '127.0.0.1', PORT: String(port), NITRO_HOST: '127.0.0.1', NITRO_PORT: String(port), HEARTH_DATA: folder, HEARTH_HOUSE: '1', HEARTH_MACHINE_TRUSTED: '0', HEARTH_PASSPHRASE: PASSPHRASE }, stdio: ['ignore', 'ignore', 'inherit'],
  })
  try {
    await up(port)
    const routes = JSON.parse(readFileSync('.output/server/routes.json', 'utf8')) as Route[]
    const wanted = fc.sample(wantedOf(routes), { seed, numRuns: count })
    const statuses: Record<number, number> = {}
    const wrong: string[] = []
    let session = await enter(port)
    let [next, early] = [0, 0]
    const agents = new Map<string, Agent>()
    const worker = async (): Promise<void> => {
      for (let i = next++; i < wanted.length; i = next++) {
        const one = wanted[i]!
        const address = `127.${20 + Math.floor(i / OF_ONE_ADDRESS / 250)}.1.${1 + (Math.floor(i / OF_ONE_ADDRESS) % 250)}`
        const agent = agents.get(address) ?? new Agent({ keepAlive: true, maxSockets: 8, localAddress: address })
        agents.set(address, agent)
        const status = await ask(port, agent, one, one.cookie ?? (one.who === 'session' ? session : one.who === 'nonsense' ? 'hearth_session=x; y' : ''))
        statuses[status] = (statuses[status] ?? 0) + 1
        if (status >= 500 || status === 0) wrong.push(`${status} ${one.method} ${one.path} as ${one.who}: ${(one.body ?? '').slice(0, 300)}`)
        if (one.path.startsWith('/api/house/leave') && status === 200) session = await enter(port)
        if (i === Math.floor(wanted.length / 10)) early = rss(server.pid)
      }
    }
    await Promise.all(Array.from({ length: AT_ONCE }, worker))
    for (const agent of agents.values()) agent.destroy()
    const late = rss(server.pid)
    const [check] = await onOwn(join(folder, 'hearth.sqlite'), 'read', own => own.all<{ integrity_check: string }>('PRAGMA integrity_check'))
    return { requests: wanted.length, statuses, wrong, memoryMb: [early, late], integrity: check?.integrity_check ?? 'unknown' }
  }
  finally {
    server.kill('SIGKILL')
    await new Promise(done => setTimeout(done, 200))
    rmSync(folder, { recursive: true, force: true })
  }
}

function ask(port: number, agent: Agent, { method, path, body, type }: Wanted, cookie: string): Promise<number> {
  return new Promise((done) => {
    const sent = request({
      host: '127.0.0.1', port, agent, method, path: path.replace(/[^\x21-\x7e]/g, '%20'),
      headers: { ...(cookie ? { cookie } : {}), ...(body === null ? {} : { 'content-type': type || 'application/octet-stream', 'content-length': Buffer.byteLength(body) }) },
    }, (answer) => {
      const status = answer.statusCode ?? 0
      if (String(answer.headers['content-type']).startsWith('text/event-stream')) {
        setTimeout(() => {
          sent.destroy()
          done(status)
        }, STREAM_MS)
      }
      answer.resume()
      answer.on('end', () => done(status))
      answer.on('error', () => done(status))
    })
    sent.setTimeout(MOST_MS, () => {
      sent.destroy()
      done(0)
    })
    sent.on('error', error => done((error as NodeJS.ErrnoException).code === 'ECONNRESET' ? 499 : 0))
    sent.end(body ?? undefined)
  })
}

async function enter(port: number): Promise<string> {
  const answer = await fetch(`http://127.0.0.1:${port}/api/house/enter`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ passphrase: PASSPHRASE, name: 'fuzz' }) })
  return answer.headers.getSetCookie().map(one => one.split(';')[0]).join('; ')
}

function rss(pid: number | undefined): number {
  return Math.round(Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024)
}

async function up(port: number): Promise<void> {
  for (let i = 0; i < 400; i++) {
    if (await fetch(`http://127.0.0.1:${port}/api/health`).then(answer => answer.ok, () => false)) return
    await new Promise(done => setTimeout(done, 50))
  }
  throw new Error('The server did not start.')
}
