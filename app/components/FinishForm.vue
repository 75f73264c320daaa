<script setup lang="ts">
import { ref } from 'vue'
import { FAULT_WORDS } from '../../words/cook'

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

const chosen = ref<readonly string[]>(props.faults)
const text = ref(props.line)

function toggle(fault: string): void {
  chosen.value = chosen.value.includes(fault) ? chosen.value.filter(one => one !== fault) : [...chosen.value, fault]
  send()
}

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
    <div class="faults">
      <button
        v-for="fault in offered"
        :key="fault"
        class="stone-button"
        :aria-pressed="chosen.includes(fault)"
        @click="toggle(fault)"
      >
        {{ FAULT_WORDS[fault] }}
      </button>
    </div>
    <label for="line">One line for next time</label>
    <input
      id="line"
      v-model="text"
      maxlength="400"
      autocomplete="off"
      @change="send"
    >
  </section>
</template>

<style scoped>
.finish { display: grid; gap: 0.7rem; }
.faults { display: flex; flex-wrap: wrap; gap: 8px; }
.faults .stone-button { min-height: 56px; }
label { font-weight: 600; }
input { min-height: 56px; border-bottom-width: 5px; padding: 0 0.8rem; }
</style>
