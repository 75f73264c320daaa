import { z } from 'zod'
import { Id } from './ids'

/** What the household has chosen on the Measure screen; kept on the device. */
export const SheetSchema = z.strictObject({
  dishId: Id,
  baseG: z.number().min(5).max(20000),
  ratios: z.record(Id, z.number().min(0).max(20)),
  cup: z.string(), pan: z.string(), pot: z.string(), fire: z.string(), otherFire: z.string(),
  /** Mark of the roast's flame; empty takes the guess. */
  roastMark: z.string(),
})
export interface Sheet {
  readonly dishId: string
  readonly baseG: number
  readonly ratios: Readonly<Record<string, number>>
  readonly cup: string
  readonly pan: string
  readonly pot: string
  readonly fire: string
  readonly otherFire: string
  readonly roastMark: string
}
