import type { MemberValues } from '../belief/memberValues'
import { addToVessel } from './addToVessel'
import { contentG } from './contentG'
import { contentMl } from './contentMl'
import { HELD, NUTS, PAN_TEMP, SOLIDS, TEMP, VESSEL_SIZE, WATER } from './layout'
import { pourInto } from './pourInto'
import type { Program } from './program'
import type { EnsembleRecord } from './record'
import { roastLightness } from './roastLightness'
import { flamePower, startRun, type Run } from './run'
import { lightSide, makeReady, stepSide, timeToBoilS } from './sideVessels'
import { BOIL, SIGNS, signLevel } from './signs'
import { stepVessel } from './stepVessel'
import type { Trace, TracePoint } from './trace'

const STEP_S = 4
const SHADOW_S = 900

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
  for (let side = 0; side < program.sides.length; side++) {
    record.boils[index * record.sides + side] = timeToBoilS(startRun(program, member), side)
  }
  const run = startRun(program, member)
  enterStage(run, record, index)
  let due = 0
  while (run.stage < program.stages.length && run.timeS < program.mostS) {
    const stepS = nextStep(run)
    advance(run, record, index, stepS)
    if (trace && run.timeS >= due) {
      trace.points.push(tracePoint(run))
      due = run.timeS + trace.everyS
    }
    while (run.stage < program.stages.length && stageIsOver(run)) enterStage(run, record, index)
  }
  if (trace && trace.points.at(-1)?.timeS !== run.timeS) trace.points.push(tracePoint(run))
}

/** The longest step that does not jump over anything with a known time. */
function nextStep(run: Run): number {
  const { program, timeS } = run
  let until = timeS + STEP_S
  const reach = (moment: number | null | undefined): void => {
    if (moment !== null && moment !== undefined && moment > timeS && moment < until) until = moment
  }
  reach(program.stages[run.stage + 1]?.startS)
  reach(program.controls[run.nextControl]?.timeS)
  reach(program.queries[run.nextQuery]?.timeS)
  for (const side of program.sides) reach(side.startS)
  return until - timeS
}

function advance(run: Run, record: EnsembleRecord, index: number, stepS: number): void {
  const { program } = run
  applyControls(run)
  stepVessel(run.state, 0, program.vessel, program.family, run.member, run.controls[0], stepS)
  run.timeS += stepS
  noteSigns(run, record, index, stepS)
  for (let side = 0; side < program.sides.length; side++) {
    if (run.sides[side] === 'lit' && stepSide(run, side, stepS)) noteSign(run, record, index, BOIL, run.timeS)
  }
  while (program.queries[run.nextQuery]?.timeS <= run.timeS) {
    const query = program.queries[run.nextQuery]
    record.readings[index * record.queries + run.nextQuery] = query.of === 'content-g' ? contentG(run.state, 0) : run.state[TEMP]
    run.nextQuery++
  }
}

function applyControls(run: Run): void {
  const { program } = run
  program.sides.forEach((side, i) => {
    if (run.sides[i] === 'cold' && side.startS !== null && side.startS <= run.timeS) lightSide(run, i)
  })
  while (program.controls[run.nextControl]?.timeS <= run.timeS) {
    const control = program.controls[run.nextControl]
    const controls = run.controls[control.vessel]
    if (control.flame) controls.powerW = flamePower(control.flame, run.member)
    if (control.lid !== undefined) controls.lid = control.lid
    run.nextControl++
  }
}

function noteSigns(run: Run, record: EnsembleRecord, index: number, stepS: number): void {
  for (let sign = 0; sign < SIGNS.length; sign++) {
    if (record.signs[index * SIGNS.length + sign] !== Number.POSITIVE_INFINITY) continue
    const level = signLevel(sign, run.state, 0, run.program.family, run.member, run.poured)
    const before = run.levels[sign]
    run.levels[sign] = level
    if (level < 0) continue
    const share = before > -1e8 ? level / (level - before) : 0
    noteSign(run, record, index, sign, run.timeS - share * stepS)
  }
}

function noteSign(run: Run, record: EnsembleRecord, index: number, sign: number, timeS: number): void {
  record.signs[index * SIGNS.length + sign] = timeS
  if (run.program.stages[run.stage]?.sign === sign) run.readyS = timeS
}

