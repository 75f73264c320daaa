<script setup lang="ts">
import { useDark, useOnline } from '@vueuse/core'
import { onMounted, watch } from 'vue'
import { flush } from './composables/outbox'
import { setHearthClock } from './composables/hearthClock'

useDark({ disableTransition: false })
const online = useOnline()
watch(online, () => void flush())
onMounted(() => void flush())
void setHearthClock()
</script>

<template>
  <div>
    <VitePwaManifest />
    <NuxtPage />
  </div>
</template>
