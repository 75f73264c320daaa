<script setup lang="ts">
import { RefreshLeft } from '@element-plus/icons-vue'
import { useElementSize } from '@vueuse/core'
import { storeToRefs } from 'pinia'
import { computed, ref, watch } from 'vue'
import { INGREDIENTS } from '../../../book/ingredients'
import type { DayDishChange } from '../../components/spread/DayDishes.vue'
import DayDrawing from '../../components/spread/DayDrawing.vue'
import DayNow from '../../components/spread/DayNow.vue'
import DayPanels, { type DayTab } from '../../components/spread/DayPanels.vue'
import DaySaid from '../../components/spread/DaySaid.vue'
import StepPanel from '../../components/spread/StepPanel.vue'
import TakeAlong from '../../components/spread/TakeAlong.vue'
import HousePage from '../../components/HousePage.vue'
import { rowHeightFor, viewOfSpread } from '../../drawings/spreadView'
import { useArriving } from '../../composables/arriving'
import { gramsText, houseDay } from '../../composables/format'
import { minuteText } from '../../composables/houseTime'
import { hearthNow } from '../../clients/hearthClock'
import { useHearthTime } from '../../composables/hearthTime'
import { useSpreadDay } from '../../composables/spreadDay'
import { useSpreadReading } from '../../composables/spreadReading'
import { useSpreadWishes } from '../../composables/spreadWishes'
import { dayShopping } from '../../composables/dayShopping'
import { giveFile } from '../../composables/dishFiles'
import { newId } from '../../clients/sync/outbox'
import { useSpreadToday } from '../../composables/spreadToday'
import { useCooks } from '../../stores/cooks'
import { useHouse } from '../../stores/house'
import type { DishCard } from '../../../core/formulation/dish/dish'
import { slackOf } from '../../../core/day/problem/slackOf'
import { canChill } from '../../../core/day/problem/outsideCold'
import { cookOnDay } from '../../../core/day/spread/putOnDay'
import { houseTable } from '../../../core/materials/composition/corrections'
import { stepName } from '../../../words/spread'
import PanelDrawer from '../../components/PanelDrawer.vue'
import { pageTitle } from '../../../words/titles'

const route = useRoute()
const router = useRouter()
const house = useHouse()
const cooks = useCooks()
const { kitchen, evidence, dishes } = storeToRefs(house)
const state = useSpreadDay(String(route.params.id), { kitchen, evidence, ingredients: INGREDIENTS })
const { spread, tries, troubles, seeking, cannot, clash, trouble, offered, other, stopped } = state
useHead({ title: () => pageTitle('/spread/', spread.value?.name) })
const coming = useArriving([house.load().then(() => state.load())])
const { names, fitting, padded, going, slack: planSlack, mealsOf, waits, stepOf, anchorOf, said, pinned, pours, title, date, counts } = useSpreadReading(state)
const wishes = useSpreadWishes(state, step => fitting.value?.starts[step], anchorOf)
const now = useHearthTime(10_000)
const { today, nowMin, savesMin } = useSpreadToday(spread, going, other, now, cooks)
watch(() => today.value?.doings ?? [], known => state.begun(known))
watch(() => today.value?.repaired.lateMin ?? 0, late => state.runsLate(late))

const meals = computed(() => mealsOf(today.value))

const TABS: readonly { readonly id: DayTab, readonly name: string }[] = [
  { id: 'dishes', name: 'Dishes' }, { id: 'hands', name: 'Hands' }, { id: 'kitchen', name: 'Kitchen' }, { id: 'promises', name: 'Promised' }, { id: 'buy', name: 'To buy' },
]
const tab = ref<DayTab | null>(null)
const chosen = ref<string | null>(null)
const busy = ref(false)
const stage = ref<HTMLElement | null>(null)
/** About as wide as the window until it is measured: its height is right from the first moment. */
const { width } = useElementSize(stage, { width: Math.min(1224, window.innerWidth), height: 0 })
watch(spread, (value) => {
  if (value && value.dishes.length === 0) tab.value ??= 'dishes'
})

const view = computed(() => {
  const plan = fitting.value
  if (!plan || !padded.value || !spread.value) return null
  return viewOfSpread(spread.value, today.value?.day ?? padded.value, { starts: today.value?.repaired.starts ?? plan.starts, late: plan.late }, Math.max(640, Math.round(width.value || 1224)), rowHeightFor(spread.value.dishes.length), today.value?.lanes, width.value)
})
const slack = computed(() => (today.value ? slackOf(today.value.day, today.value.repaired.starts, today.value.lanes) : planSlack.value))
const cookOf = computed(() => new Map((spread.value?.cooks ?? []).map(one => [one.dish, one.cook] as const)))
const step = computed(() => stepOf(chosen.value))
/** What was moved is said to who does not see it. */
const moved = ref<string | null>(null)
const movedSays = computed(() => {
  const row = view.value?.rows.find(one => one.dish === moved.value)
  return row?.fireMin ? `${names.value.get(row.dish) ?? ''}: on the fire from ${minuteText(row.fireMin.from)} to ${minuteText(row.fireMin.to)}.` : ''
})
function move(dish: string, minutes: number, done: boolean): void {
  if (done) moved.value = dish
  wishes.move(dish, minutes, done)
}
const corrected = computed(() => houseTable(INGREDIENTS, kitchen.value))
const list = computed(() => (spread.value && kitchen.value ? dayShopping(spread.value, corrected.value, kitchen.value.store, houseDay(hearthNow())) : []))

