<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { storeToRefs } from 'pinia'
import { computed, ref, watch } from 'vue'
import { INGREDIENTS } from '../../../book/ingredients'
import DayDishes from '../../components/spread/DayDishes.vue'
import DayDrawing from '../../components/spread/DayDrawing.vue'
import DayHands from '../../components/spread/DayHands.vue'
import DayKitchen from '../../components/spread/DayKitchen.vue'
import DayPromises from '../../components/spread/DayPromises.vue'
import ShoppingTable from '../../components/kitchen/ShoppingTable.vue'
import DayNow from '../../components/spread/DayNow.vue'
import DaySaid from '../../components/spread/DaySaid.vue'
import StepPanel from '../../components/spread/StepPanel.vue'
import HousePage from '../../components/HousePage.vue'
import { rowHeightFor, viewOfSpread } from '../../drawings/spreadView'
import { gramsText } from '../../composables/format'
import { hearthNow, useHearthTime } from '../../composables/hearthClock'
import { eveMs, useSpreadDay } from '../../composables/spreadDay'
import { dayShopping } from '../../composables/dayShopping'
import { giveFile } from '../../composables/dishFiles'
import { newId } from '../../composables/outbox'
import { useSpreadToday } from '../../composables/spreadToday'
import { useCooks } from '../../stores/cooks'
import { useHouse } from '../../stores/house'
import type { DishCard } from '../../../core/dish/dish'
import type { Serving } from '../../../core/schedule/day'
import { lanesOf, stepsOf } from '../../../core/schedule/lanesOf'
import { paddedDay, paddingOf } from '../../../core/schedule/paddedDay'
import { planCost } from '../../../core/schedule/planCost'
import { slackOf } from '../../../core/schedule/slackOf'
import { cookOnDay } from '../../../core/schedule/putOnDay'
import { withCorrections } from '../../../core/composition/corrections'
import { SERVING_WORDS, spanText, stepName, timeText } from '../../../words/spread'

const route = useRoute()
const house = useHouse()
const { kitchen, evidence, dishes } = storeToRefs(house)
const state = useSpreadDay(String(route.params.id), { kitchen, evidence, ingredients: INGREDIENTS })
const { spread, planned, tries, latest, troubles, seeking, cannot, day, trouble, found } = state
void house.load().then(() => state.load())
const now = useHearthTime(10_000)
const chosen = ref<string | null>(null)
const tab = ref<'dishes' | 'hands' | 'kitchen' | 'promises' | 'buy' | null>(null)
const busy = ref(false)
const TABS = [{ id: 'dishes', name: 'Dishes' }, { id: 'hands', name: 'Hands' }, { id: 'kitchen', name: 'Kitchen' }, { id: 'promises', name: 'Promised' }, { id: 'buy', name: 'To buy' }] as const
const stage = ref<HTMLElement | null>(null)
const { width } = useElementSize(stage)

