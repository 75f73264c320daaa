<script setup lang="ts">
const text = defineModel<string>({ required: true })

defineProps<{
  /** Id of the field. */
  id: string
  /** What is typed, with its unit. */
  label: string
  /** What the button says. */
  button: string
  /** True where a number is typed. */
  number?: boolean
  /** A line beneath. */
  hint?: string
}>()

const emit = defineEmits<{
  /** It is to be marked. */
  send: []
}>()
</script>

<template>
  <form @submit.prevent="emit('send')">
    <label :for="id">{{ label }}</label>
    <span class="row"><ElInput
      :id="id"
      v-model="text"
      :inputmode="number ? 'decimal' : undefined"
      maxlength="400"
      autocomplete="off"
      size="large"
    /><ElButton
      native-type="submit"
      size="large"
    >{{ button }}</ElButton></span>
    <span
      v-if="hint"
      class="soft small"
    >{{ hint }}</span>
  </form>
</template>

<style scoped>
form { display: grid; }
label { font-weight: 600; padding: 0 0 0.3rem; display: block; }
.row { display: flex; gap: 8px; }
.row .el-input { flex: 1; min-width: 0; }
</style>
