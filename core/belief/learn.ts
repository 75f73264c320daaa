import type { ConditionedEnsemble } from '../forecast/conditionEnsemble'
import { mainVessel } from '../dish/mainVessel'
import { sideStages } from '../dish/sideStages'
import type { CookPlan } from '../live/plan'
import type { Belief, BeliefEntry } from './belief'
import { MEMBER_NAMES } from './memberValues'

/** What one batch says of one lasting number, as a reading of it: value and variance in the belief's own scale. */
export interface Evidence {
  /** Name in the household's belief, such as `fire.front` or `kept.sweet-water-semolina`. */
  readonly name: string
  /** Name of the number in a plan's belief. */
  readonly of: string
  readonly value: number
  readonly variance: number
  readonly batch: string
}

/** Numbers that last from one cook to the next, and how much each strays from day to day (estimates; fires measured). */
const DAY_SPREAD: Readonly<Record<string, number>> = {
  mainFire: 0.12, otherFire: 0.12, browningRate: 0.08, aromaDose: 0.1, kept: 0.012, pourTime: 0.2,
}
/** A reading that takes away less than this share of the variance is not kept. */
const WORTH = 0.1

/**
 * Names of the household's entries that a plan's numbers follow: a fire keeps its own, a dish its own wetness.
 *
 * @param plan dish, fires and vessels chosen
 * @returns household names by the plan's names
 */
export function householdNames(plan: Pick<CookPlan, 'dish' | 'fires'>): Record<string, string> {
  const main = mainVessel(plan.dish)
  const other = sideStages(plan.dish)[0]?.vessel
  const named: Record<string, string> = {
    browningRate: `browning.${plan.dish.family}`,
    aromaDose: `aroma.${plan.dish.family}`,
    kept: `kept.${plan.dish.id}`,
    pourTime: 'pour-time',
    mainFire: `fire.${plan.fires[main]?.id ?? 'unknown'}`,
  }
  if (other !== undefined) named.otherFire = `fire.${plan.fires[other]?.id ?? 'unknown'}`
  return named
}

/**
 * What a finished cook says of the lasting numbers: its ensemble's posterior over the plan's belief, turned into a
 * reading by taking the belief out again (normal beliefs throughout).
 *
 * @param plan the plan
 * @param ensemble its ensemble, weighed by everything that was marked
 * @returns one reading for each number the cook says something about
 */
export function evidenceOf(plan: CookPlan, ensemble: ConditionedEnsemble): Evidence[] {
  const { normals, weights, columns } = ensemble
  const names = householdNames(plan)
  return Object.entries(names).flatMap(([of, name]): Evidence[] => {
    const k = MEMBER_NAMES.findIndex(known => known === of)
    let mean = 0
    let square = 0
    weights.forEach((weight, i) => {
      const z = normals[i * MEMBER_NAMES.length + k]
      mean += weight * z
      square += weight * z * z
    })
    const variance = Math.max(0.01, square - mean * mean)
    if (!(variance < 1 - WORTH)) return []
    const readingVariance = 1 / (1 / variance - 1)
    const readingZ = mean / variance * readingVariance
    const middle = columns.factor[k] ? Math.log(columns.median[k]) : columns.median[k]
    const spread = columns.spread[k]
    return [{ name, of, value: middle + spread * readingZ, variance: readingVariance * spread * spread, batch: plan.id }]
  })
}

/**
 * The belief for a plan: the first belief, with each lasting number moved by the household's readings of it. The day's
 * own scatter stays in the spread.
 *
 * @param first the belief of a household that has cooked nothing
 * @param evidence readings of past batches, any order
 * @param plan dish and fires chosen
 * @returns a belief whose entries name the batches they rest on
 */
export function beliefFor(first: Belief, evidence: readonly Evidence[], plan: Pick<CookPlan, 'dish' | 'fires'>): Belief {
  const names = householdNames(plan)
  return {
    entries: first.entries.map((entry): BeliefEntry => {
      const own = entry.name === 'kept'
        ? { ...entry, median: plan.dish.kept.share, spread: plan.dish.kept.spread }
        : entry
      const readings = evidence.filter(one => one.name === names[entry.name])
      return readings.length === 0 ? own : combined(own, readings)
    }),
  }
}

function combined(entry: BeliefEntry, readings: readonly Evidence[]): BeliefEntry {
  const day = DAY_SPREAD[entry.name] ?? 0.1
  const factor = entry.kind === 'factor'
  const lasting = Math.max(1e-6, entry.spread ** 2 - day ** 2)
  let precision = 1 / lasting
  let sum = (factor ? Math.log(entry.median) : entry.median) / lasting
  for (const reading of readings) {
    const weight = 1 / (reading.variance + day * day)
    precision += weight
    sum += weight * reading.value
  }
  const middle = sum / precision
  return {
    ...entry,
    median: factor ? Math.exp(middle) : middle,
    spread: Math.sqrt(1 / precision + day * day),
    basis: 'batches',
    restsOn: readings.map(reading => reading.batch),
  }
}
