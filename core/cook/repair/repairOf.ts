import { mainLine } from '../../formulation/dish/mainLine'
import { mainVessel } from '../../formulation/dish/mainVessel'
import { WANTED_W } from '../../record/plan/guessFlames'
import type { Forecast } from '../../record/plan/forecast'
import type { LiveCook } from '../../record/marks/liveCook'
import type { CookPlan } from '../../record/plan/plan'
import type { Composition } from '../../materials/composition/composition'
import { airPressurePa } from '../../materials/water/airPressurePa'
import { aimOf } from './aimOf'
import type { Bench } from '../remedies/bench'
import { contentsNow, contentsToCome, contentsG } from '../../process/program/contentsNow'
import { causesNow, type CauseNow } from '../faults/causesNow'
import { FAULTS, type Fault, type Lost } from '../faults/faults'
import type { Remedy } from '../remedies/remedy'
import type { ExpectCode } from '../../formulation/dish/stageCodes'

/** A fault in this pan now: why, what can be done, and what cannot. */
export interface Repair {
  readonly fault: Fault
  /** What of the stage says that it is expected there and no fault; null otherwise. */
  readonly expected: ExpectCode | null
  readonly causes: readonly CauseNow[]
  /** The surest first; empty where nothing helps. */
  readonly remedies: readonly Remedy[]
  /** What cannot be saved, or null. */
  readonly lost: Lost | null
}

/**
 * What a fault in this pan means now: whether it is one, its likely causes by this cook's record, what can still be
 * done with amounts, time and what comes of it, and what cannot be saved (craft, section 6; amounts from the balance of
 * what is in the pan against what the plan wanted).
 *
 * @param plan the plan
 * @param cook the replayed cook, begun
 * @param forecast the forecast at hand, with its moments
 * @param nowS how far the cook is, s
 * @param fault what is seen
 * @param pantry compositions of what the house can add: water, sugar, milk-powder, khoya
 * @returns the repair; null before the start or without a forecast
 */
export function repairOf(
  plan: CookPlan,
  cook: LiveCook,
  forecast: Forecast | null,
  nowS: number,
  fault: Fault,
  pantry: Readonly<Record<string, Composition>>,
): Repair | null {
  const bench = benchOf(plan, cook, forecast, nowS, pantry)
  if (!bench) return null
  const { remedies, lost } = FAULTS[fault]
  return {
    fault,
    expected: expectedOf(bench, forecast, nowS, fault),
    causes: causesNow(bench, fault),
    remedies: remedies(bench, forecast),
    lost: lost?.(bench) ?? null,
  }
}

/** Pan, plan and fire as remedies are worked out from. */
function benchOf(
  plan: CookPlan,
  cook: LiveCook,
  forecast: Forecast | null,
  nowS: number,
  pantry: Bench['pantry'],
): Bench | null {
  const points = forecast?.points.filter(one => one.stage <= cook.stage) ?? []
  const point = points.filter(one => one.timeS <= nowS).at(-1) ?? points[0]
  if (!point || cook.stage < 0) return null
  const main = mainVessel(plan.dish)
  const marks = plan.fires[main]?.marks ?? []
  const wanted = marks.reduce(
    (best, one) => (Math.abs(one.watts - WANTED_W.middle) < Math.abs(best - WANTED_W.middle) ? one.watts : best),
    marks[0]?.watts ?? WANTED_W.middle,
  )
  const fire = plan.belief.entries.find(one => one.name === 'mainFire')?.median ?? 1
  const now = contentsNow(plan, cook, point)
  const bench = {
    plan,
    cook,
    point,
    now,
    toCome: contentsToCome(plan, cook, now),
    aim: aimOf(plan),
    powerW: wanted * fire,
    tareG: plan.vessels[main]?.vessel.massG ?? 0,
    airPressurePa: airPressurePa(plan.altitudeM),
    pantry,
  }
  return contentsG(now) > 0 ? bench : null
}

/** Expected for as long as the running stage is not late. */
function expectedOf({ plan, cook }: Bench, forecast: Forecast | null, nowS: number, fault: Fault): ExpectCode | null {
  const stage = mainLine(plan.dish)[cook.stage]
  const late = forecast?.stages[cook.stage + 1]?.late ?? 0
  const after = cook.finishedS === null ? [] : plan.dish.stages.filter(one => one.phase === 'after')
  const says = [
    ...(stage && (cook.finishedS !== null || nowS <= late) ? (stage.expect ?? []) : []),
    ...after.flatMap(one => one.expect ?? []),
  ]
  return FAULTS[fault].expected?.find(code => says.includes(code)) ?? null
}
