<script setup lang="ts">
import { computed, ref } from 'vue'
import HouseHeader from '../components/HouseHeader.vue'
import CupEditor from '../components/kitchen/CupEditor.vue'
import FireEditor from '../components/kitchen/FireEditor.vue'
import ShoppingForDishes from '../components/kitchen/ShoppingForDishes.vue'
import StoreShelf from '../components/kitchen/StoreShelf.vue'
import TrayEditor from '../components/kitchen/TrayEditor.vue'
import UnitsSwitch from '../components/kitchen/UnitsSwitch.vue'
import PanEditor from '../components/kitchen/PanEditor.vue'
import { unitsInUse } from '../composables/format'
import { hearthNow } from '../composables/hearthClock'
import { useLiveCooks } from '../composables/liveCooks'
import { newId } from '../composables/outbox'
import { vesselShape } from '../drawings/vesselShape'
import { useHouse } from '../stores/house'
import { INGREDIENTS } from '../../book/ingredients'
import type { Kitchen, ShelfName } from '../../contracts/kitchen'
import { withCorrections } from '../../core/composition/corrections'
import { drawnSize } from '../../core/measures/drawnSize'
import { guessMassG } from '../../core/vessel/guessMassG'
import { ORIGIN_WORDS } from '../../words/measure'

const house = useHouse()
const table = computed(() => withCorrections(INGREDIENTS, house.kitchen?.corrections ?? []))
const today = Math.floor(hearthNow() / 86_400_000)
void house.load()
const live = useLiveCooks()
/** Shelves whose things stand on boards and are edited here. */
type Board = Extract<ShelfName, 'measures' | 'pans' | 'fires' | 'trays'>
const open = ref<{ shelf: Board, id: string } | null>(null)
const trouble = ref('')
const gone = ref<{ shelf: Board, item: Kitchen[Board][number] } | null>(null)

/** Drawing units for a mm: one scale for a shelf. */
const CUP_SCALE = 1.25
const PAN_SCALE = 0.6
const opened = computed(() => {
  const where = open.value
  const items: readonly { readonly id: string, readonly name: string }[] = where && house.kitchen ? house.kitchen[where.shelf] : []
  return items.find(one => one.id === where?.id) ?? null
})
const factor = (id: string): { text: string, batches: number } | null => {
  const found = house.evidence.filter(one => one.name === `fire.${id}`)
  if (found.length === 0) return null
  const weight = found.reduce((sum, one) => sum + 1 / (one.variance + 0.0144), 0)
  const mean = found.reduce((sum, one) => sum + one.value / (one.variance + 0.0144), 0) / weight
  return { text: `gives about ${Math.round(100 * Math.exp(mean))} % of that`, batches: found.length }
}

async function keep(shelf: ShelfName, item: Kitchen[ShelfName][number]): Promise<void> {
  try {
    await house.put(shelf, item)
    trouble.value = ''
  }
  catch (error) {
    trouble.value = `Not kept yet: ${error instanceof Error ? error.message : ''}`
  }
}
async function remove(): Promise<void> {
  const where = open.value
  const item = opened.value as unknown as Kitchen[Board][number] | null
  if (!where || !item) return
  gone.value = { shelf: where.shelf, item }
  open.value = null
  await house.remove(where.shelf, where.id).catch(() => {
    trouble.value = 'The hearth cannot be reached; it is still on the shelf.'
  })
}
async function putBack(): Promise<void> {
  if (!gone.value) return
  await keep(gone.value.shelf, gone.value.item)
  gone.value = null
}
async function add(shelf: Board, kind: 'cup' | 'spoon' | 'pan' | 'pot' | 'fire' | 'tray'): Promise<void> {
  const id = newId()
  if (kind === 'cup' || kind === 'spoon') {
    const volumeMl = kind === 'cup' ? 200 : 15
    await keep('measures', { id, name: kind === 'cup' ? 'New cup' : 'New spoon', kind, volumeMl, origin: 'guess', ...drawnSize(volumeMl, kind) })
  }
  else if (kind === 'fire') {
    await keep('fires', { id, name: 'New fire', origin: 'guess', marks: [{ id: 'm1', label: 'small', watts: 350 }, { id: 'm2', label: 'middle', watts: 700 }, { id: 'm3', label: 'big', watts: 1300 }] })
  }
  else if (kind === 'tray') {
    await keep('trays', { id, name: 'New tray', shape: 'rectangle', widthMm: 200, lengthMm: 200, depthMm: 30 })
  }
  else {
    const [innerDiameterMm, depthMm] = kind === 'pan' ? [240, 70] : [180, 110]
    await keep('pans', { id, name: kind === 'pan' ? 'New pan' : 'New pot', kind, material: 'steel', innerDiameterMm, depthMm, massG: guessMassG(innerDiameterMm, depthMm, 'steel'), massOrigin: 'guess', coated: false })
  }
  open.value = { shelf, id }
}
</script>

