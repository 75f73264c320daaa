<script setup lang="ts">
import { computed, ref } from 'vue'
import type { MeasureSheet } from '../../composables/measureSheet'
import type { Kitchen } from '../../../contracts/kitchen'
import type { Choices } from '../../../core/dish/choices'
import type { DishCard } from '../../../core/dish/dish'
import type { Trouble } from '../../../core/dish/troublesOf'
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

const PANES = [['school', 'How it is cooked'], ['stages', 'Its stages'], ['pan', 'In the pan'], ['buy', 'Get ready and buy']] as const
const pane = ref<(typeof PANES)[number][0]>('school')
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
    <nav
      class="panes"
      aria-label="More of this dish"
    >
      <button
        v-for="[id, name] in PANES"
        :key="id"
        :aria-pressed="pane === id"
        @click="pane = id"
      >
        {{ name }}
      </button>
    </nav>
    <SchoolChoices
      v-if="pane === 'school' || wrong.length > 0"
      :card="schooled"
      :troubles="wrong"
      @choose="changes => emit('choose', changes)"
    />
    <SyrupFacts
      v-if="pane === 'stages' && plan"
      :plan="plan"
    />
    <StageList
      v-if="pane === 'stages' && dish && sheet"
      :dish="plan?.dish ?? dish"
      :base-g="sheet.baseG"
      :cup="cup"
    />
    <AlongTheCook
      v-if="pane === 'pan' && dish && pan && forecast"
      :key="dish.id"
      :dish="dish"
      :forecast="forecast"
      :pan="pan"
    />
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
  </section>
</template>

<style scoped>
.made { display: grid; gap: 10px; align-content: start; }
.panes { display: flex; gap: 4px; border-bottom: 3px solid var(--line); margin-top: 8px; }
.panes button { background: none; border: 0; border-bottom: 5px solid transparent; margin-bottom: -3px; padding: 8px 14px; min-height: 44px; cursor: pointer; color: var(--ink-soft); }
.panes button[aria-pressed="true"] { color: var(--ink); font-weight: 650; border-color: var(--ink); }
</style>
