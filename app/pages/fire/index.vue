<script setup lang="ts">
import { computed, watch } from 'vue'
import HousePage from '../../components/HousePage.vue'
import { useLiveCooks } from '../../composables/liveCooks'

const live = useLiveCooks()
const router = useRouter()
const first = computed(() => live.value[0]?.id ?? null)
watch(first, id => id && void router.replace(`/fire/${id}`), { immediate: true })
</script>

<template>
  <HousePage>
    <h1>Nothing is on the fire</h1>
    <p class="soft">
      Measure a dish out and take it to the fire; it stands here then.
    </p>
    <NuxtLink
      class="stone-button first"
      to="/measure"
    >
      Measure a dish
    </NuxtLink>
  </HousePage>
</template>

<style scoped>
h1 { margin: 12px 0 6px; }
p { margin: 0 0 16px; font-size: 1.2rem; }
</style>