async function add(card: DishCard, meal: string): Promise<void> {
  busy.value = true
  await state.put(card, card.usual.baseG, meal)
  busy.value = false
}
async function alter(id: string, change: DayDishChange): Promise<void> {
  const dish = spread.value?.dishes.find(one => one.id === id)
  if (dish) await state.put(dish.card, change.baseG ?? dish.baseG, change.meal ?? dish.meal, { serve: change.serve ?? dish.serve, thickens: change.thickens ?? dish.thickens, chills: change.chills ?? dish.chills }, id)
}
const chillable = computed(() => (spread.value?.dishes ?? []).filter(dish => canChill({ stands: dish.steps.stands ?? undefined })).map(dish => dish.id))
async function chill(ids: readonly string[]): Promise<void> {
  for (const id of ids) await alter(id, { chills: true })
}
async function toTheFire(id: string): Promise<void> {
  const dish = spread.value?.dishes.find(one => one.id === id)
  if (!dish || !kitchen.value) return
  const cook = newId()
  const { plan } = cookOnDay(dish, kitchen.value, corrected.value, evidence.value)
  cooks.begin({ ...plan, id: cook, plannedAt: hearthNow() })
  state.change(was => ({ ...was, cooks: [...was.cooks.filter(one => one.dish !== id), { dish: id, cook }] }), 'kept')
  await state.saved()
  await router.push(`/fire/${cook}`)
}
/** The day as a calendar file: what was told before and is gone is cancelled in it. */
async function calendar(): Promise<void> {
  if (!spread.value) return
  await state.saved()
  const answer = await fetch(`/api/spreads/${encodeURIComponent(spread.value.id)}/calendar`).catch(() => null)
  if (!answer?.ok) trouble.value = 'The hearth is away: the calendar was not made. Nothing was changed.'
  else giveFile(`${spread.value.name}.ics`, await answer.text(), 'text/calendar')
}
</script>

<template>
  <HousePage
    :coming="coming"
    :trouble="trouble || house.trouble"
  >
    <div
      v-if="spread"
      class="spread"
      :class="{ on: today }"
    >
      <header>
        <div>
          <h1>{{ title }}</h1>
          <p class="soft">
            {{ date }}. {{ counts }}.
          </p>
        </div>
        <div class="row">
          <ElButton
            :icon="RefreshLeft"
            :disabled="!state.canUndo.value"
            @click="state.undo()"
          >
            Undo
          </ElButton>
          <TakeAlong
            :planned="fitting !== null"
            @print="router.push(`/spread/sheet/${spread.id}`)"
            @calendar="calendar"
          />
        </div>
      </header>
      <ElTabs
        :model-value="tab ?? ''"
        class="holds"
        @tab-click="pane => { tab = tab === pane.paneName ? null : pane.paneName as DayTab }"
        @tab-change="name => { tab = name as DayTab }"
      >
        <ElTabPane
          v-for="one in TABS"
          :key="one.id"
          :name="one.id"
          :label="one.name"
        >
          <DayPanels
            v-if="tab === one.id"
            :tab="tab"
            :spread="spread"
            :book="dishes"
            :grams="gramsText"
            :cup="house.cups[0] ?? null"
            :busy="busy"
            :list="list"
            :name-of="id => corrected.find(row => row.id === id)?.name ?? id"
            @change="state.change"
            @add="add"
            @alter="alter"
          />
        </ElTabPane>
      </ElTabs>
      <DayNow
        v-if="today"
        :spread="spread"
        :today="today"
        :now="nowMin"
        :names="names"
        :cooks="cookOf"
        :saves-min="savesMin"
        @begin="id => state.mark(id, { begun: nowMin })"
        @end="id => state.mark(id, { begun: nowMin, ended: nowMin })"
        @back="id => state.mark(id, null)"
        @fire="toTheFire"
        @other="state.takeOther()"
        @given="id => state.change(was => ({ ...was, promises: was.promises.map(one => one.id === id ? { ...one, given: true } : one) }), 'kept')"
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
      <p
        class="visually-hidden"
        role="status"
      >
        {{ movedSays }}
      </p>
      <DaySaid
        :planned="fitting"
        :moved="(today?.repaired.moved.length ?? 0) > 0"
        :now="nowMin"
        :meals="meals"
        :tries="tries"
        :troubles="troubles"
        :names="names"
        :seeking="seeking"
        :cannot="cannot"
        :stopped="stopped"
        :clash="clash"
        :offers="offered"
        :waits="waits"
        :chillable="chillable"
        @help="state.offers()"
        @again="state.again()"
        @enough="state.enough()"
        @unwish="step => wishes.forbid(step, null)"
        @chill="chill"
      />
      <PanelDrawer
        side="below"
        :title="step ? `${stepName(step.activity.id)}, ${names.get(step.dish) ?? ''}` : ''"
        :open="step !== null"
        @close="chosen = null"
      >
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
          @pin="at => wishes.pin(step!.step, at)"
          @forbid="span => wishes.forbid(step!.step, span)"
        />
      </PanelDrawer>
    </div>
  </HousePage>
</template>

<style scoped>
.spread { display: grid; grid-template-columns: minmax(0, 1fr); gap: 14px; padding-top: 8px; }
header { display: flex; flex-wrap: wrap; gap: 2px 24px; justify-content: space-between; align-items: end; }
header > div:first-child { flex: 1 1 420px; }
.row { display: flex; flex-wrap: wrap; gap: 8px; }
/* On the phone, on the day, what to do now comes before everything else. */
@media (max-width: 700px) {
  .on header { display: contents; }
  .on > :not(.now, header), .on .row { order: 1; }
}
.empty { font-size: 1.25rem; padding: 40px 0; max-width: 34em; }
</style>
