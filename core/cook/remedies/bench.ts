import { constant } from '../../materials/constants/constants'
import type { ForecastPoint } from '../../record/plan/forecast'
import { LATENT_HEAT } from '../../materials/water/latentHeat'
import { SPECIFIC_HEAT } from '../../materials/composition/specificHeat'
import type { LiveCook } from '../../record/marks/liveCook'
import type { Added } from '../../record/marks/panChange'
import type { CookPlan } from '../../record/plan/plan'
import type { Composition } from '../../materials/composition/composition'
import { contentsG, dryG } from '../../process/program/contentsNow'
import type { Remedy, Way } from './remedy'
import type { PanContents, Shares } from '../../materials/composition/panContents'

/** Everything a remedy is worked out from. */
export interface Bench {
  readonly plan: CookPlan
  readonly cook: LiveCook
  readonly point: ForecastPoint
  readonly now: PanContents
  /** What the plan still puts in after now. */
  readonly toCome: PanContents
  readonly aim: PanContents
  /** Power into the pan on the flame that cooks down, W. */
  readonly powerW: number
  /** Empty weight of the pan, g. */
  readonly tareG: number
  readonly airPressurePa: number
  /** What the house can add, by ingredient. */
  readonly pantry: Readonly<Record<string, Composition>>
}

/** Share of the power that goes into vapour from an open pan, and the time any addition takes to be stirred in, s. */
const INTO_VAPOUR = constant('intoVapour')
/** What goes in hot still has to be brought up by about this much, K (estimate). */
const WARMED_K = constant('warmedBy')
const STIRRED_IN_S = constant('mixingFloor')

/**
 * The shares of a content.
 *
 * @param content g
 * @returns water, fat and sugar over all
 */
export function sharesOf(content: PanContents): Shares {
  const all = Math.max(1e-9, contentsG(content))
  return { water: content.waterG / all, fat: content.fatG / all, sugar: content.sugarG / all }
}

/**
 * Time to drive water off.
 *
 * @param waterG g
 * @param powerW power into the pan, W
 * @returns s
 */
export function drivingS(waterG: number, powerW: number): number {
  return waterG * LATENT_HEAT / (INTO_VAPOUR * Math.max(50, powerW))
}

/** Something that goes in; nothing where there is none of it, or of its composition. */
export function some(ingredient: string, massG: number, composition: Composition | undefined): Added[] {
  return composition && massG >= 1 ? [{ ingredient, massG: Math.round(massG), composition }] : []
}

/**
 * What a content becomes.
 *
 * @param content g
 * @param adds what goes in
 * @param liftsFatG fat lifted off, g
 * @param drivesOffG water driven off, g
 * @returns masses, g
 */
export function changed(
  content: PanContents,
  adds: readonly Added[],
  liftsFatG: number,
  drivesOffG: number,
): PanContents {
  const added = (part: keyof Composition): number =>
    adds.reduce((all, one) => all + one.massG * (one.composition[part] ?? 0), 0)
  return {
    waterG: Math.max(0, content.waterG + added('water') - drivesOffG),
    solidsG: content.solidsG + added('solids'),
    fatG: Math.max(0, content.fatG + added('fat') - liftsFatG),
    sugarG: content.sugarG + added('sugar'),
    nutsG: content.nutsG + added('nuts'),
  }
}

/** What a remedy says beside its way. */
export type RemedyPart = Partial<Pick<Remedy, 'adds' | 'liftsFatG' | 'drivesOffG' | 'takesS' | 'tempC' | 'notes'>> & {
  /** True where the scale tells when it is done. */
  readonly weighs?: boolean
}

/**
 * A remedy with what comes of it.
 *
 * @param bench pan, plan and what is believed of the fire
 * @param way what is done
 * @param part amounts; the time follows from them where it is not given
 * @returns the remedy
 */
export function remedy(bench: Bench, way: Way, part: RemedyPart = {}): Remedy {
  const { adds = [], liftsFatG = 0, drivesOffG = 0, tempC = null, notes = [], weighs = false } = part
  const after = changed(bench.now, adds, liftsFatG, drivesOffG)
  const cold = adds.reduce((all, one) => all + one.massG * one.composition.water, 0)
  const worked =
    drivesOffG > 0 || adds.length > 0
      ? drivingS(drivesOffG, bench.powerW)
        + (adds.length > 0 ? STIRRED_IN_S + (cold * SPECIFIC_HEAT.water * WARMED_K) / Math.max(50, bench.powerW) : 0)
      : null
  const dry = dryG(after) + dryG(bench.toCome)
  const wanted = bench.aim.waterG / Math.max(1e-9, dryG(bench.aim))
  return {
    way, adds, liftsFatG, drivesOffG: Math.round(drivesOffG), tempC, notes,
    takesS: part.takesS === undefined ? worked : part.takesS,
    grossG: weighs ? Math.round(bench.tareG + contentsG(after)) : null,
    before: sharesOf(bench.now), after: sharesOf(after),
    finishedG: Math.round(dry * (1 + wanted)),
  }
}
