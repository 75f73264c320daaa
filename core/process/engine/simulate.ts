import type { MemberValues } from '../belief/memberValues'
import { changePan } from './changePan'
import { contentG } from './contentG'
import { contentMl } from './contentMl'
import { heatCapacity } from './heatCapacity'
import { memberLaidOut } from './laidOut'
import { TEMP } from './layout'
import type { Program, ProgramQuery } from './program'
import type { EnsembleRecord } from './record'
import { COLD, flamePower, LIT, paceOf, resetRun, startRun, type Run } from './run'
import { lightSide, stepSide, timeToReadyS } from './sideVessels'
import { signLevel, SIGNS } from './signs'
import { enterStage, noteSign, stageIsOver } from './stages'
import { tracePoint, type Trace } from './trace'

/**
 * Runs one member from the start of the cook to the end of its last stage: what has happened at its own times, the rest
 * by the signs, never before now.
 *
 * @param program what is to be run
 * @param member uncertain numbers
 * @param record where the results go
 * @param index which member of the record this is
 * @param trace if given, moments of the run are put at its end, and its last one in any case
 */
export function simulate(
  program: Program,
  member: MemberValues,
  record: EnsembleRecord,
  index: number,
  trace?: Trace,
): void {
  const own = memberLaidOut(member)
  simulateRun(startRun(program, own), own, record, index, trace)
}

/**
 * The same with a run that has been used before, so that nothing is made anew for each member.
 *
 * @param run of the program; it is reset
 * @param member uncertain numbers
 * @param record where the results go
 * @param index which member of the record this is
 * @param trace if given, moments of the run are put at its end
 */
export function simulateRun(
  run: Run,
  member: MemberValues,
  record: EnsembleRecord,
  index: number,
  trace?: Trace,
): void {
  const { program } = run
  for (let side = 0; side < program.sides.length; side++) {
    if (program.sides[side].startS !== null) continue
    resetRun(run, member)
    record.needs[index * record.sides + side] = timeToReadyS(run, side)
  }
  resetRun(run, member)
  enterStage(run, record, index)
  let due = 0
  while (run.stage < program.stages.length && run.timeS < program.mostS) {
    advance(run, record, index, nextStep(run))
    if (trace && run.timeS >= due) {
      trace.points.push(tracePoint(run))
      due = run.timeS + trace.everyS
    }
    while (run.stage < program.stages.length && stageIsOver(run)) enterStage(run, record, index)
  }
  if (trace && trace.points.at(-1)?.timeS !== run.timeS) trace.points.push(tracePoint(run))
}

/** So much the flame may warm the content in one step, K: little in the pan takes shorter steps. Shortest step, s. */
const EASE_K = 4
const LEAST_S = 1

/** No step is shorter, s: heat over a step of nothing is not a number. */
const SHORTEST_S = 1e-3

/** The longest step that does not jump over anything with a known time. */
function nextStep(run: Run): number {
  const { program, timeS } = run
  const stage = program.stages[run.stage]
  const ease = EASE_K * heatCapacity(run.state, run.at) / Math.max(1, run.controls[0].powerW)
  let until = timeS + Math.max(LEAST_S, Math.min(stage.stepS, ease))
  const mixed = run.stageStartS + stage.leastS * run.member.uptake
  if (mixed > timeS && mixed < until) until = mixed
  const next = run.stage + 1 < program.stages.length ? program.stages[run.stage + 1].startS : null
  if (next !== null && next > timeS && next < until) until = next
  if (stage.sign === null && next === null) {
    const end = Math.max(
      program.nowS,
      run.countsFromS + (stage.pours > 0 ? run.member.pourTime * stage.pours : stage.seconds),
    )
    if (end > timeS && end < until) until = end
  }
  if (run.nextControl < program.controls.length) {
    const moment = program.controls[run.nextControl].timeS
    if (moment > timeS && moment < until) until = moment
  }
  if (run.nextChange < program.changes.length) {
    const moment = program.changes[run.nextChange].timeS
    if (moment > timeS && moment < until) until = moment
  }
  if (run.nextQuery < program.queries.length) {
    const moment = program.queries[run.nextQuery].timeS
    if (moment > timeS && moment < until) until = moment
  }
  for (let side = 0; side < program.sides.length; side++) {
    const moment = program.sides[side].startS
    if (moment !== null && moment > timeS && moment < until) until = moment
  }
  return Math.max(SHORTEST_S, until - timeS)
}

