import { describe, expect, it } from 'vitest'
import { examplePlan, marked, rowOf } from '../../../test/support/plans'
import type { PanContents } from '../../materials/composition/panContents'
import { replay } from '../../record/replay/replay'
import type { CookPlan } from '../../record/plan/plan'
import type { Bench } from '../remedies/bench'
import { causesNow } from './causesNow'
import { CAUSES, type FaultCause } from './causes'
import { FAULTS } from './faults'
import { faultOfTerm } from './faultsOf'
import { statementsOf } from './statements'

const bare = examplePlan()
const plan: CookPlan = { ...bare, flames: { ...bare.flames, 'roast': 'm3', 'pour': 'm3', 'take-up': 'm2' } }
const NOTHING: PanContents = { waterG: 0, solidsG: 0, fatG: 0, sugarG: 0, nutsG: 0 }
/** Grain with half its weight of water, fat and sugar: as the plan wants it. */
const AIM: PanContents = { waterG: 200, solidsG: 200, fatG: 100, sugarG: 100, nutsG: 0 }

type Mark = [kind: string, payload?: Record<string, unknown>]
function bench(marks: readonly Mark[] = [], more: Partial<Bench> = {}, of: CookPlan = plan): Bench {
  const story = [['cook.started'] as Mark, ...marks].map(([kind, payload], i) => marked(i + 1, 60 * i, kind, payload))
  return {
    plan: of, cook: replay(of, story), now: AIM, toCome: NOTHING, aim: AIM, powerW: 800, tareG: 1300,
    airPressurePa: 101_325, pantry: {}, point: { timeS: 600 } as Bench['point'], ...more,
  }
}
const says = (cause: FaultCause, ...given: Parameters<typeof bench>): string => CAUSES[cause].atFire(bench(...given))
const began = (stage: string): Mark => ['stage.began', { stage }]
const flame = (mark: string, vessel = 'pan'): Mark => ['flame.changed', { vessel, mark }]

