import { describe, expect, it } from 'vitest'
import { boilAfter, boilStepOf, type BoilEvent, type BoilState } from './boilState'

const CHOICES = { pan: 'p', fire: 'f', mark: 'm', lid: true, waterG: 700, fromC: 25 }
const LAID_OUT: BoilEvent = { is: 'laid-out', id: 'c', choices: CHOICES }
const at = (is: 'lit' | 'boils' | 'off', atMs: number): BoilEvent => ({ is, atMs })
const read = (atMs: number, tempC: number): BoilEvent => ({ is: 'read', atMs, tempC })
const after = (...events: BoilEvent[]): BoilState | null => events.reduce<BoilState | null>(boilAfter, null)
const ALL = [LAID_OUT, at('lit', 1000), read(61_400, 60), at('boils', 301_000), read(310_000, 98.5), at('off', 541_000), { is: 'weighed', lostG: 55 }] as const

describe('a boil check, event by event', () => {
  it('is set up, heats, boils and is weighed', () => {
    expect(ALL.map((_, i) => boilStepOf(after(...ALL.slice(0, i + 1)))))
      .toEqual(['set-up', 'heating', 'heating', 'boiling', 'boiling', 'weigh', 'weigh'])
    expect(after(...ALL)).toEqual({
      id: 'c', ...CHOICES, startedMs: 1000, boiledMs: 301_000, offMs: 541_000, half: { timeS: 60, tempC: 60 }, atBoilC: 98.5, lostG: 55,
    })
    expect(after(...ALL, { is: 'ended' })).toBeNull()
    expect(boilStepOf(null)).toBe('set-up')
  })

  it('takes nothing that cannot be at its step', () => {
    const same = (upTo: number, event: BoilEvent) => {
      const before = after(...ALL.slice(0, upTo))
      expect(boilAfter(before, event)).toBe(before)
    }
    const chosen: BoilEvent = { is: 'chosen', choices: { waterG: 1 } }
    expect(after(LAID_OUT, chosen)!.waterG).toBe(1)
    for (const upTo of [2, 4, 6]) same(upTo, chosen)
    for (const upTo of [2, 4, 6]) same(upTo, at('lit', 9))
    for (const upTo of [1, 4, 6]) same(upTo, at('boils', 9))
    for (const upTo of [1, 2, 6]) same(upTo, at('off', 9))
    for (const upTo of [1, 2, 4]) same(upTo, { is: 'weighed', lostG: 1 })
    same(1, read(9, 50))
    expect(boilAfter(null, at('lit', 9))).toBeNull()
  })

  it('has a thermometer that was read before it was lit read at the start', () => {
    expect(after(LAID_OUT, at('lit', 5000), read(4000, 30))!.half).toEqual({ timeS: 0, tempC: 30 })
  })
})
