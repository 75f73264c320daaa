<script setup lang="ts">
import { computed } from 'vue'
import { keepingText } from '../../words/keeping'
import { outboxState } from '../clients/sync/outbox'
import HouseMark from './HouseMark.vue'

defineProps<{
  /** True while at least one cook is live: Fire then stands in the navigation. */
  live?: string | null
}>()

const { waiting, reachable, setAside, keeping } = outboxState
/** Where all is well nothing is said. */
const says = computed(() => (reachable.value && waiting.value === 0 && setAside.value === 0 && keeping.value === 'device'
  ? ''
  : keepingText({ waiting: waiting.value, reachable: reachable.value, setAside: setAside.value, keeping: keeping.value, outside: false })))
</script>

<template>
  <header class="house">
    <a
      class="skip"
      href="#main"
    >Skip to the content</a>
    <NuxtLink
      to="/"
      class="mark"
    >
      <HouseMark :size="36" />
      <span>Yon Hearth</span>
    </NuxtLink>
    <nav aria-label="Places">
      <NuxtLink to="/"><HouseMark
        class="small-mark"
        :size="18"
      />Hearth</NuxtLink>
      <NuxtLink to="/book">Book</NuxtLink>
      <NuxtLink to="/measure">Measure</NuxtLink>
      <NuxtLink
        to="/spread"
        :class="{ within: $route.path.startsWith('/spread/') }"
      >Spread</NuxtLink>
      <NuxtLink
        v-if="live"
        :to="`/fire/${live}`"
      >Fire</NuxtLink>
      <NuxtLink
        to="/tray"
        :class="{ within: $route.path.startsWith('/tray/') }"
      >Tray</NuxtLink>
      <NuxtLink
        to="/ledger"
        :class="{ within: $route.path.startsWith('/ledger/') }"
      >Ledger</NuxtLink>
      <NuxtLink
        to="/kitchen"
        :class="{ within: $route.path.startsWith('/kitchen/') }"
      >Kitchen</NuxtLink>
    </nav>
    <p
      class="kept small"
      role="status"
    >
      <NuxtLink
        v-if="setAside > 0"
        to="/ledger/copies#refused"
      >{{ says }}</NuxtLink>
      <span v-else-if="says">{{ says }}</span>
    </p>
  </header>
</template>

<style scoped>
.house { display: flex; align-items: center; flex-wrap: wrap; gap: 0.4rem 1.6rem; padding: 14px 28px 10px; max-width: 1280px; margin: 0 auto; }
.skip { position: absolute; left: -9999px; display: flex; align-items: center; min-height: 44px; padding: 0 1rem; background: var(--wall-raised); }
.skip:focus { left: 12px; top: 8px; z-index: 5; }
.mark { display: flex; min-height: 44px; align-items: center; gap: 0.8rem; font: 650 1.45rem var(--voice); text-decoration: none; }
nav { display: flex; gap: 0.2rem; }
nav a { padding: 0.55rem 0.8rem 0.45rem; text-decoration: none; color: var(--ink-soft); font-size: 1.125rem; border-bottom: 4px solid transparent; }
nav a:hover { color: var(--ink); }
nav a.within, nav a.router-link-exact-active, nav a.router-link-active:not([href="/"]) { color: var(--ink); font-weight: 650; border-color: var(--ink); }
.kept { margin-left: auto; color: var(--ink-soft); }
.small-mark { display: none; }
@media (max-width: 700px) {
  /* All the places in sight, none cut, in two even rows; the house's mark stands with its first place. */
  .house { padding: 6px 10px 4px; gap: 0 0.6rem; }
  .mark { display: none; }
  .small-mark { display: inline-block; margin-right: 4px; vertical-align: -2px; }
  nav { width: 100%; display: grid; grid-template-columns: repeat(4, minmax(0, 1fr)); gap: 0; }
  nav a { padding: 0.6rem 0.2rem 0.5rem; min-height: 44px; text-align: center; font-size: 1rem; border-bottom-width: 3px; }
}
</style>
