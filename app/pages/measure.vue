<script setup lang="ts">
import { storeToRefs } from 'pinia'
import { onMounted, ref } from 'vue'
import ChoiceSelect from '../components/ChoiceSelect.vue'
import HouseHeader from '../components/HouseHeader.vue'
import AmountShelf from '../components/measure/AmountShelf.vue'
import WhatComesOfIt from '../components/measure/WhatComesOfIt.vue'
import { hearthNow } from '../composables/hearthClock'
import { useLiveCooks } from '../composables/liveCooks'
import { useMeasureSheet } from '../composables/measureSheet'
import { newId } from '../composables/outbox'
import { useCooks } from '../stores/cooks'
import { useHouse } from '../stores/house'
import { INGREDIENTS } from '../../book/ingredients'
import { CoreError } from '../../core/error'
import { parseAmount } from '../../core/measures/parseAmount'
import { baseFor, setAmount } from '../../core/proportions/proportionSheet'
import { schoolOf } from '../../words/dish'

const house = useHouse()
const cooks = useCooks()
const live = useLiveCooks()
const route = useRoute()
const router = useRouter()
const { kitchen, dishes, evidence } = storeToRefs(house)
const state = useMeasureSheet({ kitchen, dishes, evidence, ingredients: INGREDIENTS })
const { sheet, dish, book, cup, rows, finished, plan, forecast, canUndo, undo, set } = state
void house.load().then(() => state.open(typeof route.query.dish === 'string' ? route.query.dish : undefined))
// The fire must open even if the connection is lost between here and there.
onMounted(() => void preloadRouteComponents('/fire/next'))

const spoken = ref('')
const trouble = ref('')
function say(): void {
  const base = INGREDIENTS.find(row => row.id === dish.value?.ingredients.find(one => one.id === dish.value?.base)?.ingredient)
  if (!cup.value || !dish.value || !base) return
  try {
    const amount = parseAmount(spoken.value, cup.value, kitchen.value?.measures ?? [])
    set({ baseG: baseFor(amount, base.bulkDensity, finished.value, dish.value.portionG) })
    trouble.value = ''
  }
  catch (error) {
    trouble.value = error instanceof CoreError && error.code === 'out-of-range'
      ? 'That is outside what a kitchen cooks: between 5 g and 20 kg of the base. Nothing was changed.'
      : `"${spoken.value}" was not understood. Say it as 2 glasses, 1 1/2 cup, 300 g or 6 people. Nothing was changed.`
  }
}
function change(id: string, massG: number): void {
  if (sheet.value && dish.value) set(setAmount(sheet.value, dish.value.base, id, massG))
}

const starting = ref(false)
async function toTheFire(): Promise<void> {
  if (!plan.value || !book.value || !dish.value) return
  starting.value = true
  const changed = JSON.stringify(dish.value.ingredients) !== JSON.stringify(book.value.ingredients)
  const version = changed ? { ...dish.value, version: book.value.version + 1 } : book.value
  const id = newId()
  cooks.begin({ ...plan.value, id, dish: version, plannedAt: hearthNow(), forecast: forecast.value })
  if (changed) await house.keepDish(version).then(() => set({ ratios: {} })).catch(() => undefined)
  await router.push(`/fire/${id}`)
}
</script>

<template>
  <div>
    <HouseHeader :live="live[0]?.id ?? null" />
    <main
      id="main"
      class="page measure"
    >
      <p
        v-if="house.trouble"
        class="danger"
        role="alert"
      >
        {{ house.trouble }}
      </p>
      <template v-if="dish && sheet && cup">
        <section
          class="left"
          aria-label="Amounts"
        >
          <h1>{{ dish.name }}</h1>
          <p class="soft">
            {{ schoolOf(dish).join(' · ') }}
          </p>
          <form
            class="say"
            @submit.prevent="say"
          >
            <ChoiceSelect
              class="cup"
              label="Cup"
              :chosen="sheet.cup"
              :options="house.cups.map(one => ({ value: one.id, label: `${one.name}, ${Math.round(one.volumeMl)} ml` }))"
              @choose="value => set({ cup: value })"
            />
            <label for="say">Make it from</label>
            <input
              id="say"
              v-model="spoken"
              placeholder="2 glasses, 300 g, 6 people"
              autocomplete="off"
            >
            <button class="stone-button">
              Set
            </button>
            <button
              type="button"
              class="stone-button quiet"
              :disabled="!canUndo"
              @click="undo()"
            >
              Undo
            </button>
          </form>
          <p
            class="danger trouble"
            role="alert"
          >
            {{ trouble }}
          </p>
          <AmountShelf
            :rows="rows"
            :base="dish.base"
            :cup="cup"
            @change="change"
          />
        </section>
        <aside
          class="right"
          aria-label="What comes of it"
        >
          <header>
            <h2>What comes of it</h2>
            <button
              class="stone-button first"
              :disabled="!forecast || starting"
              @click="toTheFire"
            >
              Take it to the fire
            </button>
          </header>
          <WhatComesOfIt
            :state="state"
            :pans="house.pans"
            :fires="kitchen?.fires ?? []"
          />
        </aside>
      </template>
    </main>
  </div>
</template>

<style scoped>
.measure { display: grid; grid-template-columns: minmax(0, 1fr) 400px; gap: 36px; padding-top: 10px; }
.left { display: grid; gap: 8px; align-content: start; }
.say { display: flex; gap: 10px; align-items: center; margin-top: 8px; }
.say label { color: var(--ink-soft); white-space: nowrap; }
.say input { min-height: 46px; flex: 1 1 220px; min-width: 0; border: 2px solid var(--ink); border-bottom-width: 4px; border-radius: 2px; background: var(--wall-raised); padding: 0 0.8rem; }
.cup { flex: 0 1 230px; }
.trouble:empty { display: none; }
.right { border-left: 3px solid var(--line); padding-left: 28px; display: grid; gap: 12px; align-content: start; }
.right header { display: flex; justify-content: space-between; align-items: center; gap: 10px; }
@media (max-width: 1000px) {
  .measure { grid-template-columns: minmax(0, 1fr); }
  .right { border-left: 0; border-top: 3px solid var(--line); padding: 18px 0 0; }
}
@media (max-width: 700px) {
  .say { flex-wrap: wrap; }
  .cup { flex: 1 1 100%; }
}
</style>
