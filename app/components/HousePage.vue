<script setup lang="ts">
import { useLiveCooks } from '../composables/liveCooks'
import HouseHeader from './HouseHeader.vue'
import TroubleNote from './TroubleNote.vue'

defineProps<{
  /** What went wrong, in a sentence; empty or null for nothing. */
  trouble?: string | null
  /** What stands on it has not come yet: it is held back, so that nothing moves. */
  coming?: boolean
}>()

const live = useLiveCooks()
</script>

<template>
  <div>
    <HouseHeader :live="live[0]?.id ?? null" />
    <main
      id="main"
      class="page"
      :class="{ coming }"
      :aria-busy="coming ? 'true' : undefined"
    >
      <TroubleNote :says="trouble" />
      <slot />
    </main>
  </div>
</template>

<style scoped>
main > p { margin: 10px 0; }
/* The page itself can have the focus meanwhile. */
main.coming > :deep(*) { visibility: hidden; }
</style>
