<script setup lang="ts">
defineProps<{
  /** Value that is chosen, or undefined for none. */
  chosen: string | undefined
  /** What can be chosen. */
  options: readonly { readonly value: string, readonly label: string }[]
  /** What is chosen here, for the screen reader. */
  label: string
}>()

const emit = defineEmits<{
  /** Another value was chosen. */
  choose: [value: string]
}>()
</script>

<template>
  <ElSelect
    :model-value="chosen"
    :aria-label="label"
    :placeholder="label"
    @update:model-value="(value: string) => emit('choose', value)"
  >
    <ElOption
      v-for="one in options"
      :key="one.value"
      :value="one.value"
      :label="one.label"
    />
  </ElSelect>
</template>
