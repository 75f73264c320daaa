import { mount } from '@vue/test-utils'
import { nextTick } from 'vue'
import { describe, expect, it } from 'vitest'
import { INGREDIENTS } from '../../../book/ingredients'
import { DishCardSchema } from '../../../contracts/dish'
import type { DishCard } from '../../../core/dish/dish'
import { troublesOf } from '../../../core/dish/troublesOf'
import { withChoices as global } from '../../../test/support/choiceStub'
import NewDishForm from './NewDishForm.vue'
import PasteLines from './PasteLines.vue'

const newId = (): string => 'new-1'
const dishGiven = (wrapper: ReturnType<typeof mount>): DishCard => (wrapper.emitted('dish')![0] as [DishCard])[0]

describe('a new dish', () => {
  const form = () => mount(NewDishForm, { props: { table: INGREDIENTS, newId }, global })

  it('starts from a family, a base, a form and a style', async () => {
    const drawn = form()
    await drawn.get('[aria-label="Family"]').setValue('gram-flour')
    await drawn.get('[aria-label="Made into"]').setValue('balls')
    await drawn.get('[aria-label="Style"]').setValue('rich')
    await drawn.get('input').setValue('Door-step balls')
    await drawn.get('form').trigger('submit')
    const dish = dishGiven(drawn)
    expect(dish).toMatchObject({ id: 'new-1', name: 'Door-step balls', family: 'gram-flour', choices: { form: 'balls', sugar: 'off-fire' } })
    expect(troublesOf(dish)).toEqual([])
    expect(DishCardSchema.safeParse(dish).success).toBe(true)
  })

  it('is named after its base where nobody names it', async () => {
    const drawn = form()
    await drawn.get('form').trigger('submit')
    expect(dishGiven(drawn).name).toBe('Semolina, everyday')
  })
})

describe('a pasted text', () => {
  const paste = async (lines: string) => {
    const drawn = mount(PasteLines, { props: { lines, name: 'Theirs', table: INGREDIENTS, newId }, global })
    await nextTick()
    return drawn
  }
  const make = (wrapper: Awaited<ReturnType<typeof paste>>) => wrapper.findAll('button').find(one => one.text() === 'Make a dish of it')!

  it('becomes a dish once every line is decided', async () => {
    const drawn = await paste('1 cup besan\n3/4 cup ghee\n1 cup sugar\n2 cups water')
    expect(drawn.text()).toContain('Every line is decided.')
    await make(drawn).trigger('click')
    const dish = dishGiven(drawn)
    expect(dish).toMatchObject({ name: 'Theirs', family: 'gram-flour' })
    expect(dish.ingredients.find(one => one.ingredient === 'ghee')!.perBase).toBeCloseTo(0.75 * 0.89 / 0.43, 3)
  })

  it('reads amounts in their cup, not in ours', async () => {
    const drawn = await paste('1 cup besan\n100 g ghee\n100 g sugar\n200 g water')
    await drawn.get('[aria-label="In that text a cup is"]').setValue('180')
    await make(drawn).trigger('click')
    expect(dishGiven(drawn).usual.baseG).toBe(Math.round(180 * 0.43))
  })

  it('stops at every doubtful line until it is decided or left out', async () => {
    const drawn = await paste('1 cup sooji\n1 cup ghee\n1 cup sugar\n4 cups water\ndragon scales\n1 tin condensed milk\n2-3 tbsp cashews')
    expect(drawn.text()).toContain('4 lines want a decision.')
    expect(make(drawn).attributes('disabled')).toBeDefined()
    const row = (text: string) => drawn.findAll('tr').find(one => one.text().startsWith(text))!
    await row('1 cup sooji').get('select').setValue('semolina-coarse')
    await row('dragon scales').get('select').setValue('')
    await row('1 tin').get('input').setValue('400 g')
    await row('2-3 tbsp').get('select').setValue('cashew-halves')
    await row('2-3 tbsp').get('input').setValue('20 g')
    expect(drawn.text()).toContain('Every line is decided.')
    await make(drawn).trigger('click')
    const dish = dishGiven(drawn)
    expect(dish.ingredients[0]!.ingredient).toBe('semolina-coarse')
    expect(dish.ingredients.map(one => one.ingredient)).toContain('condensed-milk')
    expect(dish.ingredients).toHaveLength(6)
  })

  it('says so where nothing can be the base', async () => {
    const drawn = await paste('100 g ghee\n100 g sugar')
    await make(drawn).trigger('click')
    expect(drawn.emitted('dish')).toBeUndefined()
    expect(drawn.get('[role="alert"]').text()).toContain('Nothing was changed')
  })
})
