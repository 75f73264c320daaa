<script setup lang="ts">
import { computed, ref } from 'vue'
import { gramsToType, typedGrams, typedNumber, weightUnit } from '../../composables/typed'
import type { Fire, Measure, Pan } from '../../../contracts/kitchen'
import type { Ingredient } from '../../../contracts/ingredient'
import { rememberBatch } from '../../../core/batch/rememberBatch'
import type { DishCard } from '../../../core/dish/dish'
import { stageDish } from '../../../core/dish/stageDish'
import { troublesOf } from '../../../core/dish/troublesOf'
import { lastRoast } from '../../../core/forecast/roastIndex'
import type { Observation } from '../../../core/live/observation'
import type { CookPlan } from '../../../core/live/plan'
import LabelledChoice from '../LabelledChoice.vue'
import NumberField from '../kitchen/NumberField.vue'
import TroubleNote from '../TroubleNote.vue'

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
const base = ref(gramsToType(card.value?.usual.baseG ?? 250))
const roasted = ref('')
const total = ref('')
const trouble = ref('')

function take(id: string): void {
  choice.value = { ...choice.value, dish: id }
  base.value = gramsToType(card.value?.usual.baseG ?? 250)
}

function enter(): void {
  const made = dish.value
  const pan = props.pans.find(one => one.id === choice.value.pan)
  const cup = props.cups[0]
  const grams = typedGrams(base.value)
  const [roastMin, totalMin] = [typedNumber(roasted.value), typedNumber(total.value)]
  if (!made || !pan || !fire.value || !cup || !(grams >= 20 && grams <= 20000) || !(totalMin >= 3 && totalMin <= 300) || (roastMin > 0 && !(roastMin < totalMin))) {
    trouble.value = 'It needs an amount, and minutes at the fire, the roast shorter than the whole. Nothing was kept.'
    return
  }
  trouble.value = ''
  const { plan, observations } = rememberBatch({
    card: card.value!, baseG: grams, pan, fire: fire.value, cup, mark: choice.value.mark === '' ? null : choice.value.mark, roastMin: roastMin > 0 ? roastMin : null, totalMin,
    atMs: props.nowMs, finishedG: props.finishedG, outcome: props.outcome,
  }, props.table)
  emit('remember', made.name, plan, observations)
  roasted.value = ''
  total.value = ''
}
</script>

<template>
  <div class="memory">
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
        v-model="base"
        :label="`${card?.base.replaceAll('-', ' ') ?? 'base'} in it`"
        :unit="weightUnit()"
      />
      <NumberField
        v-if="roast >= 0"
        v-model="roasted"
        label="From lighting to the end of the roast"
        unit="min"
      />
      <NumberField
        v-model="total"
        label="From lighting to off the fire"
        unit="min"
      />
    </div>
    <slot />
    <TroubleNote :says="trouble" />
    <ElButton @click="enter">
      Put it in the ledger
    </ElButton>
  </div>
</template>

<style scoped>
.memory { display: grid; gap: 12px; justify-items: start; }
.fields { display: grid; grid-template-columns: repeat(auto-fit, minmax(220px, 1fr)); gap: 12px; width: 100%; align-items: end; }
.fields :deep(label) { display: grid; gap: 3px; font-weight: 600; font-size: 0.9375rem; }
</style>
