<script setup lang="ts">
import { computed } from 'vue'
import { gramsText } from '../../composables/format'
import type { Ingredient } from '../../../contracts/ingredient'
import { CoreError } from '../../../core/error'
import type { MeasureSize } from '../../../core/formulation/measures/inMeasures'
import type { AmountRow } from '../../../core/formulation/proportions/measuredAmounts'
import { ownedScales, type OwnedScale } from '../../../core/formulation/scale/ownedScales'
import { measureText } from '../../../words/measure'

const props = defineProps<{
  /** Amounts of the dish. */
  rows: readonly AmountRow<Ingredient>[]
  /** Id of the base. */
  base: string
  /** Cup in hand and spoons. */
  measures: readonly MeasureSize[]
}>()

const emit = defineEmits<{
  /** One of the scales was taken: weights by ingredient id, g. */
  take: [amounts: Readonly<Record<string, number>>]
}>()

const found = computed((): readonly OwnedScale[] | null => {
  try {
    return ownedScales(props.rows.map(one => ({ id: one.id, massG: one.massG, bulkDensity: one.row.bulkDensity })), props.base, props.measures)
  }
  catch (error) {
    if (error instanceof CoreError) return null
    throw error
  }
})
const nameOf = (id: string): string => (props.rows.find(one => one.id === id)?.row.name ?? id).split(',')[0]!.toLowerCase()
const filled = (scale: OwnedScale) => scale.amounts.map(one => ({
  id: one.id, name: nameOf(one.id),
  text: one.fill ? one.fill.parts.map(part => measureText(part.text, part.count, part.name)).join(' and ') : 'a pinch as before',
}))
function take(scale: OwnedScale): void {
  emit('take', Object.fromEntries(scale.amounts.map(one => [one.id, one.massG])))
}
</script>

<template>
  <section
    class="owned"
    aria-label="On your own marks"
  >
    <p
      v-if="!found"
      class="danger"
    >
      Nothing near lands on the marks of these measures. Take a smaller cup, or add spoons in the kitchen.
    </p>
    <div
      v-else
      class="three"
    >
      <ElButton
        v-for="(scale, i) in found"
        :key="i"
        plain
        class="offer"
        @click="take(scale)"
      >
        <strong>{{ gramsText(scale.baseG) }} of {{ nameOf(base) }}</strong>
        <span class="soft">{{ scale.factor > 1.005 ? `${Math.round((scale.factor - 1) * 100)} % more` : scale.factor < 0.995 ? `${Math.round((1 - scale.factor) * 100)} % less` : 'as much as now' }};
          {{ scale.distortion < 0.005 ? 'proportions kept' : `proportions off by at most ${Math.round(scale.distortion * 1000) / 10} % (${nameOf(scale.worst)})` }}</span>
        <span
          v-for="one in filled(scale)"
          :key="one.id"
        >{{ one.text }} <span class="soft">{{ one.name }}</span></span>
      </ElButton>
    </div>
  </section>
</template>

<style scoped>
.three { display: grid; grid-template-columns: repeat(3, minmax(0, 1fr)); gap: 14px; margin-top: 6px; }
.offer strong { font-size: 1.15rem; }
@media (max-width: 700px) { .three { grid-template-columns: minmax(0, 1fr); } }
</style>
