import { mainLine } from '../../formulation/dish/mainLine'
import { NOTHING_AFTER } from '../marks/afterFire'
import { applyMark } from '../marks/applyMark'
import type { CookDraft } from '../marks/cookState'
import { isMarkKind, MARK_KINDS, type ListedMarks } from '../marks/kinds'
import type { LiveCook } from '../marks/liveCook'
import type { Observation } from '../marks/observation'
import { orderObservations } from '../marks/orderObservations'
import { isOutsideCook } from '../marks/outsideCook'
import type { CookPlan } from '../plan/plan'
import { resolveCorrections } from '../marks/resolveCorrections'

const LISTS = [...new Set(Object.values(MARK_KINDS).flatMap(row => row.list ?? []))]
/** Every list that a kind fills, with nothing in it: their names are the rows' own. */
const emptyLists = (): ListedMarks => Object.fromEntries(LISTS.map(list => [list, []])) as unknown as ListedMarks

/**
 * Replays a cook. Pure: the same plan and observations always give the same cook, in whatever order they arrived.
 *
 * @param plan the plan of the cook
 * @param observations all of its observations, acknowledged or not
 * @returns the cook as it stands
 */
export function replay(plan: CookPlan, observations: readonly Observation[]): LiveCook {
  const moments = resolveCorrections(orderObservations(observations))
  const started = moments.find(
    moment => moment.kind === 'cook.started' && !moment.withdrawn && !isOutsideCook(moment, null),
  )
  const line = mainLine(plan.dish)
  const draft: CookDraft = {
    startedMs: started?.atMs ?? null,
    fromMemory: started?.payload.from === 'memory',
    moments: [],
    stage: started ? 0 : -1,
    stageStarts: line.map((_, i) => (started && i === 0 ? 0 : null)),
    signs: [],
    lit: {},
    ready: {},
    steps: {},
    offFireS: null,
    finishedS: null,
    outcome: null,
    after: { ...NOTHING_AFTER, places: [], givenOut: [], changed: [] },
  }
  const cook = { ...draft, ...emptyLists() }
  for (const moment of moments) {
    const timeS = started && Number.isFinite(moment.atMs) ? Math.max(0, (moment.atMs - started.atMs) / 1000) : 0
    const outside = isOutsideCook(moment, started?.atMs ?? null)
    cook.moments.push({
      ...moment,
      timeS,
      outside,
      known: isMarkKind(moment.kind) && !outside && (moment.withdrawn || applyMark(cook, plan, moment, timeS)),
    })
  }
  return cook
}
