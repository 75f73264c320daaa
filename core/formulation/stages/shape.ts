import { formOf } from '../dish/forms'
import { isAlike, secondBases } from '../dish/basesOf'
import type { Boundary, DishCard, Part, Stage, Until } from '../dish/dish'
import type { CautionCode, ExpectCode, WatchCode } from '../dish/stageCodes'
import type { StageId } from '../dish/stageRole'

/** Stages of one shape of cooking and the boundary at which it turns. */
export interface Laid { readonly stages: readonly Stage[], readonly keystone: Boundary }

/**
 * Ids of the ingredients that play some parts, the base left out.
 *
 * @param card the dish
 * @param parts which parts
 * @returns ids within the dish, in its order
 */
export function idsOf(card: DishCard, ...parts: readonly Part[]): string[] {
  return card.ingredients
    .filter(one => one.id !== card.base && one.part !== undefined && parts.includes(one.part))
    .map(one => one.id)
}

/**
 * Ids of the bases that go in together with the first: all of its own kind.
 *
 * @param card the dish
 * @returns ids within the dish, the first base first
 */
export function basesIn(card: DishCard): string[] {
  return [card.base, ...secondBases(card).filter(one => isAlike(card, one)).map(one => one.id)]
}

/**
 * Ids of the bases that come to a grain wet, as pulp or purée: they go in with its liquid.
 *
 * @param card the dish
 * @returns ids within the dish; none where the first base is wet itself
 */
export function pulpsIn(card: DishCard): string[] {
  return secondBases(card).filter(one => !isAlike(card, one)).map(one => one.id)
}

/**
 * What goes in: each of these ingredients, with one share.
 *
 * @param ids within the dish
 * @param share of each one's whole amount, 0 to 1; nothing goes in at 0
 * @returns additions of a stage
 */
export function adding(ids: readonly string[], share = 1): Stage['adds'] {
  return share > 0 ? ids.map(ingredient => ({ ingredient, share })) : []
}

/** Fruit that flavours goes in in two portions: half with the liquid, half late (kitchen rule, estimate). */
export const FRUIT_PORTION = 0.5

/** What of a stage is different from a plain one. */
export type StageMore = Omit<Partial<Stage>, 'id' | 'watch' | 'cautions' | 'expect'> & {
  readonly watch?: readonly WatchCode[]
  readonly cautions?: readonly CautionCode[]
  readonly expect?: readonly ExpectCode[]
}

/**
 * A stage with everything that is not said left plain: a minute in the hands, middle flame, at the fire.
 *
 * @param id of the stage, unique within its dish
 * @param does what is done in it
 * @param vessel id of its vessel
 * @param more what is different
 * @returns the stage
 */
export function stage(id: StageId, does: Stage['does'], vessel: string, more: StageMore): Stage {
  return {
    id,
    does,
    vessel,
    adds: [],
    takesOut: [],
    flame: 'middle',
    lid: false,
    until: { minutes: 1 },
    phase: 'fire',
    hands: 1,
    handles: [],
    watch: [],
    cautions: [],
    expect: [],
    ...more,
  }
}

/**
 * The roast's own end: a colour step or the aroma; two minutes of warming where nothing is roasted.
 *
 * @param card the dish
 * @returns a sign, or minutes
 */
export function roastUntil(card: DishCard): Until {
  return card.choices.roast === 'none' ? { minutes: 2 } : { sign: card.choices.roast }
}

/** Share of the fat kept for nuts that are fried last (estimate). */
const FOR_LAST_NUTS = 0.1

/** When which share of the fat goes in. */
export interface FatPlan {
  readonly first: number
  readonly late: readonly number[]
  readonly lastNuts: number
  readonly dry: boolean
}

/**
 * The shares of the fat by its school; they add to one.
 *
 * @param card the dish
 * @returns shares of the whole fat: at the start, late in order, and for nuts fried last
 */
