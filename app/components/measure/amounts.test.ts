import { nextTick } from 'vue'
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { FIRST_KITCHEN } from '../../../book/firstKitchen'
import { INGREDIENTS } from '../../../book/ingredients'
import { SWAPS } from '../../../book/swaps'
import type { DishCard } from '../../../core/formulation/dish/dish'
import { measuredAmounts } from '../../../core/formulation/proportions/measuredAmounts'
import { amountOf, button, cup, dishOf } from '../../../test/support/measuring'
import { rowOf } from '../../../test/support/plans'
import { withChoices as global } from '../../../test/support/choiceStub'
import CorrectionForm from './CorrectionForm.vue'
import IngredientPanel from './IngredientPanel.vue'
import OwnedScales from './OwnedScales.vue'
import SayBar from './SayBar.vue'
import SwapList from './SwapList.vue'

describe('what is said to make it from', () => {
  const bar = (answer: { baseG: number, heard: string } | { trouble: string } | null) => {
    const said: string[] = []
    const wrapper = mount(SayBar, {
      props: {
        cup: cup, cups: [cup], canUndo: false, stamp: null, say: (text) => {
          said.push(text)
          return answer
        },
      }, global,
    })
    return { wrapper, said }
  }

  it('is handed on as it was typed, and what was understood is told', async () => {
    const { wrapper, said } = bar({ baseG: 930, heard: 'From 930 g of pumpkin, ready to go in.' })
    await nextTick()
    await wrapper.get('#say').setValue('930 g pumpkin, peeled')
    await wrapper.get('form').trigger('submit')
    expect(said).toEqual(['930 g pumpkin, peeled'])
    expect(wrapper.get('[role="status"]').text()).toContain('From 930 g of pumpkin')
  })

  it('stays where it was typed when it is refused', async () => {
    const { wrapper } = bar({ trouble: 'Not understood. Nothing was changed.' })
    await nextTick()
    await wrapper.get('#say').setValue('much')
    await wrapper.get('form').trigger('submit')
    expect(wrapper.get('[role="alert"]').text()).toContain('Nothing was changed')
    expect((wrapper.get('#say').element as HTMLInputElement).value).toBe('much')
  })

  it('is told no longer once the sheet is another: taken back, kept, or swapped', async () => {
    const { wrapper } = bar({ baseG: 930, heard: 'From 930 g of pumpkin, ready to go in.' })
    await nextTick()
    await wrapper.get('#say').setValue('930 g pumpkin')
    await wrapper.get('form').trigger('submit')
    await nextTick()
    expect(wrapper.text()).toContain('From 930 g of pumpkin')
    await wrapper.setProps({ stamp: {} })
    expect(wrapper.text()).not.toContain('From 930 g of pumpkin')
  })

  it('asks for own marks, another cup, and taking back', async () => {
    const { wrapper } = bar(null)
    await button(wrapper, 'On my marks').trigger('click')
    expect(wrapper.emitted('owned')).toHaveLength(1)
    expect(button(wrapper, 'Undo').attributes('disabled')).toBeDefined()
    await wrapper.setProps({ canUndo: true, stamp: null })
    await button(wrapper, 'Undo').trigger('click')
    expect(wrapper.emitted('undo')).toHaveLength(1)
    await wrapper.get('select').trigger('change')
    expect(wrapper.emitted('cup')).toEqual([[cup.id]])
  })
})

describe('an ingredient looked at closely', () => {
  const dish = dishOf('milk-morning-semolina')
  const panel = (id: string, more = {}) =>
    mount(IngredientPanel, {
      props: {
        swaps: SWAPS,
        amount: amountOf(dish, id),
        card: dish,
        baseG: 250,
        rowOf,
        cup: cup,
        measures: FIRST_KITCHEN.measures,
        correction: null,
        currency: 'cr',
        follows: true,
        ...more,
      },
      global,
    })

  it('takes an amount as cooks speak', async () => {
    const drawn = panel('sugar')
    await drawn.get('.typed input').setValue('1 1/2 cup')
    await drawn.get('.typed').trigger('submit')
    expect(drawn.emitted('change')![0]![0]).toBeCloseTo(1.5 * 240 * 0.83)
  })

  it.each([['much', 'not understood'], ['0 g', 'is nothing'], ['10 kg', null]])('answers %j', async (text, refused) => {
    const drawn = panel('sugar')
    await drawn.get('.typed input').setValue(text)
    await drawn.get('.typed').trigger('submit')
    if (refused === null) expect(drawn.emitted('change')).toHaveLength(1)
    else expect(drawn.find('[role="alert"]').text()).toContain(refused)
  })

  it('will not be drowned in spice', async () => {
    const drawn = panel('saffron')
    await drawn.get('.typed input').setValue('100 g')
    await drawn.get('.typed').trigger('submit')
    expect(drawn.emitted('change')).toBeUndefined()
    expect(drawn.find('[role="alert"]').text()).toContain('would drown everything else')
  })

  it('can be left out, unless it is the base; tells its origin and allergens', async () => {
    const milk = panel('milk')
    await button(milk, 'Leave it out').trigger('click')
    expect(milk.emitted('out')).toHaveLength(1)
    expect(milk.text()).toContain('Indian Food Composition Tables 2017')
    expect(milk.text()).toContain('Carries milk')
    expect(panel('semolina').findAll('button').some(one => one.text() === 'Leave it out')).toBe(false)
  })
})

