<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { gramsText } from '../../composables/format'
import type { Ingredient } from '../../../contracts/ingredient'
import type { Measure } from '../../../contracts/kitchen'
import { KJ_PER_KCAL } from '../../../core/materials/composition/energyOf'
import type { Correction } from '../../../core/materials/composition/correction'
import { sugarsOf } from '../../../core/materials/composition/sugarsOf'
import type { DishCard, Part } from '../../../core/formulation/dish/dish'
import type { Preparation } from '../../../core/formulation/dish/choices'
import { partsFor, preparationsFor } from '../../../core/formulation/dish/partsFor'
import { CoreError } from '../../../core/error'
import { countable } from '../../../core/formulation/measures/countable'
import { parseAmount } from '../../../core/formulation/measures/parseAmount'
import { weightOf } from '../../../core/formulation/measures/weightOf'
import type { SwapRule } from '../../../core/formulation/swaps/swap'
import type { AmountRow } from '../../../core/formulation/proportions/measuredAmounts'
import { PART_ROLE_WORDS } from '../../../words/balance'
import { CHOICE_WORDS } from '../../../words/choices'
import { FIGURE_WORDS, measureText, shortName } from '../../../words/measure'
import { tooMuchText } from '../../../words/amounts'
import LabelledChoice from '../LabelledChoice.vue'
import CorrectionForm from './CorrectionForm.vue'
import SwapList from './SwapList.vue'
import TroubleNote from '../TroubleNote.vue'

const props = defineProps<{
  /** Swaps of the book. */
  swaps: readonly SwapRule[]
  /** The ingredient, measured out. */
  amount: AmountRow<Ingredient>
  /** Dish in hand. */
  card: DishCard
  /** Weight of its base, g. */
  baseG: number
  /** Rows of the ingredient table. */
  rowOf: (id: string) => Ingredient
  /** Cup in hand. */
  cup: Measure
  /** All measures of the house. */
  measures: readonly Measure[]
  /** What the household knows better, if anything. */
  correction: Correction | null
  /** Money of the household. */
  currency: string
  /** Whether everything follows when the base is set. */
  follows: boolean
}>()

const emit = defineEmits<{
  /** A new weight, g. */
  change: [massG: number]
  /** The dish after a swap. */
  swap: [card: DishCard]
  /** The ingredient is taken out. */
  out: []
  /** It plays another part. */
  part: [part: Part]
  /** As a second base it is got ready in another way. */
  ready: [preparation: Preparation]
  /** Whether everything is to follow the base. */
  follows: [on: boolean]
  /** Something was weighed or priced. */
  correct: [correction: Correction]
}>()

const row = computed(() => props.amount.row)
const typed = ref('')
const trouble = ref('')
watch(() => [props.amount.id, props.amount.massG], () => {
  typed.value = ''
  trouble.value = ''
})
function set(): void {
  if (typed.value.trim() === '') return
  try {
    const massG = weightOf(parseAmount(typed.value, props.cup, props.measures, countable(row.value)), row.value)
    const most = tooMuchText(massG, row.value, props.baseG)
    if (most) {
      trouble.value = most
      return
    }
    emit('change', massG)
    trouble.value = ''
  }
  catch (error) {
    trouble.value = error instanceof CoreError && error.code === 'out-of-range'
      ? `"${typed.value}" is nothing, or more than a kitchen holds. Nothing was changed.`
      : `"${typed.value}" was not understood. Say it as 1 1/2 ${shortName(props.cup.name)}, 200 g, 2 tbsp${row.value.piece ? `, 3 ${row.value.piece.plural}` : ''}. Nothing was changed.`
  }
}
const mine = computed(() => props.card.ingredients.find(one => one.id === props.amount.id))
const part = computed(() => mine.value?.part)
const parts = computed(() => partsFor(row.value).map(value => ({ value, label: PART_ROLE_WORDS[value] })))
const ways = computed(() => (mine.value?.asBase ? preparationsFor(props.card, mine.value.asBase.family).map(value => ({ value, label: CHOICE_WORDS.preparation.answers[value]! })) : []))
function chooseWay(value: string): void {
  const chosen = ways.value.find(one => one.value === value)
  if (chosen) emit('ready', chosen.value)
}
function choosePart(value: string): void {
  const chosen = parts.value.find(one => one.value === value)
  if (chosen) emit('part', chosen.value)
}
const isBase = computed(() => props.amount.id === props.card.base)
const kcal = computed(() => Math.round(row.value.nutrients.energyKj / KJ_PER_KCAL))
</script>

<template>
  <section
    class="panel"
    :aria-label="row.name"
  >
    <p class="soft">
        {{ row.otherNames.slice(0, 5).join(' · ') }}
      </p>
    <form
      class="typed"
      @submit.prevent="set"
    >
      <label :for="`amount-${amount.id}`">{{ gramsText(amount.massG) }}, that is {{ amount.spoken.count === 0 ? 'a pinch' : measureText(amount.spoken.text, amount.spoken.count, amount.spoken.name) }}. Change it to</label>
      <ElInput
        :id="`amount-${amount.id}`"
        v-model="typed"
        autocomplete="off"
        :placeholder="row.piece ? `200 g, ½ ${shortName(cup.name)}, 3 ${row.piece.plural}` : `200 g, ½ ${shortName(cup.name)}, 2 tbsp`"
      />
      <ElButton native-type="submit">
        Set
      </ElButton>
      <ElButton
        v-if="!isBase"
        text
        @click="emit('out')"
      >
        Leave it out
      </ElButton>
    </form>
    <TroubleNote :says="trouble" />
    <ElCheckbox
      v-if="isBase"
      :model-value="follows"
      @change="on => emit('follows', on === true)"
    >
      everything else follows, in proportion
    </ElCheckbox>
    <LabelledChoice
      v-else
      asks="What it does in this dish"
      class="part"
      :chosen="part"
      :options="parts"
      @choose="choosePart"
    />
    <LabelledChoice
      v-if="!isBase && ways.length > 1"
      asks="Got ready as"
      class="part"
      :chosen="mine?.asBase?.preparation"
      :options="ways"
      @choose="chooseWay"
    />
    <SwapList
      :id="amount.id"
      :swaps="swaps"
      :card="card"
      :base-g="baseG"
      :row-of="rowOf"
      @swap="next => emit('swap', next)"
    />
    <CorrectionForm
      :row="row"
      :cup="cup"
      :correction="correction"
      :currency="currency"
      @correct="one => emit('correct', one)"
    />
    <p class="soft small">
      100 g hold {{ Math.round(row.nutrients.water) }} g water, {{ Math.round(row.nutrients.fat) }} g fat, {{ Math.round(sugarsOf(row.nutrients)) }} g sugars, {{ Math.round(row.nutrients.starch) }} g starch, {{ Math.round(row.nutrients.protein) }} g protein, {{ row.nutrients.energyKj }} kJ ({{ kcal }} kcal): {{ row.source.composition }}<template v-if="row.source.compositionOrigin !== 'table' && !row.source.composition.includes('recalled')">
        , {{ FIGURE_WORDS[row.source.compositionOrigin] }}
      </template>.
      <template v-if="row.allergens.length > 0">
        Carries {{ row.allergens.join(', ') }}.
      </template>
    </p>
  </section>
</template>

<style scoped>
.panel { display: grid; gap: 10px; }
header { display: flex; align-items: baseline; gap: 16px; }
header .el-button { margin-left: auto; }
.typed { display: flex; flex-wrap: wrap; align-items: center; gap: 10px; }
.part { max-width: 420px; }
.typed .el-input { flex: 0 1 260px; min-width: 140px; }
</style>
