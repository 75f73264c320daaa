import { z } from 'zod'
import { TURN_CUES, type FlameTurn } from '../core/record/plan/flameTurn'
import { Id } from './ids'

/** One flame of a roast: from a cue on, this mark of the fire, or `off`. */
export const FlameTurnSchema = z.strictObject({ cue: z.enum(TURN_CUES), mark: Id }) satisfies z.ZodType<FlameTurn>
