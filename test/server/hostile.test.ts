import { createApp, createRouter, toNodeListener } from 'h3'
import { Agent, createServer, request, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import fc from 'fast-check'
import type { Sequelize } from 'sequelize'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import type { SentObservation } from '../../contracts/observation'
import { replay } from '../../core/record/replay/replay'
import { type Hearth, openHearth } from '../../server/services/hearth'
import { examplePlan, marked } from '../support/plans'

const START = 1_795_000_000_000
const plan = examplePlan({}, 'told')
const STORY = [
  marked(1, 0, 'cook.started'),
  marked(2, 200, 'sign.seen', { sign: 'nuts-golden' }),
  marked(3, 240, 'stage.began', { stage: 'roast' }),
  marked(4, 420, 'vessel.lit', { vessel: 'pot' }),
  marked(5, 500, 'oven.door', { open: true }),
  marked(6, 600, 'sign.seen', { sign: 'aroma' }),
  marked(7, 700, 'looks.like', { step: 'pale' }),
  marked(8, 720, 'stage.began', { stage: 'pour' }),
]
const bare = ({ sentAt: _s, receivedAt: _r, payload, ...one }: (typeof STORY)[number]): SentObservation => ({
  ...one,
  payload: { ...payload },
})

describe('the same story, however it comes', () => {
  it('is the same cook: out of order, twice, from two devices at once, with clocks that are minutes off, an unknown kind among it', async () => {
    for (const seed of [1, 2, 3, 4, 5, 6]) {
      const folder = mkdtempSync(join(tmpdir(), 'yon-hearth-told-'))
      let now = START
      const hearth = await openHearth(folder, { now: () => now, rate: 1 })
      await hearth.cooks.create(plan)
      // Every other mark is another device's, whose clock is seven minutes ahead; its numbers are its own.
      const OFF = 7 * 60_000
      const told = STORY.map((one, i): SentObservation =>
        i % 2 === 0
          ? bare(one)
          : { ...bare(one), id: `phone-${one.number}`, device: 'phone', deviceTime: one.deviceTime + OFF },
      )
      const shuffled = fc.sample(fc.shuffledSubarray(told, { minLength: told.length }), { seed, numRuns: 1 })[0]!
      now = START + 900_000
      const send = (observations: readonly SentObservation[]) =>
        Promise.all(
          ['tablet', 'phone'].map(device => {
            const own = observations.filter(one => one.device === device)
            return own.length === 0
              ? null
              : hearth.append(plan.id, { sentAt: device === 'phone' ? now + OFF : now, observations: [...own] })
          }),
        )
      await send(shuffled.slice(0, 5))
      await send(shuffled)
      await send([...shuffled].reverse())
      const { observations } = await hearth.cooks.one(plan.id)
      expect(observations).toHaveLength(STORY.length)
      const cook = replay(plan, observations)
      const straight = replay(plan, STORY)
      expect(cook.stageStarts.map(one => (one === null ? null : Math.round(one)))).toEqual(straight.stageStarts)
      expect(cook.moments.map(one => [one.kind, Math.round(one.timeS), one.known])).toEqual(
        straight.moments.map(one => [one.kind, one.timeS, one.known]),
      )
      await hearth.close()
      rmSync(folder, { recursive: true, force: true })
    }
  })
})

describe('durability', () => {
  it('is write-ahead and full on the very connection that writes an observation', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'yon-hearth-durable-'))
    const hearth = await openHearth(folder, { now: () => START, rate: 1 })
    interface Raw {
      all(sql: string, done: (error: Error | null, rows: Record<string, unknown>[]) => void): void
    }
    const manager = (
      hearth.database.sequelize as unknown as { connectionManager: { getConnection(options: unknown): Promise<Raw> } }
    ).connectionManager
    const used = new Set<Raw>()
    const real = manager.getConnection.bind(manager)
    vi.spyOn(manager, 'getConnection').mockImplementation(async options => {
      const connection = await real(options)
      used.add(connection)
      return connection
    })
    const statements: string[] = []
    ;(hearth.database.sequelize as Sequelize & { options: { logging: unknown } }).options.logging = (sql: string) =>
      statements.push(sql)
    await hearth.append('durable', { sentAt: START, observations: [bare(STORY[0]!)] })
    expect(statements.some(sql => /INSERT.*`observations`/.test(sql))).toBe(true)
    expect(used.size).toBe(1)
    const [writer] = [...used]
    const pragma = (name: string): Promise<unknown> =>
      new Promise((done, fail) =>
        writer!.all(`PRAGMA ${name}`, (error, rows) => (error ? fail(error) : done(Object.values(rows[0] ?? {})[0]))),
      )
    expect(await Promise.all(['journal_mode', 'synchronous', 'foreign_keys', 'busy_timeout'].map(pragma))).toEqual([
      'wal',
      2,
      1,
      5000,
    ])
    await hearth.close()
    rmSync(folder, { recursive: true, force: true })
  })
})

