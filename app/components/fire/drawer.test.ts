import { mount } from '@vue/test-utils'
import { nextTick } from 'vue'
import { describe, expect, it, vi } from 'vitest'
import { replay } from '../../../core/record/replay/replay'
import { examplePlan, marked } from '../../../test/support/plans'
import FireDrawer from './FireDrawer.vue'
import type { AnyMark } from '../../../core/record/marks/kinds'

const plan = examplePlan()
const story = [
  marked(1, 0, 'cook.started'),
  marked(2, 300, 'stage.began', { stage: 'roast' }),
  marked(3, 400, 'sign.seen', { sign: 'aroma' }),
  marked(4, 410, 'newer.kind', { x: 1 }),
  marked(5, 420, 'withdrawn', { replaces: 'tablet-3' }),
]
const drawer = (count = story.length) => mount(FireDrawer, {
  props: {
    plan,
    cook: replay(plan, story.slice(0, count)),
    main: 'pan',
    sides: ['pot'],
    flames: { pan: { mark: 'm3', lid: false }, pot: { mark: 'off', lid: true } },
  },
})
const press = (drawn: ReturnType<typeof drawer>, text: string) =>
  drawn
    .findAll('button')
    .find(one => one.text() === text)!
    .trigger('click')

const said = (drawn: ReturnType<typeof drawer>) => drawn.findAll('[role="status"]').map(one => one.text()).join('')

