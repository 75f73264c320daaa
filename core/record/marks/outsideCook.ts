import { AFTER_KINDS } from './afterFire'
import { CLOCKS_DIFFER_S } from './isAhead'

/** A pan is on the fire no longer than this after its start, s; what is marked beyond it is of another day (assumption: the longest reductions of the craft take some five hours). */
export const MOST_COOK_S = 24 * 3600
/** A batch is written about for so long after its start, s. */
const MOST_AFTER_S = 400 * 24 * 3600
/** Soaking and other steps before the fire begin so much before it, s. */
const MOST_BEFORE_S = 72 * 3600

/** Kinds that may come when the fire is long out, and those that may come before it. */
const AFTERWARDS = new Set<string>([...AFTER_KINDS, 'cook.finished', 'outcome', 'note', 'step.done', 'off.fire'])
const BEFORE = new Set<string>(['note', 'step.done'])

/** A moment as far as its time goes. */
export interface MomentTime {
  readonly kind: string
  readonly atMs: number
  /** True where it had not come when the hearth heard of it. */
  readonly ahead: boolean
}

/**
 * Whether the time of a moment lies outside of what can be of its cook: long before the fire, after the longest cook, or in
 * the future of when it was heard of. It is kept, and passed over with a word.
 *
 * @param moment with its time, ms
 * @param startedMs start of the cook, ms; null before it
 * @returns true where it is passed over
 */
export function isOutsideCook({ kind, atMs, ahead }: MomentTime, startedMs: number | null): boolean {
  if (!Number.isFinite(atMs) || ahead) return true
  if (startedMs === null) return false
  const timeS = (atMs - startedMs) / 1000
  const before = BEFORE.has(kind) ? MOST_BEFORE_S : CLOCKS_DIFFER_S
  return timeS < -before || timeS > (AFTERWARDS.has(kind) ? MOST_AFTER_S : MOST_COOK_S)
}
