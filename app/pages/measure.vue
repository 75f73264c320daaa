<script setup lang="ts">
import { useRefHistory } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import ArchDrawing, { type ArchBand } from '../components/ArchDrawing.vue'
import HouseHeader from '../components/HouseHeader.vue'
import IngredientVessels from '../components/IngredientVessels.vue'
import PanDrawing from '../components/PanDrawing.vue'
import SpanBand from '../components/SpanBand.vue'
import { askForecast } from '../composables/forecaster'
import { gramsText, windowText } from '../composables/format'
import { hearthNow } from '../composables/hearthClock'
import { useLiveCooks } from '../composables/liveCooks'
import { newId } from '../composables/outbox'
import { useCooks } from '../stores/cooks'
import { useHouse } from '../stores/house'
import { INGREDIENTS } from '../../book/ingredients'
import { stonesOf } from '../../core/batch/stones'
import { firstBelief } from '../../core/belief/firstBelief'
import { labToHex } from '../../core/colour/labToHex'
import { boundaryIndex } from '../../core/dish/boundaryIndex'
import type { Dish } from '../../core/dish/dish'
import { mainLine } from '../../core/dish/mainLine'
import { CoreError } from '../../core/error'
import { familyOf } from '../../core/family/families'
import type { Forecast } from '../../core/forecast/forecast'
import { planCook } from '../../core/live/planCook'
import { inMeasures } from '../../core/measures/inMeasures'
import { parseAmount } from '../../core/measures/parseAmount'
import { finishedShare } from '../../core/proportions/finishedShare'
import { partsText } from '../../core/proportions/partsText'
import { SEMOLINA_SPANS, standingOf, type Role } from '../../core/proportions/spans'
import { panFit } from '../../core/vessel/panFit'
import { FIT_WORDS, measureText, OUTSIDE_WORDS, ROLE_WORDS, shortName, STYLE_WORDS } from '../../words/measure'

const house = useHouse()
const cooks = useCooks()
const live = useLiveCooks()
const route = useRoute()
const router = useRouter()
const loaded = house.load()

const KEPT = 'yon-hearth.measure'
interface Sheet { readonly dishId: string, readonly baseG: number, readonly ratios: Readonly<Record<string, number>>, readonly cup: string, readonly pan: string, readonly pot: string, readonly fire: string, readonly otherFire: string, readonly roastMark: string }
const sheet = ref<Sheet | null>(null)
const { undo, canUndo, commit } = useRefHistory(sheet, { flush: 'sync', capacity: 100 }) as ReturnType<typeof useRefHistory<Sheet | null>> & { commit?: () => void }
void commit

const dish = computed((): Dish | null => {
  const found = house.dishes.find(one => one.id === sheet.value?.dishId)
  if (!found || !sheet.value) return null
  const { ratios } = sheet.value
  return { ...found, ingredients: found.ingredients.map(one => ({ ...one, perBase: ratios[one.id] ?? one.perBase })) }
})

void loaded.then(() => {
  const kitchen = house.kitchen
  const wanted = house.dishes.find(one => one.id === route.query.dish) ?? house.dishes[0]
  if (!kitchen || !wanted) return
  const kept = recall()
  const has = (list: readonly { readonly id: string }[], id: string | undefined): string => list.find(one => one.id === id)?.id ?? list[0]?.id ?? ''
  sheet.value = {
    dishId: wanted.id,
    baseG: kept?.baseG ?? 250,
    ratios: kept?.ratios ?? {},
    cup: has(house.cups, kept?.cup),
    pan: has(house.pans, kept?.pan),
    pot: has(house.pots.length > 0 ? house.pots : house.pans, kept?.pot),
    fire: has(kitchen.fires, kept?.fire),
    otherFire: has([...kitchen.fires].reverse(), kept?.otherFire),
    roastMark: kept?.roastMark ?? '',
  }
})
function recall(): Sheet | null {
  try {
    const kept = JSON.parse(localStorage.getItem(KEPT) ?? 'null') as Sheet | null
    return kept && kept.baseG > 0 && typeof kept.ratios === 'object' ? kept : null
  }
  catch {
    return null
  }
}
watch(sheet, (value) => {
  if (value) localStorage.setItem(KEPT, JSON.stringify(value))
})
const set = (values: Partial<Sheet>): void => {
  if (sheet.value) sheet.value = { ...sheet.value, ...values }
}

