<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { BatchPageSchema, BatchTallySchema, type BatchListLine, type BatchTally } from '../../../contracts/batch'
import { BatchFilterSchema, type BatchFilter } from '../../../contracts/batchQuery'
import HearthAway from '../../components/HearthAway.vue'
import HousePage from '../../components/HousePage.vue'
import DishTrend from '../../components/ledger/DishTrend.vue'
import FilterBar from '../../components/ledger/FilterBar.vue'
import LedgerWall from '../../components/ledger/LedgerWall.vue'
import { ask } from '../../clients/api'
import { useArriving } from '../../composables/arriving'

const LIMIT = 30
const MOST_PICKED = 4
const route = useRoute()
const router = useRouter()
const filter = computed((): BatchFilter => {
  const parsed = BatchFilterSchema.safeParse(Object.fromEntries(Object.entries(route.query).filter(([, value]) => typeof value === 'string')))
  return parsed.success ? parsed.data : {}
})
const query = computed(() => new URLSearchParams(Object.entries(filter.value)).toString())

const batches = shallowRef<readonly BatchListLine[]>([])
const next = ref<string | null>(null)
const state = ref<'loading' | 'here' | 'away'>('loading')
const whole = shallowRef<BatchTally | null>(null)
const found = shallowRef<BatchTally | null>(null)
const picked = ref<readonly string[]>([])
let asked = 0

async function read(anew: boolean): Promise<void> {
  const mine = anew ? ++asked : asked
  if (!anew && state.value === 'loading') return
  state.value = 'loading'
  try {
    const path = `/batches?limit=${LIMIT}${query.value ? `&${query.value}` : ''}${!anew && next.value ? `&cursor=${next.value}` : ''}`
    const page = await ask('GET', path, BatchPageSchema)
    if (mine !== asked) return
    batches.value = anew ? page.batches : [...batches.value, ...page.batches]
    next.value = page.next
    state.value = 'here'
  }
  catch {
    if (mine === asked) state.value = 'away'
  }
}
async function count(): Promise<void> {
  const of = query.value
  try {
    const tally = await ask('GET', `/batches/tally${of ? `?${of}` : ''}`, BatchTallySchema)
    if (of === query.value) found.value = tally
    if (!of) whole.value = tally
    else whole.value ??= await ask('GET', '/batches/tally', BatchTallySchema)
  }
  catch {
    // The wall says that the hearth is away.
  }
}
const coming = useArriving([read(true), count()])
watch(query, () => {
  void read(true)
  void count()
})
function look(to: BatchFilter): void {
  void router.replace({ query: { ...to } })
}
function pick(id: string): void {
  picked.value = picked.value.includes(id) ? picked.value.filter(one => one !== id) : [...picked.value, id].slice(-MOST_PICKED)
}
const number = new Intl.NumberFormat('en-GB')
const heading = computed(() => {
  const tally = found.value
  if (!tally || tally.count === 0) return state.value === 'here' && Object.keys(filter.value).length > 0 ? 'No batch like that' : 'The ledger'
  const faulty = tally.count - tally.right
  return `${number.format(tally.count)} ${tally.count === 1 ? 'batch' : 'batches'}${faulty === 0 ? ', all came right' : tally.right === 0 ? '' : `, ${number.format(tally.right)} came right`}`
})
</script>

<template>
  <HousePage :coming="coming">
    <div class="ledger">
      <header class="top">
        <div>
          <h1>{{ heading }}</h1>
          <p class="soft">
            Each arch is one batch in its own colours: left foot raw, crown the turn, right foot done. A crimson lozenge is a fault.
          </p>
        </div>
        <div class="ways">
          <NuxtLink
            class="stone-button"
            to="/ledger/remember"
          >
            Enter a past batch
          </NuxtLink>
          <NuxtLink
            class="stone-button"
            to="/ledger/copies"
          >
            Take away, copies
          </NuxtLink>
        </div>
      </header>
      <FilterBar
        v-if="whole && whole.count > 1"
        :filter="filter"
        :tally="whole"
        @change="look"
      />
      <DishTrend
        v-if="filter.dish"
        :batches="batches"
      />
      <HearthAway
        v-if="state === 'away'"
        @again="read(batches.length === 0)"
      />
      <p
        v-if="state === 'here' && batches.length === 0"
        class="empty"
      >
        <template v-if="Object.keys(filter).length > 0">
          Nothing was cooked like that yet.
        </template>
        <template v-else>
          Nothing cooked yet. <NuxtLink to="/measure">Measure the first batch</NuxtLink>, or enter one from memory.
        </template>
      </p>
      <LedgerWall
        v-if="batches.length > 0"
        :batches="batches"
        :more="next !== null && state === 'here'"
        :picked="picked"
        :named="filter.dish === undefined"
        @older="read(false)"
        @pick="pick"
        @open="id => router.push(`/ledger/${id}`)"
      />
      <div
        v-if="picked.length > 0"
        class="aside"
        role="region"
        aria-label="Laid aside"
      >
        <span>{{ picked.length === 1 ? 'One laid aside. Another beside it, and they can be compared.' : `${picked.length} laid aside` }}</span>
        <NuxtLink
          v-if="picked.length > 1"
          class="stone-button first"
          :to="`/ledger/compare?ids=${picked.join(',')}`"
        >
          Lay them over one another
        </NuxtLink>
        <ElButton @click="picked = []">
          Put back
        </ElButton>
      </div>
    </div>
  </HousePage>
</template>

<style scoped>
.ledger { display: grid; gap: 14px; padding-top: 16px; }
.top { display: flex; justify-content: space-between; gap: 12px 30px; flex-wrap: wrap; align-items: start; }
.ways { display: flex; gap: 10px; flex-wrap: wrap; }
.empty { font-size: 1.3rem; padding: 2rem 0; }
.aside { position: sticky; bottom: 0; display: flex; flex-wrap: wrap; gap: 10px 18px; align-items: center; background: var(--wall-raised); border: 2px solid var(--ink); border-bottom-width: 5px; padding: 10px 16px; font-weight: 600; z-index: 2; }
</style>
