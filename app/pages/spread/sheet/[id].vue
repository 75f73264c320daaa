<script setup lang="ts">
import { storeToRefs } from 'pinia'
import { computed } from 'vue'
import { INGREDIENTS } from '../../../../book/ingredients'
import DayDrawing from '../../../components/spread/DayDrawing.vue'
import { minuteText } from '../../../composables/houseTime'
import { dayShopping } from '../../../composables/dayShopping'
import { gramsText, houseDay } from '../../../composables/format'
import { hearthNow } from '../../../clients/hearthClock'
import { useSpreadDay } from '../../../composables/spreadDay'
import { useSpreadReading } from '../../../composables/spreadReading'
import { viewOfSpread } from '../../../drawings/spreadView'
import { useHouse } from '../../../stores/house'
import { houseTable } from '../../../../core/materials/composition/corrections'
import { lanesOf, stepsOf } from '../../../../core/day/problem/lanesOf'
import { stepName } from '../../../../words/spread'
import { pageTitle } from '../../../../words/titles'

const house = useHouse()
const { kitchen, evidence } = storeToRefs(house)
const state = useSpreadDay(String(useRoute().params.id), { kitchen, evidence, ingredients: INGREDIENTS })
const { spread, planned } = state
useHead({ title: () => pageTitle('/spread/sheet/', spread.value?.name) })
void house.load().then(() => state.load())
const { padded, names, said, date } = useSpreadReading(state)
const view = computed(() => (spread.value && padded.value && planned.value ? viewOfSpread(spread.value, padded.value, planned.value, 1060, spread.value.dishes.length <= 6 ? 50 : 38, { ...lanesOf(padded.value, planned.value.starts), vessels: [] }) : null))
const lists = computed(() => {
  if (!padded.value || !planned.value || !spread.value) return []
  const steps = stepsOf(padded.value, planned.value.starts)
  const lanes = lanesOf(padded.value, planned.value.starts)
  const owned = new Set(lanes.hands.flatMap(lane => lane.map(span => span.step)))
  return [
    ...lanes.hands.map((lane, i) => ({ name: spread.value!.hands[i]?.name ?? '', steps: steps.filter(one => lane.some(span => span.step === one.step)) })),
    { name: 'By themselves', steps: steps.filter(one => !owned.has(one.step)) },
  ].filter(list => list.steps.length > 0)
})
const buy = computed(() => (spread.value && kitchen.value ? dayShopping(spread.value, houseTable(INGREDIENTS, kitchen.value), kitchen.value.store, houseDay(hearthNow())).filter(line => line.packagesG.length > 0) : []))
const dayOfStep = (minute: number): string => (minute < 1440 ? 'eve ' : '')
function print(): void {
  window.print()
}
</script>

<template>
  <main
    id="main"
    class="sheet"
  >
    <template v-if="spread && view">
      <header>
        <h1>{{ spread.name }}, {{ date }}</h1>
        <p class="screen">
          <ElButton
            type="primary"
            @click="print"
          >
            Print on one sheet
          </ElButton>
          <NuxtLink
            class="stone-button"
            :to="`/spread/${spread.id}`"
          >Back to the day</NuxtLink>
        </p>
      </header>
      <DayDrawing
        :view="view"
        :dishes="said"
        :meals="names"
        :slack="{}"
        :pinned="new Set()"
        :pours="new Set()"
        :chosen="null"
        :now="null"
      />
      <div class="lists">
        <section
          v-for="list in lists"
          :key="list.name"
        >
          <h2>{{ list.name }}</h2>
          <ol>
            <li
              v-for="one in list.steps"
              :key="one.step"
            >
              <span class="box" /><strong>{{ dayOfStep(one.from) }}{{ minuteText(one.from) }}</strong> {{ stepName(one.activity.id) }}, {{ names.get(one.dish) }}
            </li>
          </ol>
        </section>
        <section v-if="spread.promises.length > 0 || buy.length > 0">
          <template v-if="spread.promises.length > 0">
            <h2>Promised</h2>
            <ol>
              <li
                v-for="promise in spread.promises"
                :key="promise.id"
              >
                <span class="box" /><strong>{{ minuteText(promise.at) }}</strong> {{ promise.whom }}: {{ promise.what }}
              </li>
            </ol>
          </template>
          <template v-if="buy.length > 0">
            <h2>To buy</h2>
            <p>{{ buy.map(line => `${houseTable(INGREDIENTS, kitchen).find(row => row.id === line.ingredient)?.name.split(',')[0] ?? line.ingredient} ${gramsText(line.packagesG.reduce((sum, size) => sum + size, 0))}`).join(', ') }}.</p>
          </template>
        </section>
      </div>
      <p class="small">
        Times are a plan, not a promise: watch the pan. Hot fat, syrup and steam burn; a pressure pan opens by itself. Liquids are lit when the roast smells, not by the clock.
      </p>
    </template>
    <p
      v-else
      class="soft"
    >
      This day has no plan yet.
    </p>
  </main>
</template>

<style scoped>
.sheet { max-width: 1120px; margin: 0 auto; padding: 16px 20px; display: grid; gap: 8px; }
header { display: flex; flex-wrap: wrap; gap: 10px; justify-content: space-between; align-items: center; }
.screen { display: flex; gap: 8px; }
.lists { columns: 4 210px; column-gap: 22px; font-size: 0.9375rem; line-height: 1.3; }
.lists section { margin-bottom: 8px; }
.lists h2 { font-size: 1.1rem; }
ol { list-style: none; margin: 2px 0; padding: 0; }
li { break-inside: avoid; padding: 1px 0; }
.box { display: inline-block; width: 0.75em; height: 0.75em; border: 1.5px solid currentcolor; margin-right: 0.45em; }
@page { size: A4 landscape; margin: 8mm; }
@media print {
  .screen { display: none; }
  .sheet { padding: 0; max-width: none; gap: 4px; }
  .sheet h1 { font-size: 1.3rem; }
  .lists { font-size: 10px; columns: 5; column-gap: 14px; }
  .lists h2 { font-size: 12px; }
  .small { font-size: 9px; }
}
</style>
<style>
@media print { html, body { background: #ffffff; color: #000000; } }
</style>
