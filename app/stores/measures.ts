import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import { z } from 'zod'
import { IngredientSchema } from '../../contracts/ingredient'
import { CorrectionSchema, type Kitchen } from '../../contracts/kitchen'
import { keepText, keptJson } from '../clients/sync/storage'

const KEPT = 'yon-hearth.said-in'
const SaidInSchema = z.object({
  spoons: z.array(z.object({ id: z.string(), name: z.string(), volumeMl: z.number().gt(0) })),
  corrections: z.array(CorrectionSchema),
  ingredients: z.array(IngredientSchema).default([]),
})
type SaidIn = z.infer<typeof SaidInSchema>

/**
 * The household's spoons, its own ingredients and what it weighed, in which amounts are said: remembered on this
 * device, for the fire must not wait for the hearth.
 */
export const useMeasures = defineStore('measures', () => {
  const saidIn = shallowRef<SaidIn>(remembered())

  /** Says amounts in the measures of this house from now on. */
  function measureIn({
    measures,
    corrections,
    ingredients,
  }: Pick<Kitchen, 'measures' | 'corrections' | 'ingredients'>): void {
    saidIn.value = {
      spoons: measures.filter(one => one.kind === 'spoon').map(({ id, name, volumeMl }) => ({ id, name, volumeMl })),
      corrections,
      ingredients,
    }
    keepText(KEPT, JSON.stringify(saidIn.value))
  }

  return { saidIn, measureIn }
})

function remembered(): SaidIn {
  const kept = SaidInSchema.safeParse(keptJson(KEPT))
  return kept.success ? kept.data : { spoons: [], corrections: [], ingredients: [] }
}
