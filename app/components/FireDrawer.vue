<script setup lang="ts">
import { computed, ref } from 'vue'
import type { CookPlan } from '../../core/live/plan'
import type { LiveCook } from '../../core/live/liveCook'
import { vesselText } from '../../words/cook'
import { momentText } from '../../words/moment'
import { clockText, degreesText, gramsText } from '../composables/format'
import { degreesUnit, gramsToType, typedCelsius, typedGrams, weightUnit } from '../composables/typed'

const props = defineProps<{
  /** The plan of the cook. */
  plan: CookPlan
  /** The cook as it stands. */
  cook: LiveCook
  /** Vessel of the main line. */
  main: string
  /** Vessel beside it, or null. */
  other: string | null
  /** Mark that each vessel's flame stands at now, or `off`. */
  flames: Readonly<Record<string, string>>
  /** True with the lid on the main vessel. */
  lid: boolean
}>()

const emit = defineEmits<{
  /** Something was marked. */
  mark: [kind: string, payload: Readonly<Record<string, unknown>>]
  /** The drawer is to close. */
  close: []
}>()

const weight = ref('')
const temperature = ref('')
const note = ref('')
const trouble = ref('')
const vessels = computed(() => [props.main, ...(props.other === null ? [] : [props.other])])
const recent = computed(() => [...props.cook.moments].reverse().slice(0, 12))
const tare = computed(() => props.plan.vessels[props.main])

const SAY = { grams: gramsText, degrees: degreesText }
function sendNumber(kind: 'weighed' | 'temperature'): void {
  const value = kind === 'weighed' ? typedGrams(weight.value) : typedCelsius(temperature.value)
  const most = kind === 'weighed' ? 40000 : 300
  if (!(value > 0 && value < most)) {
    trouble.value = kind === 'weighed'
      ? `A weight in ${weightUnit()} is needed, such as ${gramsToType(2940)}. Nothing was marked.`
      : `A temperature is needed, such as ${degreesText(142)}. Nothing was marked.`
    return
  }
  trouble.value = ''
  emit('mark', kind, kind === 'weighed' ? { vessel: props.main, grossG: value } : { vessel: props.main, tempC: value })
  weight.value = ''
  temperature.value = ''
}

function sendNote(): void {
  if (note.value.trim() === '') return
  emit('mark', 'note', { text: note.value.trim().slice(0, 400) })
  note.value = ''
}
</script>

<template>
  <section
    class="drawer"
    aria-label="Everything else"
  >
    <header>
      <h2>Everything else</h2>
      <button
        class="stone-button"
        @click="emit('close')"
      >
        Close
      </button>
    </header>
    <fieldset
      v-for="vessel in vessels"
      :key="vessel"
    >
      <legend>{{ plan.fires[vessel]?.name }} under {{ vesselText(plan, vessel) }}</legend>
      <div class="marks">
        <button
          class="stone-button"
          :aria-pressed="flames[vessel] === 'off'"
          @click="emit('mark', 'flame.changed', { vessel, mark: 'off' })"
        >
          off
        </button>
        <button
          v-for="mark in plan.fires[vessel]?.marks ?? []"
          :key="mark.id"
          class="stone-button"
          :aria-pressed="flames[vessel] === mark.id"
          @click="emit('mark', 'flame.changed', { vessel, mark: mark.id })"
        >
          {{ mark.label }}
        </button>
      </div>
    </fieldset>
    <div class="marks">
      <button
        class="stone-button"
        :aria-pressed="lid"
        @click="emit('mark', 'lid.changed', { vessel: main, lid: !lid })"
      >
        {{ lid ? 'Lid is on' : 'Lid is off' }}
      </button>
      <button
        v-if="other !== null && cook.lit[other] === undefined"
        class="stone-button sentence"
        @click="emit('mark', 'vessel.lit', { vessel: other })"
      >
        {{ vesselText(plan, other) }} is on
      </button>
      <button
        v-if="other !== null && cook.lit[other] !== undefined"
        class="stone-button"
        @click="emit('mark', 'sign.seen', { sign: 'boil' })"
      >
        It boils
      </button>
      <button
        class="stone-button"
        @click="emit('mark', 'off.fire', { vessel: main })"
      >
        Taken off the fire
      </button>
    </div>
    <form @submit.prevent="sendNumber('weighed')">
      <label for="gross">Pan on the scale, {{ weightUnit() }}</label>
      <span class="row"><input
        id="gross"
        v-model="weight"
        inputmode="decimal"
        autocomplete="off"
      ><button class="stone-button">Weighed</button></span>
      <span class="soft small">Empty {{ gramsText(tare?.vessel.massG ?? 0) }}, {{ tare?.massGuessed ? 'a guess' : 'weighed' }}</span>
    </form>
    <form @submit.prevent="sendNumber('temperature')">
      <label for="temp">Thermometer in the pan, {{ degreesUnit() }}</label>
      <span class="row"><input
        id="temp"
        v-model="temperature"
        inputmode="decimal"
        autocomplete="off"
      ><button class="stone-button">Read</button></span>
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
    <section
      v-if="recent.length > 0"
      aria-label="What was marked"
    >
      <h3>What was marked</h3>
      <ul class="moments">
        <li
          v-for="moment in recent"
          :key="moment.id"
        >
          <span :class="{ gone: moment.withdrawn }">{{ clockText(moment.timeS) }} {{ moment.known ? momentText(plan, moment.kind, moment.payload, SAY) : `${moment.kind} (unknown here, kept)` }}</span>
          <span class="moves">
            <button
              class="stone-button"
              :aria-label="`30 seconds earlier: ${momentText(plan, moment.kind, moment.payload, SAY)}`"
              @click="emit('mark', 'corrected', { replaces: moment.id, shiftS: -30 })"
            >−30 s</button>
            <button
              class="stone-button"
              :aria-label="`Take back: ${momentText(plan, moment.kind, moment.payload, SAY)}`"
              :disabled="moment.withdrawn"
              @click="emit('mark', 'withdrawn', { replaces: moment.id })"
            >Take back</button>
          </span>
        </li>
      </ul>
    </section>
    <p>
      <NuxtLink to="/">Back to the hearth; the cook goes on</NuxtLink>
    </p>
  </section>
</template>

<style scoped>
.drawer { display: grid; gap: 0.8rem; align-content: start; border-top: 3px solid var(--ink); padding-top: 0.7rem; }
header { display: flex; justify-content: space-between; align-items: center; }
fieldset { border: 0; padding: 0; margin: 0; min-width: 0; }
legend, label { font-weight: 600; padding: 0 0 0.3rem; display: block; }
.marks { display: flex; flex-wrap: wrap; gap: 8px; }
.marks .stone-button { min-height: 56px; min-width: 56px; padding-inline: 0.8rem; }
.sentence::first-letter { text-transform: uppercase; }
.row { display: flex; gap: 8px; }
.row input { flex: 1; min-width: 0; min-height: 56px; border-bottom-width: 5px; padding: 0 0.8rem; font-size: 1.25rem; }
.row .stone-button { min-height: 56px; }
form { display: grid; }
h3 { margin-bottom: 4px; }
.moments { list-style: none; margin: 0; padding: 0; }
.moments li { display: flex; justify-content: space-between; align-items: center; gap: 8px; border-top: 1px solid var(--line); padding: 4px 0; }
.moves { display: flex; gap: 6px; flex: none; }
.moves .stone-button { min-height: 56px; padding-inline: 0.6rem; }
.gone { text-decoration: line-through; color: var(--ink-soft); }
</style>
