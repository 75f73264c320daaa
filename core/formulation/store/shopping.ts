import { itemAt } from '../../maths/table/itemAt'
import type { Ingredient } from '../../materials/composition/ingredient'

/** Something in the house, g; days are counted from 1970-01-01. */
export interface StoreItem {
  readonly id: string
  readonly ingredient: string
  readonly massG: number
  readonly gotOn: number
  readonly openedOn: number | null
  /** Last day it should be used, as the package says, or null. */
  readonly useBy: number | null
}

/** What one or several dishes need of an ingredient, as bought, g. */
export interface Need { readonly ingredient: string, readonly massG: number, readonly dishes: readonly string[] }

/** One line of a shopping list. */
export interface ShoppingLine {
  readonly ingredient: string
  readonly neededG: number
  readonly dishes: readonly string[]
  readonly inHouseG: number
  /** Packages to buy, g each, biggest first; empty where the house has enough. */
  readonly packagesG: readonly number[]
  /** What will be left afterwards, g. */
  readonly leftG: number
}

/** A shortage smaller than this share is not worth a package. */
const ENOUGH = 0.02

/**
 * Adds up what several dishes need.
 *
 * @param needs of each dish
 * @returns one need an ingredient, in the order in which they first come
 */
export function addNeeds(needs: readonly Need[]): Need[] {
  const sums = new Map<string, Need>()
  for (const need of needs) {
    const known = sums.get(need.ingredient)
    sums.set(need.ingredient, known
      ? { ...known, massG: known.massG + need.massG, dishes: [...new Set([...known.dishes, ...need.dishes])] }
      : need)
  }
  return [...sums.values()]
}

/**
 * What to buy, in sensible packages: what is in the house and still good is used first.
 *
 * @param needs what is needed, one line an ingredient
 * @param store what is in the house
 * @param rowOf rows of the ingredient table
 * @param today days since 1970-01-01: what is past its day is not counted
 * @returns one line a need; water is left out
 */
export function shopping(
  needs: readonly Need[],
  store: readonly StoreItem[],
  rowOf: (ingredient: string) => Ingredient,
  today: number,
): ShoppingLine[] {
  return needs
    .filter(need => rowOf(need.ingredient).kind !== 'water')
    .map(need => {
      const row = rowOf(need.ingredient)
      const inHouseG = store
        .filter(item => item.ingredient === need.ingredient && lastDay(item, row) >= today)
        .reduce((sum, item) => sum + item.massG, 0)
      const short = need.massG - inHouseG
      const packagesG = short > ENOUGH * need.massG ? packagesFor(short, row.packagesG) : []
      const bought = packagesG.reduce((sum, one) => sum + one, 0)
      return {
        ingredient: need.ingredient,
        neededG: need.massG,
        dishes: need.dishes,
        inHouseG,
        packagesG,
        leftG: Math.max(0, inHouseG + bought - need.massG),
      }
    })
}

/**
 * The last day on which something of the store is counted as good: the package's own day, and once opened what the food
 * keeps. A cautious estimate; when in doubt it is thrown out.
 *
 * @param item of the store
 * @param row its row of the ingredient table
 * @returns days since 1970-01-01
 */
export function lastDay(item: StoreItem, row: Pick<Ingredient, 'keepsDays'>): number {
  const from = item.openedOn ?? (item.useBy === null ? item.gotOn : null)
  const kept = from === null ? Infinity : from + row.keepsDays
  return Math.min(kept, item.useBy ?? Infinity)
}

/** The fewest grams over in at most a few packages: big ones first, then the smallest that covers the rest. */
function packagesFor(massG: number, sizes: readonly number[]): number[] {
  const rising = [...sizes].sort((p, q) => p - q)
  const biggest = itemAt(rising, rising.length - 1)
  const many = Math.floor(massG / biggest)
  const packages = new Array<number>(many).fill(biggest)
  const rest = massG - many * biggest
  if (rest <= 0) return packages
  const fits = rising.find(size => size >= rest) ?? biggest
  const pair = rising.find(size => 2 * size >= rest)
  return [...packages, ...(pair !== undefined && 2 * pair < fits ? [pair, pair] : [fits])]
}
