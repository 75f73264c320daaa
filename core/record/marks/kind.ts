import { z } from 'zod'
import { mainVessel } from '../../formulation/dish/mainVessel'
import type { CookPlan } from '../plan/plan'
import type { CookDraft } from './cookState'
import { Id } from './ids'

/** When a mark of a kind may be made: at the fire; from the fire on, however late; or before it as well. */
export type MarkSpan = 'fire' | 'from-fire' | 'any-time'

/**
 * What a mark of a kind asks for where its cook is settled already: a new run, a new telling of what was marked,
 * nothing.
 */
export type MarkSettles = 'run' | 'telling' | 'nothing'

/** How marks of a kind are taken. */
export interface MarkTraits {
  readonly span: MarkSpan
  readonly settles: MarkSettles
  /** Whether it says anything of what the pan does: only such marks are forecast by. */
  readonly ofPan: boolean
}

/** A mark with all that laying it over a cook needs. */
export interface MarkInHand {
  readonly plan: CookPlan
  readonly id: string
  /** s since the start of the cook. */
  readonly timeS: number
  /** The vessel it names; the one over the main fire where it names none. */
  readonly vessel: string
  /** True where it names its vessel itself. */
  readonly named: boolean
}

/** What any mark may carry beside its own: which vessel, how long ago, how it was known, by whom or what, and how. */
export const SharedPayload = z.object({
  vessel: Id.optional(),
  agoS: z.number().optional(),
  as: z.string().max(60).optional(),
  by: z.string().max(60).optional(),
  how: z.string().max(60).optional(),
})
export type SharedPayload = z.infer<typeof SharedPayload>

/** A kind of mark: what its payload is, how it is taken, and how it is laid over a cook. */
export interface MarkKindRow<P = unknown> extends MarkTraits {
  /** What its payload has to hold; what it holds beside that is kept as it is. */
  readonly schema: z.ZodType<P>
  /** What is taken of it anew, where more than that may stand in a log: the hearth refuses the rest. */
  readonly limits?: z.ZodType
  /** The list of the cook that it fills, or null where it changes the cook itself. */
  readonly list: string | null
  /** Lays it over the cook; false where this version cannot use it with this plan. */
  apply(cook: CookDraft & Record<string, unknown>, payload: P, mark: MarkInHand): boolean
}

/** A kind whose marks stand in a list of their own in the replayed cook. */
export interface ListedKind<N extends string, P, V> extends MarkKindRow<P> {
  readonly list: N
  /** Nothing at run time: the type of what the list holds. */
  readonly holds?: V
}

const AT_THE_FIRE: MarkTraits = { span: 'fire', settles: 'nothing', ofPan: true }

/**
 * A kind whose marks are listed, each with its moment.
 *
 * @param list name of the list in the replayed cook; several kinds may fill one
 * @param schema of its payload
 * @param value what is listed; undefined where this version cannot use it with this plan
 * @param traits how it is taken, where not as a mark at the fire is
 * @param whenS its moment, s since the start, where not the mark's own
 * @returns the row
 */
export function listed<N extends string, P, V>(
  list: N,
  schema: z.ZodType<P>,
  value: (payload: P, mark: MarkInHand) => V | undefined,
  traits: Partial<MarkTraits> = {},
  whenS?: (payload: P, timeS: number) => number,
): ListedKind<N, P, V> {
  return {
    ...AT_THE_FIRE,
    ...traits,
    list,
    schema,
    apply: (cook, payload, mark) => {
      const what = value(payload, mark)
      if (what === undefined) return false
      // Replay begins every list that a row names.
      const standing = cook[list] as { id: string, timeS: number, what: V }[]
      standing.push({ id: mark.id, timeS: whenS?.(payload, mark.timeS) ?? mark.timeS, what })
      return true
    },
  }
}

/**
 * A kind that changes the cook itself.
 *
 * @param schema of its payload
 * @param apply changes the cook; false where this version cannot use it with this plan
 * @param traits how it is taken, where not as a mark at the fire is
 * @returns the row
 */
export function changing<P>(
  schema: z.ZodType<P>,
  apply: (cook: CookDraft, payload: P, mark: MarkInHand) => boolean,
  traits: Partial<MarkTraits> = {},
): MarkKindRow<P> & { readonly list: null } {
  return { ...AT_THE_FIRE, ...traits, list: null, schema, apply }
}

/**
 * The mark in hand of a moment.
 *
 * @param plan the plan
 * @param id of the moment
 * @param payload of the moment
 * @param timeS s since the start
 * @returns with the vessel it means
 */
export function inHand(
  plan: CookPlan,
  id: string,
  payload: Readonly<Record<string, unknown>>,
  timeS: number,
): MarkInHand {
  const { vessel } = payload
  return typeof vessel === 'string'
    ? { plan, id, timeS, named: true, vessel }
    : { plan, id, timeS, named: false, vessel: mainVessel(plan.dish) }
}
