import { memberValues, MEMBER_NAMES, type MemberValues } from '../belief/memberValues'
import { mainLine } from '../dish/mainLine'
import type { SignId } from '../dish/signIds'
import { sideStages } from '../dish/sideStages'
import type { Observation } from '../live/observation'
import type { CookPlan } from '../live/plan'
import { replay, type LiveCook } from '../live/replay'
import { usualForecast } from '../usual/usualForecast'
import { weightedQuantile } from '../random/weightedQuantile'
import { appearance } from './appearance'
import { compileProgram } from './compileProgram'
import { covers } from './covers'
import { conditionEnsemble, OUTLINE_EVERY_S, OUTLINE_MEMBERS, type ConditionedEnsemble } from './conditionEnsemble'
import type { Forecast, ForecastPoint, RestsOn, SideForecast, Window } from './forecast'
import { MODEL_VERSION } from './modelVersion'
import type { Program } from './program'
import { ensembleRecord } from './record'
import { SIGNS } from './signs'
import { simulate } from './simulate'
import type { TracePoint } from './trace'

const SHARES = [0.1, 0.5, 0.9] as const
/** A sign is forecast where at least this share of the weight ever shows it. */
const SHOWN_SHARE = 0.9
/** Being early with the other vessel is cured by a low flame, being late is not: light it at this quantile. */
const LIGHT_EARLY = 0.2
/** Less time than this between the wanted colour and brown, left on the flame as it stands, is too little for a hand, s. */
const PATIENCE_S = 210
const POINT_EVERY_S = 8

/**
 * Forecasts a cook from its plan and what has been marked so far.
 *
 * @param plan the plan
 * @param observations everything marked, in any order
 * @param nowS how far the cook is, s since its start; zero before it
 * @param members size of the ensemble, 20 to 100 000
 * @returns the forecast; windows are the 10th and 90th percentile
 * @throws CoreError where plan and observations name something that is not there
 */
export function forecastCook(plan: CookPlan, observations: readonly Observation[], nowS: number, members: number): Forecast {
  const cook = replay(plan, observations)
  if (!covers(plan.dish)) return usualForecast(plan, cook, nowS, members)
  const timed = timedOnly(cook)
  const program = compileProgram(plan, timed, nowS)
  return readForecast(plan, timed, program, conditionEnsemble(plan, timed, program, members))
}

/**
 * A cook with only the signs that the physics time; the others are marked, and say nothing to them.
 *
 * @param cook the replayed cook
 * @returns the cook
 */
export function timedOnly(cook: LiveCook): LiveCook {
  return { ...cook, signs: cook.signs.filter(tap => SIGNS.includes(tap.what)) }
}

/**
 * Reads a forecast out of a weighed ensemble.
 *
 * @param plan the plan
 * @param cook the replayed cook
 * @param program what the ensemble ran
 * @param ensemble from `conditionEnsemble`
 * @returns the forecast
 */
export function readForecast(plan: CookPlan, cook: LiveCook, program: Program, ensemble: ConditionedEnsemble): Forecast {
  const { record, weights } = ensemble
  const column = (values: Float64Array, width: number, k: number): Float64Array =>
    Float64Array.from({ length: record.members }, (_, i) => values[i * width + k])
  const signs: Partial<Record<SignId, Window>> = {}
  SIGNS.forEach((sign, k) => {
    const found = shownWindow(column(record.signs, SIGNS.length, k), weights)
    if (found) signs[sign] = found
  })
  const middle = middleMember(ensemble)
  const outline = record.members <= OUTLINE_MEMBERS
  const trace = ensemble.trace ?? middleTrace(program, middle, outline ? OUTLINE_EVERY_S : POINT_EVERY_S)
  const alone = outline ? null : leftAlone(program, middle)
  const stages = program.stages.map((_, k) =>
    windowOf(column(record.starts, record.stages, k).map(timeS => Math.min(timeS, program.mostS)), weights))
  const last = stages[stages.length - 1]
  const rest = program.stages[program.stages.length - 1].seconds
  stages.push({ early: last.early + rest, middle: last.middle + rest, late: last.late + rest })
  const line = mainLine(plan.dish)
  const done = line.findIndex((stage, k) => k > 0 && stage.does === 'rest')
  return {
    modelVersion: MODEL_VERSION,
    nowS: program.nowS,
    members: record.members,
    effective: ensemble.effective,
    signs, stages,
    sides: sidesOf(plan, cook, program, ensemble, signs),
    finishedG: windowOf(finishedOf(column(record.masses, record.stages, done > 0 ? done : line.length - 1), trace), weights),
    turnDownS: alone && alone.lastsS < PATIENCE_S ? Math.max(program.nowS, Math.min(alone.aromaS, alone.fromS)) : null,
    leftAloneS: alone ? alone.lastsS : null,
    points: pointsOf(program, trace),
    restsOn: restsOn(plan, cook),
  }
}

