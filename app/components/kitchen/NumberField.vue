<script setup lang="ts">
defineProps<{
  /** What is measured. */
  label: string
  /** Unit behind the number. */
  unit: string
  /** Its name in a form that is held against its contract; left out elsewhere. */
  prop?: string
}>()

const emit = defineEmits<{
  /** Typing is done. */
  done: []
}>()

const typed = defineModel<string>({ required: true })
</script>

<template>
  <ElFormItem
    v-if="prop"
    :prop="prop"
    :label="label"
  >
    <ElInput
      v-model="typed"
      inputmode="decimal"
      @change="emit('done')"
    >
      <template #append>
        {{ unit }}
      </template>
    </ElInput>
  </ElFormItem>
  <label v-else>{{ label }}<ElInput
    v-model="typed"
    inputmode="decimal"
    @change="emit('done')"
  ><template #append>{{ unit }}</template></ElInput></label>
</template>
