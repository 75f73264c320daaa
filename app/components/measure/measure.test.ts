import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { defineComponent, h, nextTick, ref } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { FIRST_KITCHEN } from '../../../book/firstKitchen'
import { INGREDIENTS } from '../../../book/ingredients'
import { STARTER_DISHES } from '../../../book/dishes'
import type { Kitchen } from '../../../contracts/kitchen'
import { measuredAmounts } from '../../../core/formulation/proportions/measuredAmounts'
import { WorkerHere } from '../../../test/support/workerHere'
import type { MeasureSheet } from '../../composables/measureSheet'
import AmountShelf from './AmountShelf.vue'
import { eventually } from '../../../test/support/eventually'

const dish = STARTER_DISHES[0]!
const cup = { ...FIRST_KITCHEN.measures[0]!, name: 'Verandah glass', volumeMl: 180, origin: 'weighed' as const }

beforeEach(() => {
  vi.resetModules()
  localStorage.clear()
  vi.stubGlobal('Worker', WorkerHere)
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

/** The sheet of the starter dish in the first kitchen, with a component drawn over it. */
async function sheetOf(
  kitchen: Kitchen = FIRST_KITCHEN,
  draw?: (state: MeasureSheet) => Promise<ReturnType<typeof h>>,
) {
  const { useMeasureSheet } = await import('../../composables/measureSheet')
  let state: MeasureSheet | null = null
  const drawn = ref<ReturnType<typeof h> | null>(null)
  const wrapper = mount(
    defineComponent({
      setup() {
        state = useMeasureSheet({
          kitchen: ref(kitchen),
          dishes: ref(STARTER_DISHES),
          evidence: ref([]),
          ingredients: INGREDIENTS,
        })
        return () => drawn.value
      },
    }),
  )
  state!.open(dish.id)
  await eventually(() => expect(state!.forecast.value).not.toBeNull())
  if (draw) drawn.value = await draw(state!)
  await nextTick()
  return { state: state! as MeasureSheet, wrapper }
}

describe('the shelf of amounts', () => {
  const shelf = (baseG = 250) => mount(AmountShelf, {
    props: {
      rows: measuredAmounts(dish, baseG, INGREDIENTS, cup, [{ id: 'tsp', name: 'Teaspoon', volumeMl: 5 }]),
      base: dish.base,
      family: dish.family,
      cup,
      open: null,
      adding: false,
    },
  })

  it('says every amount in the household\'s glass and in grams, and the parts', () => {
    const text = shelf().text()
    expect(text).toContain('2 glasses')
    expect(text).toContain('250 g')
    expect(text).toContain('2 : 1¼ : 1¾ : 5¾ : ½')
    expect(text).toContain('One glass is your verandah glass, 180 ml.')
    expect(text).toMatch(/Cardamom\s*¾ teaspoon/)
  })

  it('gives the new weight when a level is moved', async () => {
    const drawn = shelf()
    await drawn.findAll('[role="slider"]')[1]!.trigger('keydown', { key: 'ArrowUp' })
    const [id, massG] = drawn.emitted('change')![0] as [string, number]
    expect(id).toBe('ghee')
    expect(massG).toBeCloseTo(1.5 * 180 * 0.89, 6)
  })
})

describe('a sheet', () => {
  it('opens on what there is, and makes a plan and a forecast of it', async () => {
    const { state } = await sheetOf()
    expect(state.sheet.value).toMatchObject({
      dish,
      baseG: 250,
      cup: 'cup',
      pan: 'pan',
      pot: 'pot',
      fire: 'front',
      otherFire: 'back',
    })
    expect(state.plan.value!.amounts[0]!.massG).toBe(250)
    expect(state.dishYield.value!.servings).toBeGreaterThan(8)
    expect(state.account.value!.toPourG).toBeCloseTo(1050)
    expect(state.canUndo.value).toBe(false)
  })

  it('is kept on the device, and undone in one step a change', async () => {
    const { state } = await sheetOf()
    state.set({ baseG: 300 })
    state.undo()
    expect(state.sheet.value!.baseG).toBe(250)
    state.set({ baseG: 310 }, true)
    state.set({ baseG: 320 }, true)
    await new Promise(done => setTimeout(done, 300))
    expect(state.canUndo.value).toBe(true)
    state.undo()
    expect(state.sheet.value!.baseG).toBe(250)
    state.set({ baseG: 400 })
    await new Promise(done => setTimeout(done, 200))
    setActivePinia(createPinia())
    const again = await sheetOf()
    expect(again.state.sheet.value!.baseG).toBe(400)
  })

  it('forgets a thing that is no longer on the shelf, and a store of rubbish', async () => {
    localStorage.setItem(
      'yon-hearth.sheet',
      JSON.stringify({
        dish,
        baseG: 180,
        cup: 'gone',
        pan: 'gone',
        pot: 'pot',
        fire: 'front',
        otherFire: 'back',
        marks: {},
      }),
    )
    const { state } = await sheetOf()
    expect(state.sheet.value).toMatchObject({ baseG: 180, cup: 'cup', pan: 'pan' })
    localStorage.setItem('yon-hearth.sheet', '{"baseG":"much"')
    setActivePinia(createPinia())
    expect((await sheetOf()).state.sheet.value!.baseG).toBe(250)
  })

  it('takes another flame for the roast only if the fire has it', async () => {
    const { state } = await sheetOf()
    state.set({ marks: { roast: 'm5' } })
    expect(state.plan.value!.flames.roast).toBe('m5')
    state.set({ marks: { roast: 'm77' } })
    expect(state.plan.value!.flames.roast).toBe('m3')
  })
})

describe('what comes of it', () => {
  const comes = async (state: MeasureSheet, kitchen: Kitchen = FIRST_KITCHEN) =>
    h((await import('./DishYieldPanel.vue')).default, {
      state,
      pans: kitchen.pans,
      fires: kitchen.fires,
      currency: 'cr',
    })

  it('tells yield, pan fit, times and what the forecast rests on', async () => {
    const { wrapper } = await sheetOf(FIRST_KITCHEN, comes)
    expect(wrapper.text()).toMatch(/1.[67]\d\d g/)
    expect(wrapper.text()).toMatch(/it rises to \d+ of 75 mm/)
    expect(wrapper.text()).toMatch(/pour \d+–\d+ min/)
    expect(wrapper.text()).toContain('Rests on first guesses')
    expect(wrapper.text()).not.toContain('scratches')
    expect(wrapper.text()).toMatch(/Servings\s*9 of 190 g/)
    expect(wrapper.text()).toMatch(/Allergens\s*wheat, milk, cashew/)
  })

  it('warns where coarse grain meets a coated pan, and where the flame runs away', async () => {
    const coated: Kitchen = { ...FIRST_KITCHEN, pans: FIRST_KITCHEN.pans.map(one => ({ ...one, coated: true })) }
    const { wrapper, state } = await sheetOf(coated, state => comes(state, coated))
    expect(wrapper.text()).toContain('scratches a coated pan')
    state.set({ marks: { roast: 'm6' } })
    await eventually(() => expect(wrapper.text()).toContain('This flame runs away'))
  })
})
