// @vitest-environment happy-dom
import { describe, expect, it, vi } from 'vitest'
import { OpenSpread, PLAN } from '../../test/app/openSpread'
import { exampleSpread } from '../../test/support/spreads'
import { useSpreadReading } from './spreadReading'
import { useSpreadWishes } from './spreadWishes'

const day = new OpenSpread()

describe('a day that is open', () => {
  it('is planned when it is read, and the plan goes into the day and to the hearth', async () => {
    const state = await day.open()
    expect(day.planner).toHaveBeenCalledTimes(1)
    expect(day.planner.mock.calls[0]![0]).toMatchObject({
      type: 'plan',
      seconds: 4,
      day: { now: 720, cooks: 2, burners: 2 },
    })
    expect(state.seeking.value).toBe(true)
    day.answer()
    expect(state.seeking.value).toBe(false)
    expect(state.spread.value!.plan).toMatchObject({
      starts: PLAN.starts,
      room: 1,
      latest: { m1: 2480 },
      tries: { tries: 400, lateTries: 3 },
    })
    await vi.advanceTimersByTimeAsync(500)
    expect(day.puts().at(-1)!.plan!.proven).toBe(true)
    expect(state.spread.value!.revision).toBe(4)
  })

  it('takes the plan it was kept with, if that still fits, and asks for none', async () => {
    const { starts, late, cost, bound } = PLAN
    day.kept = exampleSpread({
      plan: {
        starts: { ...starts },
        late: { ...late },
        cost,
        bound,
        proven: true,
        room: 1,
        latest: { m1: 2480 },
        tries: null,
      },
    })
    const state = await day.open()
    expect(day.planner).not.toHaveBeenCalled()
    expect(state.planned.value!.cost).toBe(cost)
    day.kept = { ...day.kept, plan: { ...day.kept.plan!, starts: { ...starts, 'd1.pour': starts['d1.pour']! - 30 } } }
    await day.openAgain()
    expect(day.planner).toHaveBeenCalledTimes(1)
  })

  it('is planned for a moment while something is moved and for longer once it is let go, as one step to be undone', async () => {
    const state = await day.open()
    day.answer()
    const reading = day.scope.run(() => useSpreadReading(state))!
    const wishes = useSpreadWishes(state, step => reading.fitting.value?.starts[step], reading.anchorOf)
    const at = PLAN.starts['d1.pour']!
    for (const minutes of [-3, -9, -15]) {
      wishes.move('d1', minutes, false)
      await vi.advanceTimersByTimeAsync(70)
      expect(day.planner.mock.calls.at(-1)![0]).toMatchObject({
        seconds: 0.4,
        day: { wishes: [{ kind: 'pin', step: 'd1.pour', start: at + minutes }] },
      })
    }
    wishes.move('d1', -20, true)
    await vi.advanceTimersByTimeAsync(70)
    expect(day.planner.mock.calls.at(-1)![0]).toMatchObject({ seconds: 4 })
    expect(day.stopped).toHaveBeenCalled()
    expect(state.spread.value!.wishes).toEqual([{ kind: 'pin', step: 'd1.pour', start: at - 20 }])
    state.undo()
    expect(state.spread.value!.wishes).toEqual([])
    expect(state.planned.value!.starts['d1.pour']).toBe(at)
  })

  it('does not take, after an undo, the plan that was still sought for what was undone', async () => {
    const { starts, late, cost, bound } = PLAN
    day.kept = exampleSpread({
      plan: { starts: { ...starts }, late: { ...late }, cost, bound, proven: true, room: 1, latest: {}, tries: null },
    })
    const state = await day.open()
    const wishes = useSpreadWishes(state, step => starts[step], dish => `${dish}.pour`)
    wishes.move('d1', -20, true)
    await vi.advanceTimersByTimeAsync(70)
    expect(day.planner).toHaveBeenCalledTimes(1)
    state.undo()
    expect(day.stopped).toHaveBeenCalled()
    expect(state.seeking.value).toBe(false)
    wishes.move('d1', -30, true)
    state.undo()
    await vi.advanceTimersByTimeAsync(70)
    expect(day.planner).toHaveBeenCalledTimes(1)
    expect(state.planned.value!.starts).toEqual(starts)
  })

  it('says why it cannot be planned, and keeps what is wrong with it', async () => {
    const state = await day.open()
    day.tell({ type: 'refused', ticket: 1, troubles: [{ code: 'no-hands', about: 'day-1' }] })
    expect(state.troubles.value).toEqual([{ code: 'no-hands', about: 'day-1' }])
    expect(state.planned.value).toBeNull()
    state.change(was => ({ ...was, name: 'Another' }))
    await vi.advanceTimersByTimeAsync(500)
    day.tell({ type: 'clash', ticket: 2, clash: [{ kind: 'hands', about: 'day-1' }] })
    day.tell({ type: 'plan', ticket: 2, plan: null, done: true, seconds: 1 })
    expect(state.cannot.value).toBe(true)
    expect(state.clash.value).toEqual([{ kind: 'hands', about: 'day-1' }])
    expect(day.puts().at(-1)!.name).toBe('Another')
  })

  it('asks what would help, and forgets the answer with the next change', async () => {
    const state = await day.open()
    day.answer()
    state.offers()
    expect(day.planner.mock.calls.at(-1)![0]).toMatchObject({ type: 'offers' })
    day.tell({
      type: 'offers',
      ticket: 2,
      now: { lateMin: 0, spanMin: 100 },
      offers: [{ kind: 'fire', lateMin: 0, spanMin: 80 }],
      done: true,
    })
    expect(state.offered.value!.offers).toHaveLength(1)
    state.change(was => ({ ...was, washMin: 3 }))
    expect(state.offered.value).toBeNull()
  })

  it('ends the search when that is enough, and goes by what it has', async () => {
    const state = await day.open()
    day.tell({ type: 'plan', ticket: 1, plan: { ...PLAN, proven: false }, done: false, seconds: 0.1 })
    state.enough()
    expect(day.stopped).toHaveBeenCalled()
    expect(state.seeking.value).toBe(false)
    expect(state.spread.value!.plan).toMatchObject({ starts: PLAN.starts, proven: false, tries: null })
  })

  it('has no plan without dishes', async () => {
    const state = await day.open()
    day.answer()
    state.change(was => ({ ...was, dishes: [] }))
    await vi.advanceTimersByTimeAsync(100)
    expect(state.planned.value).toBeNull()
    expect(state.seeking.value).toBe(false)
  })
})

