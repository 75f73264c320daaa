import { ForecastRequestSchema } from '../contracts/cook'
import {
  BoilCheckSchema,
  FlameQuestionSchema,
  LearnQuestionSchema,
  SyrupQuestionSchema,
  type SyrupQuestion,
} from '../contracts/heart'
import { settleCook } from '../core/cook/batch/settleCook'
import { beliefFor } from '../core/process/belief/beliefFor'
import { firstBelief } from '../core/process/belief/firstBelief'
import { readBoilCheck } from '../core/process/boil/readBoilCheck'
import { withDoubts } from '../core/process/doubt/withDoubts'
import { planFlames } from '../core/process/flame/planFlames'
import { storeRuns } from '../core/process/forecast/storedRuns'
import { graining } from '../core/materials/syrup/graining'
import { setsTo } from '../core/materials/syrup/setsTo'
import { syrupAtShare } from '../core/materials/syrup/syrupAtShare'
import { syrupAtTemp } from '../core/materials/syrup/syrupAtTemp'
import { shareByTime } from '../core/materials/syrup/syrupByTime'
import { shareByWeight } from '../core/materials/syrup/syrupByWeight'
import { airPressurePa } from '../core/materials/water/airPressurePa'

/** Room temperature at which the graining of a syrup is told, °C. */
const ROOM_C = 27

/**
 * Forecasts a cook: for the same request the same numbers as the worker of the page.
 *
 * @param input a forecast request
 * @returns the forecast
 */
export function forecast(input: unknown): unknown {
  const { plan, observations, nowS, members } = ForecastRequestSchema.parse(input)
  return withDoubts(storeRuns(plan, observations, nowS, members))
}

/**
 * Reads a boil check.
 *
 * @param input what was done
 * @returns power, losses, thermometer, evidence
 */
export function boilcheck(input: unknown): unknown {
  return readBoilCheck(BoilCheckSchema.parse(input))
}

/**
 * What a finished cook teaches, and what is believed of its fire and dish afterwards.
 *
 * @param input plan and observations
 * @returns evidence and belief
 */
export function learn(input: unknown): unknown {
  const { plan, observations } = LearnQuestionSchema.parse(input)
  const { evidence } = settleCook(plan, observations)
  return { evidence, belief: beliefFor(firstBelief(), evidence, plan).entries }
}

/**
 * Plans the flames of a roast.
 *
 * @param input plan and wish
 * @returns the schedule advised, and those to either side of it
 */
export function flameplan(input: unknown): unknown {
  const { plan, wish } = FlameQuestionSchema.parse(input)
  return planFlames(plan, wish)
}

/**
 * A syrup by temperature, weight, time or strength.
 *
 * @param input what is asked
 * @returns strength, boiling point, water activity, what it sets to, the risk of graining
 */
export function syrup(input: unknown): unknown {
  const question = SyrupQuestionSchema.parse(input)
  const air = airPressurePa(question.altitudeM)
  const found = question.strength.by === 'temperature'
    ? syrupAtTemp(question.strength.tempC, question.invertShare, air)
    : syrupAtShare(shareOf(question.strength), question.invertShare, air)
  return { ...found, setsTo: setsTo(found.share), graining: graining(found.share, found.invertShare, ROOM_C) }
}

function shareOf(strength: Exclude<SyrupQuestion['strength'], { by: 'temperature' }>): number {
  switch (strength.by) {
    case 'share': return strength.share
    case 'weight': return shareByWeight(strength.sugarG, strength.syrupG)
    default: return shareByTime(strength.sugarG, strength.waterG, strength.boiledS, strength.powerW).middle
  }
}
