import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../book/dishes'
import { FIRST_KITCHEN } from '../book/firstKitchen'
import { INGREDIENTS } from '../book/ingredients'
import { SWAPS } from '../book/swaps'
import { END_FAULTS } from '../core/cook/faults/faults'
import { OriginSchema } from '../contracts/kitchen'
import { PROBLEM_CODES } from '../contracts/problem'
import { mainLine } from '../core/formulation/dish/mainLine'
import { COLOUR_STEPS } from '../core/formulation/family/family'
import type { Dish } from '../core/formulation/dish/dish'
import { sideStages } from '../core/formulation/dish/sideStages'
import { SIGN_IDS } from '../core/formulation/signs/signIds'
import { stageDish } from '../core/formulation/stages/stageDish'
import { TROUBLES } from '../core/formulation/dish/troublesOf'
import { cueOf } from '../core/cook/guidance/cue'
import { actionsOf } from '../core/cook/guidance/actions'
import { replay } from '../core/record/replay/replay'
import { faultOfTerm } from '../core/cook/faults/faultsOf'
import { SENSES, TERM_CODES } from '../core/formulation/signs/terms'
import { ROLES, spansOf, placeInSpan, STYLES } from '../core/formulation/dish/spans'
import { examplePlan, marked } from '../test/support/plans'
import { actionText, CAUTIONS, CUES, cueText, DOING_WORDS, SIGN_WORDS, STEP_WORDS } from './cook'
import { FAULT_WORDS } from './faults'
import {
  FIGURE_WORDS,
  measureText,
  ORIGIN_WORDS,
  outsideText,
  ROLE_WORDS,
  shortName,
  STYLE_WORDS,
  SWAP_WORDS,
} from './measure'
import { TROUBLE_WORDS } from './choices'
import { schoolOf, turnText } from './dish'
import { besideText, expectText, stageName, WATCH_WORDS, watchText } from './stages'
import { REPAIR_NOTES, WAY_WORDS } from './repairs'
import { momentText } from './moment'
import { SENSE_WORDS, TERM_WORDS } from './senses'
import { PROBLEMS } from './problems'
import { REFUSALS } from './refusals'
import { roastEndsText } from './flames'

const plan = examplePlan()
const dishes = STARTER_DISHES.map(stageDish)
const everyVessel = <T,>(dish: Dish, one: T): Record<string, T> =>
  Object.fromEntries(dish.vessels.map(vessel => [vessel.id, one]))

