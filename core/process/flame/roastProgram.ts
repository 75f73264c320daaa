import { itemAt } from '../../maths/table/itemAt'
import { mainLine } from '../../formulation/dish/mainLine'
import { markFlame } from '../program/flameOf'
import type { Program, ProgramTurn } from '../engine/program'
import { roastIndex } from '../program/roastIndex'
import { ROAST_SIGNS, SIGN } from '../engine/signs'
import { compileProgram } from '../program/compileProgram'
import type { CookPlan } from '../../record/plan/plan'
import type { LiveCook } from '../../record/marks/liveCook'
import type { FlameTurn } from '../../record/plan/flameTurn'

/** Roasts that take this many times the patience are not followed further. */
const GIVE_UP = 2.5

/**
 * A cook up to its roast, which runs on until it burns: what a schedule of flames does to it.
 *
 * @param plan the plan
 * @param cook what was marked so far
 * @param nowS how far the cook is, s
 * @param patienceS longest time from the start of the roast that matters, s
 * @param late how late a turn is taken by member, as a share of the time since the roast began
 * @returns a function from turns to the program
 */
export function roastProgram(
  plan: CookPlan,
  cook: LiveCook,
  nowS: number,
  patienceS: number,
  late: Float64Array,
): (turns: readonly FlameTurn[]) => Program {
  const whole = compileProgram(plan, cook, nowS)
  const k = roastIndex(plan)
  const roast = itemAt(whole.stages, k)
  const { vessel } = itemAt(mainLine(plan.dish), k)
  const before = whole.stages.slice(0, k).map(stage => ({ ...stage, from: null }))
  return turns => {
    const flames = turns.map(turn => ({ cue: turn.cue, flame: markFlame(plan, vessel, turn.mark) }))
    const start = flames.find(one => one.cue === 'start')?.flame ?? roast.flame
    const stages = [
      ...before,
      { ...roast, flame: start, sign: SIGN.burnt, watches: [...ROAST_SIGNS, SIGN.flecks], tapped: [], from: null },
    ]
    return {
      ...whole,
      stages,
      sides: [],
      turns: flames.flatMap((one): ProgramTurn[] =>
        one.cue === 'start' ? [] : [{ stage: k, sign: SIGN[one.cue], flame: one.flame, late }],
      ),
      queries: [],
      mostS: (cook.stageStarts[k] ?? 1200) + GIVE_UP * patienceS,
    }
  }
}
