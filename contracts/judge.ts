import { z } from 'zod'

const Share = z.number().min(0).max(1)
/** Widths over their middle, and shares held, by what was known: nothing, a boil check, with one tap, with two. */
const ByState = z.strictObject({
  none: z.number().min(0),
  boil: z.number().min(0),
  boilAroma: z.number().min(0),
  boilTwoTaps: z.number().min(0),
})
/**
 * Median absolute errors in log time: after a boil check, with nothing known, of the same minutes always, of minutes by
 * mass and flame.
 */
const Rivals = z.strictObject({
  ours: z.number().min(0),
  oursFirst: z.number().min(0),
  same: z.number().min(0),
  scaled: z.number().min(0),
})

/** What `judge --json` prints: the forecast held against imaginary cooks; see docs/model.md. */
export const JudgeReportSchema = z.strictObject({
  cooks: z.number().int().min(0),
  coverage: z.strictObject({
    own: Share, wrong: z.array(Share).min(3), byState: ByState, byFamily: z.record(z.string(), Share),
    worlds: z.array(z.strictObject({
      name: z.string(), held: Share,
      /** How much later the median roast ends than under the forecast's own laws, as a share. */
      roastMovedBy: z.number(),
      byState: ByState, width: ByState,
    })),
  }),
  /** Counted from the start of the stage in which the last reading was taken. */
  width: ByState,
  /** The same, but the end of the dish counted from the start of the cook. */
  widthFromCook: ByState,
  /** Widths of the finished weight, and shares held. */
  weight: z.strictObject({
    first: z.number().min(0),
    afterOne: z.number().min(0),
    heldFirst: Share,
    heldAfterOne: Share,
  }),
  rivals: z.strictObject({ roast: Rivals, wet: Rivals }),
  flamePlan: z.strictObject({
    reached: Share,
    fixedMark: Share,
    burnt: Share,
    burntFixed: Share,
    roasts: z.number().int().min(0),
    met: Share,
    reachedWhereMet: Share,
  }),
  /** Largest errors of the boiling point, K, to 80 % and at 90.8 % sucrose, and of the water activity at 25 °C. */
  syrup: z.strictObject({
    maxErrorK: z.number().min(0),
    errorAt908K: z.number().min(0),
    maxErrorAw: z.number().min(0),
  }),
})
export type JudgeReport = z.infer<typeof JudgeReportSchema>
