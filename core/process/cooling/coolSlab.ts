import { numberAt } from '../../maths/table/itemAt'
import { requireRange } from '../../requireRange'
import type { Slab } from './slab'

/** Layers the slab is divided into, and length of a step, s. */
const LAYERS = 16
const STEP_S = 5
/** After so long it is as cold as it gets, s. */
const MOST_S = 24 * 3600

/** A slab's cooling at one moment. */
export interface SlabMoment {
  readonly timeS: number
  /** Warmest and coolest layer, °C. */
  readonly warmestC: number
  readonly coolestC: number
  /** Heat lost since the start, J for each m². */
  readonly lostJ: number
}

/**
 * Cools a layer in its tray: conduction through its depth, film losses at both faces, one dimension, stepped implicitly
 * (Crank and Nicolson's fully implicit relative; stable at any step). It ends when every layer has come to a
 * temperature.
 *
 * @param slab the layer
 * @param toC temperature at which it ends, °C
 * @returns its moments, the first at 0; the last is the one at which the warmest layer has come down, or a day
 * @throws CoreError `out-of-range`
 */
export function coolSlab(slab: Slab, toC: number): SlabMoment[] {
  requireRange('coolSlab.depthM', slab.depthM, 0.001, 0.2)
  requireRange('coolSlab.startC', slab.startC, -60, 180)
  requireRange('coolSlab.airC', slab.airC, -60, 60)
  const temps = new Float64Array(LAYERS).fill(slab.startC)
  const moments: SlabMoment[] = [{ timeS: 0, warmestC: slab.startC, coolestC: slab.startC, lostJ: 0 }]
  let lostJ = 0
  let warmestC = slab.startC
  for (let timeS = STEP_S; warmestC > toC && timeS <= MOST_S; timeS += STEP_S) {
    lostJ += step(temps, slab)
    warmestC = Math.max(...temps)
    moments.push({ timeS, warmestC, coolestC: Math.min(...temps), lostJ })
  }
  return moments
}

/** One implicit step, solved by Thomas's elimination. Gives the heat that left, J/m². */
function step(temps: Float64Array, slab: Slab): number {
  const thick = slab.depthM / LAYERS
  const heat = slab.volumeHeat * thick / STEP_S
  const between = slab.conductivity / thick
  // From the middle of the outer layer through half of it and the film.
  const outer = (film: number): number => 1 / (1 / film + thick / 2 / slab.conductivity)
  const [below, above] = [outer(slab.baseW), outer(slab.topW)]
  const upper = new Float64Array(LAYERS)
  const right = new Float64Array(LAYERS)
  for (let i = 0; i < LAYERS; i++) {
    const loss = (i === 0 ? below : 0) + (i === LAYERS - 1 ? above : 0)
    const neighbours = (i > 0 ? between : 0) + (i < LAYERS - 1 ? between : 0)
    const down = i > 0 ? between : 0
    const pivot = heat + neighbours + loss - (i > 0 ? down * numberAt(upper, i - 1) : 0)
    upper[i] = i < LAYERS - 1 ? between / pivot : 0
    right[i] = (heat * numberAt(temps, i) + loss * slab.airC + (i > 0 ? down * numberAt(right, i - 1) : 0)) / pivot
  }
  let coming = 0
  for (let i = LAYERS - 1; i >= 0; i--) {
    coming = numberAt(right, i) + numberAt(upper, i) * coming
    temps[i] = coming
  }
  return (below * (numberAt(temps, 0) - slab.airC) + above * (numberAt(temps, LAYERS - 1) - slab.airC)) * STEP_S
}
