import { mainLine } from '../../formulation/dish/mainLine'
import { NOTHING_AFTER } from '../marks/afterFire'
import { applyMark } from '../marks/applyMark'
import type { CookDraft, LiveCook } from '../marks/liveCook'
import type { Observation } from '../marks/observation'
import { KNOWN_KINDS } from '../marks/kinds'
import { orderObservations } from '../marks/orderObservations'
import { isOutsideCook } from '../marks/outsideCook'
import type { CookPlan } from '../plan/plan'
import { resolveCorrections } from '../marks/resolveCorrections'

const isKnown = (kind: string): boolean => (KNOWN_KINDS as readonly string[]).includes(kind)

/**
 * Replays a cook. Pure: the same plan and observations always give the same cook, in whatever order they arrived.
 *
 * @param plan the plan of the cook
 * @param observations all of its observations, acknowledged or not
 * @returns the cook as it stands
 */
export function replay(plan: CookPlan, observations: readonly Observation[]): LiveCook {
  const moments = resolveCorrections(orderObservations(observations))
  const started = moments.find(moment => moment.kind === 'cook.started' && !moment.withdrawn && !isOutsideCook(moment, null))
  const line = mainLine(plan.dish)
  const cook: CookDraft = {
    startedMs: started?.atMs ?? null, fromMemory: started?.payload.from === 'memory', moments: [], stage: started ? 0 : -1,
    stageStarts: line.map((_, i) => (started && i === 0 ? 0 : null)),
    signs: [], looks: [], controls: [], lit: {}, ready: {}, weighings: [], temperatures: [], depths: [], uptakes: [], releases: [], changes: [],
    forgotten: [], keptBack: [], restPoured: [], unstirred: [], slips: [], notYet: [], perceived: [], checked: [], unsure: [], steps: {}, notes: [],
    offFireS: null, finishedS: null, outcome: null,
    after: { ...NOTHING_AFTER, places: [], givenOut: [], changed: [] },
  }
  for (const moment of moments) {
    const timeS = started && Number.isFinite(moment.atMs) ? Math.max(0, (moment.atMs - started.atMs) / 1000) : 0
    const outside = isOutsideCook(moment, started?.atMs ?? null)
    cook.moments.push({ ...moment, timeS, outside, known: isKnown(moment.kind) && !outside && (moment.withdrawn || applyMark(cook, plan, moment, timeS)) })
  }
  return cook
}
