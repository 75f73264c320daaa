import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { SentObservation } from '../../../contracts/observation'

let kept: Map<string, SentObservation>
let asked: string[]
let away = false
let room = Infinity
let denied = false
const held = new Map<string, string>()
const storage = (): Storage => ({
  get length() {
    return held.size
  },
  clear: () => held.clear(),
  getItem: key => held.get(key) ?? null,
  key: i => [...held.keys()][i] ?? null,
  removeItem: key => void held.delete(key),
  setItem(key, value) {
    if (held.size >= room && !held.has(key)) throw new DOMException('full', 'QuotaExceededError')
    held.set(key, value)
  },
})
beforeEach(() => {
  vi.resetModules()
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'Date', 'performance'] })
  kept = new Map()
  asked = []
  away = denied = false
  room = Infinity
  held.clear()
  Object.defineProperty(globalThis, 'localStorage', { configurable: true, get() {
    if (denied) throw new DOMException('denied', 'SecurityError')
    return storage()
  } })
  vi.stubGlobal('fetch', (path: string, init: RequestInit) => {
    if (away) return Promise.reject(new TypeError('away'))
    asked.push(`${init.method} ${path}`)
    if (path === '/api/clock') return Promise.resolve(new Response(JSON.stringify({ now: hearthClock(), rate: 1 })))
    if (path.includes('/streams/never/'))
      return Promise.resolve(
        new Response(
          JSON.stringify({ type: 'x', title: 'x', status: 404, code: 'not-found', detail: 'x', fields: [] }),
          { status: 404 },
        ),
      )
    const { observations } = JSON.parse(String(init.body)) as { observations: SentObservation[] }
    const bad = observations.filter(one => one.kind === 'bad')
    for (const one of observations) if (one.kind !== 'bad') kept.set(one.id, one)
    const acknowledged = observations
      .filter(one => one.kind !== 'bad')
      .map((one, i) => ({ ...one, sentAt: 1, receivedAt: 2, place: i + 1 }))
    return Promise.resolve(
      new Response(
        JSON.stringify({
          acknowledged,
          refused: bad.map(one => ({ id: one.id, path: 'payload.line', message: 'too long' })),
        }),
      ),
    )
  })
})
let hearthClock: () => number = () => Date.now()
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
  Reflect.deleteProperty(globalThis, 'localStorage')
})

describe('one that the hearth refuses', () => {
  it('is set aside and said, and neither its stream nor another is held up', async () => {
    const { keepObservation, flush, waitingEntries, outboxState } = await import('./outbox')
    keepObservation('never', 'note', { text: 'of a stream that is none' })
    keepObservation('cook', 'note', { text: 'a' })
    const bad = keepObservation('cook', 'bad', {})
    keepObservation('cook', 'note', { text: 'b' })
    await flush()
    expect([...kept.values()].map(one => one.payload.text)).toEqual(['a', 'b'])
    expect(waitingEntries()).toEqual([])
    expect([outboxState.waiting.value, outboxState.setAside.value, outboxState.reachable.value]).toEqual([0, 2, true])
    expect(held.get(`yon-hearth.refused.observation.${bad.id}`)).toContain('too long')
    const { useSetAside } = await import('../../composables/setAside')
    const { list, letGo } = useSetAside()
    expect(list.value.map(one => one.why)).toEqual(
      expect.arrayContaining(['line: too long', 'the hearth knows no such cook']),
    )
    expect(list.value.map(one => one.mark?.kind).sort()).toEqual(['bad', 'note'])
    letGo(list.value[0]!.key)
    expect(list.value).toHaveLength(1)
  })
})

describe('a stream that fails', () => {
  it('holds up no other: each is tried again by itself', async () => {
    const { keepObservation, flush, waitingEntries, outboxState } = await import('./outbox')
    const answer = fetch
    const tried: string[] = []
    vi.stubGlobal('fetch', (path: string, init: RequestInit) => {
      tried.push(path)
      return path.includes('/streams/sick/')
        ? Promise.resolve(
            new Response(
              JSON.stringify({ type: 'x', title: 'x', status: 500, code: 'went-wrong', detail: 'x', fields: [] }),
              { status: 500 },
            ),
          )
        : answer(path, init)
    })
    keepObservation('sick', 'note', { text: 'waits' })
    keepObservation('well', 'note', { text: 'goes' })
    await flush()
    expect([...kept.values()].map(one => one.payload.text)).toEqual(['goes'])
    expect(outboxState.reachable.value).toBe(false)
    keepObservation('well', 'note', { text: 'goes too' })
    await vi.advanceTimersByTimeAsync(200)
    expect([...kept.values()].map(one => one.payload.text)).toEqual(['goes', 'goes too'])
    expect(waitingEntries()).toHaveLength(1)
    expect(tried.filter(path => path.includes('/sick/'))).toHaveLength(1)
  })

  it('whose answers settle nothing is not asked without a pause', async () => {
    const { keepObservation, flush } = await import('./outbox')
    let asked = 0
    vi.stubGlobal('fetch', () => {
      asked++
      return Promise.resolve(new Response(JSON.stringify({ acknowledged: [], refused: [] })))
    })
    keepObservation('cook', 'note', {})
    await flush()
    await vi.advanceTimersByTimeAsync(1500)
    expect(asked).toBe(1)
    await vi.advanceTimersByTimeAsync(60_000)
    expect(asked).toBeLessThan(8)
  })
})

