import { mount } from '@vue/test-utils'
import { nextTick } from 'vue'
import { describe, expect, it } from 'vitest'
import { INGREDIENTS } from '../../../book/ingredients'
import { DishCardSchema } from '../../../contracts/dish'
import type { DishCard } from '../../../core/formulation/dish/dish'
import { troublesOf } from '../../../core/formulation/dish/troublesOf'
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
    expect(dish).toMatchObject({
      id: 'new-1',
      name: 'Door-step balls',
      family: 'gram-flour',
      choices: { form: 'balls', sugar: 'off-fire' },
    })
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
  const make = (wrapper: Awaited<ReturnType<typeof paste>>) =>
    wrapper.findAll('button').find(one => one.text() === 'Make a dish of it')!

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

  const row = (drawn: Awaited<ReturnType<typeof paste>>, text: string) =>
    drawn.findAll('li.line').find(one => one.text().startsWith(text))!
  const touch = (drawn: Awaited<ReturnType<typeof paste>>, text: string) =>
    row(drawn, text)
      .findAll('button')
      .find(one => one.text() === 'Yes, so')!
      .trigger('click')

  it('stops at every doubtful line until it is decided or left out', async () => {
    const drawn = await paste(
      '1 cup wheat flour\n1 cup ghee\n1 cup sugar\n4 cups water\ndragon scales\n1 tin condensed milk\n2-3 tbsp cashews',
    )
    expect(drawn.text()).toContain('4 lines want a decision.')
    expect(make(drawn).attributes('disabled')).toBeDefined()
    await row(drawn, '1 cup wheat').get('select').setValue('wheat-flour-refined')
    await row(drawn, 'dragon scales').get('select').setValue('')
    await row(drawn, '1 tin').get('input').setValue('400 g')
    await row(drawn, '1 tin').get('input').trigger('change')
    await row(drawn, '2-3 tbsp').get('input').setValue('20 g')
    await row(drawn, '2-3 tbsp').get('input').trigger('change')
    expect(drawn.text()).toContain('Every line is decided.')
    await make(drawn).trigger('click')
    const dish = dishGiven(drawn)
    expect(dish.ingredients[0]!.ingredient).toBe('wheat-flour-refined')
    expect(dish.ingredients.map(one => one.ingredient)).toContain('condensed-milk')
    expect(dish.ingredients).toHaveLength(6)
  })

  it('takes a guess with one touch, one by one or all together', async () => {
    const drawn = await paste('200 g besan\n2-3 tbsp ghee\n1 cup milk or water\n150 g brown sugar')
    expect(drawn.text()).toContain('3 lines want a decision.')
    await touch(drawn, '2-3 tbsp ghee')
    expect(drawn.text()).toContain('2 lines want a decision.')
    await drawn.findAll('button').find(one => one.text() === 'Take all 2 guesses')!.trigger('click')
    expect(drawn.text()).toContain('Every line is decided.')
    await make(drawn).trigger('click')
    const dish = dishGiven(drawn)
    expect(dish.ingredients.find(one => one.ingredient === 'ghee')!.perBase * 200).toBeCloseTo(2.5 * 15 * 0.89, 1)
    expect(dish.ingredients.map(one => one.ingredient)).toContain('milk')
  })

  it('keeps what was decided while the text is edited', async () => {
    const drawn = await paste('200 g besan\n2-3 tbsp ghee')
    await touch(drawn, '2-3 tbsp ghee')
    await drawn.get('textarea').setValue('150 g sugar\n200 g besan\n2-3 tbsp ghee')
    expect(drawn.text()).toContain('Every line is decided.')
  })

  it('passes titles and method lines over, shows them, and takes one back as an ingredient', async () => {
    const drawn = await paste(
      'Monsoon halwa\n200 g besan\n100 g ghee\nMethod\n1. Roast the besan in ghee until it smells of nuts.\n2 pears',
    )
    expect(drawn.text()).toContain('Every line is decided.')
    const over = drawn.get('[aria-label="Passed over"]')
    expect(over.text()).toContain('Monsoon halwa')
    expect(over.text()).toContain('a step of the method')
    await drawn.get('[aria-label="Read as an ingredient: Monsoon halwa"]').trigger('click')
    expect(drawn.text()).toContain('1 line wants a decision.')
  })

  it('says so where nothing can be the base', async () => {
    const drawn = await paste('100 g ghee\n100 g sugar')
    await make(drawn).trigger('click')
    expect(drawn.emitted('dish')).toBeUndefined()
    expect(drawn.get('[role="alert"]').text()).toContain('Nothing was changed')
  })
})
