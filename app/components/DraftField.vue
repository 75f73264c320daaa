<script setup lang="ts">
import { ref, watch } from 'vue'

const props = defineProps<{
  /** As it is kept. */
  value: string
}>()

const emit = defineEmits<{
  /** Something else was typed and left, or entered. */
  set: [value: string]
}>()

/** What is typed stands until it is left, whatever comes from elsewhere meanwhile. */
const typed = ref(props.value)
watch(() => props.value, (now) => {
  typed.value = now
})
</script>

<template>
  <ElInput
    v-model="typed"
    autocomplete="off"
    @change="emit('set', typed)"
  />
</template>
