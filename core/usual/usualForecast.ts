import { boundaryIndex } from '../dish/boundaryIndex'
import { mainLine } from '../dish/mainLine'
import { sideStages } from '../dish/sideStages'
import type { SignId } from '../dish/signIds'
import { familyOf } from '../family/families'
import { OUTLINE_MEMBERS } from '../forecast/conditionEnsemble'
import type { Forecast, ForecastPoint, SideForecast, Window } from '../forecast/forecast'
import type { CookPlan } from '../live/plan'
import type { LiveCook } from '../live/replay'
import { Z90 } from '../random/normalCdf'
import { weightedQuantile } from '../random/weightedQuantile'
import { contentMass, contentVolume, stageContents, type StageContent } from './contents'
import { stageLooks } from './usualLooks'
import { COOK_SPREAD, STAGE_SPREAD, usualRuns, type UsualRuns } from './usualRuns'
import { usualSeconds } from './usualSeconds'

/** Version of what this page reckons, kept with every forecast. */
const VERSION = 'usual-1'
const SHARES = [0.1, 0.5, 0.9] as const
const MOST_DRAWS = 400
const OUTLINE_DRAWS = 40
const MOST_POINTS = 240
const OUTLINE_POINTS = 60
/** Being early with the other vessel is cured by a low flame, being late is not: light it at the 0.2 quantile (normal, in standard deviations). */
const LIGHT_EARLY_Z = 0.84
/** Where in a roast the aroma usually begins (estimate). */
const AROMA_AT = 0.6
/** Temperatures of a stage's content, °C, as kitchens know them (estimates). */
const USUAL_C: Readonly<Record<string, readonly [from: number, to: number]>> = {
  'fry': [60, 145], 'roast': [90, 150], 'pour': [100, 95], 'cook-down': [90, 98], 'sweeten': [92, 103], 'enrich': [96, 106], 'boil-syrup': [60, 108],
  'press': [30, 112], 'wait': [110, 90], 'cool': [130, 45], 'rest': [95, 80],
}

/**
 * A forecast on usual minutes alone, for what the physics do not cover yet: wide windows that narrow as stages pass.
 *
 * @param plan the plan
 * @param cook the replayed cook
 * @param nowS how far the cook is, s
 * @param members size asked for; at most 400 draws are made
 * @returns a forecast that says that it rests on usual minutes
 */
export function usualForecast(plan: CookPlan, cook: LiveCook, nowS: number, members: number): Forecast {
  const draws = Math.max(OUTLINE_DRAWS, Math.min(MOST_DRAWS, members))
  const runs = usualRuns(plan, cook, nowS, draws)
  const equal = new Float64Array(draws).fill(1 / draws)
  const windowOf = (values: readonly number[]): Window => {
    const [early, middle, late] = weightedQuantile(values, equal, SHARES)
    return { early, middle, late }
  }
  const line = mainLine(plan.dish)
  const stages = Array.from({ length: line.length + 1 }, (_, k) => windowOf(runs.starts.map(times => times[k])))
  const seconds = line.map((_, k) => stages[k + 1].middle - stages[k].middle)
  const contents = stageContents(plan, seconds)
  const done = Math.max(0, line.findLastIndex(stage => stage.does !== 'rest'))
  return {
    modelVersion: VERSION, basis: 'usual-minutes', nowS, members: draws, effective: draws,
    signs: signsOf(plan, cook, runs, windowOf),
    stages,
    sides: sidesOf(plan, cook, runs, windowOf),
    finishedG: finished(plan, contents[done]),
    turnDownS: null, leftAloneS: null,
    points: pointsOf(plan, stages, contents, members),
    restsOn: {
      taps: cook.signs.length + cook.looks.length, readings: cook.weighings.length + cook.temperatures.length,
      batches: new Set(plan.belief.entries.flatMap(entry => entry.restsOn)).size,
      guessedVessels: Object.values(plan.vessels).filter(one => one.massGuessed).map(one => one.name),
    },
  }
}

type WindowOf = (values: readonly number[]) => Window

