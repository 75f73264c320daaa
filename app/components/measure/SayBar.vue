<script setup lang="ts">
import { ref } from 'vue'
import type { Ingredient } from '../../../contracts/ingredient'
import type { Measure } from '../../../contracts/kitchen'
import type { DishCard } from '../../../core/dish/dish'
import { CoreError } from '../../../core/error'
import { baseOf, type ScaleFacts } from '../../../core/scale/baseOf'
import { parseScale } from '../../../core/scale/parseScale'
import { requestText } from '../../../words/scale'
import ChoiceSelect from '../ChoiceSelect.vue'

const props = defineProps<{
  /** Dish in hand. */
  card: DishCard
  /** What scaling needs to know of it; null while it cannot be cooked. */
  facts: ScaleFacts | null
  /** Rows of the ingredient table. */
  rowOf: (id: string) => Ingredient
  /** Cup in hand. */
  cup: Measure
  /** Cups to choose from. */
  cups: readonly Measure[]
  /** All measures of the house. */
  measures: readonly Measure[]
  /** True where there is something to take back. */
  canUndo: boolean
}>()

const emit = defineEmits<{
  /** Another cup is in hand. */
  cup: [id: string]
  /** A new weight of the base, g. */
  base: [massG: number]
  /** The last change is to be taken back. */
  undo: []
  /** Scales in the household's own measures are asked for. */
  owned: []
}>()

const spoken = ref('')
const trouble = ref('')
const heard = ref('')
function say(): void {
  if (!props.facts || spoken.value.trim() === '') return
  try {
    const request = parseScale(spoken.value, { dish: props.card, rowOf: props.rowOf, cup: props.cup, measures: props.measures })
    emit('base', baseOf(request, props.facts))
    heard.value = requestText(request, props.card, props.rowOf)
    trouble.value = ''
  }
  catch (error) {
    heard.value = ''
    trouble.value = error instanceof CoreError && error.code === 'out-of-range'
      ? 'That is outside what a kitchen cooks: between 5 g and 20 kg of the base. Nothing was changed.'
      : error instanceof CoreError && error.code === 'unknown-name'
        ? 'The dish has no such ingredient, or no pan is chosen. Nothing was changed.'
        : `"${spoken.value}" was not understood. Say it as 2 glasses, 300 g, 6 people, 900 g carrots peeled, 24 balls of 30 g, ×2, tray 20 x 20 x 2 cm, or fill the pan. Nothing was changed.`
  }
}
</script>

<template>
  <div class="saybar">
    <form
      class="say"
      @submit.prevent="say"
    >
      <ChoiceSelect
        class="cup"
        label="Cup"
        :chosen="cup.id"
        :options="cups.map(one => ({ value: one.id, label: `${one.name}, ${Math.round(one.volumeMl)} ml` }))"
        @choose="value => emit('cup', value)"
      />
      <label for="say">Make it from</label>
      <input
        id="say"
        v-model="spoken"
        placeholder="2 glasses, 300 g, 6 people, ×2, what is on hand"
        autocomplete="off"
      >
      <button class="stone-button">
        Set
      </button>
      <button
        type="button"
        class="stone-button"
        @click="emit('owned')"
      >
        On my marks
      </button>
      <button
        type="button"
        class="stone-button quiet"
        :disabled="!canUndo"
        @click="emit('undo')"
      >
        Undo
      </button>
    </form>
    <p
      class="danger"
      role="alert"
    >
      {{ trouble }}
    </p>
    <p
      class="soft small"
      role="status"
    >
      {{ heard }}
    </p>
  </div>
</template>

<style scoped>
.say { display: flex; gap: 10px; align-items: center; }
.say label { color: var(--ink-soft); white-space: nowrap; }
.say input { min-height: 46px; flex: 1 1 180px; min-width: 0; border: 2px solid var(--ink); border-bottom-width: 4px; border-radius: 2px; background: var(--wall-raised); padding: 0 0.8rem; }
.say .stone-button { white-space: nowrap; padding-inline: 0.8rem; }
.cup { flex: 0 1 215px; min-width: 150px; }
p:empty { display: none; }
p { padding-top: 4px; }
@media (max-width: 760px) {
  .say { flex-wrap: wrap; }
  .cup { flex: 1 1 100%; }
}
</style>
