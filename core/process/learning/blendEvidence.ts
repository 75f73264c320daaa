import { itemAt } from '../../maths/table/itemAt'
import type { Evidence } from '../../materials/belief/reading'
import { beliefColumns, MEMBER_NAMES, memberValues } from '../belief/memberValues'
import { mainLine } from '../../formulation/dish/mainLine'
import { compileProgram } from '../program/compileProgram'
import type { CookPlan } from '../../record/plan/plan'
import type { LiveCook } from '../../record/marks/liveCook'
import { replay } from '../../record/replay/replay'
import { PHYSICS_OFF, USUAL_OFF } from '../usual/blendWeight'
import { pacedStages, spanS } from '../usual/blendedPace'
import { usualSeconds } from '../../record/plan/usualSeconds'

/** How sharply a stretch is timed by the marks at its ends, in log time (estimate). */
const TIMED = 0.05
/** Stretches shorter than this say nothing of either, s. */
const LEAST_S = 120

/**
 * How far the physics alone, and the usual minutes alone, were off the wet stages of a finished cook, in log time: by
 * which the household's weight between them moves.
 *
 * @param plan the plan
 * @param cook the finished cook
 * @returns one reading for each of the two; none where too little of the wet stages was marked
 */
export function blendEvidence(plan: CookPlan, cook: LiveCook): Evidence[] {
  const program = compileProgram(plan, replay(plan, []), 0)
  const line = mainLine(plan.dish)
  const told = pacedStages(program, 'wetPace').flatMap((k) => {
    const [from, to] = [cook.stageStarts[k], cook.stageStarts[k + 1]]
    return from !== null && from !== undefined && to !== null && to !== undefined && to > from
      ? [{ k, tookS: to - from }]
      : []
  })
  const tookS = told.reduce((sum, one) => sum + one.tookS, 0)
  if (!(tookS > LEAST_S)) return []
  const middle = memberValues(beliefColumns(plan.belief), new Float64Array(MEMBER_NAMES.length), 0)
  const physicsS = spanS(program, told.map(one => one.k), { ...middle, wetPace: 1 })
  const usualS = told.reduce((sum, one) => sum + usualSeconds(plan, itemAt(line, one.k)), 0)
  const off = (name: string, forecastS: number): Evidence => ({
    name,
    of: 'blend',
    value: Math.log(tookS / forecastS),
    variance: TIMED ** 2,
    batch: plan.id,
    when: plan.plannedAt,
  })
  return [off(PHYSICS_OFF, physicsS), off(USUAL_OFF, usualS)]
}
