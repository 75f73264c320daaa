import { z } from 'zod'
import type { ToldEntry } from '../core/day/spread/calendarOf'
import { Id, Millis } from './ids'

const Subject = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('step'),
    activity: z.string().max(60),
    dish: z.string().max(60),
    hands: z.string().max(60).nullable(),
  }),
  z.strictObject({ kind: z.literal('meal'), name: z.string().max(60), dishes: z.array(z.string().max(60)).max(400) }),
  z.strictObject({
    kind: z.literal('promise'),
    what: z.string().max(120),
    whom: z.string().max(60),
    dish: z.string().max(60).nullable(),
  }),
])

/** Entries of a day's calendar as they were told last. */
export const ToldEntriesSchema = z.array(z.strictObject({
  entry: z.strictObject({ uid: z.string().max(300), fromMs: z.number(), toMs: z.number(), subject: Subject }),
  sequence: z.number().int().min(0), changedAt: Millis, gone: z.boolean(),
})) satisfies z.ZodType<ToldEntry[]>

/** An address of the calendar that was given out; its secret is told once. */
export const CalendarKeySchema = z.strictObject({
  id: Id,
  name: z.string().max(60),
  madeAt: Millis,
  readAt: Millis.nullable(),
})
export type CalendarKey = z.infer<typeof CalendarKeySchema>
export const CalendarKeysSchema = z.strictObject({ keys: z.array(CalendarKeySchema) })
export const NewCalendarKeySchema = z.strictObject({ name: z.string().trim().max(60).default('') })
/** The address below the hearth's own, to be told once. */
export const MadeCalendarKeySchema = z.strictObject({ key: CalendarKeySchema, path: z.string().max(200) })
