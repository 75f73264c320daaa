import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { houseTable } from '../../core/materials/composition/corrections'
import type { MeasureSize } from '../../core/formulation/measures/inMeasures'
import { amountOfText, type SayAmount } from '../../words/saidAmount'
import { useIngredients } from '../stores/ingredients'
import { useMeasures } from '../stores/measures'
import { gramsText } from './format'

/**
 * How amounts are said in this house: in the cup in hand and its spoons, with the weight beside.
 *
 * @param cup the cup in hand; null where none is known
 * @returns says an amount of an ingredient; reactive to cup, spoons and units
 */
export function useSayAmount(cup: MaybeRefOrGetter<MeasureSize | null>): SayAmount {
  const ingredients = useIngredients()
  const measures = useMeasures()
  const rows = computed(() => new Map(houseTable(ingredients.table, measures.saidIn).map(row => [row.id, row])))
  return (ingredient, massG) => {
    const inHand = toValue(cup)
    const inUse = inHand ? [inHand, ...measures.saidIn.spoons.filter(one => one.volumeMl < inHand.volumeMl)] : []
    return amountOfText(rows.value.get(ingredient), ingredient, massG, inUse, gramsText)
  }
}
