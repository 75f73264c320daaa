import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { starterPlan } from '../../../test/support/plans'
import { beliefFor } from './beliefFor'
import { combineReadings, fitReadings } from '../../materials/belief/combineReadings'
import type { Evidence } from '../../materials/belief/reading'
import { fireBelief, fireEntries } from './fireBelief'
import { firstBelief } from './firstBelief'
import { robustWeights } from '../../materials/belief/robustWeights'
import { changeVariance, daySpread, driftVariance, repeatedVariances } from '../../materials/belief/steadiness'
import { FIRE_KINDS } from '../../materials/fire/fireKinds'

const DAY_MS = 86_400_000
const NOW = 1_790_000_000_000
const reading = (value: number, more: Partial<Evidence> = {}): Evidence => ({
  name: 'fire.front',
  of: 'mainFire',
  value,
  variance: 0.003,
  batch: 'b',
  ladder: 0,
  ...more,
})
const entryOf = (name: string) => firstBelief().entries.find(one => one.name === name)!

describe('a fire', () => {
  it('is known best at the mark that was read, and less the further the mark is from it', () => {
    const spread = (at: number): number => fireBelief(0.28, 0.15, [reading(0.2, { ladder: -0.5 })], at).levelVariance
    // The posterior of a straight line in closed form (Bishop 2006, 3.3.1), today's scatter added.
    const day2 = daySpread('mainFire') ** 2
    const [level2, slope2] = [0.28 ** 2, 0.15 ** 2]
    const onPaper = (x: number): number =>
      level2 + x * x * slope2 - (level2 - 0.5 * x * slope2) ** 2 / (level2 + 0.25 * slope2 + 0.003 + day2) + day2
    for (const x of [-0.5, 0.5, 1.5]) expect(spread(x)).toBeCloseTo(onPaper(x), 9)
    expect(spread(-0.5)).toBeLessThan(spread(0.5))
    expect(spread(0.5)).toBeLessThan(spread(1.5))
  })

  it('learns the steepness of its ladder from readings at two marks', () => {
    const both = fireBelief(
      0.28,
      0.15,
      [
        reading(0, { ladder: -0.6 }),
        reading(0, { ladder: -0.6 }),
        reading(0.3, { ladder: 0.6 }),
        reading(0.3, { ladder: 0.6 }),
      ],
      0,
    )
    expect(both.slope).toBeGreaterThan(0.08)
    expect(both.slopeVariance).toBeLessThan(0.15 ** 2)
  })

  it('is known sharply on the day it was read, and with the day\'s scatter on another', () => {
    const on = (ageDays: number): number =>
      fireBelief(0.28, 0.15, [reading(0.2, { when: NOW - ageDays * DAY_MS })], 0, NOW).levelVariance
    expect(Math.sqrt(on(0))).toBeLessThan(0.07)
    expect(Math.sqrt(on(2))).toBeGreaterThan(0.12)
    // The same day is within twelve hours.
    expect(on(11.9 / 24)).toBe(on(0))
    expect(Math.sqrt(on(12.1 / 24))).toBeGreaterThan(0.12)
    expect(on(200)).toBeGreaterThan(on(2))
  })
})

describe('the entries of a fire', () => {
  const entries = (restsOn: readonly string[]) => {
    const belief = fireBelief(0.28, 0.15, restsOn.length > 0 ? [reading(0.2, { ladder: -0.5 })] : [], 0.4)
    return { belief, ...fireEntries(entryOf('mainFire'), entryOf('mainLadder'), belief, restsOn) }
  }

  it('have the level and the steepness that follows it', () => {
    const { belief, level, ladder } = entries(['b'])
    expect(level).toMatchObject({ median: Math.exp(belief.level), basis: 'batches', restsOn: ['b'] })
    expect(level.spread ** 2).toBeCloseTo(belief.levelVariance, 12)
    // What of the steepness follows the level, and what is its own, make its variance.
    const [{ name, much }] = ladder.follows as [{ name: string, much: number }]
    expect([name, ladder.basis]).toEqual(['mainFire', 'batches'])
    expect(much * level.spread).toBeCloseTo(belief.covariance, 12)
    expect(ladder.spread ** 2 + much ** 2).toBeCloseTo(belief.slopeVariance, 12)
  })

  it('rest on what they rested on where no batch says more', () => {
    const { level, ladder } = entries([])
    expect([level.basis, ladder.basis]).toEqual([entryOf('mainFire').basis, entryOf('mainLadder').basis])
  })
})

