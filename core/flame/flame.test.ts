import { describe, expect, it } from 'vitest'
import { starterPlan } from '../../test/support/plans'
import { CoreError } from '../error'
import type { FlamePlan } from './flamePlan'
import { planFlames, searchFlames, type FlameSearch } from './planFlames'

const plan = starterPlan('brick-kiln-wheat')
const watts = (mark: string): number => plan.fires.pan!.marks.find(one => one.id === mark)!.watts

describe('a flame plan', () => {
  const wish = { step: 'golden' as const, patienceS: 1200, risk: 0.03 }
  const told: FlameSearch[] = []
  const found = searched()
  function searched(): FlamePlan {
    const search = searchFlames(plan, wish)
    for (let next = search.next(); ; next = search.next()) {
      if (next.done) return next.value
      told.push(next.value)
    }
  }

  it('reaches the roast within the patience at the risk that was stated', () => {
    expect(found.met).toBe(true)
    expect(found.advised.burns).toBeLessThanOrEqual(wish.risk)
    expect(found.advised.inTime).toBeGreaterThanOrEqual(0.8)
    expect(found.advised.reaches).toBeGreaterThan(0.8)
    expect(found.advised.turns[0]!.cue).toBe('start')
  })

  it('never turns the flame up', () => {
    for (const schedule of [found.advised, found.safer, found.quicker]) {
      if (!schedule) continue
      const powers = schedule.turns.map(turn => (turn.mark === 'off' ? 0 : watts(turn.mark)))
      expect(powers).toEqual([...powers].sort((p, q) => q - p))
    }
  })

  it('tells the best so far while it searches, and the share that is done', () => {
    expect(told.length).toBeGreaterThan(4)
    expect(told.map(one => one.done)).toEqual(told.map(one => one.done).sort((p, q) => p - q))
    expect(told.at(-1)!.done).toBeLessThanOrEqual(1)
  })

  it('is the same for the same seed', () => {
    expect(planFlames(plan, wish)).toEqual(found)
  })

  it('burns more often where it has to hurry', () => {
    const hurried = planFlames(plan, { ...wish, patienceS: 420 })
    expect(hurried.advised.lastsS.middle).toBeLessThan(found.advised.lastsS.middle)
    expect(hurried.advised.burns).toBeGreaterThanOrEqual(found.advised.burns)
    expect(hurried.met).toBe(false)
  })

  it('says of one who is slower and of one who is quicker what it costs', () => {
    if (found.safer) expect(found.safer.lastsS.middle).toBeGreaterThan(found.advised.lastsS.middle)
    if (found.quicker) expect(found.quicker.lastsS.middle).toBeLessThan(found.advised.lastsS.middle)
    expect(found.safer ?? found.quicker).not.toBeNull()
  })

  it('of an aroma alone has one mark', () => {
    expect(planFlames(starterPlan('milk-morning-semolina'), { ...wish, step: 'aroma' }).advised.turns).toHaveLength(1)
  })

  it('is refused where nothing is roasted, and for a wish that cannot be', () => {
    expect(() => planFlames(starterPlan('winter-market-carrot'), wish)).toThrow(CoreError)
    expect(() => planFlames(plan, { ...wish, patienceS: 5 })).toThrow(CoreError)
    expect(() => planFlames(plan, { ...wish, risk: Number.NaN })).toThrow(CoreError)
  })
})
