<script setup lang="ts">
import { computed } from 'vue'
import type { BatchTally } from '../../../contracts/batch'
import { BatchFilterSchema, type BatchFilter } from '../../../contracts/batchQuery'
import { SEASON_WORDS } from '../../../words/ledger'
import { familyName } from '../../../words/dish'
import LabelledChoice from '../LabelledChoice.vue'
import { faultName } from '../../../words/faults'
import { wordFor } from '../../../words/wordFor'

const props = defineProps<{
  /** What is looked for. */
  filter: BatchFilter
  /** What there is, without a filter. */
  tally: BatchTally
}>()

const emit = defineEmits<{
  /** Something else is looked for. */
  change: [filter: BatchFilter]
}>()

type Key = keyof BatchFilter
const ALL = '–'
const BARS: readonly { readonly key: Key, readonly asks: string, readonly from: 'dishes' | 'families' | 'faults' | 'pans' | 'fires' | 'seasons' }[] = [
  { key: 'dish', asks: 'Dish', from: 'dishes' }, { key: 'family', asks: 'Base', from: 'families' }, { key: 'fault', asks: 'How it came', from: 'faults' },
  { key: 'pan', asks: 'Pan', from: 'pans' }, { key: 'fire', asks: 'Fire', from: 'fires' }, { key: 'season', asks: 'Season', from: 'seasons' },
]
function nameOf(key: Key, one: { readonly id: string, readonly name: string }): string {
  if (key === 'family') return familyName({ family: one.id })
  if (key === 'fault') return faultName(one.id)
  return key === 'season' ? wordFor(SEASON_WORDS, one.id) ?? one.id : one.name
}
const bars = computed(() => BARS.map(({ key, asks, from }) => {
  const found: readonly { readonly id: string, readonly name: string, readonly count: number }[] = props.tally[from]
  const options = found.map(one => ({ value: one.id, label: `${nameOf(key, one)} (${one.count})` }))
  const first = key === 'fault'
    ? [{ value: ALL, label: 'all' }, { value: 'none', label: `came right (${props.tally.right})` }, { value: 'any', label: `any fault (${props.tally.count - props.tally.right})` }]
    : [{ value: ALL, label: 'all' }]
  return { key, asks, options: [...first, ...options], chosen: props.filter[key] ?? ALL, useful: options.length > (key === 'fault' ? 0 : 1) || props.filter[key] !== undefined }
}).filter(bar => bar.useful))
function choose(key: Key, value: string): void {
  const { [key]: _, ...rest } = props.filter
  emit('change', BatchFilterSchema.parse(value === ALL ? rest : { ...rest, [key]: value }))
}
</script>

<template>
  <div
    class="filters"
    role="search"
    aria-label="Look for batches"
  >
    <LabelledChoice
      v-for="bar in bars"
      :key="bar.key"
      :asks="bar.asks"
      :chosen="bar.chosen"
      :options="bar.options"
      @choose="value => choose(bar.key, value)"
    />
    <ElButton
      v-if="Object.keys(filter).length > 0"
      @click="emit('change', {})"
    >
      All batches
    </ElButton>
  </div>
</template>

<style scoped>
.filters { display: grid; grid-template-columns: repeat(auto-fit, minmax(150px, 1fr)); gap: 10px 14px; align-items: end; }
</style>
