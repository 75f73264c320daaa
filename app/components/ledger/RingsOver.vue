<script setup lang="ts">
import { computed } from 'vue'
import type { BatchSummary } from '../../../core/cook/batch/summary'
import { laidOver, type Aligned } from '../../drawings/laidOver'
import { line } from 'd3-shape'

const props = defineProps<{
  /** Batches, the first outermost. */
  batches: readonly BatchSummary[]
  /** At which moment they coincide. */
  aligned: Aligned
  /** What a screen reader says. */
  title: string
}>()

const SHAPE = { width: 560, height: 560, stone: 34, margin: 12 } as const
const STEP = 44
const view = computed(() => laidOver(props.batches, props.aligned, SHAPE, STEP))
const path = line<{ readonly x: number, readonly y: number }>(one => one.x, one => one.y).digits(1)
const letters = ['A', 'B', 'C', 'D']
</script>

<template>
  <svg
    :viewBox="`0 0 ${SHAPE.width} ${SHAPE.height}`"
    role="img"
    :aria-label="title"
  >
    <g
      v-for="(ring, i) in view.rings"
      :key="i"
    >
      <path
        v-for="(stone, k) in ring.stones"
        :key="k"
        :d="path(stone.points) ?? ''"
        :stroke="stone.colour"
        :stroke-width="SHAPE.stone"
        fill="none"
      />
      <line
        v-for="([inner, outer], k) in ring.joints"
        :key="`joint-${k}`"
        class="joint"
        :x1="inner.x"
        :y1="inner.y"
        :x2="outer.x"
        :y2="outer.y"
      />
      <line
        class="turn"
        :x1="ring.turn[0].x"
        :y1="ring.turn[0].y"
        :x2="ring.turn[1].x"
        :y2="ring.turn[1].y"
      />
      <text
        :x="SHAPE.margin + SHAPE.stone / 2 + ring.inset"
        :y="SHAPE.height - 8"
        text-anchor="middle"
        class="letter"
      >{{ letters[i] }}</text>
    </g>
  </svg>
</template>

<style scoped>
svg { width: 100%; height: auto; display: block; border-bottom: 5px solid var(--ink); }
.joint { stroke: var(--wall); stroke-width: 1.5; }
.turn { stroke: var(--ink); stroke-width: 4; }
.letter { font: 700 17px var(--text); fill: var(--ink); paint-order: stroke; stroke: var(--wall); stroke-width: 5px; }
</style>
