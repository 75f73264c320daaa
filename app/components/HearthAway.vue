<script setup lang="ts">
const emit = defineEmits<{
  /** It is to be asked again. */
  again: []
}>()
</script>

<template>
  <p
    class="danger"
    role="alert"
  >
    The hearth cannot be reached. Nothing is lost. <ElButton @click="emit('again')">
      Try again
    </ElButton>
  </p>
</template>
