<script setup lang="ts">
import { computed } from 'vue'
import type { BatchSummary } from '../../../core/cook/batch/summary'
import { COLOUR_STEPS } from '../../../core/formulation/signs/signIds'
import type { CookPlan } from '../../../core/record/plan/plan'
import { clockText, gramsText, windowText } from '../../composables/format'
import { SIGN_WORDS, STEP_WORDS } from '../../../words/cook'
import { turnText } from '../../../words/dish'
import { wordFor } from '../../../words/wordFor'

const props = defineProps<{
  /** The plan of the batch. */
  plan: CookPlan
  /** What happened, beside what was forecast. */
  summary: BatchSummary
  /** True where it was entered afterwards, from memory. */
  fromMemory?: boolean
}>()

const roastTo = computed(() => {
  const until = props.plan.dish.stages.findLast(stage => stage.does === 'roast' && (stage.phase ?? 'fire') === 'fire')?.until
  return until && 'sign' in until ? SIGN_WORDS[until.sign].waited : null
})
/** Whether a colour was marked, and whether all of it was entered afterwards. */
const coloured = computed(() => props.summary.moments.some(one => one.kind === 'looks.like' || (one.kind === 'sign.seen' && COLOUR_STEPS.some(step => step === one.what))))
const remembered = computed(() => props.fromMemory === true)
const rows = computed(() => {
  const one = props.summary
  const within = (value: number | null, window: readonly [number, number] | null): string =>
    value === null || window === null ? '' : value < window[0] ? 'earlier than the window' : value > window[1] ? 'later than the window' : 'inside the window'
  return [
    { name: turnText(props.plan.dish), planned: one.plannedKeystoneWindow ? windowText(...one.plannedKeystoneWindow) : 'not planned', happened: one.keystoneS === null ? 'not marked' : clockText(one.keystoneS), says: within(one.keystoneS, one.plannedKeystoneWindow) },
    { name: 'Off the fire', planned: one.plannedEndWindow ? windowText(...one.plannedEndWindow) : 'not planned', happened: one.endS === null ? 'not marked' : clockText(one.endS), says: within(one.endS, one.plannedEndWindow) },
    { name: 'Finished weight', planned: one.plannedFinishedG === null ? 'not planned' : gramsText(one.plannedFinishedG), happened: one.finishedG === null ? 'unknown' : gramsText(one.finishedG), says: one.weighed ? 'weighed' : 'forecast, not weighed' },
    ...(roastTo.value === null && one.darkestStep === null ? [] : [{ name: 'Roast', planned: roastTo.value ?? 'not planned', happened: one.darkestStep ? wordFor(STEP_WORDS, one.darkestStep) ?? one.darkestStep : remembered.value ? 'not remembered' : 'raw', says: coloured.value ? 'from what was marked' : remembered.value ? '' : 'by the forecast; no colour was marked' }]),
  ]
})
</script>

<template>
  <table>
    <caption class="visually-hidden">
      Planned beside what happened
    </caption>
    <thead>
      <tr>
        <td /><th scope="col">
          Forecast
        </th><th scope="col">
          Happened
        </th><td />
      </tr>
    </thead>
    <tbody>
      <tr
        v-for="row in rows"
        :key="row.name"
      >
        <th scope="row">
          {{ row.name }}
        </th>
        <td>{{ row.planned }}</td>
        <td><strong>{{ row.happened }}</strong></td>
        <td class="soft small">
          {{ row.says }}
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table { border-collapse: collapse; width: 100%; }
th, td { text-align: left; padding: 0.4rem 0.9rem 0.4rem 0; border-bottom: 1px solid var(--line); font-weight: 450; vertical-align: baseline; }
thead th { color: var(--ink-soft); }
@media (min-width: 900px) {
  th, td:not(.soft) { white-space: nowrap; }
  td.soft { min-width: 11rem; }
}
/* Enlarged fourfold there is no room for four columns: what was forecast and what happened stand side by side, the rest goes over and under. */
@media (max-width: 360px) {
  tr { display: grid; grid-template-columns: 1fr 1fr; padding: 0.4rem 0; border-bottom: 1px solid var(--line); }
  th, td { padding: 0 0.4rem 0 0; border: 0; }
  tbody th, td.soft { grid-column: 1 / -1; }
  thead td { display: none; }
}
</style>
