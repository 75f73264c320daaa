import { contentG } from './contentG'
import { contentMl } from './contentMl'
import { HELD, PAN_TEMP, TEMP, vesselState, WATER, type VesselState } from './layout'
import { roastLightness } from './roastLightness'
import type { Run } from './run'

/** A run's moments as they are kept. */
export interface Trace {
  /** Shortest time between two kept moments, s; 0 keeps every step. */
  readonly everyS: number
  readonly points: TracePoint[]
}

/** One moment of one run, for drawing and for checking balances. */
export interface TracePoint {
  readonly timeS: number
  /** Index of the main-line stage. */
  readonly stage: number
  readonly tempC: number
  readonly panC: number
  /** Lightness of the roasted base, before the liquid changes it. */
  readonly lightness: number
  readonly waterG: number
  readonly heldG: number
  readonly contentG: number
  readonly volumeMl: number
  /** Copy of the running vessel's numbers, and of the whole flat state. */
  readonly state: VesselState
  readonly all: Float64Array
}

/**
 * The moment a run stands at.
 *
 * @param run the run
 * @returns a copy that stays as it is
 */
export function tracePoint(run: Run): TracePoint {
  const { program } = run
  const state = vesselState(run.state)
  return {
    timeS: run.timeS,
    stage: run.stage,
    tempC: state[TEMP],
    panC: state[PAN_TEMP],
    lightness: roastLightness(state, program.colours.rawLightness, program.family.finalLightness, run.member),
    waterG: state[WATER],
    heldG: state[HELD],
    contentG: contentG(state),
    volumeMl: contentMl(state, program.family),
    state,
    all: run.all.slice(),
  }
}
