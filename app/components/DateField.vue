<script setup lang="ts">
import { namedPicker } from '../composables/namedPicker'
import { isoDay, machineZone } from '../../core/maths/time/houseDay'

/** The picker's days are moments of this machine's own calendar. */
const isoOf = (day: Date): string => isoDay(day.getTime(), machineZone())

const props = defineProps<{
  /** ISO 8601 date, or empty. */
  modelValue: string
  /** What is asked, for the screen reader. */
  label: string
  /** Last day that can be taken, ISO 8601. */
  latest?: string
}>()

const emit = defineEmits<{
  /** Another day, ISO 8601; empty where it was taken away. */
  'update:modelValue': [day: string]
}>()
const name = namedPicker(() => props.label)
</script>

<template>
  <ElDatePicker
    :model-value="modelValue"
    type="date"
    format="D MMM YYYY"
    value-format="YYYY-MM-DD"
    :aria-label="label"
    :disabled-date="(day: Date) => latest !== undefined && isoOf(day) > latest"
    @visible-change="name"
    @update:model-value="(day: string | null) => emit('update:modelValue', day ?? '')"
  />
</template>
