<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { computed } from 'vue'
import type { SpanPlace } from '../../core/formulation/dish/spans'

const props = defineProps<{
  /** Where the part stands in its span. */
  standing: SpanPlace
}>()

/** A quarter more than the span, so that what lies above it still shows. */
const scale = computed(() => scaleLinear([0, Math.max(0.01, props.standing.span.to * 1.25)], [0, 200]).clamp(true))
const x = (ratio: number): number => Math.min(198, Math.max(2, scale.value(ratio)))
</script>

<template>
  <svg
    class="span"
    viewBox="0 0 200 22"
    preserveAspectRatio="none"
    aria-hidden="true"
  >
    <rect
      class="track"
      y="6"
      width="200"
      height="10"
    />
    <rect
      class="usual"
      y="6"
      height="10"
      :x="x(standing.span.from)"
      :width="x(standing.span.to) - x(standing.span.from)"
    />
    <rect
      class="here"
      :class="{ out: standing.outside !== null }"
      y="0"
      width="7"
      height="22"
      :x="x(standing.ratio) - 3.5"
    />
  </svg>
</template>

<style scoped>
.span { display: block; width: 100%; height: 22px; }
.track { fill: var(--wall-sunk); }
.usual { fill: var(--accent); opacity: 0.55; }
.here { fill: var(--ink); }
.here.out { fill: var(--danger); }
</style>
