import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { FIRST_KITCHEN } from '../../../book/firstKitchen'
import { INGREDIENTS } from '../../../book/ingredients'
import { SWAPS } from '../../../book/swaps'
import { whatComes } from '../../../core/comes/whatComes'
import type { DishCard } from '../../../core/dish/dish'
import { stageDish } from '../../../core/dish/stageDish'
import { troublesOf } from '../../../core/dish/troublesOf'
import { liquidAccount } from '../../../core/proportions/liquidAccount'
import { measuredAmounts } from '../../../core/proportions/measuredAmounts'
import { rowOf } from '../../../test/support/plans'
import { withChoices as global } from '../../../test/support/choiceStub'
import BuyAndPrepare from './BuyAndPrepare.vue'
import CorrectionForm from './CorrectionForm.vue'
import IngredientPanel from './IngredientPanel.vue'
import LiquidBar from './LiquidBar.vue'
import OwnedScales from './OwnedScales.vue'
import SayBar from './SayBar.vue'
import SchoolChoices from './SchoolChoices.vue'
import ServingFacts from './ServingFacts.vue'
import StageList from './StageList.vue'
import SwapList from './SwapList.vue'

const dishOf = (id: string): DishCard => STARTER_DISHES.find(dish => dish.id === id)!
const [cup] = FIRST_KITCHEN.measures
const amountOf = (dish: DishCard, id: string, baseG = 250) => measuredAmounts(dish, baseG, INGREDIENTS, cup!, []).find(one => one.id === id)!
const nameOf = (id: string): string => id
const button = (wrapper: ReturnType<typeof mount>, text: string) => wrapper.findAll('button').find(one => one.text().includes(text))!

describe('what is said to make it from', () => {
  const bar = (answer: { baseG: number, heard: string } | { trouble: string } | null) => {
    const said: string[] = []
    const wrapper = mount(SayBar, {
      props: {
        cup: cup!, cups: [cup!], canUndo: false, say: (text) => {
          said.push(text)
          return answer
        },
      }, global,
    })
    return { wrapper, said }
  }

  it('is handed on as it was typed, and what was understood is told', async () => {
    const { wrapper, said } = bar({ baseG: 930, heard: 'From 930 g of pumpkin, ready to go in.' })
    await wrapper.get('#say').setValue('930 g pumpkin, peeled')
    await wrapper.get('form').trigger('submit')
    expect(said).toEqual(['930 g pumpkin, peeled'])
    expect(wrapper.get('[role="status"]').text()).toContain('From 930 g of pumpkin')
  })

  it('stays where it was typed when it is refused', async () => {
    const { wrapper } = bar({ trouble: 'Not understood. Nothing was changed.' })
    await wrapper.get('#say').setValue('much')
    await wrapper.get('form').trigger('submit')
    expect(wrapper.get('[role="alert"]').text()).toContain('Nothing was changed')
    expect((wrapper.get('#say').element as HTMLInputElement).value).toBe('much')
  })

  it('asks for own marks, another cup, and taking back', async () => {
    const { wrapper } = bar(null)
    await button(wrapper, 'On my marks').trigger('click')
    expect(wrapper.emitted('owned')).toHaveLength(1)
    expect(button(wrapper, 'Undo').attributes('disabled')).toBeDefined()
    await wrapper.setProps({ canUndo: true })
    await button(wrapper, 'Undo').trigger('click')
    expect(wrapper.emitted('undo')).toHaveLength(1)
    await wrapper.get('select').trigger('change')
    expect(wrapper.emitted('cup')).toEqual([[cup!.id]])
  })
})

