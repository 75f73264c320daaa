import { oneNormal } from '../core/maths/random/fillNormal'
import type { Reading } from '../contracts/device'
import type { ReadingUnit } from '../core/cook/readings/reading'
import { GRAMS } from '../core/cook/readings/units'
import type { Uniform } from '../core/maths/random/seededRandom'
import type { Truth } from './truthAt'

/** How a device falls short of the truth. */
export interface Flaws {
  /** Share of readings that are lost. */
  readonly lost: number
  /** Standard deviation of one reading: g, K, or L*. */
  readonly noise: number
  /** What it reads too much always: a trivet on the scale, g, or a probe's own error, K. */
  readonly offset: number
  /** What it reads in; null where it does not say. */
  readonly unit: ReadingUnit | null
}

/** A scale of the kitchen: grams, three of noise, one reading in twenty lost. */
export const SOUND_SCALE: Flaws = { lost: 0.05, noise: 1, offset: 0, unit: 'g' }
export const SOUND_PROBE: Flaws = { lost: 0.05, noise: 1.2, offset: 0, unit: 'C' }
export const SOUND_CAMERA: Flaws = { lost: 0.1, noise: 1, offset: 0, unit: 'lab' }

function said(flaws: Flaws): Pick<Reading, 'unit'> {
  return flaws.unit === null ? {} : { unit: flaws.unit }
}

/**
 * A reading of a scale.
 *
 * @param onIt what stands on it, g; 0 where it is empty
 * @param flaws how it falls short; a scale that does not say its unit reads in ounces
 * @param uniform source of chance
 * @param number running number
 * @param at its clock, ms
 * @returns the reading
 */
export function scaleReading(onIt: number, flaws: Flaws, uniform: Uniform, number: number, at: number): Reading {
  const per = GRAMS[flaws.unit ?? 'oz'] ?? 1
  const grams = onIt + flaws.offset + flaws.noise * oneNormal(uniform)
  return { number, at, value: uniform() < flaws.lost ? null : Math.round(grams / per * 100) / 100, ...said(flaws) }
}

/**
 * A reading of a probe in the pan.
 *
 * @param tempC what it stands in, °C
 * @param flaws how it falls short
 * @param uniform source of chance
 * @param number running number
 * @param at its clock, ms
 * @returns the reading
 */
export function probeReading(tempC: number, flaws: Flaws, uniform: Uniform, number: number, at: number): Reading {
  const read = tempC + flaws.offset + flaws.noise * oneNormal(uniform)
  return {
    number,
    at,
    value: uniform() < flaws.lost ? null : Math.round((flaws.unit === 'F' ? read * 1.8 + 32 : read) * 10) / 10,
    ...said(flaws),
  }
}

/**
 * A picture of a camera over the pan, as the colour it makes of it beside its white card.
 *
 * @param truth what is in the pan
 * @param flaws how it falls short
 * @param uniform source of chance
 * @param number running number
 * @param at its clock, ms
 * @returns the reading
 */
export function cameraReading(truth: Truth, flaws: Flaws, uniform: Uniform, number: number, at: number): Reading {
  const { lightness, a, b } = truth.colour
  const off = (): number => flaws.noise * oneNormal(uniform)
  return {
    number,
    at,
    value:
      uniform() < flaws.lost
        ? null
        : { lightness: Math.min(100, Math.max(0, lightness + flaws.offset + off())), a: a + off(), b: b + off() },
    ...said(flaws),
  }
}
