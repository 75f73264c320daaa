// @vitest-environment happy-dom
import { effectScope, nextTick, ref, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { INGREDIENTS } from '../../book/ingredients'
import type { Kitchen } from '../../contracts/kitchen'
import type { PlannerAnswer } from '../../contracts/planner'
import type { Evidence } from '../../core/belief/evidence'
import { dayOf } from '../../core/schedule/dayOf'
import { paddedDay } from '../../core/schedule/paddedDay'
import { DaySolver } from '../../core/schedule/solveDay'
import type { Spread } from '../../core/schedule/spread'
import { exampleSpread } from '../../test/support/spreads'
import { ask, Refused, Unreachable } from './api'
import { askPlanner } from './planner'
import { eveMs } from './spreadClock'
import { useSpreadDay, type SpreadDay } from './spreadDay'
import { useSpreadReading } from './spreadReading'
import { useSpreadToday } from './spreadToday'
import { useSpreadWishes } from './spreadWishes'

vi.mock('./planner', () => ({ askPlanner: vi.fn() }))
vi.mock('./forecaster', () => ({ askForecast: vi.fn(() => Promise.resolve(null)) }))
vi.mock('./cookStream', () => ({ followStream: vi.fn() }))
vi.mock('./hearthClock', () => ({ hearthNow: () => NOW }))
vi.mock('./api', async importActual => ({ ...await importActual<object>(), ask: vi.fn() }))

/** Noon of the eve. */
const NOW = new Date(2026, 10, 28, 12).getTime()
const planner = vi.mocked(askPlanner)
const hearth = vi.mocked(ask)

const day = paddedDay(dayOf(exampleSpread(), 720))
const solver = new DaySolver(day)
for (let i = 0; i < 60 && !solver.done; i++) solver.step(() => false)
const PLAN = { ...solver.plan!, bound: solver.bound, proven: true, room: 1 }
const TRIES = { tries: 400, lateTries: 3, meals: 400, lateMeals: 3, pours: 800, coldPours: 0, waitedBases: 0, spanMin: 90, tightest: [] }

let scope: EffectScope
let kept: Spread
/** Tells the last question an answer. */
let tell: (answer: PlannerAnswer) => void
const stopped = vi.fn()

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
  localStorage.clear()
  scope = effectScope()
  kept = exampleSpread({ revision: 3 })
  stopped.mockReset()
  planner.mockReset().mockImplementation((_, say) => {
    tell = say
    return stopped
  })
  hearth.mockReset().mockImplementation((method, _, schema, body) => {
    if (method === 'PUT') kept = { ...body as Spread, revision: (body as Spread).revision + 1 }
    return Promise.resolve(schema!.parse(JSON.parse(JSON.stringify(kept))))
  })
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})

async function opened(): Promise<SpreadDay> {
  const state = scope.run(() => useSpreadDay('day-1', { kitchen: ref<Kitchen | null>(null), evidence: ref<readonly Evidence[]>([]), ingredients: INGREDIENTS }))!
  await state.load()
  await vi.advanceTimersByTimeAsync(100)
  return state
}
const puts = (): Spread[] => hearth.mock.calls.filter(([method]) => method === 'PUT').map(call => call[3] as Spread)
function answer(): void {
  tell({ type: 'plan', ticket: 1, plan: PLAN, done: false, seconds: 0.1 })
  tell({ type: 'tries', ticket: 1, tries: TRIES })
  tell({ type: 'plan', ticket: 1, plan: PLAN, done: true, seconds: 0.4 })
  tell({ type: 'latest', ticket: 1, latest: { m1: 2480 }, least: { waitMin: 12, reheats: 0 } })
}