export function fatPlan(card: DishCard): FatPlan {
  const { fat, nuts } = card.choices
  const lastNuts = nuts === 'last' && idsOf(card, 'nuts').length > 0 ? FOR_LAST_NUTS : 0
  const rest = 1 - lastNuts
  switch (fat) {
    case 'half-and-half':
      return { first: rest / 2, late: [rest / 2], lastNuts, dry: false }
    case 'little-by-little':
      return { first: rest * 0.4, late: [rest * 0.2, rest * 0.2, rest * 0.2], lastNuts, dry: false }
    default:
      return { first: rest, late: [], lastNuts, dry: fat === 'dry-first' }
  }
}

/**
 * The nuts fried first in the dish's fat and set aside.
 *
 * @param card the dish
 * @param fat its fat by school
 * @returns one stage; none where that is not the school
 */
export function fryFirst(card: DishCard, fat: FatPlan): Stage[] {
  const nuts = idsOf(card, 'nuts')
  if (card.choices.nuts !== 'first' || nuts.length === 0) return []
  return [stage('nuts', 'fry', 'pan', {
    adds: [...adding(idsOf(card, 'fat'), fat.first), ...adding(nuts)], takesOut: nuts, until: { sign: 'nuts-golden' },
    watch: ['turn-nuts'], cautions: ['hot-fat'], expect: ['darkens-on'],
  })]
}

/**
 * Whether the nuts went through the pan before the base.
 *
 * @param card the dish
 * @returns true where they did
 */
export function friedFirst(card: DishCard): boolean {
  return card.choices.nuts === 'first' && idsOf(card, 'nuts').length > 0
}

/**
 * What is stirred in at the end: the last fat in its portions, then nuts, aromatics and milk solids.
 *
 * @param card the dish
 * @param fat its fat by school
 * @param done the sign at which the last of it ends
 * @returns one stage for each portion of fat, at least one
 */
export function enrichStages(card: DishCard, fat: FatPlan, done: Until): Stage[] {
  const fats = idsOf(card, 'fat')
  const late = [
    ...adding(idsOf(card, 'milk-solids')),
    ...(card.choices.nuts === 'first' ? adding(idsOf(card, 'nuts')) : []),
    // Where grain is rained in, all of the fruit was cooked in its liquid.
    ...adding(idsOf(card, 'fruit'), card.choices.pour === 'rained' ? 0 : FRUIT_PORTION),
    ...adding(idsOf(card, 'spice', 'steeped')),
  ]
  const common: StageMore = { watch: ['stir-always'], cautions: ['hot-sweet'] }
  if (fat.late.length === 0 && late.length === 0) {
    return [stage('finish', 'cook-down', 'pan', { until: done, ...common, cautions: ['spitting'] })]
  }
  const portions = fat.late.length > 0 && fats.length > 0 ? fat.late : [0]
  return portions.map((share, i) => {
    const last = i === portions.length - 1
    return stage(i === 0 ? 'enrich' : `enrich-${i + 1}`, 'enrich', 'pan', {
      adds: [...adding(fats, share), ...(last ? late : [])], until: last ? done : { minutes: 3 }, ...common,
      expect: last ? [] : ['fat-drawn-in'],
    })
  })
}

/**
 * The nuts fried last beside the pan, to be stirred in once a nut-free share is out.
 *
 * @param card the dish
 * @param fat its fat by school
 * @returns one stage; none where that is not the school
 */
export function fryLast(card: DishCard, fat: FatPlan): Stage[] {
  const nuts = idsOf(card, 'nuts')
  if (card.choices.nuts !== 'last' || nuts.length === 0) return []
  return [
    stage('nuts-last', 'fry', 'small-pan', {
      adds: [...adding(idsOf(card, 'fat'), fat.lastNuts), ...adding(nuts)],
      until: { sign: 'nuts-golden' },
      hands: 0.5,
      meets: { stage: 'rest', edge: 'end' },
      watch: ['turn-nuts'],
      cautions: ['hot-fat', 'allergen'],
      expect: ['darkens-on'],
    }),
  ]
}

/**
 * How it ends: the sign waited for by what it is made into.
 *
 * @param card the dish
 * @returns the sign
 */
export function doneSign(card: DishCard): Until {
  // A lentil ground fine is tried between wet fingers, whatever is made of it.
  if (card.choices.preparation === 'fine-paste') return { sign: 'rolls' }
  return { sign: formOf(card).shapedBy === 'spoon' ? 'leaves-sides' : 'one-mass' }
}
