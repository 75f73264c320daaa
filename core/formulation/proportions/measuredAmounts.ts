import type { Dish } from '../dish/dish'
import { CoreError } from '../../error'
import type { Composition } from '../../materials/composition/composition'
import { inMeasures, type MeasuredAmount, type MeasureSize } from '../measures/inMeasures'
import { roleOf } from './roleOf'
import { roleRatio } from './roleRatio'
import { judgedRoles, spansOf, placeInSpan, type Role, type SpanPlace } from '../dish/spans'

/** An ingredient of the table as amounts need it. */
export interface TableRow { readonly id: string, readonly bulkDensity: number, readonly composition: Composition }

/** One ingredient of a dish, measured out. */
export interface AmountRow<Row extends TableRow> {
  /** Id within the dish. */
  readonly id: string
  readonly row: Row
  /** True for a base beside the first. */
  readonly asBase: boolean
  readonly massG: number
  readonly volumeMl: number
  /** Exact count of the cup. */
  readonly cups: number
  readonly spoken: MeasuredAmount
  /** Where all of its role together stands in its span; on the weightiest ingredient of each role. */
  readonly standing: SpanPlace | null
}

/** Less than this many cups is not drawn as a cup. */
const LEAST_CUPS = 0.2

type Proportioned = Pick<Dish, 'base' | 'family' | 'ingredients' | 'choices'>

/**
 * Measures a dish out in the household's own cup and spoons, each ingredient by its own bulk density.
 *
 * @param dish proportions by weight
 * @param baseG weight of the base in g, above zero
 * @param table the ingredients, bulk density in g/ml
 * @param cup the cup in hand
 * @param spoons smaller measures, any number
 * @returns one row an ingredient, in the dish's order
 * @throws CoreError `unknown-name` where an ingredient is not in the table
 */
export function measuredAmounts<Row extends TableRow>(
  dish: Proportioned,
  baseG: number,
  table: readonly Row[],
  cup: MeasureSize,
  spoons: readonly MeasureSize[],
): AmountRow<Row>[] {
  const rows = new Map(table.map(row => [row.id, row]))
  const rowOf = (ingredient: string): Row => {
    const row = rows.get(ingredient)
    if (!row) throw new CoreError('unknown-name', 'measuredAmounts.table', { missing: ingredient })
    return row
  }
  const standings = standingsOf(dish, ingredient => rowOf(ingredient).composition)
  return dish.ingredients.map((one) => {
    const row = rowOf(one.ingredient)
    const massG = one.perBase * baseG
    const volumeMl = massG / row.bulkDensity
    return {
      id: one.id, asBase: one.id !== dish.base && one.asBase !== undefined, row, massG, volumeMl,
      cups: volumeMl / cup.volumeMl,
      spoken: inMeasures(volumeMl, [cup, ...spoons.filter(spoon => spoon.volumeMl < cup.volumeMl)]),
      standing: standings.get(one.id) ?? null,
    }
  })
}

/** The standing of each role, by the id of its weightiest ingredient. */
function standingsOf(dish: Proportioned, compositionOf: (ingredient: string) => Composition): Map<string, SpanPlace> {
  const spans = spansOf(dish)
  const heaviest = (role: Role): string | undefined =>
    dish.ingredients
      .filter(one => one.id !== dish.base && roleOf(compositionOf(one.ingredient), one.part) === role)
      .reduce<Dish['ingredients'][number] | undefined>(
        (best, one) => (best && best.perBase >= one.perBase ? best : one),
        undefined,
      )?.id
  return new Map(judgedRoles(dish).flatMap((role): [string, SpanPlace][] => {
    const id = heaviest(role)
    return id === undefined ? [] : [[id, placeInSpan(role, roleRatio(dish, role, compositionOf), spans)]]
  }))
}

/**
 * Whether an amount is drawn as cups on the shelf: the base, what decides the character, and all that fills a cup's
 * fifth.
 *
 * @param amount from `measuredAmounts`
 * @param base id of the dish's base
 * @returns false for pinches and spoons
 */
export function standsOnShelf(amount: AmountRow<TableRow>, base: string): boolean {
  return amount.id === base || amount.asBase || amount.standing !== null || amount.cups >= LEAST_CUPS
}
