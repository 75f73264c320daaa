import { ElInputNumber } from 'element-plus'
import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { FIRST_KITCHEN } from '../../../book/firstKitchen'
import { INGREDIENTS } from '../../../book/ingredients'
import { TraySchema } from '../../../contracts/kitchen'
import { ChoiceStub, withChoices as global } from '../../../test/support/choiceStub'
import ShoppingForDishes from './ShoppingForDishes.vue'
import StoreShelf from './StoreShelf.vue'
import TrayEditor from './TrayEditor.vue'
import UnitsSwitch from './UnitsSwitch.vue'
import { choose, chosenIn } from '../../../test/support/hands'

const TODAY = 20_000
const item = (ingredient: string, more = {}) => ({
  id: `s-${ingredient}`,
  ingredient,
  massG: 500,
  gotOn: TODAY - 5,
  openedOn: null,
  useBy: null,
  ...more,
})
const button = (wrapper: ReturnType<typeof mount>, text: string) =>
  wrapper.findAll('button').find(one => one.text().includes(text))!

describe('the store', () => {
  const shelf = (store: Parameters<typeof item> extends never ? never : ReturnType<typeof item>[]) =>
    mount(StoreShelf, {
      props: { store, table: INGREDIENTS, measures: FIRST_KITCHEN.measures, today: TODAY, newId: () => 'n1' },
      global,
    })

  it('puts first what must be used next, and says what is past its day', () => {
    const drawn = shelf([item('ghee'), item('milk', { openedOn: TODAY - 4 }), item('carrot-red', { gotOn: TODAY - 2 })])
    const rows = drawn.findAll('tbody tr').map(row => row.text())
    expect(rows[0]).toContain('Milk')
    expect(rows[0]).toContain('past its day')
    expect(rows[1]).toContain('in 3 days')
    expect(rows[2]).toContain('Ghee')
  })

  it('takes in what was got, as cooks speak', async () => {
    const drawn = shelf([])
    expect(drawn.text()).toContain('Nothing is written down yet')
    await drawn.get('[aria-label="What was got"]').setValue('ghee')
    await drawn.get('.add input').setValue('2 cups')
    await drawn.get('form').trigger('submit')
    await flushPromises()
    expect(drawn.emitted('put')).toEqual([
      [
        {
          id: 'n1',
          ingredient: 'ghee',
          massG: Math.round(2 * 240 * 0.89 * 10) / 10,
          gotOn: TODAY,
          openedOn: null,
          useBy: null,
        },
      ],
    ])
    await drawn.get('.add input').setValue('a lot')
    await drawn.get('form').trigger('submit')
    await flushPromises()
    await vi.waitFor(() => expect(drawn.get('.el-form-item__error').text()).toContain('Nothing was changed'))
    expect(drawn.emitted('put')).toHaveLength(1)
  })

  it('notes what was opened, what is left, and what is used up', async () => {
    const drawn = shelf([item('sugar')])
    await button(drawn, 'Opened today').trigger('click')
    await drawn.get('.mass input').setValue('320')
    await drawn.get('.mass input').setValue('nothing')
    await button(drawn, 'Used up').trigger('click')
    expect(drawn.emitted('put')!.map(one => one[0])).toEqual([
      expect.objectContaining({ openedOn: TODAY }),
      expect.objectContaining({ massG: 320 }),
    ])
    expect(drawn.emitted('gone')).toHaveLength(1)
  })
})

describe('shopping for several dishes', () => {
  it('adds their needs up, and counts what is in the house', async () => {
    const drawn = mount(ShoppingForDishes, {
      props: { dishes: STARTER_DISHES, store: [item('sugar', { massG: 5000 })], table: INGREDIENTS, today: TODAY },
      global,
    })
    const select = drawn.get('select')
    await select.setValue('brick-kiln-wheat')
    await select.setValue('sweet-water-semolina')
    const row = (text: string) => drawn.findAll('tr').find(one => one.text().includes(text))!.text()
    expect(row('Ghee')).toContain('Brick-kiln wheat, Sweet-water semolina')
    expect(row('Sugar')).toContain('enough')
    expect(drawn.text()).not.toContain('Water')
    const once = row('Ghee')
    await button(drawn, 'once more').trigger('click')
    expect(row('Ghee')).not.toBe(once)
    await button(drawn, 'once less').trigger('click')
    await drawn
      .findAll('button')
      .find(one => one.attributes('aria-label') === 'Once less of Brick-kiln wheat')!
      .trigger('click')
    expect(drawn.findAll('ul li')).toHaveLength(1)
  })
})

describe('units', () => {
  it('are switched and the money is named', async () => {
    const drawn = mount(UnitsSwitch, {
      props: { units: 'metric', currency: '', roomC: 27, zone: 'Asia/Kolkata', clock: '24' },
      global: { stubs: { ChoiceSelect: ChoiceStub } },
    })
    expect(chosenIn(drawn)).toEqual(['g and °C', '19:05'])
    await choose(drawn, 'oz, lb')
    await drawn.get('.money input').setValue(' crowns ')
    expect(drawn.emitted('units')).toEqual([['imperial']])
    expect(drawn.emitted('currency')).toEqual([['crow']])
    await choose(drawn, '7:05 pm')
    await drawn.get('[aria-label="Time zone of the house"]').setValue('Europe/Berlin')
    expect(drawn.emitted('times')).toEqual([[{ clock: '12' }], [{ zone: 'Europe/Berlin' }]])
    await drawn.findComponent(ElInputNumber).vm.$emit('change', 34)
    expect(drawn.emitted('room')).toEqual([[34]])
  })
})

describe('a tray', () => {
  const tray = FIRST_KITCHEN.trays[0]!
  const editor = (item = tray) => mount(TrayEditor, { props: { item }, global })
  async function type(wrapper: ReturnType<typeof editor>, label: string, text: string): Promise<void> {
    const input = wrapper.findAll('label').find(one => one.text().startsWith(label))!.get('input')
    input.element.value = text
    await input.trigger('input')
    await input.trigger('change')
  }

  it('is measured, and what cannot be is refused', async () => {
    const drawn = editor()
    await type(drawn, 'Wide', '22')
    await type(drawn, 'Deep', '0.1')
    expect(drawn.emitted('change')!.map(one => one[0])).toEqual([{ ...tray, widthMm: 220 }])
    expect(drawn.get('[role="alert"]').text()).toContain('Nothing was changed')
  })

  it('is as long as it is wide where it is round', async () => {
    const drawn = editor()
    await drawn.get('select').setValue('round')
    const [round] = drawn.emitted('change')![0] as [typeof tray]
    expect(round).toMatchObject({ shape: 'round', lengthMm: tray.widthMm })
    expect(TraySchema.safeParse(round).success).toBe(true)
  })
})
