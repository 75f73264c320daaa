import { itemAt } from '../../maths/table/itemAt'
import type { Ingredient } from '../../materials/composition/ingredient'
import { mixOf } from '../../materials/composition/mixOf'
import { sweetnessG } from '../yield/sweetness'
import type { DishCard, DishIngredient, Part } from '../dish/dish'
import { CoreError } from '../../error'
import { nonNegative } from '../../maths/linear/nonNegative'
import { balanceOf } from './balanceOf'
import { BALANCES, type Balance, type SwapChange, type SwapOutcome, type SwapRule } from './swap'

/** How much each balance counts where not all can be kept (estimates): water least, because it can be boiled off. */
const WEIGHT: Readonly<Record<Balance, number>> = {
  'water': 1,
  'fat': 1.5,
  'sugar': 1.5,
  'milk-solids': 1.2,
  'starch': 1,
}
/**
 * Holds what may be adjusted near what it was: water is moved freely, sugar and fat only where much is gained
 * (estimates).
 */
const STAY: Readonly<Record<'water' | 'sugar' | 'fat', number>> = { water: 0.02, sugar: 0.1, fat: 0.3 }
/** Over or missing by less than this, g for each g of base, is kept. */
const KEPT = 0.012
const ADJUSTED_PARTS: Readonly<Record<'water' | 'sugar' | 'fat', readonly Part[]>> = {
  water: ['water'],
  sugar: ['sugar'],
  fat: ['fat'],
}

type RowOf = (ingredient: string) => Ingredient

/**
 * Swaps one ingredient of a dish for others: their amounts, and the changes of water, sugar and fat that go with them,
 * are the non-negative ones that keep the balances best (weighted least squares).
 *
 * @param dish the dish
 * @param id of the ingredient within the dish that goes out
 * @param rule a swap of the book whose `from` names that ingredient
 * @param rowOf rows of the ingredient table
 * @returns changed amounts, what cannot be kept, and how the sweetness changes
 * @throws CoreError `unknown-name` where the dish or the rule does not have it
 */
export function solveSwap(dish: DishCard, id: string, rule: SwapRule, rowOf: RowOf): SwapOutcome {
  const out = dish.ingredients.find(one => one.id === id)
  if (!out || !rule.from.includes(out.ingredient))
    throw new CoreError('unknown-name', 'solveSwap.id', { given: id, swap: rule.id })
  const adjusted = dish.ingredients.filter(one => one.id !== id && one.id !== dish.base
    && rule.adjusts.some(kind => one.part !== undefined && ADJUSTED_PARTS[kind].includes(one.part)))
  const gone = balanceOf(rowOf(out.ingredient))
  const coming = rule.to.map(ingredient => balanceOf(rowOf(ingredient)))
  const moving = adjusted.map(one => ({ perBase: one.perBase, balance: balanceOf(rowOf(one.ingredient)) }))
  const rows: number[][] = BALANCES.map(balance =>
    [...coming, ...moving.map(one => one.balance)].map(one => one[balance] * WEIGHT[balance]))
  const target = BALANCES.map(
    balance =>
      WEIGHT[balance]
      * (out.perBase * gone[balance] + moving.reduce((sum, one) => sum + one.perBase * one.balance[balance], 0)),
  )
  adjusted.forEach((one, k) => {
    const stay =
      STAY[rule.adjusts.find(kind => one.part !== undefined && ADJUSTED_PARTS[kind].includes(one.part)) ?? 'water']
    rows.push([...coming.map(() => 0), ...adjusted.map((_, other) => (other === k ? stay : 0))])
    target.push(stay * one.perBase)
  })
  const solved = nonNegative(rows, target)
  const changes: SwapChange[] = [
    { id, ingredient: out.ingredient, before: out.perBase, after: 0 },
    ...rule.to.map((ingredient, k) => ({
      id: freeId(dish, ingredient),
      ingredient,
      before: existing(dish, id, ingredient),
      after: existing(dish, id, ingredient) + itemAt(solved, k),
    })),
    ...adjusted
      .map((one, k) => graded(one, itemAt(solved, rule.to.length + k), rule))
      .filter(one => Math.abs(one.after - one.before) > 1e-4),
  ]
  return {
    changes,
    unkept: unkept(changes, rowOf, rule),
    sweetness: sweetnessChange(changes, rowOf),
    notes: rule.notes,
  }
}

/** A coarser or finer grade asks for more or less water of its own. */
function graded(one: DishIngredient, after: number, rule: SwapRule): SwapChange {
  const factor = one.part === 'water' ? rule.liquidFactor ?? 1 : 1
  return { id: one.id, ingredient: one.ingredient, before: one.perBase, after: after * factor }
}

function existing(dish: DishCard, id: string, ingredient: string): number {
  return dish.ingredients.find(one => one.ingredient === ingredient && one.id !== id)?.perBase ?? 0
}

/** The id under which an ingredient stands or comes in. */
function freeId(dish: DishCard, ingredient: string): string {
  const same = dish.ingredients.find(one => one.ingredient === ingredient)
  if (same) return same.id
  return dish.ingredients.some(one => one.id === ingredient) ? `${ingredient}-2` : ingredient
}

function unkept(changes: readonly SwapChange[], rowOf: RowOf, rule: SwapRule): SwapOutcome['unkept'] {
  return BALANCES.flatMap((balance) => {
    const perBase = changes.reduce(
      (sum, one) => sum + (one.after - one.before) * balanceOf(rowOf(one.ingredient))[balance],
      0,
    )
    const meant = balance === 'water' && rule.liquidFactor !== undefined
    return Math.abs(perBase) > KEPT && !meant ? [{ balance, perBase }] : []
  })
}

function sweetnessChange(changes: readonly SwapChange[], rowOf: RowOf): number {
  return sweetnessG(
    mixOf(changes.map(one => ({ massG: one.after - one.before, food: rowOf(one.ingredient).nutrients }))),
    'warm',
  )
}
