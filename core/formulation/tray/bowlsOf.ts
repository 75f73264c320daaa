import { requireRange } from '../../requireRange'

/** A mass pressed into bowls and turned out. */
export interface Bowls {
  /** Bowls filled to the brim, and what is left for the last, ml. */
  readonly full: number
  readonly lastMl: number
  /** Weight of a full one, g. */
  readonly eachG: number
}

/**
 * How many bowls a mass fills.
 *
 * @param massG of the mass, 1 to 50 000 g
 * @param density of it, g/ml, 0.4 to 2
 * @param bowlMl to the brim, 20 to 5000 ml
 * @returns full bowls, the rest, and the weight of one
 * @throws CoreError `out-of-range`
 * @example bowlsOf(1000, 1, 180) // five full, 100 ml left, 180 g each
 */
export function bowlsOf(massG: number, density: number, bowlMl: number): Bowls {
  const volumeMl = requireRange('bowlsOf.massG', massG, 1, 50_000) / requireRange('bowlsOf.density', density, 0.4, 2)
  requireRange('bowlsOf.bowlMl', bowlMl, 20, 5000)
  const full = Math.floor(volumeMl / bowlMl + 1e-9)
  return { full, lastMl: Math.max(0, volumeMl - full * bowlMl), eachG: bowlMl * density }
}
