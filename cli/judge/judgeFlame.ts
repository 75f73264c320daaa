import { pivotWatts } from '../../core/forecast/pivotWatts'
import type { MemberValues } from '../../core/belief/memberValues'
import { readBoilCheck } from '../../core/boil/readBoilCheck'
import type { Dish } from '../../core/dish/dish'
import { mainLine } from '../../core/dish/mainLine'
import { COLOUR_STEPS, type ColourStep } from '../../core/dish/signIds'
import type { FlameTurn } from '../../core/flame/flamePlan'
import { planFlames } from '../../core/flame/planFlames'
import { roastIndex } from '../../core/flame/roastProgram'
import { compileProgram } from '../../core/forecast/compileProgram'
import { conditionEnsemble } from '../../core/forecast/conditionEnsemble'
import { ensembleRecord, type EnsembleRecord } from '../../core/forecast/record'
import { ROAST_SIGNS, SIGN, SIGNS } from '../../core/forecast/signs'
import { simulate } from '../../core/forecast/simulate'
import { stepVessel } from '../../core/forecast/stepVessel'
import { columnOf, windowOf } from '../../core/forecast/windowOf'
import type { Observation } from '../../core/live/observation'
import type { CookPlan } from '../../core/live/plan'
import { replay } from '../../core/live/replay'
import type { Uniform } from '../../core/random/seededRandom'
import { usualSeconds } from '../../core/usual/usualSeconds'
import { boilOf } from './boilOf'
import { drawHousehold, drawOccasion, normal, planOf, truthOfDay } from './household'
import { mark } from './judgeCook'

const TAP = 0.18
const RISK = 0.02
/** Patience over the usual minutes of the roast. */
const PATIENCE = 1.8

/** How one roast ended under a schedule. */
export interface Ended { readonly reached: boolean, readonly burnt: boolean }

/**
 * Plans the flames of one imaginary roast after a boil check, cooks it with two noisy taps, and once more on the plan's
 * first mark alone.
 *
 * @param dish that is roasted to a colour
 * @param members size of each ensemble
 * @param seed of the ensembles
 * @param uniform source of chance
 * @returns how both ended; null where the dish is not roasted to a colour
 */
export function judgeFlame(dish: Dish, members: number, seed: number, uniform: Uniform): { readonly planned: Ended, readonly fixed: Ended } | null {
  const step = wantedStep(dish)
  if (step === null) return null
  const occasion = { ...drawOccasion(dish, uniform), flames: {} }
  const bare = planOf(occasion, [], seed)
  const truth = truthOfDay(drawHousehold(uniform), bare, pivotWatts(bare), uniform)
  const plan = planOf(occasion, readBoilCheck(boilOf(truth, bare, stepVessel, uniform), seed).evidence, seed)
  const stage = mainLine(dish)[roastIndex(plan)]!
  const patienceS = Math.min(7200, Math.max(240, PATIENCE * usualSeconds({ ...plan, flames: bare.flames }, stage)))
  const { advised } = planFlames(plan, { step, patienceS, risk: RISK })
  const noise = [normal(uniform), normal(uniform)] as const
  return { planned: cook(plan, truth, advised.turns, step, noise, members), fixed: cook(plan, truth, advised.turns.slice(0, 1), step, noise, members) }
}

function wantedStep(dish: Dish): ColourStep | null {
  const stage = mainLine(dish).findLast(one => one.does === 'roast' && 'sign' in one.until && ROAST_SIGNS.includes(SIGN[one.until.sign as keyof typeof SIGN]))
  return COLOUR_STEPS.find(step => stage && 'sign' in stage.until && stage.until.sign === step) ?? null
}

/** Cooks by the schedule, taps aroma and first colour noisily, and ends when the forecast says that the colour is there. */
function cook(plan: CookPlan, truth: MemberValues, turns: readonly FlameTurn[], step: ColourStep, noise: readonly [number, number], members: number): Ended {
  const k = roastIndex(plan)
  const stage = mainLine(plan.dish)[k]!
  const own: CookPlan = { ...plan, flames: { ...plan.flames, [stage.id]: turns[0]!.mark } }
  const seen: Observation[] = storyUpTo(own, truth, k)
  const fromS = seen.at(-1)!.deviceTime / 1000
  let nowS = fromS
  for (const [i, cue] of (['aroma', step] as const).entries()) {
    const shows = happens(own, truth, seen).signs[SIGN[cue]]!
    if (!Number.isFinite(shows)) break
    nowS = Math.max(nowS + 5, fromS + (shows - fromS) * Math.exp(TAP * noise[i]!))
    seen.push(mark(20 + 2 * i, nowS, 'sign.seen', { sign: cue }))
    const turn = turns.find(one => one.cue === cue)
    if (turn) seen.push(mark(21 + 2 * i, nowS, 'flame.changed', { vessel: stage.vessel, mark: turn.mark }))
  }
  const live = replay(own, seen)
  const program = compileProgram(own, live, nowS)
  const { record, weights } = conditionEnsemble(own, live, program, members)
  const endS = Math.max(nowS, Math.min(program.mostS, windowOf(columnOf(record.signs, SIGNS.length, SIGN[step]).map(timeS => Math.min(timeS, program.mostS)), weights).middle))
  const { signs } = happens(own, truth, seen)
  const burnt = Math.min(signs[SIGN.burnt]!, signs[SIGN.flecks]!) <= endS
  const shown = ROAST_SIGNS.filter(sign => signs[sign]! <= endS).length - 1
  return { reached: !burnt && Math.abs(shown - ROAST_SIGNS.indexOf(SIGN[step])) <= 1, burnt }
}

/** The stages before the roast, each begun when the last one's sign showed. */
function storyUpTo(plan: CookPlan, truth: MemberValues, k: number): Observation[] {
  const record = ensembleOf(plan, truth, [])
  return mainLine(plan.dish).slice(0, k + 1).map((stage, i) => mark(i, record.starts[i]!, i === 0 ? 'cook.started' : 'stage.began', i === 0 ? {} : { stage: stage.id }))
}

/** What the roast does if nobody ends it. */
function happens(plan: CookPlan, truth: MemberValues, seen: readonly Observation[]): EnsembleRecord {
  return ensembleOf(plan, truth, seen, roastIndex(plan))
}

function ensembleOf(plan: CookPlan, truth: MemberValues, seen: readonly Observation[], only?: number): EnsembleRecord {
  const whole = compileProgram(plan, replay(plan, seen), 0)
  const program = only === undefined
    ? whole
    : { ...whole, stages: whole.stages.slice(0, only + 1).map((one, i) => (i === only ? { ...one, sign: SIGN.burnt, watches: [...ROAST_SIGNS, SIGN.flecks] } : one)) }
  const record = ensembleRecord(1, program.stages.length, program.queries.length, program.sides.length)
  simulate(program, truth, record, 0)
  return record
}
