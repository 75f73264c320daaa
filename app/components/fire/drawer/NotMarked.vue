<script setup lang="ts">
defineProps<{
  /** Why nothing was marked, and what is needed; empty where all is well. */
  why: string
}>()
</script>

<template>
  <p
    v-if="why"
    class="danger"
    role="alert"
  >
    {{ why }}
  </p>
</template>
