<script setup lang="ts">
import { gramsText, packagesText } from '../../composables/format'
import type { ShoppingLine } from '../../../core/store/shopping'

defineProps<{
  /** What to buy. */
  list: readonly ShoppingLine[]
  /** Name of an ingredient. */
  nameOf: (id: string) => string
}>()
</script>

<template>
  <table>
    <thead><tr><th>Buy</th><th>what</th><th>needed</th><th>in the house</th><th class="whose">for</th></tr></thead>
    <tbody>
      <tr
        v-for="line in list"
        :key="line.ingredient"
      >
        <td
          class="packages"
          :class="{ need: line.packagesG.length > 0 }"
        >
          {{ line.packagesG.length > 0 ? packagesText(line.packagesG) : 'enough' }}
        </td>
        <th scope="row">
          {{ nameOf(line.ingredient) }}<span class="soft small beneath">for {{ line.dishes.join(', ') }}</span>
        </th>
        <td>{{ gramsText(line.neededG) }}</td>
        <td>{{ line.inHouseG > 0 ? gramsText(line.inHouseG) : '–' }}</td>
        <td class="soft small whose">
          {{ line.dishes.join(', ') }}
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table { border-collapse: collapse; width: 100%; margin: 8px 0; }
th, td { text-align: left; font-weight: 400; border-top: 2px solid var(--line); padding: 4px 14px 4px 0; }
thead th { border: 0; color: var(--ink-soft); font-size: 0.9375rem; }
.need { font-weight: 650; }
.beneath { display: none; }
/* On a narrow screen what it is for stands beneath its name. */
@media (max-width: 700px) {
  .whose { display: none; }
  .beneath { display: block; }
  th, td { padding-right: 10px; vertical-align: top; }
  td { white-space: nowrap; }
  .packages { white-space: normal; width: 6.4em; }
}
</style>
