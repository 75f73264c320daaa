import type { Lab } from '../../materials/colour/lab'
import type { ColourStep } from '../signs/signIds'

/**
 * L* that endless browning reaches, and where each step begins between there and the raw base (estimates, as
 * semolina's).
 */
const FINAL = 22
const STEP_SHARES: Readonly<Record<ColourStep, number>> = {
  'pale': 0.92,
  'golden': 0.79,
  'deep-golden': 0.645,
  'brown': 0.45,
  'burnt': 0.24,
}
/** The common end of all browning: gold, brown, dark, nearly black (estimate, as semolina's path). */
const COMMON: readonly Lab[] = [
  { lightness: 70, a: 7.5, b: 32 },
  { lightness: 61, a: 11.5, b: 35 },
  { lightness: 48, a: 15, b: 30 },
  { lightness: 34, a: 12, b: 18 },
  { lightness: 20, a: 4, b: 6 },
]

/**
 * The colours a base of some raw colour goes through: red rises, yellow rises and then falls, into the browns that all
 * roasts share.
 *
 * @param raw the raw base in its fat
 * @returns path with falling lightness, and L* at which each step begins
 */
export function browningPath(raw: Lab): {
  readonly path: readonly Lab[]
  readonly stepLightness: Readonly<Record<ColourStep, number>>
} {
  const below = COMMON.filter(one => one.lightness < raw.lightness - 4)
  const step = (share: number): number => Math.round((FINAL + (raw.lightness - FINAL) * share) * 10) / 10
  return {
    path: [{ lightness: Math.min(100, raw.lightness + 8), a: raw.a * 0.6, b: raw.b * 0.7 }, raw, ...below],
    stepLightness: {
      'pale': step(STEP_SHARES.pale),
      'golden': step(STEP_SHARES.golden),
      'deep-golden': step(STEP_SHARES['deep-golden']),
      'brown': step(STEP_SHARES.brown),
      'burnt': step(STEP_SHARES.burnt),
    },
  }
}
