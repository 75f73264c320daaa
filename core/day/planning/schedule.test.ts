import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { inventDay } from '../../../cli/plans/inventDay'
import { DaySchema } from '../../../contracts/day'
import { seededRandom } from '../../maths/random/seededRandom'
import { checkDay } from '../problem/checkDay'
import { checkPlan, type Breach } from '../problem/checkPlan'
import type { Day, Starts } from '../problem/day'
import { lanesOf, stepsOf } from '../problem/lanesOf'
import { paddedDay } from '../problem/paddedDay'
import { planCost } from '../problem/planCost'
import { simulateDay } from './simulateDay'
import { slackOf } from '../problem/slackOf'
import { DaySolver } from './solveDay'

const read = (id: string): Day => DaySchema.parse(JSON.parse(readFileSync(`test/days/${id}.json`, 'utf8')))
const BEST = new Map(
  (
    JSON.parse(readFileSync('test/days/best.json', 'utf8')) as {
      instances: { id: string, best: number, plan: Starts }[]
    }
  ).instances.map(one => [one.id, one]),
)

/** Solves to the end, or for so many steps. */
function solved(day: Day, steps = 400): DaySolver {
  const solver = new DaySolver(day)
  for (let i = 0; i < steps && !solver.done; i++) solver.step(() => false)
  return solver
}
const kinds = (breaches: readonly Breach[]): string[] => [...new Set(breaches.map(breach => breach.kind))]

describe('a planned day', () => {
  it.each(['i01', 'i02', 'i03', 'i06', 'i08', 'i09', 'i12', 'i13'])(
    '%s is the best known, proven, and passes the checker',
    id => {
      const solver = solved(read(id))
      expect(solver.proven).toBe(true)
      expect(solver.plan!.cost).toBeCloseTo(BEST.get(id)!.best, 6)
      expect(checkPlan(read(id), solver.plan!.starts)).toEqual([])
    },
  )

  it('counts forward what the model counts in mirrored time, stays above its bound and passes the checker, for any day', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 4000 }), fc.integer({ min: 1, max: 5 }), (seed, dishes) => {
        const day = inventDay(seed, dishes)
        const solver = solved(day, 30)
        if (!solver.plan) return
        expect(checkPlan(day, solver.plan.starts, solver.plan.late)).toEqual([])
        expect(planCost(day, solver.plan.starts, solver.plan.late).total).toBeCloseTo(solver.plan.cost, 6)
        expect(solver.bound).toBeLessThanOrEqual(solver.plan.cost + 1e-9)
      }),
      { numRuns: 40, seed: 8 },
    )
  })

  it('is never worse with one more fire, pan or pair of hands', () => {
    for (const seed of [3, 4, 6, 7, 9, 12]) {
      const day = inventDay(seed, 3)
      const base = solved(day)
      const more: Day[] = [
        { ...day, burners: day.burners + 1 },
        { ...day, cooks: day.cooks + 1 },
        { ...day, vessels: [...day.vessels, { id: 'more', kind: 'heavyL' }] },
      ]
      for (const richer of more) {
        const other = solved(richer)
        expect(base.proven && other.proven, `seed ${seed}`).toBe(true)
        expect(other.plan!.cost, `seed ${seed}`).toBeLessThanOrEqual(base.plan!.cost + 1e-9)
      }
    }
  })

  it('takes the same steps for the same seed', () => {
    const day = inventDay(77, 6)
    expect(solved(day, 12).plan).toEqual(solved(day, 12).plan)
  })

  it('moves a meal by the least where it cannot be kept', () => {
    const day = read('i03')
    const hurried = { ...day, now: 2590 }
    const solver = solved(hurried)
    const late = solver.plan!.late.m1!
    expect(late).toBeGreaterThan(0)
    expect(checkPlan(hurried, solver.plan!.starts, solver.plan!.late)).toEqual([])
    expect(solved({ ...hurried, meals: [{ id: 'm1', at: day.meals[0]!.at + late - 1 }] }).plan!.late.m1).toBe(1)
  })

  it('holds what is pinned, keeps out what is forbidden, and washes between two dishes', () => {
    const day = read('i08')
    const free = solved(day).plan!
    const pinned = solved({
      ...day,
      wishes: [
        { kind: 'pin', step: 'd4.peel', start: 2400 },
        { kind: 'forbid', step: 'd1.roast', from: free.starts['d1.roast']!, to: free.starts['d1.roast']! + 5 },
      ],
      washMin: 4,
    })
    expect(pinned.plan!.starts['d4.peel']).toBe(2400)
    expect(pinned.plan!.cost).toBeGreaterThanOrEqual(free.cost)
    expect(
      checkPlan({ ...day, washMin: 4, wishes: [{ kind: 'pin', step: 'd4.peel', start: 2400 }] }, pinned.plan!.starts),
    ).toEqual([])
  })

  it('is said to be impossible where what is wished cannot be', () => {
    const day = read('i03')
    const solver = solved({
      ...day,
      wishes: [
        { kind: 'pin', step: 'd1.roast', start: 2550 },
        { kind: 'pin', step: 'd2.roast', start: 2552 },
      ],
    })
    expect(solver.plan).toBeNull()
    expect(solver.impossible).toBe(true)
  })
})

