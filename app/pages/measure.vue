<script setup lang="ts">
import { storeToRefs } from 'pinia'
import { computed, onMounted, ref } from 'vue'
import HousePage from '../components/HousePage.vue'
import AddIngredient from '../components/measure/AddIngredient.vue'
import AmountShelf from '../components/measure/AmountShelf.vue'
import DishHead from '../components/measure/DishHead.vue'
import HowItIsMade from '../components/measure/HowItIsMade.vue'
import IngredientPanel from '../components/measure/IngredientPanel.vue'
import LiquidBar from '../components/measure/LiquidBar.vue'
import OwnedScales from '../components/measure/OwnedScales.vue'
import SayBar from '../components/measure/SayBar.vue'
import DishYieldPanel from '../components/measure/DishYieldPanel.vue'
import { houseDay } from '../composables/format'
import { hearthNow } from '../clients/hearthClock'
import { useHouseWrites } from '../composables/houseWrites'
import { useKeepingDish } from '../composables/keepingDish'
import { useMeasureSheet } from '../composables/measureSheet'
import { newId } from '../clients/sync/outbox'
import { sayScale, type Said } from '../composables/saying'
import { useCooks } from '../stores/cooks'
import { useHouse } from '../stores/house'
import { INGREDIENTS } from '../../book/ingredients'
import { SWAPS } from '../../book/swaps'
import type { Correction } from '../../core/materials/composition/correction'
import type { Choices } from '../../core/formulation/dish/choices'
import type { DishCard } from '../../core/formulation/dish/dish'
import { inPart, inPreparation, wetted, withoutIngredient } from '../../core/formulation/dish/withIngredient'
import { withChoice } from '../../core/formulation/dish/withChoice'
import { forecastToKeep } from '../../core/process/forecast/forecastToKeep'
import { standsOnShelf } from '../../core/formulation/proportions/measuredAmounts'
import { setAmount, setBaseAlone } from '../../core/formulation/proportions/setAmount'
import { familyName, schoolOf } from '../../words/dish'
import PanelDrawer from '../components/PanelDrawer.vue'
import { pageTitle } from '../../words/titles'

const house = useHouse()
const cooks = useCooks()
const route = useRoute()
const router = useRouter()
const { kitchen, dishes, evidence } = storeToRefs(house)
const state = useMeasureSheet({ kitchen, dishes, evidence, ingredients: INGREDIENTS })
const { sheet, card, dish, troubles, nowhere, table, rowOf, cup, amounts, account, facts, plan, forecast, forecastIsOld, canUndo, undo, set } = state
useHead({ title: () => pageTitle('/measure', card.value?.name) })
void house.load().then(async () => {
  state.open(typeof route.query.dish === 'string' ? route.query.dish : undefined)
  if (!sheet.value && kitchen.value) await router.replace({ path: '/book', query: typeof route.query.dish === 'string' ? { unknown: route.query.dish.slice(0, 80) } : {} })
})
// The fire must open even if the connection is lost between here and there.
onMounted(() => void preloadRouteComponents('/fire/next'))

const open = ref<string | null>(null)
const owned = ref(false)
const hold = ref(true)
/** Whether everything follows when the base is set. */
const follows = ref(true)
const adding = ref(false)
const looked = computed(() => amounts.value.find(one => one.id === open.value) ?? null)
const spoons = computed(() => (kitchen.value?.measures ?? []).filter(one => one.kind === 'spoon'))
const nameOf = (id: string): string => {
  const one = card.value?.ingredients.find(known => known.id === id)
  return one ? (rowOf(one.ingredient).name.split(',')[0] ?? id).toLowerCase() : id
}
const correctionOf = (id: string): Correction | null => kitchen.value?.corrections.find(one => one.id === id) ?? null
const keeping = useKeepingDish({ card, dishes, take: next => set({ dish: next }), keepDish: house.keepDish })
const { changed, keep, keepAsOwn, nextVersion } = keeping

/** Scales as it is said. */
function say(text: string): Said | null {
  const shelf = card.value ? amounts.value.filter(one => standsOnShelf(one, card.value!.base)).map(one => one.id) : []
  const said = sayScale(text, { card: card.value, facts: facts.value, cup: cup.value, kitchen: kitchen.value, rowOf, shelf })
  if (said && 'baseG' in said) set(said.dish ? { baseG: said.baseG, dish: wetted(said.dish) } : { baseG: said.baseG })
  return said
}
const chooseCup = (id: string): void => set({ cup: id })
function toggleOwned(): void {
  owned.value = !owned.value
}
const look = (id: string): void => {
  open.value = open.value === id ? null : id
}
/** Plain water follows a change where the total is held, but never its own. */
function change(id: string, massG: number): void {
  if (!sheet.value || !card.value) return
  const hand = { dish: card.value, baseG: sheet.value.baseG }
  if (id === card.value.base && !follows.value) {
    set(setBaseAlone(hand, massG), true)
    return
  }
  const next = setAmount(hand, id, massG)
  if (next.baseG !== sheet.value.baseG) set({ baseG: next.baseG }, true)
  else state.setDish(next.dish, hold.value && card.value.ingredients.find(one => one.id === id)?.part !== 'water', true)
}
function takeOwned(masses: Readonly<Record<string, number>>): void {
  const base = card.value ? masses[card.value.base] : undefined
  if (!card.value || base === undefined) return
  set({ baseG: base, dish: { ...card.value, ingredients: card.value.ingredients.map(one => ({ ...one, perBase: one.id === card.value?.base ? 1 : (masses[one.id] ?? 0) / base })) } })
  owned.value = false
}
function choose(changes: Partial<Choices>): void {
  if (card.value) set({ dish: withChoice(card.value, changes, rowOf) })
}
function leaveOut(id: string): void {
  if (!card.value) return
  open.value = null
  state.setDish(withoutIngredient(card.value, id), hold.value)
}
function addToDish(next: DishCard): void {
  adding.value = false
  state.setDish(next, false)
}
const { trouble, correct, keepOwn, putSurplus } = useHouseWrites(house.put)

