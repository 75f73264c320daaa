import { itemAt, numberAt } from '../../maths/table/itemAt'
import { constant } from '../../materials/constants/constants'
import { beliefColumns, MEMBER_NAMES, memberValues } from '../belief/memberValues'
import { usualMinutes } from '../../formulation/dish/usualMinutes'
import { mainLine } from '../../formulation/dish/mainLine'
import { compileProgram } from '../program/compileProgram'
import type { Program } from '../engine/program'
import { ensembleRecord } from '../engine/record'
import { simulate } from '../engine/simulate'
import { guessFlames } from '../../record/plan/guessFlames'
import type { CookPlan } from '../../record/plan/plan'
import { replay } from '../../record/replay/replay'

/** Where the usual minutes stand against the physics of wet stages at first, in log time: half and half. */
export const FIRST_WEIGHT = constant('firstBlend')
/**
 * Roasts the physics forecast better than custom does, if their structure is right: there the usual minutes count less
 * (estimate).
 */
export const ROAST_SHARE = constant('roastBlend')
/** The pace is never moved further than this by usual minutes. */
const SLOWEST = 0.45
const FASTEST = 2.2
const PROBE = 1.3

/** Which stages a pace belongs to. */
export type Paced = 'wetPace' | 'roastPace'

/**
 * Indices of the stages of a pace that end by a sign.
 *
 * @param program the cook
 * @param paced of wet stages or of roasts
 * @returns indices into its stages
 */
export function pacedStages(program: Pick<Program, 'stages'>, paced: Paced): number[] {
  return program.stages.flatMap((stage, k) =>
    (paced === 'wetPace' ? stage.wet : stage.roasts) && stage.sign !== null ? [k] : [],
  )
}

/**
 * The pace of wet stages, or of roasts, at which the physics, for the dish's usual amount on the marks it asks for,
 * come part of the way to the dish's usual minutes: blended in log time. Other amounts, pans and flames follow by the
 * physics.
 *
 * @param plan the plan, with its belief
 * @param paced which pace
 * @param weight of the usual minutes, 0 to 1
 * @returns the pace, a factor on the power that counts; 1 where the dish has no such stages
 */
export function blendedPace(plan: CookPlan, paced: Paced, weight: number): number {
  const base = plan.amounts.find(one => one.id === plan.dish.base)
  if (!base || !(weight > 0)) return 1
  const program = usualProgram(plan, plan.dish.usual.baseG / base.massG)
  const open = pacedStages(program, paced)
  const line = mainLine(plan.dish)
  const usualS = open.reduce((sum, k) => sum + 60 * usualMinutes(plan.dish, itemAt(line, k)), 0)
  if (!(usualS > 0)) return 1
  const middle = memberValues(beliefColumns(plan.belief), new Float64Array(MEMBER_NAMES.length), 0)
  const plain = spanS(program, open, { ...middle, [paced]: 1 })
  const faster = spanS(program, open, { ...middle, [paced]: PROBE })
  const slope = Math.log(faster / plain) / Math.log(PROBE)
  if (!(slope < -0.05)) return 1
  return Math.min(FASTEST, Math.max(SLOWEST, Math.exp(weight * Math.log(usualS / plain) / slope)))
}

/** The dish at its usual amount on the marks it asks for. */
function usualProgram(plan: CookPlan, scale: number): Program {
  const usualPlan: CookPlan = {
    ...plan,
    amounts: plan.amounts.map(one => ({
      ...one,
      massG: one.massG * scale,
      ...(one.soakedG === undefined ? {} : { soakedG: one.soakedG * scale }),
    })),
    flames: guessFlames(plan.dish, plan.fires),
  }
  return compileProgram(usualPlan, replay(usualPlan, []), 0)
}

/**
 * How long some stages take together in one member.
 *
 * @param program the cook
 * @param open indices of its stages
 * @param member uncertain numbers
 * @returns s; at least one
 */
export function spanS(program: Program, open: readonly number[], member: Parameters<typeof simulate>[1]): number {
  const record = ensembleRecord(1, program.stages.length, program.queries.length, program.sides.length)
  simulate(program, member, record, 0)
  return open.reduce((sum, k) => {
    const end = k + 1 < record.stages ? numberAt(record.starts, k + 1) : numberAt(record.ends, 0)
    return sum + Math.min(end, program.mostS) - Math.min(numberAt(record.starts, k), program.mostS)
  }, 1)
}
