import { oneNormal } from '../../core/maths/random/fillNormal'
import type { JudgeReport } from '../../contracts/judge'
import { pivotWatts } from '../../core/process/belief/pivotWatts'
import { readBoilCheck } from '../../core/process/boil/readBoilCheck'
import { settleCook } from '../../core/cook/batch/settleCook'
import type { MemberValues } from '../../core/process/belief/memberValues'
import { daySpread } from '../../core/materials/belief/steadiness'
import { doneIndex } from '../../core/formulation/dish/doneIndex'
import { mainLine } from '../../core/formulation/dish/mainLine'
import { mainVessel } from '../../core/formulation/dish/mainVessel'
import { compileProgram } from '../../core/process/program/compileProgram'
import { conditionEnsemble } from '../../core/process/ensemble/conditionEnsemble'
import { effectiveMembers } from '../../core/process/ensemble/normalisedWeights'
import type { Window } from '../../core/maths/random/window'
import type { Program } from '../../core/process/engine/program'
import { ensembleRecord, type EnsembleRecord } from '../../core/process/engine/record'
import { ROAST_SIGNS, SIGN, SIGNS } from '../../core/process/engine/signs'
import { simulate } from '../../core/process/engine/simulate'
import { columnOf, windowOf } from '../../core/process/forecast/windowOf'
import type { Observation } from '../../core/record/marks/observation'
import type { CookPlan } from '../../core/record/plan/plan'
import { replay } from '../../core/record/replay/replay'
import { usualSeconds } from '../../core/record/plan/usualSeconds'
import type { Uniform } from '../../core/maths/random/seededRandom'
import { boilOf } from './boilOf'
import { drawHousehold, planOf, truthOfDay, type Occasion } from './household'

/** Noise of a tap in log time: what imaginary cooks do. */
const TAP = 0.18
/** Scatter of a kitchen scale, g. */
const SCALE_G = 3

/** What was known when a window was taken. */
export type State = keyof JudgeReport['width']

/**
 * One window against what happened. Its width is (late − early) over the middle, which is counted from the start of the stage
 * in which the last reading was taken; `widthFromCook` counts that of the dish's end from the start of the cook.
 */
export interface Held { readonly state: State | 'first' | 'afterOne', readonly of: 'roast' | 'dish' | 'weight', readonly family: string, readonly held: boolean, readonly width: number, readonly widthFromCook: number, readonly effective: number }

/** Errors of three ways to say how long a stretch takes, absolute in log time. */
export interface Rivalry { readonly of: 'roast' | 'wet', readonly ours: number, readonly oursFirst: number, readonly same: number, readonly scaled: number }

/** What one imaginary cook says of the forecast. */
export interface Verdict { readonly held: readonly Held[], readonly rivalry: readonly Rivalry[], readonly seed: number, readonly roastEndS: number | null }

/**
 * Lets one household cook once in a world and holds the forecast against it at four states of knowledge.
 *
 * @param occasion what is cooked
 * @param step laws of the world
 * @param members size of each ensemble
 * @param seed of the ensembles
 * @param weighs whether a batch before it is cooked and weighed as well
 * @param uniform source of chance
 * @returns the verdict; null where this flame never gets the dish done
 */
export function judgeCook(occasion: Occasion, step: Program['step'], members: number, seed: number, weighs: boolean, uniform: Uniform): Verdict | null {
  const household = drawHousehold(uniform)
  const bare = planOf(occasion, [], seed)
  const truth = truthOfDay(household, bare, pivotWatts(bare), uniform)
  const happened = runTruth(bare, truth, step)
  if (!Number.isFinite(endOf(bare, happened))) return null
  const checked = boilOf(truth, bare, step, uniform)
  const taps = tapsOf(bare, happened, uniform)
  const known = planOf(occasion, readBoilCheck(checked, seed).evidence, seed)
  const seen = storyOf(bare, happened)
  const views: readonly (readonly [State, CookPlan, readonly Tap[]])[] = [['none', bare, []], ['boil', known, []], ['boilAroma', known, taps.slice(0, 1)], ['boilTwoTaps', known, taps.slice(0, 2)]]
  const looks = views
    .filter(([state]) => !(state === 'boilAroma' && taps.length < 1) && !(state === 'boilTwoTaps' && taps.length < 2))
    .map(([state, plan, tapped]) => ({ state, ...look(plan, seen, tapped, members) }))
  const held = looks.flatMap(({ state, windows, nowS, readingFromS, effective }) => targetsOf(bare, happened)
    .filter(target => target.timeS > nowS)
    .map((target): Held => {
      const window = windows[target.stage]!
      // From the start of the stage of the last reading; before any, of the roast itself, or of the cook.
      const fromS = readingFromS ?? (target.of === 'roast' ? windows[target.stage - 1]!.middle : 0)
      const wide = (from: number): number => (window.late - window.early) / Math.max(1, window.middle - from)
      return { state, effective, of: target.of, family: bare.dish.family, held: target.timeS >= window.early && target.timeS <= window.late, width: wide(fromS), widthFromCook: wide(target.of === 'dish' ? 0 : fromS) }
    }))
  return {
    seed,
    held: [...held, ...(!weighs ? [] : weighOnce(occasion, bare, truth, happened, looks[0]!.finishedG, members, seed, step, household, uniform))],
    rivalry: rivalryOf(bare, happened, looks[0]!.windows, looks[1]!.windows),
    roastEndS: targetsOf(bare, happened).find(target => target.of === 'roast')?.timeS ?? null,
  }
}