describe('what a running cook says of a cause', () => {
  it('is of the flame after the turn: lower than planned or not', () => {
    const wet = [began('roast'), began('pour'), began('take-up')]
    expect(says('low-after-turn', [...wet, flame('m1')])).toBe('for')
    expect(says('low-after-turn', wet)).toBe('against')
    expect(says('low-after-turn', [...wet, flame('m5')])).toBe('against')
    expect(says('low-after-turn', [...wet, began('enrich'), began('rest')])).toBe('open')
  })

  it('is of a flame that was higher than planned, or was said to be', () => {
    expect(says('flame-high', [began('roast')])).toBe('open')
    expect(says('flame-high', [began('roast'), flame('m3')])).toBe('open')
    expect(says('flame-high', [began('roast'), flame('m4')])).toBe('for')
    expect(says('flame-high', [began('roast'), ['slip', { what: 'flame-too-high' }]])).toBe('for')
  })

  it('is of the liquid that was poured: seen to boil or not', () => {
    const lit: Mark = ['vessel.lit', { vessel: 'pot' }]
    expect(says('cold-liquid', [lit, began('pour')])).toBe('open')
    expect(says('cold-liquid', [lit, ['sign.seen', { sign: 'boil', vessel: 'pot' }], began('pour')])).toBe('against')
    expect(says('cold-liquid', [lit, began('pour'), ['slip', { what: 'liquid-cold' }]])).toBe('for')
  })

  it('is of the roast: its colour seen or not, left too soon as said', () => {
    const roast = plan.dish.stages.find(one => one.does === 'roast')!
    const sign = 'sign' in roast.until ? roast.until.sign : ''
    const seen: Mark = sign === 'aroma' ? ['sign.seen', { sign }] : ['looks.like', { step: sign }]
    expect(says('roast-short', [began('roast'), seen])).toBe('against')
    expect(says('roast-short', [began('roast')])).toBe('open')
    expect(says('roast-short', [began('roast'), seen, ['slip', { what: 'poured-early' }]])).toBe('for')
  })

  it('is of what is in the pan: off the plan by more than a twentieth, over what is dry', () => {
    const fat = (fatG: number): Partial<Bench> => ({ now: { ...AIM, fatG } })
    // Fat over everything dry, itself in it: 100 of 400 is wanted, a quarter.
    const share = (of: number): number => of * 0.25 * 300 / (1 - of * 0.25)
    expect(says('more-fat', [], fat(share(1.06)))).toBe('for')
    expect(says('more-fat', [], fat(share(1.04)))).toBe('against')
    expect(says('less-fat', [], fat(share(0.94)))).toBe('for')
    expect(says('less-fat', [], fat(share(0.96)))).toBe('against')
    expect(says('more-sugar', [], { now: { ...AIM, sugarG: share(1.06) } })).toBe('for')
    expect(says('less-sugar', [], { now: { ...AIM, sugarG: share(0.94) } })).toBe('for')
    // What is still to come counts as if it were in.
    expect(says('less-fat', [], { now: { ...AIM, fatG: 50 }, toCome: { ...NOTHING, fatG: 50 } })).toBe('against')
    expect(says('too-wet', [], { now: { ...AIM, waterG: 214 } })).toBe('for')
    expect(says('too-wet', [], { now: { ...AIM, waterG: 206 } })).toBe('against')
    expect(says('too-dry', [], { now: { ...AIM, waterG: 186 } })).toBe('for')
    expect(says('too-dry', [], { now: { ...AIM, waterG: 194 } })).toBe('against')
  })

  it('is of what was marked: unstirred, kept back, forgotten, off the fire', () => {
    expect(says('unstirred')).toBe('open')
    expect(says('unstirred', [['unstirred', { seconds: 90 }]])).toBe('for')
    const back: Mark = ['kept.back', { share: 0.2, vessel: 'pot' }]
    expect(says('kept-back')).toBe('against')
    expect(says('kept-back', [began('roast'), began('pour'), back])).toBe('for')
    expect(says('kept-back', [began('roast'), began('pour'), back, ['rest.poured', { vessel: 'pot' }]])).toBe('against')
    expect(says('forgotten')).toBe('open')
    expect(says('forgotten', [['forgotten', { ingredient: 'sugar' }]])).toBe('for')
    expect(says('off-early')).toBe('against')
    expect(says('off-early', [['off.fire']])).toBe('open')
  })

  it('is of the dish: where its sugar goes in, whether it is sour', () => {
    const choices = (sugar: 'in-liquid' | 'after-swelling'): CookPlan =>
      ({ ...plan, dish: { ...plan.dish, choices: { ...plan.dish.choices!, sugar } } })
    expect(says('sugar-early', [], {}, choices('in-liquid'))).toBe('for')
    expect(says('sugar-early', [], {}, choices('after-swelling'))).toBe('open')
    expect(says('sugar-early', [['sign.seen', { sign: 'taken-up' }]], {}, choices('after-swelling'))).toBe('against')
    expect(says('sour')).toBe('open')
    const withPart = (part: 'fruit' | 'juice' | 'jaggery' | 'milk'): CookPlan => ({
      ...plan,
      dish: { ...plan.dish, ingredients: [...plan.dish.ingredients, { id: 'x', ingredient: 'x', perBase: 1, part }] },
    })
    expect((['fruit', 'juice', 'jaggery', 'milk'] as const).map(part => says('sour', [], {}, withPart(part)))).toEqual([
      'for',
      'for',
      'for',
      'open',
    ])
    expect(says('sour', [], {}, { ...plan, dish: { ...plan.dish, family: 'fruit' } })).toBe('for')
  })

  it('is of the pan: a light one is thin', () => {
    expect([0, 699, 700].map(tareG => says('thin-pan', [], { tareG }))).toEqual(['open', 'for', 'against'])
    const pan = plan.vessels.pan!
    const aluminium = {
      ...plan,
      vessels: { pan: { ...pan, vessel: { ...pan.vessel, material: 'aluminium' as const } } },
    }
    expect(says('thin-pan', [], { tareG: 2000 }, aluminium)).toBe('for')
  })

  it('puts first what the record speaks for, last what it speaks against, else as the fault lists them', () => {
    const causes = causesNow(bench([], { now: { ...AIM, waterG: 150 } }), 'dry')
    expect(causes).toEqual([
      { cause: 'too-dry', record: 'for' },
      { cause: 'off-late', record: 'open' },
      { cause: 'kept-back', record: 'against' },
    ])
  })
})