describe('a day that is open', () => {
  it('is planned when it is read, and the plan goes into the day and to the hearth', async () => {
    const state = await opened()
    expect(planner).toHaveBeenCalledTimes(1)
    expect(planner.mock.calls[0]![0]).toMatchObject({ type: 'plan', seconds: 4, day: { now: 720, cooks: 2, burners: 2 } })
    expect(state.seeking.value).toBe(true)
    answer()
    expect(state.seeking.value).toBe(false)
    expect(state.spread.value!.plan).toMatchObject({ starts: PLAN.starts, room: 1, latest: { m1: 2480 }, tries: { tries: 400, lateTries: 3 } })
    await vi.advanceTimersByTimeAsync(500)
    expect(puts().at(-1)!.plan!.proven).toBe(true)
    expect(state.spread.value!.revision).toBe(4)
  })

  it('takes the plan it was kept with, if that still fits, and asks for none', async () => {
    const { starts, late, cost, bound } = PLAN
    kept = exampleSpread({ plan: { starts: { ...starts }, late: { ...late }, cost, bound, proven: true, room: 1, latest: { m1: 2480 }, tries: null } })
    const state = await opened()
    expect(planner).not.toHaveBeenCalled()
    expect(state.planned.value!.cost).toBe(cost)
    scope.stop()
    scope = effectScope()
    kept = { ...kept, plan: { ...kept.plan!, starts: { ...starts, 'd1.pour': starts['d1.pour']! - 30 } } }
    await opened()
    expect(planner).toHaveBeenCalledTimes(1)
  })

  it('is planned for a moment while something is moved and for longer once it is let go, as one step to be undone', async () => {
    const state = await opened()
    answer()
    const reading = scope.run(() => useSpreadReading(state))!
    const wishes = useSpreadWishes(state, step => reading.fitting.value?.starts[step], reading.anchorOf)
    const at = PLAN.starts['d1.pour']!
    for (const minutes of [-3, -9, -15]) {
      wishes.move('d1', minutes, false)
      await vi.advanceTimersByTimeAsync(70)
      expect(planner.mock.calls.at(-1)![0]).toMatchObject({ seconds: 0.4, day: { wishes: [{ kind: 'pin', step: 'd1.pour', start: at + minutes }] } })
    }
    wishes.move('d1', -20, true)
    await vi.advanceTimersByTimeAsync(70)
    expect(planner.mock.calls.at(-1)![0]).toMatchObject({ seconds: 4 })
    expect(stopped).toHaveBeenCalled()
    expect(state.spread.value!.wishes).toEqual([{ kind: 'pin', step: 'd1.pour', start: at - 20 }])
    state.undo()
    expect(state.spread.value!.wishes).toEqual([])
    expect(state.planned.value!.starts['d1.pour']).toBe(at)
  })

  it('does not take, after an undo, the plan that was still sought for what was undone', async () => {
    const { starts, late, cost, bound } = PLAN
    kept = exampleSpread({ plan: { starts: { ...starts }, late: { ...late }, cost, bound, proven: true, room: 1, latest: {}, tries: null } })
    const state = await opened()
    const wishes = useSpreadWishes(state, step => starts[step], dish => `${dish}.pour`)
    wishes.move('d1', -20, true)
    await vi.advanceTimersByTimeAsync(70)
    expect(planner).toHaveBeenCalledTimes(1)
    state.undo()
    expect(stopped).toHaveBeenCalled()
    expect(state.seeking.value).toBe(false)
    wishes.move('d1', -30, true)
    state.undo()
    await vi.advanceTimersByTimeAsync(70)
    expect(planner).toHaveBeenCalledTimes(1)
    expect(state.planned.value!.starts).toEqual(starts)
  })

  it('holds a step, keeps it out of a span, and lets it go', async () => {
    const state = await opened()
    const wishes = useSpreadWishes(state, () => 2500, dish => `${dish}.pour`)
    wishes.pin('d1.roast', 2450)
    wishes.pin('d1.roast', 2460)
    expect(state.spread.value!.wishes).toEqual([{ kind: 'pin', step: 'd1.roast', start: 2460 }])
    wishes.forbid('d1.roast', { from: 2400, to: 2430 })
    expect(state.spread.value!.wishes).toEqual([{ kind: 'forbid', step: 'd1.roast', from: 2400, to: 2430 }])
    wishes.forbid('d1.roast', null)
    wishes.pin('d2.roast', null)
    expect(state.spread.value!.wishes).toEqual([])
  })

  it('says why it cannot be planned, and keeps what is wrong with it', async () => {
    const state = await opened()
    tell({ type: 'refused', ticket: 1, troubles: [{ code: 'no-hands', about: 'day-1' }] })
    expect(state.troubles.value).toEqual([{ code: 'no-hands', about: 'day-1' }])
    expect(state.planned.value).toBeNull()
    state.change(was => ({ ...was, name: 'Another' }))
    await vi.advanceTimersByTimeAsync(500)
    tell({ type: 'plan', ticket: 2, plan: null, done: true, seconds: 1 })
    expect(state.cannot.value).toBe(true)
    expect(puts().at(-1)!.name).toBe('Another')
  })

  it('asks what would help, and forgets the answer with the next change', async () => {
    const state = await opened()
    answer()
    state.offers()
    expect(planner.mock.calls.at(-1)![0]).toMatchObject({ type: 'offers' })
    tell({ type: 'offers', ticket: 2, now: { lateMin: 0, spanMin: 100 }, offers: [{ kind: 'fire', lateMin: 0, spanMin: 80 }], done: true })
    expect(state.found.value!.offers).toHaveLength(1)
    state.change(was => ({ ...was, washMin: 3 }))
    expect(state.found.value).toBeNull()
  })

  it('ends the search when that is enough, and goes by what it has', async () => {
    const state = await opened()
    tell({ type: 'plan', ticket: 1, plan: { ...PLAN, proven: false }, done: false, seconds: 0.1 })
    state.enough()
    expect(stopped).toHaveBeenCalled()
    expect(state.seeking.value).toBe(false)
    expect(state.spread.value!.plan).toMatchObject({ starts: PLAN.starts, proven: false, tries: null })
  })

  it('has no plan without dishes', async () => {
    const state = await opened()
    answer()
    state.change(was => ({ ...was, dishes: [] }))
    await vi.advanceTimersByTimeAsync(100)
    expect(state.planned.value).toBeNull()
    expect(state.seeking.value).toBe(false)
  })
})

