<script setup lang="ts">
import { computed } from 'vue'
import type { BatchListLine } from '../../../contracts/batch'
import { gramsText, dateTimeText, nearDayText } from '../../composables/format'
import { coldByText, eatByText, PLACE_WORDS, STOOD_OUT } from '../../../words/after'
import SmallArch from '../SmallArch.vue'
import { daysMs } from '../../../core/maths/time/moments'

const props = defineProps<{
  /** What is in the house, what must be eaten first before the rest. */
  batches: readonly BatchListLine[]
  /** The hearth's time. */
  now: number
}>()

const rows = computed(() => props.batches.flatMap((batch) => {
  const { after } = batch
  if (!after) return []
  const { eatBy, coldBy, inCold } = after
  const past = props.now > eatBy[1]
  const state = past ? 'past' : coldBy !== null || eatBy[1] - props.now < daysMs(1) ? 'soon' : 'good'
  const day = (at: number): string => nearDayText(at, props.now)
  const says = past
    ? (coldBy === null ? 'past its time: throw it out' : STOOD_OUT)
    : coldBy !== null
      ? coldByText(coldBy, inCold, at => dateTimeText(at, props.now), day)
      : after.readyAt > props.now
        ? `sets until about ${dateTimeText(after.readyAt, props.now)}`
        : state === 'soon' ? `eat it next, by ${dateTimeText(eatBy[1], props.now)}` : eatByText(eatBy, day)
  return [{ batch, state, says, left: gramsText(after.leftG), place: PLACE_WORDS[after.place] }]
}))
</script>

<template>
  <ul
    class="shelf"
    aria-label="In the house"
  >
    <li
      v-for="row in rows"
      :key="row.batch.id"
    >
      <NuxtLink :to="`/tray/${row.batch.id}`">
        <span class="stand"><SmallArch
          :stones="row.batch.summary.stones"
          :keystone-s="row.batch.summary.keystoneS"
          :title="row.batch.dish"
          :width="110"
        /></span>
        <span class="words">
          <strong>{{ row.batch.dish }}</strong>
          <span>{{ row.left }} {{ row.place }}</span>
          <span
            class="says"
            :class="{ danger: row.state === 'past' || row.batch.after?.coldBy != null, soon: row.state === 'soon' }"
          >{{ row.state === 'past' ? '◆ ' : row.state === 'soon' ? '◇ ' : '' }}{{ row.says }}</span>
        </span>
      </NuxtLink>
    </li>
  </ul>
</template>

<style scoped>
.shelf { list-style: none; margin: 0; padding: 0; display: grid; grid-template-columns: repeat(auto-fill, minmax(min(320px, 100%), 1fr)); gap: 14px 30px; }
a { display: grid; grid-template-columns: 92px minmax(0, 1fr); gap: 16px; text-decoration: none; align-items: end; }
.stand { display: block; border-bottom: 4px solid var(--ink); }
.stand :deep(svg) { display: block; width: 92px; }
.words { display: grid; line-height: 1.3; }
.words strong { font: 600 1.3rem var(--voice); }
a:hover strong { text-decoration: underline; text-underline-offset: 3px; }
.says { font-weight: 600; }
</style>
