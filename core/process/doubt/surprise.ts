import { itemAt } from '../../maths/table/itemAt'
import { memberValues, MEMBER_NAMES, beliefColumns } from '../belief/memberValues'
import { constant } from '../../materials/constants/constants'
import { mainLine } from '../../formulation/dish/mainLine'
import { markFlame } from '../program/flameOf'
import { clockStart, logRatio, signTime } from '../ensemble/markTimes'
import type { Program } from '../engine/program'
import { ensembleRecord, type EnsembleRecord } from '../engine/record'
import { runEnsemble } from '../ensemble/runEnsemble'
import { SIGNS } from '../engine/signs'
import { simulate } from '../engine/simulate'
import type { StoredRuns } from '../forecast/storedRuns'
import { flamesNow } from '../../record/replay/flamesNow'
import type { Marked } from '../../record/marks/marked'
import { fillNormal } from '../../maths/random/fillNormal'
import { seededRandom } from '../../maths/random/seededRandom'
import type { SignId } from '../../formulation/signs/signIds'
import type { Surprise } from '../../record/plan/doubt'

const TAP_NOISE = constant('tapNoise')
/**
 * Standard deviations of the forecast, tap noise included, beyond which a mark surprises: about one true one in a
 * hundred.
 */
const SURPRISING = 2.6
/** A flame explains a mark that its middle run meets within so many tap noises. */
const EXPLAINS = 2
const MEMBERS = 80

/**
 * Whether the newest sign or colour can be true under the plan, by runs that know nothing of it; and which flame would
 * make it true.
 *
 * @param standing kept runs of a cook
 * @returns the surprise, or null where it fits, where it was looked into, or where nothing was marked
 */
export function surprise({ plan, cook, program }: StoredRuns): Surprise | null {
  const last = newest([...cook.signs, ...cook.looks])
  const from = last ? clockStart(cook, last.timeS) : 0
  const k = last ? cook.stageStarts.lastIndexOf(from) : -1
  const stage = mainLine(plan.dish)[k]
  if (!last || !stage || k !== cook.stage || !SIGNS.includes(last.what)) return null
  if (cook.checked.some(one => one.timeS >= last.timeS)) return null
  const sign = SIGNS.indexOf(last.what)
  const watching = watched(program, k, sign)
  const normals = fillNormal(new Float64Array(MEMBERS * MEMBER_NAMES.length), seededRandom(plan.seed + 17))
  const record = runEnsemble(watching, beliefColumns(plan.belief), normals)
  const ratios = Array.from({ length: MEMBERS }, (_, i) =>
    logRatio(last.timeS, signTime(record, i, sign), from),
  ).filter(Number.isFinite)
  if (ratios.length < MEMBERS / 2) return null
  const mean = ratios.reduce((sum, one) => sum + one, 0) / ratios.length
  const variance = ratios.reduce((sum, one) => sum + (one - mean) ** 2, 0) / ratios.length
  if (Math.abs(mean) < SURPRISING * Math.hypot(TAP_NOISE, Math.sqrt(variance))) return null
  const thought = flamesNow(plan, cook)[stage.vessel]?.mark ?? null
  const marks = plan.fires[stage.vessel]?.marks ?? []
  const fits = marks.filter(one => one.id !== thought).map((one) => {
    const run = middleRun(onFlame(watching, k, markFlame(plan, stage.vessel, one.id)), plan)
    return { id: one.id, off: Math.abs(logRatio(last.timeS, signTime(run, 0, sign), from)) }
  }).filter(one => one.off < EXPLAINS * TAP_NOISE).sort((p, q) => p.off - q.off)
  return {
    mark: last.id,
    sign: last.what,
    faster: mean < 0,
    times: Math.exp(Math.abs(mean)),
    flame: fits[0]?.id ?? null,
    thought,
  }
}

function newest(marks: readonly Marked<SignId>[]): Marked<SignId> | undefined {
  return marks.reduce<Marked<SignId> | undefined>(
    (latest, one) => (latest && latest.timeS > one.timeS ? latest : one),
    undefined,
  )
}

/** The program with the sign looked for in its stage even where the stage ended before it. */
function watched(program: Program, k: number, sign: number): Program {
  return {
    ...program,
    stages: program.stages.map((stage, i) =>
      i === k && !stage.watches.includes(sign) ? { ...stage, watches: [...stage.watches, sign] } : stage,
    ),
  }
}

/** The program as if one stage had stood on another flame all the time. */
function onFlame(program: Program, k: number, flame: Program['stages'][number]['flame']): Program {
  const fromS = itemAt(program.stages, k).startS ?? 0
  return {
    ...program,
    stages: program.stages.map((stage, i) => (i === k ? { ...stage, flame } : stage)),
    controls: program.controls.filter(one => one.vessel !== 0 || one.flame === undefined || one.timeS < fromS),
    turns: [],
  }
}

function middleRun(program: Program, plan: StoredRuns['plan']): EnsembleRecord {
  const record = ensembleRecord(1, program.stages.length, program.queries.length, program.sides.length)
  simulate(program, memberValues(beliefColumns(plan.belief), new Float64Array(MEMBER_NAMES.length), 0), record, 0)
  return record
}
