import type { Family } from '../family/family'
import type { VesselConditions } from './vesselConditions'

/** Masses going into a vessel at once, g, at one temperature. */
export interface Addition {
  readonly water: number
  readonly solids: number
  readonly fat: number
  readonly sugar: number
  readonly nuts: number
  /** Share taken as base: its water and solids follow the member's moisture. */
  readonly base: boolean
}

/** Which of a member's fire factors a fire follows. */
export type FireRole = 'mainFire' | 'otherFire'

/** A flame: which fire, and the power its mark stands for, W. */
export interface FlameSetting {
  readonly fire: FireRole
  readonly watts: number
}

/** One main-line stage ready to run. */
export interface ProgramStage {
  /** When it began, s since the start of the cook, if that has happened. */
  readonly startS: number | null
  readonly adds: readonly Addition[]
  /** True when the fried nuts leave the pan at its end. */
  readonly nutsLeave: boolean
  readonly flame: FlameSetting
  readonly lid: boolean
  /** Index into SIGNS of the sign it waits for, or null for minutes. */
  readonly sign: number | null
  readonly seconds: number
  /** True for a pour, whose seconds follow the member's pour time. */
  readonly pours: boolean
  /** Index of the side vessel whose content comes over at the start, or null. */
  readonly from: number | null
}

/** One vessel that runs beside the main line. */
export interface ProgramSide {
  readonly vessel: VesselConditions
  readonly startS: number | null
  readonly adds: readonly Addition[]
  readonly flame: FlameSetting
  readonly lid: boolean
  /** Main-line stage at whose start it has to be ready. */
  readonly meets: number
}

/** Something done to a flame or a lid at a known moment; vessel 0 is the main one, 1 and up the side vessels. */
export interface ProgramControl {
  readonly timeS: number
  readonly vessel: number
  readonly flame?: FlameSetting
  readonly lid?: boolean
}

/** A reading whose forecast value every member has to give. */
export interface ProgramQuery {
  readonly timeS: number
  readonly of: 'content-g' | 'temp-c'
}

/** Everything one member needs to be run: the plan with what has happened so far laid over it. */
export interface Program {
  readonly family: Family
  readonly vessel: VesselConditions
  readonly stages: readonly ProgramStage[]
  readonly sides: readonly ProgramSide[]
  readonly controls: readonly ProgramControl[]
  readonly queries: readonly ProgramQuery[]
  /** Signs that were tapped, as indices into SIGNS: each is run on for in a shadow if its stage was cut short. */
  readonly tapped: readonly number[]
  /** How far the cook is, s; nothing that has not been seen can have ended before it. */
  readonly nowS: number
  /** Where a run gives up, s. */
  readonly mostS: number
}
