import { itemAt, known } from '../../maths/table/itemAt'
import { constant } from '../../materials/constants/constants'
import { basesPerBase } from '../../formulation/dish/basesOf'
import { boundaryIndex } from '../../formulation/dish/boundaryIndex'
import type { Dish, Stage } from '../../formulation/dish/dish'
import { mainLine } from '../../formulation/dish/mainLine'
import { mainVessel } from '../../formulation/dish/mainVessel'
import { rainsIn } from '../../formulation/dish/rainsIn'
import { sideStages } from '../../formulation/dish/sideStages'
import { CoreError } from '../../error'
import { familyOf } from '../../formulation/family/families'
import type { CookPlan } from '../../record/plan/plan'
import { hasShown } from '../../record/replay/hasShown'
import type { LiveCook } from '../../record/marks/liveCook'
import { syrupShareOf } from '../../formulation/dish/syrupShareOf'
import { usualSeconds } from '../../record/plan/usualSeconds'
import { airPressurePa } from '../../materials/water/airPressurePa'
import { additionsOf } from './additionsOf'
import { baseNumbers, basesNumbers } from './basesNumbers'
import { coloursOf } from './coloursOf'
import { LID, OPEN, SEALED, type Cover } from '../engine/cover'
import { flameOf, markFlame } from './flameOf'
import { lateness } from './lateness'
import { addedOf, changesOf, fromShareOf } from './changesOf'
import type {
  Addition,
  Program,
  ProgramControl,
  ProgramQuery,
  ProgramSide,
  ProgramStage,
  ProgramTurn,
} from '../engine/program'
import { stageTints } from './stageTints'
import { stepVessel } from '../engine/stepVessel'
import { lastRoast } from './roastIndex'
import { SIGN, SIGNS } from '../engine/signs'
import { vesselConditions, type VesselConditions } from '../engine/vesselConditions'
import { watchesOf } from './watchesOf'

/** A run gives up after so many times the usual minutes of the dish, between one hour and five, s. */
const PATIENCE = 5
const LEAST_PATIENCE_S = 3600
const MOST_PATIENCE_S = 5 * 3600
/** What is done where liquid is cooked down: the pace of wet stages applies. */
const WET: readonly Stage['does'][] = ['cook-down', 'sweeten', 'enrich', 'pour']
/** Stirring anything in by hand takes at least this long, s (estimate, 1.5 to 2 minutes). */
const MIXING_S = 100
/** What the usual pour moves, and the least that is counted, g (estimates). */
const USUAL_POUR_G = constant('usualPour')
const LEAST_POUR_G = 50
const RAINED_G = constant('rainedInPourTime')

/**
 * Lays a cook as it stands over its plan, ready to be run by every member of an ensemble.
 *
 * @param plan the plan
 * @param cook the replayed cook
 * @param nowS how far the cook is, s since its start; zero before it
 * @returns the program
 * @throws CoreError `unknown-name` for a stage, sign, vessel or mark that is not there
 */
export function compileProgram(plan: CookPlan, cook: LiveCook, nowS: number): Program {
  const line = mainLine(plan.dish)
  const sides = sideStages(plan.dish)
  const room = (id: string): VesselConditions =>
    vesselConditions(vesselOf(plan, id), plan.airC, airPressurePa(plan.altitudeM))
  const cooked = plan.dish.choices?.preparation === 'cooked-puree'
  const family = familyOf(plan.dish.family)
  const vessels = [...new Set(line.map(stage => stage.vessel))]
  const [first, ...others] = vessels.map(room)
  return {
    family: basesNumbers(plan, family.fresh || cooked),
    beside: baseNumbers(family, false, 0),
    colours: coloursOf(plan),
    step: stepVessel,
    cooked,
    syrupShare: syrupShareOf(plan.dish),
    vessels: [known(first, 'vessel'), ...others],
    stages: stagesOf(plan, cook, vessels),
    sides: sides.map((stage): ProgramSide => ({
      vessel: room(stage.vessel),
      startS: cook.lit[stage.vessel] ?? null,
      adds: additionsOf(plan, stage),
      flame: flameOf(plan, stage),
      cover: coverOf(stage),
      staysIn: vessels.includes(stage.vessel),
      meets: boundaryIndex(plan.dish, stage.meets),
      ...endOf(stage),
    })),
    controls: controlsOf(plan, cook),
    changes: changesOf(plan, cook),
    turns: turnsOf(plan, cook),
    queries: queriesOf(cook, plan.dish, nowS),
    nowS,
    mostS: Math.max(patienceS(plan), nowS + LEAST_PATIENCE_S),
  }
}

