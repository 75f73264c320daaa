import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { inventDay } from '../../../cli/plans/inventDay'
import { exampleDish, exampleSpread } from '../../../test/support/spreads'
import { checkDay } from '../problem/checkDay'
import { checkPlan } from '../problem/checkPlan'
import type { Day } from '../problem/day'
import { dayOf } from '../spread/dayOf'
import { holdsOf, serves } from '../problem/holdsOf'
import { lanesOf } from '../problem/lanesOf'
import { mealAlone } from '../problem/latestStart'
import { reliefsOf } from '../problem/offersOf'
import { overbooked } from '../problem/overbooked'
import { paddedDay, PADDING, paddingOf } from '../problem/paddedDay'
import { earlyCost, planCost } from '../problem/planCost'
import { planDay, type PlanTold } from './planDay'
import { cooksThere, nobodyThere, presentBefore } from '../problem/presence'
import { shareableOf } from '../spread/shareable'
import { slackOf } from '../problem/slackOf'
import { DaySolver } from './solveDay'
import type { Spread, SpreadDish } from '../spread/spread'
import { frozen, FROZEN_MIN, underWay, whatIsLeft } from '../spread/underWay'

function solved(day: Day, steps = 60): DaySolver {
  const solver = new DaySolver(day)
  for (let i = 0; i < steps && !solver.done; i++) solver.step(() => false)
  return solver
}

describe('who is there', () => {
  const day: Day = { ...inventDay(3, 2), cooks: 2, away: [{ cook: 'all', from: 100, to: 200, why: 'sleep' }, { cook: 0, from: 180, to: 260, why: 'away' }, { cook: 1, from: 250, to: 300, why: 'away' }] }

  it('is counted minute by minute', () => {
    expect([99, 100, 199, 200, 250, 259, 260, 300].map(minute => cooksThere(day, minute))).toEqual([2, 0, 0, 1, 0, 0, 1, 2])
    expect(cooksThere(day, 220, [0])).toBe(0)
    expect(cooksThere(day, 220, [1])).toBe(1)
  })

  it('joins spans in which nobody is', () => {
    expect(nobodyThere(day)).toEqual([[100, 200], [250, 260]])
    expect(nobodyThere({ ...day, away: [] })).toEqual([])
  })

  it('agrees with the clock of presence', () => {
    fc.assert(fc.property(fc.integer({ min: 0, max: 400 }), fc.integer({ min: 0, max: 400 }), (a, b) => {
      const [from, to] = a < b ? [a, b] : [b, a]
      const present = presentBefore(day)
      let counted = 0
      for (let minute = from; minute < to; minute++) if (cooksThere(day, minute) > 0) counted++
      expect(present(to) - present(from)).toBe(counted)
    }), { numRuns: 60, seed: 2 })
  })
})

describe('vessels', () => {
  it('serve what is needed: a large heavy pan also as a heavy one, never the other way', () => {
    expect(serves('heavy', 'heavyL')).toBe(true)
    expect(serves('heavyL', 'heavy')).toBe(false)
    expect(serves('pot', 'pot')).toBe(true)
    expect(serves('pot', 'ppan')).toBe(false)
  })

  it('are held with the grinder among them', () => {
    const dish = inventDay(1, 1).dishes[0]!
    const ground = { ...dish, activities: [{ id: 'grind', dur: [5, 6, 8] as const, hands: 1 as const, burner: 0 as const, grinder: 1 as const }], holds: [] }
    expect(holdsOf(ground)).toEqual([{ need: 'grinder', first: 'grind', last: 'grind' }])
  })
})

