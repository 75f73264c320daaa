import { inMeasures, type MeasureSize } from '../core/formulation/measures/inMeasures'
import { measureText } from './measure'

/** What of an ingredient is needed to say an amount of it. */
export interface SaidRow {
  readonly name: string
  /** g/ml, poured. */
  readonly bulkDensity: number
  /** What is bought and grated by weight or piece is not said in cups. */
  readonly kind: string
}

/** Says an amount of an ingredient of the table, g. */
export type SayAmount = (ingredient: string, massG: number) => string

/**
 * The name of an ingredient inside a sentence.
 *
 * @param name as the table has it, such as `Semolina, medium`
 * @returns such as `medium semolina`
 */
export function plainName(name: string): string {
  return name.toLowerCase().split(', ').reverse().join(' ')
}

/**
 * An amount in the household's measures and by weight, with what it is of.
 *
 * @param row the ingredient; undefined where nothing is known of it
 * @param id of it, for its name then
 * @param massG above 0
 * @param measures cup and spoons, any order; none where they are not known
 * @param grams writes grams
 * @returns such as `½ glass and 1 teaspoon ghee · 98 g`, `900 g red carrot`
 */
export function amountOfText(
  row: SaidRow | undefined,
  id: string,
  massG: number,
  measures: readonly MeasureSize[],
  grams: (massG: number) => string,
): string {
  const name = row ? plainName(row.name) : id.replaceAll('-', ' ')
  if (!row || row.kind === 'produce' || measures.length === 0) return `${grams(massG)} ${name}`
  const { count, text, name: measure, rest } = inMeasures(massG / row.bulkDensity, measures)
  if (count === 0) return `a pinch of ${name} · ${grams(massG)}`
  const more = rest ? ` and ${measureText(rest.text, rest.count, rest.name)}` : ''
  return `${measureText(text, count, measure)}${more} ${name} · ${grams(massG)}`
}
