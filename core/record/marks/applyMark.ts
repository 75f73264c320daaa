import type { CookPlan } from '../plan/plan'
import type { CookDraft } from './cookState'
import { inHand } from './kind'
import { isMarkKind, MARK_KINDS } from './kinds'
import type { Moment } from './moment'

/**
 * Lays one moment over a cook.
 *
 * @param cook the cook so far with every list that a kind fills, changed in place
 * @param plan its plan
 * @param moment what was marked
 * @param timeS when, s since the start
 * @returns false where this version does not know the kind or cannot use the payload: it is then shown as unknown
 */
export function applyMark(
  cook: CookDraft & Record<string, unknown>,
  plan: CookPlan,
  { id, kind, payload }: Moment,
  timeS: number,
): boolean {
  if (!isMarkKind(kind)) return false
  const row = MARK_KINDS[kind]
  const read = row.schema.safeParse(payload)
  return read.success && row.apply(cook, read.data, inHand(plan, id, payload, timeS))
}
