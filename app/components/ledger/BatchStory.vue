<script setup lang="ts">
import type { FormInstance } from 'element-plus'
import { computed, reactive, ref } from 'vue'
import { NoteAtSchema } from '../../../contracts/mark'
import type { BatchSummary } from '../../../core/cook/batch/summary'
import type { Marked } from '../../../core/record/marks/marked'
import type { CookPlan } from '../../../core/record/plan/plan'
import { clockText, gramsText } from '../../composables/format'
import { formRules, isRight } from '../../composables/formRules'
import { typedNumber } from '../../composables/typed'
import { SIGN_WORDS, STEP_WORDS, vesselText } from '../../../words/cook'
import { markVerb } from '../../../words/moment'
import { stageName } from '../../../words/stages'
import { wordFor } from '../../../words/wordFor'

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

const typed = reactive({ atS: '', text: '' })
const form = ref<FormInstance | null>(null)
/** Notes that the ledger has not settled yet stand among the rest. */
const story = computed(() => {
  const fresh = props.notes.filter(one => !props.moments.some(each => each.kind === 'note' && each.what === one.what && Math.abs(each.timeS - one.timeS) < 2))
  return [...props.moments, ...fresh.map(one => ({ kind: 'note', what: one.what, timeS: one.timeS }))].sort((p, q) => p.timeS - q.timeS)
})
function momentText(kind: string, what: string): string {
  const stage = props.plan.dish.stages.find(one => one.id === what)
  const mark = Object.values(props.plan.fires).flatMap(fire => fire.marks).find(one => one.id === what)?.label
  const word = stage ? stageName(stage) : wordFor(SIGN_WORDS, what)?.waited ?? wordFor(STEP_WORDS, what) ?? (props.plan.vessels[what] ? vesselText(props.plan, what) : undefined) ?? (kind === 'weighed' ? gramsText(Number(what)) : mark ?? what)
  return `${markVerb(kind)} ${word}`
}
/** A minute of the cook, such as 7:30 or 7.5, s. */
function seconds(said: string): number {
  const [minutes = '', rest = '0'] = said.trim().split(':')
  return typedNumber(minutes) * 60 + typedNumber(rest || '0')
}
const rules = formRules(NoteAtSchema, {
  atS: { read: seconds, says: 'A minute of the cook, such as 7:30. Nothing was written.' },
  text: { says: 'A few words, please. Nothing was written.' },
})
async function write(): Promise<void> {
  if (!await isRight(form)) return
  emit('note', typed.text.trim(), Math.round(seconds(typed.atS)))
  form.value?.resetFields(['text'])
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
    <ElForm
      ref="form"
      class="noting"
      :model="typed"
      :rules="rules"
      hide-required-asterisk
      @submit.prevent="write"
    >
      <ElFormItem
        prop="atS"
        label="At"
      >
        <ElInput
          v-model="typed.atS"
          inputmode="decimal"
          placeholder="7:30"
          autocomplete="off"
        />
      </ElFormItem>
      <ElFormItem
        class="wide"
        prop="text"
        label="A note at that minute"
      >
        <ElInput
          v-model="typed.text"
          maxlength="200"
          autocomplete="off"
        />
      </ElFormItem>
      <ElButton native-type="submit">
        Write it
      </ElButton>
    </ElForm>
  </section>
</template>

<style scoped>
.story { list-style: none; margin: 8px 0 0; padding: 0; columns: 3; column-gap: 30px; }
.story li { padding: 0.25rem 0; break-inside: avoid; }
.at { display: inline-block; min-width: 3.6em; font-weight: 600; }
.noting { display: flex; flex-wrap: wrap; gap: 10px; align-items: start; margin-top: 14px; }
/* Beside the fields, not beside their labels. */
.noting > .el-button { margin-top: 25px; }
.noting .el-form-item { margin: 0; width: 9em; }
.noting .wide { flex: 1 1 260px; }
@media (max-width: 1000px) { .story { columns: 1; } }
</style>