describe('the liquid bar', () => {
  it('says the total, what is taken, what comes with the food, and what is still to pour', () => {
    const account = liquidAccount(dishOf('threshing-floor-wheat'), 200, rowOf)
    const text = mount(LiquidBar, { props: { account, nameOf, hold: true } }).text()
    expect(text).toContain('still to pour 745 g')
    expect(text).toContain('77 g melts the jaggery')
    expect(text).toContain('25 g comes with the jaggery')
  })

  it('warns where more is taken than there is, and tells whether the total is held', async () => {
    const account = { ...liquidAccount(dishOf('threshing-floor-wheat'), 200, rowOf), overdrawn: true }
    const drawn = mount(LiquidBar, { props: { account, nameOf, hold: true } })
    expect(drawn.text()).toContain('More water is taken')
    await drawn.get('input').setValue(false)
    expect(drawn.emitted('hold')).toEqual([[false]])
  })

  it('has no plain water to pour where there is none', () => {
    const account = liquidAccount(dishOf('milk-morning-semolina'), 200, rowOf)
    expect(mount(LiquidBar, { props: { account, nameOf, hold: false } }).text()).not.toContain('still to pour')
  })
})

describe('the serving', () => {
  const dish = dishOf('sweet-water-semolina')

  it('tells servings, sweetness warm and cold, and how the fat shows', () => {
    const text = mount(ServingFacts, { props: { comes: whatComes(dish, 250, rowOf), part: 'first', currency: '' } }).text()
    expect(text).toMatch(/Servings\s*9 of 190 g/)
    expect(text).toMatch(/16 % sugar warm, 16 % cold/)
    expect(text).toContain('held in the mass')
  })

  it('tells what it holds with its uncertainty, allergens, and cost with what has no price', () => {
    const text = mount(ServingFacts, { props: { comes: whatComes(dish, 250, rowOf, [{ id: 'ghee', pricePerKg: 600 }]), part: 'rest', currency: 'cr' } }).text()
    expect(text).toMatch(/kJ \(\d+ kcal\)/)
    expect(text).toContain('not medical advice')
    expect(text).toContain('wheat, milk, cashew')
    expect(text).toMatch(/117 cr, 13 cr each/)
    expect(text).toContain('no price yet')
  })

  it('says nothing of cost without prices', () => {
    expect(mount(ServingFacts, { props: { comes: whatComes(dish, 250, rowOf), part: 'rest', currency: 'cr' } }).text()).not.toContain('Cost')
  })
})

describe('an ingredient looked at closely', () => {
  const dish = dishOf('milk-morning-semolina')
  const panel = (id: string, more = {}) => mount(IngredientPanel, {
    props: { swaps: SWAPS, amount: amountOf(dish, id), card: dish, baseG: 250, rowOf, cup: cup!, measures: FIRST_KITCHEN.measures, correction: null, currency: 'cr', ...more }, global,
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
    const poor = { ...dishOf('winter-market-carrot'), ingredients: dishOf('winter-market-carrot').ingredients.map(one => (one.part === 'sugar' ? { ...one, perBase: 0.01 } : one)) }
    expect(list('milk', poor).text()).toContain('cannot be kept')
  })

  it('are not offered for what has none', () => {
    expect(list('saffron').text()).toBe('')
  })
})

