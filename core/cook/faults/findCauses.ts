import { itemAt } from '../../maths/table/itemAt'
import type { Part } from '../../formulation/dish/dish'
import type { BatchRecord } from '../compare/difference'
import { entriesOf, recordOf } from '../../records'
import { CAUSES, USUAL, type Expectation, type FaultCause } from './causes'
import { FAULTS, type EndFault } from './faults'
import { FEATURES, featuresOf, type Feature, type Features } from './features'
import { statementsOf, type Statement } from './statements'

/** Something of a batch's record, or of the household's others, that speaks for a cause or against it. */
export interface Clue {
  readonly of: Feature | Statement | 'others'
  /** Its value: standard deviations or a count, as `features` and `told` say; of `others` how the good ones lay. */
  readonly value: number
  /** Natural log of how much likelier it is under the cause: above zero it speaks for it. */
  readonly weight: number
}

/** A cause of a fault with how likely it is. */
export interface RankedCause {
  readonly cause: FaultCause
  /** 0 to 1; all causes of a fault add to one. */
  readonly share: number
  readonly for: readonly Clue[]
  readonly against: readonly Clue[]
}

/** No single clue speaks louder than this: marks can be wrong. */
const LOUDEST = 2.2
/** Clues quieter than this are not told. */
const TOLD_FROM = 0.3
/**
 * Good batches of the same dish that are needed before the house's own usual counts, and how loud it is beside the
 * forecast.
 */
const LEAST_GOOD = 3
const HOUSE_SHARE = 0.5

/**
 * Likely causes of a fault, by Bayes' rule over what the batch's own record and the household's other batches of the
 * dish say: each feature is weighed by how likely it is under the cause against how it usually lies, features taken as
 * independent.
 *
 * @param record the batch
 * @param fault what was seen at the end
 * @param good other batches of the dish that came right
 * @returns causes, the likeliest first, each with what speaks for and against it
 */
export function findCauses(record: BatchRecord, fault: EndFault, good: readonly BatchRecord[] = []): RankedCause[] {
  const features = featuresOf(record)
  const usual = good.length >= LEAST_GOOD ? usualOf(good.map(featuresOf)) : null
  const stated = statementsOf(record)
  const scored = entriesOf(FAULTS[fault].causes)
    .filter(([cause]) => CAUSES[cause].features !== null && possible(record, cause))
    .map(([cause, prior]) => {
      const clues = [
        ...featureClues(cause, features),
        ...(usual ? houseClues(cause, features, usual) : []),
        ...stated.flatMap(([of, value, speaks]): Clue[] => {
          const weight = speaks[cause]
          return weight === undefined ? [] : [{ of, value, weight }]
        }),
      ]
      return { cause, score: Math.log(prior) + clues.reduce((sum, clue) => sum + clue.weight, 0), clues }
    })
  const most = Math.max(...scored.map(one => one.score))
  const all = scored.reduce((sum, one) => sum + Math.exp(one.score - most), 0)
  const louder = (p: Clue, q: Clue): number => Math.abs(q.weight) - Math.abs(p.weight)
  return scored
    .sort((p, q) => q.score - p.score)
    .map(({ cause, score, clues }) => ({
      cause,
      share: Math.exp(score - most) / all,
      for: clues.filter(clue => clue.weight >= TOLD_FROM).sort(louder),
      against: clues.filter(clue => clue.weight <= -TOLD_FROM).sort(louder),
    }))
}

/** What sours milk, or splits it by its minerals. */
const SOURS: ReadonlySet<Part> = new Set<Part>(['fruit', 'juice', 'jaggery'])

/** Sugar goes in early or it does not; milk sours only where something sour is in it. */
function possible({ plan }: BatchRecord, cause: FaultCause): boolean {
  const { dish } = plan
  if (cause === 'sugar-early') return dish.choices?.sugar === 'in-liquid'
  if (cause === 'sour') return dish.family === 'fruit' || dish.ingredients.some(one => SOURS.has(one.part ?? 'base'))
  if (cause === 'poured-fast' || cause === 'cold-liquid') return dish.stages.some(stage => stage.does === 'pour')
  return true
}

function featureClues(cause: FaultCause, features: Features): Clue[] {
  return FEATURES.flatMap((of): Clue[] => {
    const [value, expected] = [features[of], CAUSES[cause].features?.[of]]
    return value === null || !expected ? [] : [{ of, value, weight: clipped(logRatio(value, expected, USUAL[of])) }]
  })
}

/** The same against how the house's good batches lay: what is usual here is no cause. */
function houseClues(cause: FaultCause, features: Features, usual: Features): Clue[] {
  return FEATURES.flatMap((of): Clue[] => {
    const [value, middle, expected] = [features[of], usual[of], CAUSES[cause].features?.[of]]
    if (value === null || middle === null || !expected) return []
    const weight = clipped(logRatio(value - middle, expected, USUAL[of])) * HOUSE_SHARE
    return Math.abs(weight) >= TOLD_FROM ? [{ of: 'others', value: middle, weight }] : []
  })
}

function usualOf(good: readonly Features[]): Features {
  const middle = (of: Feature): number | null => {
    const values = good.flatMap(one => (one[of] === null ? [] : [one[of]])).sort((p, q) => p - q)
    return values.length < LEAST_GOOD ? null : itemAt(values, Math.floor(values.length / 2))
  }
  return recordOf(FEATURES, middle)
}

function logRatio(value: number, [middle, spread]: Expectation, [usually, usualSpread]: Expectation): number {
  return (
    Math.log(usualSpread / spread) - ((value - middle) / spread) ** 2 / 2 + ((value - usually) / usualSpread) ** 2 / 2
  )
}

function clipped(weight: number): number {
  return Math.max(-LOUDEST, Math.min(LOUDEST, weight))
}
