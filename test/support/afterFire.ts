import { standing, type Standing } from '../../core/cook/after/standing'
import { mainLine } from '../../core/formulation/dish/mainLine'
import type { LiveCook } from '../../core/record/marks/liveCook'
import type { Observation } from '../../core/record/marks/observation'
import type { CookPlan } from '../../core/record/plan/plan'
import { replay } from '../../core/record/replay/replay'
import { marked, rowOf } from './plans'

/** What was marked after the fire: at a second since the fire was lit, a kind, and what. */
export type AfterMarks = readonly (readonly [timeS: number, kind: string, payload?: Record<string, unknown>])[]

/** A cook that went through every stage a minute at a time, and what came after it. */
export function cookedThrough(plan: CookPlan, after: AfterMarks = []): Observation[] {
  const line = mainLine(plan.dish)
  const story: Observation[] = [
    marked(1, 0, 'cook.started'),
    ...line.slice(1).map((stage, k) => marked(k + 2, 60 * (k + 1), 'stage.began', { stage: stage.id })),
    marked(50, 60 * line.length, 'cook.finished'),
  ]
  return [...story, ...after.map(([timeS, kind, payload], i) => marked(60 + i, timeS, kind, payload))]
}

/** The same, replayed. */
export const cookThrough = (plan: CookPlan, after: AfterMarks = []): LiveCook =>
  replay(plan, cookedThrough(plan, after))

/** How such a batch of a weight stands, g. */
export const standingOf = (plan: CookPlan, finishedG: number, after: AfterMarks = []): Standing =>
  standing(plan, cookThrough(plan, after), finishedG, id => rowOf(id)?.kind)
