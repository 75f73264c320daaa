import { keysOf } from '../../records'
import type { SignId } from './signIds'

/** Senses a cook judges by, in the order they are offered: at the fire the nose is trusted before the eye. */
export const SENSES = ['smelled', 'seen', 'heard', 'felt'] as const
export type Sense = (typeof SENSES)[number]

/** What a perception says of a sign: that it has come, that it has not, or nothing that the forecast could use. */
export type Says = Term['says']

/** One thing that is perceived, as cooks of this craft call it. */
export type Term = { readonly sense: Sense } & (
  | { readonly says: 'come' | 'not-yet', readonly sign: SignId }
  | { readonly says: null, readonly sign: null }
)

const come = (sense: Sense, sign: SignId): Term => ({ sense, says: 'come', sign })
const notYet = (sense: Sense, sign: SignId): Term => ({ sense, says: 'not-yet', sign })
const kept = (sense: Sense): Term => ({ sense, says: null, sign: null })

/** Every perception by its code (craft, sections 2, 5 and 6). */
const ALL = {
  // Roast: raw flour, nutty, acrid; the looks of each base in its fat.
  'raw-smell': notYet('smelled', 'aroma'),
  'nutty': come('smelled', 'aroma'),
  'acrid': come('smelled', 'flecks'),
  'dark-flecks': come('seen', 'flecks'),
  'wet-sand': kept('seen'),
  'wheat-paste': kept('seen'),
  'custard': kept('seen'),
  'crumbs-in-fat': kept('seen'),
  'brittle': kept('felt'),
  'stiff': notYet('felt', 'loosened'),
  'flows': come('seen', 'loosened'),
  'nuts-pale': notYet('seen', 'nuts-golden'),
  'nuts-turned': come('seen', 'nuts-golden'),
  'wet-lumps': notYet('seen', 'crumbly'),
  'falls-to-crumbs': come('seen', 'crumbly'),
  'no-paste-felt': come('felt', 'crumbly'),
  // Wetting and taking up.
  'erupts': kept('heard'),
  'spitting-stopped': kept('heard'),
  'puddle': notYet('seen', 'taken-up'),
  'no-puddle': come('seen', 'taken-up'),
  'hard-centre': kept('felt'),
  'soft-through': kept('felt'),
  'has-grown': kept('seen'),
  'lumps': kept('seen'),
  // Produce, milk.
  'still-heaped': notYet('seen', 'halved'),
  'half-the-volume': come('seen', 'halved'),
  'raw-smell-gone': kept('smelled'),
  'tender': kept('felt'),
  'pasty': kept('seen'),
  'juice-stands': notYet('seen', 'dry'),
  'no-juice': come('seen', 'dry'),
  'bubbles-still': notYet('heard', 'dry'),
  'fries': come('heard', 'dry'),
  'milk-runs': notYet('seen', 'milk-taken-up'),
  'milk-gone': come('seen', 'milk-taken-up'),
  'milk-grainy': kept('seen'),
  'milk-splits': kept('seen'),
  'catches': kept('smelled'),
  // Sugar and syrup.
  'runs-again': notYet('seen', 'tightened'),
  'tight-again': come('felt', 'tightened'),
  'glossy': kept('seen'),
  'syrup-thin': notYet('seen', 'strength'),
  'syrup-right': come('seen', 'strength'),
  'grains-on-wall': kept('seen'),
  // Slurry, pressure.
  'thin-still': notYet('seen', 'thickened'),
  'thick-now': come('felt', 'thickened'),
  'hisses': notYet('heard', 'opened'),
  'lid-gives': come('felt', 'opened'),
  // The end.
  'sticks-still': notYet('seen', 'leaves-sides'),
  'leaves-sides': come('seen', 'leaves-sides'),
  'crumb-when-parted': come('seen', 'leaves-sides'),
  'no-fat-yet': notYet('seen', 'fat-shows'),
  'fat-at-edge': come('seen', 'fat-shows'),
  'soft-to-stir': notYet('felt', 'one-mass'),
  'leaves-base': come('seen', 'one-mass'),
  'moves-as-one': come('felt', 'one-mass'),
  'pinch-rolls': come('felt', 'one-mass'),
  'sticks-to-finger': notYet('felt', 'rolls'),
  'ball-rolls': come('felt', 'rolls'),
  'oil-at-edge': come('seen', 'rolls'),
  // Balls.
  'steams-still': notYet('seen', 'hand-warm'),
  'hand-warm': come('felt', 'hand-warm'),
  'holds-pressed': kept('felt'),
  'crumbles': kept('felt'),
  'slumps': kept('seen'),
} satisfies Record<string, Term>
export type TermCode = keyof typeof ALL

/** Every perception by its code. */
export const TERMS: Readonly<Record<TermCode, Term>> = ALL

/** Codes of all perceptions. */
export const TERM_CODES = keysOf(ALL)

/**
 * Whether something names a perception of this version.
 *
 * @param value anything
 * @returns true where it does
 */
export function isTerm(value: unknown): value is TermCode {
  return typeof value === 'string' && Object.hasOwn(ALL, value)
}
