<script setup lang="ts">
import type { FormInstance } from 'element-plus'
import { computed, reactive, ref, watch } from 'vue'
import { formRules, isRight } from '../../composables/formRules'
import { typedGrams, typedNumber, weightUnit } from '../../composables/typed'
import { IngredientSchema, OwnIngredientSchema, type Ingredient } from '../../../contracts/ingredient'
import type { Measure } from '../../../contracts/kitchen'
import { ALLERGENS, type Allergen } from '../../../core/materials/composition/ingredient'
import { ownIngredient, type PackageFigures } from '../../../core/materials/composition/ownIngredient'
import { CoreError } from '../../../core/error'
import { ALLERGEN_WORDS } from '../../../words/after'
import { shortName } from '../../../words/measure'
import ChoiceSelect from '../ChoiceSelect.vue'
import TroubleNote from '../TroubleNote.vue'
import { wordFor } from '../../../words/wordFor'

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
const typed = reactive({ name: '', like: '', bulkDensity: '', pricePerKg: '' })
const form = ref<FormInstance | null>(null)
const figures = reactive<Record<keyof PackageFigures, string>>({ fat: '', carbohydrate: '', sugars: '', fibre: '', protein: '', salt: '' })
const allergens = ref<Allergen[]>([])
const trouble = ref('')
const options = computed(() => props.table.map(row => ({ value: row.id, label: row.name })))
const like = computed(() => props.table.find(row => row.id === typed.like) ?? null)
watch(like, (row) => {
  allergens.value = [...row?.allergens ?? []]
})
const LABELS: Readonly<Record<string, string>> = { fat: 'fat', carbohydrate: 'carbohydrate', sugars: 'sugars', fibre: 'fibre', protein: 'protein', salt: 'salt', figures: 'all of them together' }
const isKnown = computed(() => props.table.some(row => row.name.toLowerCase() === typed.name.trim().toLowerCase()))
const ofCup = (text: string): number | null => (text.trim() === '' ? null : typedGrams(text) / props.cup.volumeMl)
const cost = (text: string): number | null => (text.trim() === '' ? null : typedNumber(text))
const rules = formRules(OwnIngredientSchema, {
  name: { read: text => (isKnown.value ? '' : text), says: () => (isKnown.value ? `${typed.name.trim()} is in the table already. Choose it there, or give this one another name. Nothing was kept.` : 'Give it a name. Nothing was kept.') },
  like: { says: 'Say which food it is most like: what you do not know is taken from that one. Nothing was kept.' },
  bulkDensity: { read: ofCup, says: 'A cup of food weighs between a tenth and twice what a cup of water does. Nothing was kept.' },
  pricePerKg: { read: cost, says: 'A price is a number above nothing. Nothing was kept.' },
})

function said(): PackageFigures | null {
  if (FIGURES.every(([key]) => figures[key].trim() === '')) return null
  const of = (key: keyof PackageFigures): number => (figures[key].trim() === '' ? 0 : typedNumber(figures[key]))
  return { fat: of('fat'), carbohydrate: of('carbohydrate'), sugars: of('sugars'), fibre: of('fibre'), protein: of('protein'), salt: of('salt') }
}
async function keep(): Promise<void> {
  if (!await isRight(form) || !like.value) return
  try {
    const bulkDensity = ofCup(typed.bulkDensity)
    const row = IngredientSchema.parse(ownIngredient({ id: `own-${props.newId()}`.slice(0, 64), name: typed.name.trim(), like: like.value, bulkDensity, figures: said(), allergens: allergens.value }))
    trouble.value = ''
    emit('own', row, cost(typed.pricePerKg))
  }
  catch (error) {
    const what = error instanceof CoreError ? LABELS[error.path.split('.')[1] ?? ''] : undefined
    trouble.value = `${what ? `Look at ${what} again: ` : ''}100 g hold no more than 100 g of parts, and sugars are part of the carbohydrate. Nothing was kept.`
  }
}
</script>

<template>
  <ElForm
    ref="form"
    class="own"
    aria-label="An ingredient of our own"
    :model="typed"
    :rules="rules"
    hide-required-asterisk
    @submit.prevent="keep"
  >
    <h3>One of our own</h3>
    <div class="row">
      <ElFormItem
        prop="name"
        label="Its name"
      >
        <ElInput
          v-model="typed.name"
          maxlength="60"
          autocomplete="off"
        />
      </ElFormItem>
      <ElFormItem
        class="like"
        prop="like"
        label="Most like"
      >
        <ChoiceSelect
          label="Most like"
          :chosen="typed.like"
          :options="options"
          @choose="value => typed.like = value"
        />
      </ElFormItem>
      <ElFormItem
        prop="bulkDensity"
        :label="`A level ${shortName(cup.name)} weighs, ${weightUnit()}`"
      >
        <ElInput
          v-model="typed.bulkDensity"
          inputmode="decimal"
          placeholder="not weighed"
        />
      </ElFormItem>
      <ElFormItem
        prop="pricePerKg"
        :label="`A kilogram costs${currency ? `, ${currency}` : ''}`"
      >
        <ElInput
          v-model="typed.pricePerKg"
          inputmode="decimal"
          placeholder="not known"
        />
      </ElFormItem>
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
          :label="wordFor(ALLERGEN_WORDS, one) ?? one"
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
  </ElForm>
</template>

<style scoped>
.own { display: grid; gap: 8px; width: 100%; border-top: 2px solid var(--line); padding-top: 10px; }
h3 { margin: 0; }
.row, fieldset, .ends { display: flex; flex-wrap: wrap; gap: 8px 14px; align-items: flex-end; }
fieldset { border: 0; margin: 0; padding: 0; }
legend { font-weight: 600; padding: 0; margin-bottom: 4px; }
label { font-weight: 600; font-size: 0.9375rem; flex: 1 1 110px; max-width: 260px; }
.row .el-form-item { flex: 1 1 150px; max-width: 260px; margin: 0; }
.row { align-items: flex-start; }
.row .like { flex: 1 1 220px; }
.carries { display: flex; flex-wrap: wrap; gap: 0 14px; }
</style>
