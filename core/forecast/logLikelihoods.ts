import { constant } from '../constants/constants'
import { normalCdf } from '../random/normalCdf'
import { mainVessel } from '../dish/mainVessel'
import type { CookPlan } from '../live/plan'
import type { LiveCook } from '../live/replay'
import type { Program } from './program'
import type { EnsembleRecord } from './record'
import { SIGNS } from './signs'

/** Noise of a tap in log time (measured tap error 0.18), and of a stage begun when its sign was there. */
const TAP_NOISE = constant('tapNoise')
const STAGE_NOISE = constant('stageNoise')
/** A tap out of nowhere still has this density against the model: keeps one wrong tap from ruling. */
const STRAY = constant('stray')
/** How often a sign passes without being tapped. */
const MISSED = constant('missed')
/** Kitchen scale: 3 g and 0.5 %; thermometer: 2.5 K. Standard deviations. */
const SCALE_G = constant('scaleG')
const SCALE_SHARE = constant('scaleShare')
const THERMOMETER_K = constant('thermometerFood')
/** Standard deviation of a guessed pan weight, as a share. */
const GUESSED_TARE = constant('guessedTare')

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
    sums[i] = looksOf(cook, record, i) + waitingOf(cook, program, record, i)
    for (const term of terms) sums[i] += tapDensity(term(record, i))
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
  const of = (residual: Residual): Float64Array => Float64Array.from({ length: record.members }, (_, i) => residual(record, i))
  const looks = cook.looks.map((look): Residual => (ensemble, member) => {
    const sign = SIGNS.indexOf(look.what)
    const from = clockStart(cook, look.timeS)
    const next = signTime(ensemble, member, Math.min(sign + 1, SIGNS.indexOf('burnt')))
    const middle = Math.sqrt(Math.max(5, signTime(ensemble, member, sign) - from) * Math.max(5, next - from))
    return logRatio(look.timeS, from + middle, from) / (2 * TAP_NOISE)
  })
  return { terms: [...termsOf(plan, cook, program), ...looks].map(of) }
}

type Residual = (record: EnsembleRecord, member: number) => number

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

const signTime = (record: EnsembleRecord, member: number, sign: number): number =>
  record.signs[member * SIGNS.length + sign]

/** Log ratio of a marked time to a forecast one, both counted from when the sign's clock began. */
function logRatio(markedS: number, forecastS: number, fromS: number): number {
  return Math.log(Math.max(5, markedS - fromS) / Math.max(5, forecastS - fromS))
}

function tapDensity(z: number): number {
  return Number.isFinite(z) ? Math.log(STRAY + (1 - STRAY) * Math.exp(-0.5 * z * z)) : Math.log(STRAY)
}

/** A sign's clock begins with the stage in which it was tapped. */
function clockStart(cook: LiveCook, timeS: number): number {
  let start = 0
  for (const began of cook.stageStarts) if (began !== null && began < timeS) start = Math.max(start, began)
  return start
}

function looksOf(cook: LiveCook, record: EnsembleRecord, member: number): number {
  let sum = 0
  for (const look of cook.looks) {
    const sign = SIGNS.indexOf(look.what)
    const from = clockStart(cook, look.timeS)
    const since = normalCdf(logRatio(look.timeS, signTime(record, member, sign), from) / TAP_NOISE)
    const until = look.what === 'burnt' ? 0 : normalCdf(logRatio(look.timeS, signTime(record, member, sign + 1), from) / TAP_NOISE)
    sum += Math.log(STRAY + (1 - STRAY) * Math.max(0, since - until))
  }
  return sum
}

/** Going on to the next stage says, weakly, that the sign of the last one had come. */
function stageTerms(cook: LiveCook, program: Program): Residual[] {
  const terms: Residual[] = []
  for (let k = 1; k < program.stages.length; k++) {
    const began = cook.stageStarts[k]
    const { sign } = program.stages[k - 1]
    if (began === null || sign === null) continue
    // Where nobody marked when the stage before began, its clock is that of the last one that was.
    const from = cook.stageStarts[k - 1] ?? clockStart(cook, began)
    if (cook.signs.some(tap => SIGNS.indexOf(tap.what) === sign) || cook.looks.some(look => SIGNS.indexOf(look.what) === sign)) continue
    terms.push((record, member) => logRatio(began, signTime(record, member, sign), from) / STAGE_NOISE)
  }
  return terms
}

/** A sign that has not been tapped yet has perhaps not come yet. */
function waitingOf(cook: LiveCook, program: Program, record: EnsembleRecord, member: number): number {
  const from = cook.stageStarts[cook.stage]
  const sign = program.stages[cook.stage]?.sign
  if (from === null || from === undefined || sign === null || sign === undefined) return 0
  if (cook.signs.some(tap => SIGNS.indexOf(tap.what) === sign)) return 0
  const z = logRatio(program.nowS, signTime(record, member, sign), from) / TAP_NOISE
  return Math.log(MISSED + (1 - MISSED) * (1 - normalCdf(z)))
}

function readingTerms(plan: CookPlan, cook: LiveCook, program: Program): Residual[] {
  const main = mainVessel(plan.dish)
  const pan = plan.vessels[main]
  const tare = pan.vessel.massG
  const readings = program.queries.length - (program.nowS > 0 ? 2 : 0)
  return program.queries.flatMap((query, k): Residual[] => {
    const forecast = (record: EnsembleRecord, member: number): number => record.readings[member * record.queries + k]
    if (query.of === 'temp-c') {
      const read = k < readings ? cook.temperatures.find(one => one.timeS === query.timeS) : undefined
      return read ? [(record, member) => (read.what.tempC - (plan.thermometerK ?? 0) - forecast(record, member)) / THERMOMETER_K] : []
    }
    const read = k < readings ? cook.weighings.find(one => one.timeS === query.timeS && one.what.vessel === main) : undefined
    if (!read) return []
    const noise = Math.hypot(SCALE_G, SCALE_SHARE * read.what.grossG, pan.massGuessed ? GUESSED_TARE * tare : 0)
    return [(record, member) => (read.what.grossG - tare - forecast(record, member)) / noise]
  })
}
