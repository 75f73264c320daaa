import { stageOf } from '../../formulation/dish/stageOf'
import { itemAt } from '../../maths/table/itemAt'
import { beliefColumns, MEMBER_NAMES, memberValues, type MemberValues } from '../belief/memberValues'
import type { Stage } from '../../formulation/dish/dish'
import { mainLine } from '../../formulation/dish/mainLine'
import { sideStages } from '../../formulation/dish/sideStages'
import { compileProgram } from '../program/compileProgram'
import type { Program } from '../engine/program'
import { ensembleRecord } from '../engine/record'
import { startRun } from '../engine/run'
import { lightSide, stepSide } from '../engine/sideVessels'
import { simulate } from '../engine/simulate'
import type { Trace, TracePoint } from '../engine/trace'
import type { CookPlan } from '../../record/plan/plan'
import { replay } from '../../record/replay/replay'
import { smokePointC, tooHot } from './heatLimits'
import type { HeatCaution } from '../../formulation/dish/stageCodes'

/** A vessel beside is looked at this often and for so long, s. */
const STEP_S = 6
const BESIDE_S = 1800

type Found = Map<string, Set<HeatCaution>>

/**
 * A plan in which no stage is forecast to come near smoke, scorching or a dry pan without saying so: it carries the
 * caution, and its flame is a mark lower for as long as that helps. A flame that somebody chose stays, with the
 * caution.
 *
 * @param plan with its belief, fires and flames
 * @param chosen flame marks that somebody chose, by stage id
 * @returns the plan, its flames and the cautions of its stages put right
 */
export function guardHeat(plan: CookPlan, chosen: Readonly<Record<string, string>> = {}): CookPlan {
  const all: Found = new Map()
  let guarded = plan
  for (;;) {
    const found = hotStages(guarded)
    for (const [stage, codes] of found) all.set(stage, new Set([...all.get(stage) ?? [], ...codes]))
    const lower = Object.fromEntries([...found.keys()].flatMap((id) => {
      const mark = id in chosen ? undefined : lowerMark(guarded, id)
      return mark === undefined ? [] : [[id, mark]]
    }))
    if (Object.keys(lower).length === 0) break
    guarded = { ...guarded, flames: { ...guarded.flames, ...lower } }
  }
  if (all.size === 0) return guarded
  const cautioned = (stage: Stage): Stage => {
    const codes = all.get(stage.id)
    return codes ? { ...stage, cautions: [...new Set([...stage.cautions ?? [], ...codes])] } : stage
  }
  return { ...guarded, dish: { ...guarded.dish, stages: guarded.dish.stages.map(cautioned) } }
}

function lowerMark(plan: CookPlan, id: string): string | undefined {
  const stage = stageOf(plan.dish, id)
  const marks = plan.fires[stage.vessel]?.marks ?? []
  const at = marks.findIndex(mark => mark.id === plan.flames[id])
  return at > 0 ? itemAt(marks, at - 1).id : undefined
}

/**
 * Stages of a plan that come too near to what fat, sugar or pan bear, by the middle of its belief.
 *
 * @param plan with its belief, fires and flames
 * @returns cautions by stage id, of the main line and of what is heated beside it
 */
export function hotStages(plan: CookPlan): Found {
  const { program, member, points } = middleRun(plan)
  const smokeC = smokePointC(plan)
  const coated = (stage: Stage): boolean => plan.vessels[stage.vessel]?.coated ?? false
  const found: Found = new Map()
  const note = (stage: Stage, codes: readonly HeatCaution[]): void => {
    if (codes.length > 0) found.set(stage.id, new Set([...found.get(stage.id) ?? [], ...codes]))
  }
  const line = mainLine(plan.dish)
  for (const { stage, state } of points)
    if (stage < line.length) note(itemAt(line, stage), tooHot(state, smokeC, coated(itemAt(line, stage))))
  sideStages(plan.dish).forEach((stage, side) => {
    const run = startRun(program, member)
    const vessel = itemAt(run.beside, side)
    lightSide(run, vessel)
    for (let timeS = 0; timeS < BESIDE_S && !vessel.ready; timeS += STEP_S) {
      stepSide(run, vessel, STEP_S)
      note(stage, tooHot(vessel.state, smokeC, coated(stage)))
    }
  })
  return found
}

/**
 * The middle of a plan's belief, run once from the start to the end.
 *
 * @param plan with its belief, fires and flames
 * @returns every step of it, and what was run
 */
export function middleRun(plan: CookPlan): {
  readonly program: Program
  readonly member: MemberValues
  readonly points: readonly TracePoint[]
} {
  const program = compileProgram(plan, replay(plan, []), 0)
  const member = memberValues(beliefColumns(plan.belief), new Float64Array(MEMBER_NAMES.length), 0)
  const trace: Trace = { everyS: 0, points: [] }
  simulate(
    program,
    member,
    ensembleRecord(1, program.stages.length, program.queries.length, program.sides.length),
    0,
    trace,
  )
  return { program, member, points: trace.points }
}
