<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { gramsText } from '../../composables/format'
import type { Ingredient } from '../../../contracts/ingredient'
import type { DishCard } from '../../../core/dish/dish'
import { CoreError } from '../../../core/error'
import { dishFromAmounts } from '../../../core/exchange/dishFromAmounts'
import { readLines } from '../../../core/exchange/readLines'
import { parseAmount } from '../../../core/measures/parseAmount'
import { countable } from '../../../core/measures/countable'
import { weightOf } from '../../../core/measures/weightOf'
import { DOUBT_WORDS } from '../../../words/book'
import ChoiceSelect from '../ChoiceSelect.vue'
import LabelledChoice from '../LabelledChoice.vue'

const props = defineProps<{
  /** Lines to begin with. */
  lines: string
  /** Name to begin with. */
  name: string
  /** The ingredient table. */
  table: readonly Ingredient[]
  /** Id for the dish that comes of it. */
  newId: () => string
}>()

const emit = defineEmits<{
  /** The dish that was read. */
  dish: [dish: DishCard]
}>()

const CUPS = [{ value: '240', label: 'a cup of 240 ml' }, { value: '250', label: 'a cup of 250 ml' }, { value: '200', label: 'a cup of 200 ml' }, { value: '180', label: 'a glass of 180 ml' }, { value: '150', label: 'a small cup of 150 ml' }]
const text = ref(props.lines)
const name = ref(props.name)
const cupMl = ref('240')
const chosen = ref<Record<number, string>>({})
const typed = ref<Record<number, string>>({})
const trouble = ref('')
watch(text, () => {
  chosen.value = {}
  typed.value = {}
})
const cup = computed(() => ({ id: 'their-cup', name: 'cup', volumeMl: Number(cupMl.value) }))
const read = computed(() => readLines(text.value, cup.value, props.table).map((line, i) => {
  const ingredient = chosen.value[i] === undefined ? line.ingredient : chosen.value[i] === '' ? null : chosen.value[i]
  const row = props.table.find(one => one.id === ingredient) ?? null
  const own = typed.value[i]
  const asked = own !== undefined && own.trim() !== ''
  const massG = asked ? (row ? weigh(own, row) : null) : ingredient === line.ingredient ? line.massG : line.massG !== null && row ? rescaled(line, row) : null
  const left = chosen.value[i] === ''
  const open = !line.heading && !left && (row === null || massG === null || (line.doubts.includes('which') && chosen.value[i] === undefined) || (line.doubts.includes('range') && !asked))
  return { ...line, i, ingredient, row, massG, left, open }
}))
/** The same volume of another ingredient. */
function rescaled(line: { readonly ingredient: string | null, readonly massG: number | null }, row: Ingredient): number | null {
  const old = props.table.find(one => one.id === line.ingredient)
  return old && line.massG !== null ? line.massG / old.bulkDensity * row.bulkDensity : null
}
function weigh(said: string, row: Ingredient): number | null {
  try {
    return weightOf(parseAmount(said, cup.value, [], countable(row)), row)
  }
  catch (error) {
    if (error instanceof CoreError) return null
    throw error
  }
}
const open = computed(() => read.value.filter(line => line.open).length)
const options = computed(() => props.table.map(row => ({ value: row.id, label: row.name })))
function optionsOf(line: { readonly ingredient: string | null, readonly others: readonly string[] }) {
  const first = [line.ingredient, ...line.others].flatMap(id => options.value.filter(one => one.value === id))
  return [...first, { value: '', label: 'leave this line out' }, ...options.value.filter(one => !first.includes(one))]
}
function make(): void {
  try {
    const amounts = read.value.flatMap(line => (line.row && line.massG !== null && !line.left ? [{ ingredient: line.row.id, massG: line.massG }] : []))
    emit('dish', dishFromAmounts(props.newId(), name.value.trim().slice(0, 60) || 'A dish from a text', amounts, id => props.table.find(row => row.id === id)!))
    trouble.value = ''
  }
  catch (error) {
    if (!(error instanceof CoreError)) throw error
    trouble.value = 'None of these lines can be the base of a halwa: a grain, a flour, a lentil, a vegetable, a fruit or nuts. Nothing was changed.'
  }
}
</script>

