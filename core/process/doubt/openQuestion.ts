import { itemAt } from '../../maths/table/itemAt'
import { mainLine } from '../../formulation/dish/mainLine'
import { logLikelihoods, waitingOf } from '../ensemble/logLikelihoods'
import { normalisedWeights } from '../ensemble/normalisedWeights'
import { SIGNS } from '../engine/signs'
import type { StoredRuns } from '../forecast/storedRuns'
import { columnOf } from '../forecast/windowOf'
import { weightedQuantile } from '../../maths/random/weightedQuantile'
import type { OpenQuestion } from '../../record/plan/doubt'

/**
 * Asked when even a late cook would have gone on, by this factor and this many seconds more (estimates: rarely a
 * nuisance).
 */
const LATE = 0.95
const BEYOND = 1.25
const BEYOND_S = 60
/**
 * After something was marked, or the answer was no, it is not asked for this long, s, nor for this share of the stage.
 */
const QUIET_S = 120
const QUIET_SHARE = 0.3

/**
 * The one question of a cook that was left alone: a boundary that must have been crossed without being marked. It is
 * judged by the runs as the marks weigh them, the waiting itself left out.
 *
 * @param standing kept runs of a cook
 * @returns the question, or null where nothing needs to be asked
 */
export function openQuestion(standing: StoredRuns): OpenQuestion | null {
  const { plan, cook, program } = standing
  const { nowS } = program
  const line = mainLine(plan.dish)
  const stage = line[cook.stage]
  const began = cook.stageStarts[cook.stage]
  if (!stage || began === null || began === undefined || cook.finishedS !== null) return null
  const lastMark = Math.max(
    began,
    ...cook.moments.filter(one => !one.withdrawn && one.timeS <= nowS).map(one => one.timeS),
  )
  const answered = Math.max(
    0,
    ...[...cook.notYet, ...cook.checked].filter(one => one.timeS >= began).map(one => one.timeS),
  )
  const quietUntil = Math.max(
    lastMark + QUIET_S,
    answered > 0 ? answered + Math.max(QUIET_S, QUIET_SHARE * (answered - began)) : 0,
  )
  if (nowS < quietUntil) return null
  const sign = 'sign' in stage.until ? stage.until.sign : null
  const ends = sign === null ? minutesEnd(standing, began) : signEnd(standing, SIGNS.indexOf(sign))
  if (ends === null || nowS < began + BEYOND * (ends.late - began) + BEYOND_S) return null
  const tapped = cook.signs.find(tap => tap.what === sign && tap.timeS >= began)
  return { stage: line[cook.stage + 1]?.id ?? null, atS: Math.round(tapped ? tapped.timeS : ends.middle), sign }
}

interface Ends { readonly middle: number, readonly late: number }

function minutesEnd({ program, cook }: StoredRuns, began: number): Ends | null {
  const stage = itemAt(program.stages, cook.stage)
  const end = began + stage.seconds
  // Under a lid that is to open by itself, or before the seconds count, nothing can be said.
  return stage.underPressure && stage.pressureS === null ? null : { middle: end, late: end + 0.5 * stage.seconds }
}

function signEnd({ plan, cook, program, ensemble }: StoredRuns, sign: number): Ends | null {
  const { record, logCorrection } = ensemble
  const logs = logLikelihoods(plan, cook, program, record)
  const weights = normalisedWeights(
    logs.map((log, i) => log - waitingOf(cook, program, record, i) + (logCorrection?.[i] ?? 0)),
  )
  const times = columnOf(record.signs, SIGNS.length, sign)
  const ends = weightedQuantile(times.map(time => Math.min(time, program.mostS)), weights, [0.5, LATE])
  const [middle, late] = [itemAt(ends, 0), itemAt(ends, 1)]
  return late < program.mostS ? { middle, late } : null
}
