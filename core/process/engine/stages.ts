import { itemAt, numberAt } from '../../maths/table/itemAt'
import { addToVessel } from './addToVessel'
import { contentG } from './contentG'
import { contentMl } from './contentMl'
import { boilingTempC } from './boilingTempC'
import { VALVE_PA } from './cover'
import { NUTS, PAN_TEMP, SOFT, SOLIDS, TEMP, vesselState } from './layout'
import type { ProgramStage } from './program'
import { pourInto } from './pourInto'
import type { EnsembleRecord } from './record'
import { COLD, EMPTIED, flamePower, LIT, paceOf, type VesselBeside, type Run } from './run'
import { makeReady, stepSide } from './sideVessels'
import { signLevel, SIGNS } from './signs'

const STEP_S = 4
/** How long a sign that was tapped in a stage cut short is still looked for, s. */
const SHADOW_S = 900

/**
 * Notes that a sign has shown.
 *
 * @param run where it showed
 * @param record where it is kept
 * @param index which member
 * @param sign index into `SIGNS`
 * @param timeS when
 * @param beside true where it showed in a side vessel: no stage of the main line waits for it
 */
export function noteSign(
  run: Run,
  record: EnsembleRecord,
  index: number,
  sign: number,
  timeS: number,
  beside: boolean,
): void {
  record.signs[index * SIGNS.length + sign] = timeS
  if (beside) return
  if (run.running?.sign === sign) run.readyS = timeS
  for (const turn of run.turns) {
    const { plan } = turn
    if (plan.sign === sign && plan.stage === run.stage)
      turn.atS = timeS + numberAt(plan.late, index % plan.late.length) * (timeS - run.stageStartS)
  }
}

/**
 * When the stage after the running one began.
 *
 * @param run the run
 * @returns s since the start; null if it has not, or if none follows
 */
export function nextStartS(run: Run): number | null {
  return run.program.stages[run.stage + 1]?.startS ?? null
}

/**
 * Whether the running stage is over: at its own time where that is known, else at its sign or after its seconds, and
 * never before now.
 *
 * @param run the run
 * @param stage the stage that runs
 * @returns true where the next stage begins
 */
export function stageIsOver(run: Run, stage: ProgramStage): boolean {
  const startS = nextStartS(run)
  if (startS !== null) return run.timeS >= startS
  if (run.timeS < run.program.nowS) return false
  if (stage.sign !== null) return run.timeS >= run.readyS - 1e-6
  if (stage.underPressure && run.countsFromS === Number.POSITIVE_INFINITY) {
    if (stage.pressureS !== null) run.countsFromS = stage.pressureS
    const pressure = itemAt(run.program.vessels, stage.vessel).airPressure + VALVE_PA
    if (stage.pressureS === null && run.state[TEMP] >= boilingTempC(run.state, pressure) - 0.5)
      run.countsFromS = run.timeS
  }
  return run.timeS >= run.countsFromS + (stage.pours > 0 ? run.member.pourTime * stage.pours : stage.seconds) - 1e-6
}

/**
 * Leaves the running stage and enters the next one: what goes in, what comes over from beside, flame and lid.
 *
 * @param run the run, changed in place
 * @param record where starts and weights go
 * @param index which member
 */
export function enterStage(run: Run, record: EnsembleRecord, index: number): void {
  const { program } = run
  if (run.running) leaveStage(run, run.running, record, index)
  run.stage++
  run.stageStartS = run.timeS
  run.readyS = Number.POSITIVE_INFINITY
  const stage = program.stages[run.stage]
  run.running = stage ?? null
  if (stage === undefined) {
    record.ends[index] = run.timeS
    return
  }
  run.countsFromS = stage.underPressure ? Number.POSITIVE_INFINITY : run.timeS
  record.starts[index * record.stages + run.stage] = run.timeS
  record.masses[index * record.stages + run.stage] = contentG(run.state)
  run.state = itemAt(run.main, stage.vessel)
  putIn(run, stage, record, index)
  run.stageMl = contentMl(run.state, program.family)
  run.control.powerW = flamePower(stage.flame, run.member) * paceOf(stage, run.member)
  run.control.lagS = stage.flame.lagS
  run.control.cover = stage.cover
  for (const sign of stage.watches) run.levels[sign] = -1e9
  for (const turn of run.turns) {
    // A sign that was there before the stage began is there as it begins; a turn that did not come in its stage is off.
    const shown = turn.plan.stage === run.stage && hasShown(record, index, turn.plan.sign)
    turn.atS = shown ? run.timeS : Number.POSITIVE_INFINITY
  }
  if (stage.sign !== null) run.readyS = numberAt(record.signs, index * SIGNS.length + stage.sign)
}

