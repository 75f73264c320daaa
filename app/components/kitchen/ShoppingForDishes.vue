<script setup lang="ts">
import { computed, ref } from 'vue'
import { gramsText } from '../../composables/format'
import type { Kitchen } from '../../../contracts/kitchen'
import type { Ingredient } from '../../../contracts/ingredient'
import type { DishCard } from '../../../core/dish/dish'
import { preparedWeight } from '../../../core/preparing/preparedWeight'
import { addNeeds, shopping } from '../../../core/store/shopping'
import ChoiceSelect from '../ChoiceSelect.vue'

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
  return { ingredient: row.id, massG: preparedWeight(massG, row.yields, one.id === dish.base ? dish.choices.preparation : 'as-bought').asBoughtG, dishes: [dish.name] }
}))), props.store, rowOf, props.today))
const counted = (sizes: readonly number[]): string => [...new Set(sizes)].map(size => `${sizes.filter(one => one === size).length} × ${gramsText(size)}`).join(' + ')
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
        <button
          class="stone-button quiet"
          :aria-label="`Once more of ${dish.name}`"
          @click="more(dish.id, 1)"
        >
          once more
        </button>
        <button
          class="stone-button quiet"
          :aria-label="`Once less of ${dish.name}`"
          @click="more(dish.id, -1)"
        >
          {{ times > 1 ? 'once less' : 'take it off' }}
        </button>
      </li>
    </ul>
    <table v-if="list.length > 0">
      <thead><tr><th>Buy</th><th>what</th><th>needed</th><th>in the house</th><th>for</th></tr></thead>
      <tbody>
        <tr
          v-for="line in list"
          :key="line.ingredient"
        >
          <td :class="{ need: line.packagesG.length > 0 }">
            {{ line.packagesG.length > 0 ? counted(line.packagesG) : 'enough' }}
          </td>
          <th scope="row">
            {{ rowOf(line.ingredient).name }}
          </th>
          <td>{{ gramsText(line.neededG) }}</td>
          <td>{{ line.inHouseG > 0 ? gramsText(line.inHouseG) : '–' }}</td>
          <td class="soft small">
            {{ line.dishes.join(', ') }}
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.pick { max-width: 320px; margin: 6px 0; }
ul { list-style: none; padding: 0; margin: 4px 0; }
table { border-collapse: collapse; width: 100%; margin: 8px 0; }
th, td { text-align: left; font-weight: 400; border-top: 2px solid var(--line); padding: 4px 14px 4px 0; }
thead th { border: 0; color: var(--ink-soft); font-size: 0.9375rem; }
.need { font-weight: 650; }
@media (max-width: 700px) { table { display: block; overflow-x: auto; } }
</style>
