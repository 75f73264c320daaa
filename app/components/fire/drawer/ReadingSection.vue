<script setup lang="ts">
import { computed, ref } from 'vue'
import { degreesText, gramsText } from '../../../composables/format'
import { degreesUnit, gramsToType, typedCelsius, typedGrams, typedNumber, weightUnit } from '../../../composables/typed'
import type { CookPlan } from '../../../../core/live/plan'
import { vesselText } from '../../../../words/cook'

const props = defineProps<{
  /** The plan of the cook. */
  plan: CookPlan
  /** Vessels, the main line's first. */
  vessels: readonly string[]
}>()

const emit = defineEmits<{
  /** Something was marked. */
  mark: [kind: string, payload: Readonly<Record<string, unknown>>]
}>()

const MOST = { weighed: 40_000, temperature: 300, depth: 300 } as const
const vessel = ref(props.vessels[0] ?? 'pan')
const weight = ref('')
const temperature = ref('')
const depth = ref('')
const note = ref('')
const trouble = ref('')
const tare = computed(() => props.plan.vessels[vessel.value])

function send(kind: keyof typeof MOST): void {
  const value = { weighed: typedGrams(weight.value), temperature: typedCelsius(temperature.value), depth: typedNumber(depth.value) }[kind]
  if (!(value > 0 && value < MOST[kind])) {
    trouble.value = {
      weighed: `A weight in ${weightUnit()} is needed, such as ${gramsToType(2940)}.`, temperature: `A temperature is needed, such as ${degreesText(142)}.`,
      depth: 'A depth in mm is needed, such as 34.',
    }[kind] + ' Nothing was marked.'
    return
  }
  trouble.value = ''
  const of = vessel.value
  if (kind === 'weighed') emit('mark', 'weighed', { vessel: of, grossG: value })
  else if (kind === 'temperature') emit('mark', 'temperature', { vessel: of, tempC: value })
  else emit('mark', 'depth.measured', { vessel: of, depthMm: value })
  weight.value = temperature.value = depth.value = ''
}

function sendNote(): void {
  if (note.value.trim() === '') return
  emit('mark', 'note', { text: note.value.trim().slice(0, 400) })
  note.value = ''
}
</script>

<template>
  <fieldset v-if="vessels.length > 1">
    <legend>Read in</legend>
    <div class="marks">
      <button
        v-for="one in vessels"
        :key="one"
        type="button"
        class="stone-button"
        :aria-pressed="vessel === one"
        @click="vessel = one"
      >
        {{ vesselText(plan, one) }}
      </button>
    </div>
  </fieldset>
  <form @submit.prevent="send('weighed')">
    <label for="gross">Pan on the scale, {{ weightUnit() }}</label>
    <span class="row"><input
      id="gross"
      v-model="weight"
      inputmode="decimal"
      autocomplete="off"
    ><button class="stone-button">Weighed</button></span>
    <span class="soft small">Empty {{ gramsText(tare?.vessel.massG ?? 0) }}, {{ tare?.massGuessed ? 'a guess' : 'weighed' }}</span>
  </form>
  <form @submit.prevent="send('temperature')">
    <label for="temp">Thermometer in the pan, {{ degreesUnit() }}</label>
    <span class="row"><input
      id="temp"
      v-model="temperature"
      inputmode="decimal"
      autocomplete="off"
    ><button class="stone-button">Read</button></span>
  </form>
  <form @submit.prevent="send('depth')">
    <label for="depth">Depth by a ruler, levelled, mm</label>
    <span class="row"><input
      id="depth"
      v-model="depth"
      inputmode="decimal"
      autocomplete="off"
    ><button class="stone-button">Measured</button></span>
  </form>
  <form @submit.prevent="sendNote">
    <label for="note">A note at this minute</label>
    <span class="row"><input
      id="note"
      v-model="note"
      maxlength="400"
      autocomplete="off"
    ><button class="stone-button">Note</button></span>
  </form>
  <p
    v-if="trouble"
    class="danger"
    role="alert"
  >
    {{ trouble }}
  </p>
</template>

<style scoped>
fieldset { border: 0; padding: 0; margin: 0; min-width: 0; }
legend, label { font-weight: 600; padding: 0 0 0.3rem; display: block; }
.marks { display: flex; flex-wrap: wrap; gap: 8px; }
.marks .stone-button { min-height: 56px; padding-inline: 0.8rem; }
.row { display: flex; gap: 8px; }
.row input { flex: 1; min-width: 0; min-height: 56px; border-bottom-width: 5px; padding: 0 0.8rem; font-size: 1.25rem; }
.row .stone-button { min-height: 56px; }
form { display: grid; }
</style>
