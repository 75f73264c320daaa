import { isOneOf } from '../../records'
import { stageOf } from '../../formulation/dish/stageOf'
import { itemAt } from '../../maths/table/itemAt'
import type { Stage } from '../../formulation/dish/dish'
import { mainLine } from '../../formulation/dish/mainLine'
import { rainsIn } from '../../formulation/dish/rainsIn'
import { sideStages } from '../../formulation/dish/sideStages'
import {
  CAUTION_CODES,
  firstKnown,
  HEAT_CAUTIONS,
  type CautionCode,
  type HeatCaution,
} from '../../formulation/dish/stageCodes'
import type { Forecast } from '../../record/plan/forecast'
import type { Window } from '../../maths/random/window'
import type { SignId } from '../../formulation/signs/signIds'
import type { OpenQuestion } from '../../record/plan/doubt'
import type { TermCode } from '../../formulation/signs/terms'
import { dueTurn } from './dueTurn'
import { hasShown } from '../../record/replay/hasShown'
import { lateOf, type Late } from './lateOf'
import type { CookPlan } from '../../record/plan/plan'
import type { LiveCook } from '../../record/marks/liveCook'
import { isStage } from '../../formulation/dish/stageRole'

/** The one thing to do now; the sentence lives in `words/`. */
export type CueCode =
  | 'not-lit'
  | 'fry'
  | 'take-out'
  | 'roast'
  | 'turn-down'
  | 'light-other'
  | 'pour-soon'
  | 'watch'
  | 'pour-now'
  | 'rain-now'
  | 'pouring'
  | 'raining'
  | 'flame-back'
  | 'still-hard'
  | 'cook-down'
  | 'burnt'
  | 'pour-on'
  | 'pour-less'
  | 'pour-stop'
  | 'enrich-soon'
  | 'enrich'
  | 'off-now'
  | 'rest'
  | 'rested'
  | 'work'
  | 'next'
  | 'late'
  | 'asked'
  | 'finished'

/** What the fire screen says at one glance. */
export interface Cue {
  readonly code: CueCode
  /** The sign that is waited for, with its window in s since the start. */
  readonly next: { readonly sign: SignId, readonly window: Window } | null
  readonly caution: CautionCode | null
  /** Where the running step, or the one that comes soon, is forecast too hot. */
  readonly heat: HeatCaution | null
  /** Side vessel that is due, or null. */
  readonly vessel: string | null
  /** Mark the flame should be turned down to, where a flame plan names one. */
  readonly mark?: string | undefined
  /** The stage that is late, the most urgent of them. */
  readonly late?: Late | undefined
  /** What has to be asked before anything else. */
  readonly asks?: OpenQuestion | undefined
}

/** The other vessel is called this long before it is due, s. */
const DUE_BEFORE_S = 10
const SOON_S = 60

/**
 * The one cue of a moment.
 *
 * @param plan the plan
 * @param cook the replayed cook
 * @param forecast the forecast at hand, or null while there is none
 * @param nowS how far the cook is, s
 * @returns the cue
 */
export function cueOf(plan: CookPlan, cook: LiveCook, forecast: Forecast | null, nowS: number): Cue {
  const heat = heatOf(plan, cook, forecast, nowS)
  if (cook.finishedS !== null)
    return { code: 'finished', next: null, caution: perishes(plan) ? 'two-hours' : null, heat: null, vessel: null }
  const stage = mainLine(plan.dish)[cook.stage]
  if (!stage) return { code: 'not-lit', next: null, caution: null, heat, vessel: null }
  const next = nextSign(plan, cook, forecast)
  const asks = askedNow(plan, cook, forecast)
  if (asks)
    return {
      code: 'asked',
      next: null,
      caution: stageCue(plan, cook, forecast, nowS).caution,
      heat,
      vessel: null,
      asks,
    }
  for (const late of lateOf(plan, cook, forecast, nowS)) {
    const told = lateCue(plan, cook, late, stage)
    if (told) return { ...told, next: null, heat, late }
  }
  const due = dueSide(plan, cook, forecast, nowS)
  if (due)
    return {
      code: 'light-other',
      next,
      caution: stage.does === 'fry' || stage.does === 'roast' ? ownCaution(stage) : null,
      heat,
      vessel: due,
    }
  return { ...stageCue(plan, cook, forecast, nowS), next, heat, vessel: null }
}

