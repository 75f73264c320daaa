import { normalCdf } from '../random/normalCdf'
import { mainLine } from '../dish/mainLine'
import type { CookPlan } from '../live/plan'
import type { LiveCook } from '../live/replay'
import type { Program } from './program'
import type { EnsembleRecord } from './record'
import { SIGNS } from './signs'

/** Noise of a tap in log time (measured tap error 0.18), and of a stage begun when its sign was there. */
const TAP_NOISE = 0.18
const STAGE_NOISE = 0.35
/** A tap out of nowhere still has this density against the model: keeps one wrong tap from ruling. */
const STRAY = 0.01
/** How often a sign passes without being tapped. */
const MISSED = 0.4
/** Kitchen scale: 3 g and 0.5 %; thermometer: 2.5 K. Standard deviations. */
const SCALE_G = 3
const SCALE_SHARE = 0.005
const THERMOMETER_K = 2.5
/** Standard deviation of a guessed pan weight, as a share. */
const GUESSED_TARE = 0.35
/** Usual minutes of the wet stages against the physics: spread in log time that makes them weigh about the same. */
const USUAL_NOISE = 0.4

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
  const sums = new Float64Array(record.members)
  for (let i = 0; i < record.members; i++) {
    sums[i] = tapsOf(cook, record, i) + stagesOf(cook, program, record, i) + waitingOf(cook, program, record, i)
      + readingsOf(plan, cook, program, record, i) + usualOf(plan, cook, program, record, i)
  }
  return sums
}

const signTime = (record: EnsembleRecord, member: number, sign: number): number =>
  record.signs[member * SIGNS.length + sign]

/** Log ratio of a marked time to a forecast one, both counted from when the sign's clock began. */
function logRatio(markedS: number, forecastS: number, fromS: number): number {
  return Math.log(Math.max(5, markedS - fromS) / Math.max(5, forecastS - fromS))
}

function tapDensity(z: number): number {
  return Math.log(STRAY + (1 - STRAY) * Math.exp(-0.5 * z * z))
}

/** A sign's clock begins with the stage in which it was tapped. */
function clockStart(cook: LiveCook, timeS: number): number {
  let start = 0
  for (const began of cook.stageStarts) if (began !== null && began < timeS) start = Math.max(start, began)
  return start
}

function tapsOf(cook: LiveCook, record: EnsembleRecord, member: number): number {
  let sum = 0
  for (const tap of cook.signs) {
    const at = signTime(record, member, SIGNS.indexOf(tap.what))
    const from = tap.what === 'boil' ? Math.min(...Object.values(cook.lit), tap.timeS) : clockStart(cook, tap.timeS)
    sum += at === Number.POSITIVE_INFINITY ? Math.log(STRAY) : tapDensity(logRatio(tap.timeS, at, from) / TAP_NOISE)
  }
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
function stagesOf(cook: LiveCook, program: Program, record: EnsembleRecord, member: number): number {
  let sum = 0
  for (let k = 1; k < program.stages.length; k++) {
    const began = cook.stageStarts[k]
    const { sign } = program.stages[k - 1]
    const from = cook.stageStarts[k - 1]
    if (began === null || sign === null || from === null) continue
    if (cook.signs.some(tap => SIGNS.indexOf(tap.what) === sign)) continue
    const at = signTime(record, member, sign)
    sum += at === Number.POSITIVE_INFINITY ? Math.log(STRAY) : tapDensity(logRatio(began, at, from) / STAGE_NOISE)
  }
  return sum
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

function readingsOf(plan: CookPlan, cook: LiveCook, program: Program, record: EnsembleRecord, member: number): number {
  const main = mainLine(plan.dish)[0].vessel
  const pan = plan.vessels[main]
  const tare = pan.vessel.massG
  let sum = 0
  program.queries.forEach((query, k) => {
    const forecast = record.readings[member * record.queries + k]
    if (!Number.isFinite(forecast)) return
    if (query.of === 'temp-c') {
      const read = cook.temperatures.find(one => one.timeS === query.timeS)
      if (read) sum += tapDensity((read.what.tempC - forecast) / THERMOMETER_K)
      return
    }
    const read = cook.weighings.find(one => one.timeS === query.timeS && one.what.vessel === main)
    if (!read) return
    const noise = Math.hypot(SCALE_G, SCALE_SHARE * read.what.grossG, pan.massGuessed ? GUESSED_TARE * tare : 0)
    sum += tapDensity((read.what.grossG - tare - forecast) / noise)
  })
  return sum
}

/**
 * Physics alone forecasts the wet stages no better than the usual minutes of the dish; the usual minutes therefore count
 * as one more reading of the time from the pour to the end, about as strong as the physics.
 */
function usualOf(plan: CookPlan, cook: LiveCook, program: Program, record: EnsembleRecord, member: number): number {
  const line = mainLine(plan.dish)
  const pour = program.stages.findIndex(stage => stage.pours)
  if (pour < 0) return 0
  const usual = line.slice(pour + 1).reduce((sum, stage) => sum + ('sign' in stage.until ? plan.dish.usual.minutes[stage.id] ?? 0 : 0), 0)
  const base = plan.amounts.find(one => one.id === plan.dish.base)?.massG ?? 0
  const done = signTime(record, member, SIGNS.indexOf('leaves-sides'))
  const poured = record.starts[member * record.stages + pour + 1]
  if (!(usual > 0 && base > 0) || !Number.isFinite(done) || cook.stage > pour + 2) return 0
  const expected = usual * 60 * Math.sqrt(base / plan.dish.usual.baseG)
  const z = Math.log(Math.max(5, done - poured) / expected) / USUAL_NOISE
  return -0.5 * z * z
}