function patienceS(plan: CookPlan): number {
  const usual = mainLine(plan.dish).reduce((sum, stage) => sum + usualSeconds(plan, stage), 0)
  return Math.min(MOST_PATIENCE_S, Math.max(LEAST_PATIENCE_S, PATIENCE * usual))
}

function stagesOf(plan: CookPlan, cook: LiveCook, vessels: readonly string[]): ProgramStage[] {
  const line = mainLine(plan.dish)
  const sides = sideStages(plan.dish)
  const starts = fillStarts(cook.stageStarts)
  const tints = stageTints(plan.dish)
  const tips = tipsOf(plan.dish, vessels)
  return line.map((stage, i): ProgramStage => ({
    startS: i === 0 ? 0 : itemAt(starts, i),
    vessel: vessels.indexOf(stage.vessel),
    adds: addedOf(plan, cook, stage, starts[i] ?? Number.POSITIVE_INFINITY),
    tips: itemAt(tips, i),
    nutsLeave: stage.takesOut.length > 0,
    flame: flameOf(plan, stage),
    cover: coverOf(stage),
    ...endOf(stage),
    pours: poursOf(plan, cook, stage),
    from: stage.from === undefined ? null : sides.findIndex(side => side.vessel === stage.from),
    fromShare: fromShareOf(cook, stage),
    wet: WET.includes(stage.does),
    roasts: stage.does === 'roast' || stage.does === 'fry',
    stepS: stepOf(stage),
    leastS: mixes(stage, line[i - 1]) ? MIXING_S : 0,
    underPressure: stage.does === 'press',
    pressureS:
      stage.does === 'press' ? (cook.releases.find(one => one.timeS >= (starts[i] ?? 0))?.timeS ?? null) : null,
    ...watchesOf(
      plan.dish,
      stage,
      cook,
      starts[i] ?? Number.POSITIVE_INFINITY,
      starts[i + 1] ?? Number.POSITIVE_INFINITY,
    ),
    tint: itemAt(tints, i),
  }))
}

/**
 * A pour in times of the usual one, which is a pot for four at once: the square root of what comes over (estimate: a
 * larger ladle for a larger pot), and as many times longer as the stage has minutes. What is rained in goes by the
 * handful: its time follows its weight.
 */
function poursOf(plan: CookPlan, cook: LiveCook, stage: Stage): number {
  if (stage.does !== 'pour' || !('minutes' in stage.until)) return 0
  if (rainsIn(stage)) {
    const firstG = plan.amounts.find(one => one.id === plan.dish.base)?.massG ?? 0
    return firstG * basesPerBase(plan.dish) / RAINED_G
  }
  const beside = sideStages(plan.dish).filter(side => side.vessel === stage.from)
  const pouredG =
    beside.flatMap(side => additionsOf(plan, side)).reduce((sum, one) => sum + additionG(one), 0)
    * fromShareOf(cook, stage)
  return stage.until.minutes * Math.sqrt(Math.max(LEAST_POUR_G, pouredG) / USUAL_POUR_G)
}

function additionG({ water, solids, fat, sugar, invert, nuts }: Addition): number {
  return water + solids + fat + sugar + invert + nuts
}

/** Steps that move no stage by more than a hundredth of the cook (`engine/simulate.test.ts`). */
function stepOf(stage: Stage): number {
  if (stage.does === 'fry' || stage.does === 'roast' || stage.does === 'boil-syrup') return 6
  return stage.flame === 'off' && stage.does !== 'pour' ? 15 : 10
}

/** Where something was just poured or put into a wet mass, its sign waits for the stirring. */
function mixes(stage: Stage, before: Stage | undefined): boolean {
  return (
    WET.includes(stage.does)
    && 'sign' in stage.until
    && (stage.adds.length > 0 || stage.from !== undefined || before?.from !== undefined)
  )
}

/** The base moves with the first stage that cooks it in another vessel; nuts fried beside it leave it where it is. */
function tipsOf(dish: Dish, vessels: readonly string[]): (number | null)[] {
  let holds: string | null = null
  return mainLine(dish).map((stage) => {
    const from: string | null = holds
    if (holds === null && stage.adds.some(one => one.ingredient === dish.base)) holds = stage.vessel
    if (from === null || stage.does === 'fry' || stage.vessel === from) return null
    holds = stage.vessel
    return vessels.indexOf(from)
  })
}

/** A stage nobody marked, before one that somebody did, is taken to have begun when the marked one did. */
function fillStarts(starts: readonly (number | null)[]): (number | null)[] {
  const filled = [...starts]
  for (let i = filled.length - 2; i >= 0; i--) {
    const next = itemAt(filled, i + 1)
    if (next === null) continue
    filled[i] = Math.min(filled[i] ?? next, next)
  }
  return filled
}

