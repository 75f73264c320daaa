<script setup lang="ts">
import { computed } from 'vue'
import { gramsText } from '../../composables/format'
import type { Fire, Kitchen } from '../../../contracts/kitchen'
import type { Ingredient } from '../../../contracts/ingredient'
import { preparationOf } from '../../../core/formulation/dish/basesOf'
import type { DishCard } from '../../../core/formulation/dish/dish'
import { grindSurplus } from '../../../core/formulation/preparing/grindSurplus'
import { milkFor } from '../../../core/formulation/preparing/milkYields'
import { preparedWeight } from '../../../core/formulation/preparing/preparedWeight'
import { milkMark, reduceMilk } from '../../../core/formulation/preparing/reduceMilk'
import { shopping } from '../../../core/formulation/store/shopping'
import ShoppingTable from '../kitchen/ShoppingTable.vue'

const props = defineProps<{
  /** Dish in hand. */
  card: DishCard
  /** Weight of its base, g. */
  baseG: number
  /** Rows of the ingredient table. */
  rowOf: (id: string) => Ingredient
  /** What is in the house. */
  store: Kitchen['store']
  /** Today, days since 1970-01-01. */
  today: number
  /** Fire on which milk would be thickened. */
  fire: Fire | null
}>()

const emit = defineEmits<{
  /** A surplus is to go into the store, g. */
  surplus: [ingredient: string, massG: number]
}>()

const TAP_C = 25
const lines = computed(() => props.card.ingredients.map((one) => {
  const row = props.rowOf(one.ingredient)
  const massG = one.perBase * props.baseG
  const preparation = preparationOf(props.card, one)
  return { one, row, massG, preparation, weights: preparedWeight(Math.min(50000, massG), row.yields, preparation ?? 'as-bought') }
}))
const pieces = (row: Ingredient, massG: number): string => {
  const piece = row.piece
  if (!piece || row.kind === 'spice' || row.kind === 'steeped') return ''
  const count = massG / piece.medium
  return count >= 0.75 && count < 200 ? `, about ${Math.max(1, Math.round(count))} ${count > 1.5 ? piece.plural : piece.noun} of middling size` : ''
}
const ready = computed(() => lines.value.flatMap(({ row, massG, preparation, weights }) => {
  const name = row.name.toLowerCase()
  if (preparation === 'raw-paste' || preparation === 'fine-paste') return [`Soak ${gramsText(weights.preparedG)} ${name}: it drains to about ${gramsText(weights.soakedG)}; ground, ${gramsText(weights.groundG)} reach the pan.`]
  if (preparation === 'cooked-puree') return [`Soak ${gramsText(weights.preparedG)} ${name}: it drains to about ${gramsText(weights.soakedG)}. Cook it soft, cool it, purée it.`]
  if (weights.asBoughtG > weights.preparedG * 1.02) return [`${row.name}: ${gramsText(weights.asBoughtG)} as bought${pieces(row, weights.asBoughtG)} give ${gramsText(massG)} ready.`]
  return []
}))
const milk = computed(() => lines.value.flatMap(({ row, massG }) => {
  if (massG < 5 || massG > 5000) return []
  if (row.id === 'khoya') return [thickened(massG)]
  if (row.id === 'milk-curds') {
    const need = milkFor(massG, 'curds')
    return [`Curds from sour milk: ${gramsText(need.early)} to ${gramsText(need.late)} of milk at the boil, soured with about ${Math.round(need.limeMl)} ml of lime juice, give ${gramsText(massG)} once drained.`]
  }
  if (row.id === 'milk-reduced') return [boiled(massG * 2, massG, 'Milk boiled down to half')]
  return []
}))
function thickened(massG: number): string {
  const need = milkFor(massG, 'thickened')
  return boiled(need.middle, massG, 'Thickened milk')
}
function boiled(fromG: number, toG: number, name: string): string {
  const mark = props.fire && props.fire.marks.length > 0 ? milkMark(props.fire.marks) : undefined
  if (!mark || fromG > 20000 || fromG < 20) return `${name}: from ${gramsText(fromG)} of milk.`
  const time = reduceMilk(fromG, toG, mark.watts, TAP_C)
  return `${name}: ${gramsText(fromG)} of milk give ${gramsText(toG)}; on ${props.fire?.name.toLowerCase()} at ${mark.label} that takes about ${Math.round(time.early / 5) * 5} to ${Math.round(time.late / 5) * 5} minutes of stirring.`
}
const grinding = computed(() => {
  const base = lines.value.find(one => one.one.id === props.card.base)
  if (base?.preparation !== 'dry-ground') return null
  const ground = grindSurplus(Math.max(1, Math.min(20000, base.massG)), base.row.yields.ground)
  return { ...ground, row: base.row }
})
const list = computed(() => shopping(
  lines.value.map(({ row, weights }) => ({ ingredient: row.id, massG: weights.asBoughtG, dishes: [props.card.name] })), props.store, props.rowOf, props.today,
))
</script>

<template>
  <div class="buy">
    <section v-if="ready.length + milk.length > 0 || grinding">
      <h3>Getting ready</h3>
      <ul>
        <li
          v-for="text in [...ready, ...milk]"
          :key="text"
        >
          {{ text }}
        </li>
        <li v-if="grinding">
          A grinder turns no less than {{ gramsText(grinding.grindG) }}: that gives {{ gramsText(grinding.flourG) }} of flour, {{ gramsText(grinding.usedG) }} of it for this dish.
          <template v-if="grinding.surplusG >= 5">
            {{ gramsText(grinding.surplusG) }} are left.
            <ElButton @click="emit('surplus', grinding.row.id, grinding.surplusG)">
              Put them in the store with today's date
            </ElButton>
          </template>
        </li>
      </ul>
    </section>
    <section>
      <h3>In the house, and to buy</h3>
      <ShoppingTable
        :list="list"
        :name-of="id => rowOf(id).name"
        of-one
      />
      <p class="soft small">
        What is past its day in the store is not counted. Packages are common sizes; take what your shop has.
      </p>
    </section>
  </div>
</template>

<style scoped>
.buy { display: grid; grid-template-columns: minmax(0, 1fr); gap: 16px; }
ul { margin: 6px 0 0; padding-left: 1.2em; display: grid; gap: 4px; }
</style>
