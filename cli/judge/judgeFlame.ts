import { oneNormal } from '../../core/maths/random/fillNormal'
import { pivotWatts } from '../../core/process/belief/pivotWatts'
import type { MemberValues } from '../../core/process/belief/memberValues'
import { readBoilCheck } from '../../core/process/boil/readBoilCheck'
import type { Dish } from '../../core/formulation/dish/dish'
import { mainLine } from '../../core/formulation/dish/mainLine'
import { COLOUR_STEPS, type ColourStep } from '../../core/formulation/signs/signIds'
import type { FlameWish } from '../../core/process/flame/flamePlan'
import type { FlameTurn } from '../../core/record/plan/flameTurn'
import { planFlames } from '../../core/process/flame/planFlames'
import { offPays, roastAhead, roastDue } from '../../core/process/flame/roastAhead'
import { roastIndex } from '../../core/process/program/roastIndex'
import { ROAST_STEPS, type RoastStep } from '../../core/process/flame/takeOff'
import { compileProgram } from '../../core/process/program/compileProgram'
import { ensembleRecord, type EnsembleRecord } from '../../core/process/engine/record'
import { ROAST_SIGNS, SIGN } from '../../core/process/engine/signs'
import { simulate } from '../../core/process/engine/simulate'
import { stepVessel } from '../../core/process/engine/stepVessel'
import type { Observation } from '../../core/record/marks/observation'
import type { CookPlan } from '../../core/record/plan/plan'
import { replay } from '../../core/record/replay/replay'
import type { Uniform } from '../../core/maths/random/seededRandom'
import { usualSeconds } from '../../core/record/plan/usualSeconds'
import { boilOf } from './boilOf'
import { drawHousehold, drawOccasion, planOf, truthOfDay } from './household'
import { mark } from './judgeCook'

const TAP = 0.18
const RISK = 0.02
/** Patience over the usual minutes of the roast. */
const PATIENCE = 1.8

/** How one roast ended under a schedule. */
export interface RoastEnd { readonly reached: boolean, readonly burnt: boolean }

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
export function judgeFlame(
  dish: Dish,
  members: number,
  seed: number,
  uniform: Uniform,
): { readonly met: boolean, readonly planned: RoastEnd, readonly fixed: RoastEnd } | null {
  const step = wantedStep(dish)
  if (step === null) return null
  const occasion = { ...drawOccasion(dish, uniform), flames: {} }
  const bare = planOf(occasion, [], seed)
  const truth = truthOfDay(drawHousehold(uniform), bare, pivotWatts(bare), uniform)
  const plan = planOf(occasion, readBoilCheck(boilOf(truth, bare, stepVessel, uniform), seed).evidence, seed)
  const stage = mainLine(dish)[roastIndex(plan)]!
  const patienceS = Math.min(7200, Math.max(240, PATIENCE * usualSeconds({ ...plan, flames: bare.flames }, stage)))
  const wish: FlameWish = { step, patienceS, risk: RISK }
  const { advised, met } = planFlames(plan, wish)
  const noise = [oneNormal(uniform), oneNormal(uniform)] as const
  return {
    met,
    planned: cook(plan, truth, advised.turns, wish, noise, members),
    fixed: cook(plan, truth, advised.turns.slice(0, 1), wish, noise, members),
  }
}

function wantedStep(dish: Dish): ColourStep | null {
  const stage = mainLine(dish).findLast(
    one =>
      one.does === 'roast' && 'sign' in one.until && ROAST_SIGNS.includes(SIGN[one.until.sign]),
  )
  return COLOUR_STEPS.find(step => stage && 'sign' in stage.until && stage.until.sign === step) ?? null
}

/**
 * Cooks by the schedule: taps the two steps before the wanted one noisily, turns the flame at the tap that is its cue
 * or, where that is late, when the forecast says that it is due, and ends when the forecast says that the roast is
 * likeliest right.
 */
