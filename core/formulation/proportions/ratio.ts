import { entryAt, itemAt, known } from '../../maths/table/itemAt'
import type { Ingredient } from '../../materials/composition/ingredient'
import { secondBases } from '../dish/basesOf'
import type { DishCard } from '../dish/dish'
import { CoreError } from '../../error'
import { readQuantity } from '../measures/readQuantity'
import type { InHand } from './setAmount'
import { roleOf } from './roleOf'
import type { Role } from '../dish/spans'

/** A ratio as it was said, the base first. */
export interface SaidRatio {
  /** Each above 0. */
  readonly parts: readonly number[]
  readonly by: 'cup' | 'weight'
}

const MOST_PART = 40
const BY_WEIGHT = /\s*,?\s*\b(?:by|in) (?:weight|grams?|g)\b\s*$/
const BY_CUP = /\s*,?\s*\b(?:by|in) (?:cups?|glass(?:es)?|volume|measures?)\b\s*$/
/** What three and four parts mean where the dish does not have as many ingredients on its shelf. */
const ROLES_SAID: readonly (Role | 'base')[] = ['base', 'fat', 'sugar', 'liquid']

/**
 * Understands a ratio: `1 : 1 : 1 : 3`, `1:½:1½:4 by weight`. By cup unless it says by weight.
 *
 * @param text what was typed, up to 80 characters
 * @returns the ratio, or null where it is none
 * @throws CoreError `out-of-range` where a part is nothing or more than 40
 * @example parseRatio('1 : 1 : 1 : 3') // { parts: [1, 1, 1, 3], by: 'cup' }
 */
export function parseRatio(text: string): SaidRatio | null {
  const plain = text.trim().toLowerCase()
  if (plain.length > 80 || !plain.includes(':')) return null
  const by = BY_WEIGHT.test(plain) ? 'weight' : 'cup'
  const pieces = plain.replace(BY_WEIGHT, '').replace(BY_CUP, '').split(':').map(piece => readQuantity(piece))
  const parts = pieces.flatMap(one => (one === null || one.rest !== '' ? [] : [one.value]))
  if (pieces.length < 2 || parts.length < pieces.length) return null
  if (parts.some(part => !(part > 0 && part <= MOST_PART)))
    throw new CoreError('out-of-range', 'parseRatio.text', { given: text, min: 'more than nothing', max: MOST_PART })
  return { parts, by }
}

/**
 * The dish in the proportions of a ratio; what the ratio does not speak of keeps its weight to the base.
 *
 * @param hand the dish in hand
 * @param ratio as it was said
 * @param shelf ids of the ingredients on the shelf in their order, the base among them
 * @param rowOf rows of the ingredient table
 * @returns the dish, and what each part was taken for; what plays one role together keeps its own proportions
 * @throws CoreError `not-understood` where there are not as many things as parts
 */
export function inRatio(
  hand: InHand,
  ratio: SaidRatio,
  shelf: readonly string[],
  rowOf: (ingredient: string) => Ingredient,
): { readonly dish: DishCard, readonly meant: readonly (readonly string[])[] } {
  const { dish } = hand
  const meant = meantBy(dish, ratio.parts.length, [dish.base, ...shelf.filter(id => id !== dish.base)], rowOf)
  const ingredient = (id: string): DishCard['ingredients'][number] =>
    known(
      dish.ingredients.find(one => one.id === id),
      id,
    )
  const density = (id: string): number => rowOf(ingredient(id).ingredient).bulkDensity
  const scale = ratio.by === 'cup' ? density : () => 1
  const shares = meant.map(ids => {
    const sizes = ids.map(id => ingredient(id).perBase / scale(id))
    const all = sizes.reduce((sum, size) => sum + size, 0)
    return ids.map((id, j) => ({ id, share: all > 0 ? itemAt(sizes, j) / all : 1 / ids.length }))
  })
  // Where two bases are the first part together, the first is its share of it.
  const first =
    itemAt(ratio.parts, 0)
    * known(
      itemAt(shares, 0).find(one => one.id === dish.base),
      dish.base,
    ).share
    * scale(dish.base)
  const perBase = new Map(
    shares.flatMap((of, i) =>
      of.map(({ id, share }) => [id, (itemAt(ratio.parts, i) * share * scale(id)) / first] as const),
    ),
  )
  return {
    meant,
    dish: {
      ...dish,
      ingredients: dish.ingredients.map(one =>
        one.id === dish.base || !perBase.has(one.id)
          ? one
          : { ...one, perBase: Math.min(20, Math.round(entryAt(perBase, one.id) * 1e5) / 1e5) },
      ),
    },
  }
}

/** Which ingredients each part speaks of: those on the shelf in their order, or the roles. */
function meantBy(
  dish: DishCard,
  count: number,
  shelf: readonly string[],
  rowOf: (ingredient: string) => Ingredient,
): string[][] {
  if (shelf.length === count) return shelf.map(id => [id])
  const roles = ROLES_SAID.slice(0, count).map(role =>
    role === 'base'
      ? [dish.base, ...secondBases(dish).map(one => one.id)]
      : dish.ingredients
          .filter(one => one.id !== dish.base && roleOf(rowOf(one.ingredient).composition, one.part) === role)
          .map(one => one.id),
  )
  if (count > ROLES_SAID.length || roles.some(ids => ids.length === 0)) {
    throw new CoreError('not-understood', 'inRatio.parts', { given: count, wanted: shelf.length })
  }
  return roles
}
