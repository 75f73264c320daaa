<script setup lang="ts">
import TroubleNote from '../../TroubleNote.vue'
defineProps<{
  /** Why nothing was marked, and what is needed; empty where all is well. */
  why: string
}>()
</script>

<template>
  <TroubleNote :says="why" />
</template>
