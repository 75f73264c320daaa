import { addToVessel } from './addToVessel'
import { contentG } from './contentG'
import { contentMl } from './contentMl'
import { boilingTempC } from './boilingTempC'
import { VALVE_PA } from './cover'
import { NUTS, PAN_TEMP, SOFT, SOLIDS, TEMP, VESSEL_SIZE } from './layout'
import { pourInto } from './pourInto'
import type { EnsembleRecord } from './record'
import { COLD, EMPTIED, flamePower, LIT, paceOf, sideAt, type Run } from './run'
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
  if (run.program.stages[run.stage]?.sign === sign) run.readyS = timeS
  const { turns } = run.program
  for (let k = 0; k < turns.length; k++) {
    if (turns[k].sign === sign && turns[k].stage === run.stage)
      run.turnsAtS[k] = timeS + turns[k].late[index % turns[k].late.length] * (timeS - run.stageStartS)
  }
}

/**
 * Whether the running stage is over: at its own time where that is known, else at its sign or after its seconds, and
 * never before now.
 *
 * @param run the run
 * @returns true where the next stage begins
 */
export function stageIsOver(run: Run): boolean {
  const { stages, nowS } = run.program
  if (run.stage + 1 < stages.length) {
    const { startS } = stages[run.stage + 1]
    if (startS !== null) return run.timeS >= startS
  }
  if (run.timeS < nowS) return false
  const stage = stages[run.stage]
  if (stage.sign !== null) return run.timeS >= run.readyS - 1e-6
  if (stage.underPressure && run.countsFromS === Number.POSITIVE_INFINITY) {
    if (stage.pressureS !== null) run.countsFromS = stage.pressureS
    const pressure = run.program.vessels[stage.vessel].airPressure + VALVE_PA
    if (stage.pressureS === null && run.state[run.at + TEMP] >= boilingTempC(run.state, run.at, pressure) - 0.5)
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
  const { program, state } = run
  const before = run.stage >= 0 ? program.stages[run.stage] : null
  if (before) leaveStage(run, record, index)
  run.stage++
  run.stageStartS = run.timeS
  run.readyS = Number.POSITIVE_INFINITY
  if (run.stage >= program.stages.length) {
    record.ends[index] = run.timeS
    return
  }
  const stage = program.stages[run.stage]
  run.countsFromS = stage.underPressure ? Number.POSITIVE_INFINITY : run.timeS
  record.starts[index * record.stages + run.stage] = run.timeS
  record.masses[index * record.stages + run.stage] = contentG(state, run.at)
  const at = stage.vessel * VESSEL_SIZE
  run.at = at
  if (stage.tips !== null) pourInto(state, stage.tips * VESSEL_SIZE, at)
  for (let k = 0; k < stage.adds.length; k++)
    addToVessel(state, at, stage.adds[k], program.vessels[0].contentC, run.member)
  if (program.cooked && state[at + SOLIDS] > 0) state[at + SOFT] = 1
  if (stage.from !== null) pour(run, record, index, stage.from, stage.fromShare)
  run.stageMl = contentMl(state, at, program.family)
  const control = run.controls[0]
  control.powerW = flamePower(stage.flame, run.member) * paceOf(stage, run.member)
  control.lagS = stage.flame.lagS
  control.cover = stage.cover
  for (let k = 0; k < stage.watches.length; k++) run.levels[stage.watches[k]] = -1e9
  for (let k = 0; k < program.turns.length; k++) {
    // A sign that was there before the stage began is there as it begins; a turn that did not come in its stage is off.
    const shown =
      program.turns[k].stage === run.stage
      && record.signs[index * SIGNS.length + program.turns[k].sign] < Number.POSITIVE_INFINITY
    run.turnsAtS[k] = shown ? run.timeS : Number.POSITIVE_INFINITY
  }
  if (stage.sign !== null) run.readyS = record.signs[index * SIGNS.length + stage.sign]
}

function pour(run: Run, record: EnsembleRecord, index: number, side: number, share: number): void {
  const { sign } = run.program.sides[side]
  if (run.sides[side] === LIT && run.sideReady[side] === 0 && sign !== null) noteLate(run, record, index, side, sign)
  if (run.sides[side] === COLD) makeReady(run, side)
  const at = sideAt(run.program, side)
  // The vessel itself is as hot as what boils in it.
  if (run.program.sides[side].staysIn)
    run.state[run.at + PAN_TEMP] = Math.max(run.state[at + PAN_TEMP], run.state[at + TEMP])
  pourInto(run.state, at, run.at, share)
  run.sides[side] = EMPTIED
}

/**
 * Poured before it was ready: a copy of the side vessel runs on, so that its window still says when it would have been.
 */
function noteLate(run: Run, record: EnsembleRecord, index: number, side: number, sign: number): void {
  const copy: Run = {
    ...run,
    state: run.state.slice(),
    sideReady: run.sideReady.slice(),
    controls: run.controls.map(one => ({ ...one })),
  }
  for (let timeS = run.timeS; timeS < run.program.mostS; timeS += STEP_S) {
    if (!stepSide(copy, side, STEP_S)) continue
    record.signs[index * SIGNS.length + sign] = timeS + STEP_S
    return
  }
}

function leaveStage(run: Run, record: EnsembleRecord, index: number): void {
  const stage = run.program.stages[run.stage]
  runShadow(run, record, index)
  if (stage.nutsLeave) run.state[run.at + NUTS] = 0
}

/**
 * A stage may have been cut short before a sign that was tapped in it showed in this member. Running a copy on tells
 * when it would have shown, so that the tap can be weighed.
 */
function runShadow(run: Run, record: EnsembleRecord, index: number): void {
  const stage = run.program.stages[run.stage]
  if (!cutShort(run, record, index)) return
  const state = run.state.slice(run.at, run.at + VESSEL_SIZE)
  const { family, vessels, mostS } = run.program
  for (let timeS = run.timeS; timeS < Math.min(mostS, run.timeS + SHADOW_S); timeS += STEP_S) {
    run.program.step(state, 0, vessels[stage.vessel], family, run.member, run.controls[0], STEP_S)
    let open = 0
    for (let k = 0; k < stage.watches.length; k++) {
      const key = index * SIGNS.length + stage.watches[k]
      if (record.signs[key] !== Number.POSITIVE_INFINITY) continue
      if (signLevel(stage.watches[k], state, 0, run) >= 0) record.signs[key] = timeS + STEP_S
      else open++
    }
    if (
      open === 0
      || (stage.sign !== null && record.signs[index * SIGNS.length + stage.sign] < Number.POSITIVE_INFINITY)
    )
      return
  }
}

/** True where the stage ended by the cook's hand before its sign, or before a sign that was tapped in it, had shown. */
function cutShort(run: Run, record: EnsembleRecord, index: number): boolean {
  const { stages } = run.program
  const next = run.stage + 1 < stages.length ? stages[run.stage + 1].startS : null
  if (next === null) return false
  const stage = stages[run.stage]
  const missing = (sign: number): boolean => record.signs[index * SIGNS.length + sign] === Number.POSITIVE_INFINITY
  return (stage.sign !== null && missing(stage.sign)) || stage.tapped.some(missing)
}

