import { mainLine } from '../dish/mainLine'
import { CoreError } from '../error'
import { markFlame } from '../forecast/flameOf'
import type { Program, ProgramTurn } from '../forecast/program'
import { ROAST_SIGNS, SIGN } from '../forecast/signs'
import { compileProgram } from '../forecast/compileProgram'
import type { CookPlan } from '../live/plan'
import type { LiveCook } from '../live/replay'
import type { FlameTurn } from './flamePlan'

/** Roasts that take this many times the patience are not followed further. */
const GIVE_UP = 2.5

/**
 * The stage that is planned for: the last one that roasts to a colour or an aroma.
 *
 * @param plan with its dish
 * @returns index into its main line
 * @throws CoreError `cannot-work` where nothing is roasted
 */
export function roastIndex(plan: Pick<CookPlan, 'dish'>): number {
  const index = mainLine(plan.dish).findLastIndex(stage => stage.does === 'roast' && 'sign' in stage.until && ROAST_SIGNS.includes(SIGN[stage.until.sign as keyof typeof SIGN]))
  if (index < 0) throw new CoreError('cannot-work', 'flamePlan.dish', { trouble: 'nothing-is-roasted' })
  return index
}

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
export function roastProgram(plan: CookPlan, cook: LiveCook, nowS: number, patienceS: number, late: Float64Array): (turns: readonly FlameTurn[]) => Program {
  const whole = compileProgram(plan, cook, nowS)
  const k = roastIndex(plan)
  const roast = whole.stages[k]
  const { vessel } = mainLine(plan.dish)[k]
  const before = whole.stages.slice(0, k).map(stage => ({ ...stage, from: null }))
  return (turns) => {
    const flames = turns.map(turn => ({ cue: turn.cue, flame: markFlame(plan, vessel, turn.mark) }))
    const start = flames.find(one => one.cue === 'start')?.flame ?? roast.flame
    const stages = [...before, { ...roast, flame: start, sign: SIGN.burnt, watches: [...ROAST_SIGNS, SIGN.flecks], tapped: [], from: null }]
    return {
      ...whole, stages, sides: [],
      turns: flames.flatMap((one): ProgramTurn[] => (one.cue === 'start' ? [] : [{ sign: SIGN[one.cue], flame: one.flame, late }])),
      queries: [],
      mostS: (cook.stageStarts[k] ?? 1200) + GIVE_UP * patienceS,
    }
  }
}
