import { type Form, formOf } from './forms'
import { itemAt } from '../../maths/table/itemAt'
import { familyOf } from '../family/families'

/** Parts of a dish whose weight relative to the base decides its character. */
export const ROLES = ['fat', 'sugar', 'liquid'] as const
export type Role = (typeof ROLES)[number]

/** Names of the styles inside a span, rising. */
export const STYLES = ['lean', 'everyday', 'rich', 'feast'] as const
export type Style = (typeof STYLES)[number]

/** Usual weights relative to the dry base, and where the styles change; from the craft's own ranges. */
export interface Span {
  readonly from: number
  readonly to: number
  /** Upper ends of lean, everyday and rich (estimates). */
  readonly steps: readonly [number, number, number]
  /** True where the craft gives no range and this is an estimate. */
  readonly estimate: boolean
}
export type Spans = Readonly<Record<Role, Span>>

/** Styles change at a fifth, half and three quarters of a span unless something better is known (estimate). */
function span(from: number, to: number, steps?: readonly [number, number, number], estimate = false): Span {
  const at = (share: number): number => from + (to - from) * share
  return { from, to, steps: steps ?? [at(0.2), at(0.5), at(0.75)], estimate }
}
const guess = (from: number, to: number): Span => span(from, to, undefined, true)

/** Of what has no row of its own. */
const SEMOLINA: Spans = {
  fat: span(0.3, 1.3, [0.5, 0.8, 1.05]),
  sugar: span(0.9, 2.4, [1.0, 1.4, 1.9]),
  liquid: span(3, 5.6, [3.6, 4.4, 5]),
}
const BALLS: Spans = { fat: span(0.6, 0.95), sugar: span(0.7, 1), liquid: span(0, 0) }
const LENTIL: Spans = { fat: span(0.6, 1.2), sugar: span(0.9, 1.3), liquid: span(1, 4) }

/** Weight relative to the dry base, by family and form; of fresh produce relative to its prepared raw weight. */
const SPANS: Readonly<Record<string, Spans>> = {
  'semolina': SEMOLINA,
  'semolina slab': { fat: span(0.3, 1.3), sugar: span(0.9, 2.4), liquid: guess(0.8, 3) },
  'broken-wheat': { fat: span(0.25, 0.7), sugar: span(0.8, 1.5), liquid: span(3.5, 4.5) },
  'vermicelli': { fat: span(0.25, 0.6), sugar: span(0.6, 1), liquid: span(2, 3) },
  'wheat-flour': { fat: span(0.8, 1.8), sugar: span(1.2, 1.7), liquid: span(3, 6) },
  'other-flour': { fat: span(0.8, 1.8), sugar: span(1.2, 1.7), liquid: span(3, 6) },
  'gram-flour': { fat: span(0.8, 1.4), sugar: span(0.9, 1.6), liquid: span(1.5, 3) },
  'gram-flour slab': { fat: span(0.9, 1.4), sugar: span(1.2, 2), liquid: span(0.8, 1.8) },
  'lentil': LENTIL,
  'vegetable': { fat: span(0.02, 0.12), sugar: span(0.1, 0.35), liquid: span(0.3, 1.2) },
  'fruit': { fat: span(0.05, 0.2), sugar: span(0.1, 0.5), liquid: span(0, 0.5) },
  'coconut-nut': { fat: guess(0, 0.4), sugar: guess(0.5, 1.1), liquid: guess(0, 0.8) },
}
/** Cooked from its own purée: what the pot has given is already in it (estimate). */
const PUREE: Spans = { ...LENTIL, liquid: guess(0, 4) }

/**
 * The usual spans of a family in one form.
 *
 * @param dish family id, and its choices where it has any
 * @returns spans; those of semolina for a family that is not known
 */
export function spansOf(dish: {
  readonly family: string
  readonly choices?: { readonly form: Form, readonly preparation: string } | undefined
}): Spans {
  const form = dish.choices?.form ?? 'soft'
  if (dish.choices?.preparation === 'cooked-puree') return PUREE
  if (formOf(dish).dry && !familyOf(dish.family).fresh) return BALLS
  return SPANS[`${dish.family} ${form}`] ?? SPANS[dish.family] ?? SEMOLINA
}

/**
 * The roles that a dish is judged by. Where nothing is poured in, the little water that makes up for what an ingredient
 * had in it says nothing of the dish's character.
 *
 * @param dish its choices, where it has any
 * @returns all roles, or those but the liquid
 */
export function judgedRoles(dish: { readonly choices?: { readonly liquid: string } | undefined }): readonly Role[] {
  return dish.choices?.liquid === 'none' ? ROLES.filter(role => role !== 'liquid') : ROLES
}

/** Where a part stands: its style, or what lies outside the span. */
export interface SpanPlace {
  readonly role: Role
  readonly ratio: number
  readonly span: Span
  readonly style: Style | null
  readonly outside: 'below' | 'above' | null
  /** How sure the consequence is, by how far outside it lies. */
  readonly sure: 'may' | 'likely' | 'surely'
}

/** Outside by less than this share of the bound it may go wrong, beyond the other it surely does (estimates). */
const MAY = 0.12
const SURELY = 0.45

/**
 * Where a part stands in its span.
 *
 * @param role which part
 * @param ratio its weight relative to the base, zero or more
 * @param spans the family's spans
 * @returns the style inside the span; null and the side outside of it
 * @example placeInSpan('fat', 0.7, spansOf({ family: 'semolina' })).style // 'everyday'
 */
export function placeInSpan(role: Role, ratio: number, spans: Spans): SpanPlace {
  const { [role]: found } = spans
  const slack = 1e-9
  const outside = ratio < found.from - slack ? 'below' : ratio > found.to + slack ? 'above' : null
  const step = found.steps.findIndex(end => ratio <= end + slack)
  const bound = outside === 'below' ? found.from : found.to
  const far = outside ? Math.abs(ratio - bound) / Math.max(bound, 0.05) : 0
  return {
    role,
    ratio,
    span: found,
    outside,
    style: outside ? null : itemAt(STYLES, step < 0 ? 3 : step),
    sure: far < MAY ? 'may' : far < SURELY ? 'likely' : 'surely',
  }
}