const cup = computed(() => house.cups.find(one => one.id === sheet.value?.cup) ?? house.cups[0] ?? null)
const pan = computed(() => house.kitchen?.pans.find(one => one.id === sheet.value?.pan) ?? null)
const pot = computed(() => house.kitchen?.pans.find(one => one.id === sheet.value?.pot) ?? null)
const fire = computed(() => house.kitchen?.fires.find(one => one.id === sheet.value?.fire) ?? null)
const otherFire = computed(() => house.kitchen?.fires.find(one => one.id === sheet.value?.otherFire) ?? null)
const measures = computed(() => house.kitchen?.measures ?? [])

const rows = computed(() => {
  const made = dish.value
  const own = cup.value
  if (!made || !own || !sheet.value) return []
  return made.ingredients.map((one) => {
    const row = INGREDIENTS.find(known => known.id === one.ingredient)!
    const massG = one.perBase * sheet.value!.baseG
    const volumeMl = massG / row.bulkDensity
    const spoken = inMeasures(volumeMl, [own, ...measures.value.filter(m => m.kind === 'spoon')])
    const role: Role | null = one.id === 'ghee' ? 'fat' : one.id === 'sugar' ? 'sugar' : one.id === 'water' ? 'liquid' : null
    return {
      id: one.id, row, massG, volumeMl, spoken,
      cups: volumeMl / own.volumeMl,
      colour: labToHex(row.colour),
      standing: role ? standingOf(role, one.perBase, SEMOLINA_SPANS) : null,
      said: spoken.count === 0 ? 'a pinch' : measureText(spoken.text, spoken.count, spoken.name),
      plus: spoken.rest ? `and ${measureText(spoken.rest.text, spoken.rest.count, spoken.rest.name)}` : '',
    }
  })
})
const onShelf = (one: { readonly id: string, readonly cups: number, readonly standing: unknown }): boolean =>
  one.id === dish.value?.base || one.standing !== null || one.cups >= 0.2
const big = computed(() => rows.value.filter(onShelf))
const small = computed(() => rows.value.filter(one => !onShelf(one)))
const parts = computed(() => (cup.value ? partsText(big.value.map(one => one.volumeMl), cup.value.volumeMl) : ''))
const share = computed(() => {
  const made = dish.value
  if (!made) return 1
  return finishedShare(made.ingredients.map(one => ({
    perBase: one.perBase, base: one.id === made.base,
    waterShare: INGREDIENTS.find(row => row.id === one.ingredient)?.composition.water ?? 0,
  })), made.kept.share)
})
const people = computed(() => (dish.value && sheet.value ? sheet.value.baseG * share.value / dish.value.portionG : 0))

function changeCups(id: string, cups: number): void {
  const row = rows.value.find(one => one.id === id)
  if (!row || !sheet.value || !cup.value || !dish.value) return
  const massG = Math.max(1, cups * cup.value.volumeMl * row.row.bulkDensity)
  if (id === dish.value.base) set({ baseG: Math.min(20000, Math.max(20, massG)) })
  else set({ ratios: { ...sheet.value.ratios, [id]: Math.min(20, massG / sheet.value.baseG) } })
}

const spoken = ref('')
const trouble = ref('')
function say(): void {
  const made = dish.value
  if (!cup.value || !made) return
  const base = INGREDIENTS.find(row => row.id === made.ingredients.find(one => one.id === made.base)?.ingredient)!
  try {
    const amount = parseAmount(spoken.value, cup.value, measures.value)
    const baseG = amount.kind === 'mass' ? amount.massG : amount.kind === 'volume' ? amount.volumeMl * base.bulkDensity : amount.people * made.portionG / share.value
    if (!(baseG >= 5 && baseG <= 20000)) throw new CoreError('out-of-range', 'measure', {})
    set({ baseG })
    trouble.value = ''
  }
  catch (error) {
    trouble.value = error instanceof CoreError && error.code === 'out-of-range'
      ? 'That is outside what a kitchen cooks: between 5 g and 20 kg of semolina. Nothing was changed.'
      : `"${spoken.value}" was not understood. Say it as 2 glasses, 1 1/2 cup, 300 g or 6 people. Nothing was changed.`
  }
}

