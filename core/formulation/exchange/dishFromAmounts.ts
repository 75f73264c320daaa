import { FAMILY_IDS } from '../family/family'
import { isOneOf } from '../../records'
import { known } from '../../maths/table/itemAt'
import type { Ingredient } from '../../materials/composition/ingredient'
import type { DishCard, DishIngredient } from '../dish/dish'
import { troublesOf } from '../dish/troublesOf'
import { usualChoices } from '../dish/usualChoices'
import { usualKept } from '../dish/usualKept'
import { CoreError } from '../../error'
import { familyOf } from '../family/families'
import type { FamilyId } from '../family/family'
import { partOf } from '../swaps/applySwap'

/** One person's share of the finished sweet, g (estimate). */
const PORTION_G = 120

/** A weight of one ingredient, as it was decided. */
export interface DecidedAmount { readonly ingredient: string, readonly massG: number }

/**
 * A dish from a list of weights: the weightiest that can be a base is one, the others are taken by what they are, and
 * the school is the usual one of the family, led to what can be cooked with what is there.
 *
 * @param id of the new dish
 * @param name of the new dish, 1 to 60 characters
 * @param amounts at least one that can be a base, g above zero; the same ingredient twice is added up
 * @param rowOf rows of the ingredient table
 * @returns the first version of the dish
 * @throws CoreError `cannot-work` where none of them can be a base
 */
export function dishFromAmounts(
  id: string,
  name: string,
  amounts: readonly DecidedAmount[],
  rowOf: (ingredient: string) => Ingredient,
): DishCard {
  const sums = new Map<string, number>()
  for (const one of amounts) if (one.massG > 0) sums.set(one.ingredient, (sums.get(one.ingredient) ?? 0) + one.massG)
  const bases = [...sums]
    .filter(([ingredient]) => familyIn(rowOf(ingredient)) !== undefined)
    .sort((p, q) => weight(rowOf(q[0]), q[1]) - weight(rowOf(p[0]), p[1]))
  const [base] = bases
  if (!base) throw new CoreError('cannot-work', 'dishFromAmounts.amounts', { missing: 'a base' })
  const [baseId, baseG] = base
  const family = known(familyIn(rowOf(baseId)), baseId)
  const ingredients = [...sums].map(([ingredient, massG]): DishIngredient =>
    ingredient === baseId
      ? { id: family, ingredient, perBase: 1, part: 'base' }
      : {
          id: ingredient,
          ingredient,
          perBase: Math.min(20, Math.round((massG / baseG) * 1e5) / 1e5),
          part: partOf(rowOf(ingredient)),
        },
  )
  const choices = usualChoices(family)
  const card: DishCard = {
    id,
    version: 1,
    name,
    otherNames: [],
    family,
    base: family,
    ingredients,
    choices,
    portionG: PORTION_G,
    usual: { baseG: Math.min(20000, Math.max(5, Math.round(baseG))), minutes: {} },
    kept: usualKept(family, choices),
  }
  const cooked = led(withLiquids(card))
  return { ...cooked, kept: usualKept(family, cooked.choices) }
}

/** Grain and lentils count before nuts and fruit where both could be the base. */
function weight(row: Ingredient, massG: number): number {
  return massG * (row.kind === 'base' && row.families[0] !== 'coconut-nut' ? 4 : 1)
}

/** Wetted with what is there. */
function withLiquids(card: DishCard): DishCard {
  const has = (part: string): boolean => card.ingredients.some(one => one.part === part)
  const liquid =
    has('milk') && has('water')
      ? 'water-then-milk'
      : has('milk')
        ? 'milk'
        : has('juice')
          ? 'juice'
          : has('water')
            ? 'water'
            : 'none'
  const fresh = familyOf(card.family).fresh
  return { ...card, choices: { ...card.choices, liquid: fresh && liquid === 'water-then-milk' ? 'milk' : liquid } }
}

/** Led by the offer that leaves the fewest troubles, without touching the ingredients. */
function led(card: DishCard): DishCard {
  let now = card
  for (let step = 0; step < 10; step++) {
    const offered = troublesOf(now)
      .flatMap(trouble => trouble.offers)
      .map(offer => ({ ...now, choices: { ...now.choices, ...offer } }))
    const best = offered.reduce<DishCard | null>(
      (found, one) => (found && troublesOf(found).length <= troublesOf(one).length ? found : one),
      null,
    )
    if (!best) return now
    now = best
  }
  return now
}

/** The family that a row is a base of; undefined for one that is none. */
function familyIn({ families }: Ingredient): FamilyId | undefined {
  return families.find((id): id is FamilyId => isOneOf(FAMILY_IDS, id))
}
