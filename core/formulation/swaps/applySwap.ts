import { itemAt } from '../../maths/table/itemAt'
import type { Ingredient, Kind } from '../../materials/composition/ingredient'
import type { DishCard, DishIngredient, Part } from '../dish/dish'
import type { SwapOutcome } from './swap'

/** What an ingredient of a kind does in a dish that takes it in. */
const PART_OF: Readonly<Record<Kind, Part>> = {
  'base': 'helper',
  'produce': 'fruit',
  'coconut': 'spice',
  'nuts': 'nuts',
  'fat': 'fat',
  'sugar': 'sugar',
  'jaggery': 'jaggery',
  'water': 'water',
  'milk': 'milk',
  'juice': 'juice',
  'milk-solids': 'milk-solids',
  'condensed': 'condensed',
  'spice': 'spice',
  'steeped': 'steeped',
}

/**
 * The part an ingredient takes when it comes into a dish.
 *
 * @param row of the ingredient table
 * @returns its part
 */
export function partOf(row: Pick<Ingredient, 'kind'>): Part {
  return PART_OF[row.kind]
}

/**
 * The dish after a swap. Where the base itself is swapped, everything stays relative to the new one.
 *
 * @param dish the dish before
 * @param outcome from `solveSwap`
 * @param rowOf rows of the ingredient table
 * @returns the changed dish; ingredients that came to nothing are gone, choices follow the liquids that are there
 */
export function applySwap(dish: DishCard, outcome: SwapOutcome, rowOf: (ingredient: string) => Ingredient): DishCard {
  const out = itemAt(outcome.changes, 0)
  const others = outcome.changes.slice(1)
  const place = dish.ingredients.findIndex(one => one.id === out.id)
  const oldPart = dish.ingredients[place]?.part
  const baseGone = out.id === dish.base
  const kept = dish.ingredients.filter(one => one.id !== out.id)
  const known = new Set(kept.map(one => one.id))
  const changed = kept.map((one) => {
    const change = others.find(other => other.id === one.id)
    return change ? { ...one, perBase: change.after } : one
  })
  const oldBase = dish.ingredients[place]?.asBase
  const fresh = others.filter(one => !known.has(one.id)).map((one, i): DishIngredient => {
    const row = rowOf(one.ingredient)
    const part = baseGone && i === 0 ? 'base' : sameRole(row, oldPart)
    // What takes the place of a second base is got ready as that was.
    const asBase =
      oldBase && !baseGone && part === 'base'
        ? { asBase: { ...oldBase, family: row.families[0] ?? oldBase.family } }
        : {}
    return {
      id: baseGone && i === 0 ? dish.base : one.id,
      ingredient: one.ingredient,
      perBase: one.after,
      part,
      ...asBase,
    }
  })
  const all = [...changed.slice(0, place), ...fresh, ...changed.slice(place)].filter(
    one => one.perBase > 1e-4 || one.id === dish.base,
  )
  const scale = baseGone ? 1 / (all.find(one => one.id === dish.base)?.perBase ?? 1) : 1
  return withLiquid({
    ...dish,
    ingredients: all.map(one => ({
      ...one,
      perBase: one.id === dish.base ? 1 : Math.round(one.perBase * scale * 1e5) / 1e5,
    })),
  })
}

function sameRole(row: Ingredient, old: Part | undefined): Part {
  const own = partOf(row)
  return (own === 'fruit' || own === 'helper') && old !== undefined ? old : own
}

/** What the dish is wetted with, by what is in it now. */
function withLiquid(dish: DishCard): DishCard {
  const has = (part: Part): boolean => dish.ingredients.some(one => one.part === part && one.perBase > 0)
  const { liquid } = dish.choices
  if (liquid === 'milk' && !has('milk'))
    return { ...dish, choices: { ...dish.choices, liquid: has('water') ? 'water' : 'none' } }
  if (liquid === 'water-then-milk' && !has('milk')) return { ...dish, choices: { ...dish.choices, liquid: 'water' } }
  if ((liquid === 'water' || liquid === 'water-then-milk') && !has('water'))
    return { ...dish, choices: { ...dish.choices, liquid: has('milk') ? 'milk' : 'none' } }
  return dish
}