describe('an odd reading', () => {
  it('does not poison what the others say', () => {
    const steady = [0.1, 0.12, 0.08, 0.11, 0.09].map(value => reading(value))
    const clean = fireBelief(0.28, 0.15, steady, 0).level
    const odd = fireBelief(0.28, 0.15, [...steady, reading(-1.2)], 0).level
    const plain = (0.1 * 5 - 1.2) / 6
    expect(Math.abs(odd - clean)).toBeLessThan(0.35 * Math.abs(plain - clean))
  })

  it('counts less the further it is off, and a near one in full', () => {
    // Student's t of four degrees of freedom by reweighting: (ν + 1) / (ν + z²), never above one.
    expect(robustWeights(() => [0.2, 1.5, 6], 3)).toEqual([1, 5 / 6.25, 5 / 40])
  })
})

describe('a belief moved by readings', () => {
  it('narrows with each of them and never below the day\'s own scatter', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        fc.double({ min: 0.03, max: 0.5, noNaN: true }),
        fc.constantFrom(-1, 1),
        (count, size, sign) => {
          const value = sign * size
          const entry = entryOf('browningRate')
          const readings = Array.from({ length: count }, () =>
            reading(Math.log(entry.median) + value, { of: 'browningRate' }),
          )
          const moved = combineReadings(entry, readings)
          expect(moved.spread).toBeLessThanOrEqual(entry.spread)
          expect(moved.spread).toBeGreaterThan(fitReadings(entry, readings).day)
          expect(Math.sign(Math.log(moved.median / entry.median))).toBe(Math.sign(value))
        },
      ),
    )
  })

  it('is the first belief without readings, and names the batches it rests on', () => {
    const entry = entryOf('pourTime')
    expect(combineReadings(entry, [])).toBe(entry)
    expect(combineReadings(entry, [reading(4, { of: 'pourTime', batch: 'x' })]).restsOn).toEqual(['x'])
  })

  it('forgets slowly: old readings count less, and those from before a new bag much less', () => {
    expect(driftVariance('browningRate', 180 * DAY_MS)).toBeGreaterThan(driftVariance('browningRate', 10 * DAY_MS))
    expect(driftVariance('browningRate', -5)).toBe(0)
    expect(changeVariance('browningRate')).toBeGreaterThan(driftVariance('browningRate', 90 * DAY_MS))
  })
})

describe('the belief of a plan', () => {
  it('takes wood for less known than gas, and induction for better known', () => {
    const spread = (kind: 'gas' | 'induction' | 'wood'): number => {
      const plan = starterPlan('brick-kiln-wheat')
      const fires = Object.fromEntries(Object.entries(plan.fires).map(([id, fire]) => [id, { ...fire, kind }]))
      return beliefFor(firstBelief(), [], { ...plan, fires }).entries.find(one => one.name === 'mainFire')!.spread
    }
    for (const kind of ['gas', 'induction', 'wood'] as const) {
      // The steepness of its ladder is not known either, and widens it a little away from the middle mark.
      expect(spread(kind)).toBeGreaterThanOrEqual(FIRE_KINDS[kind].spread)
      expect(spread(kind)).toBeLessThan(1.15 * FIRE_KINDS[kind].spread)
    }
    expect(spread('wood')).toBeGreaterThan(spread('gas'))
    expect(spread('gas')).toBeGreaterThan(spread('induction'))
  })

  it('takes the wetness of the dish for its own', () => {
    const plan = starterPlan('winter-market-carrot')
    expect(beliefFor(firstBelief(), [], plan).entries.find(one => one.name === 'kept')!.median).toBe(
      plan.dish.kept.share,
    )
  })
})

describe('readings that repeat one another', () => {
  it('are believed less than as many of their own, and sharp ones hardly less', () => {
    const alike = repeatedVariances('browningRate', Array.from({ length: 10 }, () => 0.04))
    const together = 1 / alike.reduce((sum, variance) => sum + 1 / variance, 0)
    expect(together).toBeGreaterThan(0.04 / 10)
    expect(together).toBeGreaterThan(0.2 * 0.04)
    expect(together).toBeLessThan(0.04)
    const [sharp] = repeatedVariances('mainFire', [0.0004, ...Array.from({ length: 10 }, () => 0.04)])
    expect(sharp).toBeLessThan(1.1 * 0.0004)
    expect(repeatedVariances('uptake', [0.03])).toEqual([0.03])
  })

  it('do not, where each was weighed by itself', () => {
    expect(repeatedVariances('kept', [0.001, 0.001])).toEqual([0.001, 0.001])
  })
})
