import { computed, shallowReadonly, shallowRef, type Ref } from 'vue'
import type { Ingredient } from '../../contracts/ingredient'
import type { Composition } from '../../core/live/plan'

const table = shallowRef<readonly Ingredient[]>([])
const rows = computed(() => new Map(table.value.map(row => [row.id, row])))
const compositions = computed((): Readonly<Record<string, Composition>> => Object.fromEntries(table.value.map(row => [row.id, row.composition])))
let loading: Promise<void> | null = null

function load(): void {
  loading ??= import('../../book/ingredients').then(({ INGREDIENTS }) => {
    table.value = INGREDIENTS
  }).catch(() => {
    loading = null
  })
}

/**
 * What a house can add to a pan, with its composition. It is read once, while the hearth can be reached, so that a repair
 * can still be worked out when it cannot.
 *
 * @returns compositions by ingredient, readonly; empty until they are here
 */
export function usePantry(): Readonly<Ref<Readonly<Record<string, Composition>>>> {
  load()
  return shallowReadonly(compositions)
}

/**
 * The same table whole, by id.
 *
 * @returns rows, readonly; none until they are here
 */
export function usePantryRows(): Readonly<Ref<ReadonlyMap<string, Ingredient>>> {
  load()
  return shallowReadonly(rows)
}
