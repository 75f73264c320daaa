<script setup lang="ts">
import { computed } from 'vue'
import type { Standing } from '../../../core/after/standing'
import { PLACES, type Place } from '../../../core/keeping/keepingOf'
import { momentText, nearDayText } from '../../composables/format'
import { daysText, KEEPING_RULE, KEEPING_WORDS, PLACE_WORDS } from '../../../words/after'

const props = defineProps<{
  /** How the batch stands. */
  standing: Standing
  /** The hearth's time. */
  now: number
}>()

const emit = defineEmits<{
  /** It stands somewhere else now. */
  put: [place: Place]
}>()

const HOURS_48 = 48 * 3_600_000
const day = (at: number): string => (at - props.now < HOURS_48 && at - props.standing.madeAt < HOURS_48 ? momentText(at, props.now) : nearDayText(at, props.now))
const past = computed(() => props.now > props.standing.eatBy[1])
const says = computed(() => {
  const { eatBy, place, keeping } = props.standing
  if (past.value) return `Past its time since ${day(eatBy[1])}: throw it out.`
  if (place === 'room' && keeping.coldWithinTwoHours) return `Into the cold by ${day(eatBy[0])}.`
  return eatBy[0] === eatBy[1] ? `Eat it by ${day(eatBy[0])}.` : `Best eaten by ${day(eatBy[0])}; not after ${day(eatBy[1])}.`
})
const activity = computed(() => {
  const { low, high } = props.standing.activity
  const text = (value: number): string => value.toFixed(2)
  if (low < 0.1) return `below ${text(high)}`
  return `about ${text(low)} to ${text(high)}`
})
</script>

<template>
  <section
    class="slab keep"
    :class="{ warn: past }"
    aria-labelledby="keep"
  >
    <h2 id="keep">
      Keep
    </h2>
    <p
      class="says"
      :class="{ danger: past || (standing.place === 'room' && standing.keeping.coldWithinTwoHours) }"
      role="status"
    >
      {{ says }}
    </p>
    <div
      class="places"
      role="group"
      aria-label="It stands"
    >
      <button
        v-for="place in PLACES"
        :key="place"
        class="stone-button"
        :aria-pressed="standing.place === place"
        @click="emit('put', place)"
      >
        <span><strong>{{ PLACE_WORDS[place] }}</strong><br>{{ daysText(standing.keeping.days[place]) }}</span>
      </button>
    </div>
    <ul class="why">
      <li
        v-for="reason in standing.keeping.reasons"
        :key="reason"
      >
        {{ KEEPING_WORDS[reason] }}
      </li>
      <li class="soft">
        Water activity {{ activity }}, worked out from its water, sugars and dry solids.
      </li>
    </ul>
    <p class="rule">
      {{ KEEPING_RULE }}
    </p>
    <slot />
  </section>
</template>

<style scoped>
.keep { display: grid; gap: 10px; align-content: start; }
.says { font: 500 1.35rem var(--voice); }
.places { display: grid; grid-template-columns: 1fr 1fr; gap: 8px; }
.places .stone-button { font-weight: 450; line-height: 1.3; padding-block: 0.6rem; }
.why { margin: 0; padding-left: 1.2em; display: grid; gap: 3px; }
.rule { font-weight: 600; }
</style>