/** What is late comes before everything else; a sign that was just marked has its own cue for a while. */
function lateCue(
  plan: CookPlan,
  cook: LiveCook,
  late: Late,
  running: Stage,
): Pick<Cue, 'code' | 'caution' | 'vessel'> | null {
  const stage = stageOf(plan.dish, late.stage)
  const caution = firstKnown(CAUTION_CODES, stage.cautions)
  if (stage.meets)
    return { code: cook.lit[stage.vessel] === undefined ? 'light-other' : 'late', caution, vessel: stage.vessel }
  if (late.window === null && late.level === 1 && running.does !== 'press') return null
  return { code: 'late', caution, vessel: null }
}

function perishes(plan: CookPlan): boolean {
  return plan.dish.stages.some(one => one.cautions?.includes('two-hours'))
}

/** A stage says that it is forecast too hot from before it is lit. */
function heatOf(plan: CookPlan, cook: LiveCook, forecast: Forecast | null, nowS: number): HeatCaution | null {
  const line = mainLine(plan.dish)
  const window = forecast?.stages[cook.stage + 1]
  const near = window !== undefined && nowS >= window.early - SOON_S
  const stages = [
    ...line.slice(Math.max(0, cook.stage), cook.stage + 1),
    ...(cook.stage < 0 || near ? line.slice(cook.stage + 1, cook.stage + 2) : []),
  ]
  return HEAT_CAUTIONS.find(code => stages.some(stage => stage.cautions?.includes(code))) ?? null
}

/**
 * The question that a forecast has for a cook, if it is still open: a newer mark may have answered it.
 *
 * @param plan the plan
 * @param cook the replayed cook
 * @param forecast the forecast at hand
 * @returns the question, or null
 */
export function askedNow(plan: CookPlan, cook: LiveCook, forecast: Forecast | null): OpenQuestion | null {
  const asks = forecast?.doubts?.asks ?? null
  if (!asks || cook.stage < 0 || asks.stage !== (mainLine(plan.dish)[cook.stage + 1]?.id ?? null)) return null
  return cook.moments.some(one => one.timeS > (forecast?.nowS ?? 0) && !one.withdrawn) ? null : asks
}

/**
 * The side vessel that should go on its fire now.
 *
 * @param plan the plan
 * @param cook the replayed cook
 * @param forecast the forecast at hand
 * @param nowS how far the cook is, s
 * @returns the vessel's id, or null
 */
export function dueSide(plan: CookPlan, cook: LiveCook, forecast: Forecast | null, nowS: number): string | null {
  const due = forecast?.sides.find(side =>
    cook.lit[side.vessel] === undefined && side.lightS !== null && cook.stage >= 0 && cook.stage < side.meets
    && nowS >= side.lightS - DUE_BEFORE_S)
  return due && sideStages(plan.dish).some(one => one.vessel === due.vessel) ? due.vessel : null
}

function nextSign(plan: CookPlan, cook: LiveCook, forecast: Forecast | null): Cue['next'] {
  const stage = mainLine(plan.dish)[cook.stage]
  if (!forecast || !stage || !('sign' in stage.until)) return null
  const aroma: SignId[] =
    stage.does === 'roast' && !isStage(stage, 'paste') && !hasShown(cook, 'aroma') ? ['aroma'] : []
  for (const sign of [...aroma, stage.until.sign]) {
    const window = forecast.signs[sign]
    if (window && !hasShown(cook, sign)) return { sign, window }
  }
  return null
}

/** The newest of some perceptions in the running stage. */
function lastPerceived(cook: LiveCook, of: readonly TermCode[]): TermCode | undefined {
  const began = cook.stageStarts[cook.stage] ?? 0
  return cook.perceived.filter(one => one.timeS >= began && of.includes(one.what)).at(-1)?.what
}

/** How the pour goes on by what was seen of it. */
function pouringCue(cook: LiveCook, stage: Stage): CueCode {
  const began = cook.stageStarts[cook.stage] ?? 0
  const last = cook.uptakes.filter(one => one.timeS >= began).at(-1)?.what
  const allIn = last === 'no-more' || !(stage.watch ?? []).includes('in-parts')
  if (allIn && lastPerceived(cook, ['erupts', 'spitting-stopped']) === 'spitting-stopped') return 'flame-back'
  if (last === undefined) return 'pouring'
  return last === 'quickly' ? 'pour-on' : last === 'slowly' ? 'pour-less' : 'pour-stop'
}

