<script setup lang="ts">
import { ref } from 'vue'
import { minuteText } from '../../composables/houseTime'
import type { Spread } from '../../../contracts/spread'
import LabelledChoice from '../LabelledChoice.vue'
import TimeField from './TimeField.vue'

type Promised = Spread['promises'][number]

const props = defineProps<{
  /** The day. */
  spread: Spread
}>()

const emit = defineEmits<{
  /** What is promised. */
  promises: [promises: readonly Promised[]]
}>()

const whom = ref('')
const what = ref('')
const dish = ref<string>()
const at = ref(18 * 60)
function add(): void {
  const id = Array.from({ length: 201 }, (_, i) => `p${i + 1}`).find(one => !props.spread.promises.some(other => other.id === one))!
  const day = Math.floor((props.spread.meals.at(-1)?.at ?? 1440) / 1440) * 1440
  if (whom.value.trim() === '') return
  emit('promises', [...props.spread.promises, { id, whom: whom.value.trim(), what: what.value.trim(), dish: dish.value ?? null, at: day + at.value, given: false }])
  whom.value = what.value = ''
}
</script>

<template>
  <section>
    <h2>Promised</h2>
    <ul>
      <li
        v-for="promise in [...spread.promises].sort((a, b) => a.at - b.at)"
        :key="promise.id"
        :class="{ given: promise.given }"
      >
        <span><strong>{{ minuteText(promise.at) }}</strong> {{ promise.whom }}: {{ promise.what }}{{ promise.dish ? `, ${spread.dishes.find(one => one.id === promise.dish)?.card.name ?? ''}` : '' }}</span>
        <ElButton
          :aria-pressed="promise.given"
          @click="emit('promises', spread.promises.map(one => (one.id === promise.id ? { ...one, given: !one.given } : one)))"
        >
          {{ promise.given ? 'Given' : 'Give it' }}
        </ElButton>
        <ElButton
          text
          @click="emit('promises', spread.promises.filter(one => one.id !== promise.id))"
        >
          Take off
        </ElButton>
      </li>
    </ul>
    <form @submit.prevent="add">
      <label><span>To whom</span><ElInput
        v-model="whom"
        maxlength="60"
      /></label>
      <label><span>What, how much</span><ElInput
        v-model="what"
        maxlength="120"
        placeholder="12 balls"
      /></label>
      <LabelledChoice
        class="choice"
        asks="Of"
        :chosen="dish"
        :options="spread.dishes.map(one => ({ value: one.id, label: one.card.name }))"
        @choose="value => { dish = value }"
      />
      <TimeField
        asks="By"
        :value="at"
        @set="value => { at = value }"
      />
      <ElButton
        type="primary"
        :disabled="whom.trim() === ''"
        native-type="submit"
      >
        Promise it
      </ElButton>
    </form>
  </section>
</template>

<style scoped>
ul { list-style: none; margin: 8px 0; padding: 0; display: grid; gap: 8px; max-width: 48em; }
li { display: flex; flex-wrap: wrap; gap: 8px 14px; align-items: center; }
li span:first-child { flex: 1 1 260px; }
.given span { color: var(--ink-soft); text-decoration: line-through; }
form { display: flex; flex-wrap: wrap; gap: 8px 16px; align-items: end; }
label { display: grid; }
label span { font-weight: 600; font-size: 0.9375rem; }
/* In a row of fields it would shrink to its caret. */
.choice { min-width: 190px; }
</style>