<template>
  <div>
    <HouseHeader :live="live[0]?.id ?? null" />
    <main
      id="main"
      class="page kitchen"
    >
      <div class="shelves">
        <h1>The kitchen</h1>
        <p class="soft">
          Drawn to scale. Every number says where it comes from; a guess is good enough to begin with. Everything is kept as you change it.
        </p>
        <p
          v-if="trouble || house.trouble"
          class="danger"
          role="alert"
        >
          {{ trouble || house.trouble }}
        </p>
        <p
          v-if="gone"
          role="status"
        >
          Taken off the shelf. <button
            class="stone-button"
            @click="putBack"
          >
            Put it back
          </button>
        </p>
        <template v-if="house.kitchen">
          <UnitsSwitch
            :units="unitsInUse"
            :currency="house.currency"
            @units="units => house.setUnits(units)"
            @currency="currency => keep('settings', { id: 'house', units: unitsInUse, currency })"
          />
          <section aria-label="Cups and spoons">
            <header>
              <h2>Cups and spoons</h2>
              <button
                class="stone-button quiet"
                @click="add('measures', 'cup')"
              >
                Another cup
              </button>
              <button
                class="stone-button quiet"
                @click="add('measures', 'spoon')"
              >
                Another spoon
              </button>
            </header>
            <div class="board">
              <button
                v-for="one in house.kitchen.measures"
                :key="one.id"
                class="thing"
                :aria-pressed="open?.id === one.id"
                @click="open = { shelf: 'measures', id: one.id }"
              >
                <svg
                  :viewBox="`-4 -4 ${one.topMm * (one.kind === 'spoon' ? 2.4 : 1) + 8} ${one.heightMm + 8}`"
                  :width="(one.topMm * (one.kind === 'spoon' ? 2.4 : 1) + 8) * CUP_SCALE"
                  aria-hidden="true"
                ><path
                  class="wall"
                  :d="one.kind === 'spoon' ? `M0 0Q${one.topMm / 2} ${one.heightMm * 2} ${one.topMm} 0ZM${one.topMm} 0h${one.topMm * 1.4}` : vesselShape(one.topMm, one.bottomMm, one.heightMm, 0).wall"
                /></svg>
                <span class="label"><strong>{{ one.name }}</strong> {{ Math.round(one.volumeMl * 10) / 10 }} ml</span>
                <span class="soft small">{{ ORIGIN_WORDS[one.origin] }}</span>
              </button>
            </div>
          </section>
          <section aria-label="Pans and pots">
            <header>
              <h2>Pans and pots</h2>
              <button
                class="stone-button quiet"
                @click="add('pans', 'pan')"
              >
                Another pan
              </button>
              <button
                class="stone-button quiet"
                @click="add('pans', 'pot')"
              >
                Another pot
              </button>
            </header>
            <div class="board">
              <button
                v-for="one in house.kitchen.pans"
                :key="one.id"
                class="thing"
                :aria-pressed="open?.id === one.id"
                @click="open = { shelf: 'pans', id: one.id }"
              >
                <svg
                  :viewBox="`-6 -6 ${one.innerDiameterMm + 12} ${one.depthMm + 12}`"
                  :width="(one.innerDiameterMm + 12) * PAN_SCALE"
                  aria-hidden="true"
                ><path
                  class="wall thick"
                  :d="vesselShape(one.innerDiameterMm, one.innerDiameterMm * 0.96, one.depthMm, 0).wall"
                /></svg>
                <span class="label"><strong>{{ one.name }}</strong> {{ one.innerDiameterMm / 10 }} × {{ one.depthMm / 10 }} cm</span>
                <span class="soft small">{{ one.material.replace('-', ' ') }}{{ one.coated ? ', coated' : '' }}, {{ one.massG }} g {{ one.massOrigin === 'guess' ? 'as a guess' : ORIGIN_WORDS[one.massOrigin] }}</span>
              </button>
            </div>
          </section>
          <section aria-label="Fires">
            <header>
              <h2>Fires</h2>
              <button
                class="stone-button quiet"
                @click="add('fires', 'fire')"
              >
                Another fire
              </button>
            </header>
            <div class="board">
              <button
                v-for="one in house.kitchen.fires"
                :key="one.id"
                class="thing"
                :aria-pressed="open?.id === one.id"
                @click="open = { shelf: 'fires', id: one.id }"
              >
                <svg
                  :viewBox="`0 0 ${one.marks.length * 30 + 6} 74`"
                  :width="one.marks.length * 30 + 6"
                  height="74"
                  aria-hidden="true"
                ><path
                  v-for="(mark, i) in one.marks"
                  :key="mark.id"
                  class="flame"
                  :d="`M${i * 30 + 18} ${74 - 18 - mark.watts / 1500 * 52}q13 ${(18 + mark.watts / 1500 * 52) / 2} 0 ${18 + mark.watts / 1500 * 52}q-13 -${(18 + mark.watts / 1500 * 52) / 2} 0 -${18 + mark.watts / 1500 * 52}z`"
                /></svg>
                <span class="label"><strong>{{ one.name }}</strong> {{ one.marks.length }} marks, {{ one.marks[0]?.watts }} to {{ one.marks.at(-1)?.watts }} W</span>
                <span class="soft small">{{ ORIGIN_WORDS[one.origin] }}<template v-if="factor(one.id)">; {{ factor(one.id)?.text }} by {{ factor(one.id)?.batches }} batches</template></span>
              </button>
            </div>
          </section>
          <section aria-label="Trays and plates">
            <header>
              <h2>Trays and plates</h2>
              <button
                class="stone-button quiet"
                @click="add('trays', 'tray')"
              >
                Another tray
              </button>
            </header>
            <div class="board">
              <button
                v-for="one in house.kitchen.trays"
                :key="one.id"
                class="thing"
                :aria-pressed="open?.id === one.id"
                @click="open = { shelf: 'trays', id: one.id }"
              >
                <svg
                  :viewBox="`-6 -6 ${one.widthMm + 12} ${one.depthMm + 12}`"
                  :width="(one.widthMm + 12) * PAN_SCALE"
                  aria-hidden="true"
                ><path
                  class="wall thick"
                  :d="vesselShape(one.widthMm, one.widthMm * 0.96, one.depthMm, 0).wall"
                /></svg>
                <span class="label"><strong>{{ one.name }}</strong> {{ one.shape === 'round' ? `${one.widthMm / 10} cm round` : `${one.widthMm / 10} × ${one.lengthMm / 10} cm` }}</span>
                <span class="soft small">{{ one.depthMm }} mm deep</span>
              </button>
            </div>
          </section>
          <StoreShelf
            :store="house.kitchen.store"
            :table="table"
            :measures="house.kitchen.measures"
            :today="today"
            :new-id="newId"
            @put="item => keep('store', item)"
            @gone="item => house.remove('store', item.id)"
          />
          <ShoppingForDishes
            :dishes="house.dishes"
            :store="house.kitchen.store"
            :table="table"
            :today="today"
          />
        </template>
      </div>
      <aside
        class="edit"
        aria-label="What is in your hand"
      >
        <template v-if="open && opened && house.kitchen">
          <h2>{{ opened.name }}</h2>
          <CupEditor
            v-if="open.shelf === 'measures'"
            :key="open.id"
            :item="house.kitchen.measures.find(one => one.id === open?.id)!"
            @change="item => keep('measures', item)"
          />
          <PanEditor
            v-else-if="open.shelf === 'pans'"
            :key="open.id"
            :item="house.kitchen.pans.find(one => one.id === open?.id)!"
            @change="item => keep('pans', item)"
          />
          <TrayEditor
            v-else-if="open.shelf === 'trays'"
            :key="open.id"
            :item="house.kitchen.trays.find(one => one.id === open?.id)!"
            @change="item => keep('trays', item)"
          />
          <FireEditor
            v-else
            :key="open.id"
            :item="house.kitchen.fires.find(one => one.id === open?.id)!"
            @change="item => keep('fires', item)"
          />
          <div class="row">
            <button
              class="stone-button"
              @click="open = null"
            >
              Done
            </button>
            <button
              class="stone-button quiet"
              @click="remove"
            >
              Take it off the shelf
            </button>
          </div>
        </template>
        <p
          v-else
          class="soft"
        >
          Take a thing from the shelf to name it, measure it or weigh it.
        </p>
      </aside>
    </main>
  </div>