/** A sign as it was tapped, and when the stage it belongs to began, s. */
interface Tap { readonly sign: number, readonly timeS: number, readonly fromS: number }

/** What really happens, by the laws of the world. */
export function runTruth(plan: CookPlan, truth: MemberValues, step: Program['step'], seen: readonly Observation[] = []): EnsembleRecord {
  const program = { ...compileProgram(plan, replay(plan, seen), 0), step }
  const record = ensembleRecord(1, program.stages.length, program.queries.length, program.sides.length)
  simulate(program, truth, record, 0)
  return record
}

/** When a main-line stage began, or the last one ended, s. */
export const startOf = (record: EnsembleRecord, stage: number): number => (stage < record.stages ? record.starts[stage]! : record.ends[0]!)
const endOf = (plan: CookPlan, record: EnsembleRecord): number => startOf(record, doneIndex(plan.dish))

/** The end of the last roast to a colour or an aroma, and the end of the dish at the fire. */
export function targetsOf(plan: CookPlan, record: EnsembleRecord): { readonly of: 'roast' | 'dish', readonly stage: number, readonly timeS: number }[] {
  const line = mainLine(plan.dish)
  const roast = line.findLastIndex(stage => stage.does === 'roast' && 'sign' in stage.until && ROAST_SIGNS.includes(SIGN[stage.until.sign]))
  const done = doneIndex(plan.dish)
  return [...(roast >= 0 ? [{ of: 'roast' as const, stage: roast + 1, timeS: startOf(record, roast + 1) }] : []), { of: 'dish' as const, stage: done, timeS: startOf(record, done) }]
}

/** The cook goes on when the sign shows: every stage begins at its own moment, and nothing else is told. */
export function storyOf(plan: CookPlan, record: EnsembleRecord): Observation[] {
  return mainLine(plan.dish).map((stage, k) => mark(k, startOf(record, k), k === 0 ? 'cook.started' : 'stage.began', k === 0 ? {} : { stage: stage.id }))
}

/**
 * An observation at a second of an imaginary cook.
 *
 * @param number of it
 * @param timeS when
 * @param kind what
 * @param payload of it
 * @returns the observation
 */
export function mark(number: number, timeS: number, kind: string, payload: Record<string, unknown>): Observation {
  return { id: `judge-${number}`, device: 'judge', number, deviceTime: Math.round(timeS * 1000), sentAt: Math.round(timeS * 1000), receivedAt: Math.round(timeS * 1000), kind, payload }
}

/**
 * Two noisy taps: aroma and a colour of a roast (see `tappedIn`); where there is none, the signs by which the stages end,
 * in order.
 */
export function tapsOf(plan: CookPlan, record: EnsembleRecord, uniform: Uniform): Tap[] {
  const line = mainLine(plan.dish)
  const done = doneIndex(plan.dish)
  const found: Tap[] = []
  line.slice(0, done).forEach((stage, k) => {
    const own = 'sign' in stage.until ? SIGN[stage.until.sign] : undefined
    if (stage.does === 'fry' || own === undefined) return
    const signs = stage.does === 'roast' ? tappedIn(own) : [own]
    for (const sign of signs) {
      const timeS = record.signs[sign]!
      const from = startOf(record, k)
      const to = startOf(record, k + 1)
      if (!(timeS > from && timeS <= to) || found.some(one => one.sign === sign)) continue
      const tapped = from + (timeS - from) * Math.exp(TAP * oneNormal(uniform))
      found.push({ sign, fromS: from, timeS: Math.max((found.at(-1)?.timeS ?? 0) + 2, Math.min(tapped, to)) })
    }
  })
  return found.slice(0, 2)
}

/** Of a roast to a colour: the aroma, and the colour before its own end or, where it ends with the first, that one. */
function tappedIn(own: number): number[] {
  const at = ROAST_SIGNS.indexOf(own)
  return at < 0 ? [SIGN.aroma, SIGN.pale] : [...new Set([SIGN.aroma, ROAST_SIGNS[at < 2 ? at : at - 1]!])]
}

