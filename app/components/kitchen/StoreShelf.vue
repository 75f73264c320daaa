<script setup lang="ts">
import type { FormInstance } from 'element-plus'
import { computed, reactive, ref } from 'vue'
import { calendarDayText } from '../../composables/format'
import { gramsToType, typedGrams, weightUnit } from '../../composables/typed'
import { formRules, isHeld, isRight } from '../../composables/formRules'
import { StoreItemSchema, type Kitchen } from '../../../contracts/kitchen'
import type { Ingredient } from '../../../contracts/ingredient'
import { dayNumberOf } from '../../../core/maths/time/houseDay'
import { CoreError } from '../../../core/error'
import { countable } from '../../../core/formulation/measures/countable'
import { parseAmount } from '../../../core/formulation/measures/parseAmount'
import { weightOf } from '../../../core/formulation/measures/weightOf'
import { lastDay } from '../../../core/formulation/store/shopping'
import DateField from '../DateField.vue'
import LabelledChoice from '../LabelledChoice.vue'
import DraftField from '../DraftField.vue'

type Item = Kitchen['store'][number]

const props = defineProps<{
  /** What is in the house. */
  store: readonly Item[]
  /** The ingredient table. */
  table: readonly Ingredient[]
  /** Measures of the house. */
  measures: Kitchen['measures']
  /** Today, days since 1970-01-01. */
  today: number
  /** Id for a new thing. */
  newId: () => string
}>()

const emit = defineEmits<{
  /** A thing of the store is new or changed. */
  put: [item: Item]
  /** A thing is used up or thrown out. */
  gone: [item: Item]
}>()

const SOON = 5
const ingredient = ref('semolina-medium')
const typed = reactive({ massG: '', useBy: '' })
const form = ref<FormInstance | null>(null)
const rowOf = (id: string): Ingredient | undefined => props.table.find(row => row.id === id)
const FAR_DAYS = 300
const day = (number: number): string => calendarDayText(number, Math.abs(number - props.today) > FAR_DAYS)
const shown = computed(() => props.store.flatMap((item) => {
  const row = rowOf(item.ingredient)
  if (!row) return []
  const last = lastDay(item, row)
  const left = last - props.today
  return [{ item, row, last, left, past: left < 0, soon: left >= 0 && left <= SOON }]
}).sort((p, q) => p.last - q.last))
/** What was said, g to a tenth; NaN where it is no amount. */
function grams(said: string): number {
  const row = rowOf(ingredient.value)
  const cup = props.measures.find(one => one.kind === 'cup')
  if (!row || !cup) return Number.NaN
  try {
    return Math.round(10 * weightOf(parseAmount(said, cup, props.measures, countable(row)), { ...row, yields: { ...row.yields, prepared: 1 } })) / 10
  }
  catch (error) {
    if (!(error instanceof CoreError)) throw error
    return Number.NaN
  }
}
const until = (day: string): number | null => (day === '' ? null : dayNumberOf(day))
const rules = formRules(StoreItemSchema, {
  massG: { read: grams, says: () => `${typed.massG.trim() === '' ? 'How much is it?' : `"${typed.massG}" was not understood as an amount.`} Say it as 500 g, 1 kg, 2 cups${rowOf(ingredient.value)?.piece ? `, 3 ${rowOf(ingredient.value)?.piece?.plural}` : ''}. Nothing was changed.` },
  useBy: { read: until, says: 'Choose a day, or leave it empty. Nothing was changed.' },
})
async function add(): Promise<void> {
  if (!await isRight(form)) return
  emit('put', { id: props.newId(), ingredient: ingredient.value, massG: grams(typed.massG), gotOn: props.today, openedOn: null, useBy: until(typed.useBy) })
  form.value?.resetFields()
}
function setMass(item: Item, text: string): void {
  const value = typedGrams(text)
  if (isHeld(StoreItemSchema, { massG: value })) emit('put', { ...item, massG: value })
}
</script>

