import { beliefColumns, MEMBER_NAMES } from '../belief/memberValues'
import { mainLine } from '../dish/mainLine'
import { runEnsemble } from '../forecast/runEnsemble'
import type { CookPlan } from '../live/plan'
import { replay } from '../live/replay'
import { fillNormal } from '../random/fillNormal'
import { seededRandom } from '../random/seededRandom'
import { requireRange } from '../requireRange'
import type { FlamePlan, FlameSchedule, FlameTurn, FlameWish } from './flamePlan'
import { judgeSchedule } from './judgeSchedule'
import { roastIndex, roastProgram } from './roastProgram'

/** Members by which schedules are first sorted, and by which the best are told apart. */
const COARSE = 24
const FINE = 96
const KEPT = 8
/** How far off in log time a cook sees the sign at which the flame is turned. */
const SEEN_NOISE = 0.18
/** Least share of members that have to reach the wanted colour in time. */
const IN_TIME = 0.8

/**
 * Searches the schedules of flame changes for a roast: a first mark and a lower or equal one from the aroma on, turned when
 * a cook's nose says so. Each is run by an ensemble of the belief and judged by how often it ends within one step of the
 * wanted roast, burns, and comes in time. The search is complete; a small ensemble sorts, a larger one decides.
 *
 * @param plan the plan, with its belief and fires
 * @param wish roast, patience (60 to 7200 s) and risk
 * @param tell called with the best so far and how much of the search is done, 0 to 1; what it returns is passed over
 * @returns the plan
 * @throws CoreError `cannot-work` where nothing is roasted, `out-of-range`
 */
export function planFlames(plan: CookPlan, wish: FlameWish, tell: (best: FlamePlan, done: number) => void = () => undefined): FlamePlan {
  requireRange('planFlames.patienceS', wish.patienceS, 60, 7200)
  requireRange('planFlames.risk', wish.risk, 0.001, 0.5)
  const k = roastIndex(plan)
  const columns = beliefColumns(plan.belief)
  const programOf = roastProgram(plan, replay(plan, []), 0, wish.patienceS, lateness(plan.seed))
  const draw = (members: number) => ({ normals: fillNormal(new Float64Array(members * MEMBER_NAMES.length), seededRandom(plan.seed)), weights: new Float64Array(members).fill(1 / members) })
  const [coarse, fine] = [draw(COARSE), draw(FINE)]
  const run = (turns: readonly FlameTurn[], with_: typeof coarse): FlameSchedule =>
    judgeSchedule(turns, wish, runEnsemble(programOf(turns), columns, with_.normals), with_.weights, k)
  const firstTurns = twoMarks(marksOf(plan, k), wish)
  const sorted: FlameSchedule[] = []
  firstTurns.forEach((turns, i) => {
    sorted.push(run(turns, coarse))
    if (i % 4 === 3) tell(chosen(sorted, wish), 0.5 * (i + 1) / firstTurns.length)
  })
  const best = [...sorted].sort((p, q) => worth(q, wish) - worth(p, wish)).slice(0, KEPT).map(one => one.turns)
  const judged: FlameSchedule[] = []
  best.forEach((turns, i) => {
    judged.push(run(turns, fine))
    if (i % 2 === 1) tell(chosen(judged, wish), 0.5 + 0.5 * (i + 1) / best.length)
  })
  return { ...chosen(judged, wish), tried: firstTurns.length + best.length }
}

/** A sign is seen early as often as late; a flame is turned at the sign at the earliest. */
function lateness(seed: number): Float64Array {
  return fillNormal(new Float64Array(FINE), seededRandom(seed + 31)).map(z => Math.max(0, Math.exp(SEEN_NOISE * z) - 1))
}

function marksOf(plan: CookPlan, k: number): string[] {
  return plan.fires[mainLine(plan.dish)[k].vessel].marks.map(mark => mark.id)
}

/** Every first mark with every mark no higher from the aroma on; a roast that ends at its aroma has no second one. */
function twoMarks(marks: readonly string[], wish: FlameWish): FlameTurn[][] {
  if (wish.step === 'aroma') return marks.map(mark => [{ cue: 'start', mark }])
  return marks.flatMap((first, i) => marks.slice(0, i + 1).map((then): FlameTurn[] =>
    (then === first ? [{ cue: 'start', mark: first }] : [{ cue: 'start', mark: first }, { cue: 'aroma', mark: then }])))
}

/** What is worth more: within the wish first, by how often it reaches; outside it, the nearest. */
function worth(one: FlameSchedule, wish: FlameWish): number {
  const late = Math.max(0, IN_TIME - one.inTime)
  const burnt = Math.max(0, one.burns - wish.risk)
  return one.reaches - 4 * late - 8 * burnt - 0.02 * one.lastsS.middle / wish.patienceS
}

function chosen(judged: readonly FlameSchedule[], wish: FlameWish): FlamePlan {
  const ranked = [...judged].sort((p, q) => worth(q, wish) - worth(p, wish))
  const [advised] = ranked
  const others = ranked.slice(1)
  const beside = (keep: (one: FlameSchedule) => boolean): FlameSchedule | null => others.find(keep) ?? null
  return {
    wish, advised,
    safer: beside(one => one.lastsS.middle > 1.15 * advised.lastsS.middle && one.burns <= advised.burns && one.reaches >= advised.reaches - 0.02),
    quicker: beside(one => one.lastsS.middle < 0.85 * advised.lastsS.middle && one.inTime >= advised.inTime),
    met: advised.inTime >= IN_TIME && advised.burns <= wish.risk,
    tried: judged.length,
  }
}
