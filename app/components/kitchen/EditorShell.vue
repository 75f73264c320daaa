<script setup lang="ts">
import { ref } from 'vue'
import TroubleNote from '../TroubleNote.vue'

const props = defineProps<{
  /** Name of the thing as it is kept. */
  name: string
  /** What was refused, in a sentence; empty for nothing. */
  trouble: string
}>()

const emit = defineEmits<{
  /** It has another name. */
  rename: [name: string]
  /** A name was refused; what is to be said. */
  refuse: [says: string]
}>()

const typed = ref(props.name)
function rename(): void {
  const text = typed.value.trim().slice(0, 60)
  if (text === '') emit('refuse', 'It needs a name. The old one is kept.')
  else emit('rename', text)
}
</script>

<template>
  <div class="editor">
    <label>Name<ElInput
      v-model="typed"
      maxlength="60"
      @change="rename"
    /></label>
    <slot />
    <TroubleNote :says="trouble" />
  </div>
</template>

<style scoped>
.editor { display: grid; gap: 10px; }
</style>
