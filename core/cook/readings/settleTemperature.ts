import { itemAt } from '../../maths/table/itemAt'
import { constant } from '../../materials/constants/constants'
import { inCelsius } from './units'
import type { RawReading, Settled } from './reading'

/** The window a temperature is read over, ms, how many readings it needs, and how far they may lie apart, K. */
const OVER_MS = 1000 * constant('probeS')
const LEAST = 4
const APART_K = constant('probeK')
/** Colder and hotter than this no probe in a pan is, °C. */
const COLDEST_C = -5
const HOTTEST_C = 320

/**
 * The temperature a probe has settled at: the median of the last seconds. A probe that was lifted out, lost readings
 * and values no pan has are passed over.
 *
 * @param readings in order of time
 * @returns the temperature, or null while it moves, or too little was read
 */
export function settleTemperature(readings: readonly RawReading[]): Settled | null {
  const known = readings.flatMap(({ value, unit, atMs }) => {
    const tempC = typeof value === 'number' ? inCelsius(value, unit) : Number.NaN
    return tempC > COLDEST_C && tempC < HOTTEST_C ? [{ tempC, atMs }] : []
  })
  const last = known.at(-1)
  if (!last) return null
  const recent = known.filter(one => last.atMs - one.atMs <= OVER_MS)
  const sorted = recent.map(one => one.tempC).sort((p, q) => p - q)
  const middle = itemAt(sorted, Math.floor(sorted.length / 2))
  const near = recent.filter(one => Math.abs(one.tempC - middle) <= APART_K)
  // Most of them agree, the newest among them: a lifted probe falls by tens of kelvin.
  if (near.length < LEAST || near.length < 0.7 * recent.length || Math.abs(last.tempC - middle) > APART_K) return null
  return { kind: 'temperature', atMs: last.atMs, tempC: Math.round(middle * 10) / 10 }
}
