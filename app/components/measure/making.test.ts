import { mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { FIRST_KITCHEN } from '../../../book/firstKitchen'
import type { DishCard } from '../../../core/formulation/dish/dish'
import { INGREDIENTS } from '../../../book/ingredients'
import { withFreeShare } from '../../../core/formulation/dish/freeShare'
import { stageDish } from '../../../core/formulation/stages/stageDish'
import { troublesOf } from '../../../core/formulation/dish/troublesOf'
import { button, dishOf } from '../../../test/support/measuring'
import { rowOf, starterPlan } from '../../../test/support/plans'
import { withChoices as global } from '../../../test/support/choiceStub'
import { useIngredients } from '../../stores/ingredients'
import BuyAndPrepare from './BuyAndPrepare.vue'
import SchoolChoices from './SchoolChoices.vue'
import StageList from './StageList.vue'
import SyrupFacts from './SyrupFacts.vue'

const cup = FIRST_KITCHEN.measures.find(one => one.kind === 'cup')!

describe('the school', () => {
  const school = (card: DishCard) => mount(SchoolChoices, { props: { card, troubles: troublesOf(card) }, global })

  it('asks what this dish can be asked', () => {
    const asks = (id: string) => school(dishOf(id)).findAll('select').map(one => one.attributes('aria-label'))
    expect(asks('sweet-water-semolina')).toContain('Liquid and base')
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

describe('the syrup of a dish', () => {
  const facts = (id: string, altitudeM = 0) => mount(SyrupFacts, { props: { plan: starterPlan(id, { altitudeM }) } })

  it('is told by thermometer and scale, and what keeps it from grain', () => {
    const text = facts('diamond-cashew').text()
    expect(text).toMatch(/78 % sugar: 1[01]\d °C by your thermometer/)
    expect(text).toMatch(/ g with .* on the scale/)
    expect(text).toContain('returns to grain easily')
  })

  it('boils cooler where the air is thin', () => {
    const degrees = (altitudeM: number): number =>
      Number(
        facts('diamond-cashew', altitudeM)
          .text()
          .match(/(\d+) °C/)![1],
      )
    expect(degrees(2000)).toBeLessThan(degrees(0) - 4)
  })

  it('is left out where none is boiled', () => {
    expect(facts('sweet-water-semolina').find('section').exists()).toBe(false)
  })
})

describe('the stages', () => {
  it.each(STARTER_DISHES.map(dish => dish.id))('%s is told in words and weights, with nothing unnamed', (id) => {
    const dish = stageDish(dishOf(id))
    const text = mount(StageList, { props: { dish, baseG: 200, cup } }).text()
    expect(text).toContain('At the fire')
    expect(text).not.toMatch(/undefined|NaN|\[object/)
    expect(mount(StageList, { props: { dish, baseG: 200, cup } }).findAll('li')).toHaveLength(dish.stages.length)
  })

  it('say what goes in, what ends it, what looks wrong and is not, and the caution', async () => {
    await useIngredients().load()
    const text = mount(StageList, {
      props: { dish: stageDish(dishOf('first-offering-semolina')), baseG: 200, cup },
    }).text()
    expect(text).toContain('sugar · 250 g')
    expect(text).toContain('until tightened again')
    expect(text).toContain('It runs again when the sugar goes in')
    expect(text).toContain('When you pour')
    expect(text).toContain('share apart')
    const named = withFreeShare(
      stageDish(dishOf('first-offering-semolina')),
      id => INGREDIENTS.find(row => row.id === id)!.allergens,
    )
    expect(mount(StageList, { props: { dish: named, baseG: 200, cup } }).text()).toContain('share without almonds')
  })
})

describe('getting ready and buying', () => {
  const buy = (id: string, baseG = 250, store = FIRST_KITCHEN.store) =>
    mount(BuyAndPrepare, {
      props: { card: dishOf(id), baseG, rowOf, store, today: 20_000, fire: FIRST_KITCHEN.fires[0]! },
    })

  it('tells what to buy for what is needed peeled, in pieces too', () => {
    expect(buy('garden-wall-gourd', 780).text()).toMatch(
      /Bottle gourd: 1.000 g as bought, about 1 gourd of middling size give 780 g ready/,
    )
  })

  it('tells soaking, grinding, and thickening milk with its minutes on the fire', () => {
    const text = buy('long-spoon-mung').text()
    expect(text).toMatch(/Soak 260 g split mung, skinned: it drains to about 530 g; ground, 51\d g reach the pan/)
    expect(text).toMatch(
      /Thickened milk: 315 g of milk give 63 g; on front fire at low-middle that takes about \d+ to \d+ minutes/,
    )
  })

  it('puts a surplus of flour into the store', async () => {
    const drawn = buy('granary-chickpea', 100)
    expect(drawn.text()).toContain('A grinder turns no less than 200 g')
    await button(drawn, 'Put them in the store').trigger('click')
    const [id, massG] = drawn.emitted('surplus')![0] as [string, number]
    expect(id).toBe('chana-split')
    expect(massG).toBeGreaterThan(50)
  })

  it('counts what is in the house', async () => {
    const store = [{ id: 's', ingredient: 'ghee', massG: 400, gotOn: 19_990, openedOn: null, useBy: null }]
    const row = async (wrapper: ReturnType<typeof buy>) => {
      const found = () => wrapper.findAll('tr').find(one => one.text().includes('Ghee'))
      await vi.waitFor(() => expect(found()).toBeDefined())
      return found()!.text()
    }
    expect(await row(buy('brick-kiln-wheat', 200))).toMatch(/2\s×\s200\sg/)
    expect(await row(buy('brick-kiln-wheat', 200, store))).toContain('enough')
  })
})
