<script setup lang="ts">
import { ref } from 'vue'
import { faultName } from '../../words/faults'

const props = defineProps<{
  /** Faults that this dish can have. */
  offered: readonly string[]
  /** What was said before, if anything. */
  faults: readonly string[]
  /** The line that was written before. */
  line: string
}>()

const emit = defineEmits<{
  /** How it turned out. */
  outcome: [faults: readonly string[], line: string]
}>()

const chosen = ref<string[]>([...props.faults])
const text = ref(props.line)

function send(): void {
  emit('outcome', chosen.value, text.value.trim().slice(0, 400))
}
</script>

<template>
  <section
    class="finish"
    aria-label="How it turned out"
  >
    <h2>How did it turn out?</h2>
    <p class="soft">
      Nothing chosen means it came right.
    </p>
    <ElCheckboxGroup
      v-model="chosen"
      class="faults"
      aria-label="What went wrong"
      @change="send"
    >
      <ElCheckboxButton
        v-for="fault in offered"
        :key="fault"
        :value="fault"
      >
        {{ faultName(fault) }}
      </ElCheckboxButton>
    </ElCheckboxGroup>
    <label for="line">One line for next time</label>
    <ElInput
      id="line"
      v-model="text"
      maxlength="400"
      autocomplete="off"
      size="large"
      @change="send"
    />
  </section>
</template>

<style scoped>
.finish { display: grid; gap: 0.7rem; }
.faults { display: flex; flex-wrap: wrap; gap: 8px; }
label { font-weight: 600; }
</style>
