import { itemAt, numberAt } from '../../maths/table/itemAt'
import { COLOUR_STEPS } from '../../formulation/signs/signIds'
import type { EnsembleRecord } from '../engine/record'
import { SIGN, SIGNS } from '../engine/signs'
import { normalCdf } from '../../maths/random/normalCdf'

/** Steps of a roast in order, the aroma before all colours. */
export const ROAST_STEPS = ['aroma', ...COLOUR_STEPS] as const
export type RoastStep = (typeof ROAST_STEPS)[number]

/** Burnt is this much worse than a step too pale (choice). */
const BURNT_COSTS = 1
/** How sharply a moment is told, in log time since the roast began: smooths what few members say. */
const SMOOTH = 0.08
const MOMENTS = 64
/** Moments this little worse are as good; the middle one of them is taken. */
const AS_GOOD = 0.01

/** When one member's roast is within one step of the wanted one, and when it is ruined, s since it began. */
export interface Within {
  readonly fromS: number
  readonly wantedS: number
  readonly toS: number
  readonly ruinedS: number
}

/**
 * The stretch of one member's roast that counts as the wanted one: from the step before it until two steps after it, or
 * until it burns.
 *
 * @param record an ensemble that ran on until everything burnt
 * @param i which member
 * @param roast index of the roast in the record
 * @param step that is wanted
 * @returns times in s since the roast began; Infinity where they never come
 */
export function withinOf(record: EnsembleRecord, i: number, roast: number, step: RoastStep): Within {
  const at = ROAST_STEPS.indexOf(step)
  const start = numberAt(record.starts, i * record.stages + roast)
  const since = (sign: RoastStep | 'flecks' | undefined): number =>
    sign === undefined ? Number.POSITIVE_INFINITY : numberAt(record.signs, i * SIGNS.length + SIGN[sign]) - start
  const ruinedS = Math.min(since('burnt'), since('flecks'))
  return {
    fromS: at === 0 ? 0 : since(ROAST_STEPS[at - 1]),
    wantedS: since(step),
    toS: Math.min(since(ROAST_STEPS[at + 2]), ruinedS),
    ruinedS,
  }
}

/** When to take a roast off the fire, and how sure that is. */
export interface TakeOff {
  /** s since the start of the cook. */
  readonly timeS: number
  /** Share of the weight that is then within one step of the wanted colour and not burnt. */
  readonly reaches: number
}

/**
 * The moment at which a roast is likeliest within one step of the wanted colour, with what has burnt by then held
 * against it. It lies before the middle of the wanted colour's window where burning follows close upon it.
 *
 * @param record an ensemble that ran on until everything burnt
 * @param weights of its members, adding to one
 * @param roast index of the roast in the record
 * @param step that is wanted
 * @param startS when the roast began, s since the start of the cook
 * @param nowS not before this, s since the start of the cook
 * @returns the moment and its chance
 */
export function takeOff(
  record: EnsembleRecord,
  weights: Float64Array,
  roast: number,
  step: RoastStep,
  startS: number,
  nowS: number,
): TakeOff {
  const members = Array.from({ length: record.members }, (_, i) => withinOf(record, i, roast, step))
  const wanted = members.map(one => one.wantedS).filter(Number.isFinite)
  const first = Math.max(5, nowS - startS)
  const last = Math.max(first, ...wanted)
  const moments = Array.from({ length: MOMENTS + 1 }, (_, k) => {
    const since = first * Math.pow(last / first, k / MOMENTS)
    const passed = (timeS: number): number =>
      Number.isFinite(timeS) ? normalCdf(Math.log(since / Math.max(1, timeS)) / SMOOTH) : 0
    let reaches = 0
    let burnt = 0
    members.forEach((one, i) => {
      reaches += numberAt(weights, i) * Math.max(0, passed(one.fromS) - passed(one.toS))
      burnt += numberAt(weights, i) * passed(one.ruinedS)
    })
    return { timeS: startS + since, reaches, worth: reaches - BURNT_COSTS * burnt }
  })
  const best = Math.max(...moments.map(one => one.worth))
  const good = moments.filter(one => one.worth >= best - AS_GOOD)
  const { timeS, reaches } = itemAt(good, Math.floor(good.length / 2))
  return { timeS, reaches }
}
