<script setup lang="ts">
import { computed } from 'vue'
import { minuteText } from '../../composables/houseTime'
import type { Offer, Planned } from '../../../contracts/planner'
import type { DayTrouble } from '../../../core/day/problem/checkDay'
import type { Clash } from '../../../core/day/planning/clashOf'
import { chillText, clashText, DAY_TROUBLE_WORDS, letGoText, OFFER_WORDS, spanText } from '../../../words/spread'

const props = defineProps<{
  /** The plan, or null while there is none. */
  planned: Planned | null
  /** Start and span of each meal, with the last minute at which anybody could begin where that is known. */
  meals: readonly { readonly name: string, readonly begins: number, readonly spanMin: number, readonly latest: number | null, readonly lateMin: number }[]
  /** What came of trying the plan. */
  tries: { readonly tries: number, readonly lateTries: number, readonly pours: number, readonly coldPours: number } | null
  /** Why it cannot be planned. */
  troubles: readonly DayTrouble[]
  /** Names of dishes and meals, by id. */
  names: ReadonlyMap<string, string>
  /** The day is under way and goes otherwise than planned. */
  moved?: boolean
  /** Minute of the day it is by now. */
  now?: number
  /** A plan is being sought. */
  seeking: boolean
  /** Nothing fits, not even with meals moved. */
  cannot: boolean
  /** True after the planner stopped on this device. */
  stopped?: boolean
  /** What cannot be had together then, where that is known. */
  clash: readonly Clash[] | null
  /** What one more of something would do, once asked. */
  offers: { readonly now: { readonly lateMin: number, readonly spanMin: number }, readonly offers: readonly Offer[], readonly done: boolean } | null
  /** Dishes that perish and could stand in the cold until their meal. */
  chillable: readonly string[]
  /** What waits and is heated again. */
  waits: readonly string[]
}>()

const emit = defineEmits<{
  /** Ask what one more of something would do. */
  help: []
  /** Look longer for a better plan. */
  again: []
  /** The search is to end. */
  enough: []
  /** What was wished for a step is let go. */
  unwish: [step: string]
  /** Dishes that perish are to stand in the cold until their meal. */
  chill: [dishes: string[]]
}>()

const named = (id: string): string => props.names.get(id) ?? id
const inTheWay = computed(() => (props.cannot ? [...new Set((props.clash ?? []).filter(one => one.kind === 'wish').map(one => one.about))] : []))
const toChill = computed(() => (props.cannot ? props.chillable.filter(dish => props.clash?.some(one => one.kind === 'keeping' && one.about === dish)) : []))
const late = computed(() => props.meals.filter(meal => meal.lateMin > 0))
const bound = computed(() => {
  const plan = props.planned
  if (!plan) return ''
  if (props.moved) return 'The day goes otherwise than planned; times are as they stand now.'
  if (plan.proven) return 'There is no better plan of these steps: that is proven.'
  const gap = Math.max(0, plan.cost - plan.bound)
  return `No plan can be more than ${spanText(gap)} better than this one.`
})
const tried = computed(() => {
  const said = props.tries
  if (!said || said.tries === 0 || props.moved) return ''
  const meals = said.lateTries === 0 ? 'no meal was more than five minutes late' : `a meal was more than five minutes late in ${said.lateTries}`
  const pours = said.pours === 0 ? '' : said.coldPours === 0 ? ', and no liquid was cold at its pour' : `, and ${said.coldPours} of ${said.pours} pours were cold`
  return `Tried ${said.tries} times with honest delays, ${meals}${pours}.`
})
const better = (offer: Offer): string => {
  const now = props.offers!.now
  if (now.lateMin > 0) return offer.lateMin === 0 ? 'everything is on the table in time' : `the delay falls to ${spanText(offer.lateMin)}`
  return `saves ${spanText(now.spanMin - offer.spanMin)} in the kitchen`
}
</script>

<template>
  <section
    class="said"
    aria-live="polite"
  >
    <p
      v-for="trouble in troubles"
      :key="trouble.code + trouble.about"
      class="danger"
    >
      {{ DAY_TROUBLE_WORDS[trouble.code](names.get(trouble.about) ?? trouble.about) }}
    </p>
    <p
      v-if="stopped"
      class="danger"
    >
      The planner stopped on this device. The day stands as it is and is kept; it is planned again with the next change.
    </p>
    <p
      v-if="cannot"
      class="danger"
    >
      {{ clash ? clashText(clash, named) : 'These steps cannot all be done with what is there, however late. The day is kept: take the last change back, or see what would help.' }}
    </p>
    <p
      v-for="meal in late"
      :key="meal.name"
      class="danger"
    >
      {{ meal.name }} cannot be ready in time: {{ spanText(meal.lateMin) }} later is the least.
    </p>
    <p v-if="planned">
      <template
        v-for="meal in meals"
        :key="meal.name"
      >
        For {{ meal.name }} {{ !moved ? 'you begin at' : meal.begins <= (now ?? 0) ? 'it began at' : 'it begins at' }} <strong>{{ minuteText(meal.begins) }}</strong>{{ meal.latest !== null ? `; nobody could begin later than ${minuteText(meal.latest)}` : '' }}.
      </template>
      {{ waits.join(' ') }}
    </p>
    <p
      v-if="planned"
      class="soft"
    >
      {{ tried }} {{ seeking ? 'A better plan is being sought.' : bound }}
    </p>
    <p class="row">
      <ElButton
        v-for="step in inTheWay"
        :key="step"
        @click="emit('unwish', step)"
      >
        {{ letGoText(step, named) }}
      </ElButton>
      <ElButton
        v-for="dish in toChill"
        :key="dish"
        @click="emit('chill', [dish])"
      >
        {{ chillText(named(dish)) }}
      </ElButton>
      <ElButton
        v-if="planned && seeking"
        @click="emit('enough')"
      >
        That will do
      </ElButton>
      <ElButton
        v-if="planned && !planned.proven && !seeking"
        @click="emit('again')"
      >
        Look longer
      </ElButton>
      <ElButton
        v-if="planned || cannot"
        @click="emit('help')"
      >
        What would help?
      </ElButton>
    </p>
    <ul v-if="offers">
      <li
        v-for="offer in offers.offers"
        :key="offer.kind"
      >
        {{ OFFER_WORDS[offer.kind] }}: {{ better(offer) }}.
        <ElButton
          v-if="offer.kind === 'chilled' && chillable.length > 0"
          @click="emit('chill', [...chillable])"
        >
          Plan it so
        </ElButton>
      </li>
      <li v-if="offers.done && offers.offers.length === 0">
        One more of anything that is here would help nothing: the steps themselves take this long.
      </li>
      <li
        v-if="!offers.done"
        class="soft"
      >
        Trying…
      </li>
    </ul>
  </section>
</template>

<style scoped>
.said { display: grid; grid-template-columns: minmax(0, 1fr); gap: 6px; max-width: 70em; }
.row { display: flex; flex-wrap: wrap; gap: 10px; }
.row .el-button { max-width: 100%; height: auto; white-space: normal; text-align: left; }
.row .el-button + .el-button { margin-left: 0; }
ul { margin: 0; padding-left: 1.2em; }
</style>
