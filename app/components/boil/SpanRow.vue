<script setup lang="ts">
import { computed } from 'vue'
import { scaleLog } from 'd3-scale'
import type { Window } from '../../../core/maths/random/window'

const props = defineProps<{
  /** What is spanned, such as `Before`. */
  name: string
  /** 10th percentile, middle, 90th. */
  window: Window
  /** Least of the scale. */
  from: number
  /** Most of the scale. */
  to: number
  /** Unit behind the numbers. */
  unit: string
  /** True for what was believed before. */
  faint?: boolean
}>()

const place = computed(() => scaleLog().domain([props.from, props.to]).range([0, 100]).clamp(true))
const percent = (value: number): string => `${place.value(value).toFixed(2)}%`
const text = (value: number): string => (Math.abs(value) >= 100 ? String(Math.round(value / 10) * 10) : value.toPrecision(2))
</script>

<template>
  <div
    class="span"
    role="img"
    :aria-label="`${name}: ${text(window.early)} to ${text(window.late)} ${unit}, middle ${text(window.middle)} ${unit}`"
  >
    <span class="name">{{ name }}</span>
    <span class="rail">
      <span
        class="bar"
        :class="{ faint }"
        :style="{ left: percent(window.early), right: `calc(100% - ${percent(window.late)})` }"
      />
      <span
        class="middle"
        :style="{ left: percent(window.middle) }"
      />
    </span>
    <span class="soft small numbers">{{ text(window.early) }}–{{ text(window.late) }} {{ unit }}</span>
  </div>
</template>

<style scoped>
.span { display: grid; grid-template-columns: minmax(70px, 0.5fr) minmax(0, 2fr) minmax(110px, auto); gap: 10px; align-items: center; }
.rail { position: relative; height: 18px; background: var(--wall-sunk); }
.bar { position: absolute; top: 0; bottom: 0; background: var(--accent); }
.bar.faint { background: var(--line); }
.middle { position: absolute; top: -3px; bottom: -3px; width: 4px; margin-left: -2px; background: var(--ink); }
.numbers { white-space: nowrap; }
</style>
