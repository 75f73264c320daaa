<script setup lang="ts">
import { computed, onScopeDispose, ref, watch } from 'vue'
import { hearthRate } from '../clients/hearthClock'
import type { RoastColour } from '../composables/roastColours'
import type { ColourStep } from '../../core/formulation/signs/signIds'
import type { Action } from '../../core/cook/guidance/actions'
import type { CookPlan } from '../../core/record/plan/plan'
import { actionText, STEP_WORDS } from '../../words/cook'
import type { AnyMark } from '../../core/record/marks/kinds'

const props = defineProps<{
  /** The plan whose stages the actions name. */
  plan: Pick<CookPlan, 'dish' | 'fires'>
  /** The big actions, the one that is waited for first. */
  actions: readonly Action[]
  /** The food's own colours, step by step. */
  colours: readonly RoastColour[]
  /** The step that the forecast thinks it stands in, or null. */
  thought: ColourStep | null
  /** Where there is little room: only what is waited for, as something else is open. */
  firstOnly?: boolean
}>()

const emit = defineEmits<{
  /** Something was marked. */
  mark: [mark: AnyMark]
}>()

/** An action that has just come into a place cannot be pressed for this long, real ms: the hand may have been on its way to the one before. */
const GUARD_MS = 400

const choosing = ref(false)
watch(() => props.actions.some(action => action.opens === 'colours'), (can) => {
  if (!can) choosing.value = false
})

const resting = ref<ReadonlySet<number>>(new Set())
let ends: ReturnType<typeof setTimeout> | null = null
watch(() => props.actions.map(action => action.code), (codes, before) => {
  const changed = codes.flatMap((code, i) => (before[i] !== undefined && before[i] !== code ? [i] : []))
  if (changed.length === 0) return
  resting.value = new Set([...resting.value, ...changed])
  if (ends) clearTimeout(ends)
  ends = setTimeout(() => {
    resting.value = new Set()
  }, GUARD_MS / Math.max(1, hearthRate()))
})
onScopeDispose(() => {
  if (ends) clearTimeout(ends)
})
const shown = computed(() => props.actions.map((action, i) => ({ ...action, place: i, rests: resting.value.has(i) })))

function press(action: Action): void {
  if (action.opens === 'colours') choosing.value = true
  else if (action.marks) emit('mark', action.marks)
}

function choose(step: ColourStep): void {
  choosing.value = false
  emit('mark', { kind: 'looks.like', payload: { step } })
}

/** Presses the action at a place, as a key does. */
function pressAt(place: number): void {
  if (choosing.value) {
    const colour = props.colours[place]
    if (colour) choose(colour.step)
    return
  }
  const action = shown.value[place]
  if (action && !action.rests) press(action)
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
    <ElButton
      v-for="(colour, i) in colours"
      :key="colour.step"
      class="big"
      @click="choose(colour.step)"
    >
      <span
        class="swatch"
        :style="{ backgroundImage: `linear-gradient(to right, ${colour.from}, ${colour.to})` }"
        aria-hidden="true"
      />
      <span>{{ STEP_WORDS[colour.step] }}</span>
      <span
        v-if="colour.step === thought"
        class="thought small"
      >forecast: now</span>
      <kbd>{{ i + 1 }}</kbd>
    </ElButton>
    <ElButton
      class="big"
      @click="choosing = false"
    >
      <span>not yet</span><kbd>Esc</kbd>
    </ElButton>
  </div>
  <div
    v-else
    class="bar"
    :class="{ 'four': shown.length > 3, 'first-only': firstOnly }"
    role="group"
    aria-label="What you see, smell or have done"
  >
    <ElButton
      v-for="action in shown"
      :key="action.place"
      class="big"
      :class="{ rests: action.rests }"
      :type="action.place === 0 ? 'primary' : undefined"
      :data-action="action.code"
      :disabled="action.rests"
      @click="press(action)"
    >
      <span>{{ actionText(action.code, plan) }}</span>
      <kbd>{{ action.place === 0 ? 'Space' : action.place + 1 }}</kbd>
    </ElButton>
  </div>
</template>

<style scoped>
.bar { display: grid; grid-template-columns: 1.25fr 1fr 1fr; gap: 16px; }
.bar.four { grid-template-columns: 1.2fr 1fr 1fr 1fr; gap: 12px; }
.bar.four .big { font-size: 1.4rem; padding-inline: 0.9rem; }
.bar.colours { grid-template-columns: repeat(6, 1fr); gap: 10px; }
.big { min-height: 92px; justify-content: space-between; padding: 0.4rem 1.3rem; font-size: 1.6rem; font-weight: 650; text-align: left; line-height: 1.1; border-bottom-width: 8px; }
.big.rests { opacity: 1; cursor: default; }
.colours .big { flex-direction: column; font-size: 1.05rem; padding: 0.5rem; gap: 0.2rem; justify-content: center; position: relative; }
.swatch { width: 100%; height: 34px; border: 1px solid var(--ink); forced-color-adjust: none; }
.thought { font-weight: 450; }
kbd { font: 450 1rem var(--text); opacity: 0.85; }
.colours kbd { position: absolute; right: 5px; bottom: 1px; font-size: 0.875rem; }
@media (max-width: 700px) {
  .bar { grid-template-columns: 1fr 1fr; gap: 10px; }
  .bar .big:first-child:not(:only-child) { grid-column: 1 / -1; }
  .bar.four { grid-template-columns: 1fr 1fr; gap: 10px; }
  .bar.four .big:first-child:not(:only-child) { grid-column: auto; }
  .bar .big:only-child { grid-column: 1 / -1; }
  .bar .big:nth-child(2):last-child { grid-column: 1 / -1; }
  .first-only .big:not(:first-child) { display: none; }
  .bar.colours { grid-template-columns: repeat(3, 1fr); }
  .bar.colours .big:first-child { grid-column: auto; }
  .big { min-height: 76px; justify-content: center; text-align: center; font-size: 1.35rem; }
  kbd { display: none; }
}
@media (max-height: 520px) and (orientation: landscape) {
  .bar, .bar.four { grid-template-columns: 1fr; gap: 8px; }
  .bar.four .big { min-height: 56px; }
  .first-only .big:not(:first-child) { display: none; }
  .bar.colours { grid-template-columns: repeat(3, 1fr); }
  .big { min-height: 68px; justify-content: center; font-size: 1.35rem; }
  .colours .big { min-height: 92px; }
  .swatch { height: 24px; }
  kbd { display: none; }
}
</style>
