<script setup lang="ts">
defineProps<{
  /** What is measured. */
  label: string
  /** Unit behind the number. */
  unit: string
}>()

const emit = defineEmits<{
  /** Typing is done. */
  done: []
}>()

const typed = defineModel<string>({ required: true })
</script>

<template>
  <label>{{ label }}<ElInput
    v-model="typed"
    inputmode="decimal"
    @change="emit('done')"
  ><template #append>{{ unit }}</template></ElInput></label>
</template>
