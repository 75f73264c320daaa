import { numberAt } from '../../maths/table/itemAt'
import type { ConditionedEnsemble } from '../ensemble/conditionEnsemble'
import { pivotWatts, stageWatts } from '../belief/pivotWatts'
import { sideStages } from '../../formulation/dish/sideStages'
import type { CookPlan } from '../../record/plan/plan'
import { householdNames, LEVEL_W } from '../belief/evidence'
import type { Evidence } from '../../materials/belief/reading'
import { MEMBER_NAMES } from '../belief/memberValues'

/** A reading that takes away less than this share of the variance is not kept. */
const WORTH = 0.1

/**
 * What a finished cook says of the lasting numbers: its ensemble's posterior over the plan's belief, turned into
 * readings.
 *
 * @param plan the plan
 * @param ensemble its ensemble, weighed by everything that was marked
 * @param onScale whether the pan was ever weighed in it: how wet a mass is left cannot be told from its minutes alone,
 *   which a quick or slow pan changes as well, and would be misread in the same way in every batch
 * @returns one reading for each number the cook says something about
 */
export function evidenceOf(plan: CookPlan, ensemble: ConditionedEnsemble, onScale: boolean): Evidence[] {
  const beside = sideStages(plan.dish)[0]
  const ladders: Readonly<Record<string, number>> = {
    mainFire: Math.log(pivotWatts(plan) / LEVEL_W),
    ...(beside ? { otherFire: Math.log(stageWatts(plan, beside) / LEVEL_W) } : {}),
  }
  return Object.entries(householdNames(plan)).flatMap(([of, name]): Evidence[] => {
    const reading = of === 'kept' && !onScale ? null : readingOf(ensemble, of)
    if (!reading) return []
    return [
      { name, of, ...reading, batch: plan.id, when: plan.plannedAt, ...(of in ladders ? { ladder: ladders[of] } : {}) },
    ]
  })
}

/**
 * One number's posterior as a reading of it, by taking the belief out again (normal belief throughout).
 *
 * @param ensemble weighed members
 * @param of name of the number
 * @returns value and variance in the belief's own scale; null where the ensemble says next to nothing of it
 */
export function readingOf(
  { normals, weights, columns }: Pick<ConditionedEnsemble, 'normals' | 'weights' | 'columns'>,
  of: string,
): { readonly value: number, readonly variance: number } | null {
  const k = MEMBER_NAMES.findIndex(known => known === of)
  let mean = 0
  let square = 0
  weights.forEach((weight, i) => {
    const z = numberAt(normals, i * MEMBER_NAMES.length + k)
    mean += weight * z
    square += weight * z * z
  })
  const variance = Math.max(0.01, square - mean * mean)
  if (!(variance < 1 - WORTH)) return null
  const readingVariance = 1 / (1 / variance - 1)
  const readingZ = (mean / variance) * readingVariance
  const middle = columns.factor[k] ? Math.log(numberAt(columns.median, k)) : numberAt(columns.median, k)
  const spread = numberAt(columns.spread, k)
  return { value: middle + spread * readingZ, variance: readingVariance * spread * spread }
}