function cook(
  plan: CookPlan,
  truth: MemberValues,
  turns: readonly FlameTurn[],
  wish: FlameWish,
  noise: readonly [number, number],
  members: number,
): RoastEnd {
  const k = roastIndex(plan)
  const stage = mainLine(plan.dish)[k]!
  const own: CookPlan = { ...plan, flames: { ...plan.flames, [stage.id]: turns[0]!.mark } }
  const seen: Observation[] = storyUpTo(own, truth, k)
  const fromS = seen.at(-1)!.deviceTime / 1000
  const turned = (timeS: number, flame: string): void =>
    void seen.push(mark(20 + seen.length, timeS, 'flame.changed', { vessel: stage.vessel, mark: flame }))
  let nowS = fromS
  const taps = tapsOf(wish)
  for (const cue of ROAST_STEPS.filter(one => taps.includes(one) || turns.some(turn => turn.cue === one))) {
    const i = taps.indexOf(cue)
    const tapAt = (): number =>
      Math.max(
        nowS + 5,
        fromS + (happens(own, truth, seen).signs[SIGN[cue]]! - fromS) * Math.exp(TAP * (noise[i] ?? 0)),
      )
    const turn = turns.find(one => one.cue === cue)
    const dueS =
      turn && turn.mark !== 'off'
        ? (roastDue(own, seen, nowS, wish, members).due[cue] ?? Number.POSITIVE_INFINITY)
        : Number.POSITIVE_INFINITY
    if (turn && (i < 0 || dueS < tapAt())) turned((nowS = Math.max(nowS + 1, dueS)), turn.mark)
    if (i < 0) continue
    const tapS = tapAt()
    if (!Number.isFinite(tapS)) break
    nowS = tapS
    seen.push(mark(20 + seen.length, nowS, 'sign.seen', { sign: cue }))
    // Turned off only where the forecast, after the tap, expects more of that.
    const ahead = turn?.mark === 'off' ? roastAhead(own, seen, nowS, wish, members) : null
    if (turn && (!ahead || offPays(ahead))) turned(nowS, turn.mark)
  }
  const endS = roastDue(own, seen, nowS, wish, members).end.timeS
  const { signs } = happens(own, truth, seen)
  const burnt = Math.min(signs[SIGN.burnt]!, signs[SIGN.flecks]!) <= endS
  const shown = ROAST_SIGNS.filter(sign => signs[sign]! <= endS).length - 1
  return { reached: !burnt && Math.abs(shown - ROAST_SIGNS.indexOf(SIGN[wish.step])) <= 1, burnt }
}

/**
 * What is tapped: the two steps before the wanted one; the aroma and the palest colour itself, where that is wanted.
 */
function tapsOf({ step }: FlameWish): readonly RoastStep[] {
  const at = Math.max(2, ROAST_STEPS.indexOf(step))
  return ROAST_STEPS.slice(at - 2, at)
}

/** The stages before the roast, each begun when the last one's sign showed. */
function storyUpTo(plan: CookPlan, truth: MemberValues, k: number): Observation[] {
  const record = ensembleOf(plan, truth, [])
  return mainLine(plan.dish)
    .slice(0, k + 1)
    .map((stage, i) =>
      mark(i, record.starts[i]!, i === 0 ? 'cook.started' : 'stage.began', i === 0 ? {} : { stage: stage.id }),
    )
}

/** What the roast does if nobody ends it. */
function happens(plan: CookPlan, truth: MemberValues, seen: readonly Observation[]): EnsembleRecord {
  return ensembleOf(plan, truth, seen, roastIndex(plan))
}

function ensembleOf(plan: CookPlan, truth: MemberValues, seen: readonly Observation[], only?: number): EnsembleRecord {
  const whole = compileProgram(plan, replay(plan, seen), 0)
  const program =
    only === undefined
      ? whole
      : {
          ...whole,
          stages: whole.stages
            .slice(0, only + 1)
            .map((one, i) => (i === only ? { ...one, sign: SIGN.burnt, watches: [...ROAST_SIGNS, SIGN.flecks] } : one)),
        }
  const record = ensembleRecord(1, program.stages.length, program.queries.length, program.sides.length)
  simulate(program, truth, record, 0)
  return record
}
