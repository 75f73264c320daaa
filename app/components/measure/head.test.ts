import { mount, RouterLinkStub } from '@vue/test-utils'
import { computed, ref, shallowRef } from 'vue'
import { describe, expect, it } from 'vitest'
import type { MeasureSheet } from '../../composables/measureSheet'
import { stageDish } from '../../../core/formulation/stages/stageDish'
import { troublesOf } from '../../../core/formulation/dish/troublesOf'
import { withChoices as global } from '../../../test/support/choiceStub'
import { button, dishOf, nameOf } from '../../../test/support/measuring'
import { rowOf } from '../../../test/support/plans'
import DishHead from './DishHead.vue'
import HowItIsMade from './HowItIsMade.vue'
import SchoolChoices from './SchoolChoices.vue'

const carrot = dishOf('winter-market-carrot')

describe('the head of a sheet', () => {
  const head = (changed: boolean, ours = false) =>
    mount(DishHead, {
      props: { id: carrot.id, name: carrot.name, school: 'Grated vegetables: milk', changed, ours },
      global: { stubs: { NuxtLink: RouterLinkStub } },
    })

  it('names the dish and the school it is cooked in, and leads to its card', () => {
    const drawn = head(false)
    expect(drawn.get('h1').text()).toBe(carrot.name)
    expect(drawn.text()).toContain('Grated vegetables: ')
    expect(drawn.getComponent(RouterLinkStub).props('to')).toBe(`/card/${carrot.id}`)
  })

  it('offers to keep a change, and only a change', async () => {
    expect(head(false).findAll('button')).toEqual([])
    const drawn = head(true)
    await button(drawn, 'Keep the change').trigger('click')
    await button(drawn, 'as a dish of ours').trigger('click')
    expect(drawn.emitted()).toMatchObject({ keep: [[]], own: [[]] })
    // A dish of ours makes no twin of itself.
    expect(head(true, true).text()).not.toContain('as a dish of ours')
  })
})

describe('how it is made', () => {
  function holding(card = carrot) {
    const held = shallowRef(card)
    const troubles = computed(() => troublesOf(held.value))
    const state = {
      card: held, troubles, rowOf, sheet: ref({ baseG: 900 }), fire: ref(null), cup: ref(null),
      dish: computed(() => (troubles.value.length === 0 ? stageDish(held.value) : null)),
    } as unknown as MeasureSheet
    return { held, drawn: mount(HowItIsMade, { props: { state, store: [], today: 20_000, nameOf }, global }) }
  }
  const tab = (drawn: ReturnType<typeof made>, name: string) =>
    drawn
      .findAll('[role="tab"]')
      .find(one => one.text().startsWith(name))!
      .trigger('click')
  const made = (card = carrot) => holding(card).drawn

  it('shows the school first, then the stages or what to get ready, one at a time', async () => {
    const drawn = made()
    const shown = (): boolean[] => ['.school', '.stages'].map(place => drawn.find(place).exists())
    expect(shown()).toEqual([true, false])
    await tab(drawn, 'Its stages')
    expect(shown()).toEqual([false, true])
    await tab(drawn, 'Get ready')
    expect(shown()).toEqual([false, false])
    expect(drawn.findAll('[role="tab"][aria-selected="true"]').map(one => one.text())).toEqual(['Get ready and buy'])
  })

  it('passes a changed choice on', async () => {
    const drawn = made()
    await drawn
      .get('[aria-label="Finished"]')
      .setValue(drawn.findAll('[aria-label="Finished"] option').at(-1)!.attributes('value')!)
    expect(drawn.emitted('choose')).toHaveLength(1)
  })

  it('is not drawn again while only amounts move, and is once the school does', async () => {
    const { drawn, held } = holding()
    const school = drawn.getComponent(SchoolChoices)
    const before = school.props('card')
    held.value = { ...carrot, ingredients: carrot.ingredients.map(one => ({ ...one, perBase: one.perBase * 1.01 })) }
    await drawn.vm.$nextTick()
    expect(school.props('card')).toBe(before)
    held.value = { ...carrot, choices: { ...carrot.choices, roast: 'golden' } }
    await drawn.vm.$nextTick()
    expect(school.props('card')).toBe(held.value)
    held.value = { ...held.value, ingredients: held.value.ingredients.filter(one => one.part !== 'nuts') }
    await drawn.vm.$nextTick()
    expect(school.props('card')).toBe(held.value)
  })

  it('says what cannot work whatever is open, and shows no stages of it', async () => {
    const impossible = {
      ...carrot,
      choices: { ...carrot.choices, liquid: 'milk' as const, preparation: 'raw-paste' as const },
    }
    expect(troublesOf(impossible).length).toBeGreaterThan(0)
    const drawn = made(impossible)
    await tab(drawn, 'Its stages')
    expect(drawn.get('[role="alert"]').text()).toContain('This cannot work')
    expect(drawn.find('.stages').exists()).toBe(false)
  })
})
