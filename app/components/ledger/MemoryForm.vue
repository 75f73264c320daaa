<script setup lang="ts">
import type { FormInstance } from 'element-plus'
import { computed, reactive, ref } from 'vue'
import { formRules, isRight } from '../../composables/formRules'
import { gramsToType, typedGrams, typedNumber, weightUnit } from '../../composables/typed'
import { RememberedSchema } from '../../../contracts/batch'
import type { Fire, Measure, Pan } from '../../../contracts/kitchen'
import type { Ingredient } from '../../../contracts/ingredient'
import { rememberBatch } from '../../../core/cook/batch/rememberBatch'
import type { DishCard } from '../../../core/formulation/dish/dish'
import { stageDish } from '../../../core/formulation/stages/stageDish'
import { troublesOf } from '../../../core/formulation/dish/troublesOf'
import { lastRoast } from '../../../core/process/program/roastIndex'
import type { Observation } from '../../../core/record/marks/observation'
import type { CookPlan } from '../../../core/record/plan/plan'
import LabelledChoice from '../LabelledChoice.vue'
import NumberField from '../kitchen/NumberField.vue'

const props = defineProps<{
  /** Dishes of the book. */
  dishes: readonly DishCard[]
  /** Ingredient table. */
  table: readonly Ingredient[]
  /** Pans of the kitchen. */
  pans: readonly Pan[]
  /** Fires of the kitchen. */
  fires: readonly Fire[]
  /** Cups of the kitchen. */
  cups: readonly Measure[]
  /** When it was cooked, ms since 1970. */
  nowMs: number
  /** Finished weight where it was weighed, g. */
  finishedG: number | null
  /** How it came out. */
  outcome: { readonly faults: readonly string[], readonly line: string }
}>()

const emit = defineEmits<{
  /** A batch was entered: its plan, and when what began and ended. */
  remember: [dish: string, plan: CookPlan, observations: readonly Observation[]]
}>()

const choice = ref({ dish: props.dishes[0]?.id ?? '', pan: props.pans[0]?.id ?? '', fire: props.fires[0]?.id ?? '', mark: '' })
const card = computed(() => props.dishes.find(one => one.id === choice.value.dish) ?? null)
const dish = computed(() => (card.value && troublesOf(card.value).length === 0 ? stageDish(card.value) : null))
const fire = computed(() => props.fires.find(one => one.id === choice.value.fire) ?? null)
const roast = computed(() => (dish.value ? lastRoast(dish.value) : -1))
const typed = reactive({ baseG: gramsToType(card.value?.usual.baseG ?? 250), roastMin: '', totalMin: '' })
const form = ref<FormInstance | null>(null)
const roastMin = (text: string): number | null => (text.trim() === '' || roast.value < 0 ? null : typedNumber(text))
const rules = formRules(RememberedSchema, {
  baseG: { read: typedGrams, says: 'An amount between 20 g and 20 kg, please. Nothing was kept.' },
  roastMin: {
    read: text => ((roastMin(text) ?? 0) < typedNumber(typed.totalMin) || Number.isNaN(typedNumber(typed.totalMin)) ? roastMin(text) : Number.NaN),
    says: 'Minutes, fewer than the whole cook took; or leave it empty. Nothing was kept.',
  },
  totalMin: { read: typedNumber, says: 'Minutes at the fire, 3 to 300. Nothing was kept.' },
})

function take(id: string): void {
  choice.value = { ...choice.value, dish: id }
  typed.baseG = gramsToType(card.value?.usual.baseG ?? 250)
}

async function enter(): Promise<void> {
  if (!await isRight(form)) return
  const made = dish.value
  const pan = props.pans.find(one => one.id === choice.value.pan)
  const cup = props.cups[0]
  if (!made || !pan || !fire.value || !cup) return
  const { plan, observations } = rememberBatch({
    card: card.value!, baseG: typedGrams(typed.baseG), pan, fire: fire.value, cup, mark: choice.value.mark === '' ? null : choice.value.mark, roastMin: roastMin(typed.roastMin), totalMin: typedNumber(typed.totalMin),
    atMs: props.nowMs, finishedG: props.finishedG, outcome: props.outcome,
  }, props.table)
  emit('remember', made.name, plan, observations)
  form.value?.resetFields(['roastMin', 'totalMin'])
}
</script>

<template>
  <ElForm
    ref="form"
    class="memory"
    :model="typed"
    :rules="rules"
    hide-required-asterisk
    @submit.prevent="enter"
  >
    <div class="fields">
      <LabelledChoice
        asks="Dish"
        :chosen="choice.dish"
        :options="dishes.map(one => ({ value: one.id, label: one.name }))"
        @choose="take"
      />
      <LabelledChoice
        asks="Pan"
        :chosen="choice.pan"
        :options="pans.map(one => ({ value: one.id, label: one.name }))"
        @choose="value => choice = { ...choice, pan: value }"
      />
      <LabelledChoice
        asks="Fire"
        :chosen="choice.fire"
        :options="fires.map(one => ({ value: one.id, label: one.name }))"
        @choose="value => choice = { ...choice, fire: value, mark: '' }"
      />
      <LabelledChoice
        asks="Mostly on"
        :chosen="choice.mark === '' ? undefined : choice.mark"
        :options="(fire?.marks ?? []).map(one => ({ value: one.id, label: one.label }))"
        @choose="value => choice = { ...choice, mark: value }"
      />
      <NumberField
        v-model="typed.baseG"
        prop="baseG"
        :label="`${card?.base.replaceAll('-', ' ') ?? 'base'} in it`"
        :unit="weightUnit()"
      />
      <NumberField
        v-if="roast >= 0"
        v-model="typed.roastMin"
        prop="roastMin"
        label="From lighting to the end of the roast"
        unit="min"
      />
      <NumberField
        v-model="typed.totalMin"
        prop="totalMin"
        label="From lighting to off the fire"
        unit="min"
      />
    </div>
    <slot />
    <ElButton
      type="primary"
      native-type="submit"
    >
      Put it in the ledger
    </ElButton>
  </ElForm>
</template>

<style scoped>
.memory { display: grid; gap: 12px; justify-items: start; }
.fields { display: grid; grid-template-columns: repeat(auto-fit, minmax(220px, 1fr)); gap: 12px; width: 100%; align-items: start; }
.fields .el-form-item { margin: 0; }
.fields :deep(label) { display: grid; gap: 3px; font-weight: 600; font-size: 0.9375rem; }
</style>
