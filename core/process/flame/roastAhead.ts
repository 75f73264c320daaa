import { itemAt } from '../../maths/table/itemAt'
import { mainLine } from '../../formulation/dish/mainLine'
import { finish } from '../../finish'
import { conditionSteps, marksOf } from '../ensemble/conditionEnsemble'
import { SIGN, SIGNS } from '../engine/signs'
import { columnOf, windowOf } from '../forecast/windowOf'
import type { Observation } from '../../record/marks/observation'
import type { CookPlan } from '../../record/plan/plan'
import type { LiveCook } from '../../record/marks/liveCook'
import { replay } from '../../record/replay/replay'
import type { FlameWish } from './flamePlan'
import { roastIndex } from '../program/roastIndex'
import { roastProgram } from './roastProgram'
import { ROAST_STEPS, takeOff, type RoastStep, type TakeOff } from './takeOff'

/** Turns are taken by the cook, not by the program. */
const NEVER_LATE = new Float64Array(1)

/** What is ahead of a running roast. */
export interface RoastAhead {
  /** When each step shows in the middle run, s since the start of the cook; left out where it does not come. */
  readonly due: Readonly<Partial<Record<RoastStep, number>>>
  /** When to take it off as the flame stands. */
  readonly end: TakeOff
  /** When to take it off, were the flame turned off now. */
  readonly endIfOff: TakeOff
}

/**
 * Looks ahead of a running roast: when its steps are due, when it is best taken off, and what turning the flame off now
 * would make of it.
 *
 * @param plan the plan
 * @param observations everything marked
 * @param nowS how far the cook is, s since its start
 * @param wish the roast that is wanted
 * @param members size of the ensemble
 * @returns what is ahead
 * @throws CoreError `cannot-work` where nothing is roasted
 */
export function roastAhead(
  plan: CookPlan,
  observations: readonly Observation[],
  nowS: number,
  wish: FlameWish,
  members: number,
): RoastAhead {
  return finish(roastAheadSteps(plan, observations, nowS, wish, members))
}

/**
 * The same in steps, so that something more urgent can be done between them.
 *
 * @param plan the plan
 * @param observations everything marked
 * @param nowS how far the cook is, s since its start
 * @param wish the roast that is wanted
 * @param members size of the ensemble
 * @returns yields while it works; returns what is ahead
 * @throws CoreError `cannot-work` where nothing is roasted
 */
export function* roastAheadSteps(
  plan: CookPlan,
  observations: readonly Observation[],
  nowS: number,
  wish: FlameWish,
  members: number,
): Generator<void, RoastAhead> {
  const cook = replay(plan, observations)
  const { vessel } = itemAt(mainLine(plan.dish), roastIndex(plan))
  const off = { timeS: nowS, id: 'off', what: { vessel, mark: 'off' } }
  const asItStands = yield* look(plan, cook, nowS, wish, members)
  const { end } = yield* look(plan, { ...cook, controls: [...cook.controls, off] }, nowS, wish, members)
  return { ...asItStands, endIfOff: end }
}

/**
 * Whether turning the flame off now makes more of the roast.
 *
 * @param ahead from `roastAhead`
 * @returns true where it pays
 */
export function offPays({ end, endIfOff }: Pick<RoastAhead, 'end' | 'endIfOff'>): boolean {
  return endIfOff.reaches > end.reaches
}

/**
 * The same as the flame stands, without asking what turning it off would do.
 *
 * @param plan the plan
 * @param observations everything marked
 * @param nowS how far the cook is, s since its start
 * @param wish the roast that is wanted
 * @param members size of the ensemble
 * @returns what is ahead
 * @throws CoreError `cannot-work` where nothing is roasted
 */
export function roastDue(
  plan: CookPlan,
  observations: readonly Observation[],
  nowS: number,
  wish: FlameWish,
  members: number,
): Pick<RoastAhead, 'due' | 'end'> {
  return finish(look(plan, replay(plan, observations), nowS, wish, members))
}

function* look(
  plan: CookPlan,
  cook: LiveCook,
  nowS: number,
  wish: FlameWish,
  members: number,
): Generator<void, Pick<RoastAhead, 'due' | 'end'>> {
  const program = roastProgram(plan, cook, nowS, wish.patienceS, NEVER_LATE)([])
  const { record, weights } = yield* conditionSteps(
    program,
    plan.belief,
    plan.seed,
    members,
    marksOf(plan, cook, program),
  )
  const k = roastIndex(plan)
  const due: Partial<Record<RoastStep, number>> = {}
  for (const step of ROAST_STEPS) {
    const { middle } = windowOf(columnOf(record.signs, SIGNS.length, SIGN[step]), weights)
    if (Number.isFinite(middle)) due[step] = middle
  }
  return { due, end: takeOff(record, weights, k, wish.step, cook.stageStarts[k] ?? 0, nowS) }
}
