<script setup lang="ts">
import TroubleNote from './TroubleNote.vue'

const emit = defineEmits<{
  /** It is to be asked again. */
  again: []
}>()
</script>

<template>
  <TroubleNote says="The hearth cannot be reached. Nothing is lost.">
    <ElButton @click="emit('again')">
      Try again
    </ElButton>
  </TroubleNote>
</template>
