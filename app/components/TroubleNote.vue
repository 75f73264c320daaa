<script setup lang="ts">
defineProps<{
  /** What went wrong, what is safe and what to do; nothing where all is well. */
  says?: string | null | undefined
}>()
</script>

<template>
  <ElAlert
    v-if="says"
    type="error"
    :title="says"
    :closable="false"
    show-icon
  >
    <slot />
  </ElAlert>
</template>
