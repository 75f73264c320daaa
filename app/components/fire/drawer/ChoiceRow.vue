<script setup lang="ts" generic="T extends string | number">
/** One thing that can be pressed. */
export interface RowChoice<Key> {
  readonly key: Key
  readonly text: string
  /** Pressed or not, where that can be told. */
  readonly pressed?: boolean
  /** What a screen reader says, where the text alone does not say it. */
  readonly label?: string
}

defineProps<{
  /** What the choices are about. */
  legend: string
  /** The choices, in order. */
  choices: readonly RowChoice<T>[]
}>()

const emit = defineEmits<{
  /** One was pressed. */
  choose: [key: T]
}>()
</script>

<template>
  <fieldset>
    <legend>{{ legend }}</legend>
    <div class="choices">
      <ElButton
        v-for="one in choices"
        :key="one.key"
        :aria-pressed="one.pressed"
        :aria-label="one.label"
        @click="emit('choose', one.key)"
      >
        {{ one.text }}
      </ElButton>
    </div>
  </fieldset>
</template>

<style scoped>
fieldset { border: 0; padding: 0; margin: 0; min-width: 0; }
legend { font-weight: 600; padding: 0 0 0.3rem; display: block; }
.choices { display: flex; flex-wrap: wrap; gap: 8px; }
.choices .el-button { min-height: 56px; min-width: 56px; padding-inline: 0.8rem; }
</style>