describe('the checker', () => {
  const day = read('i11')
  const { plan } = BEST.get('i11')!
  const moved = (step: string, by: number): Starts => ({ ...plan, [step]: plan[step]! + by })

  it('finds nothing in the best plan known', () => {
    expect(checkPlan(day, plan)).toEqual([])
  })

  it('finds each kind of breach', () => {
    expect(kinds(checkPlan(day, moved('d5.pour', 40)))).toContain('late')
    expect(kinds(checkPlan(day, moved('d5.heat', -30)))).toContain('cold-pour')
    expect(kinds(checkPlan(day, moved('d4.mix', 30)))).toContain('lag')
    expect(kinds(checkPlan({ ...day, cooks: 1 }, plan))).toContain('hands')
    expect(kinds(checkPlan({ ...day, burners: 1 }, plan))).toContain('fires')
    expect(
      kinds(checkPlan({ ...day, vessels: day.vessels.filter(vessel => vessel.kind !== 'heavy') }, plan)),
    ).toContain('vessels')
    expect(kinds(checkPlan({ ...day, now: 2200 }, plan))).toContain('before-now')
    expect(
      kinds(checkPlan({ ...day, away: [...day.away, { cook: 'all', from: 2450, to: 2460, why: 'out' }] }, plan)),
    ).toContain('nobody-there')
    expect(kinds(checkPlan({ ...day, wishes: [{ kind: 'pin', step: 'd1.roast', start: 2400 }] }, plan))).toEqual([
      'wish',
    ])
    expect(kinds(checkPlan(day, { 'd1.roast': 1 }))).toEqual(['missing'])
    const early = { ...plan, 'd4.roast': plan['d4.roast']! - 1500 }
    expect(kinds(checkPlan(day, early)).length).toBeGreaterThan(0)
  })
})

