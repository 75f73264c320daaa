<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import type { MeasureSheet } from '../../composables/measureSheet'
import type { Kitchen } from '../../../contracts/kitchen'
import type { Choices } from '../../../core/formulation/dish/choices'
import type { DishCard } from '../../../core/formulation/dish/dish'
import type { Trouble } from '../../../core/formulation/dish/troublesOf'
import AlongTheCook from './AlongTheCook.vue'
import BuyAndPrepare from './BuyAndPrepare.vue'
import SchoolChoices from './SchoolChoices.vue'
import StageList from './StageList.vue'
import SyrupFacts from './SyrupFacts.vue'

const props = defineProps<{
  /** State of the Measure screen. */
  state: MeasureSheet
  /** What is in the house. */
  store: Kitchen['store']
  /** Today, days since 1970. */
  today: number
  /** Name of an ingredient of the dish. */
  nameOf: (id: string) => string
}>()

const emit = defineEmits<{
  /** Choices were changed. */
  choose: [changes: Partial<Choices>]
  /** What is left over of an ingredient goes into the store, g. */
  surplus: [ingredient: string, massG: number]
}>()

const pane = ref<'school' | 'stages' | 'pan' | 'buy'>('school')
const tabs = useTemplateRef<{ readonly $el: HTMLElement }>('tabs')
/** On a small screen a pane stands below what one sees: it comes up as it is opened. */
function seen(): void {
  const { $el: shown } = tabs.value!
  void nextTick(() => {
    if (shown.getBoundingClientRect().top > window.innerHeight / 2) shown.scrollIntoView({ block: 'start', behavior: 'smooth' })
  })
}
const { card, sheet, dish, troubles, rowOf, cup, fire, pan, plan, forecast } = props.state
/** The dish as its school sees it: the same one while only amounts move, many times a second. */
const schooled = computed<DishCard | null>((before) => {
  const now = card.value
  return before && now && sameSchool(before, now) ? before : now
})
const wrong = computed<readonly Trouble[]>(before => (before && before.length === 0 && troubles.value.length === 0 ? before : troubles.value))
function sameSchool(one: DishCard, other: DishCard): boolean {
  return one.id === other.id && one.choices === other.choices && one.ingredients.length === other.ingredients.length
    && one.ingredients.every((part, i) => part.id === other.ingredients[i]?.id && part.part === other.ingredients[i].part)
}
</script>

<template>
  <section
    v-if="schooled"
    class="made"
    aria-label="How it is made"
  >
    <SchoolChoices
      v-if="pane !== 'school' && wrong.length > 0"
      :card="schooled"
      :troubles="wrong"
      @choose="changes => emit('choose', changes)"
    />
    <ElTabs
      ref="tabs"
      v-model="pane"
      @tab-click="seen"
    >
      <ElTabPane
        name="school"
        label="How it is cooked"
      >
        <SchoolChoices
          v-if="pane === 'school'"
          :card="schooled"
          :troubles="wrong"
          @choose="changes => emit('choose', changes)"
        />
      </ElTabPane>
      <ElTabPane
        name="stages"
        label="Its stages"
      >
        <div
          v-if="pane === 'stages'"
          class="pane"
        >
          <SyrupFacts
            v-if="plan"
            :plan="plan"
          />
          <StageList
            v-if="dish && sheet"
            :dish="plan?.dish ?? dish"
            :base-g="sheet.baseG"
            :cup="cup"
          />
        </div>
      </ElTabPane>
      <ElTabPane
        name="pan"
        label="In the pan"
      >
        <AlongTheCook
          v-if="pane === 'pan' && dish && pan && forecast"
          :key="dish.id"
          :dish="dish"
          :forecast="forecast"
          :pan="pan"
        />
      </ElTabPane>
      <ElTabPane
        name="buy"
        label="Get ready and buy"
      >
        <BuyAndPrepare
          v-if="pane === 'buy' && card && sheet"
          :card="card"
          :base-g="sheet.baseG"
          :row-of="rowOf"
          :store="store"
          :today="today"
          :fire="fire"
          @surplus="(ingredient, massG) => emit('surplus', ingredient, massG)"
        />
      </ElTabPane>
    </ElTabs>
  </section>
</template>

<style scoped>
.made, .pane { display: grid; grid-template-columns: minmax(0, 1fr); gap: 10px; align-content: start; }
</style>
