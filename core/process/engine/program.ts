import type { Lab } from '../../materials/colour/lab'
import type { ColourStep } from '../../formulation/signs/signIds'
import type { BaseNumbers } from './baseNumbers'
import type { Cover } from './cover'
import type { stepVessel } from './stepVessel'
import type { VesselConditions } from './vesselConditions'

/** Masses going into a vessel at once, g, at the room's temperature. */
export interface Addition {
  readonly water: number
  readonly solids: number
  readonly fat: number
  readonly sugar: number
  readonly invert: number
  readonly nuts: number
  /** Taken as base: its water is held in it, and of a dry one follows the member's moisture. */
  readonly base: boolean
  readonly dry: boolean
}

/** Which of a member's fire factors a fire follows. */
export type FireRole = 'mainFire' | 'otherFire'

/** A flame: which fire, the power its mark stands for in W, and how far up the ladder of marks it stands. */
export interface FlameSetting {
  readonly fire: FireRole
  readonly watts: number
  /** Natural logarithm of this power over the one the fire's factor is believed at. */
  readonly ladder: number
  /** How long the fire takes to follow its mark, s; 0 for a gas flame. */
  readonly lagS: number
}

/** One main-line stage ready to run. */
export interface ProgramStage {
  /** When it began, s since the start of the cook, if that has happened. */
  readonly startS: number | null
  /** Index into the program's vessels. */
  readonly vessel: number
  readonly adds: readonly Addition[]
  /** True when the fried nuts leave the pan at its end. */
  readonly nutsLeave: boolean
  readonly flame: FlameSetting
  readonly cover: Cover
  /** Index into SIGNS of the sign it waits for, or null for minutes. */
  readonly sign: number | null
  readonly seconds: number
  /** How many times the usual pour it takes: by what comes over, and longer in parts; 0 where nothing is poured. */
  readonly pours: number
  /** Index of another main-line vessel that is tipped over at the start, or null. */
  readonly tips: number | null
  /** Index of the side vessel whose content comes over at the start, or null, and how much of it. */
  readonly from: number | null
  readonly fromShare: number
  /**
   * True where liquid is cooked down: the member's pace of wet stages applies; of roasts where something is roasted.
   */
  readonly wet: boolean
  readonly roasts: boolean
  /** Longest step in it, s: short where it browns, longer where only water moves or nothing is on the fire. */
  readonly stepS: number
  /** What has gone in takes at least this long to be stirred in, s, before its sign can show. */
  readonly leastS: number
  /** True where its seconds count from when the sealed pan has come to pressure. */
  readonly underPressure: boolean
  /** When the first release of the valve was heard in it, s since the start, or null. */
  readonly pressureS: number | null
  /** Signs that can show in it, as indices into SIGNS. */
  readonly watches: readonly number[]
  /** Those of them that were tapped in it: they are looked for in a shadow where it was cut short. */
  readonly tapped: readonly number[]
  /** Change of L* by what has gone in up to here: milk lightens, jaggery darkens. */
  readonly tint: number
}

/** One vessel that runs beside the main line. */
export interface ProgramSide {
  readonly vessel: VesselConditions
  readonly startS: number | null
  readonly adds: readonly Addition[]
  readonly flame: FlameSetting
  readonly cover: Cover
  /** True where the main line goes on in it: what is ready stays where it is, and the other comes to it. */
  readonly staysIn: boolean
  /** Main-line stage at whose start it has to be ready. */
  readonly meets: number
  /** Sign by which it is ready, as an index into SIGNS, or null for its seconds. */
  readonly sign: number | null
  readonly seconds: number
}

/** Something done to a flame or a lid at a known moment; vessel 0 is the main one, 1 and up the side vessels. */
export interface ProgramControl {
  readonly timeS: number
  readonly vessel: number
  readonly flame?: FlameSetting
  readonly cover?: Cover
}

/**
 * A change of what is in the main line's vessel at a known moment: more of something, fat lifted off, the rest of a
 * side vessel.
 */
export interface ProgramChange {
  readonly timeS: number
  readonly adds: readonly Addition[]
  readonly liftsFatG: number
  /** Index of the side vessel whose rest comes over, or null. */
  readonly from: number | null
}

/** A flame that is taken when a sign shows in the main line. */
export interface ProgramTurn {
  /** Index of the main-line stage in which it is taken. */
  readonly stage: number
  /** Index into SIGNS. */
  readonly sign: number
  readonly flame: FlameSetting
  /** How late it is taken by member, as a share of the time since the stage began. */
  readonly late: Float64Array
}

/** A reading whose forecast value every member has to give. */
export interface ProgramQuery {
  readonly timeS: number
  readonly of: 'content-g' | 'temp-c' | 'volume-ml'
}

/** Colours the base goes through: its browning path and where the steps stand on it. */
export interface ProgramColours {
  readonly path: readonly Lab[]
  readonly rawLightness: number
  readonly stepLightness: Readonly<Record<ColourStep, number>>
}

/** Everything one member needs to be run: the plan with what has happened so far laid over it. */
export interface Program {
  readonly family: BaseNumbers
  /** The same for what stands beside: nothing in it swells. */
  readonly beside: BaseNumbers
  readonly colours: ProgramColours
  /** The laws of one step: `stepVessel`, or other ones where a model is put to the test. */
  readonly step: typeof stepVessel
  /** True where the base goes in already soft: a cooked purée. */
  readonly cooked: boolean
  /** Sugar over all of a syrup at its strength, g/g. */
  readonly syrupShare: number
  /** Vessels of the main line, the first of which stands in the room of all. */
  readonly vessels: readonly [VesselConditions, ...VesselConditions[]]
  readonly stages: readonly ProgramStage[]
  readonly sides: readonly ProgramSide[]
  readonly controls: readonly ProgramControl[]
  readonly changes: readonly ProgramChange[]
  readonly turns: readonly ProgramTurn[]
  readonly queries: readonly ProgramQuery[]
  /** How far the cook is, s; nothing that has not been seen can have ended before it. */
  readonly nowS: number
  /** Where a run gives up, s. */
  readonly mostS: number
}
