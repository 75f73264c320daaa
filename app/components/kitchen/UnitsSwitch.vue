<script setup lang="ts">
import { celsiusOfHouse, degreesOfHouse } from '../../composables/format'

defineProps<{
  /** Units in use on all screens. */
  units: 'metric' | 'imperial'
  /** Money of the household. */
  currency: string
  /** How warm the kitchen is on a cooking day, °C. */
  roomC: number
}>()

const LEAST_C = 8
const MOST_C = 50

const emit = defineEmits<{
  /** Other units were chosen. */
  units: [units: 'metric' | 'imperial']
  /** Another name for the money. */
  currency: [currency: string]
  /** The kitchen is so warm, °C. */
  room: [roomC: number]
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
    <label class="soft">the kitchen is at <ElInputNumber
      :model-value="Math.round(degreesOfHouse(roomC))"
      :min="Math.round(degreesOfHouse(LEAST_C))"
      :max="Math.round(degreesOfHouse(MOST_C))"
      @change="value => value !== undefined && emit('room', celsiusOfHouse(Number(value)))"
    /> {{ units === 'imperial' ? '°F' : '°C' }} while you cook</label>
  </div>
</template>

<style scoped>
.units { display: flex; flex-wrap: wrap; gap: 8px 12px; align-items: center; }
input { width: 70px; }
</style>
