<script setup lang="ts">
withDefaults(defineProps<{
  /** What is set. */
  label: string
  /** As it stands, with its unit. */
  value: string
  /** False where it cannot go lower. */
  canLess?: boolean
  /** False where it cannot go higher. */
  canMore?: boolean
}>(), { canLess: true, canMore: true })

const emit = defineEmits<{
  /** A step less, or more. */
  step: [by: -1 | 1]
}>()
</script>

<template>
  <div
    class="step"
    role="group"
    :aria-label="label"
  >
    <span class="label">{{ label }}</span>
    <ElButton
      :aria-label="`${label}: less`"
      :disabled="canLess === false"
      @click="emit('step', -1)"
    >
      −
    </ElButton>
    <output>{{ value }}</output>
    <ElButton
      :aria-label="`${label}: more`"
      :disabled="canMore === false"
      @click="emit('step', 1)"
    >
      +
    </ElButton>
  </div>
</template>

<style scoped>
.step { display: grid; grid-template-columns: 52px minmax(4.6em, 1fr) 52px; align-items: center; gap: 0 4px; }
.label { font-weight: 600; font-size: 0.9375rem; grid-column: 1 / -1; margin-bottom: 2px; }
output { text-align: center; font-weight: 650; font-size: 1.125rem; }
.el-button { padding: 0; font-size: 1.4rem; min-height: 50px; }
@media (max-width: 700px) { .step { grid-template-columns: 46px minmax(4em, 1fr) 46px; gap: 0 2px; } }
</style>
