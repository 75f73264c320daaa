import { mount, RouterLinkStub } from '@vue/test-utils'
import { ElDrawer, ElDropdown } from 'element-plus'
import { describe, expect, it, vi } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { INGREDIENTS } from '../../../book/ingredients'
import { DishVersionSchema, type DishVersion } from '../../../contracts/dish'
import DishEntry from './DishEntry.vue'
import DishVersions from './DishVersions.vue'
import NextDishes from './NextDishes.vue'

const dish = STARTER_DISHES[0]!
const base = INGREDIENTS.find(row => row.id === dish.ingredients.find(one => one.id === dish.base)!.ingredient)!
const arch = {
  stones: [
    { fromS: 0, toS: 600, colour: '#e9d5a0' },
    { fromS: 600, toS: 1800, colour: '#b98a4e' },
  ],
  keystoneS: 600,
  done: { early: 1500, middle: 1800, late: 2340 },
}
const entry = (more: Partial<InstanceType<typeof DishEntry>['$props']> = {}) => mount(DishEntry, {
  props: { dish, base, times: { before: 0, fire: 34 }, missing: [], arch, aside: false, ...more },
})
/** As the menu does it: what was chosen, and then it closes. */
async function command(drawn: ReturnType<typeof entry>, name: string): Promise<void> {
  drawn.getComponent(ElDropdown).vm.$emit('command', name)
  drawn.getComponent(ElDropdown).vm.$emit('visible-change', false)
  await new Promise(done => setTimeout(done, 0))
}

describe('an entry of the book', () => {
  it('leads to its sheet, with its minutes as a window of its own forecast', () => {
    const drawn = entry({ times: { before: 200, fire: 34.4 } })
    expect(drawn.getComponent(RouterLinkStub).props('to')).toBe(`/measure?dish=${dish.id}`)
    expect(drawn.text()).toMatch(/25–39 min at the fire\s*, 3\.5 h before/)
    expect(drawn.findAll('svg path').some(one => one.attributes('fill') === '#b98a4e')).toBe(true)
  })

  it('stands as an outline in its usual time until its forecast has come, and where it has none', () => {
    for (const none of [undefined, null]) {
      const drawn = entry({ arch: none })
      expect(drawn.text()).toContain('about 34 min at the fire')
      expect(drawn.find('.stand.outline').exists()).toBe(true)
    }
  })

  it('names what is missing where that is little, and counts it where it is nearly all', () => {
    expect(entry({ missing: ['ghee', 'milk'] }).text()).toContain('to get: ghee, milk')
    expect(entry({ missing: ['a', 'b', 'c', 'd', 'e'] }).text()).toContain('to get: 5 things')
    expect(entry().text()).toContain('all in the house')
  })

  it('offers everything that can be done with it in one menu', async () => {
    const drawn = entry()
    for (const name of ['copy', 'dish', 'recipe', 'address', 'versions', 'aside']) await command(drawn, name)
    drawn.getComponent(ElDropdown).vm.$emit('visible-change', false)
    await new Promise(done => setTimeout(done, 0))
    expect(drawn.emitted()).toMatchObject({
      copy: [[]],
      give: [['dish'], ['recipe'], ['address']],
      aside: [[true]],
      look: [[]],
    })
    const away = entry({ aside: true })
    await command(away, 'aside')
    expect(away.emitted('aside')).toEqual([[false]])
  })
})

describe('the versions of a dish', () => {
  const version = (number: number): DishVersion =>
    DishVersionSchema.parse({
      version: number,
      name: dish.name,
      createdAt: 1e12 + number,
      dish: { ...dish, version: number },
    })
  const drawer = (versions: readonly DishVersion[]) =>
    mount(DishVersions, {
      props: { name: dish.name, versions },
      global: { stubs: { teleport: true, transition: true } },
    })

  it('can be taken again, but for the newest', async () => {
    const drawn = drawer([version(3), version(2), version(1)])
    await vi.waitFor(() => expect(drawn.findAll('ol button')).toHaveLength(2))
    await drawn.findAll('ol button')[1]!.trigger('click')
    expect(drawn.emitted('restore')).toEqual([[{ ...dish, version: 1 }]])
    drawn.getComponent(ElDrawer).vm.$emit('close')
    expect(drawn.emitted('close')).toHaveLength(1)
  })

  it('say so where there is one alone', async () => {
    const drawn = drawer([version(1)])
    await vi.waitFor(() => expect(drawn.text()).toContain('Not changed yet'))
  })
})

describe('what may be next', () => {
  const one = {
    id: dish.id,
    card: dish,
    why: 'perishes' as const,
    missing: ['red carrot'],
    uses: { name: 'milk', lastDay: 20_424 },
    made: 2,
    last: null,
  }

  it('says why, what it needs, and leads to its sheet', () => {
    const drawn = mount(NextDishes, {
      props: { dishes: [one, { ...one, id: 'b', why: 'in-house', missing: [], uses: null }] },
    })
    const [first, second] = drawn.findAll('article').map(each => each.text())
    expect(first).toContain('Uses the milk, good until 2 Dec')
    expect(first).toContain('to get: red carrot')
    expect(first).toContain('no batch of it came right yet')
    expect(second).toContain('All in the house; made twice')
    expect(drawn.getComponent(RouterLinkStub).props('to')).toBe(`/measure?dish=${dish.id}`)
  })
})
