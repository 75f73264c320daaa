import { numberAt } from '../../maths/table/itemAt'
import { constant } from '../../materials/constants/constants'
import type { Belief, BeliefEntry } from '../../materials/belief/belief'
import { LEVEL_W } from '../belief/evidence'
import type { Evidence } from '../../materials/belief/reading'
import { readingOf } from '../learning/evidenceOf'
import { firstBelief } from '../belief/firstBelief'
import { MEMBER_NAMES } from '../belief/memberValues'
import { conditionProgram, type ConditionedEnsemble, type WeighedMarks } from '../ensemble/conditionEnsemble'
import type { Window } from '../../maths/random/window'
import type { EnsembleRecord } from '../engine/record'
import { SIGN, SIGNS } from '../engine/signs'
import { windowOf } from '../forecast/windowOf'
import { requireRange } from '../../requireRange'
import { airPressurePa } from '../../materials/water/airPressurePa'
import { saturationTempC } from '../../materials/water/saturationTempC'
import type { BoilCheck } from './boilCheck'
import { boilingFactor } from './boilingFactor'
import { boilProgram } from './boilProgram'
import { altitudeOfBoilM } from './altitudeOfBoilM'

/** How sharply the boil is seen, in log time, and to within how many seconds a hand stops the clock (estimates). */
const SEEN = constant('boilSeen')
const HAND_S = constant('clockHand')
/** Kitchen thermometer in moving water, K; kitchen scale, g and share. Standard deviations (estimates). */
const THERMOMETER_K = constant('thermometerWater')
const SCALE_G = 3
const SCALE_SHARE = constant('boilOffShare')
/** A pan whose weight is a guess takes up this much less or more heat, in the logarithm (estimate). */
const GUESSED_PAN = constant('guessedPan')
/**
 * A check measures the fire: what is believed before it lies about the power that boils this water in that time, this
 * wide in the logarithm (estimate), far wider than a check is sharp. What is known of its kind comes in again where the
 * reading is laid beside what was believed.
 */
const ANY_FIRE = constant('anyFire')
const MEMBERS = 240
/** A mark that is set again by hand, and a pan put back on it, is off by so much in the logarithm (estimate). */
export const SET_AGAIN = constant('setAgain')

/** What a boil check says. */
export interface BoilReading {
  /** Power reaching the pan on this mark, W, and over what the mark was taken to stand for. */
  readonly powerW: Window
  readonly factor: Window
  /** Heat lost to the room at the boil, W. */
  readonly lossW: Window
  /** Where water boils at the height given, °C. */
  readonly boilingC: number
  /** What the thermometer reads too much, K, if the height is right; the height, m, if the thermometer is. */
  readonly thermometer: { readonly errorK: number, readonly altitudeM: number } | null
  readonly evidence: readonly Evidence[]
}

/**
 * Reads a boil check: an ensemble of the engine's own equations heats the same water and is weighed by the time to the
 * boil, by a temperature on the way and by what boiled off.
 *
 * @param check what was done; 50 to 20 000 g of water, 10 to 5400 s to the boil
 * @param seed seed of the drawing
 * @returns power and losses with their windows, and what the household's belief gains
 * @throws CoreError `out-of-range`
 */
export function readBoilCheck(check: BoilCheck, seed = 1): BoilReading {
  requireRange('readBoilCheck.waterG', check.waterG, 50, 20000)
  requireRange('readBoilCheck.boilS', check.boilS, 10, 5400)
  const boilingC = saturationTempC(airPressurePa(check.altitudeM))
  requireRange('readBoilCheck.fromC', check.fromC, 0, boilingC - 15)
  const ensemble = conditionProgram(boilProgram(check), beliefOf(check), seed, MEMBERS, marksOf(check))
  const factors = columnOf(ensemble, 'mainFire')
  const losses = columnOf(ensemble, 'heatLoss').map(loss => loss * wallAndTopM2(check) * (boilingC + 4 - check.airC))
  return {
    powerW: windowOf(factors.map(one => one * check.fire.watts), ensemble.weights),
    factor: windowOf(factors, ensemble.weights),
    lossW: windowOf(losses, ensemble.weights),
    boilingC,
    thermometer:
      check.atBoilC === null ? null : { errorK: check.atBoilC - boilingC, altitudeM: altitudeOfBoilM(check.atBoilC) },
    evidence: evidenceFrom(check, ensemble),
  }
}

