import { z } from 'zod'
import type { BoilCheck } from '../core/process/boil/boilCheck'
import type { BoilReading } from '../core/process/boil/readBoilCheck'
import type { Evidence } from '../core/materials/belief/reading'
import type { CookPlan } from '../core/record/plan/plan'
import type { Observation } from '../core/record/marks/observation'
import { FAMILY_IDS, type FamilyId } from '../core/formulation/family/family'
import { BoilCheckSchema, LearnQuestionSchema } from './heart'
import { Id, Millis, Name } from './ids'

/** One reading of one lasting number, as it is kept; see docs/model.md. */
export const EvidenceSchema = z.object({
  name: z.string().max(120), of: z.string().max(40), value: z.number(), variance: z.number().min(0), batch: Id,
  ladder: z.number().optional(), when: Millis.optional(),
}) satisfies z.ZodType<Evidence>

/** Something the household has taught its hearth beside its batches. Kept under its own id; it can be taken back. */
export const LessonSchema = z.discriminatedUnion('kind', [
  /** A boil check. */
  z.strictObject({
    kind: z.literal('boil-check'),
    id: Id,
    at: Millis,
    pan: Name,
    fire: Name,
    mark: Name,
    check: BoilCheckSchema,
  }),
  /** A batch entered from memory: its plan, and when what began and ended. */
  z.strictObject({ kind: z.literal('remembered'), id: Id, at: Millis, dish: Name, cook: LearnQuestionSchema }),
  /** A batch or lesson is no longer to be learned from. */
  z.strictObject({ kind: z.literal('forgotten'), id: Id, at: Millis, source: Id }),
  /** A burner was cleaned or replaced; another bag of flour was opened. Older readings of it count less. */
  z.strictObject({ kind: z.literal('changed'), id: Id, at: Millis, fire: Id }),
  z.strictObject({ kind: z.literal('new-bag'), id: Id, at: Millis, family: z.enum(FAMILY_IDS) }),
])
interface Taught { readonly id: string, readonly at: number }
export type Lesson = Taught
  & (
    | {
        readonly kind: 'boil-check'
        readonly pan: string
        readonly fire: string
        readonly mark: string
        readonly check: BoilCheck
      }
    | {
        readonly kind: 'remembered'
        readonly dish: string
        readonly cook: { readonly plan: CookPlan, readonly observations: readonly Observation[] }
      }
    | { readonly kind: 'forgotten', readonly source: string }
    | { readonly kind: 'changed', readonly fire: string }
    | { readonly kind: 'new-bag', readonly family: FamilyId }
  )

const WindowSchema = z.strictObject({ early: z.number(), middle: z.number(), late: z.number() })
/** What a boil check says, as it is answered and kept. */
export const BoilReadingSchema = z.object({
  powerW: WindowSchema,
  factor: WindowSchema,
  lossW: WindowSchema,
  boilingC: z.number(),
  thermometer: z.strictObject({ errorK: z.number(), altitudeM: z.number() }).nullable(),
  evidence: z.array(EvidenceSchema),
}) satisfies z.ZodType<BoilReading>

/** A lesson with what it says. */
export const LessonAnswerSchema = z.strictObject({
  lesson: LessonSchema,
  reading: BoilReadingSchema.nullable(),
  evidence: z.array(EvidenceSchema),
})
export interface LessonAnswer {
  readonly lesson: Lesson
  readonly reading: BoilReading | null
  readonly evidence: readonly Evidence[]
}

/** Where readings come from: the newest batches and the lessons. */
export const EvidenceSourceSchema = z.strictObject({
  id: Id,
  kind: z.enum(['batch', 'boil-check', 'remembered']),
  name: z.string().max(200),
  at: Millis,
  forgotten: z.boolean(),
})
export type EvidenceSource = z.infer<typeof EvidenceSourceSchema>

/** What the forecast rests on: readings that count, with the variance they count at, and where they come from. */
export const LearnedSchema = z.object({ evidence: z.array(EvidenceSchema), sources: z.array(EvidenceSourceSchema) })
export type Learned = z.infer<typeof LearnedSchema>
