import { CLOCKS_DIFFER_S } from './isAhead'
import { isMarkKind, MARK_KINDS } from './kinds'

/**
 * A pan is on the fire no longer than this after its start, s; what is marked beyond it is of another day (assumption:
 * the longest reductions of the craft take some five hours).
 */
export const MOST_COOK_S = 24 * 3600
/** A batch is written about for so long after its start, s. */
const MOST_AFTER_S = 400 * 24 * 3600
/** Soaking and other steps before the fire begin so much before it, s. */
const MOST_BEFORE_S = 72 * 3600

/** A moment as far as its time goes. */
export interface MomentTime {
  readonly kind: string
  readonly atMs: number
  /** True where it had not come when the hearth heard of it. */
  readonly ahead: boolean
}

/**
 * Whether the time of a moment lies outside of what can be of its cook: long before the fire, after the longest cook,
 * or in the future of when it was heard of. It is kept, and passed over with a word.
 *
 * @param moment with its time, ms
 * @param startedMs start of the cook, ms; null before it
 * @returns true where it is passed over
 */
export function isOutsideCook({ kind, atMs, ahead }: MomentTime, startedMs: number | null): boolean {
  if (!Number.isFinite(atMs) || ahead) return true
  if (startedMs === null) return false
  const timeS = (atMs - startedMs) / 1000
  const span = isMarkKind(kind) ? MARK_KINDS[kind].span : 'fire'
  const before = span === 'any-time' ? MOST_BEFORE_S : CLOCKS_DIFFER_S
  return timeS < -before || timeS > (span === 'fire' ? MOST_COOK_S : MOST_AFTER_S)
}