function signsOf(plan: CookPlan, cook: LiveCook, runs: UsualRuns, windowOf: WindowOf): Forecast['signs'] {
  const signs: Partial<Record<SignId, Window>> = {}
  mainLine(plan.dish).forEach((stage, k) => {
    if (!('sign' in stage.until)) return
    const sign = stage.until.sign as SignId
    const tapped = cook.signs.find(one => one.what === sign)
    if (stage.does === 'roast' && sign !== 'aroma') {
      signs.aroma = windowOf(runs.starts.map(times => times[k] + AROMA_AT * (times[k + 1] - times[k])))
    }
    signs[sign] = tapped ? { early: tapped.timeS, middle: tapped.timeS, late: tapped.timeS } : windowOf(runs.starts.map(times => times[k + 1]))
  })
  return signs
}

function sidesOf(plan: CookPlan, cook: LiveCook, runs: UsualRuns, windowOf: WindowOf): SideForecast[] {
  const spread = Math.hypot(COOK_SPREAD, STAGE_SPREAD)
  return sideStages(plan.dish).map((stage) => {
    const middle = usualSeconds(plan, stage)
    const needs = { early: middle * Math.exp(-Z90 * spread), middle, late: middle * Math.exp(Z90 * spread) }
    const meets = boundaryIndex(plan.dish, stage.meets)
    const lit = cook.lit[stage.vessel]
    const boils = lit === undefined ? null : { early: lit + needs.early, middle: lit + needs.middle, late: lit + needs.late }
    const meetsWindow = windowOf(runs.starts.map(times => times[meets]))
    const light = meetsWindow.middle - needs.middle - LIGHT_EARLY_Z * Math.hypot(meetsWindow.late - meetsWindow.early, needs.late - needs.early) / (2 * Z90)
    return { vessel: stage.vessel, meets, needs, lightS: lit === undefined ? Math.max(0, light) : null, boils }
  })
}

/** The finished weight: what went in less the water that leaves; its spread is that of the water kept. */
function finished(plan: CookPlan, content: StageContent): Window {
  const mass = contentMass(content.to)
  const water = plan.dish.kept.share > 0 ? content.to.water / plan.dish.kept.share : 0
  const side = Z90 * plan.dish.kept.spread * water
  return { early: Math.max(0, mass - side), middle: mass, late: mass + side }
}

function pointsOf(plan: CookPlan, stages: readonly Window[], contents: readonly StageContent[], members: number): ForecastPoint[] {
  const line = mainLine(plan.dish)
  const looks = stageLooks(plan)
  const { fresh } = familyOf(plan.dish.family)
  const endS = stages[stages.length - 1].middle
  const every = Math.max(members <= OUTLINE_MEMBERS ? 30 : 8, endS / (members <= OUTLINE_MEMBERS ? OUTLINE_POINTS : MOST_POINTS))
  const softened = line.findIndex(stage => stage.does === 'cook-down' && stage.adds.some(one => one.ingredient === plan.dish.base))
  const points: ForecastPoint[] = []
  line.forEach((stage, k) => {
    const fromS = stages[k].middle
    const lasts = stages[k + 1].middle - fromS
    const [fromC, toC] = USUAL_C[stage.does] ?? [30, 60]
    for (let timeS = fromS; timeS < fromS + lasts; timeS += every) {
      const share = lasts > 0 ? (timeS - fromS) / lasts : 1
      const mix = (from: number, to: number): number => from + (to - from) * share
      const { from, to } = contents[k]
      const content = { ...from, water: mix(from.water, to.water) }
      const { from: lookFrom, to: lookTo } = looks[k]
      const soft = k < softened ? 0 : k === softened ? share : 1
      points.push({
        timeS, stage: k, tempC: mix(fromC, toC), panC: mix(fromC, toC) + (stage.flame === 'off' ? 0 : 25),
        colour: { lightness: mix(lookFrom.lightness, lookTo.lightness), a: mix(lookFrom.a, lookTo.a), b: mix(lookFrom.b, lookTo.b) },
        waterG: content.water, heldG: content.water, contentG: contentMass(content), volumeMl: contentVolume(content, fresh, soft),
      })
    }
  })
  return points
}