const plan = computed(() => {
  if (!dish.value || !sheet.value || !cup.value || !pan.value || !pot.value || !fire.value || !otherFire.value) return null
  const flames: Record<string, string> = fire.value.marks.some(mark => mark.id === sheet.value!.roastMark) ? { roast: sheet.value.roastMark } : {}
  return planCook('measure', {
    dish: dish.value, baseG: sheet.value.baseG, ingredients: INGREDIENTS, cup: cup.value,
    pans: { pan: pan.value, pot: pot.value }, fires: { pan: fire.value, pot: otherFire.value }, flames,
    people: Math.max(0.5, Math.round(people.value * 2) / 2), firstBelief: firstBelief(), evidence: house.evidence, seed: 20261125, airC: 27, altitudeM: 0,
  }, 0)
})
const forecast = shallowRef<Forecast | null>(null)
watch(plan, async (value) => {
  if (!value) return
  const coarse = await askForecast('measure', value, [], 0, 60).catch(() => null)
  if (!coarse) return
  forecast.value = coarse
  const fine = await askForecast('measure', value, [], 0, 300).catch(() => null)
  if (fine) forecast.value = fine
}, { immediate: true })

const keystone = computed(() => (dish.value ? boundaryIndex(dish.value, dish.value.keystone) : 0))
const done = computed(() => (dish.value ? mainLine(dish.value).findIndex(stage => stage.does === 'rest') : 0))
const arch = computed(() => {
  const found = forecast.value
  if (!found) return null
  const pour = found.stages[keystone.value]!
  const end = found.stages[done.value]!
  const endS = Math.max(end.middle, pour.middle + 60)
  const bands: ArchBand[] = [
    { id: 'pour', kind: 'turn', label: 'pour', fromS: pour.early, toS: pour.late, times: '' },
    { id: 'end', kind: 'sign', label: 'done', fromS: end.early, toS: end.late, times: '' },
  ]
  return { keystoneS: pour.middle, endS, stones: stonesOf(found, pour.middle, endS), bands, pour, end }
})
const fit = computed(() => {
  const found = forecast.value
  if (!found || !pan.value) return null
  return panFit(Math.max(...found.points.map(one => one.volumeMl)), pan.value)
})
const endColour = computed(() => {
  const last = forecast.value?.points.at(-1)
  return last ? labToHex(last.colour) : '#e3d3ae'
})
const scratches = computed(() => dish.value !== null && pan.value?.coated === true && familyOf(dish.value.family).scratches)
const minutes = (seconds: number): number => Math.round(seconds / 60)

