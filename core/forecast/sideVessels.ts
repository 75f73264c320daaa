import { addToVessel } from './addToVessel'
import { boilingTempC } from './boilingTempC'
import { TEMP, VESSEL_SIZE, WATER } from './layout'
import { flamePower, type Run } from './run'
import { stepVessel } from './stepVessel'

/** How near to the boiling point counts as boiling, K. */
const BOIL_MARGIN = 0.5
/** Share of the flame that keeps a pot at the boil once it is there. */
const HOLDING_SHARE = 0.2
const STEP_S = 4
const GIVE_UP_S = 5400

/**
 * Puts a side vessel's content in and its flame on.
 *
 * @param run the run, changed in place
 * @param side index of the side vessel
 */
export function lightSide(run: Run, side: number): void {
  const plan = run.program.sides[side]
  const at = (side + 1) * VESSEL_SIZE
  for (const addition of plan.adds) addToVessel(run.state, at, addition, run.program.vessel.airC, run.member)
  run.controls[side + 1].powerW = flamePower(plan.flame, run.member)
  run.controls[side + 1].lid = plan.lid
  run.sides[side] = 'lit'
}

/**
 * Steps one lit side vessel and notes when it boils; from then on the flame only keeps it there.
 *
 * @param run the run, changed in place
 * @param side index of the side vessel
 * @param stepS length of the step in s
 * @returns true in the step in which it comes to the boil
 */
export function stepSide(run: Run, side: number, stepS: number): boolean {
  const at = (side + 1) * VESSEL_SIZE
  const { vessel } = run.program.sides[side]
  stepVessel(run.state, at, vessel, run.program.family, run.member, run.controls[side + 1], stepS)
  if (run.boiled[side] || !(run.state[at + WATER] > 0)) return false
  if (run.state[at + TEMP] < boilingTempC(run.state, at, vessel.airPressure) - BOIL_MARGIN) return false
  run.boiled[side] = true
  run.controls[side + 1].powerW *= HOLDING_SHARE
  return true
}

/**
 * Makes a side vessel ready at once: filled if it was not, and at the boil. Used where the plan says that it meets the
 * pour and nobody has said otherwise.
 *
 * @param run the run, changed in place
 * @param side index of the side vessel
 */
export function makeReady(run: Run, side: number): void {
  if (run.sides[side] !== 'cold') return
  lightSide(run, side)
  const at = (side + 1) * VESSEL_SIZE
  run.state[at + TEMP] = boilingTempC(run.state, at, run.program.sides[side].vessel.airPressure)
}

/**
 * How long a side vessel needs from cold to the boil on its planned flame.
 *
 * @param run a run just started; it is used up
 * @param side index of the side vessel
 * @returns s; Infinity if the flame never brings it there within an hour and a half
 */
export function timeToBoilS(run: Run, side: number): number {
  lightSide(run, side)
  for (let timeS = 0; timeS < GIVE_UP_S; timeS += STEP_S) {
    if (stepSide(run, side, STEP_S)) return timeS + STEP_S
  }
  return Number.POSITIVE_INFINITY
}