<template>
  <section
    class="paste"
    aria-label="A text from elsewhere"
  >
    <div class="two">
      <label>Ingredient lines, one below the other
        <textarea
          v-model="text"
          rows="9"
          placeholder="1 cup sooji&#10;3/4 cup ghee&#10;9 large pods of jackfruit"
        />
      </label>
      <div class="asks">
        <label>Name of the dish <input
          v-model="name"
          maxlength="60"
        ></label>
        <LabelledChoice
          asks="In that text a cup is"
          :chosen="cupMl"
          :options="CUPS"
          @choose="value => cupMl = value"
        />
        <p
          v-if="read.length > 0"
          :class="open > 0 ? 'danger' : 'soft'"
          role="status"
        >
          {{ open > 0 ? `${open} ${open === 1 ? 'line wants' : 'lines want'} a decision.` : 'Every line is decided.' }}
        </p>
        <button
          class="stone-button first"
          :disabled="open > 0 || read.length === 0"
          @click="make"
        >
          Make a dish of it
        </button>
        <p
          class="danger"
          role="alert"
        >
          {{ trouble }}
        </p>
      </div>
    </div>
    <table
      v-if="read.length > 0"
      role="table"
    >
      <thead><tr><th>The line</th><th>is</th><th>weighs</th><th>Why it is asked</th></tr></thead>
      <tbody>
        <tr
          v-for="line in read"
          :key="line.i"
          role="row"
          :class="{ open: line.open }"
        >
          <th scope="row">
            {{ line.text }}
          </th>
          <template v-if="line.heading">
            <td
              colspan="3"
              class="soft"
            >
              a heading, no ingredient
            </td>
          </template>
          <template v-else>
            <td>
              <ChoiceSelect
                :label="`What is ${line.text}`"
                :chosen="line.left ? '' : line.ingredient ?? undefined"
                :options="optionsOf(line)"
                @choose="value => chosen = { ...chosen, [line.i]: value }"
              />
            </td>
            <td>
              <template v-if="!line.left">
                <strong v-if="line.massG !== null">{{ gramsText(line.massG) }}</strong>
                <input
                  v-if="line.massG === null || line.doubts.includes('range') || line.doubts.includes('measure') || line.doubts.includes('no-amount')"
                  :value="typed[line.i] ?? ''"
                  :aria-label="`How much of ${line.text}`"
                  placeholder="200 g, 2 tbsp, a pinch"
                  @change="typed = { ...typed, [line.i]: ($event.target as HTMLInputElement).value }"
                >
              </template>
            </td>
            <td class="soft small">
              {{ line.left ? 'left out' : line.doubts.map(doubt => DOUBT_WORDS[doubt]).join(' ') }}
            </td>
          </template>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.paste { display: grid; gap: 14px; }
.two { display: grid; grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr); gap: 26px; }
label { display: grid; gap: 4px; font-weight: 600; }
td input { width: 170px; margin-left: 8px; }
thead th:nth-child(2) { width: 300px; }
thead th:nth-child(3) { width: 270px; }
.asks { display: grid; gap: 8px; align-content: start; }
table { border-collapse: collapse; width: 100%; }
th, td { text-align: left; font-weight: 400; padding: 6px 12px 6px 0; border-top: 2px solid var(--line); }
thead th { border: 0; color: var(--ink-soft); font-weight: 400; font-size: 0.9375rem; }
tr.open th { border-left: 5px solid var(--danger); padding-left: 10px; }
@media (max-width: 760px) {
  .two { grid-template-columns: minmax(0, 1fr); }
  table, tbody { display: block; }
  thead { display: none; }
  tr { display: grid; gap: 4px; border-top: 2px solid var(--line); padding: 8px 0; }
  th, td { border: 0; padding: 0; }
  tr th { font-weight: 650; }
  td input { margin: 0; width: 100%; }
}
</style>