const starting = ref(false)
async function toTheFire(): Promise<void> {
  if (!plan.value || !dish.value || !card.value) return
  starting.value = true
  const next = changed.value ? nextVersion() : card.value
  const id = newId()
  cooks.begin({ ...plan.value, id, dish: { ...plan.value.dish, version: next?.version ?? card.value.version }, plannedAt: hearthNow(), forecast: forecast.value && !forecastIsOld.value ? forecastToKeep(forecast.value) : null })
  if (changed.value) await keep(next)
  await router.push(`/fire/${id}`)
}
</script>

<template>
  <HousePage :trouble="house.trouble || trouble || keeping.trouble.value">
    <div
      v-if="card && sheet && cup"
      class="measure"
    >
      <section
        class="left"
        aria-label="Amounts"
      >
        <DishHead
          :id="card.id"
          :name="card.name"
          :school="`${familyName(card)}: ${schoolOf(card).join(' · ')}`"
          :changed="changed"
          :ours="card.note !== undefined"
          @keep="keep(nextVersion())"
          @own="keepAsOwn"
        />
        <SayBar
          :cup="cup"
          :cups="house.cups"
          :say="say"
          :can-undo="canUndo"
          :stamp="sheet"
          @cup="chooseCup"
          @owned="toggleOwned"
          @undo="undo"
        />
        <AmountShelf
          :rows="amounts"
          :base="card.base"
          :family="card.family"
          :cup="cup"
          :open="open"
          :adding="adding"
          @change="change"
          @look="look"
          @add="adding = !adding"
        />
        <p
          v-for="id in nowhere"
          :key="id"
          class="danger"
          role="status"
        >
          With these choices {{ nameOf(id) }} goes in nowhere: change its part, or the choices below.
        </p>
        <LiquidBar
          v-if="account && account.totalG > 0"
          :account="account"
          :name-of="nameOf"
          :hold="hold"
          @hold="on => hold = on"
        />
      </section>
      <aside
        class="right"
        aria-label="What comes of it"
      >
        <header>
          <h2>What comes of it</h2>
          <ElButton
            type="primary"
            :disabled="!plan || starting || troubles.length > 0"
            @click="toTheFire"
          >
            Take it to the fire
          </ElButton>
        </header>
        <DishYieldPanel
          :state="state"
          :pans="house.pans"
          :fires="kitchen?.fires ?? []"
          :currency="house.currency"
        />
      </aside>
      <HowItIsMade
        class="below"
        :state="state"
        :store="kitchen?.store ?? []"
        :today="houseDay(hearthNow())"
        :name-of="nameOf"
        @choose="choose"
        @surplus="putSurplus"
      />
      <PanelDrawer
        side="right"
        title="On your own marks"
        :open="owned"
        @close="owned = false"
      >
        <OwnedScales
          v-if="owned"
          :rows="amounts"
          :base="card.base"
          :measures="[cup, ...spoons]"
          @take="takeOwned"
        />
      </PanelDrawer>
      <PanelDrawer
        side="right"
        title="Add an ingredient"
        :open="adding"
        @close="adding = false"
      >
        <AddIngredient
          v-if="adding"
          :card="card"
          :base-g="sheet.baseG"
          :table="table"
          :row-of="rowOf"
          :cup="cup"
          :measures="kitchen?.measures ?? []"
          :currency="house.currency"
          :new-id="newId"
          @add="addToDish"
          @own="keepOwn"
        />
      </PanelDrawer>
      <PanelDrawer
        side="right"
        :title="looked?.row.name ?? ''"
        :open="looked !== null"
        @close="open = null"
      >
        <IngredientPanel
          v-if="looked"
          :amount="looked"
          :swaps="SWAPS"
          :card="card"
          :base-g="sheet.baseG"
          :row-of="rowOf"
          :cup="cup"
          :measures="kitchen?.measures ?? []"
          :correction="correctionOf(looked.row.id)"
          :currency="house.currency"
          :follows="follows"
          @change="massG => change(looked!.id, massG)"
          @swap="next => { open = null; set({ dish: next }) }"
          @follows="on => follows = on"
          @part="part => { if (card) state.setDish(inPart(card, looked!.id, part, looked!.row), hold) }"
          @ready="way => { if (card) set({ dish: inPreparation(card, looked!.id, way) }) }"
          @out="leaveOut(looked!.id)"
          @correct="correct"
        />
      </PanelDrawer>
    </div>
  </HousePage>
</template>

<style scoped>
.measure { display: grid; grid-template: "left right" auto "below right" 1fr / minmax(0, 1fr) 384px; gap: 8px 30px; padding-top: 6px; }
.left { grid-area: left; }
.right { grid-area: right; }
.below { grid-area: below; content-visibility: auto; contain-intrinsic-size: auto 400px; }
.left, .right, .below { contain: layout style; }
.left { display: grid; grid-template-columns: minmax(0, 1fr); gap: 8px; align-content: start; }
.right { border-left: 3px solid var(--line); padding-left: 24px; display: grid; grid-template-columns: minmax(0, 1fr); gap: 10px; align-content: start; }
.right header { display: flex; justify-content: space-between; align-items: center; gap: 10px; }
@media (max-width: 1000px) {
  .measure { grid-template: "left" auto "right" auto "below" auto / minmax(0, 1fr); }
  .right { border-left: 0; border-top: 3px solid var(--line); padding: 14px 0 0; margin-top: 10px; }
}
</style>
