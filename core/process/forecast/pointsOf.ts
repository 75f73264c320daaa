import { numberAt } from '../../maths/table/itemAt'
import { constant } from '../../materials/constants/constants'
import type { MemberValues } from '../belief/memberValues'
import { appearance } from './appearance'
import type { ForecastPoint } from '../../record/plan/forecast'
import { AROMA, FAT, HELD, SOLIDS, SUGAR, WATER } from '../engine/layout'
import type { Program } from '../engine/program'
import type { TracePoint } from '../engine/trace'

/** What wet mass holds less of its fat than dry one, and how much sugar helps to hold (estimates). */
const WET_SHARE = constant('wetFat')
const SUGAR_HOLDS = constant('sugarFat')

/**
 * A traced run as it is drawn and read.
 *
 * @param program the cook
 * @param member whose run it is
 * @param trace its moments
 * @returns points in order of time
 */
export function pointsOf(program: Program, member: MemberValues, trace: readonly TracePoint[]): ForecastPoint[] {
  return trace.map(moment => pointOf(program, member, moment))
}

/**
 * One moment of a run as it is drawn and read.
 *
 * @param program the cook
 * @param member whose run it is
 * @param moment of it
 * @returns the point
 */
export function pointOf(
  program: Program,
  member: MemberValues,
  moment: TracePoint,
): ForecastPoint & { readonly aroma: number, readonly fatOutG: number, readonly stiffness: number } {
  const { timeS, stage, tempC, panC, waterG, heldG, contentG, volumeMl, state } = moment
  return {
    timeS,
    stage,
    tempC,
    panC,
    colour: appearance(program, moment),
    waterG,
    heldG,
    contentG,
    volumeMl,
    aroma: Math.min(2, state[AROMA] / member.aromaDose),
    fatOutG: fatOutG(program, state),
    stiffness: stiffness(state),
  }
}

/** Fat above what the mass holds: less of it is held while the mass is wet. */
function fatOutG(program: Program, state: Float64Array): number {
  const solids = numberAt(state, SOLIDS)
  const wet = numberAt(state, WATER) > 0 ? Math.min(1, numberAt(state, WATER) / Math.max(1, 3 * solids)) : 0
  const holds = program.family.mostFatPerSolids * solids * (1 - WET_SHARE * wet) + SUGAR_HOLDS * numberAt(state, SUGAR)
  return Math.max(0, numberAt(state, FAT) - holds)
}

/** From 0, what runs like water, to 1, what stands by itself: how little of the mass is liquid between its parts. */
function stiffness(state: Float64Array): number {
  const liquid = numberAt(state, WATER) - numberAt(state, HELD) + 0.6 * numberAt(state, FAT)
  const solid = numberAt(state, SOLIDS) + numberAt(state, HELD) + 0.5 * numberAt(state, SUGAR)
  return solid + liquid > 0 ? Math.min(1, solid / (solid + 4 * Math.max(0, liquid))) : 0
}
