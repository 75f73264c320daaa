<script setup lang="ts">
import type { LiveCookLine } from '../../contracts/cook'
import { dayText, timeOfDay } from '../composables/format'

defineProps<{
  /** Cooks that were left open, and when each was likeliest done. */
  cooks: readonly (LiveCookLine & { readonly likelyDoneAt: number })[]
}>()
const emit = defineEmits<{
  /** It was done then. */
  done: [id: string, doneAt: number]
  /** It is still on the fire. */
  still: [id: string]
}>()
</script>

<template>
  <article
    v-for="cook in cooks"
    :key="cook.id"
    class="slab open"
    :aria-label="`Left open: ${cook.dish}`"
  >
    <h2>{{ cook.dish }} was left open</h2>
    <p>
      By its forecast it was done {{ dayText(cook.likelyDoneAt) }} at {{ timeOfDay(cook.likelyDoneAt) }}. If nobody says anything it is closed so by itself, and that can be taken back.
    </p>
    <div class="row">
      <ElButton
        type="primary"
        @click="emit('done', cook.id, cook.likelyDoneAt)"
      >
        It was done then
      </ElButton>
      <ElButton @click="emit('still', cook.id)">
        Still on the fire
      </ElButton>
      <NuxtLink
        class="stone-button quiet"
        :to="`/fire/${cook.id}`"
      >
        Look at it
      </NuxtLink>
    </div>
  </article>
</template>

<style scoped>
.open { display: grid; gap: 8px; }
.open p { margin: 0; }
.row { display: flex; flex-wrap: wrap; gap: 10px; }
.row :is(.el-button, .stone-button) { min-height: 56px; }
</style>
