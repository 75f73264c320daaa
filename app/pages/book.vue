<script setup lang="ts">
import { computed, ref } from 'vue'
import { z } from 'zod'
import { DishVersionSchema } from '../../contracts/dish'
import NewDishForm from '../components/book/NewDishForm.vue'
import PasteLines from '../components/book/PasteLines.vue'
import HouseHeader from '../components/HouseHeader.vue'
import { ask } from '../composables/api'
import { giveFile, readDishFile } from '../composables/dishFiles'
import { dishFinder } from '../composables/findDishes'
import { dayText, gramsText } from '../composables/format'
import { hearthNow } from '../composables/hearthClock'
import { useLiveCooks } from '../composables/liveCooks'
import { newId } from '../composables/outbox'
import { useHouse } from '../stores/house'
import { INGREDIENTS } from '../../book/ingredients'
import { whatComes } from '../../core/comes/whatComes'
import { labToHex } from '../../core/colour/labToHex'
import { withCorrections } from '../../core/composition/corrections'
import type { DishCard } from '../../core/dish/dish'
import { stageDish } from '../../core/dish/stageDish'
import { troublesOf } from '../../core/dish/troublesOf'
import { toRecipeLd } from '../../core/exchange/toRecipeLd'
import { lastDay } from '../../core/store/shopping'
import { usualTotalMinutes } from '../../core/usual/usualSeconds'
import { FAMILY_WORDS } from '../../words/choices'
import { familyName, schoolOf } from '../../words/dish'
import { stepsOf } from '../../words/recipe'

