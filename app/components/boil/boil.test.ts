// @vitest-environment happy-dom
import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { FIRST_KITCHEN } from '../../../book/firstKitchen'
import { INGREDIENTS } from '../../../book/ingredients'
import judged from '../../../book/judged.json'
import type { LessonAnswer } from '../../../contracts/lesson'
import { LearnQuestionSchema } from '../../../contracts/heart'
import { settleCook } from '../../../core/cook/batch/settleCook'
import { firstBelief } from '../../../core/process/belief/firstBelief'
import { readBoilCheck } from '../../../core/process/boil/readBoilCheck'
import { CONSTANTS } from '../../../core/materials/constants/constants'
import type { Observation } from '../../../core/record/marks/observation'
import type { CookPlan } from '../../../core/record/plan/plan'
import { withChoices as global } from '../../../test/support/choiceStub'
import BoilRead from './BoilRead.vue'
import JudgedFigures from './JudgedFigures.vue'
import MemoryForm from '../ledger/MemoryForm.vue'
import ModelNumbers from './ModelNumbers.vue'
import SourceList from './SourceList.vue'
import SpanRow from './SpanRow.vue'

const NOW = 1_795_000_000_000
const check = {
  id: 'c',
  fire: { id: 'front', kind: 'gas' as const, mark: 'm4', watts: 700 },
  pan: {
    id: 'pan',
    vessel: { innerDiameterMm: 260, depthMm: 75, massG: 1300, material: 'steel' as const },
    massGuessed: false,
  },
  lid: true,
  waterG: 700,
  fromC: 26,
  boilS: 430,
  half: null,
  boiledOn: null,
  atBoilC: 96.4,
  airC: 26,
  altitudeM: 0,
  when: NOW,
}
const told = (atBoilC: number): LessonAnswer => {
  const reading = readBoilCheck({ ...check, atBoilC })
  return {
    lesson: {
      kind: 'boil-check',
      id: 'c',
      at: NOW,
      pan: 'Steel pan',
      fire: 'Front fire',
      mark: 'half',
      check: { ...check, atBoilC },
    },
    reading,
    evidence: reading.evidence,
  }
}

describe('a boil check that was read', () => {
  it('says the power with its window, and asks which is off, thermometer or height', async () => {
    const view = mount(BoilRead, { props: { told: told(96.4) } })
    expect(view.text()).toMatch(/\d+ W\s*\d+ to \d+ W reach this pan/)
    const [thermometer, altitude] = view.findAll('button')
    await thermometer!.trigger('click')
    await altitude!.trigger('click')
    expect(view.emitted('thermometer')![0]![0]).toBeCloseTo(-3.6, 0)
    expect(view.emitted('altitude')![0]![0]).toBeGreaterThan(800)
  })

  it('asks nothing where the two agree', () => {
    const view = mount(BoilRead, { props: { told: told(99.8) } })
    expect(view.findAll('button')).toHaveLength(0)
    expect(view.text()).toContain('right to within a degree')
  })
})

describe('a span', () => {
  it('is told to those who do not see it, and lies within its scale', () => {
    const view = mount(SpanRow, {
      props: { name: 'low', window: { early: 210, middle: 300, late: 430 }, from: 100, to: 1000, unit: 'W' },
    })
    expect(view.attributes('aria-label')).toBe('low: 210 to 430 W, middle 300 W')
    const left = Number.parseFloat((view.find('.bar').element as HTMLElement).style.left)
    expect(left).toBeGreaterThan(30)
    expect(left).toBeLessThan(35)
  })
})

describe('where it comes from', () => {
  it('names each source and asks to forget it or learn from it again', async () => {
    const sources = [
      { id: 'a', kind: 'batch' as const, name: 'Sweet water', at: NOW, forgotten: false },
      { id: 'b', kind: 'boil-check' as const, name: 'pan on fire', at: NOW, forgotten: true },
    ]
    const view = mount(SourceList, { props: { sources } })
    expect(view.findAll('button').map(one => one.text())).toEqual(['Forget', 'Learn again'])
    await view.findAll('button')[0]!.trigger('click')
    expect(view.emitted('forget')![0]).toEqual([sources[0]])
  })
})

describe('a batch from memory', () => {
  const form = () =>
    mount(MemoryForm, {
      global,
      props: {
        dishes: STARTER_DISHES,
        table: INGREDIENTS,
        pans: FIRST_KITCHEN.pans,
        fires: FIRST_KITCHEN.fires,
        cups: FIRST_KITCHEN.measures,
        finishedG: null,
        outcome: { faults: [], line: '' },
        nowMs: NOW,
      },
    })
  const fill = async (view: ReturnType<typeof form>, label: string, value: string): Promise<void> => {
    await view.findAll('.el-form-item').find(one => one.text().includes(label))!.get('input').setValue(value)
  }

  it('becomes a plan and a story that something is learned from', async () => {
    const view = form()
    await fill(view, 'end of the roast', '16')
    await fill(view, 'off the fire', '30')
    await view.get('form').trigger('submit')
    await flushPromises()
    const [, plan, observations] = view.emitted('remember')![0] as [string, CookPlan, readonly Observation[]]
    expect(
      LearnQuestionSchema.safeParse(JSON.parse(JSON.stringify({ plan, observations }))).error?.issues ?? [],
    ).toEqual([])
    expect(observations.map(one => one.kind)).toEqual([
      'cook.started',
      'stage.began',
      'stage.began',
      'cook.finished',
      'outcome',
      'gone',
    ])
    expect(settleCook(plan, observations).evidence.some(one => one.name.startsWith('fire.'))).toBe(true)
  })

  it('is refused with what it needs, and nothing is told', async () => {
    const view = form()
    await fill(view, 'end of the roast', '30')
    await fill(view, 'off the fire', '20')
    await view.get('form').trigger('submit')
    await flushPromises()
    await vi.waitFor(() =>
      expect(view.text()).toContain('fewer than the whole cook took; or leave it empty. Nothing was kept'),
    )
    await vi.waitFor(() =>
      expect(view.get('[aria-invalid]').attributes('aria-describedby')).toBe(
        view.get('.el-form-item__error').attributes('id'),
      ),
    )
    expect(view.emitted('remember')).toBeUndefined()
  })
})

describe('the model\'s own evidence', () => {
  it('has every number with its unit, spread and source', () => {
    const view = mount(ModelNumbers)
    expect(view.findAll('tbody tr')).toHaveLength(CONSTANTS.length + firstBelief().entries.length)
    for (const row of view.findAll('tbody tr')) for (const cell of row.findAll('td')) expect(cell.text()).not.toBe('')
    for (const one of CONSTANTS) expect(Number.isFinite(one.value), one.id).toBe(true)
  })

  it('draws the judge\'s last report, and where it is weak', () => {
    const view = mount(JudgedFigures, { props: { report: judged } })
    expect(judged.cooks).toBeGreaterThanOrEqual(2000)
    expect(view.text()).toContain(`${Math.round(100 * judged.coverage.own)} %`)
    expect(view.text()).toContain('Weakest:')
    expect(view.findAll('.bar')).toHaveLength(4)
  })
})
