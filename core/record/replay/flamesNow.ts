import { mainLine } from '../../formulation/dish/mainLine'
import type { CookPlan } from '../plan/plan'
import type { LiveCook } from '../marks/liveCook'

/** How flame and lid of a vessel stand. */
export interface VesselNow { readonly mark: string, readonly lid: boolean }

/**
 * How flame and lid of every vessel stand now: what the running stage asks for, and what was changed since it began.
 *
 * @param plan the plan
 * @param cook the replayed cook
 * @returns mark id or `off`, and the lid, by vessel id
 */
export function flamesNow(plan: CookPlan, cook: LiveCook): Record<string, VesselNow> {
  const line = mainLine(plan.dish)
  const stage = line[cook.stage]
  const began = cook.stageStarts[cook.stage] ?? 0
  const now: Record<string, VesselNow> = {}
  for (const vessel of Object.keys(plan.vessels)) {
    // The main line may go through more than one vessel: the one that is left stands without a flame. One that stands
    // beside it first is the main line's from the stage that begins in it.
    const side = plan.dish.stages.find(one => one.vessel === vessel && one.meets)
    const main = line.some((one, i) => one.vessel === vessel && (side === undefined || i <= cook.stage))
    const running = main
      ? stage?.vessel === vessel
        ? stage
        : undefined
      : cook.lit[vessel] === undefined
        ? undefined
        : side
    const since = main ? began : cook.lit[vessel] ?? 0
    let mark = running && running.flame !== 'off' ? plan.flames[running.id] ?? 'off' : 'off'
    let lid = running?.lid ?? false
    for (const change of cook.controls) {
      if (change.what.vessel !== vessel || change.timeS < since) continue
      mark = change.what.mark ?? mark
      lid = change.what.lid ?? lid
    }
    if (main && cook.offFireS !== null && cook.offFireS >= began) mark = 'off'
    now[vessel] = { mark, lid }
  }
  return now
}