describe('what was said outright', () => {
  const told = (...marks: Mark[]) => Object.fromEntries(statementsOf({ ...bench(marks), summary: null as never })
    .filter(([of]) => !of.startsWith('dish-')).map(([of, times, speaks]) => [of, [times, speaks]]))
  const sugar = rowOf('sugar').composition
  const ghee = rowOf('ghee').composition

  it('is counted, and speaks for its cause alone', () => {
    expect(told()).toEqual({})
    expect(told(['slip', { what: 'poured-early' }], ['slip', { what: 'poured-early' }])).toEqual({
      'slip-poured-early': [2, { 'roast-short': 3 }],
    })
    expect(told(['slip', { what: 'liquid-cold' }])).toEqual({ 'slip-liquid-cold': [1, { 'cold-liquid': 3 }] })
    expect(told(['slip', { what: 'flame-too-high' }])).toEqual({ 'slip-flame-high': [1, { 'flame-high': 3 }] })
    expect(told(['forgotten', { ingredient: 'sugar' }])).toEqual({ 'forgot-sugar': [1, { 'less-sugar': 3 }] })
    expect(told(['forgotten', { ingredient: 'ghee' }])).toEqual({ 'forgot-fat': [1, { 'less-fat': 3 }] })
    expect(told(['forgotten', { ingredient: 'water' }])).toEqual({ 'forgot-liquid': [1, { 'too-dry': 3 }] })
    expect(told(['forgotten', { ingredient: 'cashew' }])).toEqual({})
  })

  it('takes no notice of a spoon that was added, by what it is made of', () => {
    const added = (ingredient: string, massG: number, composition: unknown): Mark => [
      'added',
      { adds: [{ ingredient, massG, composition }] },
    ]
    expect(told(added('sugar', 5, sugar))).toEqual({})
    expect(told(added('sugar', 6, sugar))).toEqual({ 'added-sugar': [1, { 'more-sugar': 1.2 }] })
    expect(told(added('ghee', 6, ghee))).toEqual({ 'added-fat': [1, { 'more-fat': 1.2 }] })
    const water = { water: 1, solids: 0, fat: 0, sugar: 0, nuts: 0 }
    expect(told(added('water', 10, water))).toEqual({})
    expect(told(added('water', 6, water), added('water', 5, water))).toEqual({
      'added-liquid': [1, { 'too-wet': 1.2 }],
    })
  })
})

describe('where a fault can be met', () => {
  const bareDish = (part: 'milk' | 'milk-solids' | 'water') => ({ family: 'semolina', ingredients: [{ id: 'b', ingredient: 'b', perBase: 1, part: 'base' as const }, { id: 'x', ingredient: 'x', perBase: 1, part }] })
  it('of a dish without choices follows from what is in it', () => {
    expect([bareDish('milk'), bareDish('milk-solids'), bareDish('water')].map(of => FAULTS['milk-split'].applies(of))).toEqual([true, false, false])
    expect([bareDish('milk'), bareDish('milk-solids'), bareDish('water')].map(of => FAULTS['milk-catches'].applies(of))).toEqual([true, true, false])
    expect(FAULTS['slab-soft'].applies(bareDish('water'))).toBe(false)
    expect(FAULTS['syrup-weak'].applies(bareDish('water'))).toBe(false)
  })
})

describe('what a perception may be the mark of', () => {
  it('is the one fault that names it', () => {
    expect(faultOfTerm('lumps')).toBe('lumpy')
    expect(faultOfTerm('hard-centre')).toBe('hard-grain')
    expect(faultOfTerm('acrid')).toBe('burnt')
    expect(faultOfTerm('dark-flecks')).toBe('burnt')
    expect(faultOfTerm('catches')).toBe('milk-catches')
    expect(faultOfTerm('nutty')).toBeNull()
  })

  it('leaves raw grain raw once it is wet, and what is burnt burnt', () => {
    const dry = bench([began('roast')])
    const wet = bench([began('roast'), began('pour')])
    expect([dry, wet].map(of => FAULTS['raw-taste'].lost!(of))).toEqual([null, 'raw-stays'])
    expect([dry, wet].map(of => FAULTS.burnt.lost!(of))).toEqual(['burnt-stays', 'burnt-stays'])
  })
})
