<script setup lang="ts">
import { useIntersectionObserver } from '@vueuse/core'
import { computed, onScopeDispose, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { z } from 'zod'
import { DishVersionSchema, type DishVersion } from '../../contracts/dish'
import { IngredientSchema, type Ingredient } from '../../contracts/ingredient'
import { SharedDishSchema, type SharedDish } from '../../contracts/sharedDish'
import DishEntry from '../components/book/DishEntry.vue'
import DishVersions from '../components/book/DishVersions.vue'
import GiveDish from '../components/book/GiveDish.vue'
import NewDishForm from '../components/book/NewDishForm.vue'
import PasteLines from '../components/book/PasteLines.vue'
import TakeDish from '../components/book/TakeDish.vue'
import HousePage from '../components/HousePage.vue'
import { ask, isForLater } from '../clients/api'
import { dishOfAddress } from '../composables/dishAddress'
import { dishFile, giveFile, readDishFile, recipeFile, type FoundLines } from '../composables/dishFiles'
import { dishFinder } from '../composables/findDishes'
import { houseDay } from '../composables/format'
import { hearthNow } from '../clients/hearthClock'
import { newId } from '../clients/sync/outbox'
import { useDishArches } from '../stores/dishArches'
import { useHouse } from '../stores/house'
import { INGREDIENTS } from '../../book/ingredients'
import { houseTable } from '../../core/materials/composition/corrections'
import type { DishCard } from '../../core/formulation/dish/dish'
import { stageDish } from '../../core/formulation/stages/stageDish'
import { troublesOf } from '../../core/formulation/dish/troublesOf'
import { lastDay } from '../../core/formulation/store/shopping'
import { usualTotalMinutes } from '../../core/formulation/dish/usualTotalMinutes'
import { FAMILY_WORDS } from '../../words/choices'
import SegmentedChoice from '../components/SegmentedChoice.vue'
import FileChooser from '../components/FileChooser.vue'

const house = useHouse()
const loaded = house.load()
const router = useRouter()
const route = useRoute()
const text = ref(typeof route.query.find === 'string' ? route.query.find : '')
const minutes = ref('')
const inHouse = ref(false)
const showAside = ref(false)
const pane = ref<'' | 'new' | 'paste'>('')
const pasted = ref({ name: '', lines: '', says: '' })
/** Recipes of a file that holds several. */
const offered = ref<readonly FoundLines[]>([])
const trouble = ref('')
const open = ref<string | null>(null)
const table = computed(() => houseTable(INGREDIENTS, house.kitchen))
const rowOf = (id: string) => table.value.find(row => row.id === id)!
const find = computed(() => dishFinder(house.dishes, id => table.value.find(row => row.id === id), FAMILY_WORDS))
const TIMES = [{ value: '', label: 'any time' }, { value: '30', label: 'half an hour' }, { value: '60', label: 'an hour' }, { value: '120', label: 'two hours' }] as const
/** What is in the house and not past its day. */
const stored = computed(() => {
  const today = houseDay(hearthNow())
  return new Set((house.kitchen?.store ?? []).filter(item => item.massG > 0 && lastDay(item, rowOf(item.ingredient)) >= today).map(item => item.ingredient))
})
const shown = computed(() => find.value(text.value).flatMap((id) => {
  const dish = house.dishes.find(one => one.id === id)
  if (!dish || house.aside.includes(id) !== showAside.value) return []
  const staged = troublesOf(dish).length === 0 ? stageDish(dish) : null
  const times = staged ? usualTotalMinutes(staged) : { before: 0, fire: 0, after: 0 }
  const base = rowOf(dish.ingredients.find(one => one.id === dish.base)!.ingredient)
  const missing = dish.ingredients.filter(one => one.part !== 'water' && !stored.value.has(one.ingredient)).map(one => (rowOf(one.ingredient).name.split(',')[0] ?? '').toLowerCase())
  return [{ dish, base, times, missing, total: times.before + times.fire }]
}).filter(one => (minutes.value === '' || one.total <= Number(minutes.value)) && (!inHouse.value || !one.missing.includes((one.base.name.split(',')[0] ?? '').toLowerCase()))))
const arches = useDishArches()
const entries = useTemplateRef('entries')
/** Dishes in sight, and a little below it. */
const near = shallowRef<ReadonlySet<string>>(new Set())
useIntersectionObserver(() => entries.value?.map(one => one?.$el as HTMLElement) ?? [], (seen) => {
  const next = new Set(near.value)
  for (const { target, isIntersecting } of seen) next[isIntersecting ? 'add' : 'delete'](target.getAttribute('data-dish') ?? '')
  near.value = next
}, { rootMargin: '0px 0px 200px' })
/** In the order in which they are seen; what is not in sight waits. */
watch(() => [house.kitchen, house.evidence, shown.value, near.value] as const, ([kitchen, evidence, rows]) => {
  if (kitchen) void arches.want(rows.flatMap(one => near.value.has(one.dish.id) ? [one.dish] : []), { kitchen, table: table.value, evidence })
}, { immediate: true })
onScopeDispose(arches.leave)
async function take(dish: DishCard, own: readonly Ingredient[] = []): Promise<void> {
  await Promise.all(own.filter(row => !table.value.some(known => known.id === row.id)).map(row => house.put('ingredients', IngredientSchema.parse(row)))).then(() => house.keepDish(dish)).then(() => router.push(`/measure?dish=${dish.id}`), (error: unknown) => {
    trouble.value = isForLater(error) ? 'The hearth is away: the dish was not kept. What you typed is still here.' : `The dish was not kept: ${error instanceof Error ? error.message : ''}`
  })
}
/** An address that named a dish which is not here. */
const asked = useRoute().query.unknown
const unknown = typeof asked === 'string' ? `No dish called “${asked}” is in this book. Nothing was changed; choose one below.` : ''
async function readFile(file: File): Promise<void> {
  const found = await readDishFile(file)
  trouble.value = found.kind === 'refused' ? found.says : ''
  if (found.kind === 'dish') await takeIn(found)
  offered.value = found.kind === 'lines' && found.recipes.length > 1 ? found.recipes : []
  if (found.kind === 'lines') choose(found.recipes[0]!, found.says)
}
function choose(recipe: FoundLines, says: string): void {
  pasted.value = { ...recipe, says }
  pane.value = 'paste'
}
/** Dishes of others get a name of their own here where it is taken. */
async function takeIn({ dish, ingredients }: SharedDish): Promise<void> {
  // Until the book is here nobody knows whether the name is taken.
  await loaded
  await take({ ...dish, id: house.dishes.some(one => one.id === dish.id) ? newId() : dish.id, version: 1 }, ingredients)
}
const shared = (dish: DishCard): SharedDish => SharedDishSchema.parse({ dish, ingredients: dish.ingredients.map(one => rowOf(one.ingredient)).filter(row => row.own) })
const given = ref<SharedDish | null>(null)
const here = import.meta.client ? location.origin : ''
/** A dish that came as an address. */
const came = ref<SharedDish | null>(null)
async function lookFor(text: string): Promise<void> {
  const found = await dishOfAddress(text)
  came.value = found === 'damaged' ? null : found
  if (found === 'damaged') trouble.value = 'This address holds a dish that cannot be read: it may be cut off, or come from a newer house. Ask for it again, or for the dish\'s file. Nothing was changed.'
}
watch(() => route.hash, hash => void lookFor(hash), { immediate: true })
async function leaveIt(): Promise<void> {
  came.value = null
  await router.replace({ path: '/book', hash: '' })
}
function give(dish: DishCard, kind: 'dish' | 'recipe' | 'address'): void {
  if (kind === 'address') {
    given.value = shared(dish)
    return
  }
  const file = kind === 'dish' ? dishFile(shared(dish)) : recipeFile(shared(dish), rowOf)
  giveFile(file.name, file.text, file.type)
}
async function copy(dish: DishCard): Promise<void> {
  await take({ ...dish, id: newId(), version: 1, name: `${dish.name}, ours`.slice(0, 60), note: `from ${dish.name}` })
}

const VersionsSchema = z.object({ versions: z.array(DishVersionSchema) })
const versions = ref<DishVersion[]>([])
async function look(id: string): Promise<void> {
  open.value = id
  versions.value = []
  await ask('GET', `/dishes/${id}/history`, VersionsSchema).then(found => versions.value = found.versions).catch(() => undefined)
}
/** An older version is taken again as the newest: nothing of the history is lost. */
async function restore(dish: DishCard): Promise<void> {
  await house.keepDish({ ...dish, version: (versions.value[0]?.version ?? dish.version) + 1 }).then(() => look(dish.id)).catch(() => {
    trouble.value = 'The hearth is away: the older version was not taken back.'
  })
}
async function aside(dish: DishCard, away: boolean): Promise<void> {
  await house.putAside(dish.id, away).catch(() => {
    trouble.value = 'The hearth is away: the dish stands where it was.'
  })
}
</script>

<template>
  <HousePage :trouble="trouble || unknown || house.trouble">
    <div class="book">
      <header class="head">
        <h1>The book</h1>
        <ElButton
          :aria-pressed="pane === 'new'"
          @click="pane = pane === 'new' ? '' : 'new'"
        >
          A new dish
        </ElButton>
        <ElButton
          :aria-pressed="pane === 'paste'"
          @click="pane = pane === 'paste' ? '' : 'paste'"
        >
          From a pasted text
        </ElButton>
        <FileChooser
          label="From a file"
          accept=".json,.jsonld,.html,.htm,application/json,application/ld+json,text/html"
          @chosen="readFile"
        />
      </header>
      <TakeDish
        v-if="came"
        :shared="came"
        :table="table"
        @keep="takeIn(came)"
        @leave="leaveIt"
      />
      <GiveDish
        v-if="given"
        :shared="given"
        :here="here"
        @close="given = null"
      />
      <NewDishForm
        v-if="pane === 'new'"
        :table="table"
        :new-id="newId"
        @dish="take"
      />
      <div
        v-if="pane === 'paste' && offered.length > 1"
        role="group"
        aria-label="Recipes in the file"
        class="offered"
      >
        <span class="soft">The file holds {{ offered.length }} recipes:</span>
        <ElButton
          v-for="recipe in offered"
          :key="recipe.lines"
          :aria-pressed="pasted.lines === recipe.lines"
          @click="choose(recipe, '')"
        >
          {{ recipe.name }}
        </ElButton>
      </div>
      <PasteLines
        v-if="pane === 'paste'"
        :key="pasted.lines"
        :says="pasted.says"
        :name="pasted.name"
        :lines="pasted.lines"
        :table="table"
        :new-id="newId"
        @dish="take"
        @address="lookFor"
      />
      <form
        class="find"
        role="search"
        @submit.prevent
      >
        <label for="find">Find</label>
        <ElInput
          id="find"
          v-model="text"
          type="search"
          placeholder="sooji halwa, gajar, रवा, கேசரி, jaggery"
          autocomplete="off"
        />
        <SegmentedChoice
          label="Ready within"
          :chosen="minutes"
          :options="TIMES"
          @choose="value => minutes = value"
        />
        <ElCheckbox
          v-model="inHouse"
          label="base is in the house"
        />
        <ElCheckbox
          v-model="showAside"
          label="put aside"
        />
      </form>
      <p
        v-if="shown.length === 0 && house.kitchen"
        class="soft"
        role="status"
      >
        No dish is called so, or takes so little time. Clear the words, take more time, or begin a new dish.
      </p>
      <ul class="dishes">
        <DishEntry
          v-for="one in shown"
          :key="one.dish.id"
          ref="entries"
          :data-dish="one.dish.id"
          :dish="one.dish"
          :base="one.base"
          :times="one.times"
          :missing="one.missing"
          :arch="arches.arches[one.dish.id]"
          :aside="house.aside.includes(one.dish.id)"
          @look="look(one.dish.id)"
          @copy="copy(one.dish)"
          @give="kind => give(one.dish, kind)"
          @aside="away => aside(one.dish, away)"
        />
      </ul>
      <DishVersions
        :name="open === null ? null : house.dishes.find(one => one.id === open)?.name ?? ''"
        :versions="versions"
        @close="open = null"
        @restore="restore"
      />
    </div>
  </HousePage>
</template>

<style scoped>
.book { display: grid; grid-template-columns: minmax(0, 1fr); gap: 14px; padding-top: 10px; }
.head { display: flex; flex-wrap: wrap; gap: 10px; align-items: center; }
.head h1 { margin-right: 20px; }
.offered { display: flex; flex-wrap: wrap; gap: 8px; align-items: center; }
.find { display: flex; flex-wrap: wrap; gap: 8px 14px; align-items: center; border-bottom: 3px solid var(--line); padding-bottom: 10px; }
.find .el-input { flex: 1 1 300px; }
.dishes { list-style: none; margin: 0; padding: 0; display: grid; grid-template-columns: repeat(auto-fill, minmax(380px, 1fr)); gap: 26px 34px; }
@media (max-width: 700px) { .dishes { grid-template-columns: minmax(0, 1fr); } }
</style>
