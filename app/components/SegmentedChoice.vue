<script setup lang="ts" generic="V extends string | number">
defineProps<{
  /** What is chosen here, for the screen reader. */
  label: string
  /** Value that is chosen, or null or undefined for none. */
  chosen: V | null | undefined
  /** The few that can be chosen, all of them seen; `note` is a second line. */
  options: readonly { readonly value: V, readonly label: string, readonly note?: string }[]
}>()

const emit = defineEmits<{
  /** Another value was chosen. */
  choose: [value: V]
}>()
</script>

<template>
  <ElRadioGroup
    :model-value="chosen ?? undefined"
    :aria-label="label"
    @change="value => emit('choose', value as V)"
  >
    <ElRadioButton
      v-for="one in options"
      :key="one.value"
      :value="one.value"
    >
      <template v-if="one.note">
        <strong>{{ one.label }}</strong><br>{{ one.note }}
      </template>
      <template v-else>
        {{ one.label }}
      </template>
    </ElRadioButton>
  </ElRadioGroup>
</template>
