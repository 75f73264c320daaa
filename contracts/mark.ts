import { z } from 'zod'
import { GIVEN_TO, LIKINGS } from '../core/record/marks/afterFire'
import { SLIPS, UPTAKE_PACES } from '../core/record/marks/liveCook'
import { KNOWN_KINDS, type KnownKind } from '../core/record/marks/kinds'
import { PLACES } from '../core/record/marks/place'
import { COLOUR_STEPS, SIGN_IDS } from '../core/formulation/signs/signIds'
import { Id } from './ids'

/** Longest line of an outcome, and text of a note, characters. */
export const MOST_LINE_TEXT = 400
export const MOST_NOTE_TEXT = 2000

/** A note at a moment of a cook, as it is typed in the ledger: a line, and where it stands, s from the lighting. */
export const NoteAtSchema = z.strictObject({ text: z.string().trim().min(1).max(200), atS: z.number().min(0).max(86_400) })

/** What any mark may carry beside its own: how it was known, by what, how long ago. Newer fields are kept as they are. */
const of = <S extends z.ZodRawShape>(shape: S) => z.looseObject({ vessel: Id.optional(), agoS: z.number().optional(), ...shape })
const Seconds = z.number().min(0).max(1e7)
const Grams = z.number().min(0).max(100_000)
const Adds = z.array(z.looseObject({ ingredient: Id, massG: Grams })).max(30)

/** The payload of each kind that this version acts on; `docs/formats.md` tells what they mean. */
const PAYLOADS: Readonly<Record<KnownKind, z.ZodType>> = {
  'cook.started': of({ from: z.string().max(20).optional() }),
  'cook.finished': of({ by: z.string().max(40).optional() }),
  'stage.began': of({ stage: Id }),
  'sign.seen': of({ sign: z.enum(SIGN_IDS) }),
  'looks.like': of({ step: z.enum(COLOUR_STEPS) }),
  'flame.changed': of({ mark: Id }),
  'lid.changed': of({ lid: z.boolean() }),
  'vessel.lit': of({}), 'off.fire': of({}), 'release.heard': of({}), 'gone': of({}),
  'weighed': of({ grossG: Grams }),
  'temperature': of({ tempC: z.number().min(-50).max(1000) }),
  'depth.measured': of({ depthMm: z.number().min(0).max(500) }),
  'uptake.seen': of({ pace: z.enum(UPTAKE_PACES) }),
  'added': of({ adds: Adds.optional(), liftsFatG: Grams.optional() }),
  'repaired': of({ fault: z.string().max(60), way: z.string().max(60), adds: Adds.optional(), liftsFatG: Grams.optional() }),
  'forgotten': of({ ingredient: Id }),
  'kept.back': of({ share: z.number().min(0).max(1) }),
  'rest.poured': of({ vessel: Id }),
  'unstirred': of({ seconds: Seconds }),
  'slip': of({ what: z.enum(SLIPS) }),
  'not.yet': of({ sign: z.enum(SIGN_IDS) }),
  'perceived': of({ as: z.string().max(60) }),
  'checked': of({ what: z.string().max(60) }),
  'reading.unsure': of({ readG: z.number() }),
  'step.done': of({ stage: Id }),
  'note': of({ text: z.string().max(MOST_NOTE_TEXT).optional(), atS: z.number().optional() }),
  'outcome': of({ faults: z.array(z.string().max(40)).max(20).optional(), line: z.string().max(MOST_LINE_TEXT).optional() }),
  'shaped': of({ way: z.enum(['tray', 'balls', 'bowls']) }),
  'put.away': of({ place: z.enum(PLACES), inTime: z.boolean().optional() }),
  'given.out': of({ massG: Grams, to: z.enum(GIVEN_TO) }),
  'liked': of({ sweetness: z.enum(LIKINGS).optional(), softness: z.enum(LIKINGS).optional(), richness: z.enum(LIKINGS).optional() }),
  'dish.changed': of({ dish: Id, version: z.number().int(), fault: z.string().max(60), cause: z.string().max(60) }),
  'corrected': of({ replaces: Id, kind: z.string().max(64).optional(), payload: z.looseObject({}).optional(), shiftS: z.number().optional() }),
  'withdrawn': of({ replaces: Id }),
}

/**
 * What is wrong with the payload of a kind that is known here. One of a newer version stays as it is.
 *
 * @param kind of the mark
 * @param payload of the mark
 * @returns path and message of the first field at fault; null where nothing is
 */
export function payloadFault(kind: string, payload: unknown): { readonly path: string, readonly message: string } | null {
  const schema = (KNOWN_KINDS as readonly string[]).includes(kind) ? PAYLOADS[kind as KnownKind] : null
  const issue = schema?.safeParse(payload).error?.issues[0]
  return issue ? { path: ['payload', ...issue.path].join('.'), message: issue.message.slice(0, 200) } : null
}
