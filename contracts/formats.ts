import { ReadingsRequestSchema } from './device'
import { AmountsRequestSchema, ScaleRequestSchema, StagesRequestSchema, SwapRequestSchema } from './amounts'
import { CookPlanSchema, ForecastRequestSchema } from './cook'
import { DishCardSchema } from './dish'
import { BoilCheckSchema, FlameQuestionSchema, LearnQuestionSchema, SyrupQuestionSchema } from './heart'
import { JudgeReportSchema } from './judge'
import { KitchenSchema } from './kitchen'
import { LessonSchema } from './lesson'
import { AppendRequestSchema } from './observation'

/** Formats that have a JSON Schema in docs/schemas and an example in docs/examples, by file name. */
export const FORMATS = {
  'forecast': ForecastRequestSchema,
  'cook-plan': CookPlanSchema,
  'append': AppendRequestSchema,
  'dish': DishCardSchema,
  'kitchen': KitchenSchema,
  'amounts': AmountsRequestSchema,
  'scale': ScaleRequestSchema,
  'swap': SwapRequestSchema,
  'stages': StagesRequestSchema,
  'boilcheck': BoilCheckSchema,
  'learn': LearnQuestionSchema,
  'syrup': SyrupQuestionSchema,
  'device-readings': ReadingsRequestSchema,
  'flameplan': FlameQuestionSchema,
  'lesson': LessonSchema,
  'judge': JudgeReportSchema,
} as const
