<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { BatchSchema, type Batch } from '../../contracts/batch'
import { INGREDIENTS } from '../../book/ingredients'
import { labelOf, type LabelFacts } from '../../core/cook/after/labelOf'
import { standing } from '../../core/cook/after/standing'
import { inMeasures, type MeasureSize } from '../../core/formulation/measures/inMeasures'
import { planRow } from '../../core/record/plan/planRow'
import { replay } from '../../core/record/replay/replay'
import { ask } from '../clients/api'
import { gramsText } from '../composables/format'
import { inHouseTime } from '../composables/houseTime'
import { hearthNow } from '../clients/hearthClock'
import { ALLERGEN_WORDS, eatByText, PLACE_WORDS, STOOD_OUT } from '../../words/after'
import { measureText } from '../../words/measure'
import StepField from '../components/tray/StepField.vue'
import TroubleNote from '../components/TroubleNote.vue'
import { wordFor } from '../../words/wordFor'

/** Labels of a sheet, two across. */
const A_SHEET = 10
const MOST = 60
const ids = computed(() => String(useRoute().query.batches ?? '').split(',').filter(Boolean).slice(0, 12))
const batches = shallowRef<readonly Batch[]>([])
const state = ref<'loading' | 'here' | 'away'>('loading')
const counts = ref<Record<string, number>>({})
const ROWS = new Map(INGREDIENTS.map(row => [row.id, row]))

async function load(): Promise<void> {
  try {
    batches.value = await Promise.all(ids.value.map(id => ask('GET', `/batches/${id}`, BatchSchema)))
    state.value = 'here'
  }
  catch {
    state.value = 'away'
  }
}
void load()
const facts = computed(() => batches.value.flatMap((batch): { id: string, label: LabelFacts, cup: MeasureSize }[] => {
  const { finishedG } = batch.line.summary
  if (finishedG === null || !(finishedG > 0)) return []
  const cook = replay(batch.plan, batch.observations)
  const rowOf = planRow(batch.plan, ROWS)
  return [{ id: batch.line.id, cup: batch.plan.cup, label: labelOf(batch.plan, cook, standing(batch.plan, cook, finishedG, id => rowOf(id)?.kind), rowOf) }]
}))
const countOf = (id: string): number => counts.value[id] ?? (facts.value.length > 1 ? 2 : 4)
const labels = computed(() => facts.value.flatMap(({ id, label, cup }) => Array.from({ length: countOf(id) }, (_, i) => ({ key: `${id}-${i}`, label, cup }))).slice(0, MOST))
const sheets = computed(() => Array.from({ length: Math.ceil(labels.value.length / A_SHEET) }, (_, i) => labels.value.slice(i * A_SHEET, (i + 1) * A_SHEET)))
const date = (at: number): string => inHouseTime(at, { day: 'numeric', month: 'long', year: 'numeric' })
const own = computed(() => new Map(batches.value.flatMap(batch => batch.plan.amounts.flatMap(one => (one.own ? [[one.ingredient, one.own.name] as const] : [])))))
const nameOf = (id: string): string => (ROWS.get(id)?.name ?? own.value.get(id) ?? id.replaceAll('-', ' ')).toLowerCase().split(', ').reverse().join(' ')
function within(label: LabelFacts): string {
  if (label.coldBy !== null && hearthNow() > label.coldBy) return `Not to be given: ${STOOD_OUT}`
  const text = eatByText(label.eatBy, date)
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}`
}
/** How much it is, as a kitchen says it and by weight. */
function much({ about, massG }: LabelFacts, cup: MeasureSize): string {
  const grams = `${gramsText(massG)} in all`
  if (about === null) return grams
  if ('pieces' in about) return `About ${about.pieces} ${about.pieces === 1 ? 'piece' : 'pieces'} of ${gramsText(about.eachG)} · ${grams}`
  const { text, count, name } = inMeasures(about.volumeMl, [cup])
  return count > 0 ? `About ${measureText(text, count, name)} · ${grams}` : grams
}
function print(): void {
  window.print()
}
</script>

<template>
  <main
    id="main"
    class="labels"
  >
    <h1 class="visually-hidden">
      Labels
    </h1>
    <div class="screen-only bar">
      <NuxtLink
        class="stone-button"
        to="/tray"
      >
        Back
      </NuxtLink>
      <ElButton
        type="primary"
        :disabled="labels.length === 0"
        @click="print"
      >
        Print
      </ElButton>
      <div class="counts">
        <StepField
          v-for="one in facts"
          :key="one.id"
          :label="one.label.name"
          :value="String(countOf(one.id))"
          :can-less="countOf(one.id) > 0"
          @step="by => counts = { ...counts, [one.id]: countOf(one.id) + by }"
        />
      </div>
    </div>
    <TroubleNote
      v-if="state === 'away'"
      class="screen-only"
      says="The hearth cannot be reached, or one of these batches is not there. Nothing is lost."
    />
    <p
      v-if="state === 'here' && facts.length === 0"
      class="screen-only"
    >
      No finished batch was chosen.
    </p>
    <section
      v-for="(sheet, i) in sheets"
      :key="i"
      class="sheet"
    >
      <article
        v-for="{ key, label, cup } in sheet"
        :key="key"
        class="label"
      >
        <h2>{{ label.name }}</h2>
        <p class="dates">
          Made on {{ date(label.madeAt) }}<br>{{ within(label) }}
        </p>
        <p>Ingredients: {{ label.ingredients.map(nameOf).join(', ') }}.</p>
        <p v-if="label.allergens.length > 0">
          <strong>Contains {{ label.allergens.map(one => wordFor(ALLERGEN_WORDS, one) ?? one).join(', ') }}.</strong>
        </p>
        <p>
          <strong>{{ label.cold ? 'Keep cold.' : `Keep airtight, ${PLACE_WORDS.room}, cool.` }}</strong> {{ much(label, cup) }}. When in doubt, throw it out.
        </p>
      </article>
    </section>
  </main>
</template>

<style scoped>
.labels { padding: 20px; background: #fff; color: #000; min-height: 100vh; }
.bar { display: flex; flex-wrap: wrap; gap: 12px; align-items: start; color: #1b2040; margin-bottom: 16px; }
.bar :deep(:is(.el-button, .stone-button)) { color: #1b2040; background: #f7fafb; border-color: #1b2040; }
.bar .el-button--primary { background: #1e6b62; color: #fff; border-color: #124a43; }
.counts { display: flex; flex-wrap: wrap; gap: 4px 22px; }
.counts > * { width: 210px; }
.sheet { display: grid; grid-template-columns: 93mm 93mm; grid-auto-rows: 52mm; gap: 2mm; width: 188mm; margin: 0 auto 20px; }
.label { border: 0.3mm solid #000; border-bottom-width: 1mm; padding: 3mm 4mm; overflow: hidden; font-size: 9.5pt; line-height: 1.28; display: flex; flex-direction: column; gap: 1mm; }
h2 { font-size: 13pt; color: #000; }
.dates { font-size: 10.5pt; font-weight: 600; }
/* On a phone they stand one below the other; the paper is always as wide as it is. */
@media screen and (max-width: 760px) { .sheet { grid-template-columns: minmax(0, 1fr); grid-auto-rows: auto; width: auto; } }
@page { margin: 10mm; }
@media print {
  .screen-only { display: none; }
  .labels { padding: 0; }
  .sheet { margin: 0; break-after: page; }
  .sheet:last-child { break-after: auto; }
}
</style>
