<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { BatchSchema, type Batch } from '../../../contracts/batch'
import HousePage from '../../components/HousePage.vue'
import SmallArch from '../../components/SmallArch.vue'
import { Anything, ask } from '../../composables/api'
import { clockText, dayText, gramsText, timeOfDay, windowText } from '../../composables/format'
import { FAULT_WORDS, KIND_WORDS, SIGN_WORDS, STEP_WORDS, vesselText } from '../../../words/cook'
import { turnText } from '../../../words/dish'
import { stageName } from '../../../words/stages'

const route = useRoute()
const id = String(route.params.id)
const batch = shallowRef<Batch | null>(null)
const trouble = ref('')
const removed = ref(false)
const note = ref('')
const saved = ref('')

async function load(): Promise<void> {
  try {
    batch.value = await ask('GET', `/batches/${id}`, BatchSchema)
    note.value = batch.value.line.note
    trouble.value = ''
  }
  catch (error) {
    trouble.value = error instanceof Error ? error.message : String(error)
  }
}
void load()

const summary = computed(() => batch.value?.line.summary ?? null)
const plan = computed(() => batch.value?.plan ?? null)
const roastTo = computed(() => {
  const until = plan.value?.dish.stages.findLast(stage => stage.does === 'roast' && (stage.phase ?? 'fire') === 'fire')?.until
  return until && 'sign' in until ? SIGN_WORDS[until.sign]?.waited ?? until.sign : 'not planned'
})
const rows = computed(() => {
  const one = summary.value
  if (!one) return []
  const within = (value: number | null, window: readonly [number, number] | null): string =>
    value === null || window === null ? '' : value < window[0] ? 'earlier than the window' : value > window[1] ? 'later than the window' : 'inside the window'
  return [
    { name: plan.value ? turnText(plan.value.dish) : 'Turn', planned: one.plannedKeystoneWindow ? windowText(...one.plannedKeystoneWindow) : 'not planned', happened: one.keystoneS === null ? 'not marked' : clockText(one.keystoneS), says: within(one.keystoneS, one.plannedKeystoneWindow) },
    { name: 'Off the fire', planned: one.plannedEndWindow ? windowText(...one.plannedEndWindow) : 'not planned', happened: one.endS === null ? 'not marked' : clockText(one.endS), says: within(one.endS, one.plannedEndWindow) },
    { name: 'Finished weight', planned: one.plannedFinishedG === null ? 'not planned' : gramsText(one.plannedFinishedG), happened: one.finishedG === null ? 'unknown' : gramsText(one.finishedG), says: one.weighed ? 'weighed' : 'forecast, not weighed' },
    { name: 'Roast', planned: roastTo.value, happened: one.darkestStep ? STEP_WORDS[one.darkestStep] ?? one.darkestStep : 'raw', says: 'from what was marked' },
  ]
})
function momentText(kind: string, what: string): string {
  const stage = plan.value?.dish.stages.find(one => one.id === what)
  const mark = plan.value ? Object.values(plan.value.fires).flatMap(fire => fire.marks).find(one => one.id === what)?.label : undefined
  const word = stage ? stageName(stage) : SIGN_WORDS[what]?.waited ?? STEP_WORDS[what] ?? (plan.value && plan.value.vessels[what] ? vesselText(plan.value, what) : undefined) ?? (kind === 'weighed' ? gramsText(Number(what)) : mark ?? what)
  return `${KIND_WORDS[kind] ?? kind} ${word ?? ''}`
}
async function saveNote(): Promise<void> {
  try {
    await ask('PATCH', `/batches/${id}`, Anything, { note: note.value.slice(0, 2000) })
    saved.value = 'kept'
  }
  catch (error) {
    saved.value = `not kept yet: ${error instanceof Error ? error.message : ''}`
  }
}
async function remove(): Promise<void> {
  await ask('DELETE', `/batches/${id}`, Anything).then(() => {
    removed.value = true
  }).catch((error: unknown) => {
    trouble.value = String(error)
  })
}
async function restore(): Promise<void> {
  await ask('POST', `/batches/${id}/restore`, Anything).then(() => {
    removed.value = false
  }).catch((error: unknown) => {
    trouble.value = String(error)
  })
}
function takeAway(): void {
  const blob = new Blob([JSON.stringify(batch.value, null, 2)], { type: 'application/json' })
  const link = document.createElement('a')
  link.href = URL.createObjectURL(blob)
  link.download = `batch-${id}.json`
  link.click()
  URL.revokeObjectURL(link.href)
}
</script>

