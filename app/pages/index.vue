<script setup lang="ts">
import { computed, shallowRef } from 'vue'
import { BatchPageSchema, type BatchLine } from '../../contracts/batch'
import HouseHeader from '../components/HouseHeader.vue'
import SmallArch from '../components/SmallArch.vue'
import { ask } from '../composables/api'
import { clockText, dayText, gramsText } from '../composables/format'
import { useHearthTime } from '../composables/hearthClock'
import { useLiveCooks } from '../composables/liveCooks'
import { useHouse } from '../stores/house'
import { FAULT_WORDS } from '../../words/cook'

const house = useHouse()
void house.load()
const live = useLiveCooks()
const now = useHearthTime(1000)
const last = shallowRef<readonly BatchLine[]>([])
void ask('GET', '/batches?limit=6', BatchPageSchema).then((page) => {
  last.value = page.batches
}).catch(() => undefined)
const started = computed(() => live.value.filter(cook => cook.startedAt !== null))
const waiting = computed(() => live.value.filter(cook => cook.startedAt === null))
const guesses = computed(() => {
  const kitchen = house.kitchen
  if (!kitchen) return 0
  return kitchen.measures.filter(one => one.origin === 'guess').length + kitchen.pans.filter(one => one.massOrigin === 'guess').length
    + kitchen.fires.filter(one => one.origin === 'guess').length
})
</script>

<template>
  <div>
    <HouseHeader :live="live[0]?.id ?? null" />
    <main
      id="main"
      class="page"
    >
      <p
        v-if="house.trouble"
        class="danger"
        role="alert"
      >
        {{ house.trouble }} What is on this device is safe.
      </p>
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
      <section class="start">
        <h1>{{ started.length > 0 ? 'And next' : 'What will you make?' }}</h1>
        <div class="dishes">
          <article
            v-for="dish in house.dishes"
            :key="dish.id"
            class="slab dish"
          >
            <h2>{{ dish.name }}</h2>
            <p class="soft">
              {{ dish.otherNames.join(' · ') }}
            </p>
            <p>Sugar in the hot water, ghee half now and half late, nuts first.</p>
            <div class="row">
              <NuxtLink
                class="stone-button first"
                :to="`/measure?dish=${dish.id}`"
              >Measure it out</NuxtLink>
              <NuxtLink
                v-for="cook in waiting.slice(0, 1)"
                :key="cook.id"
                class="stone-button"
                :to="`/fire/${cook.id}`"
              >To the fire: measured {{ dayText(cook.plannedAt) }}</NuxtLink>
            </div>
          </article>
        </div>
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
        <ul class="arcade">
          <li
            v-for="batch in last"
            :key="batch.id"
          >
            <NuxtLink :to="`/ledger/${batch.id}`">
              <SmallArch
                :summary="batch.summary"
                :title="`${batch.dish}, ${dayText(batch.startedAt)}`"
              />
              <span class="day">{{ dayText(batch.startedAt) }}</span>
              <span class="soft small">{{ batch.summary.faults.length > 0 ? batch.summary.faults.map(one => FAULT_WORDS[one] ?? one).join(', ') : batch.summary.finishedG === null ? 'came right' : `came right, ${gramsText(batch.summary.finishedG)}` }}</span>
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
    </main>
  </div>
</template>

<style scoped>
.page { display: grid; gap: 34px; padding-top: 18px; }
.on { display: grid; gap: 12px; }
.go { min-height: 92px; font-size: 1.7rem; justify-content: space-between; padding-inline: 1.6rem; border-bottom-width: 8px; }
.start h1 { margin-bottom: 14px; }
.dishes { display: grid; grid-template-columns: repeat(auto-fill, minmax(320px, 1fr)); gap: 28px; }
.dish { display: grid; gap: 0.4rem; }
.row { display: flex; flex-wrap: wrap; gap: 10px; margin-top: 0.5rem; }
.row .stone-button { min-height: 56px; }
.last header { display: flex; align-items: baseline; gap: 1.5rem; margin-bottom: 12px; }
.arcade { list-style: none; margin: 0; padding: 0; display: grid; grid-template-columns: repeat(6, minmax(0, 1fr)); gap: 24px; border-bottom: 3px solid var(--ink); }
.arcade a { display: grid; justify-items: center; text-decoration: none; text-align: center; }
.day { font-weight: 600; margin-top: 6px; padding-top: 4px; }
.arcade :deep(svg) { max-width: 128px; }
.arcade a .small { min-height: 2.8em; }
@media (max-width: 700px) { .arcade { grid-template-columns: repeat(3, minmax(0, 1fr)); gap: 14px; } }
</style>
