import type { Stage } from '../../formulation/dish/dish'
import { mainLine } from '../../formulation/dish/mainLine'
import { sideStages } from '../../formulation/dish/sideStages'
import { CoreError } from '../../error'
import type { CookPlan } from '../../record/plan/plan'
import type { FireRole, FlameSetting } from '../engine/program'
import { pivotWatts } from '../belief/pivotWatts'

/**
 * The flame a stage asks for.
 *
 * @param plan fires, marks and flames by stage
 * @param stage one of its stages
 * @returns the flame; nothing where it is off
 * @throws CoreError `unknown-name` for a mark that is not there
 */
export function flameOf(plan: CookPlan, stage: Stage): FlameSetting {
  return markFlame(plan, stage.vessel, stage.flame === 'off' ? 'off' : plan.flames[stage.id])
}

/**
 * The flame of a mark under one vessel.
 *
 * @param plan fires and their marks
 * @param vessel id of the vessel
 * @param mark id of the mark, or `off`
 * @returns the flame
 * @throws CoreError `unknown-name` for a mark that is not there
 */
export function markFlame(plan: CookPlan, vessel: string, mark: string | undefined): FlameSetting {
  const fire: FireRole = isMain(plan, vessel) ? 'mainFire' : 'otherFire'
  const lagS = plan.fires[vessel]?.lagS ?? 0
  if (mark === 'off') return { fire, watts: 0, ladder: 0, lagS }
  const found = plan.fires[vessel]?.marks.find(one => one.id === mark)
  if (!found) throw new CoreError('unknown-name', 'compileProgram.flame', { given: String(mark) })
  return { fire, watts: found.watts, ladder: fire === 'mainFire' ? Math.log(found.watts / pivotWatts(plan)) : 0, lagS }
}

/** The main line's fire is that of the vessel it begins in; one that stands beside it first keeps its own. */
function isMain(plan: CookPlan, vessel: string): boolean {
  const line = mainLine(plan.dish)
  const beside = sideStages(plan.dish).some(stage => stage.vessel === vessel)
  return line[0]?.vessel === vessel || (!beside && line.some(stage => stage.vessel === vessel))
}
