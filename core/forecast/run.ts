import type { MemberValues } from '../belief/memberValues'
import { VESSEL_SIZE, PAN_TEMP, TEMP } from './layout'
import type { FlameSetting, Program } from './program'
import { SIGNS } from './signs'
import type { VesselControls } from './stepVessel'

/** One member on its way: the flat state, the controls as they stand, and where it is. */
export interface Run {
  readonly program: Program
  readonly member: MemberValues
  readonly state: Float64Array
  readonly controls: VesselControls[]
  readonly levels: Float64Array
  timeS: number
  stage: number
  stageStartS: number
  /** When the sign of the running stage showed, or Infinity. */
  readyS: number
  poured: boolean
  /** Where each side vessel is, and which have boiled. */
  readonly sides: ('cold' | 'lit' | 'emptied')[]
  readonly boiled: boolean[]
  nextControl: number
  nextQuery: number
}

/**
 * A run standing before its first stage, every vessel at room temperature and empty.
 *
 * @param program what is to be run
 * @param member uncertain numbers
 * @returns a run to be stepped by `simulate`
 */
export function startRun(program: Program, member: MemberValues): Run {
  const vessels = 1 + program.sides.length
  const state = new Float64Array(vessels * VESSEL_SIZE)
  for (let i = 0; i < vessels; i++) {
    state[i * VESSEL_SIZE + PAN_TEMP] = program.vessel.airC
    state[i * VESSEL_SIZE + TEMP] = program.vessel.airC
  }
  return {
    program, member, state,
    controls: Array.from({ length: vessels }, () => ({ powerW: 0, lid: false, capacityG: 0 })),
    levels: new Float64Array(SIGNS.length).fill(-1e9),
    timeS: 0, stage: -1, stageStartS: 0, readyS: Number.POSITIVE_INFINITY, poured: false,
    sides: program.sides.map(() => 'cold' as const),
    boiled: program.sides.map(() => false),
    nextControl: 0, nextQuery: 0,
  }
}

/**
 * Power a flame gives one member's pan.
 *
 * @param flame the mark's power and its fire
 * @param member uncertain numbers
 * @returns W
 */
export function flamePower(flame: FlameSetting, member: MemberValues): number {
  return flame.watts * member[flame.fire]
}
