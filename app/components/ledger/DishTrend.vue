<script setup lang="ts">
import { keysOf } from '../../../core/records'
import { computed } from 'vue'
import type { BatchListLine } from '../../../contracts/batch'
import { trendOf } from '../../../core/cook/compare/trendOf'
import { trendLine } from '../../drawings/trendLine'
import { clockText, dayText, gramsText } from '../../composables/format'
import { TREND_WORDS } from '../../../words/ledger'
import ChartAxis from '../ChartAxis.vue'

const props = defineProps<{
  /** Batches of one dish, newest first. */
  batches: readonly BatchListLine[]
}>()

const WIDTH = 380
const HEIGHT = 74
const MOST = 60
type Figure = keyof typeof TREND_WORDS

function valueOf(figure: Figure, { summary }: BatchListLine): number | null {
  const { keystoneS, endS, finishedG, baseG } = summary
  if (figure === 'turn') return keystoneS
  if (figure === 'end') return keystoneS === null || endS === null ? null : endS - keystoneS
  return finishedG === null || !(baseG > 0) ? null : 100 * finishedG / baseG
}
const text = (figure: Figure, value: number): string => (figure === 'yield' ? gramsText(value) : clockText(value))
const figures = computed(() => (keysOf(TREND_WORDS)).flatMap((figure) => {
  const points = props.batches.slice(0, MOST).flatMap((batch) => {
    const value = valueOf(figure, batch)
    return value === null ? [] : [{ id: batch.id, at: batch.startedAt, value, faulty: batch.summary.faults.length > 0 }]
  }).reverse()
  if (points.length < 3) return []
  const trend = trendOf(points)
  const words = TREND_WORDS[figure]
  const since = dayText(points[0]!.at)
  const mean = points.reduce((sum, one) => sum + one.value, 0) / points.length
  const spread = Math.sqrt(points.reduce((sum, one) => sum + (one.value - mean) ** 2, 0) / points.length)
  const says = trend?.shown ? `${text(figure, Math.abs(trend.overAll))} ${trend.overAll < 0 ? words.less : words.more} since ${since}` : `steady: ${text(figure, mean)} ± ${text(figure, spread)}`
  return [{ figure, name: words.name, says, drawn: trendLine(points, WIDTH, HEIGHT), points, count: points.length }]
}))
</script>

<template>
  <section
    v-if="figures.length > 0"
    class="trend"
    aria-label="How it has moved"
  >
    <figure
      v-for="one in figures"
      :key="one.figure"
    >
      <figcaption><strong>{{ one.name }}</strong> <span>{{ one.says }}</span></figcaption>
      <svg
        :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
        role="img"
        :aria-label="`${one.name}, ${one.count} batches: ${one.says}`"
      >
        <ChartAxis
          side="right"
          class="values"
          :transform="`translate(${WIDTH},0)`"
          :scale="one.drawn.y"
          :values="one.drawn.ticks"
          :says="value => text(one.figure, value)"
          :rule="WIDTH"
          :padding="0"
          :anchor="() => 'end'"
        />
        <path
          class="line"
          :d="one.drawn.line"
        />
        <template
          v-for="dot in one.drawn.dots"
          :key="dot.id"
        >
          <rect
            v-if="dot.faulty"
            :x="dot.x - 5"
            :y="dot.y - 5"
            width="10"
            height="10"
            :transform="`rotate(45 ${dot.x} ${dot.y})`"
            class="fault"
          />
          <circle
            v-else
            :cx="dot.x"
            :cy="dot.y"
            r="4.5"
            class="dot"
          />
        </template>
      </svg>
    </figure>
  </section>
</template>

<style scoped>
.trend { display: grid; grid-template-columns: repeat(auto-fit, minmax(280px, 1fr)); gap: 14px 34px; border-top: 3px solid var(--ink); padding-top: 10px; }
figure { margin: 0; }
figcaption { display: flex; justify-content: space-between; gap: 12px; flex-wrap: wrap; }
svg { width: 100%; height: auto; display: block; overflow: visible; }
/* Above its line, inside the drawing. */
.values :deep(text) { font-size: 12px; transform: translateY(-9px); }
.line { fill: none; stroke: var(--ink-soft); stroke-width: 1.5; }
.dot { fill: var(--wall); stroke: var(--ink); stroke-width: 2.5; }
.fault { fill: var(--wall); stroke: var(--danger); stroke-width: 2.5; }
</style>