describe('what was changed', () => {
  it('is on this device at once and on the hearth soon after', async () => {
    const state = await opened()
    state.change(was => ({ ...was, name: 'Sunday lunch' }), 'kept')
    expect(JSON.parse(localStorage.getItem('yon-hearth.spread.day-1')!)).toMatchObject({ name: 'Sunday lunch' })
    expect(puts()).toHaveLength(0)
    await vi.advanceTimersByTimeAsync(450)
    expect(puts()).toHaveLength(1)
    expect(localStorage.getItem('yon-hearth.spread.day-1')).toBeNull()
  })

  it('waits for the hearth, is sent when it is back, and is there after a reload', async () => {
    const state = await opened()
    hearth.mockRejectedValueOnce(new Unreachable())
    state.change(was => ({ ...was, name: 'In the lift' }), 'kept')
    await vi.advanceTimersByTimeAsync(450)
    expect(state.trouble.value).toContain('kept on this device')
    expect(localStorage.getItem('yon-hearth.spread.day-1')).not.toBeNull()
    await vi.advanceTimersByTimeAsync(5100)
    expect(kept.name).toBe('In the lift')
    expect(state.trouble.value).toBe('')
    localStorage.setItem('yon-hearth.spread.day-1', JSON.stringify({ ...kept, name: 'Not sent yet' }))
    scope.stop()
    scope = effectScope()
    const again = await opened()
    expect(again.spread.value!.name).toBe('Not sent yet')
    await vi.advanceTimersByTimeAsync(450)
    expect(kept.name).toBe('Not sent yet')
  })

  it('gives way to what another device changed meanwhile, and says so', async () => {
    const state = await opened()
    hearth.mockRejectedValueOnce(new Refused({ type: 'about:blank', title: 'Changed meanwhile', status: 409, code: 'changed-meanwhile', detail: 'Another device changed this day.' } as ConstructorParameters<typeof Refused>[0]))
    kept = { ...kept, name: 'From the tablet', revision: 9 }
    state.change(was => ({ ...was, name: 'From the phone' }), 'kept')
    await vi.advanceTimersByTimeAsync(450)
    expect(state.spread.value).toMatchObject({ name: 'From the tablet', revision: 9 })
    expect(state.trouble.value).toBe('Another device changed this day.')
    expect(state.canUndo.value).toBe(false)
  })

  it('is opened from this device where the hearth is away', async () => {
    localStorage.setItem('yon-hearth.spread.day-1', JSON.stringify({ ...kept, name: 'Kept here' }))
    hearth.mockRejectedValue(new Unreachable())
    const state = await opened()
    expect(state.spread.value!.name).toBe('Kept here')
    expect(state.trouble.value).toContain('cannot be reached')
  })
})

describe('marks of the day', () => {
  it('begin, end and are taken back one at a time', async () => {
    const state = await opened()
    state.mark('d1.grate', { begun: 2400 })
    expect(state.spread.value!.doings).toEqual([{ step: 'd1.grate', begun: 2400, ended: null }])
    state.mark('d1.grate', { begun: 2412, ended: 2412 })
    expect(state.spread.value!.doings).toEqual([{ step: 'd1.grate', begun: 2400, ended: 2412 }])
    state.mark('d1.grate', null)
    expect(state.spread.value!.doings).toEqual([{ step: 'd1.grate', begun: 2400, ended: null }])
    state.mark('d1.grate', null)
    expect(state.spread.value!.doings).toEqual([])
  })
})

