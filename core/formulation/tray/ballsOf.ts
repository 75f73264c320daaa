import { requireRange } from '../../requireRange'

/** Balls of one mass. */
export interface Balls {
  readonly count: number
  readonly eachG: number
  readonly diameterMm: number
  /** What is left over as it was wished, g; shared out, every ball is `evenG`. */
  readonly leftG: number
  readonly evenG: number
}

/** How balls are wished: by weight, by diameter or by count. */
export type BallWish = { readonly eachG: number } | { readonly diameterMm: number } | { readonly count: number }

/**
 * How many balls a mass gives.
 *
 * @param massG of the mass, 1 to 50 000 g
 * @param density of it, g/ml, 0.4 to 2
 * @param wish weight of one, 3 to 500 g; diameter of one, 12 to 120 mm; or how many, 1 to 2000
 * @returns count, weight and diameter of one, and what is left
 * @throws CoreError `out-of-range`
 * @example ballsOf(600, 1.15, { eachG: 30 }).count // 20
 */
export function ballsOf(massG: number, density: number, wish: BallWish): Balls {
  requireRange('ballsOf.massG', massG, 1, 50_000)
  requireRange('ballsOf.density', density, 0.4, 2)
  const eachG = wished(massG, density, wish)
  const count = 'count' in wish ? wish.count : Math.max(1, Math.floor(massG / eachG + 1e-9))
  return {
    count,
    eachG,
    diameterMm: diameterMm(eachG, density),
    leftG: Math.max(0, massG - count * eachG),
    evenG: massG / count,
  }
}

function wished(massG: number, density: number, wish: BallWish): number {
  if ('count' in wish) return massG / requireRange('ballsOf.count', wish.count, 1, 2000)
  if ('eachG' in wish) return requireRange('ballsOf.eachG', wish.eachG, 3, 500)
  return density * Math.PI / 6 * (requireRange('ballsOf.diameterMm', wish.diameterMm, 12, 120) / 10) ** 3
}

function diameterMm(eachG: number, density: number): number {
  return 10 * Math.cbrt(6 * eachG / (Math.PI * density))
}
