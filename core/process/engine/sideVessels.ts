import { constant } from '../../materials/constants/constants'
import { addToVessel } from './addToVessel'
import { boilingTempC } from './boilingTempC'
import { TEMP, WATER } from './layout'
import { COLD, flamePower, LIT, sideAt, type Run } from './run'
import { SIGN, signLevel } from './signs'

/** Share of the flame that keeps a pot as it is once it is there. */
const HOLDING_SHARE = constant('holdingFlame')
const STEP_S = 6
const GIVE_UP_S = 5400

/**
 * Puts a side vessel's content in and its flame on.
 *
 * @param run the run, changed in place
 * @param side index of the side vessel
 */
export function lightSide(run: Run, side: number): void {
  const plan = run.program.sides[side]
  const at = sideAt(run.program, side)
  for (const addition of plan.adds) addToVessel(run.state, at, addition, plan.vessel.airC, run.member)
  const control = run.controls[side + 1]
  control.powerW = flamePower(plan.flame, run.member)
  control.lagS = plan.flame.lagS
  control.cover = plan.cover
  run.sides[side] = LIT
}

/**
 * Steps one lit side vessel and notes when it is ready; from then on the flame only keeps it there.
 *
 * @param run the run, changed in place
 * @param side index of the side vessel
 * @param stepS length of the step in s
 * @returns true in the step in which its sign shows
 */
export function stepSide(run: Run, side: number, stepS: number): boolean {
  const at = sideAt(run.program, side)
  const { vessel, sign } = run.program.sides[side]
  run.program.step(run.state, at, vessel, run.program.beside, run.member, run.controls[side + 1], stepS)
  if (run.sideReady[side] === 1 || sign === null) return false
  if (signLevel(sign, run.state, at, run) < 0) return false
  run.sideReady[side] = 1
  run.controls[side + 1].powerW *= HOLDING_SHARE
  return true
}

/**
 * Makes a side vessel ready at once: filled if it was not, and where its sign would be. Used where the plan says that
 * it meets the pour and nobody has said otherwise.
 *
 * @param run the run, changed in place
 * @param side index of the side vessel
 */
export function makeReady(run: Run, side: number): void {
  if (run.sides[side] !== COLD) return
  lightSide(run, side)
  const at = sideAt(run.program, side)
  const { vessel, sign } = run.program.sides[side]
  if (sign === SIGN.strength) {
    for (let timeS = 0; timeS < GIVE_UP_S && !stepSide(run, side, STEP_S); timeS += STEP_S);
  }
  if (run.state[at + WATER] > 0) run.state[at + TEMP] = boilingTempC(run.state, at, vessel.airPressure)
}

/**
 * How long a side vessel needs from cold until it is ready on its planned flame.
 *
 * @param run a run just started; it is used up
 * @param side index of the side vessel
 * @returns s; Infinity if the flame never brings it there within an hour and a half
 */
export function timeToReadyS(run: Run, side: number): number {
  const { sign, seconds } = run.program.sides[side]
  if (sign === null) return seconds
  lightSide(run, side)
  for (let timeS = 0; timeS < GIVE_UP_S; timeS += STEP_S) {
    if (stepSide(run, side, STEP_S)) return timeS + STEP_S
  }
  return Number.POSITIVE_INFINITY
}
