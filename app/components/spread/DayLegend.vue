<script setup lang="ts">
defineProps<{
  /** Whether something hot is poured. */
  pours: boolean
  /** Whether something is tight. */
  tight: boolean
  /** Whether something is held at its time. */
  pinned: boolean
}>()
</script>

<template>
  <p
    class="legend"
    aria-hidden="true"
  >
    <span v-if="pours"><svg viewBox="0 0 16 12"><path
      class="pour"
      d="M8 11l-7 -10h14z"
    /></svg>hot pour</span>
    <span v-if="tight"><svg viewBox="0 0 26 14"><rect
      class="tightbox"
      width="26"
      height="14"
    /><path
      class="tightlines"
      d="M-2 16L10 -2M8 16L20 -2M18 16L30 -2"
    /></svg>under five minutes to spare</span>
    <span v-if="pinned"><svg viewBox="0 0 14 12"><path
      class="pin"
      d="M1 11l6 -9l6 9z"
    /></svg>held at its time</span>
    <span>pale bar: half a hand, now and then</span>
  </p>
</template>

<style scoped>
.legend { display: flex; flex-wrap: wrap; gap: 2px 20px; padding-top: 6px; color: var(--ink-soft); font-size: 0.9375rem; }
.legend svg { height: 0.8em; margin-right: 6px; vertical-align: baseline; overflow: hidden; }
.pour { fill: var(--danger); }
.tightbox { fill: var(--ink); }
.tightlines { stroke: var(--danger-pale); stroke-width: 4; }
.pin { fill: var(--accent); }
</style>
