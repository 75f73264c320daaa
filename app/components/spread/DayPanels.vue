<script setup lang="ts">
import type { Spread } from '../../../contracts/spread'
import type { DishCard } from '../../../core/formulation/dish/dish'
import type { MeasureSize } from '../../../core/formulation/measures/inMeasures'
import type { Shareable } from '../../../core/day/spread/shareable'
import type { ShoppingLine } from '../../../core/formulation/store/shopping'
import ShoppingTable from '../kitchen/ShoppingTable.vue'
import DayDishes, { type DayDishChange } from './DayDishes.vue'
import DayHands from './DayHands.vue'
import DayKitchen from './DayKitchen.vue'
import DayPromises from './DayPromises.vue'

/** What stands open beside the day. */
export type DayTab = 'dishes' | 'hands' | 'kitchen' | 'promises' | 'buy'

defineProps<{
  /** Which panel. */
  tab: DayTab
  /** The day. */
  spread: Spread
  /** Dishes of the book. */
  book: readonly DishCard[]
  /** Grams as the house reads them. */
  grams: (grams: number) => string
  /** The cup in hand. */
  cup: MeasureSize | null
  /** True while a dish is being put on the day. */
  busy: boolean
  /** What is to be bought. */
  list: readonly ShoppingLine[]
  /** Name of an ingredient. */
  nameOf: (id: string) => string
}>()

const emit = defineEmits<{
  /** The day is to be changed; kept where its plan still holds. */
  change: [next: (was: Spread) => Spread, how?: 'planned' | 'kept']
  /** A dish is to be put on the day. */
  add: [card: DishCard, meal: string]
  /** A dish is wanted otherwise. */
  alter: [id: string, change: DayDishChange]
}>()

/** Latest minute of a day's clock, and the hour of the first meal of a day that has none. */
const LAST_MIN = 49_000
const FIRST_MEAL_MIN = 2580

const drop = (id: string): void => emit('change', was => ({
  ...was, dishes: was.dishes.filter(dish => dish.id !== id), wishes: was.wishes.filter(wish => !wish.step.startsWith(`${id}.`)), shared: was.shared.filter(one => one.from !== id && one.for !== id),
}))
const share = (what: Shareable, once: boolean): void => emit('change', was => ({
  ...was, shared: [...was.shared.filter(one => one.from !== what.from || one.for !== what.for || !what.steps.includes(one.step)), ...(once ? what.steps.map(step => ({ step, from: what.from, for: what.for })) : [])],
}))
const dropMeal = (id: string): void => emit('change', was => ({ ...was, meals: was.meals.filter(meal => meal.id !== id) }))
function alterMeal(id: string, { name, at }: { name?: string, at?: number }): void {
  const called = name?.trim()
  emit('change', was => ({ ...was, meals: was.meals.map(meal => (meal.id === id ? { ...meal, ...(called ? { name: called } : {}), ...(at === undefined ? {} : { at }) } : meal)) }))
}
function moreMeals(): void {
  emit('change', (was) => {
    const id = Array.from({ length: 40 }, (_, i) => `m${i + 1}`).find(one => !was.meals.some(meal => meal.id === one))!
    return { ...was, meals: [...was.meals, { id, name: 'Another meal', at: Math.min(LAST_MIN, (was.meals.at(-1)?.at ?? FIRST_MEAL_MIN) + 1440) }] }
  })
}
</script>

<template>
  <div class="panel">
    <DayDishes
      v-if="tab === 'dishes'"
      :spread="spread"
      :book="book"
      :grams="grams"
      :cup="cup"
      :busy="busy"
      @add="(card, meal) => emit('add', card, meal)"
      @alter="(id, change) => emit('alter', id, change)"
      @drop="drop"
      @meal="alterMeal"
      @share="share"
      @more-meals="moreMeals"
      @drop-meal="dropMeal"
    />
    <DayHands
      v-else-if="tab === 'hands'"
      :spread="spread"
      @hands="hands => emit('change', was => ({ ...was, hands: [...hands] }))"
      @nights="nights => emit('change', was => ({ ...was, nights }))"
    />
    <DayPromises
      v-else-if="tab === 'promises'"
      :spread="spread"
      @promises="promises => emit('change', was => ({ ...was, promises: [...promises] }), 'kept')"
    />
    <section v-else-if="tab === 'buy'">
      <h2>To buy for this day</h2>
      <ShoppingTable
        :list="list"
        :name-of="nameOf"
      />
    </section>
    <DayKitchen
      v-else
      :spread="spread"
      @fires="fires => emit('change', was => ({ ...was, fires: [...fires] }))"
      @vessels="vessels => emit('change', was => ({ ...was, vessels: [...vessels] }))"
      @wash="washMin => emit('change', was => ({ ...was, washMin }))"
    />
  </div>
</template>
