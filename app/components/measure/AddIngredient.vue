<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { gramsText } from '../../composables/format'
import type { Ingredient } from '../../../contracts/ingredient'
import type { Measure } from '../../../contracts/kitchen'
import type { DishCard, Part } from '../../../core/formulation/dish/dish'
import { partsFor } from '../../../core/formulation/dish/partsFor'
import { withIngredient } from '../../../core/formulation/dish/withIngredient'
import { CoreError } from '../../../core/error'
import { countable } from '../../../core/formulation/measures/countable'
import { parseAmount } from '../../../core/formulation/measures/parseAmount'
import { weightOf } from '../../../core/formulation/measures/weightOf'
import { balanceShift } from '../../../core/formulation/yield/balanceShift'
import { foldSpelling } from '../../../core/formulation/spelling/foldSpelling'
import { partOf } from '../../../core/formulation/swaps/applySwap'
import { tooMuchText } from '../../../words/amounts'
import { balanceText, PART_ROLE_WORDS } from '../../../words/balance'
import { shortName } from '../../../words/measure'
import LabelledChoice from '../LabelledChoice.vue'
import OwnIngredient from './OwnIngredient.vue'
import TroubleNote from '../TroubleNote.vue'

const props = defineProps<{
  /** Dish in hand. */
  card: DishCard
  /** Weight of its base, g. */
  baseG: number
  /** Every ingredient of the house. */
  table: readonly Ingredient[]
  /** Rows of the table. */
  rowOf: (id: string) => Ingredient
  /** Cup in hand. */
  cup: Measure
  /** All measures of the house. */
  measures: readonly Measure[]
  /** Money of the household. */
  currency: string
  /** Id for an ingredient of the household's own. */
  newId: () => string
}>()

const emit = defineEmits<{
  /** The dish with the ingredient in it. */
  add: [card: DishCard]
  /** An ingredient of the household's own, and the price of a kilogram. */
  own: [row: Ingredient, pricePerKg: number | null]
}>()

const chosen = ref('')
const part = ref<Part>('spice')
const typed = ref('')
const looked = ref('')
const making = ref(false)
const field = useTemplateRef('field')
const row = computed(() => props.table.find(one => one.id === chosen.value) ?? null)
const parts = computed(() => partsFor(row.value).map(value => ({ value, label: PART_ROLE_WORDS[value] })))
const names = computed(() => props.table.map(one => ({ value: one.id, label: one.name, all: foldSpelling([one.name, ...one.otherNames].join(' ')) })))
const options = computed(() => {
  const words = foldSpelling(looked.value).split(' ').filter(word => word !== '')
  return names.value.filter(one => words.every(word => one.all.includes(word)))
})
watch(row, async (one) => {
  if (!one) return
  part.value = partOf(one)
  await nextTick()
  field.value?.focus()
})
function choosePart(value: string): void {
  const found = parts.value.find(one => one.value === value)
  if (found) part.value = found.value
}

/** What the typed amount comes to: the dish with it in, or a sentence of refusal. */
const read = computed((): { readonly massG: number, readonly next: DishCard } | { readonly trouble: string } | null => {
  if (!row.value || typed.value.trim() === '') return null
  try {
    const massG = weightOf(parseAmount(typed.value, props.cup, props.measures, countable(row.value)), row.value)
    const most = tooMuchText(massG, row.value, props.baseG)
    return most ? { trouble: most } : { massG, next: withIngredient(props.card, row.value, part.value, massG / props.baseG) }
  }
  catch (error) {
    if (!(error instanceof CoreError)) throw error
    return { trouble: error.code === 'out-of-range' ? 'That is nothing, or more than this dish can take. Nothing was changed.' : `"${typed.value}" was not understood. Say it as 10 g, 2 tbsp, ½ ${shortName(props.cup.name)}, a pinch. Nothing was changed.` }
  }
})
const trouble = computed(() => (read.value && 'trouble' in read.value ? read.value.trouble : ''))
const nameOf = (id: string): string => (row.value && id.startsWith(row.value.id) ? row.value.name.toLowerCase() : id.replaceAll('-', ' '))
const does = computed(() => (read.value && 'next' in read.value ? balanceText(balanceShift(props.card, read.value.next, props.baseG, props.rowOf), props.card.family, gramsText, nameOf) : []))
function put(): void {
  if (read.value && 'next' in read.value) emit('add', read.value.next)
}
async function keepOwn(own: Ingredient, pricePerKg: number | null): Promise<void> {
  emit('own', own, pricePerKg)
  making.value = false
  await nextTick()
  chosen.value = own.id
}
</script>

<template>
  <section
    class="adds"
    aria-label="Add an ingredient"
  >
    <form
      class="row"
      @submit.prevent="put"
    >
      <div class="which">
        <span
          class="asks"
          aria-hidden="true"
        >What goes in</span>
        <ElSelect
          v-model="chosen"
          filterable
          placeholder="kesar, nuts, raisins, salt …"
          aria-label="What goes in"
          :filter-method="(text: string) => { looked = text }"
          no-match-text="Nothing of the table is called so"
          @visible-change="looked = ''"
        >
          <ElOption
            v-for="one in options"
            :key="one.value"
            :value="one.value"
            :label="one.label"
          />
        </ElSelect>
      </div>
      <LabelledChoice
        asks="As what"
        class="as"
        :chosen="part"
        :options="parts"
        @choose="choosePart"
      />
      <label class="much">How much
        <ElInput
          ref="field"
          v-model="typed"
          :placeholder="row?.piece ? `3 ${row.piece.plural}, 10 g, 2 tbsp` : '10 g, 2 tbsp, a pinch'"
          autocomplete="off"
        />
      </label>
      <ElButton
        native-type="submit"
        type="primary"
        :disabled="!read || !('next' in read)"
      >
        Put it in
      </ElButton>
    </form>
    <TroubleNote :says="trouble" />
    <ul
      v-if="read && 'next' in read"
      role="status"
      aria-label="What it does to the balance"
    >
      <li>{{ gramsText(read.massG) }} of {{ row?.name.toLowerCase() }}:</li>
      <li
        v-for="line in does"
        :key="line"
      >
        {{ line }}
      </li>
    </ul>
    <OwnIngredient
      v-if="making"
      :table="table"
      :cup="cup"
      :currency="currency"
      :new-id="newId"
      @own="keepOwn"
      @close="making = false"
    />
    <ElButton
      v-else
      text
      @click="making = true"
    >
      It is not in the list: add one of our own
    </ElButton>
  </section>
</template>

<style scoped>
.adds { display: grid; gap: 8px; justify-items: start; }
header { display: flex; align-items: baseline; gap: 16px; width: 100%; }
header .el-button { margin-left: auto; }
.row { display: flex; flex-wrap: wrap; gap: 10px 14px; align-items: flex-end; width: 100%; }
.which { flex: 1 1 220px; }
.as { flex: 1 1 240px; }
.much { flex: 0 1 190px; font-weight: 600; font-size: 0.9375rem; }
.asks { display: block; font-weight: 600; font-size: 0.9375rem; margin-bottom: 2px; }
ul { margin: 0; padding: 0; list-style: none; display: flex; flex-wrap: wrap; gap: 2px 14px; }
</style>
