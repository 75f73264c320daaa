import { itemAt, numberAt } from '../../maths/table/itemAt'
import { CoreError } from '../../error'
import type { MeasureSize } from '../measures/inMeasures'
import { allFills, type Fill } from './marks'

/** An ingredient as the search needs it: its weight as it stands and its bulk density. */
export interface ScaledIngredient { readonly id: string, readonly massG: number, readonly bulkDensity: number }

/** One scale whose amounts land on real marks. */
export interface OwnedScale {
  /** Of the amounts as they stand. */
  readonly factor: number
  readonly baseG: number
  /** Largest relative change of any ingredient's weight to the base's, pinches left out. */
  readonly distortion: number
  /** Which ingredient that is. */
  readonly worst: string
  readonly amounts: readonly { readonly id: string, readonly massG: number, readonly fill: Fill | null }[]
}

/** How far from the amounts as they stand is looked, and how many are offered. */
const NEAR = [0.8, 1.25] as const
const OFFERED = 3
/** Less than this share of the smallest mark is a pinch: it is left out of the distortion. */
const PINCH_SHARE = 0.96
/** Scales nearer to one another than this are one. */
const SAME = 0.02
/**
 * A scale pays this much distortion for each extra filling, and for each doubling away from what was wanted
 * (estimates).
 */
const FILLING_COST = 0.0015
const AWAY_COST = 0.03

/**
 * The nearby scales whose amounts land on marks the household owns, with the least distortion of the proportions. The
 * base stands on a mark; for it every other ingredient takes the mark nearest to its proportion, so that no scale with
 * that base distorts less.
 *
 * @param ingredients weights as they stand, g, and bulk densities, g/ml
 * @param base id of the base
 * @param measures what the household owns, at least one
 * @returns at most three scales, best first, each on its own mark of the base
 * @throws CoreError `unknown-name` where the base is not there; `cannot-work` where nothing near lands on a mark
 */
export function ownedScales(
  ingredients: readonly ScaledIngredient[],
  base: string,
  measures: readonly MeasureSize[],
): OwnedScale[] {
  const own = ingredients.find(one => one.id === base)
  if (!own) throw new CoreError('unknown-name', 'ownedScales.base', { given: base })
  const fills = allFills(measures)
  const volumes = Float64Array.from(fills, fill => fill.volumeMl)
  const least = fills[0]?.volumeMl ?? 0
  const volume = own.massG / own.bulkDensity
  const found = fills
    .filter(fill => fill.volumeMl >= volume * NEAR[0] && fill.volumeMl <= volume * NEAR[1])
    .map(fill => scaleAt(fill, own, ingredients, fills, volumes, least))
    .sort((p, q) => cost(p) - cost(q))
  if (found.length === 0) throw new CoreError('cannot-work', 'ownedScales.measures', { given: volume })
  const offered: OwnedScale[] = []
  for (const scale of found) {
    if (offered.length < OFFERED && offered.every(one => Math.abs(Math.log(one.factor / scale.factor)) > SAME))
      offered.push(scale)
  }
  return offered
}

function cost(scale: OwnedScale): number {
  const fillings = scale.amounts.reduce((sum, one) => sum + Math.max(0, (one.fill?.parts.length ?? 1) - 1), 0)
  return scale.distortion + fillings * FILLING_COST + Math.abs(Math.log2(scale.factor)) * AWAY_COST
}

function scaleAt(
  fill: Fill,
  own: ScaledIngredient,
  ingredients: readonly ScaledIngredient[],
  fills: readonly Fill[],
  volumes: Float64Array,
  least: number,
): OwnedScale {
  const baseG = fill.volumeMl * own.bulkDensity
  const factor = baseG / own.massG
  let distortion = 0
  let worst = own.id
  const amounts = ingredients.map(one => {
    if (one === own) return { id: one.id, massG: baseG, fill }
    const wanted = (one.massG * factor) / one.bulkDensity
    if (!(wanted >= least * PINCH_SHARE)) return { id: one.id, massG: one.massG * factor, fill: null }
    const near = itemAt(fills, nearest(volumes, wanted))
    const off = Math.abs(near.volumeMl / wanted - 1)
    if (off > distortion) {
      distortion = off
      worst = one.id
    }
    return { id: one.id, massG: near.volumeMl * one.bulkDensity, fill: near }
  })
  return { factor, baseG, distortion, worst, amounts }
}

/** Index of the volume nearest to the wanted one, by bisection. */
function nearest(volumes: Float64Array, wanted: number): number {
  let low = 0
  let high = volumes.length - 1
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (numberAt(volumes, middle) <= wanted) low = middle
    else high = middle
  }
  return Math.abs(numberAt(volumes, low) - wanted) <= Math.abs(numberAt(volumes, high) - wanted) ? low : high
}
