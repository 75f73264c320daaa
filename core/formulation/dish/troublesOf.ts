import { formOf } from './forms'
import { goesInWet, isAlike, secondBases, type SecondBase } from './basesOf'
import type { Choices } from './choices'
import type { DishCard, Part } from './dish'
import { splitsMilk } from './splitsMilk'
import { familyOf } from '../family/families'

/** A combination that cannot work: its code (the sentence lives in `words/`), and what would. */
export interface Trouble {
  readonly code: TroubleCode
  /** Changes any one of which takes the trouble away. */
  readonly offers: readonly Partial<Choices>[]
}

/** Why choices cannot go together. */
export const TROUBLES = [
  'sugar-needs-liquid',
  'powder-needs-no-liquid',
  'jaggery-is-no-powder',
  'balls-take-powdered-sugar',
  'slab-takes-syrup',
  'nothing-is-reduced',
  'liquid-is-missing',
  'syrup-needs-water',
  'nuts-need-fat-first',
  'paste-cannot-roast-dry',
  'slurry-is-not-roasted',
  'grain-sinks-in-slurry',
  'sugar-hardens-slurry',
  'grain-foams-under-pressure',
  'froths-under-pressure',
  'pressure-needs-liquid',
  'acid-splits-milk',
  'jaggery-splits-milk',
  'only-grated-goes-in-lots',
  'preparation-is-not-for-this',
  'slab-is-stirred',
  'produce-is-not-a-roast',
  'no-grain-swells',
  'nothing-sweet',
  'wet-in-dry-balls',
  'fine-paste-is-mixed-cold',
  'only-grain-is-rained',
  'rained-is-sweetened-after',
  'grain-is-the-first-base',
] as const
export type TroubleCode = (typeof TROUBLES)[number]

/** Bases that froth up and block the valve (food safety advice; recalled, unchecked). */
const FROTHS: ReadonlySet<string> = new Set(['apple'])
const SLURRY_BASES: readonly string[] = ['wheat-flour', 'other-flour', 'gram-flour', 'semolina']
/** Preparations each family knows; the first is the usual one. */
export const PREPARATIONS_OF: Readonly<Record<string, readonly Choices['preparation'][]>> = {
  'semolina': ['as-bought'],
  'broken-wheat': ['as-bought'],
  'vermicelli': ['as-bought'],
  'wheat-flour': ['as-bought'],
  'other-flour': ['as-bought'],
  'gram-flour': ['as-bought'],
  'lentil': ['raw-paste', 'dry-ground', 'cooked-puree', 'fine-paste'],
  'vegetable': ['grated'],
  'fruit': ['grated', 'as-bought'],
  'coconut-nut': ['as-bought', 'raw-paste'],
}

/**
 * Everything about a dish's choices that cannot work, with what would.
 *
 * @param card ingredients with their parts, and choices
 * @returns troubles, the gravest first; empty where the dish can be cooked
 */
export function troublesOf(card: DishCard): Trouble[] {
  const { choices } = card
  const reduced = familyOf(card.family).fresh || choices.preparation === 'cooked-puree'
  return [
    ...baseTroubles(card, reduced),
    ...milkTroubles(card, reduced),
    ...sugarTroubles(card, reduced),
    ...slurryTroubles(card, reduced),
    ...rainedTroubles(card, reduced),
    ...restTroubles(card, reduced),
  ]
}

const has = (card: DishCard, ...parts: readonly Part[]): boolean =>
  card.ingredients.some(one => one.part !== undefined && parts.includes(one.part) && one.perBase > 0)

function when(found: boolean, code: TroubleCode, ...offers: readonly Partial<Choices>[]): Trouble[] {
  return found ? [{ code, offers }] : []
}

