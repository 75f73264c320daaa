<script setup lang="ts">
import { computed, ref } from 'vue'
import { gramsToType, typedGrams, typedNumber, weightUnit } from '../../composables/typed'
import type { Fire, Measure, Pan } from '../../../contracts/kitchen'
import type { Ingredient } from '../../../contracts/ingredient'
import { firstBelief } from '../../../core/belief/firstBelief'
import type { DishCard } from '../../../core/dish/dish'
import { doneIndex } from '../../../core/dish/doneIndex'
import { mainLine } from '../../../core/dish/mainLine'
import { stageDish } from '../../../core/dish/stageDish'
import { troublesOf } from '../../../core/dish/troublesOf'
import { usualMinutes } from '../../../core/dish/usualMinutes'
import { lastRoast } from '../../../core/forecast/roastIndex'
import type { Observation } from '../../../core/live/observation'
import type { CookPlan } from '../../../core/live/plan'
import { planCook } from '../../../core/live/planCook'
import { USUAL_ROOM_C } from '../../../core/live/usualRoom'
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

/** Stages between the times that are remembered share them as their usual minutes do. */
function story(made: NonNullable<typeof dish.value>, roastS: number | null, totalS: number): Observation[] {
  const line = mainLine(made)
  const done = doneIndex(made)
  const spread = (from: number, to: number, startS: number, endS: number): number[] => {
    const minutes = line.slice(from, to).map(stage => usualMinutes(made, stage))
    const sum = minutes.reduce((all, one) => all + one, 0)
    let at = startS
    return minutes.map((one) => {
      const begins = at
      at += (endS - startS) * one / Math.max(0.01, sum)
      return begins
    })
  }
  const after = roast.value + 1
  const starts = roastS === null || roast.value < 0 ? spread(0, done, 0, totalS) : [...spread(0, after, 0, roastS), ...spread(after, done, roastS, totalS)]
  const told = (number: number, timeS: number, kind: string, payload: Record<string, unknown>): Observation => {
    const at = props.nowMs + Math.round(timeS * 1000)
    return { id: `memory-${number}`, device: 'memory', number, deviceTime: at, sentAt: at, receivedAt: at, kind, payload }
  }
  // Only what was remembered is told: where the cook began, where the roast ended, and the end.
  const known = new Set([0, ...(roastS === null ? [] : [after])])
  return [
    ...starts.flatMap((timeS, i) => (known.has(i) ? [told(i, timeS, i === 0 ? 'cook.started' : 'stage.began', i === 0 ? { from: 'memory' } : { stage: line[i]!.id })] : [])),
    ...(done < line.length ? [told(90, totalS, 'stage.began', { stage: line[done]!.id })] : []),
    told(91, totalS + 60, 'cook.finished', {}),
  ]
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
  const first = roast.value >= 0 ? mainLine(made)[roast.value] : mainLine(made)[0]
  const plan = planCook('memory', {
    dish: made, baseG: grams, ingredients: props.table, cup,
    pans: Object.fromEntries(made.vessels.map(vessel => [vessel.id, pan])),
    fires: Object.fromEntries(made.vessels.map(vessel => [vessel.id, fire.value!])),
    flames: first && choice.value.mark !== '' ? { [first.id]: choice.value.mark } : {},
    people: 4, firstBelief: firstBelief(), evidence: [], seed: 7, airC: USUAL_ROOM_C, altitudeM: 0,
  }, props.nowMs)
  emit('remember', made.name, plan, story(made, roastMin > 0 ? 60 * roastMin : null, 60 * totalMin))
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
    <p
      class="danger"
      role="alert"
    >
      {{ trouble }}
    </p>
    <button
      class="stone-button"
      @click="enter"
    >
      Put it in the ledger
    </button>
  </div>
</template>

<style scoped>
.memory { display: grid; gap: 12px; justify-items: start; }
.fields { display: grid; grid-template-columns: repeat(auto-fit, minmax(220px, 1fr)); gap: 12px; width: 100%; align-items: end; }
.fields :deep(label) { display: grid; gap: 3px; font-weight: 600; font-size: 0.9375rem; }
</style>
