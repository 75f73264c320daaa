import { formOf } from '../../formulation/dish/forms'
import type { Kind } from '../../materials/composition/ingredient'
import type { Stage } from '../../formulation/dish/dish'
import type { CookPlan } from '../../record/plan/plan'
import { sweetKeeping } from './sweetKeeping'
import { wentIn } from './wentIn'

/**
 * A plan whose sweet, where it perishes, says so at its end: into the cold within its hours, and a slab sets there.
 *
 * @param plan with its amounts and the room
 * @param waterG water that is left in the finished sweet, g
 * @param kindOf kind of an ingredient by its id
 * @returns the plan, with cautions at what comes last
 */
export function keptCold(plan: CookPlan, waterG: number, kindOf: (ingredient: string) => Kind | undefined): CookPlan {
  const { contents, invertShare } = wentIn(plan.amounts, waterG)
  const { keeping } = sweetKeeping(plan, contents, invertShare, formOf(plan.dish).shapedBy === 'hands', kindOf)
  if (keeping.standsH === null) return plan
  const last =
    plan.dish.stages.findLast(stage => stage.phase === 'after' && stage.does !== 'set')
    ?? plan.dish.stages.findLast(stage => !stage.meets)
  const told = (stage: Stage): Stage => ({
    ...stage, cautions: [...stage.cautions ?? [], 'two-hours'],
    ...(stage.does === 'set' ? { watch: [...stage.watch ?? [], 'set-in-cold'] } : {}),
  })
  return {
    ...plan,
    dish: {
      ...plan.dish,
      stages: plan.dish.stages.map(stage => (stage === last || stage.does === 'set' ? told(stage) : stage)),
    },
  }
}
