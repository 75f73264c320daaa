import { itemAt } from '../../maths/table/itemAt'
import { constant } from '../../materials/constants/constants'
import type { Evidence } from '../../materials/belief/reading'
import type { Dish } from '../../formulation/dish/dish'
import { mainLine } from '../../formulation/dish/mainLine'
import { usualMinutes } from '../../formulation/dish/usualMinutes'
import type { CookPlan } from '../../record/plan/plan'
import type { LiveCook } from '../../record/marks/liveCook'
import { usualSeconds } from '../../record/plan/usualSeconds'

/** Scatter of usual minutes in log time: of a whole cook, and of each of its stages (estimates). */
const COOK_SPREAD = constant('cookScatter')
const STAGE_SPREAD = constant('stageScatter')
/** How much the common kitchen's minutes of a stage may be off for one household, in log time (estimate). */
const KITCHEN_SPREAD = constant('kitchenScatter')
/** A stage shorter or longer than this factor of the usual was interrupted, or never marked. */
const CREDIBLE = 4

const nameOf = (dish: string, stage: string): string => `minutes.${dish}.${stage}`

/**
 * What a finished cook says of its stages' usual minutes: the log of how much longer each took than forecast.
 *
 * @param plan the plan
 * @param cook the finished cook
 * @returns one reading for each stage whose start and end were marked
 */
export function minutesEvidence(plan: CookPlan, cook: LiveCook): Evidence[] {
  return mainLine(plan.dish).flatMap((stage, k): Evidence[] => {
    const from = itemAt(cook.stageStarts, k)
    const to = cook.stageStarts[k + 1]
    if (from === null || to === null || to === undefined || stage.does === 'rest') return []
    const factor = (to - from) / usualSeconds(plan, stage)
    if (!(factor > 1 / CREDIBLE && factor < CREDIBLE)) return []
    return [
      {
        name: nameOf(plan.dish.id, stage.id),
        of: 'minutes',
        value: Math.log(factor * usualMinutes(plan.dish, stage)),
        variance: COOK_SPREAD ** 2 + STAGE_SPREAD ** 2,
        batch: plan.id,
      },
    ]
  })
}

/**
 * A dish with the household's own usual minutes where its batches say them: a normal belief in log time about the
 * common kitchen's, moved by each reading.
 *
 * @param dish a dish with its stages
 * @param evidence readings of past batches, any order
 * @returns the dish; itself where nothing was read
 */
export function learnedMinutes<D extends Pick<Dish, 'id' | 'family' | 'usual' | 'stages'>>(
  dish: D,
  evidence: readonly Evidence[],
): D {
  const own: Record<string, number> = {}
  for (const stage of dish.stages) {
    const readings = evidence.filter(one => one.name === nameOf(dish.id, stage.id))
    if (readings.length === 0) continue
    let precision = 1 / KITCHEN_SPREAD ** 2
    let sum = Math.log(usualMinutes(dish, stage)) * precision
    for (const reading of readings) {
      precision += 1 / reading.variance
      sum += reading.value / reading.variance
    }
    own[stage.id] = Math.round(Math.exp(sum / precision) * 100) / 100
  }
  return Object.keys(own).length === 0
    ? dish
    : { ...dish, usual: { ...dish.usual, minutes: { ...dish.usual.minutes, ...own } } }
}
