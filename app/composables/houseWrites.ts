import { ref, type Ref } from 'vue'
import { IngredientSchema, type Ingredient } from '../../contracts/ingredient'
import type { Kitchen, ShelfName } from '../../contracts/kitchen'
import type { Correction } from '../../core/materials/composition/correction'
import { houseDay } from './format'
import { hearthNow } from '../clients/hearthClock'
import { newId } from '../clients/sync/outbox'

/** Puts one thing on a shelf of the house; fails where the hearth is away. */
type Put = <S extends ShelfName>(shelf: S, item: Kitchen[S][number]) => Promise<void>

/** What is written to the house while a dish is measured out. */
export interface HouseWrites {
  /** What went wrong, in a sentence; empty where nothing did. */
  readonly trouble: Ref<string>
  /** Something was weighed or priced. */
  correct(correction: Correction): Promise<void>
  /** An ingredient of the household's own, and what a kilogram of it costs. */
  keepOwn(row: Ingredient, pricePerKg: number | null): Promise<void>
  /** Ground flour that is left over goes to the store, g. */
  putSurplus(ingredient: string, massG: number): Promise<void>
}

/**
 * What the Measure page writes to the shelves of the house.
 *
 * @param put puts a thing on a shelf
 * @returns the ways to write, and what went wrong
 */
export function useHouseWrites(put: Put): HouseWrites {
  const trouble = ref('')
  async function attempt(what: () => Promise<unknown>, away: string): Promise<void> {
    trouble.value = await what().then(() => '', () => `The hearth is away: ${away}`)
  }
  return {
    trouble,
    correct: correction =>
      attempt(
        () => put('corrections', correction),
        'the correction stands here until you leave the page, and is not kept yet.',
      ),
    keepOwn: (row, pricePerKg) => attempt(async () => {
      await put('ingredients', IngredientSchema.parse(row))
      if (pricePerKg !== null) await put('corrections', { id: row.id, pricePerKg })
    }, 'the ingredient stands here until you leave the page, and is not kept yet.'),
    putSurplus(ingredient, massG) {
      const today = houseDay(hearthNow())
      const item = { id: newId(), ingredient, massG: Math.round(massG), gotOn: today, openedOn: today, useBy: null }
      return attempt(() => put('store', item), 'the surplus is not in the store yet. Nothing else was changed.')
    },
  }
}
