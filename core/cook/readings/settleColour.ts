import { itemAt } from '../../maths/table/itemAt'
import type { Lab } from '../../materials/colour/lab'
import { COLOUR_STEPS, type ColourStep } from '../../formulation/signs/signIds'
import type { ProgramColours } from '../../process/engine/program'
import type { RawReading, Settled } from './reading'

/** How many pictures a colour is read from, and how far they may lie apart, L*. */
const LEAST = 3
const APART = 4

/**
 * The colour a camera has settled at, against its white card: the median of the last pictures.
 *
 * @param readings in order of time; lost ones and those beyond L* 2 to 99 are passed over
 * @returns the colour, or null while the pictures differ
 */
export function settleColour(readings: readonly RawReading[]): Settled | null {
  const known = readings.flatMap(({ value, atMs }) => (isLab(value) ? [{ lab: value, atMs }] : [])).slice(-LEAST)
  const last = known.at(-1)
  if (!last || known.length < LEAST) return null
  const sorted = [...known].sort((p, q) => p.lab.lightness - q.lab.lightness)
  if (itemAt(sorted, LEAST - 1).lab.lightness - itemAt(sorted, 0).lab.lightness > APART) return null
  return { kind: 'colour', atMs: last.atMs, lab: itemAt(sorted, Math.floor(LEAST / 2)).lab }
}

function isLab(value: RawReading['value']): value is Lab {
  return typeof value === 'object' && value !== null && value.lightness > 2 && value.lightness < 99
}

/**
 * The step of the roast a colour stands in: a screen and a kitchen light are not calibrated, so it is a rank and no
 * more.
 *
 * @param lab the colour
 * @param colours of the base, from `coloursOf`
 * @returns the step, or null where it is still raw
 */
export function stepOfColour(lab: Lab, colours: Pick<ProgramColours, 'stepLightness'>): ColourStep | null {
  return [...COLOUR_STEPS].reverse().find(step => lab.lightness <= colours.stepLightness[step]) ?? null
}
