import { z } from 'zod'
import { LEAST_CUT_MM, MOST_CUT_MM } from '../../formulation/tray/cut'
import { GIVEN_TO, LIKED_FOR, LIKINGS, type LikedFor } from './afterFire'
import { Id } from './ids'
import { changing, type MarkTraits } from './kind'
import { PLACES } from './place'

const Mm = (least: number, most: number) => z.number().min(least).max(most)
const TraySchema = z.object({
  name: z
    .string()
    .catch('')
    .transform(name => name.slice(0, 60)),
  shape: z.enum(['round', 'rectangle']),
  widthMm: Mm(50, 1000),
  lengthMm: Mm(50, 1000),
  depthMm: Mm(5, 200),
})
const CutSchema = z.object({
  firstMm: Mm(LEAST_CUT_MM, MOST_CUT_MM),
  secondMm: Mm(LEAST_CUT_MM, MOST_CUT_MM),
  turnDeg: z.number().min(-90).max(90),
  slantDeg: z.number().min(20).max(160),
})
const ShapingSchema = z.discriminatedUnion('way', [
  z.object({ way: z.literal('tray'), tray: TraySchema, cut: CutSchema }),
  z.object({ way: z.literal('balls'), eachG: z.number().min(3).max(500) }),
  z.object({ way: z.literal('bowls'), bowlMl: z.number().min(20).max(5000) }),
])
const Likings = z.enum(LIKINGS).optional()
/** Less than this is nothing given, g. */
const LEAST_GIVEN_G = 0.1

/** What happens to a batch may be marked for a year; it says nothing of the pan. */
const AFTERWARDS: MarkTraits = { span: 'from-fire', settles: 'telling', ofPan: false }

/** Every kind of mark that says what happened to a batch after the fire. A new kind is a row here, and its words. */
export const AFTER_THE_FIRE = {
  'shaped': changing(ShapingSchema, ({ after }, what, { id, timeS }) => {
    after.shaped = { id, timeS, what }
    return true
  }, AFTERWARDS),
  'put.away': changing(
    z.object({ place: z.enum(PLACES), inTime: z.boolean().optional() }),
    ({ after }, { place, inTime }, { id, timeS }) => {
      after.places.push({ id, timeS, what: place, ...(inTime === true ? { inTime } : {}) })
      return true
    },
    AFTERWARDS,
  ),
  'given.out': changing(
    z.object({ massG: z.number().min(0).max(100_000), to: z.enum(GIVEN_TO) }),
    ({ after }, what, { id, timeS }) => {
      if (what.massG < LEAST_GIVEN_G) return false
      after.givenOut.push({ id, timeS, what })
      return true
    },
    AFTERWARDS,
  ),
  'gone': changing(z.object({}), ({ after }, _, { timeS }) => {
    after.goneS = timeS
    return true
  }, AFTERWARDS),
  'liked': changing(
    z.object({ sweetness: Likings, softness: Likings, richness: Likings } satisfies Record<LikedFor, z.ZodType>),
    ({ after }, said) => {
      const told = LIKED_FOR.flatMap(of => (said[of] ? [[of, said[of]] as const] : []))
      after.liked = { ...after.liked, ...Object.fromEntries(told) }
      return told.length > 0
    },
    AFTERWARDS,
  ),
  'dish.changed': changing(
    z.object({ dish: Id, version: z.number().int(), fault: z.string().max(60), cause: z.string().max(60) }),
    ({ after }, what, { id, timeS }) => {
      after.changed.push({ id, timeS, what })
      return true
    },
    AFTERWARDS,
  ),
}
