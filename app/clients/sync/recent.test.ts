import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { z } from 'zod'

let held: Map<string, string>
let room: number
const Doc = z.object({ text: z.string() })

beforeEach(() => {
  vi.resetModules()
  held = new Map()
  room = Infinity
  const taken = (): number => [...held].reduce((sum, [key, value]) => sum + key.length + value.length, 0)
  vi.stubGlobal('localStorage', {
    get length() {
      return held.size
    },
    clear: () => held.clear(),
    getItem: (key: string) => held.get(key) ?? null,
    key: (i: number) => [...held.keys()][i] ?? null,
    removeItem: (key: string) => void held.delete(key),
    setItem(key: string, value: string) {
      if (taken() - (held.get(key)?.length ?? 0) + value.length > room)
        throw new DOMException('full', 'QuotaExceededError')
      held.set(key, value)
    },
  })
})
afterEach(() => vi.unstubAllGlobals())

const recentCooks = async () => (await import('./recent')).recentOnDevice('cook', Doc, 3)
const keptIds = (): string[] =>
  [...held.keys()]
    .filter(key => key.startsWith('yon-hearth.cook.'))
    .map(key => key.slice(16))
    .sort()

describe('what was read last', () => {
  it('stays, and what was used longest ago goes, whatever its name', async () => {
    const recent = await recentCooks()
    for (const id of ['a', 'b', 'c']) recent.keep(id, { text: id })
    expect(recent.read('a')).toEqual({ text: 'a' })
    recent.keep('d', { text: 'd' })
    expect(keptIds()).toEqual(['a', 'c', 'd'])
    expect(recent.read('b')).toBeNull()
  })

  it('is read by the next page as it was left, and from a device that kept no order', async () => {
    held.set('yon-hearth.cook.old', '{"text":"from before"}')
    held.set('yon-hearth.cook.broken', '{"half":')
    const recent = await recentCooks()
    expect([recent.read('old'), recent.read('broken'), recent.read('none')]).toEqual([
      { text: 'from before' },
      null,
      null,
    ])
    for (const id of ['a', 'b']) recent.keep(id, { text: id })
    vi.resetModules()
    const next = await recentCooks()
    expect(next.read('old')).toEqual({ text: 'from before' })
    next.keep('c', { text: 'c' })
    expect(keptIds()).toEqual(['b', 'c', 'old'])
  })

  it('makes room for what is kept nowhere else, the longest unused first', async () => {
    const recent = await recentCooks()
    const { keepText } = await import('./storage')
    for (const id of ['a', 'b', 'c']) recent.keep(id, { text: 'x'.repeat(500) })
    room = [...held].reduce((sum, [key, value]) => sum + key.length + value.length, 0) + 10
    expect(keepText('yon-hearth.out.mark', 'y'.repeat(700))).toBe(true)
    expect(keptIds()).toEqual(['c'])
    room = 0
    expect(keepText('yon-hearth.out.other', 'z')).toBe(false)
    const { deviceKeeping, keptText } = await import('./storage')
    expect([deviceKeeping.value, keptText('yon-hearth.out.other'), keptIds()]).toEqual(['full', 'z', []])
  })
})
