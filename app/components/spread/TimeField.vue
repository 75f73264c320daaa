<script setup lang="ts">
import { computed, useId } from 'vue'

const props = defineProps<{
  /** What is asked. */
  asks: string
  /** Minutes of the day. */
  value: number
}>()

const emit = defineEmits<{
  /** Another time was given, minutes of the day. */
  set: [minutes: number]
}>()

const id = useId()
const text = computed(() => {
  const minutes = ((props.value % 1440) + 1440) % 1440
  return `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`
})
function given(event: Event): void {
  const match = /^(\d{2}):(\d{2})/.exec((event.target as HTMLInputElement).value)
  if (match) emit('set', Number(match[1]) * 60 + Number(match[2]))
}
</script>

<template>
  <label
    class="time"
    :for="id"
  >
    <span>{{ asks }}</span>
    <input
      :id="id"
      type="time"
      :value="text"
      @change="given"
    >
  </label>
</template>

<style scoped>
.time { display: inline-grid; }
.time span { font-weight: 600; font-size: 0.9375rem; margin-bottom: 2px; }
.time input { width: 8.2em; }
</style>