describe('there are words', () => {
  it('for every sign, step, fault, origin, part and style', () => {
    for (const step of COLOUR_STEPS) expect(STEP_WORDS[step], step).toBeDefined()
    for (const fault of END_FAULTS) expect(FAULT_WORDS[fault], fault).toBeDefined()
    for (const origin of OriginSchema.options) expect(ORIGIN_WORDS[origin], origin).toBeDefined()
    for (const role of ROLES) expect(ROLE_WORDS[role], role).toBeTruthy()
    for (const style of STYLES) expect(STYLE_WORDS[style], style).toBeDefined()
  })

  it('for every sign, stage, watch, caution and expectation of every starter dish', () => {
    for (const sign of SIGN_IDS) expect(SIGN_WORDS[sign], sign).toBeDefined()
    for (const stage of dishes.flatMap(dish => dish.stages)) {
      expect(DOING_WORDS[stage.does], stage.does).toBeDefined()
      expect(stageName(stage) === stage.does && stage.id !== stage.does, stage.id).toBe(false)
      for (const code of stage.watch ?? []) expect(watchText(code), code).toMatch(/\S/)
      for (const code of stage.expect ?? []) expect(expectText(code), code).toMatch(/\S/)
      for (const code of stage.cautions ?? []) expect(CAUTIONS[code as keyof typeof CAUTIONS], code).toBeDefined()
      if (stage.meets) expect(besideText(stage.id), stage.id).toBeDefined()
    }
  })

  it('for every perception and its sense, short enough for a button', () => {
    for (const code of TERM_CODES) expect(TERM_WORDS[code].text, code).toMatch(/^.{3,30}$/)
    for (const sense of SENSES) expect(SENSE_WORDS[sense], sense).toBeTruthy()
    for (const code of TERM_CODES) if (faultOfTerm(code)) expect(TERM_WORDS[code].means, code).toBeTruthy()
  })

  it('for every choice and its answers, every trouble, every swap, and where every figure comes from', () => {
    for (const code of TROUBLES) expect(TROUBLE_WORDS[code], code).toBeTruthy()
    for (const note of SWAPS.flatMap(swap => swap.notes)) expect(SWAP_WORDS[note], note).toBeTruthy()
    for (const row of INGREDIENTS) expect(FIGURE_WORDS[row.source.densityOrigin], row.id).toBeTruthy()
  })

  it('for every cue and action of every starter dish, short enough for one glance', () => {
    for (const dish of dishes) {
      const plan = examplePlan({
        dish,
        pans: everyVessel(dish, FIRST_KITCHEN.pans[0]!),
        fires: everyVessel(dish, FIRST_KITCHEN.fires[0]!),
      })
      const story = [
        marked(1, 0, 'cook.started'),
        ...mainLine(dish)
          .slice(1)
          .map((stage, i) => marked(i + 2, 100 * (i + 1), 'stage.began', { stage: stage.id })),
      ]
      for (let count = 0; count <= story.length; count++) {
        const cook = replay(plan, story.slice(0, count))
        const codes = [
          ...sideStages(dish).flatMap(stage => [`light.${stage.id}`, `ready.${stage.id}`]),
          ...actionsOf(plan, cook, null, count * 100).map(action => action.code),
        ]
        for (const code of codes) {
          const text = actionText(code, plan)
          expect(text, `${dish.id} ${code}`).not.toBe(code)
          expect(text.length, text).toBeLessThanOrEqual(22)
        }
        const next = mainLine(dish)[cook.stage + 1]?.id ?? null
        const asked = cueText(
          {
            code: 'asked',
            next: null,
            caution: null,
            heat: null,
            vessel: null,
            asks: { stage: next, atS: 4321, sign: null },
          },
          plan,
          null,
        )
        expect(asked).toMatch(/^[^?]+ at about 1:12:01\?$/)
        expect(asked.length, asked).toBeLessThanOrEqual(36)
        const cue = cueText(cueOf(plan, cook, null, count * 100), plan, mainLine(dish)[cook.stage] ?? null)
        expect(cue.length, cue).toBeLessThanOrEqual(32)
      }
    }
  })

  it('for every kind that is acted on, and for every problem and refusal, each telling what is safe', () => {
    for (const code of PROBLEM_CODES) expect(PROBLEMS[code].detail, code).toMatch(/Nothing was|safe/)
    for (const sentence of Object.values(REFUSALS)) expect(sentence).toMatch(/Nothing was changed/)
  })

  it('taste and bite from a cooled spoon only', () => {
    const told = [
      ...Object.values(WATCH_WORDS),
      ...Object.values(WAY_WORDS).map(one => one.text),
      ...Object.values(REPAIR_NOTES),
    ].filter(text => /\b[Bb]ite\b|\btaste[sd]? (before|from)|^Taste/.test(text))
    expect(told.length).toBeGreaterThan(2)
    for (const text of told) expect(text, text).toMatch(/cool/i)
  })

  it('short enough for one glance at the fire', () => {
    for (const cue of Object.values(CUES)) expect(cue.length, cue).toBeLessThanOrEqual(32)
    for (const { text } of Object.values(CAUTIONS)) expect(text.length, text).toBeLessThanOrEqual(100)
  })
})

