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
import { causesOf } from './causesOf'
import { contentsNow, contentsToCome, contentsG } from '../../process/program/contentsNow'
import { ballsCrumble, ballsFlatten, greasy, sticking } from '../remedies/fat'
import { lumpy, milkCatches, milkSplit, rawTaste, scorched, beforeTurn } from '../remedies/roast'
import { slabHard, slabSoft, syrupFar, syrupWeak } from '../remedies/strength'
import { notSweet, tooSweet } from '../remedies/sweetness'
import { dry, gluey, hardGrain, pasty, runny } from '../remedies/wetness'
import type { Fault, Remedy, Repair } from '../remedies/repair'

const REMEDIES: Readonly<Record<Fault, (bench: Bench, forecast: Forecast | null) => Remedy[]>> = {
  'runny': runny, 'dry': dry, 'lumpy': lumpy, 'gluey': gluey, 'hard-grain': hardGrain, 'raw-taste': rawTaste, 'too-sweet': tooSweet, 'not-sweet': notSweet, 'greasy': greasy,
  'sticking': sticking, 'syrup-weak': syrupWeak, 'syrup-far': syrupFar, 'slab-soft': slabSoft, 'slab-hard': slabHard, 'balls-crumble': ballsCrumble,
  'balls-flatten': ballsFlatten, 'milk-split': milkSplit, 'milk-catches': milkCatches, 'pasty': pasty, 'scorched': scorched,
}

/** What a stage says will look wrong and is not, by the fault it would be taken for. */
const EXPECTED: Readonly<Partial<Record<Fault, readonly string[]>>> = {
  'runny': ['runs-again', 'looks-too-thin'], 'dry': ['looks-dry'], 'lumpy': ['lumps-at-first'], 'sticking': ['sticks-then-leaves'], 'greasy': ['fat-drawn-in', 'stiff-then-flows'],
  'milk-split': ['milk-grains'], 'slab-soft': ['soft-middle', 'firms-as-it-cools'], 'balls-flatten': ['firms-as-it-cools'],
}

/** What cannot be brought back. */
function lostOf(bench: Bench, fault: Fault): string | null {
  if (fault === 'scorched') return 'burnt-stays'
  if (fault === 'milk-split') return 'split-stays'
  if (fault === 'pasty') return 'pasty-stays'
  if (fault === 'raw-taste' || fault === 'gluey') return beforeTurn(bench) ? null : 'raw-stays'
  return null
}

/**
 * What a fault in this pan means now: whether it is one, its likely causes by this cook's record, what can still be done
 * with amounts, time and what comes of it, and what cannot be saved (craft, section 6; amounts from the balance of what is
 * in the pan against what the plan wanted).
 *
 * @param plan the plan
 * @param cook the replayed cook, begun
 * @param forecast the forecast at hand, with its moments
 * @param nowS how far the cook is, s
 * @param fault what is seen
 * @param pantry compositions of what the house can add: water, sugar, milk-powder, khoya
 * @returns the repair; null before the start or without a forecast
 */
export function repairOf(plan: CookPlan, cook: LiveCook, forecast: Forecast | null, nowS: number, fault: Fault, pantry: Readonly<Record<string, Composition>>): Repair | null {
  const bench = benchOf(plan, cook, forecast, nowS, pantry)
  if (!bench) return null
  return { fault, expected: expectedOf(bench, forecast, nowS, fault), causes: causesOf(bench, fault), remedies: REMEDIES[fault](bench, forecast), lost: lostOf(bench, fault) }
}

/** Pan, plan and fire as remedies are worked out from. */
function benchOf(plan: CookPlan, cook: LiveCook, forecast: Forecast | null, nowS: number, pantry: Bench['pantry']): Bench | null {
  const points = forecast?.points.filter(one => one.stage <= cook.stage) ?? []
  const point = points.filter(one => one.timeS <= nowS).at(-1) ?? points[0]
  if (!point || cook.stage < 0) return null
  const main = mainVessel(plan.dish)
  const marks = plan.fires[main]?.marks ?? []
  const wanted = marks.reduce((best, one) => (Math.abs(one.watts - WANTED_W.middle) < Math.abs(best - WANTED_W.middle) ? one.watts : best), marks[0]?.watts ?? WANTED_W.middle)
  const fire = plan.belief.entries.find(one => one.name === 'mainFire')?.median ?? 1
  const now = contentsNow(plan, cook, point)
  const bench = {
    plan, cook, point, now, toCome: contentsToCome(plan, cook, now), aim: aimOf(plan), powerW: wanted * fire, tareG: plan.vessels[main]?.vessel.massG ?? 0,
    airPressurePa: airPressurePa(plan.altitudeM), pantry,
  }
  return contentsG(now) > 0 ? bench : null
}

/** Expected for as long as the running stage is not late. */
function expectedOf({ plan, cook }: Bench, forecast: Forecast | null, nowS: number, fault: Fault): string | null {
  const stage = mainLine(plan.dish)[cook.stage]
  const late = forecast?.stages[cook.stage + 1]?.late ?? 0
  const after = cook.finishedS === null ? [] : plan.dish.stages.filter(one => one.phase === 'after')
  const says = [...(stage && (cook.finishedS !== null || nowS <= late) ? stage.expect ?? [] : []), ...after.flatMap(one => one.expect ?? [])]
  return EXPECTED[fault]?.find(code => says.includes(code)) ?? null
}
