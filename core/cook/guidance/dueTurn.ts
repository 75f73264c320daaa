import { itemAt } from '../../maths/table/itemAt'
import { mainLine } from '../../formulation/dish/mainLine'
import type { FlameTurn } from '../../record/plan/flameTurn'
import { lastRoast } from '../../process/program/roastIndex'
import { flamesNow } from '../../record/replay/flamesNow'
import type { CookPlan } from '../../record/plan/plan'
import { hasShown } from '../../record/replay/hasShown'
import type { LiveCook } from '../../record/marks/liveCook'

/**
 * The last turn of a flame plan whose cue has been marked and which has not been taken. Turning the flame off is not
 * among them: whether it pays is decided by the forecast when its cue has come.
 *
 * @param plan the plan, with its turns
 * @param cook the replayed cook
 * @returns the turn, or null
 */
export function dueTurn(plan: CookPlan, cook: LiveCook): FlameTurn | null {
  const roast = lastRoast(plan.dish)
  if (!plan.turns || roast < 0 || cook.stage !== roast) return null
  const { vessel } = itemAt(mainLine(plan.dish), roast)
  const marks = plan.fires[vessel]?.marks.map(mark => mark.id) ?? []
  const stands = marks.indexOf(flamesNow(plan, cook)[vessel]?.mark ?? 'off')
  return (
    plan.turns.findLast(
      ({ cue, mark }) => cue !== 'start' && marks.includes(mark) && marks.indexOf(mark) < stands && hasShown(cook, cue),
    ) ?? null
  )
}