function baseTroubles(card: DishCard, reduced: boolean): Trouble[] {
  const { choices, family } = card
  const known = PREPARATIONS_OF[family] ?? ['as-bought']
  const presses = familyOf(family).kind === 'produce' || choices.preparation === 'cooked-puree'
  return [
    ...when(
      !known.includes(choices.preparation),
      'preparation-is-not-for-this',
      ...known.map(preparation => ({ preparation })),
    ),
    ...when(choices.cooking === 'pressure' && !presses, 'grain-foams-under-pressure', { cooking: 'open' }),
    ...when(
      choices.cooking === 'pressure'
        && presses
        && card.ingredients.some(one => one.id === card.base && FROTHS.has(one.ingredient)),
      'froths-under-pressure',
      { cooking: 'open' },
    ),
    ...when(
      choices.cooking === 'pressure' && presses && !pressesWet(card),
      'pressure-needs-liquid',
      { cooking: 'open' },
      ...wetPresses(card),
    ),
    ...when(
      choices.lots && (choices.preparation !== 'grated' || choices.cooking === 'pressure'),
      'only-grated-goes-in-lots',
      { lots: false },
    ),
    ...when(reduced && choices.roast !== 'none', 'produce-is-not-a-roast', { roast: 'none' }),
    ...when(reduced && brings(card, 'grain'), 'grain-is-the-first-base'),
    ...when(
      secondBases(card).some(one => !isKnown(card, one)),
      'preparation-is-not-for-this',
    ),
    ...when(
      choices.preparation === 'fine-paste' && family === 'lentil' && choices.pour !== 'slurry',
      'fine-paste-is-mixed-cold',
      { pour: 'slurry', roast: 'none' },
      { preparation: 'raw-paste' },
    ),
  ]
}

/** Whether a base comes to one of the other kind: pulp or purée to a grain, or grain to what is cooked down. */
function brings(card: DishCard, what: 'pulp' | 'grain'): boolean {
  return secondBases(card).some(
    one => !isAlike(card, one) && goesInWet(one.asBase.family, one.asBase.preparation) === (what === 'pulp'),
  )
}

/** A second base is got ready as its own family is, or ground together with the first. */
function isKnown({ choices }: DishCard, { asBase }: SecondBase): boolean {
  return (
    asBase.preparation === choices.preparation
    || (PREPARATIONS_OF[asBase.family] ?? ['as-bought']).includes(asBase.preparation)
  )
}

/** Whether anything that flows stands under the lid of its pressure pan. */
function pressesWet(card: DishCard): boolean {
  if (card.choices.preparation === 'cooked-puree') return has(card, 'water')
  if (card.choices.liquid === 'none' || !hasLiquid(card)) return false
  return card.choices.sugar !== 'syrup' || has(card, 'milk', 'juice')
}

/** Liquids that would stand under the lid; a syrup's water does not. */
function wetPresses({ choices }: DishCard): Partial<Choices>[] {
  if (choices.preparation === 'cooked-puree') return []
  const milk = choices.liquid === 'milk' ? [] : [{ liquid: 'milk' as const }]
  return choices.liquid === 'none' && choices.sugar !== 'syrup' ? [{ liquid: 'water' }, ...milk] : milk
}

/** Milk that would split for sure. */
function milkTroubles(card: DishCard, reduced: boolean): Trouble[] {
  const { acid, jaggery } = splitsMilk(card)
  const without: Partial<Choices> = { liquid: has(card, 'juice') ? 'juice' : 'water' }
  return [
    ...when(acid, 'acid-splits-milk', without),
    ...when(
      jaggery,
      'jaggery-splits-milk',
      { sugar: reduced ? 'into-reduced' : 'after-swelling' },
      { liquid: 'water' },
    ),
  ]
}