describe('a day that runs late', () => {
  it('seeks another order once it is late by ten minutes, and again only when it is ten later', async () => {
    const state = await opened()
    answer()
    planner.mockClear()
    state.runsLate(9)
    expect(planner).not.toHaveBeenCalled()
    state.runsLate(12)
    state.runsLate(17)
    expect(planner).toHaveBeenCalledTimes(1)
    state.runsLate(22)
    expect(planner).toHaveBeenCalledTimes(2)
    expect(planner.mock.calls[1]![0]).toMatchObject({ type: 'plan', seconds: 1.5 })
  })

  it('takes the other order only when that is asked for', async () => {
    const state = await opened()
    answer()
    state.runsLate(30)
    const starts = Object.fromEntries(Object.entries(PLAN.starts).map(([step, at]) => [step, at - 7]))
    tell({ type: 'plan', ticket: 2, plan: { ...PLAN, starts }, done: true, seconds: 1 })
    expect(state.planned.value!.starts).toEqual(PLAN.starts)
    expect(state.other.value!.starts).toEqual(starts)
    state.takeOther()
    expect(state.planned.value!.starts).toEqual(starts)
    expect(state.spread.value!.plan!.starts).toEqual(starts)
    expect(state.other.value).toBeNull()
  })

  it('is worth another order only if that saves ten minutes', async () => {
    const state = await opened()
    answer()
    const reading = scope.run(() => useSpreadReading(state))!
    const late = 2400 + 150
    const nowMs = ref(eveMs('2026-11-28') + late * 60_000)
    const other = ref<{ readonly starts: Readonly<Record<string, number>> } | null>(null)
    const { today, savesMin, nowMin } = scope.run(() => useSpreadToday(state.spread, reading.going, other, nowMs, { known: {}, load: () => Promise.resolve(), receive: () => undefined }))!
    await nextTick()
    expect(nowMin.value).toBe(late)
    expect(today.value!.repaired.lateMin).toBeGreaterThan(10)
    expect(savesMin.value).toBe(0)
    other.value = { starts: PLAN.starts }
    expect(savesMin.value).toBe(0)
    nowMs.value = eveMs('2026-11-28') + 100 * 60_000
    expect(today.value).toBeNull()
  })
})

describe('what is said of a day', () => {
  it('says waits and reheats beside the least that any plan has', async () => {
    const state = await opened()
    answer()
    const { waits } = scope.run(() => useSpreadReading(state))!
    const text = waits.value.join(' ')
    const long = Object.keys(PLAN.starts).filter(step => step.endsWith('.pour')).some(step => 2580 - 5 - PLAN.starts[step]! - 8 > 20)
    expect(text.includes('under its lid')).toBe(long)
    if (long) expect(text).toContain('wait less than 12 min together')
    expect(text).not.toContain('heated again')
    // The liquid of one dish is heated an hour before its pour, and again.
    state.planned.value = { ...PLAN, starts: { ...PLAN.starts, 'd1.sweet-water': PLAN.starts['d1.pour']! - 50, 'd1.reheat': PLAN.starts['d1.pour']! - 5 } }
    expect(waits.value.join(' ')).toContain('1 liquid is heated again; a longer day could do without.')
  })

  it('names it by its meals, counts what there is, and tells when each meal begins', async () => {
    const state = await opened()
    answer()
    const { title, counts, date, meals, names, said, pours, pinned, who, stepOf, slack } = scope.run(() => useSpreadReading(state))!
    expect(title.value).toBe('Sunday: to the table at 19:00')
    expect(date.value).toBe('Sunday 29 November')
    expect(counts.value).toBe('2 dishes, 2 pairs of hands, 2 fires')
    expect(meals.value).toHaveLength(1)
    expect(meals.value[0]).toMatchObject({ name: 'Dinner', latest: 2480, lateMin: 0 })
    expect(meals.value[0]!.begins).toBe(Math.min(...Object.entries(PLAN.starts).filter(([step]) => !step.includes('water')).map(([, at]) => at)))
    expect(names.value.get('m1')).toBe('Dinner')
    expect(said.value.get('d1')!.says).toContain('hot, 180')
    expect([...pours.value]).toEqual(['d1.pour', 'd2.pour'])
    expect(pinned.value.size).toBe(0)
    expect(new Set(who.value.values())).toEqual(new Set(['You', 'Ilan']))
    expect(stepOf('d1')!.step).toBe('d1.pour')
    expect(stepOf('d1.roast')!.spans).toEqual([10, 12, 16])
    expect(stepOf('d9.roast')).toBeNull()
    expect(Object.keys(slack.value).length).toBeGreaterThan(0)
  })
})