</template>

<style scoped>
.kitchen { display: grid; grid-template-columns: minmax(0, 1fr) 360px; gap: 36px; padding-top: 16px; }
.shelves { display: grid; grid-template-columns: minmax(0, 1fr); gap: 14px; align-content: start; }
.shelves section h2 { font-size: 1.2rem; }
.board { display: flex; align-items: flex-end; gap: 26px; flex-wrap: wrap; padding-top: 8px; }
.thing { display: grid; justify-items: center; align-content: end; gap: 0; background: none; border: 0; padding: 0; cursor: pointer; text-align: center; color: inherit; }
.thing svg { display: block; height: auto; max-width: 100%; border-bottom: 6px solid var(--ink); padding: 0 10px; box-sizing: content-box; }
.thing[aria-pressed="true"] svg { border-color: var(--accent); }
.thing[aria-pressed="true"] .label strong { color: var(--accent); }
.label { margin-top: 6px; }
.label strong { display: block; }
.wall { fill: none; stroke: var(--metal); stroke-width: 2.6; stroke-linejoin: round; stroke-linecap: round; }
.wall.thick { stroke-width: 7; }
.flame { fill: var(--ink-soft); }
.shelves header { display: flex; align-items: center; gap: 14px; }
.edit { border-left: 3px solid var(--line); padding-left: 26px; display: grid; gap: 14px; align-content: start; }
.edit :deep(.editor) { display: grid; gap: 10px; }
.edit :deep(label) { display: grid; gap: 3px; font-weight: 600; font-size: 0.9375rem; }
.edit :deep(fieldset) { border: 0; border-top: 2px solid var(--line); padding: 8px 0 0; margin: 0; display: grid; grid-template-columns: 1fr 1fr; gap: 10px; }
.edit :deep(fieldset.marks) { grid-template-columns: 1fr; gap: 0; }
.edit :deep(legend) { padding: 0 8px 0 0; font-weight: 600; font-size: 0.9375rem; }
.row { display: flex; gap: 10px; }
@media (max-width: 1000px) {
  .kitchen { grid-template-columns: minmax(0, 1fr); }
  .edit { border-left: 0; border-top: 3px solid var(--line); padding: 18px 0 0; order: -1; }
}
</style>
