import { beliefColumns, MEMBER_NAMES, memberValues } from '../belief/memberValues'
import { usualMinutes } from '../dish/usualMinutes'
import { mainLine } from '../dish/mainLine'
import { compileProgram } from '../forecast/compileProgram'
import type { Program } from '../forecast/program'
import { ensembleRecord } from '../forecast/record'
import { simulate } from '../forecast/simulate'
import { guessFlames } from '../live/guessFlames'
import type { CookPlan } from '../live/plan'
import { replay } from '../live/replay'

/** Where the usual minutes stand against the physics at first, in log time: half and half. */
export const FIRST_WEIGHT = 0.5
/** The pace is never moved further than this by usual minutes. */
const SLOWEST = 0.45
const FASTEST = 2.2
const PROBE = 1.3

/**
 * Indices of the wet stages that end by a sign: those whose minutes the physics alone forecast no better than custom.
 *
 * @param program the cook
 * @returns indices into its stages
 */
export function wetStages(program: Pick<Program, 'stages'>): number[] {
  return program.stages.flatMap((stage, k) => (stage.wet && stage.sign !== null ? [k] : []))
}

/**
 * The pace of wet stages at which the physics, for the dish's usual amount on the marks it asks for, come part of the
 * way to the dish's usual minutes: blended in log time. Other amounts, pans and flames follow by the physics.
 *
 * @param plan the plan, with its belief
 * @param weight of the usual minutes, 0 to 1
 * @returns the pace, a factor on the power that reaches the wet mass; 1 where the dish has no wet stages
 */
export function blendedPace(plan: CookPlan, weight: number): number {
  const base = plan.amounts.find(one => one.id === plan.dish.base)
  if (!base || !(weight > 0)) return 1
  const scale = plan.dish.usual.baseG / base.massG
  const usualPlan: CookPlan = {
    ...plan,
    amounts: plan.amounts.map(one => ({ ...one, massG: one.massG * scale, ...(one.soakedG === undefined ? {} : { soakedG: one.soakedG * scale }) })),
    flames: guessFlames(plan.dish, plan.fires),
  }
  const program = compileProgram(usualPlan, replay(usualPlan, []), 0)
  const open = wetStages(program)
  const line = mainLine(plan.dish)
  const usualS = open.reduce((sum, k) => sum + 60 * usualMinutes(plan.dish, line[k]), 0)
  if (!(usualS > 0)) return 1
  const columns = beliefColumns(plan.belief)
  const spanS = (pace: number): number => wetSpanS(program, open, { ...memberValues(columns, new Float64Array(MEMBER_NAMES.length), 0), wetPace: pace })
  const plain = spanS(1)
  const faster = spanS(PROBE)
  const slope = Math.log(faster / plain) / Math.log(PROBE)
  if (!(slope < -0.05)) return 1
  return Math.min(FASTEST, Math.max(SLOWEST, Math.exp(weight * Math.log(usualS / plain) / slope)))
}

function wetSpanS(program: Program, open: readonly number[], member: Parameters<typeof simulate>[1]): number {
  const record = ensembleRecord(1, program.stages.length, program.queries.length, program.sides.length)
  simulate(program, member, record, 0)
  return open.reduce((sum, k) => {
    const end = k + 1 < record.stages ? record.starts[k + 1] : record.ends[0]
    return sum + Math.min(end, program.mostS) - Math.min(record.starts[k], program.mostS)
  }, 1)
}