const DAY_MS = 86_400_000
const house = useHouse()
void house.load()
const live = useLiveCooks()
const router = useRouter()
const route = useRoute()
const text = ref(typeof route.query.find === 'string' ? route.query.find : '')
const minutes = ref('')
const inHouse = ref(false)
const showAside = ref(false)
const pane = ref<'' | 'new' | 'paste'>('')
const pasted = ref({ name: '', lines: '' })
const trouble = ref('')
const open = ref<string | null>(null)
const table = computed(() => withCorrections(INGREDIENTS, house.kitchen?.corrections ?? []))
const rowOf = (id: string) => table.value.find(row => row.id === id)!
const find = computed(() => dishFinder(house.dishes, id => table.value.find(row => row.id === id), FAMILY_WORDS))
const TIMES = [['', 'any time'], ['30', 'half an hour'], ['60', 'an hour'], ['120', 'two hours']] as const
/** What is in the house and not past its day. */
const stored = computed(() => {
  const today = Math.floor(hearthNow() / DAY_MS)
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
const timeText = (value: number): string => (value >= 90 ? `${Math.round(value / 30) / 2} h` : `${Math.round(value)} min`)

async function take(dish: DishCard): Promise<void> {
  await house.keepDish(dish).then(() => router.push(`/measure?dish=${dish.id}`), () => {
    trouble.value = 'The hearth is away: the dish was not kept. What you typed is still here.'
  })
}
async function readFile(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  const found = await readDishFile(file)
  trouble.value = found.kind === 'refused' ? found.says : ''
  if (found.kind === 'dish') await take({ ...found.dish, id: house.dishes.some(one => one.id === found.dish.id) ? newId() : found.dish.id, version: 1 })
  if (found.kind === 'lines') {
    pasted.value = { name: found.name, lines: found.lines }
    pane.value = 'paste'
  }
}
const fileName = (dish: DishCard): string => dish.name.toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '') || 'dish'
function giveDish(dish: DishCard): void {
  giveFile(`${fileName(dish)}.dish.json`, JSON.stringify(dish, null, 2), 'application/json')
}
function giveRecipe(dish: DishCard): void {
  const staged = stageDish(dish)
  const goesIn = (stage: (typeof staged.stages)[number]): string => stage.adds.map(add => `${gramsText((staged.ingredients.find(one => one.id === add.ingredient)?.perBase ?? 0) * dish.usual.baseG * add.share)} ${rowOf(staged.ingredients.find(one => one.id === add.ingredient)!.ingredient).name.toLowerCase()}`).join(', ')
  const recipe = toRecipeLd(staged, dish.usual.baseG, whatComes(dish, dish.usual.baseG, rowOf), { category: familyName(dish), steps: stepsOf(staged, goesIn) }, rowOf, dish)
  giveFile(`${fileName(dish)}.jsonld`, JSON.stringify(recipe, null, 2), 'application/ld+json')
}
async function copy(dish: DishCard): Promise<void> {
  await take({ ...dish, id: newId(), version: 1, name: `${dish.name}, ours`.slice(0, 60), note: `from ${dish.name}` })
}

const VersionsSchema = z.object({ versions: z.array(DishVersionSchema) })
const versions = ref<z.infer<typeof VersionsSchema>['versions']>([])
async function look(id: string): Promise<void> {
  open.value = open.value === id ? null : id
  versions.value = []
  if (open.value) await ask('GET', `/dishes/${id}/history`, VersionsSchema).then(found => versions.value = found.versions).catch(() => undefined)
}
/** An older version is taken again as the newest: nothing of the history is lost. */
async function restore(dish: DishCard): Promise<void> {
  await house.keepDish({ ...dish, version: (versions.value[0]?.version ?? dish.version) + 1 }).then(() => look(dish.id)).then(() => look(dish.id)).catch(() => {
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
  <div>
    <HouseHeader :live="live[0]?.id ?? null" />
    <main
      id="main"
      class="page book"
    >
      <header class="head">
        <h1>The book</h1>
        <button
          class="stone-button"
          :aria-pressed="pane === 'new'"
          @click="pane = pane === 'new' ? '' : 'new'"
        >
          A new dish
        </button>
        <button
          class="stone-button"
          :aria-pressed="pane === 'paste'"
          @click="pane = pane === 'paste' ? '' : 'paste'"
        >
          From a pasted text
        </button>
        <label class="stone-button file">From a file<input
          type="file"
          accept=".json,.jsonld,application/json,application/ld+json"
          @change="readFile"
        ></label>
      </header>
      <p
        v-if="trouble || house.trouble"
        class="danger"
        role="alert"
      >
        {{ trouble || house.trouble }}
      </p>
      <NewDishForm
        v-if="pane === 'new'"
        :table="table"
        :new-id="newId"
        @dish="take"
      />
      <PasteLines
        v-if="pane === 'paste'"
        :key="pasted.lines"
        :name="pasted.name"
        :lines="pasted.lines"
        :table="table"
        :new-id="newId"
        @dish="take"
      />
      <form
        class="find"
        role="search"
        @submit.prevent
      >
        <label for="find">Find</label>
        <input
          id="find"
          v-model="text"
          type="search"
          placeholder="sooji halwa, gajar, रवा, கேசரி, jaggery"
          autocomplete="off"
        >
        <div
          role="group"
          aria-label="Ready within"
          class="times"
        >
          <button
            v-for="[value, label] in TIMES"
            :key="value"
            type="button"
            class="stone-button quiet"
            :aria-pressed="minutes === value"
            @click="minutes = value"
          >
            {{ label }}
          </button>
        </div>
        <label class="check"><input
          v-model="inHouse"
          type="checkbox"
        > base is in the house</label>
        <label class="check"><input
          v-model="showAside"
          type="checkbox"
        > put aside</label>
      </form>
      <p
        v-if="shown.length === 0 && house.kitchen"
        class="soft"
        role="status"
      >
        No dish is called so, or takes so little time. Clear the words, take more time, or begin a new dish.
      </p>
      <ul class="dishes">
        <li
          v-for="one in shown"
          :key="one.dish.id"
        >
          <svg
            viewBox="0 0 64 64"
            width="52"
            height="52"
            aria-hidden="true"
          ><path
            class="arch"
            d="M8 60V32a24 24 0 0 1 48 0v28H46V32a14 14 0 0 0-28 0v28z"
          /><rect
            x="20"
            y="44"
            width="24"
            height="16"
            :fill="labToHex(one.base.colour)"
          /></svg>
          <div class="what">
            <h2>
              <NuxtLink :to="`/measure?dish=${one.dish.id}`">
                {{ one.dish.name }}
              </NuxtLink>
            </h2>
            <p class="soft small">
              {{ one.dish.otherNames.slice(0, 4).join(' · ') }}
            </p>
            <p class="small">
              {{ one.base.name }}; {{ schoolOf(one.dish).slice(0, 4).join(', ') }}
            </p>
            <p class="soft small">
              {{ one.times.before >= 1 ? `${timeText(one.times.before)} to get ready, ` : '' }}{{ timeText(one.times.fire) }} at the fire<template v-if="one.missing.length > 0 && one.missing.length < 5">
                · not in the house: {{ one.missing.join(', ') }}
              </template><template v-if="one.missing.length === 0">
                · all in the house
              </template>
            </p>
            <div
              v-if="open === one.dish.id"
              class="more"
            >
              <button
                class="stone-button quiet"
                @click="copy(one.dish)"
              >
                Copy
              </button>
              <button
                class="stone-button quiet"
                @click="giveDish(one.dish)"
              >
                As a file
              </button>
              <button
                class="stone-button quiet"
                @click="giveRecipe(one.dish)"
              >
                As a Recipe (JSON-LD)
              </button>
              <NuxtLink
                class="stone-button quiet"
                :to="`/card/${one.dish.id}`"
              >
                Print
              </NuxtLink>
              <button
                class="stone-button quiet"
                @click="aside(one.dish, !house.aside.includes(one.dish.id))"
              >
                {{ house.aside.includes(one.dish.id) ? 'Take back into the book' : 'Put aside' }}
              </button>
              <ol
                v-if="versions.length > 1"
                class="small"
              >
                <li
                  v-for="(version, i) in versions"
                  :key="version.version"
                >
                  {{ dayText(version.createdAt) }}, version {{ version.version }}: {{ schoolOf(version.dish).slice(0, 3).join(', ') }}
                  <button
                    v-if="i > 0"
                    class="stone-button quiet"
                    @click="restore(version.dish)"
                  >
                    Take this one again
                  </button>
                </li>
              </ol>
              <p
                v-else
                class="soft small"
              >
                Not changed yet.
              </p>
            </div>
          </div>
          <button
            class="stone-button quiet dots"
            :aria-expanded="open === one.dish.id"
            :aria-label="`More of ${one.dish.name}`"
            @click="look(one.dish.id)"
          >
            More
          </button>
        </li>
      </ul>
    </main>
  </div>
</template>

<style scoped>
.book { display: grid; grid-template-columns: minmax(0, 1fr); gap: 14px; padding-top: 10px; }
.head { display: flex; flex-wrap: wrap; gap: 10px; align-items: center; }
.head h1 { margin-right: 20px; }
.file { position: relative; overflow: hidden; }
.file input { position: absolute; inset: 0; opacity: 0; cursor: pointer; }
.file:focus-within { outline: 3px solid var(--accent); outline-offset: 2px; }
.find { display: flex; flex-wrap: wrap; gap: 8px 14px; align-items: center; border-bottom: 3px solid var(--line); padding-bottom: 10px; }
.find input[type="search"] { flex: 1 1 300px; min-height: 52px; font-size: 1.25rem; border: 2px solid var(--ink); border-bottom-width: 4px; border-radius: 2px; background: var(--wall-raised); padding: 0 0.8rem; }
.check { display: flex; align-items: center; gap: 6px; white-space: nowrap; }
.check input { width: 20px; height: 20px; accent-color: var(--accent); }
.times { display: flex; flex-wrap: wrap; }
.dishes { list-style: none; margin: 0; padding: 0; display: grid; grid-template-columns: repeat(auto-fill, minmax(380px, 1fr)); gap: 18px 34px; }
.dishes > li { display: grid; grid-template-columns: 52px minmax(0, 1fr) auto; gap: 14px; align-items: start; }
.dishes h2 { font-size: 1.25rem; }
.dishes h2 a { text-decoration-thickness: 1px; text-underline-offset: 4px; text-decoration-color: var(--line); }
.arch { fill: var(--ink); }
.dots { min-height: 40px; }
.more { margin-top: 6px; }
.more ol { margin: 6px 0; padding-left: 1.1em; }
@media (max-width: 700px) { .dishes { grid-template-columns: minmax(0, 1fr); } }
</style>