describe('troubles of a day', () => {
  const day = read('i02')
  const codes = (changed: Day): string[] => checkDay(changed).map(trouble => trouble.code)

  it('are none in any of the days that are judged', () => {
    for (const id of BEST.keys()) expect(checkDay(read(id))).toEqual([])
  })

  it('each have a code', () => {
    const [dish] = day.dishes
    const withSteps = (activities: Day['dishes'][number]['activities']): Day => ({
      ...day,
      dishes: [{ ...dish!, activities }],
    })
    expect(codes({ ...day, meals: [{ id: 'm1', at: day.now - 5 }] })).toContain('meal-in-past')
    expect(codes({ ...day, cooks: 0 })).toContain('no-hands')
    expect(codes({ ...day, burners: 0 })).toContain('no-fire')
    expect(codes({ ...day, vessels: [] })).toContain('no-vessel')
    expect(codes({ ...day, dishes: [] })).toEqual(['nothing-to-cook'])
    expect(codes({ ...day, dishes: Array.from({ length: 200 }, () => dish!) })).toEqual(['too-many'])
    expect(codes(withSteps(dish!.activities.map(one => ({ ...one, dur: [0, 0, 0] }))))).toContain('step-length')
    expect(codes(withSteps(dish!.activities.map(one => ({ ...one, dur: [2400, 2400, 2400] }))))).toContain(
      'step-length',
    )
    expect(
      codes({
        ...day,
        dishes: [{ ...dish!, lags: [...dish!.lags, { from: 'finish', to: 'grate', min: 0, max: null, kind: 'x' }] }],
      }),
    ).toContain('circular-waits')
    expect(codes({ ...day, dishes: [{ ...dish!, sink: 'nothing' }] })).toContain('unknown-step')
    expect(codes({ ...day, dishes: [{ ...dish!, meal: 'm9' }] })).toContain('unknown-meal')
    expect(codes(withSteps(dish!.activities.map(one => ({ ...one, cooks: [7] }))))).toContain('nobody-may')
    expect(codes(withSteps([...dish!.activities, dish!.activities[0]!]))).toEqual(['twice'])
    expect(codes({ ...day, dishes: [dish!, dish!] })).toContain('twice')
    expect(codes(withSteps([...dish!.activities, { ...dish!.activities[0]!, id: 'reheat' }]))).toEqual([
      'reserved-step',
    ])
  })
})

describe('lanes and slack', () => {
  const day = read('i11')
  const { plan } = BEST.get('i11')!

  it('put every step of the hands and of the fire on one lane, nothing over anything', () => {
    const lanes = lanesOf(day, plan)
    const steps = stepsOf(day, plan)
    expect(lanes.hands.flat().length).toBe(steps.filter(one => one.activity.hands > 0).length)
    expect(lanes.fires.flat().length).toBe(steps.filter(one => one.activity.burner > 0).length)
    for (const lane of [...lanes.fires, ...lanes.vessels.map(one => one.spans)]) {
      for (const a of lane) for (const b of lane) if (a !== b) expect(a.to <= b.from || b.to <= a.from).toBe(true)
    }
  })

  it('leaves no slack in a plan that is as late as can be, and some in one that begins sooner', () => {
    const slack = slackOf(day, plan, lanesOf(day, plan))
    expect(Math.min(...Object.values(slack))).toBe(0)
    const sooner: Starts = Object.fromEntries(Object.entries(plan).map(([step, at]) => [step, at - 7]))
    expect(Math.min(...Object.values(slackOf(day, sooner, lanesOf(day, sooner))))).toBe(7)
  })
})

describe('tries of a plan', () => {
  it('find a bare plan brittle and a padded one sound', () => {
    const sums = { bare: 0, padded: 0, meals: 0, cold: 0, pours: 0 }
    for (const id of ['i01', 'i03', 'i06', 'i08', 'i12', 'i13']) {
      const day = read(id)
      const padded = paddedDay(day)
      const bare = simulateDay(day, solved(day).plan!.starts, day, 120, seededRandom(3))
      const sound = simulateDay(day, solved(padded).plan!.starts, padded, 120, seededRandom(3))
      sums.bare += bare.lateMeals
      sums.padded += sound.lateMeals
      sums.meals += sound.meals
      sums.cold += sound.coldPours
      sums.pours += sound.pours
    }
    expect(sums.bare / sums.meals).toBeGreaterThan(0.3)
    expect(sums.padded / sums.meals).toBeLessThanOrEqual(0.02)
    expect(sums.cold / sums.pours).toBeLessThanOrEqual(0.01)
  })
})
