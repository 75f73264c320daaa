<script setup lang="ts">
import { computed } from 'vue'
import { minuteText } from '../../composables/houseTime'
import { longDayText, minuteOf } from '../../composables/spreadClock'
import type { Spread } from '../../../contracts/spread'
import { nextOfDay } from '../../../core/day/spread/nextOfDay'
import { stepName } from '../../../words/spread'

const props = defineProps<{
  /** Days that are on or to come, the soonest first. */
  days: readonly Spread[]
  /** The hearth's time, ms. */
  now: number
}>()

/** The first day that has something left to do. */
const next = computed(() => props.days.flatMap((spread) => {
  const minute = minuteOf(spread.eve, props.now)
  const step = nextOfDay(spread, minute)
  return step ? [{ spread, step, minute }] : []
})[0] ?? null)
const when = computed(() => {
  if (!next.value) return ''
  const { spread, step, minute } = next.value
  if (step.going) return 'going on now'
  if (step.at <= minute) return 'now'
  const wait = step.at - minute
  if (wait < 90) return `in ${wait} min, at ${minuteText(step.at)}`
  const days = Math.floor(step.at / 1440) - Math.floor(minute / 1440)
  const name = days === 0 ? 'today' : days === 1 ? 'tomorrow' : longDayText(spread.eve, Math.floor(step.at / 1440))
  return `${name} at ${minuteText(step.at)}`
})
const dish = computed(() => next.value?.spread.dishes.find(one => one.id === next.value!.step.dish)?.card.name ?? '')
</script>

<template>
  <section
    v-if="next"
    class="next"
  >
    <h2>{{ next.spread.name }}</h2>
    <p><span class="soft">next</span> <strong>{{ stepName(next.step.activity) }}, {{ dish }}</strong> {{ when }}</p>
    <NuxtLink
      class="stone-button"
      :to="`/spread/${next.spread.id}`"
    >
      The day
    </NuxtLink>
  </section>
</template>

<style scoped>
.next { display: flex; flex-wrap: wrap; gap: 4px 16px; align-items: baseline; border-top: 3px solid var(--ink); padding-top: 8px; }
.next p { flex: 1 1 260px; font-size: 1.1875rem; }
</style>
