<script setup lang="ts">
import { computed, ref } from 'vue'
import type { EndFault } from '../../../core/cook/faults/faults'
import type { ChangeResult } from '../../../core/cook/faults/changeWorked'
import type { DishEdit } from '../../../core/cook/faults/dishEdit'
import type { RankedCause } from '../../../core/cook/faults/findCauses'
import { changeText, clueText, editText, CAUSE_WORDS } from '../../../words/causes'
import { faultName } from '../../../words/faults'
import SegmentedChoice from '../SegmentedChoice.vue'

export interface CauseRow { readonly ranked: RankedCause, readonly edit: DishEdit | null }

const props = defineProps<{
  /** Faults that were named, with their causes, the likeliest first. */
  faults: readonly { readonly fault: EndFault, readonly causes: readonly CauseRow[] }[]
  /** Good batches of the dish that were looked at. */
  good: number
  /** What became of earlier changes of this dish. */
  changes: readonly ChangeResult[]
  /** True while the changed copy is being kept. */
  busy: boolean
  /** What came of the last touch. */
  says: string
}>()

const emit = defineEmits<{
  /** The dish is to be changed. */
  change: [fault: EndFault, cause: RankedCause['cause'], edit: DishEdit]
}>()

const at = ref(0)
const shown = computed(() => props.faults[Math.min(at.value, props.faults.length - 1)] ?? null)
/** In a narrower bar there is no room for its figure: it stands beside it. */
const NARROW = 0.2
const percent = (share: number): string => `${Math.round(share * 100)} %`
</script>

<template>
  <section
    class="finder slab"
    aria-labelledby="why"
  >
    <header>
      <h2 id="why">
        Why, and what to change
      </h2>
      <SegmentedChoice
        v-if="faults.length > 1"
        label="Fault"
        :chosen="at"
        :options="faults.map((one, value) => ({ value, label: faultName(one.fault) }))"
        @choose="value => at = value"
      />
    </header>
    <p class="soft">
      {{ shown ? faultName(shown.fault) : '' }}: likely causes, by this batch's own record{{ good > 0 ? ` and ${good} ${good === 1 ? 'batch' : 'batches'} of this dish that came right` : '' }}.
    </p>
    <ol v-if="shown">
      <li
        v-for="({ ranked, edit }, i) in shown.causes.slice(0, 3)"
        :key="ranked.cause"
        :class="{ likeliest: i === 0 }"
      >
        <div class="head">
          <h3>{{ CAUSE_WORDS[ranked.cause].name }}</h3>
          <span
            class="share"
            :aria-label="`${percent(ranked.share)} likely`"
          ><span
            class="bar"
            :style="{ width: `${ranked.share * 100}%` }"
          /><span
            class="figure"
            :style="{ left: ranked.share < NARROW ? `calc(${ranked.share * 100}% + 8px)` : '8px' }"
          >{{ percent(ranked.share) }}</span></span>
        </div>
        <ul class="clues">
          <li
            v-for="clue in ranked.for"
            :key="`for-${clue.of}`"
          >
            <strong>for</strong> {{ clueText(clue) }}
          </li>
          <li
            v-for="clue in ranked.against"
            :key="`against-${clue.of}`"
          >
            <strong>against</strong> {{ clueText(clue, true) }}
          </li>
          <li v-if="ranked.for.length + ranked.against.length === 0">
            nothing that was marked speaks for or against it
          </li>
        </ul>
        <p class="next">
          {{ CAUSE_WORDS[ranked.cause].next }}
        </p>
        <ElButton
          v-if="edit"
          :type="i === 0 ? 'primary' : undefined"
          :disabled="busy"
          @click="emit('change', shown.fault, ranked.cause, edit)"
        >
          Change the dish: {{ editText(edit) }}
        </ElButton>
      </li>
    </ol>
    <p
      class="says"
      role="status"
    >
      {{ says }}
    </p>
    <ul
      v-if="changes.length > 0"
      class="changes"
    >
      <li
        v-for="one in changes.slice(0, 3)"
        :key="`${one.change.dish}-${one.change.version}`"
      >
        {{ changeText(one) }}
      </li>
    </ul>
  </section>
</template>

<style scoped>
.finder { display: grid; gap: 10px; }
header { display: flex; flex-wrap: wrap; gap: 10px 20px; justify-content: space-between; align-items: center; }
.which { display: flex; gap: 8px; flex-wrap: wrap; }
ol { list-style: none; margin: 0; padding: 0; display: grid; grid-template-columns: repeat(auto-fit, minmax(300px, 1fr)); gap: 20px 34px; align-items: start; }
ol > li { display: grid; gap: 6px; align-content: start; border-top: 2px solid var(--line); padding-top: 8px; }
ol > li.likeliest { border-color: var(--ink); }
h3 { font-size: 1.2rem; }
h3::first-letter { text-transform: uppercase; }
.share { position: relative; display: block; height: 24px; background: var(--wall-sunk); margin-top: 4px; }
.bar { position: absolute; inset: 0 auto 0 0; background: var(--accent-pale); border-right: 3px solid var(--accent); }
.figure { position: absolute; top: 1px; font-weight: 650; font-size: 0.9375rem; }
.clues { list-style: none; margin: 0; padding: 0; display: grid; gap: 2px; }
.clues li:has(strong) { display: grid; grid-template-columns: 4.6em minmax(0, 1fr); align-items: baseline; }
.clues strong { font-size: 0.875rem; }
.next { font: 500 1.1rem/1.3 var(--voice); }
.says:empty { display: none; }
.says { font-weight: 600; }
.changes { margin: 0; padding-left: 1.2em; color: var(--ink-soft); }
</style>