describe('the day of a household', () => {
  it('sleeps every night, over midnight or not', () => {
    const nights = (from: number, to: number): (readonly [number, number])[] => dayOf(exampleSpread({ nights: { from, to } }), 0).away.filter(one => one.why === 'sleep').map(one => [one.from, one.to] as const)
    expect(nights(1350, 390).slice(0, 3)).toEqual([[0, 390], [1350, 1830], [2790, 3270]])
    expect(nights(60, 400).slice(0, 2)).toEqual([[60, 400], [1500, 1840]])
    expect(nights(300, 300)).toEqual([])
    expect(dayOf(exampleSpread({ nights: null }), 0).away).toEqual([])
  })

  it('lets only those at the fire who may stand there', () => {
    const day = dayOf(exampleSpread(), 0)
    for (const activity of day.dishes.flatMap(dish => dish.activities)) expect(activity.cooks).toEqual(activity.hands > 0 && (activity.hot || activity.burner > 0) ? [0] : undefined)
    const all = dayOf(exampleSpread({ hands: [{ id: 'h1', name: 'You', roasts: true, away: [] }] }), 0)
    expect(all.dishes.flatMap(dish => dish.activities).every(activity => activity.cooks === undefined)).toBe(true)
  })

  it('forgets wishes for steps that are gone, and rounds the minute up to which nothing can begin', () => {
    const spread = exampleSpread({ wishes: [{ kind: 'pin', step: 'd1.roast', start: 2500 }, { kind: 'pin', step: 'd9.roast', start: 2500 }, { kind: 'forbid', step: 'd2.fry', from: 1, to: 2 }] })
    const day = dayOf(spread, 2000.4)
    expect(day.wishes).toEqual([{ kind: 'pin', step: 'd1.roast', start: 2500 }])
    expect(day.now).toBe(2000)
    expect(dayOf(spread, -5).now).toBe(0)
  })

  const withNuts = (id: string): SpreadDish => {
    const dish = exampleDish(id)
    return { ...dish, steps: { ...dish.steps, activities: [{ id: 'nuts', dur: [3, 4, 6], hands: 1, burner: 1, hot: true }, ...dish.steps.activities], lags: [...dish.steps.lags, { from: 'nuts', to: 'pour', min: 0, max: 40, kind: 'nuts' }] } }
  }

  it('finds what can be made once, and makes it once: longer in one dish, gone from the other, and waited for there', () => {
    const dishes = [withNuts('d1'), withNuts('d2'), withNuts('d3')]
    const offers = shareableOf({ dishes })
    expect(offers).toEqual([{ kind: 'nuts', steps: ['nuts'], from: 'd1', for: 'd2' }, { kind: 'nuts', steps: ['nuts'], from: 'd1', for: 'd3' }])
    const spread: Spread = exampleSpread({ dishes, shared: [{ step: 'nuts', from: 'd1', for: 'd2' }] })
    const day = dayOf(spread, 2000)
    expect(day.dishes[0]!.activities.find(one => one.id === 'nuts')!.dur).toEqual([5, 6, 9])
    expect(day.dishes[1]!.activities.some(one => one.id === 'nuts')).toBe(false)
    expect(day.dishes[1]!.lags.some(lag => lag.from === 'nuts')).toBe(false)
    expect(day.links).toEqual([{ from: 'd1.nuts', to: 'd2.pour', min: 0, max: null, kind: 'nuts' }])
    expect(checkDay(day)).toEqual([])
    const { starts } = solved(day).plan!
    expect(checkPlan(day, starts)).toEqual([])
    expect(starts['d2.pour']!).toBeGreaterThanOrEqual(starts['d1.nuts']! + 6)
    expect(starts['d2.nuts']).toBeUndefined()
  })

  it('sets slabs on the trays it has, one after the other where there is one, and does not count trays where there are none', () => {
    const slab = (id: string): SpreadDish => {
      const dish = exampleDish(id)
      return { ...dish, serve: 'room', steps: { ...dish.steps, sink: 'cut', ready: 0, activities: [...dish.steps.activities, { id: 'cut', dur: [4, 6, 9], hands: 1, burner: 0 }],
        lags: [...dish.steps.lags, { from: 'pour', to: 'cut', min: 60, max: 720, kind: 'set' }], holds: [...dish.steps.holds, { need: 'tray', first: 'pour', last: 'cut' }] } }
    }
    const spread = exampleSpread({ dishes: [slab('d1'), slab('d2')] })
    const overlap = (vessels: Spread['vessels']): boolean => {
      const day = dayOf({ ...spread, vessels: [...spread.vessels, ...vessels] }, 1500)
      const { starts } = solved(day, 200).plan!
      expect(checkPlan(day, starts)).toEqual([])
      return starts['d1.pour']! < starts['d2.cut']! && starts['d2.pour']! < starts['d1.cut']!
    }
    expect(overlap([])).toBe(true)
    expect(overlap([{ id: 't1', name: 'Tin', kind: 'tray' }])).toBe(false)
    expect(overlap([{ id: 't1', name: 'Tin', kind: 'tray' }, { id: 't2', name: 'Plate', kind: 'tray' }])).toBe(true)
  })

  it('grinds once only what is the same', () => {
    const ground = (id: string): SpreadDish => {
      const dish = exampleDish(id)
      return { ...dish, steps: { ...dish.steps, activities: [{ id: 'wash', dur: [4, 5, 6], hands: 1, burner: 0 }, { id: 'grind', dur: [8, 10, 12], hands: 1, burner: 0, grinder: 1 }, ...dish.steps.activities] } }
    }
    expect(shareableOf({ dishes: [ground('d1'), ground('d2')] })).toEqual([{ kind: 'ground', steps: ['wash', 'grind'], from: 'd1', for: 'd2' }])
    const other = ground('d2')
    const card = { ...other.card, ingredients: other.card.ingredients.map(one => (one.id === other.card.base ? { ...one, ingredient: 'wheat-flour' } : one)) }
    expect(shareableOf({ dishes: [ground('d1'), { ...other, card }] })).toEqual([])
  })
})

