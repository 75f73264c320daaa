<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Spread } from '../../../contracts/spread'
import { baseIds } from '../../../core/formulation/dish/basesOf'
import type { DishCard } from '../../../core/formulation/dish/dish'
import type { MeasureSize } from '../../../core/formulation/measures/inMeasures'
import type { ServedHow } from '../../../core/day/problem/day'
import { milkFor } from '../../../core/formulation/preparing/milkYields'
import { canChill } from '../../../core/day/problem/outsideCold'
import { shareableOf, type Shareable } from '../../../core/day/spread/shareable'
import { canThicken, thickenedG } from '../../../core/day/spread/thickenedMilk'
import { SERVING_WORDS, SHARE_WORDS } from '../../../words/spread'
import { minuteText } from '../../composables/houseTime'
import { useSayAmount } from '../../composables/houseAmounts'
import LabelledChoice from '../LabelledChoice.vue'
import TimeField from './TimeField.vue'
import DraftField from '../DraftField.vue'

/** What can be wished otherwise of a dish. */
export interface DayDishChange { readonly baseG?: number, readonly meal?: string, readonly serve?: ServedHow, readonly thickens?: boolean, readonly chills?: boolean }

const props = defineProps<{
  /** The day. */
  spread: Spread
  /** Dishes of the book. */
  book: readonly DishCard[]
  /** The cup in hand. */
  cup: MeasureSize | null
  /** Writes grams in the units of the house. */
  grams: (massG: number) => string
  /** A dish is being worked out. */
  busy: boolean
}>()

const emit = defineEmits<{
  /** Put a dish of the book on the day. */
  add: [card: DishCard, meal: string]
  /** Change a dish: amount, meal or serving. */
  alter: [dish: string, change: DayDishChange]
  /** Take a dish off. */
  drop: [dish: string]
  /** Change a meal's name or time of day; the day it is on. */
  meal: [id: string, change: { name?: string, at?: number }]
  /** One more meal. */
  moreMeals: []
  /** Take a meal off that no dish is for. */
  dropMeal: [id: string]
  /** Make something once for two dishes, or not. */
  share: [what: Shareable, once: boolean]
}>()

const say = useSayAmount(() => props.cup)
/** How much of each of its bases a dish of the day takes. */
const basesText = ({ card, baseG }: Spread['dishes'][number]): string => baseIds(card).flatMap((id) => {
  const one = card.ingredients.find(each => each.id === id)
  return one ? [say(one.ingredient, baseG * one.perBase)] : []
}).join(' + ')
const wanted = ref<string>()
const forMeal = ref(props.spread.meals.at(-1)?.id ?? '')
const meals = computed(() => props.spread.meals.map(meal => ({ value: meal.id, label: `${meal.name} ${minuteText(meal.at)}` })))
const servings = Object.entries(SERVING_WORDS).map(([value, label]) => ({ value, label }))
const shareable = computed(() => shareableOf(props.spread))
const nameOf = (id: string): string => props.spread.dishes.find(dish => dish.id === id)?.card.name ?? id
const isShared = (what: Shareable): boolean => props.spread.shared.some(one => one.from === what.from && one.for === what.for && what.steps.includes(one.step))
/** Thickened milk a dish takes, g; 0 where it takes none. */
const thickG = (dish: Spread['dishes'][number]): number => thickenedG(dish.card.ingredients.map(one => ({ ingredient: one.ingredient, massG: one.perBase * dish.baseG })))
const chillText = ({ serve }: Spread['dishes'][number]): string =>
  `It perishes: made sooner, it stands in the cold until its meal${serve === 'hot' || serve === 'warm' ? ' and is warmed through once, to 75 °C' : ''}`
const STEPS = [0.5, 0.75, 1.5, 2] as const
const factor = (by: number): string => (by === 0.5 ? 'half' : by === 0.75 ? 'three quarters' : by === 1.5 ? 'half more' : 'twice')
function add(): void {
  const card = props.book.find(dish => dish.id === wanted.value)
  if (!card) return
  emit('add', card, props.spread.meals.some(meal => meal.id === forMeal.value) ? forMeal.value : props.spread.meals[0]?.id ?? '')
  wanted.value = undefined
}
const weekday = (at: number): string => (Math.floor(at / 1440) === 0 ? 'on the eve' : Math.floor(at / 1440) === 1 ? 'on the day' : `${Math.floor(at / 1440) - 1} days after`)
</script>