function windowOf(values: ArrayLike<number>, weights: Float64Array): Window {
  const [early, middle, late] = weightedQuantile(values, weights, SHARES)
  return { early, middle, late }
}

function shownWindow(times: Float64Array, weights: Float64Array): Window | null {
  let shown = 0
  for (let i = 0; i < times.length; i++) if (times[i] < Number.POSITIVE_INFINITY) shown += weights[i]
  if (shown < SHOWN_SHARE) return null
  const found = windowOf(times, weights.map((weight, i) => (times[i] < Number.POSITIVE_INFINITY ? weight : 0)))
  return found
}

/** A member that never got there ends with what the middle run has in the pan. */
function finishedOf(masses: Float64Array, trace: readonly TracePoint[]): Float64Array {
  const last = trace[trace.length - 1]?.contentG ?? 0
  return masses.map(mass => (Number.isFinite(mass) ? mass : last))
}

function middleMember(ensemble: ConditionedEnsemble): MemberValues {
  const middle = new Float64Array(MEMBER_NAMES.length)
  ensemble.weights.forEach((weight, i) => {
    for (let k = 0; k < middle.length; k++) middle[k] += weight * ensemble.normals[i * middle.length + k]
  })
  return memberValues(ensemble.columns, middle, 0)
}

function middleTrace(program: Program, member: MemberValues, everyS: number): TracePoint[] {
  const points: TracePoint[] = []
  const record = ensembleRecord(1, program.stages.length, program.queries.length, program.sides.length)
  simulate(program, member, record, 0, { everyS, points })
  return points
}

function pointsOf(program: Program, trace: readonly TracePoint[]): ForecastPoint[] {
  const pour = program.stages.findIndex(stage => stage.from !== null)
  return trace.map((point) => {
    const { timeS, stage, tempC, panC, waterG, heldG, contentG, volumeMl } = point
    const colour = appearance(program.family, point, pour >= 0 && stage >= pour)
    return { timeS, stage, tempC, panC, colour, waterG, heldG, contentG, volumeMl }
  })
}

/** How the roast goes on in the middle run if nobody pours: the time from the wanted colour to brown, and from when. */
function leftAlone(program: Program, member: MemberValues): { readonly fromS: number, readonly aromaS: number, readonly lastsS: number } | null {
  const pour = program.stages.findIndex(stage => stage.from !== null)
  const roast = program.stages[pour - 1]
  if (!roast || roast.sign === null || program.stages[pour].startS !== null) return null
  const brown = SIGNS.indexOf('brown')
  const alone: Program = { ...program, stages: [...program.stages.slice(0, pour - 1), { ...roast, sign: brown }] }
  const record = ensembleRecord(1, alone.stages.length, alone.queries.length, alone.sides.length)
  simulate(alone, member, record, 0)
  const fromS = record.signs[roast.sign]
  const lastsS = record.signs[brown] - fromS
  return Number.isFinite(lastsS) ? { fromS, aromaS: record.signs[SIGNS.indexOf('aroma')], lastsS } : null
}

function sidesOf(
  plan: CookPlan,
  cook: LiveCook,
  program: Program,
  ensemble: ConditionedEnsemble,
  signs: Partial<Record<SignId, Window>>,
): SideForecast[] {
  const { record, weights } = ensemble
  return sideStages(plan.dish).map((stage, k) => {
    const needs = Float64Array.from({ length: record.members }, (_, i) =>
      Math.min(program.mostS, record.boils[i * record.sides + k]))
    const { meets } = program.sides[k]
    const light = needs.map((need, i) => Math.min(program.mostS, record.starts[i * record.stages + meets]) - need)
    const lit = cook.lit[stage.vessel] !== undefined
    return {
      vessel: stage.vessel,
      meets,
      needs: windowOf(needs, weights),
      lightS: lit ? null : Math.max(0, weightedQuantile(light, weights, [LIGHT_EARLY])[0]),
      boils: lit ? signs.boil ?? null : null,
    }
  })
}

function restsOn(plan: CookPlan, cook: LiveCook): RestsOn {
  return {
    taps: cook.signs.length + cook.looks.length,
    readings: cook.weighings.length + cook.temperatures.length,
    batches: new Set(plan.belief.entries.flatMap(entry => entry.restsOn)).size,
    guessedVessels: Object.values(plan.vessels).filter(one => one.massGuessed).map(one => one.name),
  }
}
