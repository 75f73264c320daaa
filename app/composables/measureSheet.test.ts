// @vitest-environment happy-dom
import { createPinia, setActivePinia } from 'pinia'
import { effectScope, nextTick, ref, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { STARTER_DISHES } from '../../book/dishes'
import { FIRST_KITCHEN } from '../../book/firstKitchen'
import { INGREDIENTS } from '../../book/ingredients'
import { askForecast, giveUp } from '../clients/forecaster'
import { useMeasureSheet } from './measureSheet'

vi.mock('../clients/forecaster', () => ({ askForecast: vi.fn(() => new Promise(() => undefined)), giveUp: vi.fn() }))

let scope: EffectScope
const sheetOf = (dish = 'sweet-water-semolina', kitchen = FIRST_KITCHEN) => {
  const state = scope.run(() =>
    useMeasureSheet({
      kitchen: ref(kitchen),
      dishes: ref(STARTER_DISHES),
      evidence: ref([]),
      ingredients: INGREDIENTS,
    }),
  )!
  state.open(dish)
  return state
}
const massOf = (state: ReturnType<typeof sheetOf>, id: string): number =>
  state.amounts.value.find(one => one.id === id)!.massG

beforeEach(() => {
  vi.useFakeTimers()
  localStorage.clear()
  scope = effectScope()
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})

describe('the sheet', () => {
  it('opens a dish of each family of the book at its usual amount, with a forecast at once', async () => {
    for (const dish of new Map(STARTER_DISHES.map(one => [one.family, one])).values()) {
      const state = sheetOf(dish.id)
      await nextTick()
      expect(state.sheet.value).toMatchObject({
        baseG: dish.usual.baseG,
        cup: 'cup',
        pan: 'pan',
        pot: 'pot',
        fire: 'front',
        otherFire: 'back',
      })
      expect(state.forecast.value?.stages.length, dish.id).toBeGreaterThan(0)
      expect(state.forecastIsOld.value).toBe(true)
    }
  })

  it('asks for nothing more once it is left', () => {
    sheetOf()
    const asked = vi.mocked(askForecast).mock.calls.length
    scope.stop()
    expect(giveUp).toHaveBeenCalledWith('measure')
    vi.advanceTimersByTime(1000)
    expect(askForecast).toHaveBeenCalledTimes(asked)
  })

  it('has none where there is no such dish', () => {
    expect(sheetOf('nothing').sheet.value).toBeNull()
  })

  it('moves every amount with the base and takes it back in one step', () => {
    const state = sheetOf()
    const before = state.amounts.value.map(one => one.massG)
    state.set({ baseG: state.sheet.value!.baseG * 2 })
    state.amounts.value.forEach((one, i) => expect(one.massG).toBeCloseTo(before[i]! * 2, 6))
    state.undo()
    state.amounts.value.forEach((one, i) => expect(one.massG).toBeCloseTo(before[i]!, 6))
    expect(state.canUndo.value).toBe(false)
  })

  it('takes a whole drag back as one change', () => {
    const state = sheetOf()
    const { baseG } = state.sheet.value!
    for (let i = 1; i <= 30; i++) state.set({ baseG: baseG + i }, true)
    vi.advanceTimersByTime(1000)
    state.set({ pan: 'pot' })
    state.undo()
    expect(state.sheet.value).toMatchObject({ baseG: baseG + 30, pan: 'pan' })
    state.undo()
    expect(state.sheet.value!.baseG).toBe(baseG)
  })

  it('takes back a drag that has not paused yet', () => {
    const state = sheetOf()
    const { baseG } = state.sheet.value!
    for (let i = 1; i <= 5; i++) state.set({ baseG: baseG + i }, true)
    state.undo()
    expect(state.sheet.value!.baseG).toBe(baseG)
  })

  it('holds the total of water while something wet is changed, and only if it is asked to', () => {
    const wet = (dish: (typeof STARTER_DISHES)[number], part: string) =>
      dish.ingredients.find(one => one.part === part && one.perBase > 0.3)
    const dish =
      STARTER_DISHES.find(one => wet(one, 'milk') && wet(one, 'water'))
      ?? STARTER_DISHES.find(one => wet(one, 'sugar')?.ingredient.includes('jaggery') && wet(one, 'water'))!
    const part = wet(dish, 'milk') ? 'milk' : 'sugar'
    for (const hold of [true, false]) {
      const state = sheetOf(dish.id)
      const water = state.account.value!.totalG
      const id = wet(dish, part)!.id
      state.setDish(
        {
          ...dish,
          ingredients: dish.ingredients.map(one => (one.id === id ? { ...one, perBase: one.perBase * 1.3 } : one)),
        },
        hold,
      )
      expect(massOf(state, id)).toBeCloseTo(wet(dish, part)!.perBase * 1.3 * state.sheet.value!.baseG, 6)
      if (hold) expect(state.account.value!.totalG).toBeCloseTo(water, 3)
      else expect(state.account.value!.totalG).toBeGreaterThan(water + 1)
    }
  })

  it('is kept on this device, and taken again only with its own dish and what still stands on a shelf', () => {
    const first = sheetOf()
    first.set({ baseG: 321, pan: 'pot' })
    window.dispatchEvent(new Event('pagehide'))
    setActivePinia(createPinia())
    expect(sheetOf().sheet.value).toMatchObject({ baseG: 321 })
    expect(sheetOf('winter-market-carrot').sheet.value!.baseG).not.toBe(321)
    const noPot = { ...FIRST_KITCHEN, pans: FIRST_KITCHEN.pans.filter(one => one.id !== 'pot') }
    expect(sheetOf('sweet-water-semolina', noPot).sheet.value).toMatchObject({ pan: 'pan', pot: 'pan' })
  })

  it('can still be taken back after another view, and not after another dish', () => {
    const first = sheetOf()
    const { baseG } = first.sheet.value!
    first.set({ baseG: baseG * 2 })
    scope.stop()
    scope = effectScope()
    const again = sheetOf()
    expect(again.sheet.value!.baseG).toBe(baseG * 2)
    again.undo()
    expect(again.sheet.value!.baseG).toBe(baseG)
    again.set({ baseG: baseG * 3 })
    expect(sheetOf('winter-market-carrot').canUndo.value).toBe(false)
  })

  it.each(['not json', '{"dish":1}', 'null'])('begins anew where what was kept is %s', (text) => {
    localStorage.setItem('yon-hearth.sheet', text)
    expect(sheetOf().sheet.value).toMatchObject({ pan: 'pan' })
  })

  it('asks for the fine forecast once the hand rests, not before', () => {
    const ask = vi.mocked(askForecast)
    const state = sheetOf()
    vi.advanceTimersByTime(1000)
    ask.mockClear()
    for (let i = 1; i <= 10; i++) {
      state.set({ baseG: 200 + i }, true)
      void state.plan.value
      vi.advanceTimersByTime(50)
    }
    expect(ask.mock.calls.length).toBeLessThan(2)
  })
})
