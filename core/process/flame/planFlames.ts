import { fieldAt, itemAt } from '../../maths/table/itemAt'
import { beliefColumns, MEMBER_NAMES } from '../belief/memberValues'
import { mainLine } from '../../formulation/dish/mainLine'
import { lateness } from '../program/lateness'
import { runEnsemble } from '../ensemble/runEnsemble'
import type { CookPlan } from '../../record/plan/plan'
import { replay } from '../../record/replay/replay'
import { fillNormal } from '../../maths/random/fillNormal'
import { seededRandom } from '../../maths/random/seededRandom'
import { requireRange } from '../../requireRange'
import { usualSeconds } from '../../record/plan/usualSeconds'
import { COLOUR_STEPS } from '../../formulation/signs/signIds'
import type { FlamePlan, FlameSchedule, FlameWish } from './flamePlan'
import type { FlameTurn, TurnCue } from '../../record/plan/flameTurn'
import { judgeSchedule } from './judgeSchedule'
import { roastIndex } from '../program/roastIndex'
import { roastProgram } from './roastProgram'

/** Members by which schedules are first sorted, and by which the best are told apart. */
const COARSE = 24
const FINE = 96
const KEPT = 8
/** A roast that stops a step short is worth this much less than one that comes to its colour (choice). */
const SHORT = 0.05
/** Least share of members that have to reach the wanted colour in time. */
const IN_TIME = 0.8

/**
 * A base browned in less than this share of its usual minutes is dark outside and raw within (kitchen rule, estimate).
 */
const THROUGH = 0.6
/** Roasts from the lightest to the darkest. */
const ROASTS: readonly string[] = ['aroma', ...COLOUR_STEPS]

/**
 * Least time in which a roast is cooked through and even: a share of the dish's usual minutes for this amount, less
 * where a lighter roast is wanted than its own.
 *
 * @param plan the plan
 * @param step the roast that is wanted
 * @returns s
 * @throws CoreError `cannot-work` where nothing is roasted
 */
export function cookedThroughS(plan: Pick<CookPlan, 'dish' | 'amounts' | 'fires'>, step: FlameWish['step']): number {
  const stage = itemAt(mainLine(plan.dish), roastIndex(plan))
  const own = 'sign' in stage.until ? ROASTS.indexOf(stage.until.sign) : -1
  const lighter = own < 0 ? 1 : Math.min(1, (ROASTS.indexOf(step) + 1) / (own + 1))
  return THROUGH * lighter * usualSeconds({ ...plan, flames: {} }, stage)
}

/** How far a search has come: the best so far, and the share that is done, 0 to 1. */
export interface FlameSearch { readonly best: FlamePlan, readonly done: number }

/**
 * Searches the schedules of flame changes for a roast: a first mark and a lower or equal one from the aroma or from the
 * colour before the wanted one on, turned when a cook's nose or eye says so, or the flame off at that colour. Each is
 * run by an ensemble of the belief and judged by how often it ends within one step of the wanted roast, burns, and
 * comes in time. The search is complete; a small ensemble sorts, a larger one decides.
 *
 * @param plan the plan, with its belief and fires
 * @param wish roast, patience (60 to 7200 s) and risk
 * @returns the plan
 * @throws CoreError `cannot-work` where nothing is roasted, `out-of-range`
 */
export function planFlames(plan: CookPlan, wish: FlameWish): FlamePlan {
  const search = searchFlames(plan, wish)
  for (let next = search.next(); ; next = search.next()) if (next.done) return next.value
}

/**
 * The same search in small steps, so that it can be shown while it goes on, and given up.
 *
 * @param plan the plan, with its belief and fires
 * @param wish roast, patience (60 to 7200 s) and risk
 * @returns yields the best so far every few schedules; its last value is the plan
 * @throws CoreError `cannot-work` where nothing is roasted, `out-of-range`
 */
