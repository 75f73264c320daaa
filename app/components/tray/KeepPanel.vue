<script setup lang="ts">
import { computed } from 'vue'
import type { Standing } from '../../../core/cook/after/standing'
import { PLACES, type Place } from '../../../core/record/marks/place'
import { dateTimeText, nearDayText } from '../../composables/format'
import { coldByText, daysText, eatByText, KEEPING_RULE, KEEPING_WORDS, PLACE_WORDS, STOOD_OUT } from '../../../words/after'
import SegmentedChoice from '../SegmentedChoice.vue'

const props = defineProps<{
  /** How the batch stands. */
  standing: Standing
  /** The hearth's time. */
  now: number
}>()

const emit = defineEmits<{
  /** It stands somewhere else now; `inTime` where it went there within its hours and only the tap is late. */
  put: [place: Place, inTime: boolean]
}>()

const HOURS_48 = 48 * 3_600_000
const day = (at: number): string => (at - props.now < HOURS_48 && at - props.standing.madeAt < HOURS_48 ? dateTimeText(at, props.now) : nearDayText(at, props.now))
const past = computed(() => props.now > props.standing.eatBy[1])
const toCold = computed(() => props.standing.coldBy !== null)
/** It may have been in the cold all along, and nobody tapped. */
const forgot = computed(() => past.value && toCold.value && props.standing.place === 'room')
const says = computed(() => {
  const { eatBy, coldBy, inCold } = props.standing
  if (past.value) return sentence(coldBy === null ? `past its time since ${day(eatBy[1])}: throw it out` : STOOD_OUT)
  return sentence(coldBy === null ? eatByText(eatBy, day) : coldByText(coldBy, inCold, at => dateTimeText(at, props.now), at => nearDayText(at, props.now)))
})
const sentence = (text: string): string => `${text.charAt(0).toUpperCase()}${text.slice(1)}.`
const hours = computed(() => (props.standing.keeping.standsH === 1 ? 'an hour in all, the room is hot' : `${props.standing.keeping.standsH} hours in all`))
const placeText = (place: Place): string => (place === 'room' && props.standing.keeping.standsH !== null ? hours.value : daysText(props.standing.keeping.days[place]))
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
      :class="{ danger: past || toCold }"
      role="status"
    >
      {{ says }}
    </p>
    <SegmentedChoice
      class="places"
      label="It stands"
      :chosen="standing.place"
      :options="PLACES.map(value => ({ value, label: PLACE_WORDS[value], note: placeText(value) }))"
      @choose="place => emit('put', place, false)"
    />
    <ElButton
      v-if="forgot"
      @click="emit('put', 'cold', true)"
    >
      It was in the cold in time; only this tap is late
    </ElButton>
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
/* Long, and it wraps. */
.keep .el-button { height: auto; white-space: normal; }
.why { margin: 0; padding-left: 1.2em; display: grid; gap: 3px; }
.rule { font-weight: 600; }
</style>
