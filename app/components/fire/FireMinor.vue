<script setup lang="ts">
import { clockText } from '../../composables/format'

defineProps<{
  /** The newest mark that can be taken back, in words, and when it was, s since the start; null where there is none. */
  last: { text: string, timeS: number } | null
  /** What is opened beside the fire. */
  beside: 'moment' | 'drawer' | 'repair'
}>()

const emit = defineEmits<{
  /** The newest mark was a mistake. */
  takeBack: []
  /** The newest mark was half a minute earlier. */
  earlier: []
  /** Opens or closes what stands beside the fire. */
  toggle: [what: 'drawer' | 'repair']
}>()
</script>

<template>
  <div class="minor">
    <ElButton
      text
      :disabled="!last"
      @click="emit('takeBack')"
    >
      {{ last ? `Take back: ${last.text}, ${clockText(last.timeS)}` : 'Take back' }}
    </ElButton>
    <ElButton
      text
      :disabled="!last"
      @click="emit('earlier')"
    >
      It was 30 s earlier
    </ElButton>
    <ElButton
      text
      :aria-expanded="beside === 'repair'"
      @click="emit('toggle', 'repair')"
    >
      Something is wrong
    </ElButton>
    <ElButton
      text
      :aria-expanded="beside === 'drawer'"
      @click="emit('toggle', 'drawer')"
    >
      Everything else
    </ElButton>
  </div>
</template>

<style scoped>
.minor { display: flex; gap: 4px; }
.el-button { min-height: 56px; line-height: 1.15; }
@media (min-width: 701px) and (min-height: 521px) {
  .el-button:not(:first-child) { flex: none; }
}
@media (max-width: 700px) {
  .minor { font-size: 0.875rem; display: grid; grid-template-columns: 1fr 1fr; gap: 2px 6px; }
  .el-button { padding-inline: 0.3rem; }
}
@media (max-height: 520px) and (orientation: landscape) {
  .minor { order: 2; font-size: 0.875rem; }
  .el-button { padding-inline: 0.2rem; line-height: 1.1; }
}
</style>
