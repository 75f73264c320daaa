import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { FIRST_KITCHEN } from '../../../book/firstKitchen'
import { withChoices as global } from '../../../test/support/choiceStub'
import { boardsOf } from './boards'
import EditorShell from './EditorShell.vue'
import ThingBoard from './ThingBoard.vue'

const [measures] = boardsOf(FIRST_KITCHEN, [])

describe('a board of the kitchen', () => {
  const board = (open: string | null = null) =>
    mount(ThingBoard, { props: { title: measures!.title, things: measures!.things, open, adds: measures!.adds } })

  it('shows each thing drawn, named, sized, and with where its numbers come from', () => {
    const things = board().findAll('.thing')
    expect(things).toHaveLength(FIRST_KITCHEN.measures.length)
    expect(things[0]!.text()).toContain('Our cup')
    expect(things[0]!.text()).toContain('240 ml')
    expect(things[0]!.text()).toContain('guess')
    for (const thing of things) expect(thing.get('path').attributes('d')).toMatch(/^M/)
  })

  it('gives a thing into the hand and says which one is there', async () => {
    const drawn = board('teaspoon')
    expect(drawn.findAll('[aria-pressed="true"]').map(one => one.text())).toEqual([expect.stringContaining('Teaspoon')])
    await drawn.findAll('.thing')[0]!.trigger('click')
    expect(drawn.emitted('take')).toEqual([['cup']])
  })

  it('asks for another of each kind that stands on it', async () => {
    const drawn = board()
    for (const add of drawn.findAll('header button')) await add.trigger('click')
    expect(drawn.emitted('add')).toEqual([['cup'], ['spoon']])
  })
})

describe('the frame of an editor', () => {
  const shell = (trouble = '') =>
    mount(EditorShell, { props: { name: 'Our cup', trouble }, slots: { default: '<i>fields</i>' }, global })
  const rename = async (drawn: ReturnType<typeof shell>, text: string): Promise<void> => {
    const input = drawn.get('input')
    input.element.value = text
    await input.trigger('input')
    await input.trigger('change')
  }

  it('takes a new name without its edges, at most sixty letters of it', async () => {
    const drawn = shell()
    await rename(drawn, '  Tin mug ')
    await rename(drawn, 'y'.repeat(90))
    expect(drawn.emitted('rename')).toEqual([['Tin mug'], ['y'.repeat(60)]])
  })

  it('refuses no name at all with a sentence, and keeps the old one', async () => {
    const drawn = shell()
    await rename(drawn, '   ')
    expect(drawn.emitted('rename')).toBeUndefined()
    expect(drawn.emitted('refuse')).toEqual([['It needs a name. The old one is kept.']])
  })

  it('says aloud what was refused, between its fields and its end', () => {
    const drawn = shell('Too small. Nothing was changed.')
    expect(drawn.get('[role="alert"]').text()).toContain('Nothing was changed')
    expect(drawn.html().indexOf('fields')).toBeLessThan(drawn.html().indexOf('Too small'))
  })
})
