import type { PressureFit } from '../core/formulation/dish/pressure'
import type { FatLook } from '../core/formulation/yield/yieldOf'
import type { Balance, SwapNote } from '../core/formulation/swaps/swap'
import type { Role, SpanPlace, Style } from '../core/formulation/dish/spans'
import type { Origin } from '../contracts/kitchen'
import type { FamilyId } from '../core/formulation/family/family'
import type { FigureOrigin } from '../core/materials/composition/ingredient'
import { wordFor } from './wordFor'

/** Names of the parts that decide a dish's character. */
export const ROLE_WORDS: Readonly<Record<Role, string>> = { fat: 'Richness', sugar: 'Sweetness', liquid: 'Softness' }

/** How a style is said. */
export const STYLE_WORDS: Readonly<Record<Style, string>> = {
  lean: 'lean',
  everyday: 'everyday',
  rich: 'rich',
  feast: 'feast',
}

/** What happens outside a span, for all families and where one goes wrong in its own way. */
type Outside = Readonly<Record<Role, { readonly below: string, readonly above: string }>>
const OUTSIDE: Outside = {
  fat: { below: 'dry, and catches on the pan', above: 'greasy: fat pools at the edge' },
  sugar: { below: 'bland, and stiffer', above: 'very sweet, and slow to tighten' },
  liquid: { below: 'hard grain, gritty', above: 'runny: long cooking down' },
}
const OWN: Readonly<Partial<Record<FamilyId, Partial<Outside>>>> = {
  'vermicelli': {
    liquid: { below: 'hard strands', above: 'sticky, mashed strands' },
    fat: { below: 'strands stick together', above: 'greasy strands' },
  },
  'gram-flour': {
    fat: { below: 'will not loosen and flow; raw taste', above: 'greasy, will not set' },
    sugar: { below: 'will not set, crumbly', above: 'sets hard' },
    liquid: { below: 'dry and crumbly', above: 'runny, will not set' },
  },
  'wheat-flour': { liquid: { below: 'gluey lumps', above: 'runny: long cooking down' } },
  'lentil': {
    fat: { below: 'clumps and catches', above: 'greasy: it gives fat back' },
    liquid: { below: 'grainy, hard bits', above: 'runny: long cooking down' },
  },
  'vegetable': {
    liquid: { below: 'little milk: tastes of the root alone', above: 'an hour of cooking down' },
    sugar: { below: 'bland', above: 'syrupy, will not dry' },
  },
  'fruit': {
    sugar: { below: 'sharp and soft', above: 'jam, not halwa' },
    liquid: { below: 'catches before it softens', above: 'long cooking down' },
  },
  'coconut-nut': {
    sugar: { below: 'will not bind or set', above: 'sets hard and sweet' },
    fat: { below: 'catches on the pan', above: 'greasy, soft set' },
  },
}
const SURE: Readonly<Record<SpanPlace['sure'], string>> = { may: 'may be', likely: 'likely', surely: 'almost surely' }

/**
 * What happens outside a span, and how sure that is.
 *
 * @param standing outside of its span
 * @param family id of the family
 * @returns such as `likely greasy: fat pools at the edge`
 */
export function outsideText(standing: SpanPlace, family: string): string {
  const words = (wordFor<Partial<Outside>>(OWN, family)?.[standing.role] ?? OUTSIDE[standing.role])[
    standing.outside ?? 'below'
  ]
  return `${SURE[standing.sure]} ${words}`
}

/** How a pan takes a dish. */
export const FIT_WORDS = {
  'roomy': 'Room to spare: it roasts fast, stir wide',
  'fits': 'It fits, with room to stir',
  'tight': 'Tight: no room to stir',
  'too-small': 'Too small for this much',
} as const

/** Where a number comes from. */
export const ORIGIN_WORDS: Readonly<Record<Origin, string>> = {
  guess: 'a guess', entered: 'entered', weighed: 'weighed', learned: 'learned from your batches',
}

/** Where a figure of the ingredient table comes from. */
export const FIGURE_WORDS: Readonly<Record<FigureOrigin, string>> = {
  table: 'from a table', recalled: 'recalled, unchecked', estimate: 'an estimate', weighed: 'weighed by you',
}

/** How the fat shows. */
export const FAT_WORDS: Readonly<Record<FatLook, string>> = {
  'held': 'held in the mass',
  'seen-at-edge': 'seen at the edge',
  'pools': 'pools',
}

