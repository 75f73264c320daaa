import { constant } from '../../materials/constants/constants'
import { addToVessel } from './addToVessel'
import { boilingTempC } from './boilingTempC'
import { TEMP, WATER } from './layout'
import { COLD, flamePower, LIT, type VesselBeside, type Run } from './run'
import { SIGN, signLevel } from './signs'

/** Share of the flame that keeps a pot as it is once it is there. */
const HOLDING_SHARE = constant('holdingFlame')
const STEP_S = 6
const GIVE_UP_S = 5400

/**
 * Puts a side vessel's content in and its flame on.
 *
 * @param run the run it belongs to
 * @param side the vessel, changed in place
 */
export function lightSide(run: Run, side: VesselBeside): void {
  const { plan, state, control } = side
  for (const addition of plan.adds) addToVessel(state, addition, plan.vessel.airC, run.member)
  control.powerW = flamePower(plan.flame, run.member)
  control.lagS = plan.flame.lagS
  control.cover = plan.cover
  side.where = LIT
}

/**
 * Steps one lit side vessel and notes when it is ready; from then on the flame only keeps it there.
 *
 * @param run the run it belongs to
 * @param side the vessel, changed in place
 * @param stepS length of the step in s
 * @returns true in the step in which its sign shows
 */
export function stepSide(run: Run, side: VesselBeside, stepS: number): boolean {
  const { plan: { vessel, sign }, state, control } = side
  run.program.step(state, vessel, run.program.beside, run.member, control, stepS)
  if (side.ready || sign === null) return false
  if (signLevel(sign, state, run) < 0) return false
  side.ready = true
  control.powerW *= HOLDING_SHARE
  return true
}

/**
 * Makes a side vessel ready at once: filled if it was not, and where its sign would be. Used where the plan says that
 * it meets the pour and nobody has said otherwise.
 *
 * @param run the run it belongs to
 * @param side the vessel, changed in place
 */
export function makeReady(run: Run, side: VesselBeside): void {
  if (side.where !== COLD) return
  lightSide(run, side)
  const { plan: { vessel, sign }, state } = side
  if (sign === SIGN.strength) {
    for (let timeS = 0; timeS < GIVE_UP_S && !stepSide(run, side, STEP_S); timeS += STEP_S);
  }
  if (state[WATER] > 0) state[TEMP] = boilingTempC(state, vessel.airPressure)
}

/**
 * How long a side vessel needs from cold until it is ready on its planned flame.
 *
 * @param run a run just started; it is used up
 * @param side the vessel
 * @returns s; Infinity if the flame never brings it there within an hour and a half
 */
export function timeToReadyS(run: Run, side: VesselBeside): number {
  const { sign, seconds } = side.plan
  if (sign === null) return seconds
  lightSide(run, side)
  for (let timeS = 0; timeS < GIVE_UP_S; timeS += STEP_S) {
    if (stepSide(run, side, STEP_S)) return timeS + STEP_S
  }
  return Number.POSITIVE_INFINITY
}