<template>
  <section aria-label="In the store">
    <h2>In the store</h2>
    <p class="soft small">
      What must be used next stands first. Days are cautious estimates or the package's own; when in doubt throw out.
    </p>
    <table
      v-if="shown.length > 0"
      role="table"
    >
      <thead><tr><th>What</th><th>{{ weightUnit() }} left</th><th>got</th><th>opened</th><th>good until</th><th><span class="visually-hidden">Away with it</span></th></tr></thead>
      <tbody>
        <tr
          v-for="one in shown"
          :key="one.item.id"
          role="row"
          :class="{ past: one.past, soon: one.soon }"
        >
          <th scope="row">
            {{ one.row.name }}
          </th>
          <td>
            <DraftField
              class="mass"
              inputmode="decimal"
              :value="gramsToType(one.item.massG)"
              :aria-label="`${one.row.name} left, ${weightUnit()}`"
              @set="text => setMass(one.item, text)"
            /> <span class="unit soft small">{{ weightUnit() }}</span>
          </td>
          <td class="got soft">
            {{ day(one.item.gotOn) }}
          </td>
          <td>
            <span v-if="one.item.openedOn !== null"><span class="narrow">opened </span>{{ day(one.item.openedOn) }}</span>
            <ElButton
              v-else-if="one.row.kind !== 'produce'"
              text
              @click="emit('put', { ...one.item, openedOn: today })"
            >
              Opened today
            </ElButton>
          </td>
          <td><span class="narrow">good until </span>{{ Number.isFinite(one.last) ? day(one.last) : 'not known' }} <strong
            v-if="one.past"
            class="danger"
          >past its day</strong><strong v-else-if="one.soon">{{ one.left === 0 ? 'today' : `in ${one.left} ${one.left === 1 ? 'day' : 'days'}` }}</strong></td>
          <td>
            <ElButton
              text
              @click="emit('gone', one.item)"
            >
              Used up
            </ElButton>
          </td>
        </tr>
      </tbody>
    </table>
    <p
      v-else
      class="soft"
    >
      Nothing is written down yet. Put in what you have, and every dish tells what is missing.
    </p>
    <ElForm
      ref="form"
      class="add"
      :model="typed"
      :rules="rules"
      hide-required-asterisk
      @submit.prevent="add"
    >
      <LabelledChoice
        asks="What was got"
        :chosen="ingredient"
        :options="table.filter(row => row.kind !== 'water').map(row => ({ value: row.id, label: row.name }))"
        @choose="value => ingredient = value"
      />
      <ElFormItem
        prop="massG"
        label="How much"
      >
        <ElInput
          v-model="typed.massG"
          placeholder="500 g, 1 kg, 2 cups"
          autocomplete="off"
        />
      </ElFormItem>
      <ElFormItem
        prop="useBy"
        label="Use by"
      >
        <DateField
          v-model="typed.useBy"
          label="Use by"
        />
      </ElFormItem>
      <ElButton native-type="submit">
        Put it in
      </ElButton>
    </ElForm>
  </section>
</template>

<style scoped>
table { border-collapse: collapse; width: 100%; margin: 8px 0; }
th, td { text-align: left; font-weight: 400; border-top: 2px solid var(--line); padding: 2px 14px 2px 0; }
thead th { border: 0; color: var(--ink-soft); font-size: 0.9375rem; }
tr.past th { border-left: 5px solid var(--danger); padding-left: 10px; }
tr.soon th { border-left: 5px solid var(--ink); padding-left: 10px; font-weight: 650; }
.mass { width: 88px; min-height: 36px; border-width: 1px 1px 2px; }
.unit, .narrow { display: none; }
.add { display: flex; flex-wrap: wrap; gap: 10px 14px; align-items: start; margin-top: 6px; }
.add .el-form-item { margin: 0; flex: 0 1 220px; }
.add > :first-child { flex: 0 1 260px; }
/* Beside the fields, not beside their labels. */
.add > .el-button { margin-top: 25px; }
@media (max-width: 700px) {
  .narrow, .unit { display: inline; }
  thead, .got { display: none; }
  table, tbody { display: block; }
  tr { display: flex; flex-wrap: wrap; align-items: center; gap: 2px 16px; border-top: 2px solid var(--line); padding: 6px 0; }
  th, td { border: 0; padding: 0; }
  tr th { flex: 1 1 100%; font-weight: 650; }
}
</style>