describe('four thousand bad bodies', () => {
  let server: Server
  let port: number
  let folder: string
  let hearth: Hearth
  const agent = new Agent({ keepAlive: true, maxSockets: 16 })
  beforeAll(async () => {
    vi.resetModules()
    folder = mkdtempSync(join(tmpdir(), 'yon-hearth-hostile-'))
    process.env.HEARTH_DATA = folder
    const router = createRouter()
    router.post(
      '/api/streams/:id/observations',
      (await import('../../server/api/streams/[id]/observations.post')).default,
    )
    router.put('/api/cooks/:id', (await import('../../server/api/cooks/[id]/index.put')).default)
    router.post('/api/devices/readings', (await import('../../server/api/devices/readings.post')).default)
    router.put('/api/lessons/:id', (await import('../../server/api/lessons/[id].put')).default)
    const app = createApp()
    app.use((await import('../../server/middleware/guard')).default)
    app.use(router)
    server = createServer(toNodeListener(app))
    // A connection that the server lets go just as it is used again is no answer at all.
    server.keepAliveTimeout = 120_000
    await new Promise<void>(done => server.listen(0, '127.0.0.1', done))
    port = (server.address() as AddressInfo).port
    hearth = await (await import('../../server/http/theHearth')).theHearth()
  })
  afterAll(async () => {
    agent.destroy()
    await new Promise(done => server.close(done))
    await hearth.close()
    rmSync(folder, { recursive: true, force: true })
  })

  const send = (
    method: string,
    path: string,
    body: string,
  ): Promise<{ readonly status: number, readonly text: string }> =>
    new Promise((done, fail) => {
      const asked = request(
        {
          host: '127.0.0.1',
          port,
          method,
          path,
          agent,
          headers: { 'content-type': 'application/json', 'content-length': Buffer.byteLength(body) },
        },
        answer => {
          let said = ''
          answer.on('data', (part: Buffer) => {
            said += part.toString('utf8')
          })
          answer.on('end', () => done({ status: answer.statusCode ?? 0, text: said }))
        },
      )
      asked.on('error', fail)
      asked.end(body)
    })

  it('are answered below 500, and exactly what is acknowledged of them is stored', async () => {
    const value = fc.oneof(
      fc.jsonValue({ maxDepth: 2 }),
      fc.constantFrom(
        null,
        -1,
        Number.MAX_VALUE,
        2 ** 60,
        '',
        '../x',
        'a'.repeat(100),
        {},
        [],
        true,
        '__proto__',
        'constructor',
      ),
    )
    const observation = fc.record(
      { id: value, device: value, number: value, deviceTime: value, kind: value, payload: value, extra: value },
      { requiredKeys: [] },
    )
    /** A good request with one thing spoilt, or something else altogether. */
    const spoilt = fc.oneof(
      fc.record(
        { sentAt: value, observations: fc.oneof(fc.array(observation, { maxLength: 3 }), value) },
        { requiredKeys: [] },
      ),
      fc
        .tuple(fc.constantFrom('id', 'device', 'number', 'deviceTime', 'kind', 'payload'), value)
        .map(([field, spoil]) => ({
          sentAt: START,
          observations: [bare(STORY[0]!), { ...bare(STORY[1]!), id: 'second', number: 2, [field]: spoil }],
        })),
      value,
    )
    const bodies = fc.sample(spoilt, { seed: 42, numRuns: 4_000 })
    const paths = [
      '/api/streams/hostile-N/observations',
      '/api/streams/hostile-N/observations',
      '/api/devices/readings',
      '/api/cooks/hostile-N',
      '/api/lessons/hostile-N',
    ] as const
    const statuses = new Map<number, number>()
    const stored: number[] = []
    let next = 0
    const worker = async (): Promise<void> => {
      for (let i = next++; i < bodies.length; i = next++) {
        const path = paths[i % paths.length]!.replace('N', String(i))
        const text = i % 97 === 0 ? JSON.stringify(bodies[i]).slice(0, -1) : JSON.stringify(bodies[i]) ?? ''
        const { status, text: said } = await send(
          path.includes('/cooks/') || path.includes('/lessons/') ? 'PUT' : 'POST',
          path,
          text,
        )
        statuses.set(status, (statuses.get(status) ?? 0) + 1)
        if (status >= 500) throw new Error(`${path} answered ${status} to ${text.slice(0, 300)}`)
        if (path.includes('/streams/')) {
          const kept = (await hearth.streams.read(`hostile-${i}`, 0)).length
          const { acknowledged, refused } =
            status === 200
              ? (JSON.parse(said) as { acknowledged: unknown[], refused: unknown[] })
              : { acknowledged: [], refused: [] }
          const sent = status === 200 ? (bodies[i] as { observations: unknown[] }).observations.length : 0
          if (
            kept !== acknowledged.length
            || acknowledged.length + refused.length < Math.min(sent, 1)
            || acknowledged.length + refused.length > sent
          )
            throw new Error(
              `${status}: ${kept} stored, ${acknowledged.length} acknowledged, ${refused.length} refused of ${sent}: ${text.slice(0, 300)}`,
            )
          if (kept > 0) stored.push(kept)
        }
      }
    }
    await Promise.all(Array.from({ length: 16 }, worker))
    expect([...statuses.values()].reduce((sum, one) => sum + one, 0)).toBe(4_000)
    expect(statuses.get(400) ?? 0).toBeGreaterThan(2400)
    expect((await hearth.cooks.live()).length).toBe(0)
  }, 120_000)
})
