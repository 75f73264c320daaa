import type { Choices, Preparation } from '../../core/formulation/dish/choices'
import type { DishCard, DishIngredient, Part } from '../../core/formulation/dish/dish'
import { usualChoices } from '../../core/formulation/dish/usualChoices'
import type { FamilyId } from '../../core/formulation/family/family'

/** Usual share of the water that stays, by family (estimates). */
const KEPT: Readonly<Record<FamilyId, number>> = {
  'semolina': 0.92, 'broken-wheat': 0.9, 'vermicelli': 0.9, 'wheat-flour': 0.88, 'other-flour': 0.88, 'gram-flour': 0.82, 'lentil': 0.55,
  'vegetable': 0.3, 'fruit': 0.45, 'coconut-nut': 0.35,
}

/** One ingredient: table id, weight relative to the base, part, an id where it is not the table's, and what it is as a second base. */
type Line = readonly [ingredient: string, perBase: number, part: Part, id?: string, asBase?: readonly [family: FamilyId, preparation: Preparation]]

/** What a starter dish says beside its name. */
export interface CardText {
  readonly others?: readonly string[]
  readonly base: string
  readonly lines: readonly Line[]
  readonly choices?: Partial<Choices>
  readonly portionG?: number
  readonly usualG?: number
  readonly minutes?: Readonly<Record<string, number>>
  readonly kept?: number
}

/**
 * One starter dish. Amounts lie inside the spans of the craft and are our own; minutes are common kitchen knowledge.
 *
 * @param id of the dish
 * @param name our own
 * @param family id of the family
 * @param text everything else
 * @returns the first version of the dish
 */
export function card(id: string, name: string, family: FamilyId, text: CardText): DishCard {
  const base: DishIngredient = { id: family, ingredient: text.base, perBase: 1, part: 'base' }
  const choices = { ...usualChoices(family, text.choices?.form), ...text.choices }
  return {
    id, name, family, choices, version: 1,
    otherNames: text.others ?? [],
    base: family,
    ingredients: [base, ...text.lines.map(([ingredient, perBase, part, own, as]): DishIngredient => ({
      id: own ?? ingredient, ingredient, perBase, part, ...(as ? { asBase: { family: as[0], preparation: as[1] } } : {}),
    }))],
    portionG: text.portionG ?? 120,
    usual: { baseG: text.usualG ?? 250, minutes: text.minutes ?? {} },
    kept: { share: text.kept ?? KEPT[family], spread: text.kept === 0.92 || family === 'semolina' ? 0.03 : 0.05 },
  }
}