function stageIsOver(run: Run): boolean {
  const next = run.program.stages[run.stage + 1]
  if (next && next.startS !== null) return run.timeS >= next.startS
  if (run.timeS < run.program.nowS) return false
  const stage = run.program.stages[run.stage]
  if (stage.sign !== null) return run.timeS >= run.readyS
  const seconds = stage.pours ? run.member.pourTime : stage.seconds
  return run.timeS >= run.stageStartS + seconds
}

function enterStage(run: Run, record: EnsembleRecord, index: number): void {
  const { program, state } = run
  if (run.stage >= 0) leaveStage(run, record, index)
  run.stage++
  run.stageStartS = run.timeS
  run.readyS = Number.POSITIVE_INFINITY
  const stage = program.stages[run.stage]
  if (!stage) return
  record.starts[index * record.stages + run.stage] = run.timeS
  record.masses[index * record.stages + run.stage] = contentG(state, 0)
  for (const addition of stage.adds) addToVessel(state, 0, addition, program.vessel.airC, run.member)
  if (stage.from !== null) pour(run, record, index, stage.from)
  run.controls[0].powerW = flamePower(stage.flame, run.member)
  run.controls[0].lid = stage.lid
  if (stage.sign !== null) run.readyS = record.signs[index * SIGNS.length + stage.sign]
}

function pour(run: Run, record: EnsembleRecord, index: number, side: number): void {
  if (run.sides[side] === 'lit' && !run.boiled[side]) noteLateBoil(run, record, index, side)
  makeReady(run, side)
  pourInto(run.state, (side + 1) * VESSEL_SIZE, 0)
  run.poured = true
  run.sides[side] = 'emptied'
  const most = run.program.family.mostWaterPerSolids * run.state[SOLIDS]
  run.controls[0].capacityG = Math.min(most, run.member.kept * run.state[WATER])
}

/** Poured before it boiled: a copy of the side vessel runs on, so that its window still says when it would have. */
function noteLateBoil(run: Run, record: EnsembleRecord, index: number, side: number): void {
  const copy: Run = { ...run, state: run.state.slice(), boiled: [...run.boiled], controls: run.controls.map(one => ({ ...one })) }
  for (let timeS = run.timeS; timeS < run.program.mostS; timeS += STEP_S) {
    if (!stepSide(copy, side, STEP_S)) continue
    record.signs[index * SIGNS.length + BOIL] = timeS + STEP_S
    return
  }
}

function leaveStage(run: Run, record: EnsembleRecord, index: number): void {
  const stage = run.program.stages[run.stage]
  runShadow(run, record, index)
  if (stage.nutsLeave) run.state[NUTS] = 0
}

/**
 * A stage may have been cut short before a sign that was tapped in it showed in this member. Running a copy on tells
 * when it would have shown, so that the tap can be weighed.
 */
function runShadow(run: Run, record: EnsembleRecord, index: number): void {
  const open = run.program.tapped.filter(sign => sign !== BOIL && !run.poured
    && record.signs[index * SIGNS.length + sign] === Number.POSITIVE_INFINITY && run.levels[sign] > -1e8)
  if (open.length === 0) return
  const state = run.state.slice(0, VESSEL_SIZE)
  const { family, vessel } = run.program
  for (let timeS = run.timeS; timeS < run.timeS + SHADOW_S; timeS += STEP_S) {
    stepVessel(state, 0, vessel, family, run.member, run.controls[0], STEP_S)
    for (const sign of open) {
      const key = index * SIGNS.length + sign
      if (record.signs[key] !== Number.POSITIVE_INFINITY) continue
      if (signLevel(sign, state, 0, family, run.member, false) >= 0) record.signs[key] = timeS + STEP_S
    }
    if (open.every(sign => record.signs[index * SIGNS.length + sign] < Number.POSITIVE_INFINITY)) return
  }
}

function tracePoint(run: Run): TracePoint {
  const { state } = run
  return {
    timeS: run.timeS,
    stage: run.stage,
    tempC: state[TEMP],
    panC: state[PAN_TEMP],
    lightness: roastLightness(state, 0, run.program.family, run.member),
    waterG: state[WATER],
    heldG: state[HELD],
    contentG: contentG(state, 0),
    volumeMl: contentMl(state, 0),
    state: state.slice(),
  }
}
