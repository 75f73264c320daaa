<script setup lang="ts">
import { computed, ref } from 'vue'
import type { BatchSummary } from '../../../core/batch/summary'
import type { Marked } from '../../../core/live/liveCook'
import type { CookPlan } from '../../../core/live/plan'
import { clockText, gramsText } from '../../composables/format'
import { typedNumber } from '../../composables/typed'
import { KIND_WORDS, SIGN_WORDS, STEP_WORDS, vesselText } from '../../../words/cook'
import { stageName } from '../../../words/stages'

const props = defineProps<{
  /** The plan of the batch. */
  plan: CookPlan
  /** What was marked, as the ledger keeps it. */
  moments: BatchSummary['moments']
  /** Notes as they stand now. */
  notes: readonly Marked<string>[]
}>()

const emit = defineEmits<{
  /** A note for a moment of the cook, s. */
  note: [text: string, atS: number]
}>()

const MOST_S = 86_400
const at = ref('')
const text = ref('')
const says = ref('')
/** Notes that the ledger has not settled yet stand among the rest. */
const story = computed(() => {
  const fresh = props.notes.filter(one => !props.moments.some(each => each.kind === 'note' && each.what === one.what && Math.abs(each.timeS - one.timeS) < 2))
  return [...props.moments, ...fresh.map(one => ({ kind: 'note', what: one.what, timeS: one.timeS }))].sort((p, q) => p.timeS - q.timeS)
})
function momentText(kind: string, what: string): string {
  const stage = props.plan.dish.stages.find(one => one.id === what)
  const mark = Object.values(props.plan.fires).flatMap(fire => fire.marks).find(one => one.id === what)?.label
  const word = stage ? stageName(stage) : SIGN_WORDS[what]?.waited ?? STEP_WORDS[what] ?? (props.plan.vessels[what] ? vesselText(props.plan, what) : undefined) ?? (kind === 'weighed' ? gramsText(Number(what)) : mark ?? what)
  return `${KIND_WORDS[kind] ?? kind} ${word}`
}
/** A note at a minute of the cook, such as 7:30 or 7.5. */
function write(): void {
  const [minutes = '', seconds = '0'] = at.value.trim().split(':')
  const atS = typedNumber(minutes) * 60 + typedNumber(seconds || '0')
  if (!(atS >= 0 && atS <= MOST_S) || text.value.trim() === '') {
    says.value = 'A minute of the cook, such as 7:30, and a few words, please. Nothing was written.'
    return
  }
  emit('note', text.value.trim().slice(0, 200), Math.round(atS))
  says.value = ''
  text.value = ''
}
</script>

<template>
  <section>
    <h2>What was marked</h2>
    <ol class="story">
      <li
        v-for="(moment, i) in story"
        :key="i"
      >
        <span class="at">{{ clockText(moment.timeS) }}</span> {{ momentText(moment.kind, moment.what) }}
      </li>
    </ol>
    <form
      class="noting"
      @submit.prevent="write"
    >
      <label>At<ElInput
        v-model="at"
        inputmode="decimal"
        placeholder="7:30"
        autocomplete="off"
      /></label>
      <label class="wide">A note at that minute<ElInput
        v-model="text"
        maxlength="200"
        autocomplete="off"
      /></label>
      <ElButton native-type="submit">
        Write it
      </ElButton>
      <p
        role="status"
        class="danger"
      >
        {{ says }}
      </p>
    </form>
  </section>
</template>

<style scoped>
.story { list-style: none; margin: 8px 0 0; padding: 0; columns: 3; column-gap: 30px; }
.story li { padding: 0.25rem 0; break-inside: avoid; }
.at { display: inline-block; min-width: 3.6em; font-weight: 600; }
.noting { display: flex; flex-wrap: wrap; gap: 10px; align-items: end; margin-top: 14px; }
label { font-weight: 600; display: block; }
.noting .el-input { display: flex; width: 6em; }
.noting .wide { flex: 1 1 260px; }
.noting .wide .el-input { width: 100%; }
.noting p:empty { display: none; }
@media (max-width: 1000px) { .story { columns: 1; } }
</style>
