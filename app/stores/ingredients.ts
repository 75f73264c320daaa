import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { Ingredient } from '../../contracts/ingredient'
import type { Composition } from '../../core/materials/composition/composition'

/**
 * What a house can add to a pan, with its composition. It is read once, while the hearth can be reached, so that a
 * repair can still be worked out when it cannot.
 */
export const useIngredients = defineStore('ingredients', () => {
  const table = shallowRef<readonly Ingredient[]>([])
  /** Rows by id; none until they are here. */
  const rows = computed((): ReadonlyMap<string, Ingredient> => new Map(table.value.map(row => [row.id, row])))
  /** Compositions by ingredient; empty until they are here. */
  const compositions = computed((): Readonly<Record<string, Composition>> =>
    Object.fromEntries(table.value.map(row => [row.id, row.composition])),
  )
  let loading: Promise<void> | null = null

  /** Reads the table; what cannot be read now is tried again the next time it is asked for. */
  function load(): Promise<void> {
    loading ??= import('../../book/ingredients').then(({ INGREDIENTS }) => {
      table.value = INGREDIENTS
    }).catch(() => {
      loading = null
    })
    return loading
  }
  void load()

  return { table, rows, compositions, load }
})