function evidenceFrom(check: BoilCheck, ensemble: ConditionedEnsemble): Evidence[] {
  const made = (name: string, of: string, ladder?: number): Evidence[] => {
    const reading = readingOf(ensemble, of)
    const again = of === 'mainFire' ? SET_AGAIN ** 2 : 0
    return reading
      ? [
          {
            name,
            of,
            value: reading.value,
            variance: reading.variance + again,
            batch: check.id,
            when: check.when,
            ...(ladder === undefined ? {} : { ladder }),
          },
        ]
      : []
  }
  return [
    ...made(`fire.${check.fire.id}`, 'mainFire', Math.log(check.fire.watts / LEVEL_W)),
    ...(check.boiledOn ? [...made('heat-loss', 'heatLoss'), ...made('surface', 'surface')] : []),
  ]
}

/** What is believed of this fire and pan before the check: nothing of the household's. */
function beliefOf(check: BoilCheck): Belief {
  const median = boilingFactor(check)
  return {
    entries: firstBelief().entries.map((entry): BeliefEntry => {
      if (entry.name === 'mainFire') return { ...entry, median, spread: ANY_FIRE }
      return entry.name === 'panMass' && check.pan.massGuessed ? { ...entry, spread: GUESSED_PAN } : entry
    }),
  }
}

/** Residuals in standard deviations: the time to the boil, a temperature on the way, the weight boiled off. */
function marksOf(check: BoilCheck): WeighedMarks {
  const { half, boiledOn, boilS } = check
  const noise = Math.hypot(SEEN, HAND_S / boilS)
  const terms: ((record: EnsembleRecord, i: number) => number)[] = [
    (record, i) => Math.log(boilS / numberAt(record.signs, i * SIGNS.length + SIGN.boil)) / noise,
    ...(half
      ? [
          (record: EnsembleRecord, i: number) =>
            (half.tempC - numberAt(record.readings, i * record.queries)) / THERMOMETER_K,
        ]
      : []),
    ...(boiledOn
      ? [
          (record: EnsembleRecord, i: number) =>
            (check.waterG - boiledOn.lostG - numberAt(record.readings, (i + 1) * record.queries - 1))
            / Math.hypot(SCALE_G, SCALE_SHARE * boiledOn.lostG),
        ]
      : []),
  ]
  // A flame that never brings it to the boil is far off, not impossible: the fit needs a finite number.
  const far = (z: number): number => (Number.isFinite(z) ? z : -30)
  return {
    logLikelihoods: record =>
      Float64Array.from({ length: record.members }, (_, i) =>
        terms.reduce((sum, term) => sum - 0.5 * far(term(record, i)) ** 2, 0),
      ),
    residuals: record => ({
      terms: terms.map(term => Float64Array.from({ length: record.members }, (_, i) => far(term(record, i)))),
    }),
  }
}

function columnOf(
  { normals, columns, record }: ConditionedEnsemble,
  name: (typeof MEMBER_NAMES)[number],
): Float64Array {
  const k = MEMBER_NAMES.indexOf(name)
  return Float64Array.from(
    { length: record.members },
    (_, i) =>
      numberAt(columns.median, k)
      * Math.exp(numberAt(columns.spread, k) * numberAt(normals, i * MEMBER_NAMES.length + k)),
  )
}

/** Area through which an uncovered pan loses heat, m²: its wall, and its open top at 0.7 of the wall's coefficient. */
function wallAndTopM2(check: BoilCheck): number {
  const { innerDiameterMm, depthMm } = check.pan.vessel
  const d = innerDiameterMm / 1000
  return Math.PI * d * depthMm / 1000 + 0.7 * Math.PI * d * d / 4
}