function hasShown(record: EnsembleRecord, index: number, sign: number): boolean {
  return numberAt(record.signs, index * SIGNS.length + sign) < Number.POSITIVE_INFINITY
}

/** Everything that comes into a stage's vessel as it begins. */
function putIn(run: Run, stage: ProgramStage, record: EnsembleRecord, index: number): void {
  const { program, state } = run
  if (stage.tips !== null) pourInto(itemAt(run.main, stage.tips), state)
  for (const addition of stage.adds) addToVessel(state, addition, program.vessels[0].contentC, run.member)
  if (program.cooked && state[SOLIDS] > 0) state[SOFT] = 1
  if (stage.from !== null) pour(run, record, index, itemAt(run.beside, stage.from), stage.fromShare)
}

function pour(run: Run, record: EnsembleRecord, index: number, side: VesselBeside, share: number): void {
  const { sign, staysIn } = side.plan
  if (side.where === LIT && !side.ready && sign !== null) noteLate(run, record, index, side, sign)
  if (side.where === COLD) makeReady(run, side)
  // The vessel itself is as hot as what boils in it.
  if (staysIn) run.state[PAN_TEMP] = Math.max(side.state[PAN_TEMP], side.state[TEMP])
  pourInto(side.state, run.state, share)
  side.where = EMPTIED
}

/**
 * Poured before it was ready: a copy of the side vessel runs on, so that its window still says when it would have been.
 */
function noteLate(run: Run, record: EnsembleRecord, index: number, side: VesselBeside, sign: number): void {
  const copy: VesselBeside = { ...side, state: vesselState(side.state), control: { ...side.control } }
  for (let timeS = run.timeS; timeS < run.program.mostS; timeS += STEP_S) {
    if (!stepSide(run, copy, STEP_S)) continue
    record.signs[index * SIGNS.length + sign] = timeS + STEP_S
    return
  }
}

function leaveStage(run: Run, stage: ProgramStage, record: EnsembleRecord, index: number): void {
  runShadow(run, stage, record, index)
  if (stage.nutsLeave) run.state[NUTS] = 0
}

/**
 * A stage may have been cut short before a sign that was tapped in it showed in this member. Running a copy on tells
 * when it would have shown, so that the tap can be weighed.
 */
function runShadow(run: Run, stage: ProgramStage, record: EnsembleRecord, index: number): void {
  if (!cutShort(run, stage, record, index)) return
  const state = vesselState(run.state)
  const { family, vessels, mostS } = run.program
  const vessel = itemAt(vessels, stage.vessel)
  for (let timeS = run.timeS; timeS < Math.min(mostS, run.timeS + SHADOW_S); timeS += STEP_S) {
    run.program.step(state, vessel, family, run.member, run.control, STEP_S)
    let open = 0
    for (const sign of stage.watches) {
      if (hasShown(record, index, sign)) continue
      if (signLevel(sign, state, run) >= 0) record.signs[index * SIGNS.length + sign] = timeS + STEP_S
      else open++
    }
    if (open === 0 || (stage.sign !== null && hasShown(record, index, stage.sign))) return
  }
}

/** True where the stage ended by the cook's hand before its sign, or before a sign that was tapped in it, had shown. */
function cutShort(run: Run, stage: ProgramStage, record: EnsembleRecord, index: number): boolean {
  if (nextStartS(run) === null) return false
  const missing = (sign: number): boolean => !hasShown(record, index, sign)
  return (stage.sign !== null && missing(stage.sign)) || stage.tapped.some(missing)
}
