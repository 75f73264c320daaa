import type { ColourStep } from '../dish/signIds'
import { COLOUR_STEPS } from '../dish/signIds'
import type { EnsembleRecord } from '../forecast/record'
import { SIGN, SIGNS } from '../forecast/signs'
import { windowOf } from '../forecast/windowOf'
import { normalCdf } from '../random/normalCdf'
import type { FlameSchedule, FlameTurn, FlameWish } from './flamePlan'

/** How well a cook ends a roast by eye and forecast, in log time since its start, and how long the hand takes, s (estimates). */
const END_NOISE = 0.18
const HAND_S = 8

/** Steps of a roast in order, the aroma before all colours. */
const STEPS = ['aroma', ...COLOUR_STEPS] as const

/**
 * What a schedule comes to over an ensemble that was run under it until everything burnt.
 *
 * @param turns the schedule
 * @param wish what is wanted
 * @param record the ensemble
 * @param weights of its members, adding to one
 * @param roast index of the roast in the record
 * @returns the schedule with its figures
 */
export function judgeSchedule(turns: readonly FlameTurn[], wish: FlameWish, record: EnsembleRecord, weights: Float64Array, roast: number): FlameSchedule {
  const at = STEPS.indexOf(wish.step)
  const lasts = new Float64Array(record.members)
  let reaches = 0
  let burns = 0
  let inTime = 0
  for (let i = 0; i < record.members; i++) {
    const start = record.starts[i * record.stages + roast]
    const since = (step: ColourStep | 'aroma' | 'flecks' | undefined): number => (step === undefined ? Number.POSITIVE_INFINITY : record.signs[i * SIGNS.length + SIGN[step]] - start)
    const wanted = since(wish.step)
    lasts[i] = Number.isFinite(wanted) ? wanted : 3 * wish.patienceS
    if (!Number.isFinite(wanted)) continue
    const ended = (timeS: number): number => (Number.isFinite(timeS) ? normalCdf(Math.log(Math.max(1, timeS - HAND_S) / Math.max(1, wanted)) / END_NOISE) : 1)
    const tooSoon = at === 0 ? 0 : ended(since(STEPS[at - 1]))
    const ruined = Math.min(since('burnt'), since('flecks'))
    const tooLate = ended(Math.min(since(STEPS[at + 2]), ruined))
    reaches += weights[i] * Math.max(0, tooLate - tooSoon)
    burns += weights[i] * (1 - ended(ruined))
    inTime += weights[i] * normalCdf(Math.log(wish.patienceS / Math.max(1, wanted)) / END_NOISE)
  }
  return { turns, lastsS: windowOf(lasts, weights), reaches, burns, inTime }
}