describe('a day that runs late', () => {
  it('seeks another order once it is late by ten minutes, and again only when it is ten later', async () => {
    const state = await day.open()
    day.answer()
    day.planner.mockClear()
    state.runsLate(9)
    expect(day.planner).not.toHaveBeenCalled()
    state.runsLate(12)
    state.runsLate(17)
    expect(day.planner).toHaveBeenCalledTimes(1)
    state.runsLate(22)
    expect(day.planner).toHaveBeenCalledTimes(2)
    expect(day.planner.mock.calls[1]![0]).toMatchObject({ type: 'plan', seconds: 1.5 })
  })

  it('takes the other order only when that is asked for', async () => {
    const state = await day.open()
    day.answer()
    state.runsLate(30)
    const starts = Object.fromEntries(Object.entries(PLAN.starts).map(([step, at]) => [step, at - 7]))
    day.tell({ type: 'plan', ticket: 2, plan: { ...PLAN, starts }, done: true, seconds: 1 })
    expect(state.planned.value!.starts).toEqual(PLAN.starts)
    expect(state.other.value!.starts).toEqual(starts)
    state.takeOther()
    expect(state.planned.value!.starts).toEqual(starts)
    expect(state.spread.value!.plan!.starts).toEqual(starts)
    expect(state.other.value).toBeNull()
  })
})