describe('a correction', () => {
  const form = (id: string, correction: Parameters<typeof mount>[1] extends undefined ? never : null | { id: string, bulkDensity?: number, pricePerKg?: number } = null) =>
    mount(CorrectionForm, { props: { row: rowOf(id), cup: cup!, correction, currency: 'cr' } })
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
    expect(drawn.emitted('correct')).toEqual([[{ id: 'pear', bulkDensity: 0.55 }], [{ id: 'pear', pieceG: 180 }], [{ id: 'pear', prepared: 0.8 }], [{ id: 'pear', pricePerKg: 90 }]])
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

describe('the school', () => {
  const school = (card: DishCard) => mount(SchoolChoices, { props: { card, troubles: troublesOf(card) }, global })

  it('asks what this dish can be asked', () => {
    const asks = (id: string) => school(dishOf(id)).findAll('select').map(one => one.attributes('aria-label'))
    expect(asks('sweet-water-semolina')).toContain('Poured')
    expect(asks('sweet-water-semolina')).not.toContain('Cooked')
    expect(asks('winter-market-carrot')).toEqual(expect.arrayContaining(['Cooked', 'Grated']))
    expect(asks('winter-market-carrot')).not.toContain('Roast')
    expect(asks('long-spoon-mung')).toContain('Got ready as')
  })

  it('gives what is chosen', async () => {
    const drawn = school(dishOf('winter-market-carrot'))
    await drawn.get('[aria-label="Grated"]').setValue('false')
    await drawn.get('[aria-label="Cooked"]').setValue('pressure')
    expect(drawn.emitted('choose')).toEqual([[{ lots: false }], [{ cooking: 'pressure' }]])
  })

  it('says why it cannot work and takes the offer', async () => {
    const dish = dishOf('sweet-water-semolina')
    const drawn = school({ ...dish, choices: { ...dish.choices, cooking: 'pressure' } })
    expect(drawn.get('[role="alert"]').text()).toContain('can block the valve')
    await button(drawn, 'cooked in the open pan').trigger('click')
    expect(drawn.emitted('choose')).toEqual([[{ cooking: 'open' }]])
  })
})

describe('the stages', () => {
  it.each(STARTER_DISHES.map(dish => dish.id))('%s is told in words and weights, with nothing unnamed', (id) => {
    const dish = stageDish(dishOf(id))
    const text = mount(StageList, { props: { dish, baseG: 200, nameOf } }).text()
    expect(text).toContain('At the fire')
    expect(text).not.toMatch(/undefined|NaN|\[object/)
    expect(mount(StageList, { props: { dish, baseG: 200, nameOf } }).findAll('li')).toHaveLength(dish.stages.length)
  })

  it('say what goes in, what ends it, what looks wrong and is not, and the caution', () => {
    const text = mount(StageList, { props: { dish: stageDish(dishOf('first-offering-semolina')), baseG: 200, nameOf } }).text()
    expect(text).toContain('250 g sugar')
    expect(text).toContain('until tightened again')
    expect(text).toContain('It runs again when the sugar goes in')
    expect(text).toContain('When you pour')
    expect(text).toContain('nut-free share')
  })
})

describe('getting ready and buying', () => {
  const buy = (id: string, baseG = 250, store = FIRST_KITCHEN.store) => mount(BuyAndPrepare, { props: { card: dishOf(id), baseG, rowOf, store, today: 20_000, fire: FIRST_KITCHEN.fires[0]! } })

  it('tells what to buy for what is needed peeled, in pieces too', () => {
    expect(buy('garden-wall-gourd', 780).text()).toMatch(/Bottle gourd: 1.000 g as bought, about 1 gourd of middling size give 780 g ready/)
  })

  it('tells soaking, grinding, and thickening milk with its minutes on the fire', () => {
    const text = buy('long-spoon-mung').text()
    expect(text).toMatch(/Soak 260 g split mung, skinned: it drains to about 530 g; ground, 51\d g reach the pan/)
    expect(text).toMatch(/Thickened milk: 315 g of milk give 63 g; on front fire at low-middle that takes about \d+ to \d+ minutes/)
  })

  it('puts a surplus of flour into the store', async () => {
    const drawn = buy('granary-chickpea', 100)
    expect(drawn.text()).toContain('A grinder turns no less than 200 g')
    await button(drawn, 'Put them in the store').trigger('click')
    const [id, massG] = drawn.emitted('surplus')![0] as [string, number]
    expect(id).toBe('chana-split')
    expect(massG).toBeGreaterThan(50)
  })

  it('counts what is in the house', () => {
    const store = [{ id: 's', ingredient: 'ghee', massG: 400, gotOn: 19_990, openedOn: null, useBy: null }]
    const row = (wrapper: ReturnType<typeof buy>) => wrapper.findAll('tr').find(one => one.text().startsWith('Ghee'))!.text()
    expect(row(buy('brick-kiln-wheat', 200))).toContain('2 × 200 g')
    expect(row(buy('brick-kiln-wheat', 200, store))).toContain('enough')
  })
})

describe('own marks', () => {
  const dish = dishOf('brick-kiln-wheat')
  const offers = (measures = FIRST_KITCHEN.measures) => mount(OwnedScales, { props: { rows: measuredAmounts(dish, 237, INGREDIENTS, cup!, []), base: dish.base, measures } })

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
    expect(offers([{ ...cup!, volumeMl: 4999 }]).text()).toContain('Nothing near lands on the marks')
  })
})
