<script setup lang="ts">
import { computed, ref } from 'vue'
import HousePage from '../../components/HousePage.vue'
import CupEditor from '../../components/kitchen/CupEditor.vue'
import FireEditor from '../../components/kitchen/FireEditor.vue'
import ShoppingForDishes from '../../components/kitchen/ShoppingForDishes.vue'
import StoreShelf from '../../components/kitchen/StoreShelf.vue'
import ThingBoard from '../../components/kitchen/ThingBoard.vue'
import TrayEditor from '../../components/kitchen/TrayEditor.vue'
import UnitsSwitch from '../../components/kitchen/UnitsSwitch.vue'
import PanEditor from '../../components/kitchen/PanEditor.vue'
import { houseDay } from '../../composables/format'
import { hearthNow } from '../../clients/hearthClock'
import { useSettings } from '../../stores/settings'
import { boardsOf, newThing, type Board } from '../../components/kitchen/boards'
import { newId } from '../../clients/sync/outbox'
import { useHouse } from '../../stores/house'
import { INGREDIENTS } from '../../../book/ingredients'
import type { Kitchen, ShelfName } from '../../../contracts/kitchen'
import { USUAL_ROOM_C } from '../../../core/record/plan/usualRoom'
import { houseTable } from '../../../core/materials/composition/corrections'
import PanelDrawer from '../../components/PanelDrawer.vue'

const house = useHouse()
const settings = useSettings()
const table = computed(() => houseTable(INGREDIENTS, house.kitchen))
const today = houseDay(hearthNow())
void house.load()
const open = ref<{ shelf: Board, id: string } | null>(null)
const trouble = ref('')
const gone = ref<{ shelf: Board, item: Kitchen[Board][number] } | null>(null)

const opened = computed(() => {
  const where = open.value
  const items: readonly Kitchen[Board][number][] = where && house.kitchen ? house.kitchen[where.shelf] : []
  return items.find(one => one.id === where?.id) ?? null
})
const boards = computed(() => (house.kitchen ? boardsOf(house.kitchen, house.evidence) : []))

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
  const item = opened.value
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
async function add(kind: string): Promise<void> {
  const made = newThing(kind, newId())
  if (!made) return
  await keep(made.shelf, made.item)
  open.value = { shelf: made.shelf, id: made.item.id }
}
</script>

<template>
  <HousePage :trouble="trouble || house.trouble">
    <div class="kitchen">
      <div class="shelves">
        <header>
        <div>
        <h1>The kitchen</h1>
        <p class="soft">
          Drawn to scale. Take a thing from its shelf to name, measure or weigh it; a guess is good enough to begin with.
        </p>
        </div>
        <p class="ways">
          <NuxtLink
            class="stone-button"
            to="/kitchen/boil"
          >
            Boil check
          </NuxtLink>
          <NuxtLink
            class="stone-button"
            to="/kitchen/learned"
          >
            What the forecast rests on
          </NuxtLink>
          <NuxtLink
            class="stone-button"
            to="/kitchen/house"
          >
            House network
          </NuxtLink>
        </p>
        </header>
        <ElAlert
          v-if="gone"
          type="info"
          title="Taken off the shelf."
          :closable="false"
        >
          <ElButton @click="putBack">
            Put it back
          </ElButton>
        </ElAlert>
        <template v-if="house.kitchen">
          <div class="boards">
          <ThingBoard
            v-for="board in boards"
            :key="board.shelf"
            :title="board.title"
            :things="board.things"
            :open="open?.id ?? null"
            :adds="board.adds"
            @take="id => open = { shelf: board.shelf, id }"
            @add="add"
          />
          </div>
          <StoreShelf
            :store="house.kitchen.store"
            :table="table"
            :measures="house.kitchen.measures"
            :today="today"
            :new-id="newId"
            @put="item => keep('store', item)"
            @gone="item => house.remove('store', item.id)"
          />
          <UnitsSwitch
            :units="settings.units"
            :currency="house.currency"
            :room-c="house.kitchen.settings[0]?.roomC ?? USUAL_ROOM_C"
            :zone="settings.zone"
            :clock="settings.clock"
            @times="values => house.setTimes(values)"
            @units="units => house.setUnits(units)"
            @currency="currency => keep('settings', { ...house.kitchen?.settings[0], id: 'house', units: settings.units, currency })"
            @room="roomC => keep('settings', { currency: house.currency, ...house.kitchen?.settings[0], id: 'house', units: settings.units, roomC })"
          />
          <ShoppingForDishes
            :dishes="house.dishes"
            :store="house.kitchen.store"
            :table="table"
            :today="today"
          />
        </template>
      </div>
      <PanelDrawer
        side="right"
        :title="opened?.name ?? ''"
        :open="opened !== null"
        @close="open = null"
      >
        <div
          v-if="open && opened && house.kitchen"
          class="edit"
        >
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
            <ElButton @click="open = null">
              Done
            </ElButton>
            <ElButton
              text
              @click="remove"
            >
              Take it off the shelf
            </ElButton>
          </div>
        </div>
      </PanelDrawer>
    </div>
  </HousePage>
</template>

<style scoped>
.kitchen { padding-top: 16px; }
.shelves { display: grid; grid-template-columns: minmax(0, 1fr); gap: 14px; align-content: start; }
.shelves section h2 { font-size: 1.2rem; }
header { display: flex; flex-wrap: wrap; gap: 10px 24px; justify-content: space-between; align-items: end; }
.boards { display: grid; grid-template-columns: repeat(2, minmax(0, 1fr)); gap: 22px 48px; margin: 8px 0; }
.edit { display: grid; gap: 14px; align-content: start; }
.edit :deep(label:not([class*="el-"])) { display: grid; gap: 3px; font-weight: 600; font-size: 0.9375rem; }
.edit :deep(fieldset) { border: 0; border-top: 2px solid var(--line); padding: 8px 0 0; margin: 0; display: grid; grid-template-columns: 1fr 1fr; gap: 10px; }
.edit :deep(fieldset.marks) { grid-template-columns: 1fr; gap: 0; }
.edit :deep(legend) { padding: 0 8px 0 0; font-weight: 600; font-size: 0.9375rem; }
.row, .ways { display: flex; gap: 10px; flex-wrap: wrap; }
@media (max-width: 1000px) { .boards { grid-template-columns: minmax(0, 1fr); } }
</style>
