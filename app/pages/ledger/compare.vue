<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { BatchSchema, type Batch } from '../../../contracts/batch'
import HousePage from '../../components/HousePage.vue'
import RingsOver from '../../components/ledger/RingsOver.vue'
import { ask } from '../../clients/api'
import { useArriving } from '../../composables/arriving'
import { clockText, dayText, gramsText } from '../../composables/format'
import { ALIGNED, type Aligned } from '../../drawings/laidOver'
import { INGREDIENTS } from '../../../book/ingredients'
import { differences } from '../../../core/cook/compare/differences'
import { replay } from '../../../core/record/replay/replay'
import { differenceText, turnedText } from '../../../words/compare'
import SegmentedChoice from '../../components/SegmentedChoice.vue'
import { faultName } from '../../../words/faults'

const MOST = 4
const LETTERS = ['A', 'B', 'C', 'D']
const ALIGNED_WORDS: Readonly<Record<Aligned, string>> = { fire: 'at the fire', turn: 'at the turn', end: 'at the end' }
const ids = String(useRoute().query.ids ?? '').split(',').filter(Boolean).slice(0, MOST)
const batches = shallowRef<readonly Batch[]>([])
const trouble = ref('')
const aligned = ref<Aligned>('turn')
async function load(): Promise<void> {
  try {
    const found = await Promise.all(ids.map(id => ask('GET', `/batches/${id}`, BatchSchema)))
    batches.value = found.sort((p, q) => q.line.startedAt - p.line.startedAt)
    trouble.value = ''
  }
  catch (error) {
    trouble.value = error instanceof Error ? error.message : String(error)
  }
}
const coming = useArriving([load()])
const nameOf = (id: string): string => (INGREDIENTS.find(row => row.id === id)?.name.split(',')[0] ?? id.replaceAll('-', ' ')).toLowerCase()
const records = computed(() => batches.value.map(batch => ({ plan: batch.plan, cook: replay(batch.plan, batch.observations), summary: batch.line.summary })))
const rows = computed(() => records.value.map((record, i) => {
  const first = records.value[0]!
  const summary = record.summary
  const words = i === 0 ? [] : differences(record, first).map(one => differenceText(one, turnedText(record.plan.dish.keystone.stage), { grams: gramsText, ingredient: nameOf }))
  return {
    id: batches.value[i]!.line.id, letter: LETTERS[i]!, dish: record.plan.dish.name, day: dayText(batches.value[i]!.line.startedAt),
    turn: summary.keystoneS === null ? 'not marked' : clockText(summary.keystoneS), end: summary.endS === null ? 'not marked' : clockText(summary.endS),
    weight: summary.finishedG === null ? 'unknown' : gramsText(summary.finishedG), base: gramsText(summary.baseG),
    outcome: summary.faults.length > 0 ? summary.faults.map(one => faultName(one)).join(', ') : 'came right', faulty: summary.faults.length > 0,
    line: summary.line, words: words.length > 0 ? `${words.join(', ')}.` : i === 0 ? '' : 'No difference that was marked.',
  }
}))
</script>

<template>
  <HousePage
    :coming="coming"
    :trouble="trouble"
  >
    <div class="compare">
      <header class="top">
        <h1>Laid over one another</h1>
        <SegmentedChoice
          label="They coincide"
          :chosen="aligned"
          :options="ALIGNED.map(value => ({ value, label: ALIGNED_WORDS[value] }))"
          @choose="value => aligned = value"
        />
      </header>
      <div
        v-if="records.length > 1"
        class="both"
      >
        <RingsOver
          :batches="records.map(one => one.summary)"
          :aligned="aligned"
          :title="`${records.length} batches laid over one another ${ALIGNED_WORDS[aligned]}; A is outermost`"
        />
        <ol>
          <li
            v-for="row in rows"
            :key="row.id"
          >
            <h2>
              <span class="letter">{{ row.letter }}</span> <NuxtLink :to="`/ledger/${row.id}`">{{ row.dish }}, {{ row.day }}</NuxtLink>
            </h2>
            <p
              v-if="row.words"
              class="words"
            >
              Against A: {{ row.words }}
            </p>
            <p class="soft">
              {{ row.base }} of base · turned {{ row.turn }} · off the fire {{ row.end }} · {{ row.weight }}
            </p>
            <p :class="{ danger: row.faulty }">
              {{ row.faulty ? '◆ ' : '' }}{{ row.outcome }}{{ row.line ? `: “${row.line}”` : '' }}
            </p>
          </li>
        </ol>
      </div>
      <p v-else-if="!trouble && batches.length > 0">
        It takes two. <NuxtLink to="/ledger">Lay another aside in the ledger.</NuxtLink>
      </p>
      <p class="soft small">
        Every ring runs at the same pace; the heavy joint is where that batch turned. A is the newest.
      </p>
      <p><NuxtLink to="/ledger">Back to the ledger</NuxtLink></p>
    </div>
  </HousePage>
</template>

<style scoped>
.compare { display: grid; gap: 18px; padding-top: 16px; }
.top { display: flex; justify-content: space-between; flex-wrap: wrap; gap: 12px; align-items: end; }
.ways { display: flex; gap: 8px; }
.both { display: grid; grid-template-columns: minmax(0, 1fr) minmax(0, 1.15fr); gap: 44px; align-items: start; }
ol { list-style: none; margin: 0; padding: 0; display: grid; gap: 20px; }
li { border-top: 3px solid var(--ink); padding-top: 8px; display: grid; gap: 4px; }
.letter { display: inline-grid; place-items: center; width: 1.5em; height: 1.5em; background: var(--ink); color: var(--wall); font: 700 1rem var(--text); margin-right: 0.4em; }
.words { font: 500 1.3rem/1.35 var(--voice); }
@media (max-width: 900px) { .both { grid-template-columns: minmax(0, 1fr); gap: 22px; } }
</style>
