import { shallowReadonly, shallowRef, type Ref } from 'vue'
import type { Composition } from '../../core/live/plan'

const pantry = shallowRef<Readonly<Record<string, Composition>>>({})
let loading: Promise<void> | null = null

/**
 * What a house can add to a pan, with its composition. It is read once, while the hearth can be reached, so that a repair
 * can still be worked out when it cannot.
 *
 * @returns compositions by ingredient, readonly; empty until they are here
 */
export function usePantry(): Readonly<Ref<Readonly<Record<string, Composition>>>> {
  loading ??= import('../../book/ingredients').then(({ INGREDIENTS }) => {
    pantry.value = Object.fromEntries(INGREDIENTS.map(row => [row.id, row.composition]))
  }).catch(() => {
    loading = null
  })
  return shallowReadonly(pantry)
}
