<script setup lang="ts">
import { computed, shallowRef, watch } from 'vue'

const props = defineProps<{
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

// Parents make their options anew at every turn; the list, with all it measures, is drawn again only where it differs.
const key = computed(() => props.options.map(one => `${one.value}\u0000${one.label}`).join('\u0001'))
const drawn = shallowRef(props.options)
watch(key, () => {
  drawn.value = props.options
})
const choose = (value: string): void => emit('choose', value)
</script>

<template>
  <div class="choice">
    <ElSelect
      v-memo="[chosen, label, drawn]"
      :model-value="chosen"
      :aria-label="label"
      :placeholder="label"
      @update:model-value="choose"
    >
      <ElOption
        v-for="one in drawn"
        :key="one.value"
        :value="one.value"
        :label="one.label"
      />
    </ElSelect>
  </div>
</template>

<style scoped>
.choice { min-width: 0; }
</style>
