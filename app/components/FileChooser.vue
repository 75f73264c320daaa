<script setup lang="ts">
import type { UploadFile } from 'element-plus'

defineProps<{
  /** What its button says. */
  label: string
  /** Which files are offered, as in HTML. */
  accept: string
  /** True where several can be chosen at once. */
  multiple?: boolean
  /** True while nothing can be taken. */
  disabled?: boolean
}>()

const emit = defineEmits<{
  /** A file was chosen; of several each by itself. */
  chosen: [file: File]
}>()

const give = ({ raw }: UploadFile): void => {
  if (raw) emit('chosen', raw)
}
</script>

<template>
  <ElUpload
    :accept="accept"
    :multiple="multiple"
    :disabled="disabled"
    :auto-upload="false"
    :show-file-list="false"
    :on-change="give"
  >
    {{ label }}
  </ElUpload>
</template>
