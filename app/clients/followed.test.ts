// @vitest-environment happy-dom
import { effectScope, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { marked } from '../../test/support/plans'
import { followSpread, followStored } from './followed'

class Source {
  static readonly CLOSED = 2
  static all: Source[] = []
  static get open(): Source[] {
    return Source.all.filter(one => !one.closed)
  }

  onopen: (() => void) | null = null
  onmessage: ((event: { data: string, lastEventId: string }) => void) | null = null
  onerror: (() => void) | null = null
  readyState = 0
  closed = false
  constructor(readonly address: string) {
    Source.all.push(this)
  }

  close(): void {
    this.closed = true
  }

  push(what: unknown, place?: number): void {
    this.onmessage!({
      data: typeof what === 'string' ? what : JSON.stringify(what),
      lastEventId: place === undefined ? '' : String(place),
    })
  }
}
const stored = (place: number) => ({ ...marked(place, 0, 'cook.started'), place })
let scopes: EffectScope[]
const follow = (stream: string, unseen = false) => {
  const scope = effectScope()
  scopes.push(scope)
  const told = { receive: vi.fn(), caughtUp: vi.fn(), stop: () => scope.stop() }
  scope.run(() => followStored(stream, told.receive, told.caughtUp, unseen))
  return told
}
const settle = (): Source => {
  vi.advanceTimersByTime(100)
  expect(Source.open).toHaveLength(1)
  return Source.open[0]!
}
beforeEach(() => {
  vi.useFakeTimers()
  vi.stubGlobal('EventSource', Source)
  Source.all = []
  scopes = []
})
afterEach(() => {
  for (const scope of scopes) scope.stop()
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('what a page follows', () => {
  it('comes over one connection, however many cooks and days it is, and that is let go with the last of them', () => {
    const cooks = ['c', 'a', 'b', 'a'].map(id => follow(id))
    scopes[0]!.run(() => followSpread('day', () => undefined))
    expect(settle().address).toBe('/api/events?stream=a&stream=b&stream=c&spread=day')
    expect(Source.all).toHaveLength(1)
    for (const one of cooks) one.stop()
    vi.advanceTimersByTime(100)
    expect(Source.open).toEqual([])
  })

  it('is caught up whenever the connection stands anew', () => {
    const one = follow('cook-1')
    const source = settle()
    source.onopen!()
    source.onopen!()
    expect(one.caughtUp).toHaveBeenCalledTimes(2)
  })

  it('hands on what other devices marked to whom it is for, and passes over what cannot be read', () => {
    const [one, other] = [follow('cook-1'), follow('cook-2')]
    const revised = vi.fn()
    scopes[0]!.run(() => followSpread('day', revised))
    const source = settle()
    for (const what of ['[]', '{"stream":"cook-1"}', '"hello"', '{', { stream: 'cook-1', observations: [{ id: 1 }] }])
      source.push(what)
    expect(one.receive).not.toHaveBeenCalled()
    source.push({ stream: 'cook-1', observations: [stored(7)] }, 7)
    source.push({ spread: 'day', revision: 4 }, 7)
    expect(one.receive).toHaveBeenCalledWith([stored(7)])
    expect(other.receive).not.toHaveBeenCalled()
    expect(revised).toHaveBeenCalledWith(4)
  })

  it('goes on where it was when another cook comes along, and reads anew only what it did not follow', () => {
    const one = follow('cook-1')
    const source = settle()
    source.onopen!()
    source.push({ stream: 'cook-1', observations: [stored(7)] }, 7)
    const other = follow('cook-2')
    const next = settle()
    expect(source.closed).toBe(true)
    expect(next.address).toBe('/api/events?stream=cook-1&stream=cook-2&after=7')
    next.onopen!()
    expect(one.caughtUp).toHaveBeenCalledTimes(1)
    expect(other.caughtUp).toHaveBeenCalledTimes(1)
  })

  it('is let go while nobody sees the page, unless it has to sound, and read anew when it is seen again', () => {
    const look = (state: 'hidden' | 'visible'): void => {
      vi.spyOn(document, 'visibilityState', 'get').mockReturnValue(state)
      document.dispatchEvent(new Event('visibilitychange'))
      vi.advanceTimersByTime(100)
    }
    const one = follow('cook-1')
    settle().onopen!()
    look('hidden')
    expect(Source.open).toEqual([])
    look('visible')
    settle().onopen!()
    expect(one.caughtUp).toHaveBeenCalledTimes(2)
    follow('cook-2', true)
    settle()
    look('hidden')
    expect(Source.open).toHaveLength(1)
    look('visible')
  })

  it('is opened anew some time after the browser has given it up', () => {
    const one = follow('cook-1')
    const source = settle()
    source.onopen!()
    source.readyState = Source.CLOSED
    source.onerror!()
    expect(Source.open).toEqual([])
    vi.advanceTimersByTime(6000)
    settle().onopen!()
    expect(one.caughtUp).toHaveBeenCalledTimes(2)
  })
})
