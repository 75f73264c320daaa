<script setup lang="ts">
import { ref, shallowRef } from 'vue'
import { InHouseSchema, type BatchListLine } from '../../../contracts/batch'
import HearthAway from '../../components/HearthAway.vue'
import HousePage from '../../components/HousePage.vue'
import HouseShelf from '../../components/tray/HouseShelf.vue'
import { ask } from '../../clients/api'
import { useHearthTime } from '../../composables/hearthTime'

const batches = shallowRef<readonly BatchListLine[]>([])
const state = ref<'loading' | 'here' | 'away'>('loading')
const now = useHearthTime(10_000)
async function load(): Promise<void> {
  try {
    batches.value = (await ask('GET', '/batches/in-house', InHouseSchema)).batches
    state.value = 'here'
  }
  catch {
    state.value = 'away'
  }
}
void load()
</script>

<template>
  <HousePage>
    <div class="house">
      <header class="top">
        <h1>{{ batches.length === 0 ? 'Tray' : 'In the house' }}</h1>
        <NuxtLink
          v-if="batches.length > 0"
          class="stone-button"
          :to="`/labels?batches=${batches.map(one => one.id).slice(0, 12).join(',')}`"
        >
          Labels for all of it
        </NuxtLink>
      </header>
      <HearthAway
        v-if="state === 'away'"
        @again="load"
      />
      <p
        v-if="state === 'here' && batches.length === 0"
        class="empty"
      >
        Nothing is in the house. A batch that is off the fire stands here: cut, rolled or served, with the time by which it is eaten. <NuxtLink to="/measure">Measure one out</NuxtLink>
      </p>
      <HouseShelf
        :batches="batches"
        :now="now"
      />
    </div>
  </HousePage>
</template>

<style scoped>
.house { display: grid; gap: 22px; padding-top: 16px; }
.top { display: flex; justify-content: space-between; align-items: end; gap: 20px; flex-wrap: wrap; }
.empty { font-size: 1.25rem; max-width: 40em; padding: 1rem 0; }
</style>
