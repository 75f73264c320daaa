import { AFTER_THE_FIRE } from '../../record/marks/kindsAfter'
import type { LiveCook } from '../../record/marks/liveCook'
import type { CookPlan } from '../../record/plan/plan'
import type { BatchSummary } from './summary'

const MOST_TEXT = 200
const MOST_MOMENTS = 400

/**
 * The moments that a batch keeps: what was marked and understood, up to the end of the fire, in the order of the cook,
 * the first four hundred.
 *
 * @param plan its plan
 * @param cook replayed
 * @returns kind, what it names, and when, s since the start
 */
export function momentsOf(plan: CookPlan, cook: LiveCook): BatchSummary['moments'] {
  const notedAt = new Map(cook.notes.map(one => [one.id, one.timeS]))
  return cook.moments
    .filter(moment => moment.known && !moment.withdrawn && !Object.hasOwn(AFTER_THE_FIRE, moment.kind))
    .map(moment => ({
      kind: moment.kind,
      what: named(moment).slice(0, MOST_TEXT),
      timeS: notedAt.get(moment.id) ?? moment.timeS,
    }))
    .sort((p, q) => p.timeS - q.timeS)
    .slice(0, MOST_MOMENTS)
}

/** What a moment names first that can be written; a payload may carry anything. */
function named({ kind, payload }: LiveCook['moments'][number]): string {
  const { stage, sign, step, mark, grossG, vessel } = payload
  const said = [stage, sign, step, mark, grossG, vessel, kind === 'note' ? payload.text : undefined]
  return `${said.find((one): one is string | number => typeof one === 'string' || typeof one === 'number') ?? ''}`
}
