<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { gramsText } from '../../composables/format'
import { hearthNow } from '../../clients/hearthClock'
import { isHeld } from '../../composables/formRules'
import { typedGrams, typedNumber, weightUnit } from '../../composables/typed'
import type { Ingredient } from '../../../contracts/ingredient'
import { CorrectionSchema, type Measure } from '../../../contracts/kitchen'
import type { Correction } from '../../../core/materials/composition/correction'
import { FIGURE_WORDS, shortName } from '../../../words/measure'
import TroubleNote from '../TroubleNote.vue'

const props = defineProps<{
  /** Row of the ingredient, corrections in it. */
  row: Ingredient
  /** Cup in hand. */
  cup: Measure
  /** What the household knows better, if anything. */
  correction: Correction | null
  /** Money of the household. */
  currency: string
}>()

const emit = defineEmits<{
  /** Something was weighed or priced. */
  correct: [correction: Correction]
}>()

/** Fields by what they correct: what is said of their limits, in their own unit, and how they are kept. */
const FIELDS = {
  cup: { min: 5, max: 8000, key: 'weighings' },
  piece: { min: 0.001, max: 10000, key: 'pieceG' },
  prepared: { min: 10, max: 100, key: 'prepared' },
  price: { min: 0.01, max: 1_000_000, key: 'pricePerKg' },
} as const
type Field = keyof typeof FIELDS

const typed = ref<Record<Field, string>>({ cup: '', piece: '', prepared: '', price: '' })
const trouble = ref('')
watch(() => props.row.id, () => {
  typed.value = { cup: '', piece: '', prepared: '', price: '' }
  trouble.value = ''
})
/** So many weighings of a food are kept, the newest ones. */
const KEPT = 60
const weighed = computed(() => [...props.correction?.weighings ?? [], ...(props.correction?.bulkDensity === undefined ? [] : [props.correction.bulkDensity])].length)
const known = computed(() => {
  const { row, cup } = props
  const origin = row.source.densityOrigin === 'weighed' ? `${FIGURE_WORDS.weighed}${weighed.value > 1 ? `, ${weighed.value} times` : ''}` : `${FIGURE_WORDS[row.source.densityOrigin]}: ${row.source.density.replace('estimate: ', '')}`
  return [
    `One ${shortName(cup.name)} of it is taken as ${gramsText(cup.volumeMl * row.bulkDensity)} (${origin})`,
    row.piece ? `one ${row.piece.noun} as ${gramsText(row.piece.medium)} as bought` : '',
    row.yields.prepared < 1 ? `${Math.round(row.yields.prepared * 100)} % is left once it is ready` : '',
  ].filter(Boolean).join('; ') + '.'
})
function keep(field: Field): void {
  if (typed.value[field].trim() === '') return
  const inGrams = field === 'cup' || field === 'piece'
  const value = inGrams ? typedGrams(typed.value[field]) : typedNumber(typed.value[field])
  const { min, max, key } = FIELDS[field]
  const kept = field === 'cup' ? value / props.cup.volumeMl : field === 'prepared' ? value / 100 : value
  const rounded = Math.round(kept * 10000) / 10000
  const weighing = { at: hearthNow(), volumeMl: props.cup.volumeMl, massG: Math.round(value * 10) / 10 }
  if (!isHeld(CorrectionSchema, { [key]: field === 'cup' ? [weighing] : rounded })) {
    trouble.value = field === 'cup'
      ? `A ${shortName(props.cup.name)} of ${Math.round(props.cup.volumeMl)} ml holds between ${gramsText(props.cup.volumeMl * 0.1)} and ${gramsText(props.cup.volumeMl * 2)} of any food. Nothing was changed.`
      : `Between ${inGrams ? gramsText(min) : min} and ${inGrams ? gramsText(max) : max}, please. Nothing was changed.`
    return
  }
  trouble.value = ''
  emit('correct', { ...props.correction, id: props.row.id, [key]: field === 'cup' ? [...props.correction?.weighings ?? [], weighing].slice(-KEPT) : rounded })
  typed.value = { ...typed.value, [field]: '' }
}
function forget(): void {
  const { pricePerKg } = props.correction ?? {}
  emit('correct', { id: props.row.id, ...(pricePerKg === undefined ? {} : { pricePerKg }) })
}
</script>

<template>
  <div class="correct">
    <p class="soft small">
      {{ known }} Weigh it, and it is remembered; the more often, the surer:
    </p>
    <form
      class="fields"
      @submit.prevent
    >
      <label>A full {{ shortName(cup.name) }}, {{ weightUnit() }}<ElInput
        v-model="typed.cup"
        inputmode="decimal"
        autocomplete="off"
        @change="keep('cup')"
      /></label>
      <label v-if="row.piece">One {{ row.piece.noun }}, {{ weightUnit() }}<ElInput
        v-model="typed.piece"
        inputmode="decimal"
        autocomplete="off"
        @change="keep('piece')"
      /></label>
      <label v-if="row.kind === 'produce' || row.kind === 'coconut'">Left when ready, %<ElInput
        v-model="typed.prepared"
        inputmode="decimal"
        autocomplete="off"
        @change="keep('prepared')"
      /></label>
      <label v-if="row.kind !== 'water'">Price of a kg<template v-if="currency">, {{ currency }}</template><ElInput
        v-model="typed.price"
        inputmode="decimal"
        autocomplete="off"
        :placeholder="correction?.pricePerKg === undefined ? '' : String(correction.pricePerKg)"
        @change="keep('price')"
      /></label>
      <ElButton
        v-if="correction && (weighed > 0 || correction.pieceG !== undefined || correction.prepared !== undefined)"
        text
        @click="forget"
      >
        Back to the table
      </ElButton>
    </form>
    <TroubleNote :says="trouble" />
  </div>
</template>

<style scoped>
.correct { display: grid; gap: 6px; }
.fields { display: flex; flex-wrap: wrap; gap: 10px 16px; align-items: end; }
.fields label { display: grid; font-size: 0.9375rem; font-weight: 600; }
.fields .el-input { display: flex; width: 130px; }
</style>
