import { itemAt, numberAt } from '../../maths/table/itemAt'
import { memberValues, MEMBER_NAMES, type MemberValues } from '../belief/memberValues'
import { doneIndex } from '../../formulation/dish/doneIndex'
import type { SignId } from '../../formulation/signs/signIds'
import { sideStages } from '../../formulation/dish/sideStages'
import type { CookPlan } from '../../record/plan/plan'
import type { LiveCook } from '../../record/marks/liveCook'
import { weightedQuantile } from '../../maths/random/weightedQuantile'
import { bandsOf } from './bandsOf'
import { OUTLINE_EVERY_S, OUTLINE_MEMBERS, type ConditionedEnsemble } from '../ensemble/conditionEnsemble'
import type { Forecast, Reweighed, RestsOn, SideForecast } from '../../record/plan/forecast'
import type { Window } from '../../maths/random/window'
import { leftAlone } from './leftAlone'
import { MODEL_VERSION } from './modelVersion'
import { pointsOf } from './pointsOf'
import type { Program } from '../engine/program'
import { ensembleRecord } from '../engine/record'
import { contentG } from '../engine/contentG'
import { TEMP, vesselIn } from '../engine/layout'
import { SIGNS } from '../engine/signs'
import { simulate } from '../engine/simulate'
import type { TracePoint } from '../engine/trace'
import { columnOf, shownWindow, windowOf } from './windowOf'

/** A sign is forecast where at least this share of the weight ever shows it. */
const SHOWN_SHARE = 0.9
/** Being early with the other vessel is cured by a low flame, being late is not: light it at this quantile. */
const LIGHT_EARLY = 0.2
/**
 * Less time than this between the wanted colour and brown, left on the flame as it stands, is too little for a hand, s.
 */
const PATIENCE_S = 210
const POINT_EVERY_S = 8

/**
 * Reads a forecast out of a weighed ensemble.
 *
 * @param plan the plan
 * @param cook the replayed cook
 * @param program what the ensemble ran
 * @param ensemble from `conditionEnsemble`
 * @returns the forecast
 */
export function readForecast(
  plan: CookPlan,
  cook: LiveCook,
  program: Program,
  ensemble: ConditionedEnsemble,
): Forecast {
  const { record, weights } = ensemble
  const signs = signsOf(ensemble)
  const stages = stagesOf(program, ensemble)
  const middle = middleMember(ensemble)
  const outline = record.members <= OUTLINE_MEMBERS
  const trace = ensemble.trace ?? middleTrace(program, middle, outline ? OUTLINE_EVERY_S : POINT_EVERY_S)
  const alone = outline ? null : leftAlone(program, middle)
  return {
    modelVersion: MODEL_VERSION,
    nowS: program.nowS,
    members: record.members,
    effective: ensemble.effective,
    signs,
    stages,
    sides: sidesOf(plan, cook, program, ensemble, signs, trace),
    finishedG: finishedOf(plan, ensemble, trace),
    turnDownS: alone && alone.lastsS < PATIENCE_S ? Math.max(program.nowS, Math.min(alone.aromaS, alone.fromS)) : null,
    leftAloneS: alone ? alone.lastsS : null,
    points: pointsOf(program, middle, trace),
    ...(outline ? {} : { bands: bandsOf(program, ensemble, itemAt(stages, doneIndex(plan.dish)).late) }),
    restsOn: restsOn(plan, cook),
    ...(record.queries > 0 && program.nowS > 0 && cook.finishedS === null ? { panNow: panNow(ensemble, weights) } : {}),
  }
}

/**
 * A first answer to a mark, the windows alone: no middle run is made.
 *
 * @param plan the plan
 * @param cook the replayed cook
 * @param program what the ensemble ran
 * @param ensemble weighed under the mark
 * @param sides of the forecast before
 * @returns what moves at once
 */
export function readReweighed(
  plan: CookPlan,
  cook: LiveCook,
  program: Program,
  ensemble: Pick<ConditionedEnsemble, 'record' | 'weights' | 'effective'>,
  sides: readonly SideForecast[],
): Reweighed {
  return {
    nowS: program.nowS,
    effective: ensemble.effective,
    signs: signsOf(ensemble),
    stages: stagesOf(program, ensemble),
    sides: sides.map(side => ({ ...side, boils: cook.lit[side.vessel] === undefined ? null : side.boils })),
    restsOn: restsOn(plan, cook),
  }
}

function signsOf({
  record,
  weights,
}: Pick<ConditionedEnsemble, 'record' | 'weights'>): Partial<Record<SignId, Window>> {
  const signs: Partial<Record<SignId, Window>> = {}
  SIGNS.forEach((sign, k) => {
    const found = shownWindow(columnOf(record.signs, SIGNS.length, k), weights, SHOWN_SHARE)
    if (found) signs[sign] = found
  })
  return signs
}

