<script setup lang="ts">
defineProps<{
  /** Units in use on all screens. */
  units: 'metric' | 'imperial'
  /** Money of the household. */
  currency: string
}>()

const emit = defineEmits<{
  /** Other units were chosen. */
  units: [units: 'metric' | 'imperial']
  /** Another name for the money. */
  currency: [currency: string]
}>()
</script>

<template>
  <div
    class="units"
    role="group"
    aria-label="Numbers on all screens"
  >
    <span class="soft">Numbers on all screens</span>
    <button
      class="stone-button"
      :aria-pressed="units === 'metric'"
      @click="emit('units', 'metric')"
    >
      g and °C
    </button>
    <button
      class="stone-button"
      :aria-pressed="units === 'imperial'"
      @click="emit('units', 'imperial')"
    >
      oz, lb and °F
    </button>
    <label class="soft">money is called <input
      :value="currency"
      maxlength="4"
      @change="emit('currency', ($event.target as HTMLInputElement).value.trim().slice(0, 4))"
    ></label>
  </div>
</template>

<style scoped>
.units { display: flex; flex-wrap: wrap; gap: 8px 12px; align-items: center; }
input { width: 70px; }
</style>
