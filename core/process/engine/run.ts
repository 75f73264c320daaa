import type { MemberValues } from '../belief/memberValues'
import { COLOUR_STEPS } from '../../formulation/signs/signIds'
import { OPEN } from './cover'
import { laidOut } from './laidOut'
import { PAN_TEMP, TEMP, VESSEL_SIZE } from './layout'
import type { FlameSetting, Program, ProgramStage } from './program'
import { fillStepDoses, SIGNS, type SignView } from './signs'
import type { VesselControls } from './stepVessel'

/** Where a side vessel is: cold, lit, or poured out. */
export const COLD = 0
export const LIT = 1
export const EMPTIED = 2

/**
 * One member on its way: the flat state, the controls as they stand (first the main line's, then the sides'), and where
 * it is. Used again for every member.
 */
export interface Run extends SignView {
  readonly program: Program
  member: MemberValues
  readonly state: Float64Array
  /** The state before the last step: a step that jumped over the end of its stage is taken again, shorter. */
  readonly before: Float64Array
  readonly controls: VesselControls[]
  readonly levels: Float64Array
  timeS: number
  stage: number
  /** Where the running stage's vessel begins in the state. */
  at: number
  stageStartS: number
  /** From when the seconds of a stage count: its start, or the moment a sealed pan came to pressure. */
  countsFromS: number
  /** When the sign of the running stage showed, or Infinity. */
  readyS: number
  stageMl: number
  /** Where each side vessel is, and which have shown their sign. */
  readonly sides: Uint8Array
  readonly sideReady: Uint8Array
  /** When each turn of the flame is due, or Infinity. */
  readonly turnsAtS: Float64Array
  nextControl: number
  nextChange: number
  nextQuery: number
}

/**
 * A run for a program; `resetRun` puts a member at its start.
 *
 * @param given what is to be run
 * @param member uncertain numbers
 * @returns a run to be stepped by `simulate`
 */
export function startRun(given: Program, member: MemberValues): Run {
  const program = laidOut(given)
  const vessels = program.vessels.length + program.sides.length
  const run: Run = {
    program,
    member,
    state: new Float64Array(vessels * VESSEL_SIZE),
    before: new Float64Array(vessels * VESSEL_SIZE),
    controls: Array.from({ length: 1 + program.sides.length }, () => ({ powerW: 0, lagS: 0, cover: OPEN })),
    levels: new Float64Array(SIGNS.length),
    timeS: 0,
    stage: -1,
    at: 0,
    stageStartS: 0,
    countsFromS: 0,
    readyS: Number.POSITIVE_INFINITY,
    stageMl: 0,
    stepDoses: new Float64Array(COLOUR_STEPS.length),
    sides: new Uint8Array(program.sides.length),
    sideReady: new Uint8Array(program.sides.length),
    turnsAtS: new Float64Array(program.turns.length),
    nextControl: 0,
    nextChange: 0,
    nextQuery: 0,
  }
  resetRun(run, member)
  return run
}

/**
 * Puts a run before its first stage with another member, every vessel at room temperature and empty.
 *
 * @param run the run, changed in place
 * @param member uncertain numbers
 */
export function resetRun(run: Run, member: MemberValues): void {
  const { program, state, controls } = run
  run.member = member
  fillStepDoses(program, member, run.stepDoses)
  state.fill(0)
  for (let at = 0; at < state.length; at += VESSEL_SIZE) {
    state[at + PAN_TEMP] = program.vessels[0].airC
    state[at + TEMP] = program.vessels[0].airC
  }
  for (const control of controls) {
    control.powerW = 0
    control.lagS = 0
    control.cover = OPEN
  }
  run.levels.fill(-1e9)
  run.timeS = 0
  run.stage = -1
  run.at = 0
  run.stageStartS = 0
  run.countsFromS = 0
  run.readyS = Number.POSITIVE_INFINITY
  run.stageMl = 0
  run.turnsAtS.fill(Number.POSITIVE_INFINITY)
  run.sides.fill(COLD)
  run.sideReady.fill(0)
  run.nextControl = 0
  run.nextChange = 0
  run.nextQuery = 0
}

/**
 * Where a side vessel begins in the state: after those of the main line.
 *
 * @param program whose side vessel
 * @param side its index
 * @returns index into the state
 */
export function sideAt(program: Program, side: number): number {
  return (program.vessels.length + side) * VESSEL_SIZE
}

/**
 * Power a flame gives one member's pan. Marks of one fire stand on a ladder whose steepness is uncertain as well.
 *
 * @param flame the mark's power, its fire and its place on the ladder
 * @param member uncertain numbers
 * @returns W
 */
export function flamePower(flame: FlameSetting, member: MemberValues): number {
  if (flame.fire === 'otherFire') return flame.watts * member.otherFire
  return flame.watts * member.mainFire * Math.exp(member.mainLadder * flame.ladder)
}

/**
 * How much of a flame's power counts in a stage: roasts and wet stages each have their own pace.
 *
 * @param stage which
 * @param member uncertain numbers
 * @returns a factor
 */
export function paceOf(stage: Pick<ProgramStage, 'wet' | 'roasts'>, member: MemberValues): number {
  if (stage.wet) return member.wetPace
  return stage.roasts ? member.roastPace : 1
}