const padded = computed(() => (day.value ? paddedDay(day.value, paddingOf(planned.value?.room ?? 1)) : null))
const names = computed(() => new Map([...(spread.value?.dishes ?? []).map(dish => [dish.id, dish.card.name] as const), ...(spread.value?.meals ?? []).map(meal => [meal.id, meal.name] as const)]))
const fitting = computed(() => {
  const plan = planned.value
  return plan && day.value && day.value.dishes.every(dish => dish.activities.every(activity => plan.starts[`${dish.id}.${activity.id}`] !== undefined)) ? plan : null
})
const cooks = useCooks()
const going = computed(() => {
  const plan = fitting.value
  if (!plan || !padded.value || !day.value) return null
  const moved = <T extends { readonly id: string, readonly at: number }>(meals: readonly T[]): T[] => meals.map(meal => ({ ...meal, at: meal.at + (plan.late[meal.id] ?? 0) }))
  return { planned: { ...padded.value, meals: moved(padded.value.meals) }, own: { ...day.value, meals: moved(day.value.meals) }, starts: plan.starts }
})
const { today, nowMin } = useSpreadToday(spread, going, now, cooks)
watch(() => today.value?.doings ?? [], known => state.begun(known))
const cookOf = computed(() => new Map((spread.value?.cooks ?? []).map(one => [one.dish, one.cook] as const)))
const view = computed(() => {
  const plan = fitting.value
  if (!plan || !padded.value || !spread.value) return null
  return viewOfSpread(spread.value, today.value?.day ?? padded.value, { starts: today.value?.repaired.starts ?? plan.starts, late: plan.late }, Math.max(640, Math.round(width.value || 1224)), rowHeightFor(spread.value.dishes.length), today.value?.lanes)
})
const slack = computed(() => {
  if (today.value) return slackOf(today.value.day, today.value.repaired.starts, today.value.lanes)
  return fitting.value && day.value && padded.value ? slackOf(day.value, fitting.value.starts, lanesOf(padded.value, fitting.value.starts), fitting.value.late) : {}
})
const said = computed(() => new Map((spread.value?.dishes ?? []).map(dish => [dish.id, { name: dish.card.name, says: `${SERVING_WORDS[dish.serve]}, ${gramsText(dish.baseG)} ${dish.card.base}` }])))
const pinned = computed(() => new Set((spread.value?.wishes ?? []).filter(wish => wish.kind === 'pin').map(wish => wish.step)))
const pours = computed(() => new Set((day.value?.dishes ?? []).flatMap(dish => (dish.hotPour ? [`${dish.id}.${dish.hotPour.pour}`] : []))))
const cost = computed(() => (fitting.value && day.value ? planCost(day.value, fitting.value.starts, fitting.value.late) : null))
const meals = computed(() => (spread.value?.meals ?? []).flatMap((meal) => {
  const begins = cost.value?.begins[meal.id]
  return begins === undefined ? [] : [{ name: meal.name, begins, spanMin: cost.value!.spans[meal.id]!, latest: latest.value[meal.id] ?? null, lateMin: fitting.value?.late[meal.id] ?? 0 }]
}))
const waits = computed(() => {
  if (!cost.value) return []
  const long = Object.entries(cost.value.waits).filter(([dish, minutes]) => minutes > 20 && ['hot', 'warm'].includes(spread.value!.dishes.find(one => one.id === dish)!.serve))
  return [...long.map(([dish, minutes]) => `${names.value.get(dish)} waits ${spanText(minutes)} under its lid.`), ...(cost.value.reheats > 0 ? [`${cost.value.reheats} liquid is heated again.`] : [])]
})
const title = computed(() => {
  const list = (spread.value?.meals ?? []).filter(meal => spread.value!.dishes.some(dish => dish.meal === meal.id)).map(meal => timeText(meal.at))
  return list.length === 0 ? spread.value?.name : `${spread.value?.name}: to the table at ${list.join(' and ')}`
})
const date = computed(() => (spread.value ? new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long' }).format(eveMs(spread.value.eve) + 36 * 3_600_000) : ''))
const counts = computed(() => {
  const count = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`
  return spread.value ? `${count(spread.value.dishes.length, 'dish', 'dishes')}, ${count(spread.value.hands.length, 'pair of hands', 'pairs of hands')}, ${count(spread.value.fires.length, 'fire', 'fires')}` : ''
})
const step = computed(() => {
  const id = chosen.value
  if (!id || !fitting.value || !padded.value || !day.value) return null
  const steps = stepsOf(padded.value, fitting.value.starts)
  const one = steps.find(other => other.step === id) ?? steps.find(other => other.step === anchorOf(id))
  return one ? { ...one, spans: stepsOf(day.value, fitting.value.starts).find(other => other.step === one.step)!.activity.dur } : null
})

/** The step by which a dish is moved: where it turns, or its last. */
function anchorOf(dish: string): string {
  const one = spread.value?.dishes.find(other => other.id === dish)
  return one ? `${dish}.${one.turn ?? one.steps.sink}` : ''
}
let dragged: { readonly step: string, readonly start: number } | null = null
function move(dish: string, minutes: number, done: boolean): void {
  const anchor = anchorOf(dish)
  const start = fitting.value?.starts[anchor]
  if (start === undefined) return
  dragged ??= { step: anchor, start }
  const at = Math.max(0, dragged.start + minutes)
  pin(dragged.step, at, !done)
  if (done) dragged = null
}
function pin(id: string, at: number | null, moving = false): void {
  state.change(was => ({ ...was, wishes: [...was.wishes.filter(wish => wish.kind !== 'pin' || wish.step !== id), ...(at === null ? [] : [{ kind: 'pin' as const, step: id, start: at }])] }), moving ? 'moving' : 'planned')
}
function forbid(id: string, span: { from: number, to: number } | null): void {
  state.change(was => ({ ...was, wishes: [...was.wishes.filter(wish => wish.step !== id), ...(span ? [{ kind: 'forbid' as const, step: id, ...span }] : [])] }))
}
async function add(card: DishCard, meal: string): Promise<void> {
  busy.value = true
  await state.put(card, card.usual.baseG, meal)
  busy.value = false
}
async function alter(id: string, change: { baseG?: number, meal?: string, serve?: Serving }): Promise<void> {
  const dish = spread.value?.dishes.find(one => one.id === id)
  if (dish) await state.put(dish.card, change.baseG ?? dish.baseG, change.meal ?? dish.meal, change.serve ?? dish.serve, id)
}
function alterMeal(id: string, change: { name?: string, at?: number }): void {
  const name = change.name?.trim()
  state.change(was => ({ ...was, meals: was.meals.map(meal => (meal.id === id ? { ...meal, ...(name ? { name } : {}), ...(change.at === undefined ? {} : { at: change.at }) } : meal)) }))
}
function moreMeals(): void {
  state.change((was) => {
    const id = Array.from({ length: 40 }, (_, i) => `m${i + 1}`).find(one => !was.meals.some(meal => meal.id === one))!
    return { ...was, meals: [...was.meals, { id, name: 'Another meal', at: Math.min(49_000, (was.meals.at(-1)?.at ?? 2580) + 1440) }] }
  })
}
function mark(id: string, what: { begun?: number, ended?: number | null } | null): void {
  state.change((was) => {
    const known = was.doings.find(one => one.step === id)
    const rest = was.doings.filter(one => one.step !== id)
    if (what === null) return { ...was, doings: known?.ended == null ? rest : [...rest, { ...known, ended: null }] }
    return { ...was, doings: [...rest, { step: id, begun: what.begun ?? known?.begun ?? nowMin.value, ended: what.ended ?? null }] }
  }, 'kept')
}
const router = useRouter()
async function toTheFire(id: string): Promise<void> {
  const dish = spread.value?.dishes.find(one => one.id === id)
  if (!dish || !kitchen.value) return
  const cook = newId()
  const { plan } = cookOnDay(dish, kitchen.value, withCorrections(INGREDIENTS, kitchen.value.corrections), evidence.value)
  cooks.begin({ ...plan, id: cook, plannedAt: hearthNow() })
  state.change(was => ({ ...was, cooks: [...was.cooks.filter(one => one.dish !== id), { dish: id, cook }] }), 'kept')
  await state.saved()
  await router.push(`/fire/${cook}`)
}
const list = computed(() => (spread.value && kitchen.value ? dayShopping(spread.value, withCorrections(INGREDIENTS, kitchen.value.corrections), kitchen.value.store, Math.floor(hearthNow() / 86_400_000)) : []))
/** The day as a calendar file, made here. */
async function calendar(): Promise<void> {
  if (!spread.value || !fitting.value || !padded.value) return
  const { spreadCalendar } = await import('../../composables/spreadCalendar')
  const who = new Map(lanesOf(padded.value, fitting.value.starts).hands.flatMap((lane, i) => lane.map(span => [span.step, spread.value!.hands[i]?.name ?? ''] as const)))
  const text = spreadCalendar(spread.value, stepsOf(padded.value, fitting.value.starts), who, eveMs(spread.value.eve), hearthNow())
  giveFile(`${spread.value.name}.ics`, text, 'text/calendar')
}
watch(spread, (value) => {
  if (value && value.dishes.length === 0) tab.value ??= 'dishes'
}, { once: false })
</script>

<template>
  <HousePage :trouble="trouble || house.trouble">
    <div
      v-if="spread"
      class="spread"
    >
      <header>
        <h1>{{ title }}</h1>
        <p class="soft">
          {{ date }}. {{ counts }}.
        </p>
        <div class="row">
          <button
            type="button"
            class="stone-button"
            :disabled="!state.canUndo.value"
            @click="state.undo()"
          >
            Undo
          </button>
          <NuxtLink
            class="stone-button"
            :to="`/spread/sheet/${spread.id}`"
          >Print</NuxtLink>
          <button
            type="button"
            class="stone-button"
            :disabled="!fitting"
            @click="calendar"
          >
            Calendar
          </button>
          <button
            v-for="one in TABS"
            :key="one.id"
            type="button"
            class="stone-button"
            :aria-pressed="tab === one.id"
            @click="tab = tab === one.id ? null : one.id"
          >
            {{ one.name }}
          </button>
        </div>
      </header>
      <div
        v-if="tab"
        class="panel"
      >
        <DayDishes
          v-if="tab === 'dishes'"
          :spread="spread"
          :book="dishes"
          :grams="gramsText"
          :busy="busy"
          @add="add"
          @alter="alter"
          @drop="id => state.change(was => ({ ...was, dishes: was.dishes.filter(dish => dish.id !== id), wishes: was.wishes.filter(wish => !wish.step.startsWith(`${id}.`)), shared: was.shared.filter(one => one.from !== id && one.for !== id) }))"
          @meal="alterMeal"
          @share="(what, once) => state.change(was => ({ ...was, shared: [...was.shared.filter(one => one.from !== what.from || one.for !== what.for || !what.steps.includes(one.step)), ...(once ? what.steps.map(step => ({ step, from: what.from, for: what.for })) : [])] }))"
          @more-meals="moreMeals"
          @drop-meal="id => state.change(was => ({ ...was, meals: was.meals.filter(meal => meal.id !== id) }))"
        />
        <DayHands
          v-else-if="tab === 'hands'"
          :spread="spread"
          @hands="hands => state.change(was => ({ ...was, hands: [...hands] }))"
          @nights="nights => state.change(was => ({ ...was, nights }))"
        />
        <DayPromises
          v-else-if="tab === 'promises'"
          :spread="spread"
          @promises="promises => state.change(was => ({ ...was, promises: [...promises] }), 'kept')"
        />
        <section v-else-if="tab === 'buy'">
          <h2>To buy for this day</h2>
          <ShoppingTable
            :list="list"
            :name-of="id => INGREDIENTS.find(row => row.id === id)?.name ?? id"
          />
        </section>
        <DayKitchen
          v-else
          :spread="spread"
          @fires="fires => state.change(was => ({ ...was, fires: [...fires] }))"
          @vessels="vessels => state.change(was => ({ ...was, vessels: [...vessels] }))"
          @wash="washMin => state.change(was => ({ ...was, washMin }))"
        />
      </div>
      <DayNow
        v-if="today"
        :spread="spread"
        :today="today"
        :now="nowMin"
        :names="names"
        :cooks="cookOf"
        @begin="id => mark(id, { begun: nowMin })"
        @end="id => mark(id, { ended: nowMin })"
        @back="id => mark(id, null)"
        @fire="toTheFire"
      />
      <div ref="stage">
        <DayDrawing
          v-if="view"
          :view="view"
          :dishes="said"
          :meals="names"
          :slack="slack"
          :pinned="pinned"
          :pours="pours"
          :chosen="chosen"
          :now="nowMin"
          @pick="what => { chosen = chosen === what ? null : what }"
          @move="move"
        />
        <p
          v-else-if="spread.dishes.length === 0"
          class="empty"
        >
          Put dishes on the day: it is planned backwards from the meal, and each stands here as an arch on the clock.
        </p>
        <p
          v-else-if="seeking"
          class="empty soft"
        >
          A plan is being sought…
        </p>
      </div>
      <StepPanel
        v-if="step"
        :step="step.step"
        :name="stepName(step.activity.id)"
        :dish="names.get(step.dish) ?? ''"
        :from="step.from"
        :to="step.to"
        :slack="slack[step.step] ?? null"
        :spans="step.spans"
        :pinned="pinned.has(step.step)"
        :forbidden="spread.wishes.flatMap(wish => wish.kind === 'forbid' && wish.step === step!.step ? [wish] : [])"
        :begun="false"
        @pin="at => pin(step!.step, at)"
        @forbid="span => forbid(step!.step, span)"
      />
      <DaySaid
        :planned="fitting"
        :meals="meals"
        :tries="tries"
        :troubles="troubles"
        :names="names"
        :seeking="seeking"
        :cannot="cannot"
        :offers="found"
        :waits="waits"
        @help="state.offers()"
        @again="state.again()"
      />
    </div>
  </HousePage>
</template>

<style scoped>
.spread { display: grid; grid-template-columns: minmax(0, 1fr); gap: 14px; padding-top: 8px; }
header { display: flex; flex-wrap: wrap; gap: 2px 24px; justify-content: space-between; align-items: end; }
header h1 { flex: 1 0 100%; }
.row { display: flex; flex-wrap: wrap; gap: 8px; }
.panel { border-top: 3px solid var(--ink); padding: 12px 0 16px; border-bottom: 2px solid var(--line); }
.empty { font-size: 1.25rem; padding: 40px 0; max-width: 34em; }
</style>