const starting = ref(false)
async function toTheFire(): Promise<void> {
  const made = plan.value
  const book = house.dishes.find(one => one.id === sheet.value?.dishId)
  if (!made || !book || !sheet.value) return
  starting.value = true
  let version = made.dish
  if (Object.keys(sheet.value.ratios).length > 0 && JSON.stringify(version.ingredients) !== JSON.stringify(book.ingredients)) {
    version = { ...version, version: book.version + 1 }
    await house.keepDish(version).catch(() => undefined)
    set({ ratios: {} })
  }
  const id = newId()
  cooks.begin({ ...made, id, dish: version, plannedAt: hearthNow(), forecast: forecast.value })
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
            Sugar in the hot water · ghee half now, half late · nuts first · roast to first colour
          </p>
          <form
            class="say"
            @submit.prevent="say"
          >
            <ElSelect
              class="cup"
              :model-value="sheet.cup"
              aria-label="Cup"
              @update:model-value="(value: string) => set({ cup: value })"
            >
              <ElOption
                v-for="one in house.cups"
                :key="one.id"
                :value="one.id"
                :label="`${one.name}, ${Math.round(one.volumeMl)} ml`"
              />
            </ElSelect>
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
          <div class="shelf">
            <div
              v-for="one in big"
              :key="one.id"
              class="vessel"
              :style="{ flexGrow: Math.min(3.4, Math.max(1, Math.sqrt(one.cups) * 1.2)) }"
            >
              <IngredientVessels
                :count="one.cups"
                :cup="cup"
                :colour="one.colour"
                :name="`${one.row.name}, drag to change`"
                :value-text="`${one.said}, ${gramsText(one.massG)}`"
                :scale="1.12"
                :width="Math.min(3.4, Math.max(1, Math.sqrt(one.cups) * 1.2)) * 92"
                @change="count => changeCups(one.id, count)"
              />
            </div>
          </div>
          <div class="labels">
            <div
              v-for="one in big"
              :key="one.id"
              class="vessel"
              :style="{ flexGrow: Math.min(3.4, Math.max(1, Math.sqrt(one.cups) * 1.2)) }"
            >
              <h2>{{ one.row.name }}</h2>
              <p class="amount">
                {{ one.said }}<span
                  v-if="one.plus"
                  class="plus"
                >{{ one.plus }}</span>
              </p>
              <p class="soft">
                {{ gramsText(one.massG) }}<template v-if="one.spoken.error > 0.04">
                  · the mark is {{ Math.round(one.spoken.error * 100) }} % off
                </template>
              </p>
              <template v-if="one.standing">
                <SpanBand :standing="one.standing" />
                <p
                  class="small"
                  :class="one.standing.outside ? 'danger' : 'soft'"
                >
                  {{ ROLE_WORDS[one.standing.role] }}: {{ one.standing.style ? STYLE_WORDS[one.standing.style] : OUTSIDE_WORDS[one.standing.role][one.standing.outside ?? 'below'] }}
                </p>
              </template>
            </div>
          </div>
          <p class="smalls">
            <template
              v-for="(one, i) in small"
              :key="one.id"
            >
              <template v-if="i > 0">
                ,
              </template>{{ one.row.name }} <strong>{{ one.said }}</strong> <span class="soft">({{ gramsText(one.massG) }})</span>
            </template>
          </p>
          <p class="soft">
            One {{ shortName(cup.name) }} is your {{ cup.name.toLowerCase() }}, {{ Math.round(cup.volumeMl) }} ml{{ cup.origin === 'guess' ? ', a guess' : '' }}.
            Parts, {{ big.map(one => shortName(one.row.name.split(',')[0]!)).join(' : ') }}: <strong>{{ parts }}</strong>. Weights by each food's own bulk density.
          </p>
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
          <p class="big">
            {{ gramsText(forecast?.finishedG.middle ?? sheet.baseG * share) }} <span class="soft">{{ Math.max(1, Math.round(people)) }} {{ Math.round(people) > 1 ? 'bowls' : 'bowl' }} of {{ dish.portionG }} g</span>
          </p>
          <div v-if="pan && fit">
            <ElSelect
              :model-value="sheet.pan"
              aria-label="Pan"
              @update:model-value="(value: string) => set({ pan: value })"
            >
              <ElOption
                v-for="one in house.pans"
                :key="one.id"
                :value="one.id"
                :label="`${one.name}, ${Math.round(one.innerDiameterMm / 10)} cm`"
              />
            </ElSelect>
            <PanDrawing
              class="drawn"
              :diameter-mm="pan.innerDiameterMm"
              :depth-mm="pan.depthMm"
              :content-mm="Math.min(pan.depthMm, fit.depthMm / 1.16)"
              :colour="endColour"
              :line-mm="Math.min(pan.depthMm + 8, fit.depthMm)"
            />
            <p :class="fit.verdict === 'tight' || fit.verdict === 'too-small' ? 'danger' : 'soft'">
              Dashed: bubbles to here, {{ Math.round(fit.depthMm) }} of {{ pan.depthMm }} mm. It {{ fit.verdict === 'roomy' ? 'has' : 'is' }} {{ FIT_WORDS[fit.verdict] }}<template v-if="fit.lots > 1">
                ({{ fit.lots }} lots)
              </template>.
            </p>
            <p
              v-if="scratches"
              class="danger"
            >
              <strong>Caution:</strong> coarse grain scratches a coated pan; take steel or iron.
            </p>
          </div>
          <div
            v-if="arch"
            class="preview"
          >
            <div class="fires">
              <ElSelect
                :model-value="sheet.fire"
                aria-label="Fire"
                @update:model-value="(value: string) => set({ fire: value, roastMark: '' })"
              >
                <ElOption
                  v-for="one in house.kitchen?.fires ?? []"
                  :key="one.id"
                  :value="one.id"
                  :label="one.name"
                />
              </ElSelect>
              <ElSelect
                :model-value="plan?.flames.roast"
                aria-label="Flame for the roast"
                @update:model-value="(value: string) => set({ roastMark: value })"
              >
                <ElOption
                  v-for="one in fire?.marks ?? []"
                  :key="one.id"
                  :value="one.id"
                  :label="`roast on ${one.label}`"
                />
              </ElSelect>
            </div>
            <div class="arch">
              <ArchDrawing
                :shape="{ width: 300, height: 232, stone: 30, margin: 26 }"
                :stones="arch.stones"
                :keystone-s="arch.keystoneS"
                :end-s="arch.endS"
                :bands="arch.bands"
                title="Forecast: stones in the colours the food will have"
              />
              <p class="inside">
                <strong class="danger">pour {{ minutes(arch.pour.early) }}–{{ minutes(arch.pour.late) }} min</strong>
                <span>done {{ minutes(arch.end.early) }}–{{ minutes(arch.end.late) }} min</span>
                <span
                  v-if="forecast?.sides[0]?.lightS != null"
                  class="soft small"
                >sweet water on at {{ minutes(forecast.sides[0].lightS) }} min</span>
              </p>
            </div>
            <p class="soft small">
              Forecast. {{ forecast && forecast.restsOn.batches > 0 ? `Rests on ${forecast.restsOn.batches} past batches.` : 'Rests on first guesses; it narrows as you mark what you see.' }}
              <template v-if="arch">
                End: {{ windowText(arch.end.early, arch.end.late) }}.
              </template>
            </p>
          </div>
        </aside>
      </template>
    </main>
  </div>
</template>

<style scoped>
.measure { display: grid; grid-template-columns: minmax(0, 1fr) 400px; gap: 36px; padding-top: 10px; }
.left { display: grid; gap: 8px; align-content: start; }
.say { display: flex; gap: 10px; align-items: center; margin-top: 8px; }
.say label { color: var(--ink-soft); }
.say input { min-height: 46px; flex: 1 1 220px; min-width: 0; border: 2px solid var(--ink); border-bottom-width: 4px; border-radius: 2px; background: var(--wall-raised); padding: 0 0.8rem; }
.cup { flex: 0 1 230px; }
.fires { display: grid; grid-template-columns: 1fr 1fr; gap: 10px; margin-top: 4px; }
.trouble:empty { display: none; }
.shelf, .labels { display: flex; gap: 22px; align-items: flex-end; }
.shelf { border-bottom: 6px solid var(--ink); min-height: 230px; margin-top: 14px; }
.labels { align-items: flex-start; }
.vessel { flex: 1 1 0; min-width: 0; }
.labels h2 { font-family: var(--text); font-size: 1.15rem; font-weight: 650; }
.amount { font-size: 1.3rem; line-height: 1.2; }
.plus { display: block; font-size: 1rem; }
.smalls { font-size: 1.1rem; }
.right { border-left: 3px solid var(--line); padding-left: 28px; display: grid; gap: 12px; align-content: start; }
.right header { display: flex; justify-content: space-between; align-items: center; gap: 10px; }
.big { font-size: 2.2rem; line-height: 1.1; }
.big span { font-size: 1.1rem; }
.drawn { max-width: 320px; }
.arch { position: relative; max-width: 320px; }
.inside { position: absolute; inset: 42% 18% 0; display: grid; align-content: start; justify-items: center; text-align: center; gap: 2px; font-size: 1.1rem; }
@media (max-width: 1000px) {
  .measure { grid-template-columns: minmax(0, 1fr); }
  .right { border-left: 0; border-top: 3px solid var(--line); padding: 18px 0 0; }
}
@media (max-width: 700px) {
  .shelf, .labels { gap: 10px; }
  .say { flex-wrap: wrap; }
  .labels h2 { font-size: 1rem; }
}
</style>
