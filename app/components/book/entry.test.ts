import { mount, RouterLinkStub } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { INGREDIENTS } from '../../../book/ingredients'
import { DishVersionSchema, type DishVersion } from '../../../contracts/dish'
import DishEntry from './DishEntry.vue'

const dish = STARTER_DISHES[0]!
const base = INGREDIENTS.find(row => row.id === dish.ingredients.find(one => one.id === dish.base)!.ingredient)!
const version = (number: number): DishVersion => DishVersionSchema.parse({ version: number, name: dish.name, createdAt: 1e12 + number, dish: { ...dish, version: number } })
const entry = (more: Partial<InstanceType<typeof DishEntry>['$props']> = {}) => mount(DishEntry, {
  props: { dish, base, times: { before: 0, fire: 34 }, missing: [], open: false, versions: [], aside: false, ...more },
  global: { stubs: { NuxtLink: RouterLinkStub } },
})
const press = (drawn: ReturnType<typeof entry>, text: string) => drawn.findAll('button').find(one => one.text().includes(text))!.trigger('click')

describe('an entry of the book', () => {
  it('leads to its sheet and says how long it takes', () => {
    const drawn = entry({ times: { before: 200, fire: 34.4 } })
    expect(drawn.getComponent(RouterLinkStub).props('to')).toBe(`/measure?dish=${dish.id}`)
    expect(drawn.text()).toContain('3.5 h to get ready, 34 min at the fire')
    expect(entry().text()).not.toContain('to get ready')
  })

  it('names what is missing where that is little, and nothing where it is nearly all', () => {
    expect(entry({ missing: ['ghee', 'milk'] }).text()).toContain('not in the house: ghee, milk')
    expect(entry({ missing: ['a', 'b', 'c', 'd', 'e'] }).text()).not.toContain('in the house')
    expect(entry().text()).toContain('all in the house')
  })

  it('offers everything that can be done with it only while it is open', async () => {
    expect(entry().findAll('button')).toHaveLength(1)
    const drawn = entry({ open: true })
    await press(drawn, 'Copy')
    await press(drawn, 'As a file')
    await press(drawn, 'As a Recipe')
    await press(drawn, 'Put aside')
    await press(drawn, 'More')
    expect(drawn.emitted()).toMatchObject({ copy: [[]], give: [['dish'], ['recipe']], aside: [[true]], look: [[]] })
    expect(drawn.text()).toContain('Not changed yet')
  })

  it('takes an older version again, never the newest', async () => {
    const drawn = entry({ open: true, versions: [version(3), version(2), version(1)] })
    expect(drawn.findAll('ol button')).toHaveLength(2)
    await drawn.findAll('ol button')[1]!.trigger('click')
    expect(drawn.emitted('restore')).toEqual([[{ ...dish, version: 1 }]])
  })

  it('comes back into the book from aside', async () => {
    const drawn = entry({ open: true, aside: true })
    await press(drawn, 'Take back')
    expect(drawn.emitted('aside')).toEqual([[false]])
  })
})
