<script setup lang="ts">
import { computed } from 'vue'
import { namedPicker } from '../../composables/namedPicker'
import { useSettings } from '../../stores/settings'

const settings = useSettings()
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

const name = namedPicker(() => props.asks)
const text = computed(() => {
  const minutes = ((props.value % 1440) + 1440) % 1440
  return `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`
})
function given(value: string | null): void {
  const match = /^(\d{2}):(\d{2})/.exec(value ?? '')
  if (match) emit('set', Number(match[1]) * 60 + Number(match[2]))
}
</script>

<template>
  <!-- Arrows, no wheel: a wheel that still turns takes back what was typed meanwhile. -->
  <label class="time">
    <span>{{ asks }}</span>
    <ElTimePicker
      :model-value="text"
      :format="settings.clock === '24' ? 'HH:mm' : 'h:mm a'"
      value-format="HH:mm"
      arrow-control
      :clearable="false"
      :aria-label="asks"
      @visible-change="name"
      @update:model-value="given"
    />
  </label>
</template>

<style scoped>
.time { display: inline-grid; }
.time span { font-weight: 600; font-size: 0.9375rem; margin-bottom: 2px; }
.time :deep(.el-date-editor) { width: 8.2em; }
</style>
