<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { typedGrams, typedNumber, weightUnit } from '../../composables/typed'
import { IngredientSchema, type Ingredient } from '../../../contracts/ingredient'
import type { Measure } from '../../../contracts/kitchen'
import { ALLERGENS, type Allergen } from '../../../core/composition/ingredient'
import { ownIngredient, type PackageFigures } from '../../../core/composition/ownIngredient'
import { CoreError } from '../../../core/error'
import { ALLERGEN_WORDS } from '../../../words/after'
import { shortName } from '../../../words/measure'
import LabelledChoice from '../LabelledChoice.vue'
import TroubleNote from '../TroubleNote.vue'

const props = defineProps<{
  /** Every ingredient of the house. */
  table: readonly Ingredient[]
  /** Cup in hand. */
  cup: Measure
  /** Money of the household. */
  currency: string
  /** Id for the new one. */
  newId: () => string
}>()

const emit = defineEmits<{
  /** The ingredient, and the price of a kilogram where it was given. */
  own: [row: Ingredient, pricePerKg: number | null]
  /** It is to be closed. */
  close: []
}>()

const FIGURES = [['fat', 'fat'], ['carbohydrate', 'carbohydrate'], ['sugars', 'of it sugars'], ['fibre', 'fibre'], ['protein', 'protein'], ['salt', 'salt']] as const
const name = ref('')
const likeId = ref('')
const cupful = ref('')
const price = ref('')
const figures = reactive<Record<keyof PackageFigures, string>>({ fat: '', carbohydrate: '', sugars: '', fibre: '', protein: '', salt: '' })
const allergens = ref<Allergen[]>([])
const trouble = ref('')
const options = computed(() => props.table.map(row => ({ value: row.id, label: row.name })))
const like = computed(() => props.table.find(row => row.id === likeId.value) ?? null)
watch(like, (row) => {
  allergens.value = [...row?.allergens ?? []]
})
const LABELS: Readonly<Record<string, string>> = { fat: 'fat', carbohydrate: 'carbohydrate', sugars: 'sugars', fibre: 'fibre', protein: 'protein', salt: 'salt', figures: 'all of them together', bulkDensity: 'the weight of a cup' }

function said(): PackageFigures | null {
  if (FIGURES.every(([key]) => figures[key].trim() === '')) return null
  const of = (key: keyof PackageFigures): number => (figures[key].trim() === '' ? 0 : typedNumber(figures[key]))
  return { fat: of('fat'), carbohydrate: of('carbohydrate'), sugars: of('sugars'), fibre: of('fibre'), protein: of('protein'), salt: of('salt') }
}
function keep(): void {
  if (name.value.trim() === '' || !like.value) {
    trouble.value = 'Give it a name, and say which food it is most like: what you do not know is taken from that one. Nothing was kept.'
    return
  }
  if (props.table.some(row => row.name.toLowerCase() === name.value.trim().toLowerCase())) {
    trouble.value = `${name.value.trim()} is in the table already. Choose it there, or give this one another name. Nothing was kept.`
    return
  }
  const cost = price.value.trim() === '' ? null : typedNumber(price.value)
  if (cost !== null && !(cost > 0 && cost <= 1_000_000)) {
    trouble.value = 'A price is a number above nothing. Nothing was kept.'
    return
  }
  try {
    const bulkDensity = cupful.value.trim() === '' ? null : typedGrams(cupful.value) / props.cup.volumeMl
    const row = IngredientSchema.parse(ownIngredient({ id: `own-${props.newId()}`.slice(0, 64), name: name.value.trim().slice(0, 60), like: like.value, bulkDensity, figures: said(), allergens: allergens.value }))
    trouble.value = ''
    emit('own', row, cost)
  }
  catch (error) {
    const what = error instanceof CoreError ? LABELS[error.path.split('.')[1] ?? ''] : undefined
    trouble.value = `${what ? `Look at ${what} again: ` : ''}100 g hold no more than 100 g of parts, sugars are part of the carbohydrate, and a cup of food weighs between a tenth and twice what a cup of water does. Nothing was kept.`
  }
}
</script>

<template>
  <form
    class="own"
    aria-label="An ingredient of our own"
    @submit.prevent="keep"
  >
    <h3>One of our own</h3>
    <div class="row">
      <label>Its name <ElInput
        v-model="name"
        maxlength="60"
        autocomplete="off"
      /></label>
      <LabelledChoice
        class="like"
        asks="Most like"
        :chosen="likeId"
        :options="options"
        @choose="value => likeId = value"
      />
      <label>A level {{ shortName(cup.name) }} weighs, {{ weightUnit() }} <ElInput
        v-model="cupful"
        inputmode="decimal"
        placeholder="not weighed"
      /></label>
      <label>A kilogram costs<template v-if="currency">, {{ currency }}</template> <ElInput
        v-model="price"
        inputmode="decimal"
        placeholder="not known"
      /></label>
    </div>
    <fieldset>
      <legend>100 g hold, by its package, g (left empty: as the food it is like)</legend>
      <label
        v-for="[key, label] in FIGURES"
        :key="key"
      >{{ label }} <ElInput
        v-model="figures[key]"
        inputmode="decimal"
      /></label>
    </fieldset>
    <fieldset v-if="like">
      <legend>It carries</legend>
      <ElCheckboxGroup
        v-model="allergens"
        class="carries"
      >
        <ElCheckbox
          v-for="one in ALLERGENS"
          :key="one"
          :value="one"
          :label="ALLERGEN_WORDS[one] ?? one"
        />
      </ElCheckboxGroup>
    </fieldset>
    <TroubleNote :says="trouble" />
    <div class="ends">
      <ElButton
        native-type="submit"
        type="primary"
      >
        Keep it in our table
      </ElButton>
      <ElButton
        text
        @click="emit('close')"
      >
        Leave it
      </ElButton>
    </div>
  </form>
</template>

<style scoped>
.own { display: grid; gap: 8px; width: 100%; border-top: 2px solid var(--line); padding-top: 10px; }
h3 { margin: 0; }
.row, fieldset, .ends { display: flex; flex-wrap: wrap; gap: 8px 14px; align-items: flex-end; }
fieldset { border: 0; margin: 0; padding: 0; }
legend { font-weight: 600; padding: 0; margin-bottom: 4px; }
label { font-weight: 600; font-size: 0.9375rem; flex: 1 1 110px; max-width: 260px; }
.like { flex: 1 1 220px; }
.carries { display: flex; flex-wrap: wrap; gap: 0 14px; }
</style>
