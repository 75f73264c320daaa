<script setup lang="ts">
import { computed, ref } from 'vue'
import type { BoilChecking } from '../../composables/boilChecking'
import { windowText } from '../../composables/format'
import { gramsToType, typedCelsius, typedGrams, typedNumber, degreesUnit, weightUnit } from '../../composables/typed'
import type { Fire, Measure, Pan } from '../../../contracts/kitchen'
import LabelledChoice from '../LabelledChoice.vue'
import NumberField from '../kitchen/NumberField.vue'
import TroubleNote from '../TroubleNote.vue'

const props = defineProps<{
  /** The check that is laid out. */
  check: BoilChecking
  /** Pans and pots to choose from. */
  pans: readonly Pan[]
  /** Fires to choose from. */
  fires: readonly Fire[]
  /** Cups to measure the water in. */
  cups: readonly Measure[]
}>()

const WATER_DENSITY = 0.997
const { state, fire, expected } = props.check
const water = ref(gramsToType(state.value?.waterG ?? 700))
const from = ref(degreesUnit() === '°F' ? String(Math.round((state.value?.fromC ?? 25) * 1.8 + 32)) : String(state.value?.fromC ?? 25))
const trouble = ref('')
const cup = computed(() => props.cups[0] ?? null)
const cupsOf = computed(() => (cup.value && state.value ? Math.round(10 * state.value.waterG / (cup.value.volumeMl * WATER_DENSITY)) / 10 : 0))

function weigh(): void {
  const grams = typedGrams(water.value)
  if (grams >= 200 && grams <= 20000) {
    trouble.value = ''
    props.check.choose({ waterG: grams })
  }
  else trouble.value = 'Take at least 200 g of water: less boils too soon to tell anything. Nothing was changed.'
}
function count(text: string): void {
  const cups = typedNumber(text)
  if (!cup.value || !(cups * cup.value.volumeMl >= 200 && cups * cup.value.volumeMl <= 20000)) return
  const grams = Math.round(cups * cup.value.volumeMl * WATER_DENSITY)
  water.value = gramsToType(grams)
  props.check.choose({ waterG: grams })
}
function start(): void {
  const tempC = typedCelsius(from.value)
  if (tempC >= 0 && tempC <= 70) {
    trouble.value = ''
    props.check.choose({ fromC: tempC })
  }
  else trouble.value = 'Begin with cold or lukewarm water, below 70 °C. Nothing was changed.'
}
</script>

<template>
  <div
    v-if="state"
    class="setup"
  >
    <div class="pair">
      <LabelledChoice
        asks="Pan"
        :chosen="state.pan"
        :options="pans.map(one => ({ value: one.id, label: one.name }))"
        @choose="value => check.choose({ pan: value })"
      />
      <LabelledChoice
        asks="Fire"
        :chosen="state.fire"
        :options="fires.map(one => ({ value: one.id, label: one.name }))"
        @choose="value => check.choose({ fire: value, mark: fires.find(one => one.id === value)?.marks.at(-1)?.id ?? '' })"
      />
      <LabelledChoice
        asks="Mark"
        :chosen="state.mark"
        :options="(fire?.marks ?? []).map(one => ({ value: one.id, label: one.label }))"
        @choose="value => check.choose({ mark: value })"
      />
    </div>
    <div class="pair">
      <NumberField
        v-model="water"
        label="Water in it"
        :unit="weightUnit()"
        @done="weigh"
      />
      <label
        v-if="cup"
        class="counted"
      >or by the {{ cup.name.toLowerCase() }}<ElInput
        :model-value="String(cupsOf)"
        inputmode="decimal"
        @change="count"
      ><template #append>full</template></ElInput></label>
      <NumberField
        v-model="from"
        label="It begins at"
        :unit="degreesUnit()"
        @done="start"
      />
    </div>
    <ElCheckbox
      :model-value="state.lid"
      @change="value => check.choose({ lid: value === true })"
    >
      Lid on until it boils
    </ElCheckbox>
    <TroubleNote :says="trouble" />
    <p class="soft">
      {{ expected ? `With nothing known it boils in ${windowText(expected.early, expected.late)}.` : 'This mark may never bring so much water to the boil: take a higher one, or less water.' }}
    </p>
  </div>
</template>

<style scoped>
.setup { display: grid; gap: 14px; }
.pair { display: grid; grid-template-columns: repeat(auto-fit, minmax(150px, 1fr)); gap: 12px; }
.pair :deep(label) { display: grid; gap: 3px; font-weight: 600; font-size: 0.9375rem; }
</style>
