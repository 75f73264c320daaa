import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { SentObservation } from '../../../contracts/observation'
import { examplePlan } from '../../../test/support/plans'

/** What a stand-in server was asked, and what it has on disk. */
interface Server {
  readonly asked: string[]
  readonly kept: Map<string, SentObservation>
  away: boolean
  dropsAnswer: boolean
}

let server: Server

function memoryStorage(): Storage {
  const map = new Map<string, string>()
  return {
    get length() { return map.size },
    clear: () => map.clear(),
    getItem: key => map.get(key) ?? null,
    key: i => [...map.keys()][i] ?? null,
    removeItem: key => void map.delete(key),
    setItem: (key, value) => void map.set(key, String(value)),
  }
}

async function answer(path: string, init?: RequestInit): Promise<Response> {
  if (server.away) throw new TypeError('away')
  server.asked.push(`${init?.method} ${path}`)
  if (path.endsWith('/observations')) {
    const body = JSON.parse(String(init?.body)) as { observations: SentObservation[] }
    for (const one of body.observations) if (!server.kept.has(one.id)) server.kept.set(one.id, one)
    if (server.dropsAnswer) throw new TypeError('cut off after the write')
    const acknowledged = body.observations.map((one, i) => ({ ...one, sentAt: 1, receivedAt: 2, place: i + 1 }))
    return new Response(JSON.stringify({ acknowledged }), { status: 200 })
  }
  if (path.startsWith('/api/cooks/refused')) {
    return new Response(
      JSON.stringify({ type: 'x', title: 'x', status: 409, code: 'already-different', detail: 'x', fields: [] }),
      { status: 409 },
    )
  }
  return new Response('{}', { status: 200 })
}

beforeEach(() => {
  vi.resetModules()
  vi.useFakeTimers({ toFake: ['setTimeout'] })
  vi.stubGlobal('localStorage', memoryStorage())
  server = { asked: [], kept: new Map(), away: false, dropsAnswer: false }
  vi.stubGlobal('fetch', (path: string, init?: RequestInit) => answer(path, init))
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('the outbox', () => {
  it('keeps a mark on the device before anything is sent, and lets it go once it is acknowledged', async () => {
    const { keepObservation, waitingEntries, flush } = await import('./outbox')
    server.away = true
    keepObservation('cook', 'note', { text: 'a' })
    expect(waitingEntries()).toHaveLength(1)
    await flush()
    expect(waitingEntries()).toHaveLength(1)
    server.away = false
    await flush()
    expect(waitingEntries()).toEqual([])
    expect(server.kept.size).toBe(1)
  })

  it('sends again after an answer was cut off, and the server keeps it once', async () => {
    const { keepObservation, waitingEntries, flush } = await import('./outbox')
    server.dropsAnswer = true
    keepObservation('cook', 'note', { text: 'a' })
    await flush()
    expect(server.kept.size).toBe(1)
    expect(waitingEntries()).toHaveLength(1)
    server.dropsAnswer = false
    await vi.advanceTimersByTimeAsync(2500)
    await flush()
    expect(waitingEntries()).toEqual([])
    expect(server.kept.size).toBe(1)
  })

  it('sends plans before observations and streams apart, numbers rising', async () => {
    const { keepObservation, keepPlan, flush } = await import('./outbox')
    server.away = true
    keepObservation('a', 'note', {})
    keepPlan(examplePlan({}, 'a'))
    keepObservation('b', 'note', {})
    await flush()
    server.away = false
    await flush()
    expect(server.asked.filter(one => /\/a(\/|$)/.test(one))).toEqual([
      'PUT /api/cooks/a',
      'POST /api/streams/a/observations',
    ])
    expect(server.asked.filter(one => one.includes('/b/'))).toEqual(['POST /api/streams/b/observations'])
    expect([...server.kept.values()].map(one => one.number).sort()).toEqual([1, 3])
    expect(new Set([...server.kept.values()].map(one => one.device)).size).toBe(1)
  })

  it('puts a plan aside that the server will never take, so that the rest goes on', async () => {
    const { keepObservation, keepPlan, flush, waitingEntries } = await import('./outbox')
    keepPlan(examplePlan({}, 'refused'))
    keepObservation('refused', 'cook.started', {})
    await flush()
    await flush()
    expect(waitingEntries()).toEqual([])
    expect(server.kept.size).toBe(1)
    expect(
      Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i)).some(key =>
        key?.startsWith('yon-hearth.refused.'),
      ),
    ).toBe(true)
  })

  it('tells those who listen what was acknowledged, and survives a reload', async () => {
    const first = await import('./outbox')
    server.away = true
    first.keepObservation('cook', 'note', { text: 'before the reload' })
    await first.flush()
    vi.resetModules()
    const second = await import('./outbox')
    const heard: string[] = []
    const stop = second.onAcknowledged((stream, stored) => heard.push(`${stream}:${stored.length}`))
    server.away = false
    await second.flush()
    stop()
    expect(heard).toEqual(['cook:1'])
    expect(second.deviceId()).toBe(first.deviceId())
  })

  it('leaves what it cannot read where it is', async () => {
    const { waitingEntries } = await import('./outbox')
    localStorage.setItem('yon-hearth.out.odd', '{"type":"something newer"}')
    expect(waitingEntries()).toEqual([])
    expect(localStorage.getItem('yon-hearth.out.odd')).not.toBeNull()
  })

  it('makes ids that differ', async () => {
    const { newId } = await import('./outbox')
    const ids = new Set(Array.from({ length: 500 }, () => newId()))
    expect(ids.size).toBe(500)
    for (const id of ids) expect(id).toMatch(/^[0-9a-f]{32}$/)
  })
})

