import { computed, shallowRef, toValue, type MaybeRefOrGetter } from 'vue'
import { z } from 'zod'
import { IngredientSchema } from '../../contracts/ingredient'
import { CorrectionSchema, type Kitchen } from '../../contracts/kitchen'
import { houseTable } from '../../core/composition/corrections'
import type { MeasureSize } from '../../core/measures/inMeasures'
import { amountOfText, type SayAmount } from '../../words/saidAmount'
import { keepText, keptJson } from './deviceStorage'
import { gramsText } from './format'
import { usePantryRows } from './pantry'

const KEPT = 'yon-hearth.said-in'
const SaidInSchema = z.object({
  spoons: z.array(z.object({ id: z.string(), name: z.string(), volumeMl: z.number().gt(0) })), corrections: z.array(CorrectionSchema), ingredients: z.array(IngredientSchema).default([]),
})
type SaidIn = z.infer<typeof SaidInSchema>

/** The household's spoons and what it weighed: remembered on this device, for the fire must not wait for the hearth. */
const saidIn = shallowRef<SaidIn>(remembered())

function remembered(): SaidIn {
  const kept = SaidInSchema.safeParse(keptJson(KEPT))
  return kept.success ? kept.data : { spoons: [], corrections: [], ingredients: [] }
}

/**
 * Says amounts in the measures of this house from now on.
 *
 * @param kitchen its spoons, its own ingredients, and what it weighed
 */
export function measureIn({ measures, corrections, ingredients }: Pick<Kitchen, 'measures' | 'corrections' | 'ingredients'>): void {
  saidIn.value = { spoons: measures.filter(one => one.kind === 'spoon').map(({ id, name, volumeMl }) => ({ id, name, volumeMl })), corrections, ingredients }
  keepText(KEPT, JSON.stringify(saidIn.value))
}

/**
 * How amounts are said in this house: in the cup in hand and its spoons, with the weight beside.
 *
 * @param cup the cup in hand; null where none is known
 * @returns says an amount of an ingredient; reactive to cup, spoons and units
 */
export function useSayAmount(cup: MaybeRefOrGetter<MeasureSize | null>): SayAmount {
  const table = usePantryRows()
  const rows = computed(() => new Map(houseTable([...table.value.values()], saidIn.value).map(row => [row.id, row])))
  return (ingredient, massG) => {
    const inHand = toValue(cup)
    const measures = inHand ? [inHand, ...saidIn.value.spoons.filter(one => one.volumeMl < inHand.volumeMl)] : []
    return amountOfText(rows.value.get(ingredient), ingredient, massG, measures, gramsText)
  }
}