/** Shorter than this a step is not taken again, s. */
const NEAR_S = 0.25

function advance(run: Run, record: EnsembleRecord, index: number, stepS: number): void {
  const { program } = run
  applyControls(run)
  run.before.set(run.state)
  const fromS = run.timeS
  stepAll(run, record, index, stepS)
  const over = run.timeS - run.readyS
  if (over > NEAR_S && run.readyS > fromS + NEAR_S && run.timeS >= program.nowS + over && endsBySign(run)) {
    // Once more from before, up to the sign: what happens next begins at its own moment.
    run.state.set(run.before)
    run.timeS = fromS
    stepAll(run, record, index, stepS - over)
  }
  while (run.nextQuery < program.queries.length && program.queries[run.nextQuery].timeS <= run.timeS) {
    const query = program.queries[run.nextQuery]
    record.readings[index * record.queries + run.nextQuery] = reading(run, query.of)
    run.nextQuery++
  }
}

function reading(run: Run, of: ProgramQuery['of']): number {
  if (of === 'volume-ml') return contentMl(run.state, run.at, run.program.family)
  return of === 'content-g' ? contentG(run.state, run.at) : run.state[run.at + TEMP]
}

/** True where nobody said when the next stage began: it begins with the sign. */
function endsBySign(run: Run): boolean {
  const { stages } = run.program
  return stages[run.stage].sign !== null && (run.stage + 1 >= stages.length || stages[run.stage + 1].startS === null)
}

function stepAll(run: Run, record: EnsembleRecord, index: number, stepS: number): void {
  const { program } = run
  const stage = program.stages[run.stage]
  program.step(run.state, run.at, program.vessels[stage.vessel], program.family, run.member, run.controls[0], stepS)
  run.timeS += stepS
  noteSigns(run, record, index, stepS)
  for (let side = 0; side < program.sides.length; side++) {
    if (run.sides[side] !== LIT) continue
    const { sign } = program.sides[side]
    if (stepSide(run, side, stepS) && sign !== null) noteSign(run, record, index, sign, run.timeS, true)
  }
}

function applyControls(run: Run): void {
  const { program } = run
  for (let k = 0; k < program.turns.length; k++) {
    if (run.turnsAtS[k] > run.timeS) continue
    run.turnsAtS[k] = Number.POSITIVE_INFINITY
    run.controls[0].powerW =
      flamePower(program.turns[k].flame, run.member) * paceOf(program.stages[run.stage], run.member)
  }
  for (let side = 0; side < program.sides.length; side++) {
    const { startS } = program.sides[side]
    if (run.sides[side] === COLD && startS !== null && startS <= run.timeS) lightSide(run, side)
  }
  while (run.nextChange < program.changes.length && program.changes[run.nextChange].timeS <= run.timeS) {
    changePan(run, program.changes[run.nextChange])
    run.nextChange++
  }
  while (run.nextControl < program.controls.length && program.controls[run.nextControl].timeS <= run.timeS) {
    const control = program.controls[run.nextControl]
    const controls = run.controls[control.vessel]
    if (control.flame) {
      const pace = control.vessel === 0 ? paceOf(program.stages[run.stage], run.member) : 1
      controls.powerW = flamePower(control.flame, run.member) * pace
      controls.lagS = control.flame.lagS
    }
    if (control.cover !== undefined) controls.cover = control.cover
    run.nextControl++
  }
}

function noteSigns(run: Run, record: EnsembleRecord, index: number, stepS: number): void {
  const { watches, leastS } = run.program.stages[run.stage]
  // Sums of steps miss the moment itself by their rounding.
  if (leastS > 0 && run.timeS - run.stageStartS < leastS * run.member.uptake - 1e-6) return
  for (let k = 0; k < watches.length; k++) {
    const sign = watches[k]
    if (record.signs[index * SIGNS.length + sign] !== Number.POSITIVE_INFINITY) continue
    const level = signLevel(sign, run.state, run.at, run)
    const before = run.levels[sign]
    run.levels[sign] = level
    if (level < 0) continue
    const share = before > -1e8 && level > before ? level / (level - before) : 0
    noteSign(run, record, index, sign, run.timeS - share * stepS, false)
  }
}