function endOf(stage: Stage): { readonly sign: number | null, readonly seconds: number } {
  if ('minutes' in stage.until) return { sign: null, seconds: stage.until.minutes * 60 }
  const { sign } = stage.until
  const index = SIGNS.findIndex(known => known === sign)
  if (index < 0) throw new CoreError('unknown-name', 'compileProgram.sign', { given: sign })
  return { sign: index, seconds: 0 }
}

function vesselOf(plan: CookPlan, id: string) {
  const found = plan.vessels[id]
  if (!found) throw new CoreError('unknown-name', 'compileProgram.vessel', { given: id })
  return found.vessel
}

function coverOf(stage: Stage): Cover {
  if (stage.does === 'press' || stage.does === 'wait') return SEALED
  return stage.lid ? LID : OPEN
}

function controlsOf(plan: CookPlan, cook: LiveCook): ProgramControl[] {
  const changes = cook.controls.flatMap(({ timeS, what }): ProgramControl[] => {
    const known = what.mark === undefined || what.mark === 'off'
      || plan.fires[what.vessel]?.marks.some(mark => mark.id === what.mark)
    const vessel = standsAs(plan, cook, what.vessel, timeS)
    if (!known || vessel === null) return []
    return [{
      timeS,
      vessel,
      ...(what.mark === undefined ? {} : { flame: markFlame(plan, what.vessel, what.mark) }),
      ...(what.lid === undefined ? {} : { cover: what.lid ? LID : OPEN }),
    }]
  })
  if (cook.offFireS !== null)
    changes.push({ timeS: cook.offFireS, vessel: 0, flame: markFlame(plan, mainVessel(plan.dish), 'off') })
  return changes.sort((p, q) => p.timeS - q.timeS)
}

/** What a vessel is at a moment: 0 where the main line cooks in it, 1 and up beside it, null where it has been left. */
function standsAs(plan: CookPlan, cook: LiveCook, vessel: string, timeS: number): number | null {
  const line = mainLine(plan.dish)
  const running = cook.stageStarts.reduce<number>(
    (last, startS, i) => (startS !== null && startS <= timeS ? i : last),
    0,
  )
  if (line[running]?.vessel === vessel) return 0
  const beside = sideStages(plan.dish).findIndex(stage => stage.vessel === vessel)
  const isLeft = line.some((stage, i) => i <= running && stage.vessel === vessel)
  return isLeft ? null : beside + 1
}

/**
 * Turns that are planned for the last roast and whose cue has not been marked: what was marked speaks for itself.
 * Whether the flame goes off is decided when its cue has come.
 */
function turnsOf(plan: CookPlan, cook: LiveCook): ProgramTurn[] {
  const stage = lastRoast(plan.dish)
  if (!plan.turns || stage < 0) return []
  const { vessel } = itemAt(mainLine(plan.dish), stage)
  const late = lateness(plan.seed)
  return plan.turns.flatMap(({ cue, mark }): ProgramTurn[] =>
    cue === 'start' || mark === 'off' || hasShown(cook, cue)
      ? []
      : [{ stage, sign: SIGN[cue], flame: markFlame(plan, vessel, mark), late }],
  )
}

/**
 * Readings by their time, none after now unless the cook is over; the two last ask what weight and temperature are now.
 */
function queriesOf(cook: LiveCook, dish: Dish, nowS: number): ProgramQuery[] {
  const main = mainVessel(dish)
  // What was read of it while it still stood beside the main line is not the main line's.
  const first = mainLine(dish).findIndex(stage => stage.vessel === main)
  const fromS = first > 0 ? cook.stageStarts[first] ?? Number.POSITIVE_INFINITY : 0
  const own = <T extends { readonly timeS: number, readonly what: { readonly vessel: string } }>(
    list: readonly T[],
  ): T[] => list.filter(one => one.what.vessel === main && one.timeS >= fromS)
  const readings: ProgramQuery[] = [
    ...own(cook.weighings).map(one => ({ timeS: one.timeS, of: 'content-g' as const })),
    ...own(cook.temperatures).map(one => ({ timeS: one.timeS, of: 'temp-c' as const })),
    ...own(cook.depths).map(one => ({ timeS: one.timeS, of: 'volume-ml' as const })),
  ]
  return readings
    .filter(one => nowS <= 0 || cook.finishedS !== null || one.timeS <= nowS)
    .sort((p, q) => p.timeS - q.timeS)
    .concat(
      nowS > 0
        ? [
            { timeS: nowS, of: 'content-g' as const },
            { timeS: nowS, of: 'temp-c' as const },
          ]
        : [],
    )
}