/** What a swap keeps. */
export const BALANCE_WORDS: Readonly<Record<Balance, string>> = {
  'water': 'water',
  'fat': 'fat',
  'sugar': 'sugar',
  'milk-solids': 'milk solids',
  'starch': 'starch and protein',
}

/** What to do or mind after a swap. */
export const SWAP_WORDS: Readonly<Record<SwapNote, string>> = {
  'whisk-in': 'Whisk the powder into the water first.',
  'catches': 'It catches sooner: lower flame.',
  'brings-sugar': "It brings its own sugar; the dish's is less by it.",
  'no-milk': 'No milk in it any more.',
  'no-set': 'It does not thicken like milk.',
  'reduce': 'Cook it down: it takes much longer.',
  'longer': 'Plan more minutes.',
  'grainy': 'A grainier mass.',
  'grate-fine': 'Grate it fine.',
  'paler': "Paler, without the jaggery's taste.",
  'sweeter-clean': 'No straining.',
  'strain': 'Melt and strain it.',
  'darker': 'Darker, with its own taste.',
  'softer-set': 'It sets softer: invert sugar.',
  'by-volume': 'Same weight; the cup reads differently.',
  'browns': 'Its milk browns: lower flame.',
  'foams': 'It foams until its water is gone.',
  'other-taste': 'It brings its own taste.',
  'brings-milk': 'It brings milk as an allergen.',
  'canned-sugar': 'Canned fruit brings syrup.',
  'taste-fruit': 'Fresh fruit varies: sugar to the fruit.',
  'splits-milk': 'Acid fruit splits milk: add milk after the fruit is dry.',
  'grain': 'Another grain: another bite, other water.',
  'roast-less': 'It is roasted already: warm it only.',
}

/** Words of two letters and less say nothing by themselves. */
const SAYS_LITTLE = 2

/**
 * The short word for a household measure: the last of its name, or all of it where that says too little.
 *
 * @param name such as `Verandah glass`
 * @returns such as `glass`
 */
export function shortName(name: string): string {
  const words = name.trim().toLowerCase().split(/\s+/)
  const last = words.at(-1) ?? name
  return last.length > SAYS_LITTLE ? last : words.join(' ')
}

/**
 * An amount in a household measure, as it is said; a name that is no English word stays as it is.
 *
 * @param text the count as written, such as `1½`
 * @param count the count as a number
 * @param name of the measure
 * @returns such as `1½ glasses`, `2 × गिलास`
 */
export function measureText(text: string, count: number, name: string): string {
  const lower = shortName(name)
  if (!/^[a-z]+$/.test(lower)) return `${text} × ${lower}`
  const many = /(s|x|ch|sh)$/.test(lower) ? `${lower}es` : `${lower}s`
  return `${text} ${count > 1 ? many : lower}`
}

/** Kinds of fire. */
export const FIRE_KIND_WORDS = {
  gas: 'gas',
  induction: 'induction, in watts or levels',
  coil: 'coil or plate: slow to follow',
  wood: 'wood or charcoal, by eye',
} as const

/**
 * How a dish stands under pressure, in a sentence, and whether it is a danger.
 *
 * @param fit liquid and room
 * @param pan the house's pressure pan; null where it has not said
 * @param grams writes grams
 */
export function pressureText(
  fit: PressureFit,
  pan: { readonly name: string, readonly capacityMl: number } | null,
  grams: (massG: number) => string,
): { readonly text: string, readonly danger: boolean } {
  const litres = (ml: number): string => `${(Math.ceil(ml / 100) / 10).toFixed(1)} l`
  const full = fit.most === 0.5 ? 'half' : 'two thirds'
  const more =
    fit.addedG >= 1
      ? ` ${grams(fit.addedG)} of it is water that goes in beside the dish's own and is cooked down again.`
      : ''
  const liquid = `Under pressure: ${grams(fit.liquidG)} of liquid.${more}`
  if (pan && pan.capacityMl < fit.needsMl)
    return {
      text: `${liquid} ${litres(fit.contentMl)} in all is more than ${full} of the ${pan.name} (${litres(pan.capacityMl)}): press it in ${Math.ceil(fit.needsMl / pan.capacityMl)} lots, or cook it open.`,
      danger: true,
    }
  return {
    text: `${liquid} ${litres(fit.contentMl)} in all, ${full} full at most: ${pan ? `the ${pan.name} holds it` : `a pressure pan of ${litres(fit.needsMl)} or more`}.`,
    danger: false,
  }
}
