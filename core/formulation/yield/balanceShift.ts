import type { Allergen, Ingredient } from '../../materials/composition/ingredient'
import { yieldOf } from './yieldOf'
import type { DishCard } from '../dish/dish'
import { goesNowhere } from '../dish/goesNowhere'
import { stageDish } from '../stages/stageDish'
import { troublesOf, type TroubleCode } from '../dish/troublesOf'
import { liquidAccount } from '../proportions/liquidAccount'
import { judgedRoles, spansOf, placeInSpan, type Role, type SpanPlace } from '../dish/spans'
import { roleRatio } from '../proportions/roleRatio'

/** What a change does to the balance of a dish. */
export interface BalanceShift {
  /** By how much more water there is before the fire, finished sweet, and energy of a serving. */
  readonly waterG: number
  readonly finishedG: number
  readonly servingKj: number
  /** Sweetness of 100 g, as sugar, before and after, warm. */
  readonly sweetness: readonly [before: number, after: number]
  /** Roles whose standing in their span changes. */
  readonly standings: readonly { readonly role: Role, readonly before: SpanPlace, readonly after: SpanPlace }[]
  /** Allergens that were not in it before. */
  readonly allergens: readonly Allergen[]
  /** What cannot work afterwards, and could before. */
  readonly troubles: readonly TroubleCode[]
  /** Ids of ingredients that no stage would take in. */
  readonly nowhere: readonly string[]
}

/**
 * What a change of ingredients does to the balance.
 *
 * @param before the dish in hand
 * @param after the dish with the change
 * @param baseG weight of the base, g
 * @param rowOf rows of the ingredient table
 * @returns the differences
 */
export function balanceShift(
  before: DishCard,
  after: DishCard,
  baseG: number,
  rowOf: (ingredient: string) => Ingredient,
): BalanceShift {
  const [was, is] = [yieldOf(before, baseG, rowOf, []), yieldOf(after, baseG, rowOf, [])]
  const waterOf = (card: DishCard): number => liquidAccount(card, baseG, rowOf).totalG
  const known = new Set(troublesOf(before).map(one => one.code))
  const troubles = troublesOf(after).map(one => one.code)
  const compositionOf = (ingredient: string) => rowOf(ingredient).composition
  const standing = (card: DishCard, role: Role): SpanPlace =>
    placeInSpan(role, roleRatio(card, role, compositionOf), spansOf(card))
  const carried = new Set(was.allergens.map(one => one.allergen))
  return {
    waterG: waterOf(after) - waterOf(before),
    finishedG: is.finishedG.middle - was.finishedG.middle,
    servingKj: is.serving.energyKj - was.serving.energyKj,
    sweetness: [was.sweetness.warm, is.sweetness.warm],
    standings: judgedRoles(after)
      .map(role => ({ role, before: standing(before, role), after: standing(after, role) }))
      .filter(one => one.before.style !== one.after.style || one.before.outside !== one.after.outside),
    allergens: is.allergens.map(one => one.allergen).filter(one => !carried.has(one)),
    troubles: troubles.filter(code => !known.has(code)),
    nowhere: troubles.length > 0 ? [] : goesNowhere(after, stageDish(after).stages),
  }
}
