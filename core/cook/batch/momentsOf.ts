import { AFTER_KINDS } from '../../record/marks/afterFire'
import type { LiveCook } from '../../record/marks/liveCook'
import type { CookPlan } from '../../record/plan/plan'
import type { BatchSummary } from './summary'

/** What happens after the fire is no moment of the cook. */
const AFTER = new Set<string>(AFTER_KINDS)
const MOST_TEXT = 200
const MOST_MOMENTS = 400

/**
 * The moments that a batch keeps: what was marked and understood, in the order of the cook, the first four hundred.
 *
 * @param plan its plan
 * @param cook replayed
 * @returns kind, what it names, and when, s since the start
 */
export function momentsOf(plan: CookPlan, cook: LiveCook): BatchSummary['moments'] {
  const notedAt = new Map(cook.notes.map(one => [one.id, one.timeS]))
  return cook.moments.filter(moment => moment.known && !moment.withdrawn && !AFTER.has(moment.kind)).map(moment => ({
    kind: moment.kind,
    what: named(moment).slice(0, MOST_TEXT),
    timeS: notedAt.get(moment.id) ?? moment.timeS,
  })).sort((p, q) => p.timeS - q.timeS).slice(0, MOST_MOMENTS)
}

/** What a moment names first that can be written; a payload may carry anything. */
function named({ kind, payload }: LiveCook['moments'][number]): string {
  const { stage, sign, step, mark, grossG, vessel } = payload
  const said = [stage, sign, step, mark, grossG, vessel, kind === 'note' ? payload.text : undefined]
  return `${said.find((one): one is string | number => typeof one === 'string' || typeof one === 'number') ?? ''}`
}
