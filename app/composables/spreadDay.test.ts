// @vitest-environment happy-dom
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { STARTER_DISHES } from '../../book/dishes'
import { forecastCook } from '../../core/process/forecast/forecastCook'
import { KITCHEN, OpenSpread } from '../../test/app/openSpread'
import { askForecast } from '../clients/forecaster'
import { useSpreadWishes } from './spreadWishes'

const day = new OpenSpread(KITCHEN)
const forecaster = vi.mocked(askForecast)
beforeEach(() => {
  forecaster.mockReset().mockImplementation((_, plan) => Promise.resolve(forecastCook(plan, [], 0, 12)))
})
const carrot = STARTER_DISHES.find(one => one.id === 'winter-market-carrot')!
const gram = STARTER_DISHES.find(one => one.id === 'marble-gram-balls')!

describe('what is wished for a step', () => {
  it('holds a step, keeps it out of a span, and lets it go', async () => {
    const state = await day.open()
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
})

describe('marks of the day', () => {
  it('begin, end and are taken back one at a time', async () => {
    const state = await day.open()
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

describe('a dish that is put on the day', () => {
  it('comes with its steps, under an id that is free, served as it usually is, and the day is planned anew', async () => {
    const state = await day.open()
    day.planner.mockClear()
    await state.put(carrot, 600, 'm1')
    await state.put(gram, 260, 'm1', { serve: 'cold' })
    await vi.advanceTimersByTimeAsync(100)
    const [third, fourth] = state.spread.value!.dishes.slice(2)
    expect(third).toMatchObject({ id: 'd3', baseG: 600, meal: 'm1', serve: 'warm', turn: expect.any(String) as string })
    expect(third!.steps.activities.map(one => one.id)).toEqual(expect.arrayContaining(['grate', 'soften', 'milk']))
    expect(third!.colours.length).toBeGreaterThan(10)
    expect(fourth).toMatchObject({ id: 'd4', serve: 'cold' })
    expect(fourth!.steps.sink).toBe('take-out')
    expect(day.planner).toHaveBeenCalled()
    await vi.advanceTimersByTimeAsync(500)
    expect(day.kept.dishes.map(dish => dish.id)).toEqual(['d1', 'd2', 'd3', 'd4'])
  })

  it('that was there before takes its place, and what was wished for its steps is forgotten', async () => {
    const state = await day.open()
    await state.put(carrot, 600, 'm1')
    state.change(was => ({
      ...was,
      wishes: [
        { kind: 'pin', step: 'd3.soften', start: 2400 },
        { kind: 'pin', step: 'd1.roast', start: 2410 },
      ],
    }))
    await state.put(carrot, 1200, 'm1', { serve: 'hot' }, 'd3')
    expect(state.spread.value!.dishes).toHaveLength(3)
    expect(state.spread.value!.dishes[2]).toMatchObject({ id: 'd3', baseG: 1200, serve: 'hot' })
    expect(state.spread.value!.wishes).toEqual([{ kind: 'pin', step: 'd1.roast', start: 2410 }])
    state.undo()
    expect(state.spread.value!.dishes[2]).toMatchObject({ baseG: 600 })
  })

  it('lends what it makes only as long as it makes it', async () => {
    const state = await day.open()
    await state.put(carrot, 900, 'm1', { thickens: true })
    await state.put(carrot, 600, 'm1', { thickens: true })
    expect(state.spread.value!.dishes[2]!.thickens).toBe(true)
    state.change(was => ({
      ...was,
      shared: [
        { step: 'khoya', from: 'd3', for: 'd4' },
        { step: 'nuts', from: 'd3', for: 'd4' },
      ],
    }))
    await state.put(carrot, 450, 'm1', { thickens: true }, 'd4')
    expect(state.spread.value!.shared.map(one => one.step)).toEqual(['khoya', 'nuts'])
    await state.put(carrot, 900, 'm1', {}, 'd3')
    expect(state.spread.value!.dishes[2]!.thickens).toBeUndefined()
    expect(state.spread.value!.shared.map(one => one.step)).toEqual(['nuts'])
  })

  it('changes nothing where its forecast was given up', async () => {
    const state = await day.open()
    forecaster.mockResolvedValue(null)
    await state.put(carrot, 600, 'm1')
    expect(state.spread.value!.dishes).toHaveLength(2)
    expect(state.canUndo.value).toBe(false)
  })
})