/** A stage that waits for minutes is over when they are. */
function isOver(stage: Stage, cook: LiveCook, nowS: number): boolean {
  const began = cook.stageStarts[cook.stage]
  return 'minutes' in stage.until && began !== null && began !== undefined && nowS >= began + stage.until.minutes * 60
}

/** A wet stage that is not the taking up of a pour speaks by its own name. */
const plain = (stage: Stage): boolean => !isStage(stage, 'take-up')
const nextCue = (next: Stage | undefined): CueCode =>
  next?.does === 'enrich' ? 'enrich-soon' : next?.does === 'rest' ? 'off-now' : 'next'

/** The caution of a stage itself: where nothing but grain is in the pan there is no hot fat. */
const ownCaution = ({ cautions }: Stage): CautionCode | null =>
  firstKnown(CAUTION_CODES.filter(code => !isOneOf(HEAT_CAUTIONS, code)), cautions)

type StageCue = Pick<Cue, 'code' | 'caution' | 'mark'>

function stageCue(plan: CookPlan, cook: LiveCook, forecast: Forecast | null, nowS: number): StageCue {
  const line = mainLine(plan.dish)
  const stage = itemAt(line, cook.stage)
  const ready = 'sign' in stage.until && hasShown(cook, stage.until.sign)
  const window = forecast?.stages[cook.stage + 1]
  const near = window !== undefined && nowS >= window.early - SOON_S
  switch (stage.does) {
    case 'fry':
      return { code: ready ? (stage.takesOut.length > 0 ? 'take-out' : 'next') : 'fry', caution: 'hot-fat' }
    case 'pour':
      if (rainsIn(stage)) return { code: ready || isOver(stage, cook, nowS) ? 'next' : 'raining', caution: 'splashes' }
      return { code: ready ? 'next' : pouringCue(cook, stage), caution: 'pour' }
    case 'roast': {
      const caution = ownCaution(stage)
      // Dark flecks and an acrid smell are a burnt note as well: nothing goes in any more.
      if (hasShown(cook, 'burnt') || hasShown(cook, 'flecks')) return { code: 'burnt', caution }
      const comes = line[cook.stage + 1]
      const pours = comes?.does === 'pour' && !rainsIn(comes)
      const turn = ready ? null : dueTurn(plan, cook)
      if (turn) return { code: 'turn-down', caution, mark: turn.mark }
      if (ready && comes && rainsIn(comes)) return { code: 'rain-now', caution }
      if (ready) return pours ? { code: 'pour-now', caution: 'pour' } : { code: 'next', caution }
      if (near && pours) return { code: 'pour-soon', caution: 'pour' }
      if (near) return { code: 'watch', caution }
      const down = forecast?.turnDownS
      return { code: down !== null && down !== undefined && nowS >= down - SOON_S ? 'turn-down' : 'roast', caution }
    }
    case 'enrich': {
      const last = line[cook.stage + 1]?.does === 'rest'
      return {
        code: ready || (!last && isOver(stage, cook, nowS)) ? (last ? 'off-now' : 'next') : 'enrich',
        caution: 'hot-sweet',
      }
    }
    case 'rest': {
      const began = cook.stageStarts[cook.stage] ?? nowS
      const rests = 'minutes' in stage.until ? stage.until.minutes * 60 : 0
      return { code: nowS >= began + rests ? 'rested' : 'rest', caution: 'hot-sweet' }
    }
    case 'cook-down':
      return {
        code:
          lastPerceived(cook, ['hard-centre', 'soft-through']) === 'hard-centre'
            ? 'still-hard'
            : ready || isOver(stage, cook, nowS)
              ? nextCue(line[cook.stage + 1])
              : plain(stage)
                ? 'work'
                : 'cook-down',
        caution: 'spitting',
      }
    default:
      return {
        code: ready || isOver(stage, cook, nowS) ? 'next' : 'work',
        caution: firstKnown(CAUTION_CODES, stage.cautions),
      }
  }
}