/** A forecast just after the last tap, or before the start: windows of stages, and of the finished weight. */
function look(plan: CookPlan, story: readonly Observation[], taps: readonly Tap[], members: number) {
  const nowS = taps.at(-1)?.timeS ?? 0
  const seen = taps.length === 0
    ? []
    : [...story.filter(one => one.deviceTime / 1000 <= nowS), ...taps.map((tap, i) => mark(100 + i, tap.timeS, 'sign.seen', { sign: SIGNS[tap.sign] }))]
  const cook = replay(plan, seen)
  const program = compileProgram(plan, cook, nowS)
  const { record, weights } = conditionEnsemble(plan, cook, program, members)
  const capped = (times: Float64Array): Float64Array => times.map(timeS => Math.min(timeS, program.mostS))
  const windows = [...program.stages.map((_, k) => windowOf(capped(columnOf(record.starts, record.stages, k)), weights)), windowOf(capped(record.ends), weights)]
  const masses = columnOf(record.masses, record.stages, Math.min(doneIndex(plan.dish), record.stages - 1)).map(mass => (Number.isFinite(mass) ? mass : 0))
  return { windows, finishedG: windowOf(masses, weights), nowS, effective: effectiveMembers(weights) / record.members, readingFromS: taps.at(-1)?.fromS ?? null }
}

/** The finished weight before anything is known of the household's taste, and after one batch of its own was weighed. */
function weighOnce(
  occasion: Occasion, plan: CookPlan, truth: MemberValues, happened: EnsembleRecord, first: Window, members: number, seed: number, step: Program['step'],
  household: ReturnType<typeof drawHousehold>, uniform: Uniform,
): Held[] {
  const done = doneIndex(plan.dish)
  const weight = happened.masses[Math.min(done, happened.stages - 1)]!
  const before = truthOfDay(household, plan, pivotWatts(plan), uniform)
  before.kept = Math.min(0.99, Math.max(0.03, truth.kept + daySpread('kept') * oneNormal(uniform)))
  const last = runTruth(plan, before, step)
  const grossG = last.masses[Math.min(done, last.stages - 1)]! + plan.vessels[mainVessel(plan.dish)]!.vessel.massG + SCALE_G * oneNormal(uniform)
  if (!Number.isFinite(grossG)) return []
  const endS = last.ends[0]!
  const story = [...storyOf(plan, last), mark(200, startOf(last, done), 'weighed', { vessel: mainVessel(plan.dish), grossG }), mark(201, endS, 'cook.finished', {})]
  const again = look(planOf(occasion, settleCook(plan, story).evidence, seed), [], [], members).finishedG
  const held = (state: 'first' | 'afterOne', window: Window): Held =>
    ({ state, effective: 1, of: 'weight', family: plan.dish.family, held: weight >= window.early && weight <= window.late, width: (window.late - window.early) / window.middle, widthFromCook: (window.late - window.early) / window.middle })
  return [held('first', first), held('afterOne', again)]
}

function rivalryOf(plan: CookPlan, happened: EnsembleRecord, first: readonly Window[], known: readonly Window[]): Rivalry[] {
  const line = mainLine(plan.dish)
  const done = doneIndex(plan.dish)
  const roast = targetsOf(plan, happened).find(target => target.of === 'roast')
  const wetFrom = line.findIndex(stage => stage.does !== 'fry' && stage.does !== 'roast' && stage.does !== 'press' && stage.does !== 'wait')
  const stretch = (from: number, to: number, of: 'roast' | 'wet'): Rivalry[] => {
    const took = startOf(happened, to) - startOf(happened, from)
    if (!(took > 5)) return []
    const error = (seconds: number): number => Math.abs(Math.log(Math.max(5, seconds) / took))
    const stages = line.slice(from, to)
    return [{
      of, ours: error(known[to]!.middle - known[from]!.middle), oursFirst: error(first[to]!.middle - first[from]!.middle),
      same: error(stages.reduce((sum, stage) => sum + 60 * (plan.dish.usual.minutes[stage.id] ?? 0), 0)),
      scaled: error(stages.reduce((sum, stage) => sum + usualSeconds(plan, stage), 0)),
    }]
  }
  return [
    ...(roast ? stretch(line.findIndex(stage => stage.does === 'roast'), roast.stage, 'roast') : []),
    ...(wetFrom >= 0 && wetFrom < done && line.slice(wetFrom, done).some(stage => stage.does !== 'cool') ? stretch(wetFrom, done, 'wet') : []),
  ]
}
