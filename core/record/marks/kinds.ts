import { keysOf } from '../../records'
import { z } from 'zod'
import { Id } from './ids'
import { changing, type MarkKindRow, type SharedPayload } from './kind'
import { AFTER_THE_FIRE } from './kindsAfter'
import { AT_THE_FIRE } from './kindsAtFire'
import type { Marked } from './marked'

/** Kinds that change other marks; they are worked in before anything is laid over a cook. */
const OF_MARKS = {
  'corrected': changing(
    z.object({
      replaces: Id,
      kind: z.string().max(64).optional(),
      payload: z.looseObject({}).optional(),
      shiftS: z.number().optional(),
    }),
    () => false,
    { span: 'any-time', settles: 'run' },
  ),
  'withdrawn': changing(z.object({ replaces: Id }), () => false, { span: 'any-time', settles: 'run' }),
}

const ALL = { ...AT_THE_FIRE, ...AFTER_THE_FIRE, ...OF_MARKS }
type All = typeof ALL

/** A kind of mark that this version acts on. */
export type MarkKind = keyof All

/** Every kind of mark this version acts on: what it holds, what it does to the cook, and how it is taken. */
export const MARK_KINDS: Readonly<Record<MarkKind, MarkKindRow>> = ALL

/** The names of all kinds. */
export const MARK_KIND_IDS: readonly MarkKind[] = keysOf(ALL)

/** What a mark of a kind holds beside what any may hold. */
export type PayloadOf<K extends MarkKind> = z.infer<All[K]['schema']>

/** The lists of a replayed cook by their names, each mark with its moment. */
export type ListedMarks = {
  readonly [N in All[MarkKind]['list'] & string]: readonly Marked<
    ValueOf<Extract<All[MarkKind], { readonly list: N }>>
  >[]
}
type ValueOf<R> = R extends { readonly holds?: infer V } ? Exclude<V, undefined> : never

/**
 * Whether a kind is known to this version.
 *
 * @param kind any string
 * @returns true where it is
 */
export function isMarkKind(kind: string): kind is MarkKind {
  return Object.hasOwn(ALL, kind)
}

/** A mark as it is made: its kind with what such a mark holds. */
export type MarkOf<K extends MarkKind> = { readonly kind: K, readonly payload: Readonly<PayloadOf<K> & SharedPayload> }

/** A mark of any kind. */
export type AnyMark = { [K in MarkKind]: MarkOf<K> }[MarkKind]