describe('swaps', () => {
  const dish = dishOf('milk-morning-semolina')
  const list = (id: string, card = dish) => mount(SwapList, { props: { swaps: SWAPS, id, card, baseG: 250, rowOf } })

  it('are shown with what each changes, before any is taken', () => {
    const text = list('milk').text()
    expect(text).toContain('whole milk powder')
    expect(text).toMatch(/\d+ g whole milk powder/)
    expect(text).toContain('Whisk the powder into the water first.')
  })

  it('give the dish after it', async () => {
    const drawn = list('milk')
    await button(drawn, 'whole milk powder').trigger('click')
    const [after] = drawn.emitted('swap')![0] as [DishCard]
    expect(after.ingredients.map(one => one.ingredient)).toContain('milk-powder')
    expect(after.ingredients.map(one => one.ingredient)).not.toContain('milk')
    expect(after.choices.liquid).toBe('water')
  })

  it('say what cannot be kept', () => {
    const poor = {
      ...dishOf('winter-market-carrot'),
      ingredients: dishOf('winter-market-carrot').ingredients.map(one =>
        one.part === 'sugar' ? { ...one, perBase: 0.01 } : one,
      ),
    }
    expect(list('milk', poor).text()).toContain('cannot be kept')
  })

  it('are not offered for what has none', () => {
    expect(list('saffron').text()).toBe('')
  })
})

describe('a correction', () => {
  const form = (
    id: string,
    correction: Parameters<typeof mount>[1] extends undefined
      ? never
      : null | { id: string, bulkDensity?: number, pricePerKg?: number } = null,
  ) => mount(CorrectionForm, { props: { row: rowOf(id), cup: cup, correction, currency: 'cr', follows: true } })
  async function type(wrapper: ReturnType<typeof form>, label: string, text: string): Promise<void> {
    const input = wrapper.findAll('label').find(one => one.text().startsWith(label))!.get('input')
    await input.setValue(text)
  }

  it('is a weighed cup, a piece, a share left, a price', async () => {
    const drawn = form('pear')
    await type(drawn, 'A full cup', '132')
    await type(drawn, 'One pear', '180')
    await type(drawn, 'Left when ready', '80')
    await type(drawn, 'Price of a kg', '90')
    expect(drawn.emitted('correct')).toEqual([
      [{ id: 'pear', weighings: [{ at: expect.any(Number) as number, volumeMl: cup.volumeMl, massG: 132 }] }],
      [{ id: 'pear', pieceG: 180 }],
      [{ id: 'pear', prepared: 0.8 }],
      [{ id: 'pear', pricePerKg: 90 }],
    ])
  })

  it('is refused where no food could weigh so, and keeps what was typed', async () => {
    const drawn = form('sugar')
    await type(drawn, 'A full cup', '4000')
    expect(drawn.emitted('correct')).toBeUndefined()
    expect(drawn.get('[role="alert"]').text()).toContain('Nothing was changed')
    await type(drawn, 'Price of a kg', '-3')
    expect(drawn.emitted('correct')).toBeUndefined()
  })

  it('can be forgotten; the price stays', async () => {
    const drawn = form('sugar', { id: 'sugar', bulkDensity: 0.9, pricePerKg: 46 })
    await button(drawn, 'Back to the table').trigger('click')
    expect(drawn.emitted('correct')).toEqual([[{ id: 'sugar', pricePerKg: 46 }]])
  })

  it('says where the number comes from', () => {
    expect(form('sugar').text()).toContain('from a table: 195–205 g in a 240 ml cup')
    expect(form('gram-flour-fine').text()).toContain('an estimate')
  })
})

describe('own marks', () => {
  const dish = dishOf('brick-kiln-wheat')
  const offers = (measures = FIRST_KITCHEN.measures) =>
    mount(OwnedScales, { props: { rows: measuredAmounts(dish, 237, INGREDIENTS, cup, []), base: dish.base, measures } })

  it('offer at most three scales with how far proportions are off, and give the one that is taken', async () => {
    const drawn = offers()
    const cards = drawn.findAll('.offer')
    expect(cards.length).toBeGreaterThan(0)
    expect(cards.length).toBeLessThanOrEqual(3)
    expect(cards[0]!.text()).toMatch(/proportions (kept|off by at most [\d.]+ %)/)
    await cards[0]!.trigger('click')
    const [amounts] = drawn.emitted('take')![0] as [Record<string, number>]
    expect(Object.keys(amounts).sort()).toEqual(dish.ingredients.map(one => one.id).sort())
  })

  it('say where nothing lands on a mark', () => {
    expect(offers([{ ...cup, volumeMl: 4999 }]).text()).toContain('Nothing near lands on the marks')
  })
})
