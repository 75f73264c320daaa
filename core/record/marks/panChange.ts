import { z } from 'zod'
import type { Composition } from '../../materials/composition/composition'
import { Id } from './ids'

/** More than this of one thing does not go into a household's pan, g. */
export const MOST_ADDED_G = 20_000
const MOST_THINGS = 12
const MOST_LIFTED_G = 5000

/** Something that went into the pan beside the plan. */
export interface Added { readonly ingredient: string, readonly massG: number, readonly composition: Composition }

/** A change of what is in the pan: more of something, fat lifted off, or a repair made of both. */
export interface PanChange {
  readonly adds: readonly Added[]
  /** Fat lifted off, g. */
  readonly liftsFatG: number
  /** What it was to put right, and how: codes of `core/cook/repair`; null where nothing was wrong. */
  readonly repairs: { readonly fault: string, readonly way: string } | null
}

const Share = z.number().min(0).max(1)
const CompositionSchema = z
  .object({ water: Share, solids: Share, fat: Share, sugar: Share, nuts: Share, invert: Share.optional() })
  .refine(
    ({ water, solids, fat, sugar, nuts }) => Math.abs(water + solids + fat + sugar + nuts - 1) < 0.02,
    'shares must add to one',
  )
  .refine(({ invert = 0, sugar }) => invert <= sugar + 1e-9, 'no more invert sugar than sugar')

/**
 * What a change of the pan is told by: each addition above 0 to 20 000 g with its composition, and fat lifted off, g.
 */
export const PanChangeSchema = z.object({
  adds: z
    .array(z.object({ ingredient: Id, massG: z.number().gt(0).max(MOST_ADDED_G), composition: CompositionSchema }))
    .max(MOST_THINGS)
    .readonly()
    .optional(),
  liftsFatG: z.number().min(0).max(MOST_LIFTED_G).optional(),
})

/**
 * A change as the cook keeps it.
 *
 * @param told what was marked
 * @param repairs what it puts right, or null
 * @returns the change; undefined where nothing goes in or off and nothing is put right
 */
export function panChange(
  { adds = [], liftsFatG = 0 }: z.infer<typeof PanChangeSchema>,
  repairs: PanChange['repairs'],
): PanChange | undefined {
  if (repairs === null && adds.length === 0 && liftsFatG === 0) return undefined
  const plain = adds.map(({ ingredient, massG, composition: { invert, ...composition } }): Added => ({
    ingredient,
    massG,
    composition: invert ? { ...composition, invert } : composition,
  }))
  return { adds: plain, liftsFatG, repairs }
}
