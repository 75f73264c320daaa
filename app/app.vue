<script setup lang="ts">
import { useDark, useOnline } from '@vueuse/core'
import { computed, defineAsyncComponent, onMounted, watch } from 'vue'
import { lockedOut } from './clients/api'
import { enterHouse } from './composables/entering'
import { tryNow } from './clients/sync/lane'
import { flush } from './clients/sync/outbox'
import { usePageFocus } from './composables/pageFocus'
import { PART_LANGUAGE } from './composables/partLanguage'
import { useProving } from './composables/proving'
import { pageTitle } from '../words/titles'
import { setHearthClock } from './clients/hearthClock'
import { useNoticedClock } from './composables/hearthTime'

/** Few visits ask for either: the first view carries neither. */
const EnterHouse = defineAsyncComponent(() => import('./components/EnterHouse.vue'))
const ProveAgain = defineAsyncComponent(() => import('./components/ProveAgain.vue'))

useDark({ disableTransition: false })
const online = useOnline()
watch(online, here => here && tryNow())
onMounted(() => void flush())
void setHearthClock()
useNoticedClock()
const { asked: proofAsked, tell: tellProof, leave: leaveProof } = useProving()

/** A pan on the fire is never taken from the screen: there the passphrase is asked for beside it. */
const route = useRoute()
const atFire = computed(() => route.path.startsWith('/fire/'))
useHead({ title: () => pageTitle(route.path) })
const nuxt = useNuxtApp()
usePageFocus(useRouter(), shown => nuxt.hook('page:finish', shown))
</script>

<template>
  <ElConfigProvider :locale="PART_LANGUAGE">
    <VitePwaManifest />
    <NuxtRouteAnnouncer />
    <EnterHouse
      v-if="lockedOut && !atFire"
      :why="lockedOut"
      :enter="enterHouse"
    />
    <NuxtPage v-else />
    <ProveAgain
      v-if="proofAsked"
      :asked="proofAsked"
      :tell="tellProof"
      @leave="leaveProof"
    />
  </ElConfigProvider>
</template>
