import { requireRange } from '../../requireRange'

/** Least that a household grinder turns well, g dry (estimate). */
const LEAST_GRIND_G = 200
/** Water that leaves while washed lentils dry and are roasted (estimate). */
const ROAST_LOSS = 0.05

/** A grinding in bulk: what goes in, what is used, what is left for the store. */
export interface Grinding {
  /** Dry lentils, rice or nuts into the grinder, g. */
  readonly grindG: number
  readonly flourG: number
  readonly usedG: number
  /** Left for the store, g. */
  readonly surplusG: number
}

/**
 * Roasting and grinding a lentil or rice flour: a grinder needs a least load, so what a dish does not take is a surplus
 * for the store.
 *
 * @param neededG dry weight the dish counts, g, 1 to 20 000
 * @param ground share left after grinding, 0.5 to 1
 * @param loadG what is put into the grinder, g; the least load where it is smaller
 * @returns the grinding
 * @throws CoreError `out-of-range`
 */
export function grindSurplus(neededG: number, ground: number, loadG = LEAST_GRIND_G): Grinding {
  requireRange('grindSurplus.neededG', neededG, 1, 20000)
  requireRange('grindSurplus.ground', ground, 0.5, 1)
  const share = ground * (1 - ROAST_LOSS)
  const grindG = Math.max(loadG, LEAST_GRIND_G, neededG / ground)
  const flourG = grindG * share
  const usedG = Math.min(flourG, neededG / ground * share)
  return { grindG, flourG, usedG, surplusG: flourG - usedG }
}
