<script setup lang="ts">
import { wordFor } from '../../../words/wordFor'
import { computed } from 'vue'
import { timeOfDay } from '../../composables/format'
import type { CookPlan } from '../../../core/record/plan/plan'
import type { LiveCook } from '../../../core/record/marks/liveCook'
import { CAUTIONS } from '../../../words/cook'
import { expectText, stageCueText, stageName, watchText } from '../../../words/stages'
import type { Marks } from './panel'

const props = defineProps<{
  /** The plan of the cook. */
  plan: CookPlan
  /** The cook as it stands. */
  cook: LiveCook
  /** Steps before the fire, or after it. */
  phase: 'before' | 'after'
}>()

const emit = defineEmits<Marks>()

/** Waits longer than this are said as a time of day, min. */
const LONG_MIN = 45
const steps = computed(() => props.plan.dish.stages.filter(stage => stage.phase === props.phase))
const endMs = computed(() => (props.cook.startedMs === null || props.cook.finishedS === null ? null : props.cook.startedMs + props.cook.finishedS * 1000))
function when(minutes: number, done: boolean): string {
  if (minutes < LONG_MIN) return minutes > 1 ? `${minutes} min` : ''
  const hours = `about ${Math.round(minutes / 6) / 10} h`
  return props.phase === 'after' && endMs.value !== null && !done ? `${hours}: until about ${timeOfDay(endMs.value + minutes * 60_000)}` : hours
}
const rows = computed(() => steps.value.map((stage) => {
  const done = props.cook.steps[stage.id] !== undefined
  const words = [...(stage.watch ?? []).map(code => watchText(code)), ...(stage.expect ?? []).map(code => expectText(code))].filter(Boolean)
  const cautions = (stage.cautions ?? []).flatMap(code => wordFor(CAUTIONS, code) ?? [])
  return { id: stage.id, name: stageName(stage), cue: stageCueText(stage), when: 'minutes' in stage.until ? when(stage.until.minutes, done) : '', words: words.join(' '), cautions: done ? [] : cautions, done }
}))
</script>

<template>
  <section
    v-if="rows.length > 0"
    class="slab"
    :aria-label="phase === 'before' ? 'Before the fire' : 'After the fire'"
  >
    <h2>{{ phase === 'before' ? 'Got ready?' : 'Then' }}</h2>
    <ol>
      <li
        v-for="row in rows"
        :key="row.id"
        :class="{ done: row.done }"
      >
        <ElButton
          class="tick"
          :aria-pressed="row.done"
          :aria-label="`${row.cue}: done`"
          @click="row.done || emit('mark', { kind: 'step.done', payload: { stage: row.id } })"
        >
          {{ row.done ? '✓' : '' }}
        </ElButton>
        <span>
          <strong>{{ row.cue }}</strong> <span class="soft">{{ row.when }}</span>
          <span
            v-for="caution in row.cautions"
            :key="caution.title"
            class="danger block"
          >{{ caution.title }}: {{ caution.text }}</span>
          <span
            v-if="row.words && !row.done"
            class="soft block"
          >{{ row.words }}</span>
        </span>
      </li>
    </ol>
  </section>
</template>

<style scoped>
ol { list-style: none; margin: 0; padding: 0; display: grid; gap: 8px; }
li { display: grid; grid-template-columns: 56px 1fr; gap: 12px; align-items: start; font-size: 1.15rem; }
.tick { min-height: 56px; width: 56px; padding: 0; font-size: 1.5rem; }
.block { display: block; font-size: 1rem; }
.done { opacity: 0.75; }
</style>
