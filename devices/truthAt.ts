import type { MemberValues } from '../core/process/belief/memberValues'
import type { Lab } from '../core/materials/colour/lab'
import { appearance } from '../core/process/forecast/appearance'
import { compileProgram } from '../core/process/program/compileProgram'
import { ensembleRecord } from '../core/process/engine/record'
import { simulate } from '../core/process/engine/simulate'
import type { TracePoint } from '../core/process/engine/trace'
import type { Observation } from '../core/record/marks/observation'
import type { CookPlan } from '../core/record/plan/plan'
import { replay } from '../core/record/replay/replay'

/** What really is in a pan at a moment. */
export interface Truth { readonly contentG: number, readonly tempC: number, readonly colour: Lab }

/**
 * What really is in the pan of an imaginary cook now, given what was done so far.
 *
 * @param plan the plan
 * @param member hidden truths, from `drawTruth`
 * @param observations what was done
 * @param nowS how far the cook is, s
 * @returns weight, temperature and colour; null before the start
 */
export function truthAt(
  plan: CookPlan,
  member: MemberValues,
  observations: readonly Observation[],
  nowS: number,
): Truth | null {
  const cook = replay(plan, observations)
  if (cook.startedMs === null) return null
  const program = compileProgram(plan, cook, nowS)
  const points: TracePoint[] = []
  simulate(program, member, ensembleRecord(1, program.stages.length, program.queries.length, program.sides.length), 0, {
    everyS: 0,
    points,
  })
  const here = points.filter(point => point.timeS <= nowS).at(-1)
  return here ? { contentG: here.contentG, tempC: here.tempC, colour: appearance(program, here) } : null
}