describe('room for what goes slower', () => {
  const day = inventDay(4, 4)

  it('gives steps a share of the way to their longest, meals a little before, liquids a little ahead, bases half of what they bear', () => {
    const padded = paddedDay(day)
    for (const [i, dish] of day.dishes.entries()) {
      const other = padded.dishes[i]!
      expect(other.ready).toBe(dish.ready + PADDING.readyMin)
      for (const [j, { dur }] of dish.activities.entries()) expect(other.activities[j]!.dur).toEqual([dur[0], dur[1] + Math.round(0.25 * (dur[2] - dur[1])), dur[2]])
      for (const lag of dish.lags.filter(one => one.kind === 'hotbase')) expect(other.lags.find(one => one.from === lag.from && one.to === lag.to)!.max).toBe(Math.ceil(lag.max! / 2))
      if (dish.hotPour) expect(other.hotPour!.max).toBeLessThanOrEqual(PADDING.hotMax)
    }
  })

  it('gives more with more room, and reads percentiles as such', () => {
    const lasts = (padded: Day): number => padded.dishes.flatMap(dish => dish.activities).reduce((sum, one) => sum + one.dur[1], 0)
    expect(lasts(paddedDay(day, paddingOf(2)))).toBeGreaterThan(lasts(paddedDay(day)))
    expect(lasts(paddedDay({ ...day, spans: 'percentiles' }))).toBeGreaterThan(lasts(paddedDay(day)))
    expect(paddedDay(day, { ...PADDING, baseShare: 1 }).dishes.flatMap(dish => dish.lags.filter(lag => lag.kind === 'hotbase').map(lag => lag.max)))
      .toEqual(day.dishes.flatMap(dish => dish.lags.filter(lag => lag.kind === 'hotbase').map(lag => lag.max)))
  })

  it('gives up the room of the base before it moves a meal', () => {
    // Four minutes of stirring come between a roast and its pour, which bears five: more than the half that is planned with.
    const dish = exampleDish('d1')
    const stirred: SpreadDish = { ...dish, steps: { ...dish.steps, activities: [...dish.steps.activities, { id: 'stir', dur: [4, 4, 4], hands: 1, burner: 0 }],
      lags: [...dish.steps.lags, { from: 'roast', to: 'stir', min: 0, max: null, kind: 'then' }, { from: 'stir', to: 'pour', min: 0, max: null, kind: 'then' }] } }
    const day = dayOf(exampleSpread({ dishes: [stirred] }), 2000)
    expect(solved(paddedDay(day)).impossible).toBe(true)
    const told: PlanTold[] = []
    let looks = 0
    for (const one of planDay(day, 1.5, () => ++looks / 1000)) if (one) told.push(one)
    expect(told.filter(one => one.type === 'plan').at(-1)).toMatchObject({ done: true, plan: { late: {}, proven: true } })
    expect(told.map(one => one.type)).toContain('latest')
  })
})