describe('retries', () => {
  it('come after longer and longer, and at once when the connection is back', async () => {
    const { keepObservation, flush } = await import('./outbox')
    const { tryNow } = await import('./lane')
    let tries = 0
    vi.stubGlobal('fetch', () => {
      tries++
      return Promise.reject(new TypeError('away'))
    })
    keepObservation('cook', 'note', {})
    await flush()
    expect(tries).toBe(1)
    const after: number[] = []
    for (const ms of [1900, 200, 3800, 300, 7700, 400]) {
      await vi.advanceTimersByTimeAsync(ms)
      after.push(tries)
    }
    expect(after).toEqual([1, 2, 2, 3, 3, 4])
    tryNow()
    await vi.advanceTimersByTimeAsync(10)
    expect(tries).toBe(5)
    await vi.advanceTimersByTimeAsync(600_000)
    expect(tries).toBeLessThan(20)
  })
})

describe('a storage', () => {
  it('that is full holds marks on the page, says so, and sends them', async () => {
    const { keepObservation, flush, waitingEntries, outboxState } = await import('./outbox')
    keepObservation('cook', 'note', { text: 'fits' })
    room = held.size
    away = true
    keepObservation('cook', 'note', { text: 'does not fit' })
    await flush()
    expect(outboxState.keeping.value).toBe('full')
    expect(waitingEntries()).toHaveLength(2)
    away = false
    await flush()
    expect([...kept.values()].map(one => one.payload.text)).toEqual(['fits', 'does not fit'])
    expect([outboxState.waiting.value, outboxState.keeping.value]).toEqual([0, 'device'])
  })

  it('that is denied, or has a broken key in it, keeps no page from working', async () => {
    held.set('yon-hearth.out.observation.broken', '{"half":')
    held.set('yon-hearth.number', 'NaN')
    held.set('yon-hearth.clock', 'no json')
    const outbox = await import('./outbox')
    expect(outbox.waitingEntries()).toEqual([])
    expect(outbox.keepObservation('cook', 'note', {}).number).toBe(1)
    denied = true
    const one = outbox.keepObservation('cook', 'note', { text: 'held' })
    const two = outbox.keepObservation('cook', 'note', { text: 'held too' })
    expect(two.number).toBeGreaterThan(one.number)
    expect(outbox.outboxState.keeping.value).toBe('denied')
    const { setHearthClock } = await import('../hearthClock')
    await setHearthClock()
    await outbox.flush()
    expect([...kept.values()].map(each => each.payload.text)).toEqual(expect.arrayContaining(['held', 'held too']))
  })
})

describe('a clock', () => {
  it('that jumped, or a phone that slept, is noticed, and what was marked meanwhile gets its right time', async () => {
    const clock = await import('../hearthClock')
    const { keepObservation, waitingEntries } = await import('./outbox')
    // The hearth goes on while the phone sleeps: forty minutes by the wall, none by the phone's steady clock.
    let slept = 0
    const steady = performance.now.bind(performance)
    hearthClock = () => 1_795_000_000_000 + steady() + slept
    await clock.setHearthClock()
    expect(clock.noticeClock()).toBe(false)
    expect(clock.hearthNow()).toBeCloseTo(hearthClock(), -2)
    away = true
    slept = 40 * 60_000
    vi.setSystemTime(Date.now() + slept)
    expect(clock.noticeClock()).toBe(true)
    expect(Math.abs(clock.hearthNow() - hearthClock())).toBeLessThan(50)
    // Now the device's clock is set wrong by an hour: no sleep, but it looks like one.
    vi.setSystemTime(Date.now() + 3_600_000)
    clock.noticeClock()
    const truly = hearthClock()
    const marked = keepObservation('cook', 'note', { text: 'in doubt' })
    expect(marked.deviceTime - truly).toBeGreaterThan(3_500_000)
    away = false
    vi.setSystemTime(Date.now() + 10_000)
    clock.noticeClock()
    await vi.waitFor(() => expect(Math.abs(clock.hearthNow() - hearthClock())).toBeLessThan(50))
    const [entry] = waitingEntries().filter(one => one.entry.type === 'observation')
    const put = entry!.entry.type === 'observation' ? entry!.entry.observation.deviceTime : 0
    expect(Math.abs(put - truly)).toBeLessThan(200)
  })

  it('that is set back while the hearth is away does not take the page with it', async () => {
    vi.resetModules()
    const clock = await import('../hearthClock')
    hearthClock = () => 1_795_000_000_000 + performance.now()
    await clock.setHearthClock()
    away = true
    vi.setSystemTime(Date.now() - 3_600_000)
    const before = clock.hearthNow()
    clock.noticeClock()
    await new Promise(done => setImmediate(done))
    expect(Math.abs(clock.hearthNow() - before)).toBeLessThan(200)
  })
})
