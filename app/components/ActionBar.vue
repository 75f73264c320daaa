<script setup lang="ts">
import { ref, watch } from 'vue'
import { COLOUR_STEPS, type ColourStep } from '../../core/family/family'
import type { Action } from '../../core/live/actions'
import type { CookPlan } from '../../core/live/plan'
import { actionText, STEP_WORDS } from '../../words/cook'

const props = defineProps<{
  /** The plan whose stages the actions name. */
  plan: Pick<CookPlan, 'dish' | 'fires'>
  /** The big actions, the one that is waited for first. */
  actions: readonly Action[]
  /** Colours of the roast's steps on this screen, `#rrggbb`. */
  stepColours: Readonly<Record<ColourStep, string>>
}>()

const emit = defineEmits<{
  /** Something was marked. */
  mark: [kind: string, payload: Readonly<Record<string, unknown>>]
}>()

const choosing = ref(false)
watch(() => props.actions.some(action => action.opens === 'colours'), (can) => {
  if (!can) choosing.value = false
})

function press(action: Action): void {
  if (action.opens === 'colours') choosing.value = true
  else if (action.marks) emit('mark', action.marks.kind, action.marks.payload)
}

function choose(step: ColourStep): void {
  choosing.value = false
  emit('mark', 'looks.like', { step })
}

/** Presses the action at a place, as a key does. */
function pressAt(place: number): void {
  if (choosing.value) {
    const step = COLOUR_STEPS[place]
    if (step) choose(step)
    return
  }
  const action = props.actions[place]
  if (action) press(action)
}
defineExpose({ pressAt, close: () => {
  choosing.value = false
} })
</script>

<template>
  <div
    v-if="choosing"
    class="bar colours"
    role="group"
    aria-label="It looks like this"
  >
    <button
      v-for="(step, i) in COLOUR_STEPS"
      :key="step"
      class="stone-button big"
      @click="choose(step)"
    >
      <svg
        class="swatch"
        viewBox="0 0 10 10"
        preserveAspectRatio="none"
        aria-hidden="true"
      ><rect
        width="10"
        height="10"
        :fill="stepColours[step]"
      /></svg>
      <span>{{ STEP_WORDS[step] }}</span>
      <kbd>{{ i + 1 }}</kbd>
    </button>
    <button
      class="stone-button big"
      @click="choosing = false"
    >
      <span>not yet</span><kbd>Esc</kbd>
    </button>
  </div>
  <div
    v-else
    class="bar"
    role="group"
    aria-label="What you see, smell or have done"
  >
    <button
      v-for="(action, i) in actions"
      :key="action.code"
      class="stone-button big"
      :class="{ first: i === 0 }"
      :data-action="action.code"
      @click="press(action)"
    >
      <span>{{ actionText(action.code, plan) }}</span>
      <kbd>{{ i === 0 ? 'Space' : i + 1 }}</kbd>
    </button>
  </div>
</template>

<style scoped>
.bar { display: grid; grid-template-columns: 1.25fr 1fr 1fr; gap: 16px; }
.bar.colours { grid-template-columns: repeat(6, 1fr); gap: 10px; }
.big { min-height: 92px; justify-content: space-between; padding: 0.4rem 1.3rem; font-size: 1.6rem; font-weight: 650; text-align: left; line-height: 1.1; border-bottom-width: 8px; }
.colours .big { flex-direction: column; font-size: 1.15rem; padding: 0.5rem; gap: 0.2rem; justify-content: center; position: relative; }
.swatch { width: 100%; height: 34px; border: 1px solid var(--ink); }
kbd { font: 450 1rem var(--text); opacity: 0.85; }
.colours kbd { position: absolute; right: 10px; bottom: 4px; }
@media (max-width: 700px) {
  .bar { grid-template-columns: 1fr 1fr; gap: 10px; }
  .bar .big:first-child:not(:only-child) { grid-column: 1 / -1; }
  .bar .big:only-child { grid-column: 1 / -1; }
  .bar .big:nth-child(2):last-child { grid-column: 1 / -1; }
  .bar.colours { grid-template-columns: repeat(3, 1fr); }
  .bar.colours .big:first-child { grid-column: auto; }
  .big { min-height: 76px; justify-content: center; text-align: center; font-size: 1.35rem; }
  kbd { display: none; }
}
</style>
