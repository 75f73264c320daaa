import { itemAt, numberAt } from '../../maths/table/itemAt'
import type { MemberValues } from '../belief/memberValues'
import { changePan } from './changePan'
import { contentG } from './contentG'
import { contentMl } from './contentMl'
import { heatCapacity } from './heatCapacity'
import { memberLaidOut } from './laidOut'
import { TEMP } from './layout'
import type { Program, ProgramQuery, ProgramStage } from './program'
import type { EnsembleRecord } from './record'
import { COLD, flamePower, LIT, paceOf, resetRun, startRun, type Run } from './run'
import { lightSide, stepSide, timeToReadyS } from './sideVessels'
import { signLevel, SIGNS } from './signs'
import { enterStage, nextStartS, noteSign, stageIsOver } from './stages'
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
  for (const [i, side] of run.beside.entries()) {
    if (side.plan.startS !== null) continue
    resetRun(run, member)
    record.needs[index * record.sides + i] = timeToReadyS(run, side)
  }
  resetRun(run, member)
  enterStage(run, record, index)
  let due = 0
  while (run.running !== null && run.timeS < program.mostS) {
    advance(run, run.running, record, index, nextStep(run, run.running))
    if (trace && run.timeS >= due) {
      trace.points.push(tracePoint(run))
      due = run.timeS + trace.everyS
    }
    while (run.running !== null && stageIsOver(run, run.running)) enterStage(run, record, index)
  }
  if (trace && trace.points.at(-1)?.timeS !== run.timeS) trace.points.push(tracePoint(run))
}

/** So much the flame may warm the content in one step, K: little in the pan takes shorter steps. Shortest step, s. */
const EASE_K = 4
const LEAST_S = 1

/** No step is shorter, s: heat over a step of nothing is not a number. */
const SHORTEST_S = 1e-3

/** The longest step that does not jump over anything with a known time. */
function nextStep(run: Run, stage: ProgramStage): number {
  const { program, timeS } = run
  const ease = EASE_K * heatCapacity(run.state) / Math.max(1, run.control.powerW)
  let until = timeS + Math.max(LEAST_S, Math.min(stage.stepS, ease))
  const mixed = run.stageStartS + stage.leastS * run.member.uptake
  if (mixed > timeS && mixed < until) until = mixed
  const next = nextStartS(run)
  if (next !== null && next > timeS && next < until) until = next
  if (stage.sign === null && next === null) {
    const end = Math.max(
      program.nowS,
      run.countsFromS + (stage.pours > 0 ? run.member.pourTime * stage.pours : stage.seconds),
    )
    if (end > timeS && end < until) until = end
  }
  until = sooner(program.controls[run.nextControl]?.timeS, timeS, until)
  until = sooner(program.changes[run.nextChange]?.timeS, timeS, until)
  until = sooner(program.queries[run.nextQuery]?.timeS, timeS, until)
  for (const side of program.sides) until = sooner(side.startS, timeS, until)
  return Math.max(SHORTEST_S, until - timeS)
}

/** A known moment, if it comes after now and before the other. */
function sooner(moment: number | null | undefined, timeS: number, until: number): number {
  return moment !== null && moment !== undefined && moment > timeS && moment < until ? moment : until
}

/** Shorter than this a step is not taken again, s. */
const NEAR_S = 0.25

function advance(run: Run, stage: ProgramStage, record: EnsembleRecord, index: number, stepS: number): void {
  const { program } = run
  applyControls(run, stage)
  run.before.set(run.all)
  const fromS = run.timeS
  stepAll(run, stage, record, index, stepS)
  const over = run.timeS - run.readyS
  const passed = over > NEAR_S && run.readyS > fromS + NEAR_S && run.timeS >= program.nowS + over
  // True where nobody said when the next stage began: it begins with the sign.
  if (passed && stage.sign !== null && nextStartS(run) === null) {
    // Once more from before, up to the sign: what happens next begins at its own moment.
    run.all.set(run.before)
    run.timeS = fromS
    stepAll(run, stage, record, index, stepS - over)
  }
  for (
    let query = program.queries[run.nextQuery];
    query !== undefined && query.timeS <= run.timeS;
    query = program.queries[run.nextQuery]
  ) {
    record.readings[index * record.queries + run.nextQuery] = reading(run, query.of)
    run.nextQuery++
  }
}

function reading(run: Run, of: ProgramQuery['of']): number {
  if (of === 'volume-ml') return contentMl(run.state, run.program.family)
  return of === 'content-g' ? contentG(run.state) : run.state[TEMP]
}

function stepAll(run: Run, stage: ProgramStage, record: EnsembleRecord, index: number, stepS: number): void {
  const { program } = run
  program.step(run.state, itemAt(program.vessels, stage.vessel), program.family, run.member, run.control, stepS)
  run.timeS += stepS
  noteSigns(run, stage, record, index, stepS)
  for (const side of run.beside) {
    if (side.where !== LIT) continue
    const { sign } = side.plan
    if (stepSide(run, side, stepS) && sign !== null) noteSign(run, record, index, sign, run.timeS, true)
  }
}

function applyControls(run: Run, stage: ProgramStage): void {
  const { program } = run
  for (const turn of run.turns) {
    if (turn.atS > run.timeS) continue
    turn.atS = Number.POSITIVE_INFINITY
    run.control.powerW = flamePower(turn.plan.flame, run.member) * paceOf(stage, run.member)
  }
  for (const side of run.beside) {
    const { startS } = side.plan
    if (side.where === COLD && startS !== null && startS <= run.timeS) lightSide(run, side)
  }
  for (
    let change = program.changes[run.nextChange];
    change !== undefined && change.timeS <= run.timeS;
    change = program.changes[run.nextChange]
  ) {
    changePan(run, change)
    run.nextChange++
  }
  for (
    let control = program.controls[run.nextControl];
    control !== undefined && control.timeS <= run.timeS;
    control = program.controls[run.nextControl]
  ) {
    const controls = control.vessel === 0 ? run.control : itemAt(run.beside, control.vessel - 1).control
    if (control.flame) {
      const pace = control.vessel === 0 ? paceOf(stage, run.member) : 1
      controls.powerW = flamePower(control.flame, run.member) * pace
      controls.lagS = control.flame.lagS
    }
    if (control.cover !== undefined) controls.cover = control.cover
    run.nextControl++
  }
}

function noteSigns(run: Run, stage: ProgramStage, record: EnsembleRecord, index: number, stepS: number): void {
  // Sums of steps miss the moment itself by their rounding.
  if (stage.leastS > 0 && run.timeS - run.stageStartS < stage.leastS * run.member.uptake - 1e-6) return
  for (const sign of stage.watches) {
    if (record.signs[index * SIGNS.length + sign] !== Number.POSITIVE_INFINITY) continue
    const level = signLevel(sign, run.state, run)
    const before = numberAt(run.levels, sign)
    run.levels[sign] = level
    if (level < 0) continue
    const share = before > -1e8 && level > before ? level / (level - before) : 0
    noteSign(run, record, index, sign, run.timeS - share * stepS, false)
  }
}
