import { type Form, formOf } from './forms'
import { itemAt } from '../../maths/table/itemAt'
import type { Ingredient } from '../../materials/composition/ingredient'
import { CoreError } from '../../error'
import { familyOf } from '../family/families'
import type { FamilyId } from '../family/family'
import { spansOf, STYLES, type Role, type Spans, type Style } from './spans'
import type { DishCard, DishIngredient, Part } from './dish'
import { usualChoices } from './usualChoices'
import { usualKept } from './usualKept'

/** Usual amounts to begin with, g of base (estimates). */
const USUAL = { dry: 250, fresh: 700 } as const

/** Water of a boiled syrup, and cardamom, g for each g of base (kitchen rules, estimates). */
const SYRUP_WATER = 0.3
const CARDAMOM = { fresh: 0.002, dry: 0.006 } as const

/** What a new dish starts from. */
export interface NewDish {
  readonly id: string
  readonly name: string
  readonly family: FamilyId
  readonly form?: Form | undefined
  readonly style: Style
  /** Row of the base; it must be a base of the family. */
  readonly base: Pick<Ingredient, 'id' | 'families'>
}

/**
 * A new dish of a family in a style: the usual school, and fat, sugar and liquid in the middle of that style's part of
 * each span.
 *
 * @param start family, form, style and base
 * @returns the first version of the dish
 * @throws CoreError `unknown-name` where the base does not belong to the family
 * @example newDish({ id: 'd', name: 'Ours', family: 'semolina', style: 'rich', base: semolinaMedium })
 */
export function newDish(start: NewDish): DishCard {
  if (!start.base.families.includes(start.family))
    throw new CoreError('unknown-name', 'newDish.base', { given: start.base.id, family: start.family })
  const choices = usualChoices(start.family, start.form)
  const spans = spansOf({ family: start.family, choices })
  const { fresh } = familyOf(start.family)
  const line = (ingredient: string, part: Part, perBase: number): DishIngredient[] =>
    perBase > 0 ? [{ id: ingredient, ingredient, perBase: Math.round(perBase * 1000) / 1000, part }] : []
  const liquid = choices.liquid === 'none' ? 0 : styleRatio(spans, 'liquid', start.style)
  const syrupWater = choices.sugar === 'syrup' && choices.liquid === 'none' ? SYRUP_WATER : 0
  const powdered = choices.sugar === 'off-fire'
  return {
    id: start.id, version: 1, name: start.name, otherNames: [], family: start.family, base: start.family, choices,
    ingredients: [
      { id: start.family, ingredient: start.base.id, perBase: 1, part: 'base' },
      ...line('ghee', 'fat', styleRatio(spans, 'fat', start.style)),
      ...line(powdered ? 'sugar-powdered' : 'sugar', 'sugar', styleRatio(spans, 'sugar', start.style)),
      ...(choices.liquid === 'milk' ? line('milk', 'milk', liquid) : line('water', 'water', liquid + syrupWater)),
      { id: 'cardamom', ingredient: 'cardamom-ground', perBase: fresh ? CARDAMOM.fresh : CARDAMOM.dry, part: 'spice' },
    ],
    portionG: formOf({ choices }).portionG,
    usual: { baseG: fresh ? USUAL.fresh : USUAL.dry, minutes: {} },
    kept: usualKept(start.family, choices),
  }
}

/**
 * The middle of a style's part of a span.
 *
 * @param spans of the family
 * @param role fat, sugar or liquid
 * @param style lean to feast
 * @returns weight relative to the base
 */
export function styleRatio(spans: Spans, role: Role, style: Style): number {
  const { from, to, steps } = spans[role]
  const edges = [from, ...steps, to]
  const at = STYLES.indexOf(style)
  return (itemAt(edges, at) + itemAt(edges, at + 1)) / 2
}