describe('the drawer for everything else', () => {
  it('shows where each flame stands and marks a change of it', async () => {
    const drawn = drawer()
    const pressed = drawn
      .findAll('button')
      .filter(one => one.attributes('aria-pressed') === 'true')
      .map(one => one.text())
    expect(pressed).toEqual(['low-middle', 'off', 'Lid is on', 'the pan'])
    expect(drawn.findAll('button').filter(one => one.text() === 'Taken off the fire')).toHaveLength(1)
    await press(drawn, 'middle-high')
    expect(drawn.emitted('mark')![0]).toEqual([{ kind: 'flame.changed', payload: { vessel: 'pan', mark: 'm5' } }])
  })

  it('marks lids and taking off the fire', async () => {
    const drawn = drawer()
    await press(drawn, 'Lid is off')
    await press(drawn, 'Lid is on')
    await press(drawn, 'Taken off the fire')
    expect(drawn.emitted('mark')).toEqual([
      [{ kind: 'lid.changed', payload: { vessel: 'pan', lid: true } }],
      [{ kind: 'lid.changed', payload: { vessel: 'pot', lid: false } }],
      [{ kind: 'off.fire', payload: { vessel: 'pan' } }],
    ])
  })

  it('marks what is seen in this stage, slips, what was forgotten and how long it was left', async () => {
    const drawn = drawer()
    await press(drawn, 'Dark flecks')
    await press(drawn, 'Poured too early')
    await press(drawn, 'Forgot the ghee')
    await press(drawn, '1 min')
    expect(drawn.emitted('mark')).toEqual([
      [{ kind: 'sign.seen', payload: { sign: 'flecks', as: 'dark-flecks' } }],
      [{ kind: 'slip', payload: { what: 'poured-early' } }],
      [{ kind: 'forgotten', payload: { ingredient: 'ghee' } }],
      [{ kind: 'unstirred', payload: { seconds: 60 } }],
    ])
  })

  it('offers what can be smelled, seen and felt in the terms of the base, and says what it means', async () => {
    const drawn = drawer()
    expect(drawn.findAll('legend').map(one => one.text())).toEqual(expect.arrayContaining(['Smelled', 'Seen']))
    await press(drawn, 'Still smells raw')
    expect(said(drawn)).toBe('Still smells raw. Marked.')
    await press(drawn, 'Like wet sand')
    expect(said(drawn)).toContain('As it should be')
    expect(drawn.emitted('mark')).toEqual([
      [{ kind: 'not.yet', payload: { sign: 'aroma', as: 'raw-smell' } }],
      [{ kind: 'perceived', payload: { as: 'wet-sand' } }],
    ])
  })

  it('leads from what may be a fault to putting it right', async () => {
    const drawn = mount(FireDrawer, {
      props: {
        plan,
        cook: replay(plan, [
          ...story,
          marked(6, 640, 'stage.began', { stage: 'pour' }),
          marked(7, 700, 'stage.began', { stage: 'take-up' }),
        ]),
        main: 'pan',
        sides: ['pot'],
        flames: {},
      },
    })
    await press(drawn, 'Hard centre')
    expect(said(drawn)).toContain('No sugar yet')
    await press(drawn, 'Put it right')
    expect(drawn.emitted('wrong')).toEqual([['hard-grain']])
  })

  it('marks what went in beside the plan with its composition, and fat that was taken off', async () => {
    const drawn = drawer()
    await vi.waitFor(() => expect(drawn.findAll('button').some(one => one.text() === 'milk powder')).toBe(true))
    const field = () => drawn.findAll('form').find(one => one.text().includes('How much'))!
    await press(drawn, 'water')
    await field().get('#added').setValue('a cup')
    await field().trigger('submit')
    expect(drawn.get('[role="alert"]').text()).toContain('Nothing was marked')
    await field().get('#added').setValue('40')
    await field().trigger('submit')
    await press(drawn, 'fat off')
    await field().get('#added').setValue('25')
    await field().trigger('submit')
    const [water, fat] = drawn.emitted('mark') as [AnyMark][]
    expect(water).toEqual([
      {
        kind: 'added',
        payload: {
          adds: [{ ingredient: 'water', massG: 40, composition: expect.objectContaining({ water: 1 }) as object }],
        },
      },
    ])
    expect(fat).toEqual([{ kind: 'added', payload: { liftsFatG: 25 } }])
    const changed = replay(plan, [
      ...story,
      ...[water!, fat!].map(([{ kind, payload }], i) => marked(8 + i, 500 + 10 * i, kind, payload)),
    ]).changes
    expect(changed.map(one => [one.what.adds.length, one.what.liftsFatG])).toEqual([[1, 0], [0, 25]])
  })

  it('reads scale, thermometer and ruler in the vessel that was chosen', async () => {
    const drawn = drawer()
    await press(drawn, 'sweet water')
    await drawn.get('#temp').setValue('96')
    await drawn.findAll('form')[1]!.trigger('submit')
    await press(drawn, 'the pan')
    await drawn.get('#depth').setValue('34')
    await drawn.findAll('form')[2]!.trigger('submit')
    await drawn.get('#depth').setValue('deep')
    await drawn.findAll('form')[2]!.trigger('submit')
    expect(drawn.emitted('mark')).toEqual([
      [{ kind: 'temperature', payload: { vessel: 'pot', tempC: 96 } }],
      [{ kind: 'depth.measured', payload: { vessel: 'pan', depthMm: 34 } }],
    ])
    expect(drawn.get('[role="alert"]').text()).toContain('A depth in mm')
  })

  it('changes a mark into what it really was', async () => {
    const drawn = drawer(3)
    await press(drawn, 'It was …')
    await press(drawn, 'golden')
    expect(drawn.emitted('mark')).toEqual([
      [{ kind: 'corrected', payload: { replaces: 'tablet-3', kind: 'looks.like', payload: { step: 'golden' } } }],
    ])
  })

  it('marks weight and temperature and refuses nonsense with a sentence', async () => {
    const drawn = drawer()
    await nextTick()
    await drawn.get('#gross').setValue('a lot')
    await drawn.findAll('form')[0]!.trigger('submit')
    expect(drawn.get('[role="alert"]').text()).toContain('Nothing was marked')
    await drawn.get('#gross').setValue('2940,5')
    await drawn.findAll('form')[0]!.trigger('submit')
    await drawn.get('#temp').setValue('142')
    await drawn.findAll('form')[1]!.trigger('submit')
    expect(drawn.emitted('mark')).toEqual([
      [{ kind: 'weighed', payload: { vessel: 'pan', grossG: 2940.5 } }],
      [{ kind: 'temperature', payload: { vessel: 'pan', tempC: 142 } }],
    ])
    expect(drawn.find('[role="alert"]').exists()).toBe(false)
  })

  it('keeps an empty note to itself', async () => {
    const drawn = drawer()
    await drawn.findAll('form')[3]!.trigger('submit')
    expect(drawn.emitted('mark')).toBeUndefined()
    await drawn.get('#note').setValue(' smells of cardamom ')
    await drawn.findAll('form')[3]!.trigger('submit')
    expect(drawn.emitted('mark')).toEqual([[{ kind: 'note', payload: { text: 'smells of cardamom' } }]])
  })

  it('lists what was marked, newest first, with a way back for each, and shows what it does not know', async () => {
    const drawn = drawer()
    const lines = drawn.findAll('.moments li').map(line => line.find('span').text())
    expect(lines[0]).toContain('newer.kind (unknown here, kept)')
    expect(lines[1]).toContain('marked smell')
    expect(drawn.findAll('.gone')).toHaveLength(1)
    await drawn.findAll('.moments li')[2]!.findAll('button')[3]!.trigger('click')
    await drawn.findAll('.moments li')[2]!.findAll('button')[0]!.trigger('click')
    expect(drawn.emitted('mark')).toEqual([
      [{ kind: 'withdrawn', payload: { replaces: 'tablet-2' } }],
      [{ kind: 'corrected', payload: { replaces: 'tablet-2', shiftS: -30 } }],
    ])
  })
})
