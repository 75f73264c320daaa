<script setup lang="ts">
import { computed, ref } from 'vue'
import { gramsText } from '../../composables/format'
import type { DecidedLine, Decision } from '../../composables/pastedText'
import { DOUBT_WORDS } from '../../../words/book'
import ChoiceSelect from '../ChoiceSelect.vue'

const props = defineProps<{
  /** What was read of it, and what was decided. */
  line: DecidedLine
  /** Every row of the table, by name. */
  options: readonly { readonly value: string, readonly label: string }[]
}>()

const emit = defineEmits<{
  /** What was decided about it. */
  decide: [what: Decision]
}>()

const typed = ref(props.line.typed)
/** The guess first, then what fits as well, then leaving it out. */
const offered = computed(() => {
  const first = [props.line.ingredient, ...props.line.others].flatMap(id => props.options.filter(one => one.value === id))
  return [...first, { value: '', label: 'leave this line out' }, ...props.options.filter(one => !first.includes(one))]
})
const asksAmount = computed(() => props.line.massG === null || props.line.doubts.some(doubt => ['range', 'measure', 'no-amount'].includes(doubt)) || props.line.typed !== '')
const isDoubted = computed(() => props.line.doubts.length > 0 && !props.line.left)
</script>

<template>
  <li
    class="line"
    :class="{ open: line.open }"
  >
    <span class="text">{{ line.says }}<small
      v-if="line.says !== line.text"
      class="soft"
    >of: {{ line.text }}</small></span>
    <ChoiceSelect
      :label="`What is ${line.says}`"
      :chosen="line.left ? '' : line.ingredient ?? undefined"
      :options="offered"
      @choose="value => emit('decide', value === '' ? { left: true } : { left: false, ingredient: value })"
    />
    <span class="weight">
      <template v-if="!line.left">
        <strong v-if="line.massG !== null">{{ gramsText(line.massG) }}</strong>
        <ElInput
          v-if="asksAmount"
          v-model="typed"
          :aria-label="`How much of ${line.says}`"
          :placeholder="line.massG === null ? '200 g, 2 tbsp, a pinch' : 'or say how much'"
          @change="emit('decide', { typed })"
        />
      </template>
    </span>
    <span class="why soft small">
      <ElButton
        v-if="line.open && line.row && line.massG !== null"
        :aria-label="`Yes, ${line.says} is ${line.row.name}, ${gramsText(line.massG)}`"
        @click="emit('decide', { accepted: true })"
      >
        Yes, so
      </ElButton>
      <template v-if="line.left">left out</template>
      <template v-else-if="isDoubted && line.open">{{ line.doubts.map(doubt => DOUBT_WORDS[doubt]).join(' ') }}</template>
      <template v-else-if="isDoubted">decided</template>
    </span>
  </li>
</template>

<style scoped>
.line { display: grid; grid-template-columns: minmax(0, 1.2fr) 280px 230px minmax(0, 1fr); gap: 6px 14px; align-items: center; border-top: 2px solid var(--line); padding: 5px 0 5px 15px; }
.line.open { border-left: 5px solid var(--danger); padding-left: 10px; }
.text { display: grid; overflow-wrap: anywhere; }
.weight { display: flex; align-items: center; gap: 8px; }
.weight strong { white-space: nowrap; }
.why { display: flex; align-items: center; gap: 12px; }
@media (max-width: 1000px) {
  .line { grid-template-columns: minmax(0, 1fr); }
  .text { font-weight: 650; }
}
</style>
