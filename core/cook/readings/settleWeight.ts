import { fieldAt, itemAt } from '../../maths/table/itemAt'
import { constant } from '../../materials/constants/constants'
import { GRAMS, inGrams } from './units'
import type { Expected, RawReading, Settled } from './reading'

/** A plateau: readings that stay this close together, g and share, for this long, ms. */
const CLOSE_G = constant('plateauG')
const CLOSE_SHARE = constant('plateauShare')
const HELD_MS = 1000 * constant('plateauS')
/** Below this nothing stands on the scale, as a share of the empty pan. */
const EMPTY_SHARE = 0.3
/** A reading fits where it lies within the expected span widened by this share of the content and these grams. */
const FITS_SHARE = 0.2
const FITS_G = 40

/**
 * The newest plateau of a scale, read as the weight of the pan with its content: taken as it is, with what an empty
 * scale showed before taken off, as a scale that was tared with the empty pan on it, or as ounces where grams were said
 * or no unit was. Where none of these fits what the forecast expects, it is left to a person.
 *
 * @param readings in order of time; lost ones are passed over
 * @param expected pan and content by the forecast
 * @returns the weight, what is unsure, or null while nothing has settled or the scale is empty
 */
export function settleWeight(readings: readonly RawReading[], expected: Expected): Settled | null {
  const plateaus = plateausOf(readings)
  const last = plateaus.at(-1)
  const newest = readings.filter(one => typeof one.value === 'number').at(-1)
  if (!last || !newest || newest.atMs !== last.toMs) return null
  const empty = EMPTY_SHARE * expected.tareG
  if (last.grams < empty && !fits(last.grams * fieldAt(GRAMS, 'oz'), expected)) return netWeight(last, expected)
  const before = plateaus.slice(0, -1).reverse().find(one => Math.abs(one.grams) < empty)
  const offset = before && Math.abs(before.grams) > CLOSE_G ? before.grams : 0
  return ways(last, offset, expected) ?? { kind: 'unsure', atMs: last.toMs, readG: Math.round(last.grams) }
}

/** The ways to read a plateau, the likeliest first; what only just fits in one may fit well in another. */
function ways(last: Plateau, offset: number, expected: Expected): Settled | null {
  const { grams, unitSaid, toMs } = last
  const found = [
    ...(offset === 0 ? [] : [{ how: 'offset-taken-off' as const, grossG: grams - offset }]),
    { how: 'as-read' as const, grossG: grams },
    { how: 'pan-was-tared' as const, grossG: grams + expected.tareG },
    ...(unitSaid ? [] : [{ how: 'ounces' as const, grossG: grams * fieldAt(GRAMS, 'oz') }]),
  ].find(one => fits(one.grossG, expected))
  return found ? { kind: 'weight', atMs: toMs, grossG: Math.round(found.grossG * 10) / 10, how: found.how } : null
}

/** So little on the scale is the content alone, or nothing. */
function netWeight(last: Plateau, expected: Expected): Settled | null {
  if (!(last.grams > 2 * CLOSE_G) || !fits(last.grams + expected.tareG, expected)) return null
  return {
    kind: 'weight',
    atMs: last.toMs,
    grossG: Math.round((last.grams + expected.tareG) * 10) / 10,
    how: 'pan-was-tared',
  }
}

function fits(grossG: number, { tareG, contentG }: Expected): boolean {
  const content = grossG - tareG
  return content > contentG.early * (1 - FITS_SHARE) - FITS_G && content < contentG.late * (1 + FITS_SHARE) + FITS_G
}

interface Plateau { readonly grams: number, readonly fromMs: number, readonly toMs: number, readonly unitSaid: boolean }

function plateausOf(readings: readonly RawReading[]): Plateau[] {
  const found: Plateau[] = []
  let run: { readonly grams: number, readonly atMs: number, readonly said: boolean }[] = []
  const close = (): void => {
    const [first] = run
    const last = run.at(-1)
    if (first && last && last.atMs - first.atMs >= HELD_MS) {
      const sorted = run.map(one => one.grams).sort((p, q) => p - q)
      found.push({
        grams: itemAt(sorted, Math.floor(sorted.length / 2)),
        fromMs: first.atMs,
        toMs: last.atMs,
        unitSaid: run.some(one => one.said),
      })
    }
  }
  for (const { value, unit, atMs } of readings) {
    const grams = typeof value === 'number' ? inGrams(value, unit) : Number.NaN
    if (!Number.isFinite(grams)) continue
    const near = run.every(one => Math.abs(one.grams - grams) <= Math.max(CLOSE_G, CLOSE_SHARE * Math.abs(grams)))
    if (!near) {
      close()
      run = []
    }
    run.push({ grams, atMs, said: unit !== undefined })
  }
  close()
  return found
}
