import { numberAt } from '../../maths/table/itemAt'
import { constant } from '../../materials/constants/constants'
import type { EnsembleRecord } from '../engine/record'
import { windowOf } from '../forecast/windowOf'
import { normalCdf } from '../../maths/random/normalCdf'
import type { FlameSchedule, FlameWish } from './flamePlan'
import type { FlameTurn } from '../../record/plan/flameTurn'
import { withinOf } from './takeOff'

/**
 * How well a cook ends a roast by eye and forecast, in log time since its start, and how long the hand takes, s
 * (estimates).
 */
const END_NOISE = 0.18
const HAND_S = constant('handOff')

/**
 * What a schedule onColour to over an ensemble that was run under it until everything burnt.
 *
 * @param turns the schedule
 * @param wish what is wanted
 * @param record the ensemble
 * @param weights of its members, adding to one
 * @param roast index of the roast in the record
 * @returns the schedule with its figures
 */
export function judgeSchedule(
  turns: readonly FlameTurn[],
  wish: FlameWish,
  record: EnsembleRecord,
  weights: Float64Array,
  roast: number,
): FlameSchedule {
  const lasts = new Float64Array(record.members)
  let reaches = 0
  let burns = 0
  let inTime = 0
  let onColour = 0
  for (let i = 0; i < record.members; i++) {
    const { fromS, wantedS, toS, ruinedS } = withinOf(record, i, roast, wish.step)
    // A flame turned off may leave it a step short: then it is what it is when it stops.
    const short = !Number.isFinite(wantedS) && turns.at(-1)?.mark === 'off'
    const wanted = short ? fromS : wantedS
    lasts[i] = Number.isFinite(wanted) ? wanted : 3 * wish.patienceS
    if (!Number.isFinite(wanted)) continue
    const ended = (timeS: number): number =>
      Number.isFinite(timeS) ? normalCdf(Math.log(Math.max(1, timeS - HAND_S) / Math.max(1, wanted)) / END_NOISE) : 1
    reaches += numberAt(weights, i) * Math.max(0, ended(toS) - (fromS > 0 && !short ? ended(fromS) : 0))
    burns += numberAt(weights, i) * (1 - ended(ruinedS))
    inTime += numberAt(weights, i) * normalCdf(Math.log(wish.patienceS / Math.max(1, wanted)) / END_NOISE)
    onColour += short ? 0 : numberAt(weights, i)
  }
  return { turns, lastsS: windowOf(lasts, weights), reaches, burns, inTime, onColour }
}
