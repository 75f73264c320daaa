import { COLOUR_STEPS } from '../../formulation/signs/signIds'

/** What is waited for before a mark is taken: the start of the roast, its aroma, or a colour. */
export const TURN_CUES = ['start', 'aroma', ...COLOUR_STEPS] as const
export type TurnCue = (typeof TURN_CUES)[number]

/** One flame of a schedule: from a cue on, this mark, or `off`. */
export interface FlameTurn { readonly cue: TurnCue, readonly mark: string }
