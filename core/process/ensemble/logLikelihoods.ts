import { itemAt, numberAt } from '../../maths/table/itemAt'
import { constant } from '../../materials/constants/constants'
import type { LiveCook } from '../../record/marks/liveCook'
import type { CookPlan } from '../../record/plan/plan'
import { normalCdf } from '../../maths/random/normalCdf'
import { clockStart, logRatio, signTime, type Residual } from './markTimes'
import { notYetOf, pouredEarly } from './notYet'
import type { Program } from '../engine/program'
import { readingTerms } from './readingTerms'
import type { EnsembleRecord } from '../engine/record'
import { SIGNS } from '../engine/signs'

/** Noise of a tap in log time (measured tap error 0.18), and of a stage begun when its sign was there. */
const TAP_NOISE = constant('tapNoise')
const STAGE_NOISE = constant('stageNoise')
/** A tap out of nowhere still has this density against the model: keeps one wrong tap from ruling. */
const STRAY = constant('stray')
/** How often a sign passes without being tapped. */
const MISSED = constant('missed')

/** Something marked, as every member sees it: residuals in standard deviations, for drawing better members. */
export interface Residuals {
  /** Term after term, one number a member; not finite where the member says nothing of it. */
  readonly terms: readonly Float64Array[]
}

/**
 * How well each member explains what was marked: natural logarithm of the likelihood, up to a constant.
 *
 * @param plan the plan
 * @param cook the replayed cook
 * @param program the program the ensemble ran
 * @param record what the ensemble did
 * @returns one number for each member
 */
export function logLikelihoods(plan: CookPlan, cook: LiveCook, program: Program, record: EnsembleRecord): Float64Array {
  const terms = termsOf(plan, cook, program)
  const sums = new Float64Array(record.members)
  for (let i = 0; i < record.members; i++) {
    sums[i] = looksOf(cook, record, i) + waitingOf(cook, program, record, i) + notYetOf(cook, program, record, i)
    for (const term of terms) sums[i] = numberAt(sums, i) + tapDensity(term(record, i))
  }
  return sums
}

/**
 * The same marks as residuals, each in its own standard deviations; a look counts as the middle of its step.
 *
 * @param plan the plan
 * @param cook the replayed cook
 * @param program the program the ensemble ran
 * @param record what the ensemble did
 * @returns one array for each mark
 */
export function residualsOf(plan: CookPlan, cook: LiveCook, program: Program, record: EnsembleRecord): Residuals {
  const of = (residual: Residual): Float64Array =>
    Float64Array.from({ length: record.members }, (_, i) => residual(record, i))
  const looks = cook.looks.map((look): Residual => (ensemble, member) => {
    const sign = SIGNS.indexOf(look.what)
    const from = clockStart(cook, look.timeS)
    const next = signTime(ensemble, member, Math.min(sign + 1, SIGNS.indexOf('burnt')))
    const middle = Math.sqrt(Math.max(5, signTime(ensemble, member, sign) - from) * Math.max(5, next - from))
    return logRatio(look.timeS, from + middle, from) / (2 * TAP_NOISE)
  })
  return { terms: [...termsOf(plan, cook, program), ...looks].map(of) }
}

function termsOf(plan: CookPlan, cook: LiveCook, program: Program): Residual[] {
  return [
    ...cook.signs.filter(tap => SIGNS.includes(tap.what)).map((tap): Residual => (record, member) => {
      const from = tap.what === 'boil' ? Math.min(...Object.values(cook.lit), tap.timeS) : clockStart(cook, tap.timeS)
      return logRatio(tap.timeS, signTime(record, member, SIGNS.indexOf(tap.what)), from) / TAP_NOISE
    }),
    ...stageTerms(cook, program),
    ...readingTerms(plan, cook, program),
  ]
}

function tapDensity(z: number): number {
  return Number.isFinite(z) ? Math.log(STRAY + (1 - STRAY) * Math.exp(-0.5 * z * z)) : Math.log(STRAY)
}

function looksOf(cook: LiveCook, record: EnsembleRecord, member: number): number {
  let sum = 0
  for (const look of cook.looks) {
    const sign = SIGNS.indexOf(look.what)
    const from = clockStart(cook, look.timeS)
    const since = normalCdf(logRatio(look.timeS, signTime(record, member, sign), from) / TAP_NOISE)
    const until =
      look.what === 'burnt' ? 0 : normalCdf(logRatio(look.timeS, signTime(record, member, sign + 1), from) / TAP_NOISE)
    sum += Math.log(STRAY + (1 - STRAY) * Math.max(0, since - until))
  }
  return sum
}

/** Going on to the next stage says, weakly, that the sign of the last one had come. */
function stageTerms(cook: LiveCook, program: Program): Residual[] {
  const terms: Residual[] = []
  const early = pouredEarly(cook, program)
  for (let k = 1; k < program.stages.length; k++) {
    const began = itemAt(cook.stageStarts, k)
    const { sign } = itemAt(program.stages, k - 1)
    if (began === null || sign === null || (sign === early?.sign && began === early.timeS)) continue
    // Where nobody marked when the stage before began, its clock is that of the last one that was.
    const from = cook.stageStarts[k - 1] ?? clockStart(cook, began)
    if (
      cook.signs.some(tap => SIGNS.indexOf(tap.what) === sign)
      || cook.looks.some(look => SIGNS.indexOf(look.what) === sign)
    )
      continue
    terms.push((record, member) => logRatio(began, signTime(record, member, sign), from) / STAGE_NOISE)
  }
  return terms
}

/** A sign that has not been tapped yet has perhaps not come yet: its part of a member's log likelihood. */
export function waitingOf(cook: LiveCook, program: Program, record: EnsembleRecord, member: number): number {
  const from = cook.stageStarts[cook.stage]
  const sign = program.stages[cook.stage]?.sign
  if (from === null || from === undefined || sign === null || sign === undefined) return 0
  if (cook.signs.some(tap => SIGNS.indexOf(tap.what) === sign)) return 0
  const z = logRatio(program.nowS, signTime(record, member, sign), from) / TAP_NOISE
  return Math.log(MISSED + (1 - MISSED) * (1 - normalCdf(z)))
}
