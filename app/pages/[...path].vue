<script setup lang="ts">
import HousePage from '../components/HousePage.vue'

const route = useRoute()
</script>

<template>
  <HousePage>
    <h1>There is no such page here</h1>
    <p class="soft">
      {{ route.path }} leads nowhere. Nothing was changed.
    </p>
    <NuxtLink
      class="stone-button first"
      to="/"
    >
      Back to the hearth
    </NuxtLink>
  </HousePage>
</template>

<style scoped>
h1 { margin: 12px 0 6px; }
p { margin: 0 0 16px; font-size: 1.2rem; overflow-wrap: anywhere; }
</style>
