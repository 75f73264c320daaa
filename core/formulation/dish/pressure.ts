import type { Ingredient } from '../../materials/composition/ingredient'
import type { Dish, Part, Stage } from './dish'

/**
 * Least liquid under the lid of a pressure pan where its maker says nothing else, g: a cup (kitchen rule; makers ask
 * for 200 to 300 ml).
 */
export const LEAST_LIQUID_G = 240
/** Id of the water that goes in beside the dish's own, and of the stage under pressure. */
const ADDED = 'pressure-water'
const PRESS = 'press'
const LIQUIDS: readonly Part[] = ['water', 'milk', 'juice']
/**
 * How full a pressure pan may be: two thirds, half of what foams or swells (makers' instructions and food safety
 * advice; recalled, unchecked).
 */
const FULL = 2 / 3
const FOAMS = 1 / 2
/** Density of soaked and wet food, g/ml (estimate). */
const WET_DENSITY = 1.05

/** How a dish stands in a pressure pan. */
export interface PressureFit {
  /** Liquid under the lid, and how much of it is water that goes in beside the dish's own, g. */
  readonly liquidG: number
  readonly addedG: number
  /** All that is in it, ml, and how full it may be, share. */
  readonly contentMl: number
  readonly most: number
  /** The smallest pressure pan that holds it so, ml. */
  readonly needsMl: number
}

const under = (dish: Pick<Dish, 'stages'>): Stage | undefined => dish.stages.find(stage => stage.id === PRESS)

function idsUnder(stage: Stage): Set<string> {
  return new Set([...stage.adds.map(one => one.ingredient), ...stage.handles ?? []])
}

function liquidG(dish: Pick<Dish, 'ingredients'>, stage: Stage, baseG: number): number {
  const ids = idsUnder(stage)
  return dish.ingredients
    .filter(one => ids.has(one.id) && one.part !== undefined && LIQUIDS.includes(one.part))
    .reduce((sum, one) => sum + one.perBase * baseG, 0)
}

/**
 * A dish with as much water under the lid of its pressure pan as that needs: what its own liquid is short of goes in
 * beside it and is cooked down again.
 *
 * @param dish with its stages
 * @param baseG base, g
 * @param waterOf share of water of an ingredient, by its id in the table
 * @returns the dish; itself where nothing is pressed or its own liquid is enough
 */
export function withPressureWater<D extends Dish>(dish: D, baseG: number, waterOf: (ingredient: string) => number): D {
  const press = under(dish)
  if (!press) return dish
  const missing = LEAST_LIQUID_G - liquidG(dish, press, baseG)
  if (!(missing > 0)) return dish
  const perBase = missing / baseG
  const own = dish.ingredients.reduce((sum, one) => sum + one.perBase * waterOf(one.ingredient), 0)
  const atFire =
    press.phase === 'before' ? dish.stages.find(stage => stage.adds.some(one => one.ingredient === dish.base)) : press
  const into = (stage: Stage): Stage => ({
    ...stage,
    ...(stage === atFire ? { adds: [...stage.adds, { ingredient: ADDED, share: 1 }] } : {}),
    ...(stage === press && press !== atFire ? { handles: [...stage.handles ?? [], ADDED] } : {}),
  })
  return {
    ...dish,
    ingredients: [...dish.ingredients, { id: ADDED, ingredient: 'water', perBase, part: 'water' }],
    stages: dish.stages.map(into),
    // It leaves the pan again: what is kept is a smaller share of more water.
    kept: { ...dish.kept, share: own > 0 ? dish.kept.share * own / (own + perBase) : dish.kept.share },
  }
}

/**
 * How a dish stands in a pressure pan: liquid, room, and the pan that it needs.
 *
 * @param dish with its stages, from `withPressureWater`
 * @param baseG base, g
 * @param rowOf rows of the ingredient table
 * @returns null where nothing is pressed
 */
export function pressureFit(dish: Dish, baseG: number, rowOf: (ingredient: string) => Ingredient): PressureFit | null {
  const press = under(dish)
  if (!press) return null
  const ids = idsUnder(press)
  const inside = dish.ingredients.filter(one => ids.has(one.id))
  const contentMl = inside.reduce((sum, one) => {
    const row = rowOf(one.ingredient)
    const massG = one.perBase * baseG
    const isLiquid = one.part !== undefined && LIQUIDS.includes(one.part)
    const soaked = massG * (1 + row.yields.soakGain) / WET_DENSITY
    return sum + (isLiquid ? massG / row.bulkDensity : row.yields.soakGain > 0 ? soaked : massG / row.bulkDensity)
  }, 0)
  const foams = dish.family === 'lentil' || inside.some(one => one.part === 'milk')
  const most = foams ? FOAMS : FULL
  const added = dish.ingredients.find(one => one.id === ADDED)
  return {
    liquidG: liquidG(dish, press, baseG),
    addedG: (added?.perBase ?? 0) * baseG,
    contentMl,
    most,
    needsMl: contentMl / most,
  }
}