<template>
  <HousePage :trouble="trouble">
    <div class="batch">
      <template v-if="batch && summary && plan">
        <header class="top">
          <div>
            <h1>{{ batch.line.dish }}, {{ dayText(batch.line.startedAt) }}</h1>
            <p class="soft">
              {{ timeOfDay(batch.line.startedAt) }} · {{ gramsText(summary.baseG) }} semolina · {{ plan.vessels.pan?.name }} · {{ plan.fires.pan?.name }}
            </p>
          </div>
          <div class="row">
            <button
              class="stone-button"
              @click="takeAway"
            >
              Take it away as JSON
            </button>
            <button
              v-if="!removed"
              class="stone-button"
              @click="remove"
            >
              Remove
            </button>
            <button
              v-else
              class="stone-button first"
              @click="restore"
            >
              Put it back
            </button>
          </div>
        </header>
        <p
          v-if="removed"
          role="status"
        >
          Removed from the ledger. It can be put back.
        </p>
        <div class="pair">
          <figure v-if="summary.plannedStones.length > 0">
            <SmallArch
              :stones="summary.plannedStones"
              :keystone-s="summary.plannedKeystoneS"
              :width="300"
              title="As it was forecast before the fire"
            />
            <figcaption>Forecast before the fire</figcaption>
          </figure>
          <figure>
            <SmallArch
              :stones="summary.stones"
              :keystone-s="summary.keystoneS"
              :fault="summary.faults.length > 0"
              :width="300"
              title="As it went"
            />
            <figcaption>As it went</figcaption>
          </figure>
          <div>
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
            <p
              class="outcome"
              :class="{ danger: summary.faults.length > 0 }"
            >
              {{ summary.faults.length > 0 ? summary.faults.map(one => FAULT_WORDS[one] ?? one).join(', ') : 'Came right' }}{{ summary.line ? `: “${summary.line}”` : '' }}
            </p>
            <label for="note">Note</label>
            <textarea
              id="note"
              v-model="note"
              rows="3"
              maxlength="2000"
              @change="saveNote"
            />
            <p
              class="soft small"
              role="status"
            >
              {{ saved }}
            </p>
          </div>
        </div>
        <section>
          <h2>What was marked</h2>
          <ol class="story">
            <li
              v-for="(moment, i) in summary.moments"
              :key="i"
            >
              <span class="at">{{ clockText(moment.timeS) }}</span> {{ momentText(moment.kind, moment.what) }}
            </li>
          </ol>
        </section>
      </template>
      <p><NuxtLink to="/ledger">All batches</NuxtLink></p>
    </div>
  </HousePage>
</template>

<style scoped>
.batch { display: grid; gap: 18px; padding-top: 16px; }
.top { display: flex; justify-content: space-between; gap: 20px; flex-wrap: wrap; }
.row { display: flex; gap: 10px; align-items: start; }
.pair { display: grid; grid-template-columns: 250px 250px minmax(0, 1fr); gap: 30px; align-items: start; }
figure { margin: 0; text-align: center; }
figure :deep(svg) { border-bottom: 4px solid var(--ink); }
figcaption { margin-top: 6px; font-weight: 600; }
table { border-collapse: collapse; width: 100%; }
th, td { text-align: left; padding: 0.4rem 0.9rem 0.4rem 0; border-bottom: 1px solid var(--line); font-weight: 450; vertical-align: baseline; }
thead th { color: var(--ink-soft); }
.outcome { font: 600 1.25rem var(--voice); margin: 14px 0; }
label { font-weight: 600; display: block; }
textarea { width: 100%; }
.story { list-style: none; margin: 8px 0 0; padding: 0; columns: 3; column-gap: 30px; }
.story li { padding: 0.25rem 0; break-inside: avoid; }
.at { display: inline-block; min-width: 3.6em; font-weight: 600; }
@media (max-width: 1000px) { .pair { grid-template-columns: 1fr 1fr; } .pair > div { grid-column: 1 / -1; } .story { columns: 1; } }
</style>
