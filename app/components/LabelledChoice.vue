<script setup lang="ts">
import ChoiceSelect from './ChoiceSelect.vue'

defineProps<{
  /** What is asked, above the choice. */
  asks: string
  /** Value that is chosen, or undefined for none. */
  chosen: string | undefined
  /** What can be chosen. */
  options: readonly { readonly value: string, readonly label: string }[]
}>()

const emit = defineEmits<{
  /** Another value was chosen. */
  choose: [value: string]
}>()
</script>

<template>
  <div>
    <span
      class="asks"
      aria-hidden="true"
    >{{ asks }}</span>
    <ChoiceSelect
      :label="asks"
      :chosen="chosen"
      :options="options"
      @choose="value => emit('choose', value)"
    />
  </div>
</template>

<style scoped>
.asks { display: block; font-weight: 600; font-size: 0.9375rem; margin-bottom: 2px; }
</style>