describe('the clock of the page', () => {
  it('follows the hearth, at its rate', async () => {
    vi.stubGlobal('fetch', () =>
      Promise.resolve(new Response(JSON.stringify({ now: 1_000_000, rate: 600 }), { status: 200 })),
    )
    const { hearthNow, hearthRate, setHearthClock } = await import('../hearthClock')
    await setHearthClock()
    expect(hearthRate()).toBe(600)
    expect(Math.abs(hearthNow() - 1_000_000)).toBeLessThan(600 * 200)
  })

  it('stands still for a moment after a mark, and then is right again', async () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'performance', 'setTimeout'] })
    const { effectScope } = await import('vue')
    const { holdClock } = await import('../hearthClock')
    const { useHearthTime } = await import('../../composables/hearthTime')
    const scope = effectScope()
    const now = scope.run(() => useHearthTime(100))!
    const began = now.value
    holdClock(150)
    vi.advanceTimersByTime(140)
    expect(now.value).toBe(began)
    vi.advanceTimersByTime(160)
    expect(now.value - began).toBe(300)
    scope.stop()
  })

  it('goes on by the difference last known where the hearth is away', async () => {
    localStorage.setItem('yon-hearth.clock', JSON.stringify({ ahead: 120_000, rate: 1 }))
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('away')))
    const { hearthNow, setHearthClock } = await import('../hearthClock')
    await setHearthClock()
    expect(Math.abs(hearthNow() - Date.now() - 120_000)).toBeLessThan(500)
  })
})

describe('asking the hearth', () => {
  const respond = (status: number, body: string): void => {
    vi.stubGlobal('fetch', () => Promise.resolve(new Response(body, { status })))
  }

  it('tells a refusal from a hearth that cannot be reached', async () => {
    const { ask, Anything, Refused, Unreachable } = await import('../api')
    respond(
      404,
      JSON.stringify({
        type: 'x',
        title: 'There is nothing here',
        status: 404,
        code: 'not-found',
        detail: 'Nothing was changed.',
        fields: [],
      }),
    )
    await expect(ask('GET', '/x', Anything)).rejects.toThrow(Refused)
    respond(502, '<html>gateway</html>')
    await expect(ask('GET', '/x', Anything)).rejects.toThrow(Unreachable)
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('away')))
    await expect(ask('GET', '/x', Anything)).rejects.toThrow(Unreachable)
  })

  it('does not take an answer of another form for one', async () => {
    const { ask, Unreachable } = await import('../api')
    const { ClockSchema } = await import('../../../contracts/clock')
    respond(200, '{"now":"soon"}')
    await expect(ask('GET', '/clock', ClockSchema)).rejects.toThrow(Unreachable)
    respond(200, '{"now":5,"rate":1}')
    await expect(ask('GET', '/clock', ClockSchema)).resolves.toEqual({ now: 5, rate: 1 })
  })
})
