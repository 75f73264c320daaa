import { describe, expect, it } from 'vitest'
import { FIRE_KIND_IDS, FIRE_KINDS } from './fireKinds'
import { usualMarks } from './usualMarks'

describe('kinds of fire', () => {
  it.each(FIRE_KIND_IDS)('%s has marks that rise in power, each with its own id and name', (kind) => {
    const marks = usualMarks(kind)
    expect(marks.length).toBeGreaterThanOrEqual(3)
    const watts = marks.map(mark => mark.watts)
    expect(watts).toEqual([...new Set(watts)].sort((a, b) => a - b))
    expect(new Set(marks.map(mark => mark.id)).size).toBe(marks.length)
    expect(new Set(marks.map(mark => mark.label)).size).toBe(marks.length)
    // What a pan on a household fire gets, W.
    expect(watts[0]).toBeGreaterThanOrEqual(50)
    expect(watts.at(-1)).toBeLessThanOrEqual(6000)
  })

  it('that are read by eye are known worst, those rated in watts best', () => {
    const spreads = FIRE_KIND_IDS.map(kind => FIRE_KINDS[kind].spread)
    expect(Math.max(...spreads)).toBe(FIRE_KINDS.wood.spread)
    expect(Math.min(...spreads)).toBe(FIRE_KINDS.induction.spread)
  })

  it('follow their mark at once, or after what holds heat has given it up', () => {
    expect(FIRE_KINDS.gas.lagS).toBe(0)
    expect(FIRE_KINDS.coil.lagS).toBeGreaterThan(30)
    expect(FIRE_KINDS.wood.lagS).toBeGreaterThan(FIRE_KINDS.coil.lagS)
  })

  it('bring to the pan less than they are rated for', () => {
    for (const kind of FIRE_KIND_IDS) {
      expect(FIRE_KINDS[kind].efficiency).toBeGreaterThan(0)
      expect(FIRE_KINDS[kind].efficiency).toBeLessThan(1)
      expect(FIRE_KINDS[kind].basis).toMatch(/estimate/)
    }
  })
})