function stagesOf(program: Program, { record, weights }: Pick<ConditionedEnsemble, 'record' | 'weights'>): Window[] {
  const capped = (times: Float64Array): Float64Array => times.map(timeS => Math.min(timeS, program.mostS))
  return [
    ...program.stages.map((_, k) => windowOf(capped(columnOf(record.starts, record.stages, k)), weights)),
    windowOf(capped(record.ends), weights),
  ]
}

/** The two readings that were asked of every member for now: they are the last two. */
function panNow({ record }: ConditionedEnsemble, weights: Float64Array): Forecast['panNow'] {
  const of = (back: number): Window =>
    windowOf(columnOf(record.readings, record.queries, record.queries - back), weights)
  return { contentG: of(2), tempC: of(1) }
}

/** Weight as the dish leaves the fire; a member that never got there ends with what the middle run has in the pan. */
function finishedOf(plan: CookPlan, { record, weights }: ConditionedEnsemble, trace: readonly TracePoint[]): Window {
  const last = trace[trace.length - 1]?.contentG ?? 0
  const masses = columnOf(record.masses, record.stages, Math.min(doneIndex(plan.dish), record.stages - 1))
  return windowOf(masses.map(mass => (Number.isFinite(mass) ? mass : last)), weights)
}

function middleMember(ensemble: ConditionedEnsemble): MemberValues {
  const middle = new Float64Array(MEMBER_NAMES.length)
  ensemble.weights.forEach((weight, i) => {
    for (let k = 0; k < middle.length; k++)
      middle[k] = numberAt(middle, k) + weight * numberAt(ensemble.normals, i * middle.length + k)
  })
  return memberValues(ensemble.columns, middle, 0)
}

function middleTrace(program: Program, member: MemberValues, everyS: number): TracePoint[] {
  const points: TracePoint[] = []
  const record = ensembleRecord(1, program.stages.length, program.queries.length, program.sides.length)
  simulate(program, member, record, 0, { everyS, points })
  return points
}

function sidesOf(
  plan: CookPlan,
  cook: LiveCook,
  program: Program,
  ensemble: ConditionedEnsemble,
  signs: Partial<Record<SignId, Window>>,
  trace: readonly TracePoint[],
): SideForecast[] {
  const { record, weights } = ensemble
  const capped = (timeS: number): number => Math.min(program.mostS, timeS)
  return sideStages(plan.dish).map((stage, k) => {
    const { meets, sign } = itemAt(program.sides, k)
    const lit = cook.lit[stage.vessel]
    const shows = sign === null ? null : signs[itemAt(SIGNS, sign)] ?? null
    const needs = lit === undefined
      ? columnOf(record.needs, record.sides, k)
      : columnOf(record.signs, SIGNS.length, sign ?? 0).map(timeS => timeS - lit)
    // A flame too small ever to bring it there says nothing of when to light it.
    const reaching = normalised(weights.map((weight, i) => (Number.isFinite(needs[i]) ? weight : 0)), weights)
    const meetsS = meets < record.stages ? columnOf(record.starts, record.stages, meets) : record.ends
    const light = needs.map((need, i) => capped(numberAt(meetsS, i)) - capped(need))
    return {
      vessel: stage.vessel,
      meets,
      needs: windowOf(needs.map(capped), reaching),
      lightS: lit === undefined ? Math.max(0, itemAt(weightedQuantile(light, reaching, [LIGHT_EARLY]), 0)) : null,
      boils: lit === undefined ? null : shows,
      ...(lit === undefined ? {} : sideNow(program, trace, k)),
    }
  })
}

/** How a vessel beside the pan stands now, by the middle run. */
function sideNow(program: Program, trace: readonly TracePoint[], side: number): Pick<SideForecast, 'now'> {
  const here = trace.filter(point => point.timeS <= program.nowS).at(-1)
  if (!here) return {}
  const state = vesselIn(here.all, program.vessels.length + side)
  const heldG = itemAt(program.sides, side).adds.reduce(
    (sum, add) => sum + add.water + add.solids + add.fat + add.sugar + add.invert + add.nuts,
    0,
  )
  return { now: { tempC: state[TEMP], contentG: contentG(state), heldG } }
}

/** Weights that add to one again; the other ones where nothing is left of them. */
function normalised(some: Float64Array, other: Float64Array): Float64Array {
  const sum = some.reduce((all, weight) => all + weight, 0)
  return sum > 0.05 ? some.map(weight => weight / sum) : other
}

function restsOn(plan: CookPlan, cook: LiveCook): RestsOn {
  return {
    taps: cook.signs.length + cook.looks.length,
    readings: cook.weighings.length + cook.temperatures.length,
    batches: new Set(plan.belief.entries.flatMap(entry => entry.restsOn)).size,
    guessedVessels: Object.values(plan.vessels).filter(one => one.massGuessed).map(one => one.name),
  }
}
