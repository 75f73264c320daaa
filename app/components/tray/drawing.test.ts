import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { h } from 'vue'
import { cutTray } from '../../../core/formulation/tray/cutTray'
import HearthAway from '../HearthAway.vue'
import StepField from './StepField.vue'
import TrayDrawing from './TrayDrawing.vue'

const tray = { shape: 'rectangle' as const, widthMm: 180, lengthMm: 240 }

describe('a tray as it is drawn', () => {
  it('shows every piece by its kind, every mark, and says what it shows', () => {
    const cut = cutTray(tray, { firstMm: 34, secondMm: 34, turnDeg: 0, slantDeg: 60 })
    const drawn = mount(TrayDrawing, { props: { tray, cut, colour: '#d9b37a', title: 'Baking tin: 25 whole pieces' } })
    expect(drawn.attributes('aria-label')).toBe('Baking tin: 25 whole pieces')
    for (const kind of ['whole', 'edge', 'trimming'] as const) {
      expect(drawn.findAll(`path.${kind}`), kind).toHaveLength(cut.pieces.filter(one => one.kind === kind).length)
    }
    expect(drawn.findAll('.mark')).toHaveLength(cut.marks.length)
    expect(drawn.findAll('rect.rim')).toHaveLength(1)
  })

  it('is bare where nothing is cut, and round where it is', () => {
    const drawn = mount(TrayDrawing, {
      props: {
        tray: { shape: 'round', widthMm: 240, lengthMm: 240 },
        cut: null,
        colour: '#d9b37a',
        title: 'Round plate',
      },
    })
    expect(drawn.findAll('path')).toHaveLength(0)
    expect(drawn.find('circle.rim').attributes('r')).toBe('123')
  })

  it('keeps the pieces of two trays inside their own walls', () => {
    const two = mount(() =>
      [1, 2].map(key => h(TrayDrawing, { key, tray, cut: null, colour: '#d9b37a', title: `tray ${key}` })),
    )
    const ids = two.findAll('clipPath').map(each => each.attributes('id'))
    expect(new Set(ids).size).toBe(2)
    expect(two.findAll('g[clip-path]').map(each => each.attributes('clip-path'))).toEqual(ids.map(id => `url(#${id})`))
  })
})

describe('a step less, or more', () => {
  const view = (more: object = {}) => mount(StepField, { props: { label: 'Wanted depth', value: '18 mm', ...more } })

  it('says what it sets in both buttons and shows it with its unit', async () => {
    const field = view()
    expect(field.find('output').text()).toBe('18 mm')
    await field.find('[aria-label="Wanted depth: less"]').trigger('click')
    await field.find('[aria-label="Wanted depth: more"]').trigger('click')
    expect(field.emitted('step')).toEqual([[-1], [1]])
  })

  it('goes no further than it may', async () => {
    const field = view({ canLess: false })
    expect(field.find('[aria-label="Wanted depth: less"]').attributes('disabled')).toBeDefined()
    expect(field.find('[aria-label="Wanted depth: more"]').attributes('disabled')).toBeUndefined()
    await field.find('[aria-label="Wanted depth: less"]').trigger('click')
    expect(field.emitted('step')).toBeUndefined()
  })
})

describe('the hearth that is away', () => {
  it('says that nothing is lost, and is asked again at a touch', async () => {
    const away = mount(HearthAway)
    expect(away.find('[role="alert"]').exists()).toBe(true)
    expect(away.text()).toContain('Nothing is lost.')
    await away.find('button').trigger('click')
    expect(away.emitted('again')).toHaveLength(1)
  })
})
