import type { Dish, Stage } from '../../formulation/dish/dish'
import type { MarkOf } from '../../record/marks/kinds'
import type { SignId } from '../../formulation/signs/signIds'
import { SENSES, TERM_CODES, TERMS, type Sense, type TermCode } from '../../formulation/signs/terms'
import { isStage } from '../../formulation/dish/stageRole'
import { familyOf } from '../../formulation/family/families'

/** One perception that is offered, with what marking it writes down. */
export interface Offered {
  readonly code: TermCode
  readonly sense: Sense
  readonly mark: MarkOf<'sign.seen'> | MarkOf<'not.yet'> | MarkOf<'perceived'>
}

type Of = Pick<Dish, 'family' | 'ingredients'>

/** How a base looks and feels in its fat. */
const ROAST_LOOKS: Readonly<Record<string, readonly TermCode[]>> = {
  'semolina': ['wet-sand'],
  'broken-wheat': ['wet-sand'],
  'vermicelli': ['brittle'],
  'wheat-flour': ['wheat-paste', 'custard', 'crumbs-in-fat'],
  'other-flour': ['wheat-paste', 'custard', 'crumbs-in-fat'],
  'gram-flour': ['stiff', 'flows'],
  'lentil': [],
  'vegetable': [],
  'fruit': [],
  'coconut-nut': [],
}
/** Bases whose finished mass falls to a crumb when it is parted. */
const crumbles = (family: string): boolean =>
  family !== 'vermicelli' && ['grain', 'flour'].includes(familyOf(family).kind)

const when = (test: boolean, ...codes: readonly TermCode[]): readonly TermCode[] => (test ? codes : [])

/** Perceptions that a stage's own sign is known by. */
function ofSign(dish: Of, sign: SignId): readonly TermCode[] {
  return TERM_CODES.filter(code => TERMS[code].sign === sign && (code !== 'crumb-when-parted' || crumbles(dish.family)))
}

/** Perceptions that go with what is done, whatever ends it. */
function ofDoing(dish: Of, stage: Stage): readonly TermCode[] {
  const { family } = dish
  const { kind } = familyOf(family)
  const wetGrain = kind === 'grain' && !isStage(stage, 'paste')
  const milk = dish.ingredients.some(one => one.part === 'milk')
  switch (stage.does) {
    case 'roast': {
      if (isStage(stage, 'paste')) return ['nutty', 'acrid', 'lumps']
      return [
        'raw-smell',
        'nutty',
        'acrid',
        'dark-flecks',
        ...(isStage(stage, 'roast-dry', 'fat-in') ? [] : (ROAST_LOOKS[family] ?? [])),
        ...when(family === 'vegetable', 'pasty'),
      ]
    }
    case 'pour': return ['erupts', 'spitting-stopped', ...when(family !== 'vermicelli', 'lumps')]
    // Powdered sugar is rubbed in off the fire: what is felt then is whether it will hold as a ball.
    case 'sweeten': return isStage(stage, 'rub-in') ? ['holds-pressed', 'crumbles', 'slumps'] : ['glossy']
    case 'cook-down': return [
      ...when(isStage(stage, 'thicken') || kind === 'flour', 'lumps'),
      ...when(wetGrain && (swells(stage) || isStage(stage, 'milk')), 'hard-centre', 'soft-through', 'has-grown'),
      ...when(isStage(stage, 'soften', 'soften-2'), 'raw-smell-gone', 'tender'),
      ...when(family === 'vegetable', 'pasty'),
      ...when(isStage(stage, 'milk') && milk, 'milk-grainy', 'milk-splits', 'catches'),
      ...when(swells(stage), 'leaves-sides'),
      ...when(isStage(stage, 'swell'), 'lumps'),
      ...when(isStage(stage, 'finish'), 'fat-at-edge', 'glossy'),
    ]
    case 'enrich': return ['leaves-sides', 'fat-at-edge', 'glossy']
    case 'boil-syrup': return ['grains-on-wall']
    default: return []
  }
}

/**
 * What can be smelled, seen, heard and felt in a stage, in the terms of its base: the signs it waits for, come or not,
 * and what else tells how it stands (craft, sections 2, 5 and 6).
 *
 * @param dish whose stage
 * @param stage one of its main line
 * @returns perceptions by sense, each once, with what marking one writes down
 */
export function perceptionsOf(dish: Of, stage: Stage): readonly Offered[] {
  const own = 'sign' in stage.until ? ofSign(dish, stage.until.sign) : []
  const codes = [...new Set([...own, ...ofDoing(dish, stage)])]
  return SENSES.flatMap(sense => codes.filter(code => TERMS[code].sense === sense).map(offered))
}

function offered(code: TermCode): Offered {
  const term = TERMS[code]
  const { sense } = term
  if (term.says === 'come') return { code, sense, mark: { kind: 'sign.seen', payload: { sign: term.sign, as: code } } }
  if (term.says === 'not-yet') return { code, sense, mark: { kind: 'not.yet', payload: { sign: term.sign, as: code } } }
  return { code, sense, mark: { kind: 'perceived', payload: { as: code } } }
}

/** A grain takes up its liquid in it, poured or under the lid. */
const swells = (stage: Pick<Stage, 'id'>): boolean => isStage(stage, 'take-up', 'swell')
