<script setup lang="ts">
import { computed } from 'vue'
import type { JudgeReport } from '../../../contracts/judge'
import { STATE_WORDS, WORLD_WORDS } from '../../../words/learned'

const props = defineProps<{
  /** The judge's report, as `judge --json` prints it. */
  report: JudgeReport
}>()

const STATES = ['none', 'boil', 'boilAroma', 'boilTwoTaps'] as const
const percent = (share: number): string => `${Math.round(100 * share)} %`
const off = (log: number): string => `${Math.round(100 * (Math.exp(log) - 1))} %`
const states = computed(() => STATES.map(state => ({ state, says: STATE_WORDS[state] ?? state, width: props.report.width[state], held: props.report.coverage.byState[state] })))
const weakest = computed(() => Object.entries(props.report.coverage.byFamily).sort((p, q) => p[1] - q[1]).slice(0, 2))
</script>

<template>
  <div class="judged">
    <p>
      {{ report.cooks.toLocaleString('en-GB').replaceAll(',', '\u202F') }} imaginary cooks of all families: a window should hold what happens in eight of ten. It held it in <strong>{{ percent(report.coverage.own) }}</strong>. How wide the window is, over its middle:
    </p>
    <div
      v-for="one in states"
      :key="one.state"
      class="line"
    >
      <span>{{ one.says }}</span>
      <span class="rail"><span
        class="bar"
        :style="{ width: `${Math.min(100, 100 * one.width)}%` }"
      /></span>
      <span class="soft small">{{ percent(one.width) }} wide, held {{ percent(one.held) }}</span>
    </div>
    <p>
      Where the kitchen follows other laws than ours, it held {{ report.coverage.worlds.map(one => `${percent(one.held)} (${WORLD_WORDS[one.name] ?? one.name})`).join(', ') }}: trust it less there.
      Finished weight: {{ percent(report.weight.first) }} wide, {{ percent(report.weight.afterOne) }} once a batch of the dish was weighed.
    </p>
    <p>
      Middle error of a roast after a boil check {{ off(report.rivals.roast.ours) }}, of the same minutes always {{ off(report.rivals.roast.same) }}, of minutes by mass and flame {{ off(report.rivals.roast.scaled) }}; cooking down {{ off(report.rivals.wet.ours) }}, {{ off(report.rivals.wet.same) }} and {{ off(report.rivals.wet.scaled) }}.
      Flame plans came right in {{ percent(report.flamePlan.reached) }} of {{ report.flamePlan.roasts }} roasts, one fixed mark in {{ percent(report.flamePlan.fixedMark) }}.
    </p>
    <p class="soft">
      Weakest: {{ weakest.map(([family, share]) => `${family.replaceAll('-', ' ')} (${percent(share)})`).join(', ') }}. No cook of a real kitchen has been measured yet: colours and temperatures are plausible, not validated. It does not know how evenly the pan heats, how well it is stirred, draughts, or this bag of flour.
    </p>
  </div>
</template>

<style scoped>
.judged { display: grid; gap: 10px; max-width: 760px; }
.line { display: grid; grid-template-columns: minmax(140px, 0.7fr) minmax(0, 2fr) minmax(150px, auto); gap: 10px; align-items: center; }
.rail { height: 18px; background: var(--wall-sunk); }
.bar { display: block; height: 100%; background: var(--accent); }
@media (max-width: 700px) { .line { grid-template-columns: 1fr 1fr; } .rail { grid-column: 1 / -1; grid-row: 2; } }
</style>
