import { describe, expect, it } from 'vitest'
import { starterPlan } from '../../../test/support/plans'
import { mainLine } from '../../formulation/dish/mainLine'
import { CoreError } from '../../error'
import { roastIndex } from '../program/roastIndex'
import { usualSeconds } from '../../record/plan/usualSeconds'
import type { FlamePlan } from './flamePlan'
import { cookedThroughS, planFlames, searchFlames, type FlameSearch } from './planFlames'

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
    // In even steps: of every four marks while they are sorted out, of every two while the best are judged.
    const rough = told.filter(one => one.done <= 0.5).map(one => one.done)
    rough.forEach((done, i) => expect(done).toBeCloseTo((i + 1) * rough[0]!, 9))
    const fine = told.slice(rough.length).map(one => one.done - 0.5)
    fine.forEach((done, i) => expect(done).toBeCloseTo((i + 1) * fine[0]!, 9))
    // Sorted out and judged are all that were tried.
    expect(4 * 0.5 / rough[0]! + 2 * 0.5 / fine[0]!).toBeCloseTo(found.tried, 6)
  })

  it('is the same for the same seed', () => {
    expect(planFlames(plan, wish)).toEqual(found)
  })

  it('is not hurried into a roast that is raw within: nothing faster than 0.6 of the usual minutes', () => {
    const hurried = planFlames(plan, { ...wish, patienceS: 420 })
    expect(hurried.met).toBe(false)
    expect(hurried.leastS).toBe(cookedThroughS(plan, 'golden'))
    const usualS = usualSeconds({ ...plan, flames: {} }, mainLine(plan.dish)[roastIndex(plan)]!)
    expect([cookedThroughS(plan, 'brown'), cookedThroughS(plan, 'deep-golden')]).toEqual([0.6 * usualS, 0.6 * usualS])
    expect(cookedThroughS(plan, 'golden')).toBeLessThan(0.6 * usualS)
    for (const one of [hurried.advised, hurried.quicker, found.advised, found.quicker])
      if (one) expect(one.lastsS.middle).toBeGreaterThanOrEqual(hurried.leastS)
  })

  it.each(['milk-morning-semolina', 'brick-kiln-wheat', 'marble-gram-balls', 'threshing-floor-wheat'])(
    'advises no roast of %s that is faster than that, or the slowest there is',
    id => {
      const one = starterPlan(id)
      for (const step of ['pale'] as const) {
        const { advised, leastS, safer } = planFlames(one, { step, patienceS: 1200, risk: 0.03 })
        expect(leastS).toBeGreaterThan(20)
        if (safer && safer.lastsS.middle >= leastS) expect(advised.lastsS.middle, step).toBeGreaterThanOrEqual(leastS)
      }
    },
  )

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
