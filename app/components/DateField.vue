<script setup lang="ts">
defineProps<{
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
</script>

<template>
  <ElDatePicker
    :model-value="modelValue"
    type="date"
    format="D MMM YYYY"
    value-format="YYYY-MM-DD"
    :aria-label="label"
    :disabled-date="(day: Date) => latest !== undefined && day > new Date(`${latest}T23:59:59`)"
    @update:model-value="(day: string | null) => emit('update:modelValue', day ?? '')"
  />
</template>