export function* searchFlames(plan: CookPlan, wish: FlameWish): Generator<FlameSearch, FlamePlan> {
  requireRange('planFlames.patienceS', wish.patienceS, 60, 7200)
  requireRange('planFlames.risk', wish.risk, 0.001, 0.5)
  const k = roastIndex(plan)
  const leastS = cookedThroughS(plan, wish.step)
  const columns = beliefColumns(plan.belief)
  const programOf = roastProgram(plan, replay(plan, []), 0, wish.patienceS, lateness(plan.seed))
  const draw = (members: number) => ({
    normals: fillNormal(new Float64Array(members * MEMBER_NAMES.length), seededRandom(plan.seed)),
    weights: new Float64Array(members).fill(1 / members),
  })
  const [coarse, fine] = [draw(COARSE), draw(FINE)]
  const run = (turns: readonly FlameTurn[], with_: typeof coarse): FlameSchedule =>
    judgeSchedule(turns, wish, runEnsemble(programOf(turns), columns, with_.normals), with_.weights, k)
  const first = twoMarks(marksOf(plan, k), wish)
  const sorted: FlameSchedule[] = []
  for (const turns of first) {
    sorted.push(run(turns, coarse))
    if (sorted.length % 4 === 0) yield { best: chosen(sorted, wish, leastS), done: 0.5 * sorted.length / first.length }
  }
  const ranked = [...sorted]
    .sort((p, q) => worth(q, wish, leastS) - worth(p, wish, leastS))
    .slice(0, KEPT)
    .map(one => one.turns)
  const best = [...ranked, ...ranked.slice(0, KEPT / 2).flatMap(turns => coasting(turns, wish))]
  const judged: FlameSchedule[] = []
  for (const turns of best) {
    judged.push(run(turns, fine))
    if (judged.length % 2 === 0)
      yield { best: chosen(judged, wish, leastS), done: 0.5 + (0.5 * judged.length) / best.length }
  }
  return { ...chosen(judged, wish, leastS), tried: first.length + best.length }
}

function marksOf(plan: CookPlan, k: number): string[] {
  return fieldAt(plan.fires, itemAt(mainLine(plan.dish), k).vessel).marks.map(mark => mark.id)
}

/**
 * Every first mark, with every lower one from the aroma or from the colour before the wanted one on; a roast that ends
 * at its aroma has no second one.
 */
function twoMarks(marks: readonly string[], wish: FlameWish): FlameTurn[][] {
  const cues: readonly TurnCue[] =
    wish.step === 'aroma' ? [] : ['aroma', ...COLOUR_STEPS.slice(0, COLOUR_STEPS.indexOf(wish.step)).slice(-1)]
  return marks.flatMap((first, i) => [
    [{ cue: 'start' as const, mark: first }],
    ...marks.slice(0, i).flatMap(then =>
      cues.map((cue): FlameTurn[] => [
        { cue: 'start', mark: first },
        { cue, mark: then },
      ]),
    ),
  ])
}

/** The same, with the flame off at the colour before the wanted one: the heat of pan and fat has to do the rest. */
function coasting(turns: readonly FlameTurn[], wish: FlameWish): FlameTurn[][] {
  const before = COLOUR_STEPS[COLOUR_STEPS.findIndex(step => step === wish.step) - 1]
  return before === undefined ? [] : [[...turns.filter(turn => turn.cue !== before), { cue: before, mark: 'off' }]]
}

/** A roast that is raw within is worse than any other fault of it (choice). */
const RAW = 20

/** What is worth more: cooked through and within the wish first, by how often it reaches; outside it, the nearest. */
function worth(one: FlameSchedule, wish: FlameWish, leastS: number): number {
  const late = Math.max(0, IN_TIME - one.inTime)
  const burnt = Math.max(0, one.burns - wish.risk)
  const raw = Math.max(0, 1 - one.lastsS.middle / leastS)
  return (
    one.reaches
    - SHORT * (1 - one.onColour)
    - RAW * raw
    - 4 * late
    - 8 * burnt
    - (0.02 * one.lastsS.middle) / wish.patienceS
  )
}

function chosen(judged: readonly FlameSchedule[], wish: FlameWish, leastS: number): FlamePlan {
  const ranked = [...judged].sort((p, q) => worth(q, wish, leastS) - worth(p, wish, leastS))
  const advised = itemAt(ranked, 0)
  const others = ranked.slice(1)
  const beside = (keep: (one: FlameSchedule) => boolean): FlameSchedule | null => others.find(keep) ?? null
  return {
    wish, advised,
    safer: beside(
      one =>
        one.lastsS.middle > 1.15 * advised.lastsS.middle
        && one.burns <= advised.burns
        && one.reaches >= advised.reaches - 0.02,
    ),
    quicker: beside(
      one =>
        one.lastsS.middle >= leastS && one.lastsS.middle < 0.85 * advised.lastsS.middle && one.inTime >= advised.inTime,
    ),
    leastS,
    met: advised.inTime >= IN_TIME && advised.burns <= wish.risk && advised.lastsS.middle >= leastS,
    tried: judged.length,
  }
}
