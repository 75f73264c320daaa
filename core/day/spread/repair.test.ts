import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { inventDay } from '../../../cli/plans/inventDay'
import { DAY, STARTS } from '../../../test/support/smallDay'
import { seededRandom } from '../../maths/random/seededRandom'
import type { Day } from '../problem/day'
import { dispatchDay } from '../planning/dispatchDay'
import { stepsOf } from '../problem/lanesOf'
import { overbooked } from '../problem/overbooked'
import { brokenBy, repairDay } from './repairDay'
import { DaySolver } from '../planning/solveDay'
import type { StepProgress } from './spread'
import { underWay } from './underWay'

function planOf(day: Day): Record<string, number> | null {
  const solver = new DaySolver(day)
  for (let i = 0; i < 8 && !solver.done; i++) solver.step(() => false)
  return solver.plan && Object.values(solver.plan.late).every(minutes => minutes === 0)
    ? { ...solver.plan.starts }
    : null
}

/** A day that is under way at a minute: what should have begun has, some of it later and longer. */
function late(day: Day, starts: Readonly<Record<string, number>>, now: number, seed: number): StepProgress[] {
  const uniform = seededRandom(seed)
  return stepsOf(day, starts).filter(one => one.from < now).map((one): StepProgress => {
    const begun = Math.min(now - 1, one.from + Math.floor(uniform() * 4))
    const ended = begun + one.activity.dur[1] + Math.floor(uniform() * 12)
    return { step: one.step, begun, ended: ended <= now ? ended : null }
  })
}

describe('a repair', () => {
  it('always answers, leaves alone what is begun, begins nothing in the past, and never does worse than plain dispatch', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 3000 }),
        fc.integer({ min: 2, max: 5 }),
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        (seed, dishes, share) => {
          const day = inventDay(seed, dishes)
          const starts = planOf(day)
          if (!starts) return
          const times = Object.values(starts).sort((a, b) => a - b)
          const now = times[Math.floor(share * times.length)]! + 3
          const doings = late(day, starts, now, seed)
          const repaired = repairDay(day, starts, doings, now)
          expect(Object.keys(repaired.starts).sort()).toEqual(Object.keys(starts).sort())
          for (const { step, begun } of doings) expect(repaired.starts[step]).toBe(begun)
          const known = new Set(doings.map(one => one.step))
          for (const [step, at] of Object.entries(repaired.starts))
            if (!known.has(step)) expect(at).toBeGreaterThanOrEqual(now)
          const begun = new Map(doings.map(one => [one.step, one.begun!]))
          const going = underWay(day, doings, now)
          const plain = dispatchDay(going, starts, begun)
          expect(Object.values(plain).every(Number.isFinite)).toBe(true)
          if (brokenBy(going, plain, begun).length === 0) expect(repaired.broken).toEqual([])
        },
      ),
      { numRuns: 40, seed: 5 },
    )
  })

  it('books no fire, pan or pair of hands that was lost while the day was on', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 3000 }),
        fc.integer({ min: 2, max: 5 }),
        fc.double({ min: 0, max: 0.9, noNaN: true }),
        fc.constantFrom('fire', 'pan', 'hands'),
        (seed, dishes, share, lost) => {
          const day = inventDay(seed, dishes)
          const starts = planOf(day)
          if (!starts) return
          const times = Object.values(starts).sort((a, b) => a - b)
          const now = times[Math.floor(share * times.length)]! + 1
          const doings = late(day, starts, now, seed)
          const heavy = day.vessels.find(vessel => vessel.kind === 'heavy')
          const left: Day =
            lost === 'fire' && day.burners > 1
              ? { ...day, burners: day.burners - 1 }
              : lost === 'hands' && day.cooks > 1
                ? { ...day, cooks: day.cooks - 1 }
                : heavy
                  ? { ...day, vessels: day.vessels.filter(vessel => vessel !== heavy) }
                  : day
          const repaired = repairDay(left, starts, doings, now)
          const lacking = overbooked(underWay(left, doings, now), repaired.starts, new Set(doings.map(one => one.step)))
          expect(repaired.broken.filter(one => one.kind === 'lacking').map(one => one.about)).toEqual(lacking)
          // Only what needs a pan that is on the fire already, and will stay there until that is done, can be without
          // one;
          // and a dish that takes more pans at once than are left.
          const isHeld = day.dishes.some(dish =>
            dish.holds.some(
              hold =>
                doings.some(one => one.step === `${dish.id}.${hold.first}`)
                && !doings.some(one => one.step === `${dish.id}.${hold.last}`),
            ),
          )
          const takesMore = day.dishes.some(
            dish =>
              dish.holds.filter(hold => hold.need.startsWith('heavy')).length
              > left.vessels.filter(vessel => vessel.kind.startsWith('heavy')).length,
          )
          if (!isHeld && !takesMore) expect(lacking).toEqual([])
        },
      ),
      { numRuns: 60, seed: 21 },
    )
  })

  it('moves nothing where nothing went otherwise', () => {
    const day = inventDay(4, 4)
    const starts = planOf(day)!
    const now = Math.min(...Object.values(starts))
    const repaired = repairDay(day, starts, [], now)
    expect(repaired.starts).toEqual(starts)
    expect(repaired.moved).toEqual([])
    expect(repaired.broken).toEqual([])
  })

  it('lets hands, fire and pan go on in the order that was planned, as late as what is before them, no later', () => {
    const only: Day = { ...DAY, washMin: 3, vessels: DAY.vessels.filter(one => one.kind !== 'heavyL') }
    const begun = (id: string, at: number, ended: number | null): StepProgress => ({ step: `suji.${id}`, begun: at, ended })
    const before = [begun('nuts', 58, 64), begun('roast', 65, 86), begun('liquid', 75, 86), begun('pour', 86, 90)]
    const after = (day: Day, starts: Readonly<Record<string, number>>, ...more: StepProgress[]) =>
      repairDay(day, { ...STARTS, ...starts }, [...before, begun('stir', 94, null), ...more], 95)
    // Stirring lasts six minutes; the hands of one cook are free then.
    const hands = after({ ...only, cooks: 1 }, { 'lentil.grind': 99 })
    expect(hands.starts).toMatchObject({ 'lentil.grind': 100, 'lentil.cook': 140 })
    expect(hands.dispatched).toBe(false)
    // So is its pan, once it is washed.
    const ground = { step: 'lentil.grind', begun: 50, ended: 66 }
    const pan = after(only, { 'lentil.grind': 50, 'lentil.cook': 101 }, ground)
    expect(pan.starts['lentil.cook']).toBe(94 + 6 + 3)
    expect(pan.dispatched).toBe(false)
  })

  it('says which meal is late and by how much', () => {
    const day = inventDay(4, 1)
    const starts = planOf(day)!
    const last = stepsOf(day, starts).find(one => one.activity.id === day.dishes[0]!.sink)!
    const now = last.from + 60
    const repaired = repairDay(
      day,
      starts,
      stepsOf(day, starts)
        .filter(one => one.step !== last.step)
        .map(one => ({ step: one.step, begun: one.from, ended: one.to })),
      now,
    )
    expect(repaired.broken.some(one => one.kind === 'late' && one.minutes > 0)).toBe(true)
    expect(repaired.starts[last.step]).toBe(now)
  })
})