describe('a dish in words', () => {
  it('tells how it is cooked, leaving out what goes without saying', () => {
    expect(schoolOf(STARTER_DISHES[0]!)).toEqual([
      'roast to first colour',
      'fat half now, half late',
      'water',
      'sugar dissolved in the hot liquid',
      'nuts fried first, set aside',
    ])
    const clear = STARTER_DISHES.find(dish => dish.id === 'clear-ash-gourd')!
    expect(schoolOf(clear)).toEqual([
      'fat all at the start',
      'sugar into the reduced mass',
      'nuts fried first, set aside',
      'not tasted, first share set apart',
    ])
  })

  it('names its turning point', () => {
    expect(new Set(dishes.map(turnText))).toEqual(
      new Set(['Pour', 'Grain in', 'Thickened', 'Off the fire', 'Sugar in', 'Milk in', 'Into the syrup']),
    )
  })

  it('says what happens outside a span in the way of its family, and how sure that is', () => {
    const fat = (family: string, ratio: number) => outsideText(placeInSpan('fat', ratio, spansOf({ family })), family)
    expect(fat('semolina', 1.6)).toBe('likely greasy: fat pools at the edge')
    expect(fat('gram-flour', 0.75)).toBe('may be will not loosen and flow; raw taste')
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
    ['sign.seen', { sign: 'aroma' }, 'marked smell'],
    ['stage.began', { stage: 'roast' }, 'began roast'],
    ['looks.like', { step: 'deep-golden' }, 'looked deep golden'],
    ['flame.changed', { vessel: 'pan', mark: 'm3' }, 'flame low-middle'],
    ['flame.changed', { vessel: 'pan', mark: 'off' }, 'flame off'],
    ['weighed', { vessel: 'pan', grossG: 2940 }, 'weighed 2940 g'],
    ['temperature', { vessel: 'pan', tempC: 142 }, 'temperature 142 °C'],
    ['lid.changed', { vessel: 'pan', lid: true }, 'lid on'],
    ['vessel.lit', { vessel: 'pot' }, 'put on sweet water'],
    ['cook.started', {}, 'fire lit'],
    ['newer', {}, 'newer'],
    ['sign.seen', { sign: 'aroma', as: 'nutty' }, 'smelled: nutty'],
    ['not.yet', { sign: 'aroma', as: 'raw-smell' }, 'smelled: still smells raw'],
    ['perceived', { as: 'hard-centre' }, 'felt: hard centre'],
    [
      'added',
      {
        adds: [
          {
            ingredient: 'milk-powder',
            massG: 30,
            composition: { water: 0.03, solids: 0.32, fat: 0.27, sugar: 0.38, nuts: 0 },
          },
        ],
      },
      'beside the plan: 30 g milk powder',
    ],
    ['added', { liftsFatG: 20 }, 'beside the plan: 20 g fat off'],
    ['repaired', { fault: 'runny', way: 'boil-off', adds: [] }, 'put right drive the water off'],
    ['forgotten', { ingredient: 'sugar' }, 'forgotten sugar'],
    ['slip', { what: 'poured-early' }, 'slip poured too early'],
    ['uptake.seen', { pace: 'no-more' }, 'taken up not any more'],
    ['unstirred', { seconds: 60 }, 'left unstirred 60 s'],
    ['depth.measured', { vessel: 'pan', depthMm: 34 }, 'depth 34 mm'],
    ['weighed', { grossG: 'much' }, 'weighed'],
    ['withdrawn', { replaces: 'tablet-2' }, 'taken back'],
  ])('%s %j is "%s"', (kind, payload, text) => {
    expect(momentText(plan, kind, payload)).toBe(text)
  })
})

describe('how a roast under flames ends', () => {
  it('says each way once, and what is rare not at all', () => {
    expect(roastEndsText('golden', 0.97, 0.98)).toBe('golden 97 %')
    expect(roastEndsText('golden', 0.97, 0.29)).toBe('golden 29 %, a step paler 71 %')
    expect(roastEndsText('golden', 1, 1)).toBe('golden 99 %')
  })
})
