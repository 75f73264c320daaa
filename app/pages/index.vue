<script setup lang="ts">
import { computed, defineAsyncComponent, ref, shallowRef, watch } from 'vue'
import { BatchPageSchema, InHouseSchema, type BatchListLine } from '../../contracts/batch'
import { NextDishesSchema, type NextDishes } from '../../contracts/nextDish'
import HousePage from '../components/HousePage.vue'
import LeftOpen from '../components/LeftOpen.vue'
import NextDishesOfHouse from '../components/book/NextDishes.vue'
import SmallArch from '../components/SmallArch.vue'
import HouseShelf from '../components/tray/HouseShelf.vue'
import { ask } from '../clients/api'
import { useArriving } from '../composables/arriving'
import { clockText, dayText, gramsText } from '../composables/format'
import { useHearthTime } from '../composables/hearthTime'
import { useLeftOpen } from '../composables/leftOpen'
import { useNextDays } from '../composables/nextDay'
import { useLiveCooks } from '../composables/liveCooks'
import { useHouse } from '../stores/house'
import { faultName } from '../../words/faults'

/** Where nobody can be asked what may be next. */
const FIRST_DISH = 'sweet-water-semolina'
/** Comes after what is seen first. */
const NextDay = defineAsyncComponent(() => import('../components/spread/NextDay.vue'))
const house = useHouse()
const loaded = house.load()
const live = useLiveCooks()
const { cooks: leftOpen, done: closeCook, still: stillOn } = useLeftOpen(live)
const now = useHearthTime(1000)
const last = shallowRef<readonly BatchListLine[]>([])
const lastRead = ask('GET', '/batches?limit=6', BatchPageSchema).then((page) => {
  last.value = page.batches
}).catch(() => undefined)
const inHouse = shallowRef<readonly BatchListLine[]>([])
const houseRead = ask('GET', '/batches/in-house', InHouseSchema).then((found) => {
  inHouse.value = found.batches
}).catch(() => undefined)
const { days, read: daysRead } = useNextDays()
const next = shallowRef<NextDishes['dishes'] | null>(null)
const nextRead = ask('GET', '/dishes/next', NextDishesSchema).then((found) => {
  next.value = found.dishes
}).catch(() => undefined)
const coming = useArriving([loaded, lastRead, houseRead, daysRead, nextRead])
const text = ref('')
const router = useRouter()
/** The index comes once somebody wants to find something: it brings the whole ingredient table along. */
const find = shallowRef<((text: string) => string[]) | null>(null)
async function readyToFind(): Promise<void> {
  if (find.value || house.dishes.length === 0) return
  const { findInBook } = await import('../composables/findInBook')
  find.value = findInBook(house.dishes, house.kitchen)
}
watch(text, () => void readyToFind())
const here = computed(() => (text.value.trim() !== '' && find.value ? find.value(text.value) : house.dishes.map(dish => dish.id))
  .flatMap(id => house.dishes.filter(dish => dish.id === id && !house.aside.includes(dish.id))))
/** Likeliest next, by the hearth; where it cannot be asked, what the book begins with. */
const likely = computed(() => {
  const known = next.value ?? house.dishes.filter(dish => dish.id === FIRST_DISH).map(dish => ({ id: dish.id, why: 'first' as const, missing: [], uses: null, made: 0, last: null }))
  return known.flatMap(one => house.dishes.filter(dish => dish.id === one.id).map(card => ({ ...one, card })))
})
/** What the words find; without words one dish of each family. */
const offered = computed(() => (text.value.trim() === ''
  ? here.value.filter((dish, i, all) => all.findIndex(one => one.family === dish.family) === i && !likely.value.some(one => one.id === dish.id))
  : here.value).slice(0, 8))
async function openFirst(): Promise<void> {
  await readyToFind()
  const [first] = here.value
  if (first) await router.push(`/measure?dish=${first.id}`)
}
const started = computed(() => live.value.filter(cook => cook.startedAt !== null && !leftOpen.value.some(one => one.id === cook.id)))
const waiting = computed(() => live.value.filter(cook => cook.startedAt === null))
const guesses = computed(() => {
  const kitchen = house.kitchen
  if (!kitchen) return 0
  return kitchen.measures.filter(one => one.origin === 'guess').length + kitchen.pans.filter(one => one.massOrigin === 'guess').length
    + kitchen.fires.filter(one => one.origin === 'guess').length
})
</script>

