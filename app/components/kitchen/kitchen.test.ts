import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { FIRST_KITCHEN } from '../../../book/firstKitchen'
import { guessMassG } from '../../../core/materials/vessel/guessMassG'
import CupEditor from './CupEditor.vue'
import ChoiceSelect from '../ChoiceSelect.vue'
import FireEditor from './FireEditor.vue'
import PanEditor from './PanEditor.vue'
import { choose } from '../../../test/support/hands'

const [cup] = FIRST_KITCHEN.measures
const [pan] = FIRST_KITCHEN.pans
const [fire] = FIRST_KITCHEN.fires

/** Types into the input under a label and leaves it. */
async function type(wrapper: ReturnType<typeof mount>, label: string, text: string): Promise<void> {
  const input = wrapper.findAll('label').find(one => one.text().startsWith(label))!.get('input')
  input.element.value = text
  await input.trigger('input')
  await input.trigger('change')
}
const last = (wrapper: ReturnType<typeof mount>): unknown => wrapper.emitted('change')?.at(-1)?.[0]

describe('a cup in the hand', () => {
  it('takes a volume and says that it was entered', async () => {
    const editor = mount(CupEditor, { props: { item: cup! } })
    await type(editor, 'Holds', '180')
    expect(last(editor)).toMatchObject({ volumeMl: 180, origin: 'entered' })
    await type(editor, 'Holds', '0')
    expect(editor.get('[role="alert"]').text()).toContain('Nothing was changed')
    expect(editor.emitted('change')).toHaveLength(1)
  })

  it('is found by weighing, once both weights are there and make sense', async () => {
    const editor = mount(CupEditor, { props: { item: cup! } })
    await type(editor, 'Empty', '212')
    expect(editor.emitted('change')).toBeUndefined()
    await type(editor, 'Full', '100')
    expect(editor.get('[role="alert"]').text()).toContain('Nothing was changed')
    await type(editor, 'Full', '391,6')
    expect(last(editor)).toMatchObject({ volumeMl: 180, origin: 'weighed' })
    expect(editor.find('[role="alert"]').exists()).toBe(false)
  })

  it('keeps its name where the new one is empty', async () => {
    const editor = mount(CupEditor, { props: { item: cup! } })
    await type(editor, 'Name', '   ')
    expect(editor.emitted('change')).toBeUndefined()
    await type(editor, 'Name', 'Tin mug')
    expect(last(editor)).toMatchObject({ name: 'Tin mug' })
  })
})

describe('a pan in the hand', () => {
  it('guesses its weight from its size until it is weighed', async () => {
    const editor = mount(PanEditor, { props: { item: pan! } })
    await type(editor, 'Across', '30')
    expect(last(editor)).toMatchObject({
      innerDiameterMm: 300,
      massG: guessMassG(300, 75, 'steel'),
      massOrigin: 'guess',
    })
    await type(editor, 'Empty weight', '1310')
    expect(last(editor)).toMatchObject({ massG: 1310, massOrigin: 'weighed' })
    const weighed = mount(PanEditor, { props: { item: { ...pan!, massG: 1310, massOrigin: 'weighed' as const } } })
    await type(weighed, 'Deep', '9')
    expect(last(weighed)).toMatchObject({ depthMm: 90, massG: 1310 })
  })

  it('refuses sizes no pan has', async () => {
    const editor = mount(PanEditor, { props: { item: pan! } })
    await type(editor, 'Across', '2')
    await type(editor, 'Empty weight', 'heavy')
    expect(editor.emitted('change')).toBeUndefined()
    expect(editor.get('[role="alert"]').text()).toContain('Nothing was changed')
  })

  it('is coated or not at a touch', async () => {
    const editor = mount(PanEditor, { props: { item: pan! } })
    await choose(editor, 'Coated')
    expect(last(editor)).toMatchObject({ coated: true })
  })
})

describe('a fire in the hand', () => {
  const inputs = (editor: ReturnType<typeof mount>) => editor.findAll('fieldset input')

  it('has marks with the household\'s own names and powers that rise', async () => {
    const editor = mount(FireEditor, { props: { item: fire! } })
    expect(inputs(editor)).toHaveLength(12)
    const change = async (at: number, text: string): Promise<void> => {
      const input = inputs(editor)[at]!
      ;(input.element as HTMLInputElement).value = text
      await input.trigger('input')
      await input.trigger('change')
    }
    await change(0, 'tiny')
    expect(last(editor)).toMatchObject({ marks: [{ label: 'tiny', watts: 220 }, {}, {}, {}, {}, {}], origin: 'guess' })
    await change(1, '250')
    expect(last(editor)).toMatchObject({ origin: 'entered' })
    await change(1, '5000')
    expect(editor.get('[role="alert"]').text()).toContain('Nothing was changed')
  })

  it('of another kind has the marks of that kind, unless its own were entered', () => {
    const turned = (item: typeof fire) => {
      const editor = mount(FireEditor, { props: { item: item! } })
      editor.getComponent(ChoiceSelect).vm.$emit('choose', 'induction')
      return last(editor) as { kind: string, marks: readonly { label: string, watts: number }[] }
    }
    const guessed = turned({ ...fire!, kind: 'gas', origin: 'guess' })
    expect(guessed.kind).toBe('induction')
    expect(guessed.marks.map(mark => mark.label)).toContain('2000')
    expect(guessed.marks.map(mark => mark.label)).not.toContain(fire!.marks[0]!.label)
    expect(turned({ ...fire!, kind: 'gas', origin: 'entered' })).toMatchObject({
      kind: 'induction',
      marks: fire!.marks,
    })
  })

  it('gets another mark, or one less, never none', async () => {
    const editor = mount(FireEditor, { props: { item: fire! } })
    const press = (text: string) => editor.findAll('button').find(one => one.text() === text)!.trigger('click')
    await press('Another mark')
    expect((last(editor) as { marks: unknown[] }).marks).toHaveLength(7)
    await press('One less')
    expect((last(editor) as { marks: unknown[] }).marks).toHaveLength(5)
    const one = mount(FireEditor, { props: { item: { ...fire!, marks: fire!.marks.slice(0, 1) } } })
    expect(one.findAll('button').find(button => button.text() === 'One less')!.attributes('disabled')).toBeDefined()
  })
})