<template>
  <div class="dishes">
    <section>
      <h2>Meals</h2>
      <ul>
        <li
          v-for="meal in spread.meals"
          :key="meal.id"
          class="row"
        >
          <DraftField
            class="called"
            :value="meal.name"
            aria-label="Name of the meal"
            maxlength="60"
            @set="name => emit('meal', meal.id, { name })"
          />
          <TimeField
            asks="On the table at"
            :value="meal.at % 1440"
            @set="value => emit('meal', meal.id, { at: Math.floor(meal.at / 1440) * 1440 + value })"
          />
          <span class="soft">{{ weekday(meal.at) }}</span>
          <ElButton
            v-if="spread.meals.length > 1 && !spread.dishes.some(dish => dish.meal === meal.id)"
            text
            @click="emit('dropMeal', meal.id)"
          >
            Take off
          </ElButton>
        </li>
      </ul>
      <ElButton @click="emit('moreMeals')">
        One more meal
      </ElButton>
    </section>
    <section>
      <h2>Dishes</h2>
      <form
        class="row"
        @submit.prevent="add"
      >
        <ElSelect
          v-model="wanted"
          filterable
          placeholder="A dish of the book"
          aria-label="A dish of the book"
          class="pick"
        >
          <ElOption
            v-for="card in book"
            :key="card.id"
            :value="card.id"
            :label="`${card.name} · ${card.otherNames[0] ?? ''}`"
          />
        </ElSelect>
        <LabelledChoice
          class="choice"
          asks="For"
          :chosen="forMeal"
          :options="meals"
          @choose="value => { forMeal = value }"
        />
        <ElButton
          type="primary"
          :disabled="!wanted || busy"
          native-type="submit"
        >
          Put it on the day
        </ElButton>
      </form>
      <ul>
        <li
          v-for="dish in spread.dishes"
          :key="dish.id"
          class="row dish"
        >
          <span class="what"><strong>{{ dish.card.name }}</strong> <span>{{ basesText(dish) }}</span></span>
          <span class="amounts">
            <ElButton
              v-for="by in STEPS"
              :key="by"
              :aria-label="`${factor(by)} of ${dish.card.name}`"
              @click="emit('alter', dish.id, { baseG: Math.min(20000, Math.max(5, Math.round(dish.baseG * by))) })"
            >×{{ by === 0.5 ? '½' : by === 0.75 ? '¾' : by === 1.5 ? '1½' : '2' }}</ElButton>
          </span>
          <LabelledChoice
            class="choice"
            asks="For"
            :chosen="dish.meal"
            :options="meals"
            @choose="value => emit('alter', dish.id, { meal: value })"
          />
          <LabelledChoice
            class="choice"
            asks="Served"
            :chosen="dish.serve"
            :options="servings"
            @choose="value => emit('alter', dish.id, { serve: value as ServedHow })"
          />
          <ElButton
            text
            @click="emit('drop', dish.id)"
          >
            Take off
          </ElButton>
          <ElCheckbox
            v-if="canThicken(thickG(dish))"
            class="thick"
            :model-value="dish.thickens === true"
            :disabled="busy"
            :label="`Its thickened milk is made here: ${grams(thickG(dish))} from ${grams(milkFor(thickG(dish), 'thickened').middle)} of milk, up to two days before`"
            @update:model-value="value => emit('alter', dish.id, { thickens: value === true })"
          />
          <ElCheckbox
            v-if="dish.chills || canChill({ stands: dish.steps.stands ?? undefined })"
            class="thick"
            :model-value="dish.chills === true"
            :disabled="busy"
            :label="chillText(dish)"
            @update:model-value="value => emit('alter', dish.id, { chills: value === true })"
          />
        </li>
      </ul>
      <p
        v-for="what in shareable"
        :key="`${what.kind}${what.from}${what.for}`"
      >
        <ElCheckbox
          :model-value="isShared(what)"
          :label="SHARE_WORDS[what.kind](nameOf(what.from), nameOf(what.for))"
          @update:model-value="value => emit('share', what, value === true)"
        />
      </p>
    </section>
  </div>
</template>

<style scoped>
.dishes { display: grid; grid-template-columns: minmax(0, 1fr); gap: 22px; }
ul { list-style: none; margin: 8px 0; padding: 0; display: grid; grid-template-columns: minmax(0, 1fr); gap: 8px; }
.row { display: flex; flex-wrap: wrap; gap: 8px 16px; align-items: end; }
.dish { border-top: 2px solid var(--line); padding-top: 8px; align-items: center; }
.what { flex: 1 1 230px; display: grid; gap: 2px; }
.thick { flex: 1 0 100%; margin-top: -8px; }
.pick { width: min(360px, 100%); }
.amounts { display: inline-flex; gap: 4px; }
.amounts .el-button { padding-inline: 0.6rem; border-bottom-width: 3px; }
:deep(.el-checkbox) { height: auto; min-height: var(--touch); white-space: normal; }
:deep(.el-checkbox__label) { white-space: normal; font-size: 1rem; }
p { margin: 0; }
/* In a row of fields it would shrink to its caret. */
.choice { min-width: 190px; }
.called { width: min(16rem, 100%); }
</style>
