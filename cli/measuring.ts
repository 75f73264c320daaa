import { INGREDIENTS } from '../book/ingredients'
import { SWAPS } from '../book/swaps'
import { AmountsRequestSchema, ScaleRequestSchema, StagesRequestSchema, SwapRequestSchema } from '../contracts/amounts'
import { fitAdvice } from '../core/formulation/yield/fitAdvice'
import { volumesOf } from '../core/formulation/yield/volumes'
import { yieldOf } from '../core/formulation/yield/yieldOf'
import { withCorrections } from '../core/materials/composition/corrections'
import type { Correction } from '../core/materials/composition/correction'
import type { Ingredient } from '../core/materials/composition/ingredient'
import type { DishCard } from '../core/formulation/dish/dish'
import { stageDish } from '../core/formulation/stages/stageDish'
import { troublesOf } from '../core/formulation/dish/troublesOf'
import { usualMinutes } from '../core/formulation/dish/usualMinutes'
import { withChoice } from '../core/formulation/dish/withChoice'
import { CoreError } from '../core/error'
import { finishedShare } from '../core/formulation/proportions/finishedShare'
import { liquidAccount } from '../core/formulation/proportions/liquidAccount'
import { measuredAmounts } from '../core/formulation/proportions/measuredAmounts'
import { baseOf } from '../core/formulation/scale/baseOf'
import { ownedScales } from '../core/formulation/scale/ownedScales'
import { parseScale } from '../core/formulation/scale/parseScale'
import { applySwap } from '../core/formulation/swaps/applySwap'
import { solveSwap } from '../core/formulation/swaps/solveSwap'

function tableOf(corrections: readonly Correction[]): {
  table: readonly Ingredient[]
  rowOf: (id: string) => Ingredient
} {
  const table = withCorrections(INGREDIENTS, corrections)
  const rows = new Map(table.map(row => [row.id, row]))
  return {
    table,
    rowOf: id => {
      const row = rows.get(id)
      if (!row) throw new CoreError('unknown-name', 'hearth.ingredient', { missing: id })
      return row
    },
  }
}

function measured(
  dish: DishCard,
  baseG: number,
  table: readonly Ingredient[],
  measures: readonly { readonly id: string, readonly name: string, readonly volumeMl: number }[],
) {
  const [cup, ...spoons] = measures
  if (!cup) throw new CoreError('unknown-name', 'hearth.measures', { missing: 'a cup' })
  return measuredAmounts(dish, baseG, table, cup, spoons).map(({ row, ...one }) => ({
    ...one,
    ingredient: row.id,
    name: row.name,
  }))
}

/**
 * A dish measured out.
 *
 * @param value parsed JSON of an amounts request
 * @returns amounts, liquid account and what comes of it
 */
export function amounts(value: unknown) {
  const { dish, measures, corrections, ...asked } = AmountsRequestSchema.parse(value)
  const { table, rowOf } = tableOf(corrections)
  const baseG = asked.baseG ?? dish.usual.baseG
  return {
    baseG,
    amounts: measured(dish, baseG, table, measures),
    liquid: liquidAccount(dish, baseG, rowOf),
    comes: yieldOf(dish, baseG, rowOf, corrections),
    troubles: troublesOf(dish),
  }
}

/**
 * A dish scaled: to what is wanted in words, or to the three nearest scales on own marks.
 *
 * @param value parsed JSON of a scale request
 * @returns the base in g with its amounts and whether it fits, or the scales
 */
export function scale(value: unknown) {
  const { dish, measures, corrections, wanted, pan, ...asked } = ScaleRequestSchema.parse(value)
  const { table, rowOf } = tableOf(corrections)
  const standing = asked.baseG ?? dish.usual.baseG
  if (wanted === undefined) {
    const rows = measured(dish, standing, table, measures).map(one => ({
      id: one.id,
      massG: one.massG,
      bulkDensity: rowOf(one.ingredient).bulkDensity,
    }))
    return { scales: ownedScales(rows, dish.base, measures) }
  }
  const volumes = volumesOf(stageDish(dish), standing, rowOf)
  const request = parseScale(wanted, { dish, rowOf, cup: measures[0]!, measures })
  const baseG = baseOf(request, {
    base: dish.base,
    ingredients: dish.ingredients,
    baseG: standing,
    usualBaseG: dish.usual.baseG,
    portionG: dish.portionG,
    finishedPerBase: finishedShare(dish, rowOf).perBase,
    greatestMlPerBase: volumes.greatestMl / standing,
    density: volumes.density,
    pan: pan ?? null,
  })
  return {
    request, baseG, amounts: measured(dish, baseG, table, measures),
    fit: pan ? fitAdvice(volumes.greatestMl / standing * baseG, pan, [pan]) : null,
  }
}

/**
 * What swaps of one ingredient do.
 *
 * @param value parsed JSON of a swap request
 * @returns each swap that fits with its outcome and the dish after it
 */
export function swap(value: unknown) {
  const { dish, ingredient, corrections, swap: wanted } = SwapRequestSchema.parse(value)
  const { rowOf } = tableOf(corrections)
  const one = dish.ingredients.find(known => known.id === ingredient)
  if (!one) throw new CoreError('unknown-name', 'hearth.swap.ingredient', { given: ingredient })
  const rules = SWAPS.filter(rule => rule.from.includes(one.ingredient) && (wanted === undefined || rule.id === wanted))
  if (rules.length === 0) throw new CoreError('unknown-name', 'hearth.swap.swap', { given: wanted ?? one.ingredient })
  return {
    swaps: rules.map((rule) => {
      const outcome = solveSwap(dish, ingredient, rule, rowOf)
      return { swap: rule.id, outcome, dish: applySwap(dish, outcome, rowOf) }
    }),
  }
}

/**
 * The stages of a dish, with choices changed where some are given.
 *
 * @param value parsed JSON of a stages request
 * @returns the stages with their usual minutes, or why it cannot work and what would
 */
export function stages(value: unknown) {
  const { dish, choices } = StagesRequestSchema.parse(value)
  const changed = Object.fromEntries(Object.entries(choices ?? {}).filter(([, answer]) => answer !== undefined))
  const card = withChoice(dish, changed, tableOf([]).rowOf)
  const troubles = troublesOf(card)
  if (troubles.length > 0) return { works: false, troubles }
  const staged = stageDish(card)
  return {
    works: true,
    keystone: staged.keystone,
    vessels: staged.vessels,
    stages: staged.stages.map(stage => ({ ...stage, usualMinutes: usualMinutes(staged, stage) })),
  }
}
