import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../book/dishes'
import { FAULTS } from '../contracts/batch'
import { OriginSchema } from '../contracts/kitchen'
import { PROBLEM_CODES } from '../contracts/problem'
import { mainLine } from '../core/dish/mainLine'
import { COLOUR_STEPS } from '../core/family/family'
import { SIGNS } from '../core/forecast/signs'
import { actionsOf } from '../core/live/actions'
import { KNOWN_KINDS } from '../core/live/observation'
import { replay } from '../core/live/replay'
import { ROLES, STYLES } from '../core/proportions/spans'
import { examplePlan, marked } from '../test/support/plans'
import { ACTION_WORDS, CAUTIONS, CUES, DOING_WORDS, FAULT_WORDS, KIND_WORDS, SIGN_WORDS, STEP_WORDS } from './cook'
import { measureText, ORIGIN_WORDS, OUTSIDE_WORDS, ROLE_WORDS, shortName, STYLE_WORDS } from './measure'
import { schoolOf } from './dish'
import { momentText } from './moment'
import { PROBLEMS } from './problems'
import { REFUSALS } from './refusals'

const plan = examplePlan()

describe('there are words', () => {
  it('for every sign, step, fault, origin, part and style', () => {
    for (const sign of SIGNS) expect(SIGN_WORDS[sign], sign).toBeDefined()
    for (const step of COLOUR_STEPS) expect(STEP_WORDS[step], step).toBeDefined()
    for (const fault of FAULTS) expect(FAULT_WORDS[fault], fault).toBeDefined()
    for (const origin of OriginSchema.options) expect(ORIGIN_WORDS[origin], origin).toBeDefined()
    for (const role of ROLES) expect(ROLE_WORDS[role] && OUTSIDE_WORDS[role].above && OUTSIDE_WORDS[role].below, role).toBeTruthy()
    for (const style of STYLES) expect(STYLE_WORDS[style], style).toBeDefined()
  })

  it('for every action the starter dishes can ask for', () => {
    const story = [marked(1, 0, 'cook.started'), ...mainLine(plan.dish).slice(1).map((stage, i) => marked(i + 2, 100 * (i + 1), 'stage.began', { stage: stage.id }))]
    for (let count = 0; count <= story.length; count++) {
      for (const due of [null, 'pot']) {
        for (const action of actionsOf(plan, replay(plan, story.slice(0, count)), due)) expect(ACTION_WORDS[action.code], action.code).toBeDefined()
      }
    }
    for (const dish of STARTER_DISHES) for (const stage of dish.stages) expect(DOING_WORDS[stage.does], stage.does).toBeDefined()
  })

  it('for every kind that is acted on, and for every problem and refusal, each telling what is safe', () => {
    for (const kind of KNOWN_KINDS) if (kind !== 'corrected' && kind !== 'withdrawn') expect(KIND_WORDS[kind], kind).toBeDefined()
    for (const code of PROBLEM_CODES) expect(PROBLEMS[code].detail, code).toMatch(/Nothing was|safe/)
    for (const sentence of Object.values(REFUSALS)) expect(sentence).toMatch(/Nothing was changed/)
  })

  it('short enough for one glance at the fire', () => {
    for (const cue of Object.values(CUES)) expect(cue.length, cue).toBeLessThanOrEqual(32)
    for (const action of Object.values(ACTION_WORDS)) expect(action.length, action).toBeLessThanOrEqual(22)
    for (const { text } of Object.values(CAUTIONS)) expect(text.length, text).toBeLessThanOrEqual(100)
  })
})

describe('a dish in words', () => {
  it('tells how it is cooked, read off its stages', () => {
    const [dish] = STARTER_DISHES
    expect(schoolOf(dish!)).toEqual(['sugar in the hot water', 'ghee half now, half late', 'cashew fried first', 'roast to first colour'])
    const deeper = { ...dish!, stages: dish!.stages.filter(stage => stage.does !== 'fry' && !stage.meets).map(stage => (stage.does === 'roast' ? { ...stage, until: { sign: 'deep-golden' } } : stage)) }
    expect(schoolOf(deeper)).toEqual(['roast to deep golden'])
  })
})

describe('amounts in words', () => {
  it('take the short name of the measure and its plural', () => {
    expect(shortName('Verandah glass')).toBe('glass')
    expect(measureText('2', 2, 'Verandah glass')).toBe('2 glasses')
    expect(measureText('1½', 1.5, 'Brass cup')).toBe('1½ cups')
    expect(measureText('¾', 0.75, 'Teaspoon')).toBe('¾ teaspoon')
  })
})

describe('moments in words', () => {
  it.each([
    ['sign.seen', { sign: 'aroma' }, 'marked smell'], ['stage.began', { stage: 'roast' }, 'began roast'], ['looks.like', { step: 'deep-golden' }, 'looked deep golden'],
    ['flame.changed', { vessel: 'pan', mark: 'm3' }, 'flame low-middle'], ['flame.changed', { vessel: 'pan', mark: 'off' }, 'flame off'],
    ['weighed', { vessel: 'pan', grossG: 2940 }, 'weighed 2940 g'], ['temperature', { vessel: 'pan', tempC: 142 }, 'temperature 142 °C'],
    ['lid.changed', { vessel: 'pan', lid: true }, 'lid on'], ['vessel.lit', { vessel: 'pot' }, 'put on sweet water'], ['cook.started', {}, 'fire lit'], ['newer', {}, 'newer'],
  ])('%s %j is "%s"', (kind, payload, text) => {
    expect(momentText(plan, kind, payload)).toBe(text)
  })
})
