import { itemAt } from '../../maths/table/itemAt'
import type { MemberValues } from '../belief/memberValues'
import { COLOUR_STEPS } from '../../formulation/signs/signIds'
import { OPEN } from './cover'
import { laidOut } from './laidOut'
import { PAN_TEMP, TEMP, VESSEL_SIZE, vesselIn, type VesselState } from './layout'
import type { FlameSetting, Program, ProgramSide, ProgramStage, ProgramTurn } from './program'
import { fillStepDoses, SIGNS, type SignView } from './signs'
import type { VesselControls } from './stepVessel'

/** Where a side vessel is: cold, lit, or poured out. */
export const COLD = 0
export const LIT = 1
export const EMPTIED = 2

/** A side vessel on its way. */
export interface VesselBeside {
  readonly plan: ProgramSide
  readonly state: VesselState
  readonly control: VesselControls
  where: typeof COLD | typeof LIT | typeof EMPTIED
  /** True once its sign has shown. */
  ready: boolean
}

/** A turn of the flame, and when it is due, s since the start, or Infinity. */
export interface DueTurn {
  readonly plan: ProgramTurn
  atS: number
}

/** One member on its way: the vessels and controls as they stand, and where it is. Used again for every member. */
export interface Run extends SignView {
  readonly program: Program
  member: MemberValues
  /** The numbers of all vessels, one after another: those of the main line, then the sides'. */
  readonly all: Float64Array
  /** The same before the last step: a step that jumped over the end of its stage is taken again, shorter. */
  readonly before: Float64Array
  /** Vessels of the main line, and what the cook does to the one that is in use. */
  readonly main: readonly VesselState[]
  readonly control: VesselControls
  readonly beside: readonly VesselBeside[]
  readonly levels: Float64Array
  timeS: number
  /** Which stage runs, from 0 to their number, where the run is over. */
  stage: number
  /** That stage; null before the first and after the last. */
  running: ProgramStage | null
  /** Its vessel. */
  state: VesselState
  stageStartS: number
  /** From when the seconds of a stage count: its start, or the moment a sealed pan came to pressure. */
  countsFromS: number
  /** When the sign of the running stage showed, or Infinity. */
  readyS: number
  stageMl: number
  readonly turns: readonly DueTurn[]
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
  const mains = program.vessels.length
  const all = new Float64Array((mains + program.sides.length) * VESSEL_SIZE)
  const main = program.vessels.map((_, i) => vesselIn(all, i))
  const run: Run = {
    program,
    member,
    all,
    before: new Float64Array(all.length),
    main,
    control: noControl(),
    beside: program.sides.map((plan, i) =>
      ({ plan, state: vesselIn(all, mains + i), control: noControl(), where: COLD, ready: false })),
    levels: new Float64Array(SIGNS.length),
    timeS: 0,
    stage: -1,
    running: null,
    state: itemAt(main, 0),
    stageStartS: 0,
    countsFromS: 0,
    readyS: Number.POSITIVE_INFINITY,
    stageMl: 0,
    stepDoses: new Float64Array(COLOUR_STEPS.length),
    turns: program.turns.map(plan => ({ plan, atS: Number.POSITIVE_INFINITY })),
    nextControl: 0,
    nextChange: 0,
    nextQuery: 0,
  }
  resetRun(run, member)
  return run
}

function noControl(): VesselControls {
  return { powerW: 0, lagS: 0, cover: OPEN }
}

function reset(control: VesselControls): void {
  control.powerW = 0
  control.lagS = 0
  control.cover = OPEN
}

/**
 * Puts a run before its first stage with another member, every vessel at room temperature and empty.
 *
 * @param run the run, changed in place
 * @param member uncertain numbers
 */
export function resetRun(run: Run, member: MemberValues): void {
  const { program } = run
  const { airC } = program.vessels[0]
  run.member = member
  fillStepDoses(program, member, run.stepDoses)
  run.all.fill(0)
  for (const state of run.main) {
    state[PAN_TEMP] = airC
    state[TEMP] = airC
  }
  reset(run.control)
  for (const side of run.beside) {
    side.state[PAN_TEMP] = airC
    side.state[TEMP] = airC
    reset(side.control)
    side.where = COLD
    side.ready = false
  }
  run.levels.fill(-1e9)
  run.timeS = 0
  run.stage = -1
  run.running = null
  run.state = itemAt(run.main, 0)
  run.stageStartS = 0
  run.countsFromS = 0
  run.readyS = Number.POSITIVE_INFINITY
  run.stageMl = 0
  for (const turn of run.turns) turn.atS = Number.POSITIVE_INFINITY
  run.nextControl = 0
  run.nextChange = 0
  run.nextQuery = 0
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
