<script setup lang="ts">
defineProps<{
  /** Size, CSS px. */
  size: number
}>()
</script>

<template>
  <svg
    viewBox="0 0 64 64"
    :width="size"
    :height="size"
    aria-hidden="true"
  ><path d="M10 58V32a22 22 0 0 1 19.5-21.9V17.2A15 15 0 0 0 17 32v26zM54 58V32A22 22 0 0 0 34.5 10.1V17.2A15 15 0 0 1 47 32v26z" /></svg>
</template>

<style scoped>
svg { fill: var(--ink); }
</style>