<template>
  <HousePage
    :coming="coming"
    :trouble="house.trouble ? `${house.trouble} What is on this device is safe.` : ''"
  >
    <div class="home">
      <section
        v-if="started.length > 0"
        class="on"
      >
        <h1>On the fire</h1>
        <NuxtLink
          v-for="cook in started"
          :key="cook.id"
          class="stone-button first go"
          :to="`/fire/${cook.id}`"
        >
          <span>{{ cook.dish }}</span><span>{{ clockText((now - (cook.startedAt ?? now)) / 1000) }}</span>
        </NuxtLink>
      </section>
      <section
        v-if="leftOpen.length > 0"
        class="on"
        aria-label="Left open"
      >
        <LeftOpen
          :cooks="leftOpen"
          @done="closeCook"
          @still="stillOn"
        />
      </section>
      <NextDay
        :days="days"
        :now="now"
      />
      <section
        v-if="inHouse.length > 0"
        class="keeps"
      >
        <header>
          <h2>In the house</h2>
          <NuxtLink to="/tray">{{ inHouse.length > 3 ? `All ${inHouse.length} at the tray` : 'At the tray' }}</NuxtLink>
        </header>
        <HouseShelf
          :batches="inHouse.slice(0, 3)"
          :now="now"
        />
      </section>
      <section class="start">
        <h1>{{ started.length > 0 ? 'And next' : 'What will you make?' }}</h1>
        <form
          class="find"
          role="search"
          @submit.prevent="openFirst"
        >
          <label
            class="visually-hidden"
            for="find"
          >Find a dish</label>
          <ElInput
            id="find"
            v-model="text"
            size="large"
            type="search"
            placeholder="Find a dish: sooji, gajar, besan, சேமியா"
            autocomplete="off"
            @focus="readyToFind"
          />
          <NuxtLink
            class="stone-button"
            to="/book"
          >The whole book</NuxtLink>
        </form>
        <NextDishesOfHouse
          v-if="text.trim() === ''"
          :dishes="likely"
        />
        <ul
          class="quick"
          aria-label="Dishes"
        >
          <li
            v-for="dish in offered"
            :key="dish.id"
          >
            <NuxtLink :to="`/measure?dish=${dish.id}`">
              <strong>{{ dish.name }}</strong><span class="soft">{{ dish.otherNames[0] }}</span>
            </NuxtLink>
          </li>
        </ul>
        <p v-if="waiting.length > 0">
          <NuxtLink
            v-for="cook in waiting.slice(0, 1)"
            :key="cook.id"
            class="stone-button"
            :to="`/fire/${cook.id}`"
          >To the fire: {{ cook.dish }}, measured {{ dayText(cook.plannedAt) }}</NuxtLink>
        </p>
      </section>
      <section class="last">
        <header>
          <h2>Last batches</h2>
          <NuxtLink to="/ledger">All in the ledger</NuxtLink>
        </header>
        <p
          v-if="last.length === 0"
          class="soft"
        >
          Nothing cooked yet. Each batch will stand here as an arch in its own colours.
        </p>
        <ol
          v-if="last.length === 0"
          class="ways"
        >
          <li><strong>Measure</strong> in your own glass: any glass, no scale needed.</li>
          <li><strong>Fire</strong>: mark what you smell and see. The windows start wide and narrow with every mark.</li>
          <li><strong>Ledger</strong>: what was forecast beside what happened, and a better guess next time.</li>
        </ol>
        <ul class="arcade">
          <li
            v-for="batch in last"
            :key="batch.id"
          >
            <NuxtLink :to="`/ledger/${batch.id}`">
              <span class="stand"><SmallArch
                :stones="batch.summary.stones"
                :keystone-s="batch.summary.keystoneS"
                :fault="batch.summary.faults.length > 0"
                :title="`${batch.dish}, ${dayText(batch.startedAt)}`"
              /></span>
              <span class="day">{{ dayText(batch.startedAt) }}</span>
              <span class="soft small">{{ batch.summary.faults.length > 0 ? batch.summary.faults.map(one => faultName(one)).join(', ') : batch.summary.finishedG === null ? 'came right' : `came right, ${gramsText(batch.summary.finishedG)}` }}</span>
            </NuxtLink>
          </li>
        </ul>
      </section>
      <p
        v-if="guesses > 0"
        class="soft guess"
      >
        {{ guesses }} things of your kitchen are still guesses. Windows are wide until they are known: <NuxtLink to="/kitchen">look at the shelves</NuxtLink>.
      </p>
    </div>
  </HousePage>
</template>

<style scoped>
.home { display: grid; grid-template-columns: minmax(0, 1fr); gap: 26px; padding-top: 14px; }
.on { display: grid; gap: 12px; }
.go { min-height: 92px; font-size: 1.7rem; justify-content: space-between; padding-inline: 1.6rem; border-bottom-width: 8px; }
.start h1 { margin-bottom: 14px; }
.find { display: flex; flex-wrap: wrap; gap: 12px; margin-bottom: 22px; }
.find .el-input { flex: 1 1 260px; min-width: 0; }
.find .stone-button { min-height: 56px; white-space: nowrap; }
.quick { list-style: none; margin: 22px 0; padding: 0; display: grid; grid-template-columns: repeat(4, minmax(0, 1fr)); gap: 4px 24px; }
.quick a { display: grid; padding: 8px 0; min-height: 56px; text-decoration: none; border-top: 2px solid var(--line); line-height: 1.25; }
.quick a:hover strong { color: var(--accent); }
.keeps header a, .last header a { display: inline-block; padding-block: 10px; margin-block: -10px; }
.keeps header, .last header { display: flex; align-items: baseline; gap: 1.5rem; margin-bottom: 12px; }
.arcade { list-style: none; margin: 0; padding: 0; display: grid; grid-template-columns: repeat(6, minmax(0, 1fr)); gap: 12px 0; }
.arcade a { display: grid; justify-items: stretch; text-decoration: none; text-align: center; }
.ways { display: grid; gap: 6px; margin: 12px 0 0; padding-left: 1.3em; max-width: 46em; font-size: 1.125rem; }
.stand { display: block; border-bottom: 4px solid var(--ink); }
.stand :deep(svg) { max-width: 118px; margin: 0 auto; }
.day { font-weight: 600; padding-top: 4px; }
@media (max-width: 700px) {
  .quick { grid-template-columns: repeat(2, minmax(0, 1fr)); }
  .arcade { grid-template-columns: repeat(3, minmax(0, 1fr)); }
}
</style>
