<script setup lang="ts">
import { computed } from 'vue'
import { vesselShape } from '../drawings/vesselShape'

const props = withDefaults(defineProps<{
  /** Inner diameter, mm. */
  diameterMm: number
  /** Depth, mm. */
  depthMm: number
  /** Depth of the content, mm. */
  contentMm: number
  /** Colour of the content, `#rrggbb`. */
  colour: string
  /** Depth of a line to be marked, mm, or null. */
  lineMm?: number | null
  /** How many flames stand under it; 0 for off. */
  flames?: number
  /** Most flames there could be. */
  mostFlames?: number
  /** True with the lid on. */
  lid?: boolean
  /** True for a pan with a long handle, false for a pot with two ears. */
  handle?: boolean
}>(), { lineMm: null, flames: 0, mostFlames: 0, lid: false, handle: true })

const PAD = 14
const wide = computed(() => props.diameterMm * 1.06)
const shape = computed(() => vesselShape(wide.value, props.diameterMm, props.depthMm, props.contentMm / props.depthMm))
const width = computed(() => wide.value + PAD * 2 + (props.handle ? props.diameterMm * 0.42 : 24))
const height = computed(() => props.depthMm + 26 + (props.mostFlames > 0 ? 34 : 12))
const flames = computed(() => Array.from({ length: props.mostFlames }, (_, i) => ({
  x: PAD + wide.value / 2 + (i - (props.mostFlames - 1) / 2) * Math.min(30, wide.value / props.mostFlames),
  on: i < props.flames,
})))
const lineY = computed(() => (props.lineMm === null ? null : props.depthMm - props.lineMm))
</script>

<template>
  <svg
    class="pan"
    :viewBox="`0 0 ${width} ${height}`"
    aria-hidden="true"
  >
    <g :transform="`translate(${PAD} 20)`">
      <path
        :d="shape.content"
        :fill="colour"
      />
      <path
        class="wall"
        :d="shape.wall"
      />
      <path
        v-if="handle"
        class="handle"
        :d="`M${wide - 1} 6L${wide + diameterMm * 0.4} -10`"
      />
      <path
        v-if="lid"
        class="wall"
        :d="`M-4 -4H${wide + 4}M${wide / 2 - 12} -6v-8h24v8`"
      />
      <line
        v-if="lineY !== null"
        class="line"
        x1="-10"
        :x2="wide + 10"
        :y1="lineY"
        :y2="lineY"
      />
      <path
        v-for="(flame, i) in flames"
        :key="i"
        class="flame"
        :class="{ on: flame.on }"
        :d="`M${flame.x - PAD} ${depthMm + 12}q6 9 0 18q-6 -9 0 -18z`"
      />
    </g>
  </svg>
</template>

<style scoped>
.pan { display: block; width: 100%; height: auto; overflow: visible; }
.wall { fill: none; stroke: var(--metal); stroke-width: 7; stroke-linejoin: round; stroke-linecap: round; }
.handle { stroke: var(--metal); stroke-width: 9; stroke-linecap: round; fill: none; }
.line { stroke: var(--danger); stroke-width: 3; stroke-dasharray: 9 7; }
.flame { fill: none; stroke: var(--ink-soft); stroke-width: 1.5; }
.flame.on { fill: var(--ink-soft); stroke: var(--ink-soft); stroke-width: 3; }
</style>