function sugarTroubles(card: DishCard, reduced: boolean): Trouble[] {
  const { sugar, liquid, pour } = card.choices
  const wet = liquid !== 'none'
  const dryBalls = { sugar: 'off-fire', liquid: 'none', form: 'balls' } as const
  const slabbed = formOf(card).shapedBy === 'knife' && !reduced && pour !== 'slurry' && pour !== 'rained'
  return [
    ...when(!has(card, 'sugar', 'jaggery', 'condensed', 'fruit') && !reduced, 'nothing-sweet'),
    ...when(!reduced && formOf(card).dry && sugar !== 'off-fire', 'balls-take-powdered-sugar', dryBalls, {
      form: 'soft',
    }),
    ...when(
      sugar === 'off-fire' && (wet || reduced),
      'powder-needs-no-liquid',
      reduced ? { sugar: 'into-reduced' } : dryBalls,
      ...(reduced ? [] : [{ sugar: 'after-swelling' } as const]),
    ),
    ...when(
      !reduced && sugar === 'off-fire' && (has(card, 'fruit', 'condensed') || brings(card, 'pulp')),
      'wet-in-dry-balls',
      { form: 'soft', sugar: 'after-swelling', liquid: 'water' },
    ),
    ...when(
      sugar === 'off-fire' && has(card, 'jaggery'),
      'jaggery-is-no-powder',
      reduced ? { sugar: 'into-reduced' } : { sugar: 'in-liquid', liquid: 'water', form: 'soft' },
    ),
    ...when(!wet && !reduced && sugar !== 'off-fire', 'sugar-needs-liquid', { liquid: 'water' }, dryBalls),
    ...when(!wet && reduced && sugar === 'in-liquid', 'sugar-needs-liquid', { sugar: 'into-reduced' }),
    ...when(
      !reduced && sugar === 'into-reduced',
      'nothing-is-reduced',
      { sugar: 'after-swelling' },
      { sugar: 'in-liquid' },
    ),
    ...when(reduced && sugar === 'after-swelling', 'no-grain-swells', { sugar: 'into-reduced' }),
    ...when(
      slabbed && sugar !== 'syrup' && sugar !== 'off-fire',
      'slab-takes-syrup',
      { sugar: 'syrup', finish: 'stirred' },
      { form: 'soft' },
    ),
    ...when(sugar === 'syrup' && !has(card, 'water'), 'syrup-needs-water', {
      sugar: reduced ? 'into-reduced' : wet ? 'in-liquid' : 'off-fire',
    }),
    ...when(wet && !hasLiquid(card), 'liquid-is-missing', {
      liquid: reduced ? 'none' : has(card, 'water') ? 'water' : has(card, 'milk') ? 'milk' : 'none',
    }),
  ]
}

function hasLiquid(card: DishCard): boolean {
  switch (card.choices.liquid) {
    case 'milk': return has(card, 'milk')
    case 'juice': return has(card, 'juice')
    case 'water-then-milk': return has(card, 'milk') && has(card, 'water')
    default: return has(card, 'water')
  }
}

/** Stays up in a cold mix: a flour, or a lentil ground fine; only a grainy one sinks. */
function stays({ family, choices }: DishCard): boolean {
  return SLURRY_BASES.includes(family) || (family === 'lentil' && choices.preparation === 'fine-paste')
}

function slurryTroubles(card: DishCard, reduced: boolean): Trouble[] {
  const { pour, roast, sugar } = card.choices
  if (pour !== 'slurry' || reduced) return []
  return [
    ...when(
      !stays(card),
      'grain-sinks-in-slurry',
      ...(card.family === 'lentil' ? [{ preparation: 'fine-paste' as const }] : []),
      { pour: 'at-once' },
      { pour: 'in-parts' },
    ),
    ...when(roast !== 'none', 'slurry-is-not-roasted', { roast: 'none' }, { pour: 'at-once' }),
    ...when(card.family === 'semolina' && sugar === 'in-liquid', 'sugar-hardens-slurry', { sugar: 'after-swelling' }),
  ]
}

/** Rained by the handful: what runs through the fingers as grains, sweetened only once it has swollen. */
const RAINED_BASES: readonly string[] = ['semolina', 'broken-wheat']

function rainedTroubles({ family, choices }: DishCard, reduced: boolean): Trouble[] {
  if (choices.pour !== 'rained' || reduced) return []
  return [
    ...when(!RAINED_BASES.includes(family), 'only-grain-is-rained', { pour: 'at-once' }, { pour: 'in-parts' }),
    ...when(
      choices.sugar === 'in-liquid' || choices.sugar === 'syrup',
      'rained-is-sweetened-after',
      { sugar: 'after-swelling' },
      { pour: 'in-parts' },
    ),
  ]
}

function restTroubles(card: DishCard, reduced: boolean): Trouble[] {
  const { fat, nuts, preparation, form, finish, pour } = card.choices
  const slurry = pour === 'slurry' && !reduced
  return [
    ...when(
      fat === 'dry-first' && nuts === 'first' && has(card, 'nuts'),
      'nuts-need-fat-first',
      { nuts: 'last' },
      { fat: 'half-and-half' },
    ),
    ...when(
      fat === 'dry-first' && ((preparation === 'raw-paste' && !reduced) || slurry),
      'paste-cannot-roast-dry',
      { fat: 'at-start' },
      { fat: 'little-by-little' },
    ),
    ...when(form !== 'soft' && finish === 'covered', 'slab-is-stirred', { finish: 'stirred' }),
  ]
}
