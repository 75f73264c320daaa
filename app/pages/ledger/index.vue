<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { BatchPageSchema, type BatchListLine } from '../../../contracts/batch'
import HousePage from '../../components/HousePage.vue'
import SmallArch from '../../components/SmallArch.vue'
import { ask } from '../../composables/api'
import { clockText, dayText, gramsText } from '../../composables/format'
import { FAULT_WORDS } from '../../../words/cook'

const batches = shallowRef<readonly BatchListLine[]>([])
const next = ref<string | null>(null)
const state = ref<'loading' | 'here' | 'away'>('loading')
const LIMIT = 40

async function more(): Promise<void> {
  try {
    const page = await ask('GET', `/batches?limit=${LIMIT}${next.value ? `&cursor=${next.value}` : ''}`, BatchPageSchema)
    batches.value = [...batches.value, ...page.batches]
    next.value = page.next
    state.value = 'here'
  }
  catch {
    state.value = 'away'
  }
}
void more()

const dishes = computed(() => {
  const byDish = new Map<string, BatchListLine[]>()
  for (const batch of batches.value) byDish.set(batch.dishId, [...(byDish.get(batch.dishId) ?? []), batch])
  return [...byDish.values()].map(list => ({ list, name: list[0]!.dish, pour: pourText(list) }))
})
function pourText(list: readonly BatchListLine[]): string {
  const times = list.flatMap(one => (one.summary.keystoneS === null ? [] : [one.summary.keystoneS]))
  if (times.length < 3) return ''
  const mean = times.reduce((sum, time) => sum + time, 0) / times.length
  const spread = Math.sqrt(times.reduce((sum, time) => sum + (time - mean) ** 2, 0) / times.length)
  return `turned at ${clockText(mean)} ± ${clockText(spread)}`
}
const faulty = computed(() => batches.value.filter(one => one.summary.faults.length > 0).length)
</script>

<template>
  <HousePage>
    <div class="ledger">
      <h1>{{ batches.length === 0 ? 'The ledger' : `${batches.length}${next ? '+' : ''} ${batches.length === 1 ? 'batch' : 'batches'}, ${faulty === 0 ? 'all came right' : `${batches.length - faulty} came right`}` }}</h1>
      <p class="soft">
        Each arch is one batch in its own colours: left foot raw, crown the turn, right foot done. A crimson lozenge is a fault.
      </p>
      <p
        v-if="state === 'away'"
        class="danger"
        role="alert"
      >
        The hearth cannot be reached. Nothing is lost. <button
          class="stone-button"
          @click="more"
        >
          Try again
        </button>
      </p>
      <p
        v-if="state === 'here' && batches.length === 0"
        class="empty"
      >
        Nothing cooked yet. <NuxtLink to="/measure">Measure the first batch</NuxtLink>
      </p>
      <section
        v-for="dish in dishes"
        :key="dish.name"
        class="wall"
      >
        <div class="who">
          <h2>{{ dish.name }}</h2>
          <p class="soft">
            {{ dish.pour }}
          </p>
        </div>
        <ul>
          <li
            v-for="batch in dish.list"
            :key="batch.id"
          >
            <NuxtLink :to="`/ledger/${batch.id}`">
              <span class="stand"><SmallArch
                :stones="batch.summary.stones"
                :keystone-s="batch.summary.keystoneS"
                :fault="batch.summary.faults.length > 0"
                :title="`${dayText(batch.startedAt)}: turned at ${clockText(batch.summary.keystoneS ?? 0)}`"
              /></span>
              <span class="day">{{ dayText(batch.startedAt) }}</span>
              <span
                class="small"
                :class="batch.summary.faults.length > 0 ? 'danger' : 'soft'"
              >{{ batch.summary.faults.length > 0 ? batch.summary.faults.map(one => FAULT_WORDS[one] ?? one).join(', ') : batch.summary.finishedG === null ? '' : gramsText(batch.summary.finishedG) }}</span>
            </NuxtLink>
          </li>
        </ul>
      </section>
      <button
        v-if="next"
        class="stone-button"
        @click="more"
      >
        Older batches
      </button>
    </div>
  </HousePage>
</template>

<style scoped>
.ledger { display: grid; gap: 12px; padding-top: 16px; }
.empty { font-size: 1.3rem; padding: 2rem 0; }
.wall { display: grid; grid-template-columns: 220px minmax(0, 1fr); gap: 20px; margin-top: 12px; }
ul { list-style: none; margin: 0; padding: 0; display: grid; grid-template-columns: repeat(auto-fill, minmax(122px, 1fr)); gap: 20px 0; }
li a { display: grid; justify-items: stretch; text-align: center; text-decoration: none; }
.stand { display: block; border-bottom: 4px solid var(--ink); }
.stand :deep(svg) { max-width: 104px; margin: 0 auto; }
li a:hover .day { text-decoration: underline; text-underline-offset: 3px; }
.day { font-weight: 600; margin-top: 4px; }
@media (max-width: 700px) { .wall { grid-template-columns: minmax(0, 1fr); } ul { grid-template-columns: repeat(3, minmax(0, 1fr)); } }
</style>
