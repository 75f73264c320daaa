<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Kitchen } from '../../../contracts/kitchen'
import type { Ingredient } from '../../../contracts/ingredient'
import { preparationOf } from '../../../core/formulation/dish/basesOf'
import type { DishCard } from '../../../core/formulation/dish/dish'
import { preparedWeight } from '../../../core/formulation/preparing/preparedWeight'
import { addNeeds, shopping } from '../../../core/formulation/store/shopping'
import ChoiceSelect from '../ChoiceSelect.vue'
import ShoppingTable from './ShoppingTable.vue'

const props = defineProps<{
  /** Dishes of the book. */
  dishes: readonly DishCard[]
  /** What is in the house. */
  store: Kitchen['store']
  /** The ingredient table. */
  table: readonly Ingredient[]
  /** Today, days since 1970-01-01. */
  today: number
}>()

const wanted = ref<readonly { readonly id: string, readonly times: number }[]>([])
const rowOf = (id: string): Ingredient => props.table.find(row => row.id === id)!
const chosen = computed(() => wanted.value.flatMap(({ id, times }) => {
  const dish = props.dishes.find(one => one.id === id)
  return dish ? [{ dish, times }] : []
}))
const list = computed(() => shopping(addNeeds(chosen.value.flatMap(({ dish, times }) => dish.ingredients.map((one) => {
  const row = rowOf(one.ingredient)
  const massG = Math.min(50_000, one.perBase * dish.usual.baseG * times)
  return { ingredient: row.id, massG: preparedWeight(massG, row.yields, preparationOf(dish, one) ?? 'as-bought').asBoughtG, dishes: [dish.name] }
}))), props.store, rowOf, props.today))
function add(id: string): void {
  wanted.value = wanted.value.some(one => one.id === id) ? wanted.value : [...wanted.value, { id, times: 1 }]
}
function more(id: string, step: number): void {
  wanted.value = wanted.value.map(one => (one.id === id ? { ...one, times: one.times + step } : one)).filter(one => one.times > 0)
}
</script>

<template>
  <section aria-label="To buy for several dishes">
    <h2>To buy for several dishes</h2>
    <ChoiceSelect
      class="pick"
      label="Add a dish"
      :chosen="undefined"
      :options="dishes.map(dish => ({ value: dish.id, label: dish.name }))"
      @choose="add"
    />
    <ul v-if="chosen.length > 0">
      <li
        v-for="{ dish, times } in chosen"
        :key="dish.id"
      >
        <strong>{{ dish.name }}</strong> {{ times > 1 ? `${times} times` : 'once' }}, the usual amount
        <ElButton
          text
          :aria-label="`Once more of ${dish.name}`"
          @click="more(dish.id, 1)"
        >
          once more
        </ElButton>
        <ElButton
          text
          :aria-label="`Once less of ${dish.name}`"
          @click="more(dish.id, -1)"
        >
          {{ times > 1 ? 'once less' : 'take it off' }}
        </ElButton>
      </li>
    </ul>
    <ShoppingTable
      v-if="list.length > 0"
      :list="list"
      :name-of="id => rowOf(id).name"
    />
  </section>
</template>

<style scoped>
.pick { max-width: 320px; margin: 6px 0; }
ul { list-style: none; padding: 0; margin: 4px 0; }
</style>