describe('a day under way', () => {
  const day = inventDay(6, 3)
  const starts = solved(day).plan!.starts
  const order = Object.entries(starts).sort((a, b) => a[1] - b[1])
  const [first] = order[0]!

  it('lasts as long as it did, or longer than now if it goes on', () => {
    const lasting = (doings: Parameters<typeof underWay>[1], now: number): readonly number[] => {
      const [dish, activity] = first.split('.')
      return underWay(day, doings, now).dishes.find(one => one.id === dish)!.activities.find(one => one.id === activity)!.dur
    }
    const at = starts[first]!
    expect(lasting([{ step: first, begun: at, ended: at + 41 }], at + 50)).toEqual([41, 41, 41])
    expect(lasting([{ step: first, begun: at, ended: null }], at + 60)[1]).toBe(61)
    expect(lasting([{ step: first, begun: null, ended: null }], at + 60)).toEqual(lasting([], at))
    expect(underWay(day, [], 5).now).toBe(day.now)
  })

  it('holds what is begun and what begins at once, and lets the rest be', () => {
    const now = starts[first]! + 1
    const wishes = frozen(day, starts, [{ step: first, begun: now - 1, ended: null }], now)
    expect(wishes).toContainEqual({ kind: 'pin', step: first, start: now - 1 })
    const soon = order.filter(([, at]) => at >= now && at < now + FROZEN_MIN).map(([step]) => step)
    expect(wishes.map(wish => wish.step).sort()).toEqual([first, ...soon].sort())
    const left = whatIsLeft({ ...day, wishes: [{ kind: 'pin', step: first, start: 1 }] }, starts, [{ step: first, begun: now - 1, ended: null }], now)
    expect(left.wishes!.filter(wish => wish.step === first)).toEqual([{ kind: 'pin', step: first, start: now - 1 }])
  })

  it('finds no fault with its own plan, and says what finds no fire', () => {
    expect(overbooked(day, starts, new Set())).toEqual([])
    const lit = day.dishes.flatMap(dish => dish.activities.filter(one => one.burner > 0).map(one => `${dish.id}.${one.id}`))
    expect(overbooked({ ...day, burners: 0 }, starts, new Set()).sort()).toEqual([...lit, ...Object.keys(starts).filter(step => step.endsWith('.reheat'))].sort())
    expect(overbooked({ ...day, burners: 0 }, starts, new Set(Object.keys(starts)))).toEqual([])
    expect(overbooked({ ...day, vessels: [] }, starts, new Set()).length).toBeGreaterThan(0)
    expect(overbooked({ ...day, away: [{ cook: 'all', from: 0, to: 9999, why: 'away' }] }, starts, new Set()).length).toBeGreaterThan(0)
  })
})

describe('what is said of a plan', () => {
  const day = inventDay(12, 4)
  const { starts, cost } = solved(day, 200).plan!

  it('adds up: time there, waits and reheats', () => {
    const said = planCost(day, starts)
    const early = day.dishes.reduce((sum, dish) => sum + earlyCost(day, dish, said.waits[dish.id]!), 0)
    expect(said.total).toBeCloseTo(Object.values(said.spans).reduce((sum, span) => sum + span, 0) + early + 10 * said.reheats, 9)
    expect(said.total).toBeCloseTo(cost, 1)
    for (const wait of Object.values(said.waits)) expect(wait).toBeGreaterThanOrEqual(0)
  })

  it('costs more the longer a dish stands, and much more beyond its window', () => {
    const dish = { ...day.dishes[0]!, serve: 'hot' as const }
    expect(earlyCost(day, dish, 0)).toBe(0)
    expect(earlyCost(day, dish, 15)).toBeCloseTo(4.5, 9)
    expect(earlyCost(day, dish, 16) - earlyCost(day, dish, 15)).toBeCloseTo(5.3, 9)
  })

  it('knows that no meal alone begins sooner than it has to with the others', () => {
    for (const meal of day.meals.filter(one => day.dishes.some(dish => dish.meal === one.id))) {
      const alone = mealAlone(day, meal.id)
      const solver = solved(alone, 200)
      expect(solver.proven).toBe(true)
      expect(planCost(alone, solver.plan!.starts).begins[meal.id]!).toBeGreaterThanOrEqual(planCost(day, starts).begins[meal.id]!)
    }
  })

  it('leaves slack that can be used: each step alone may be that much later and the plan still holds', () => {
    const slack = slackOf(day, starts, lanesOf(day, starts))
    for (const [step, minutes] of Object.entries(slack).slice(0, 8)) {
      expect(minutes).toBeGreaterThanOrEqual(0)
      expect(Number.isInteger(minutes), step).toBe(true)
    }
  })

  it('tries one more of what the dishes use, and of nothing else', () => {
    const kinds = new Set(reliefsOf(day).map(one => one.kind))
    expect(kinds.has('fire') && kinds.has('hands')).toBe(true)
    expect(kinds.has('pot')).toBe(day.dishes.some(dish => dish.holds.some(hold => hold.need === 'pot')))
    expect(reliefsOf({ ...day, now: 100 }).some(one => one.kind === 'sooner')).toBe(false)
    for (const { day: other } of reliefsOf(day)) expect(checkDay(other)).toEqual([])
  })
})
