<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import type { FinishedMass } from '../../../core/cook/after/finishedMass'
import type { RollingSpan } from '../../../core/process/cooling/rollingSpan'
import type { Shaping } from '../../../core/record/marks/afterFire'
import { ballsOf } from '../../../core/formulation/tray/ballsOf'
import { gramsText, lengthText, timeOfDay } from '../../composables/format'
import ShapePane from './ShapePane.vue'
import StepField from './StepField.vue'

const props = defineProps<{
  /** What was made. */
  mass: FinishedMass
  /** Colour of the food, `#rrggbb`. */
  colour: string
  /** How it was rolled already, if it was. */
  shaped: Shaping | null
  /** When it can be rolled, s from `since`; null where it is long past. */
  rolling: RollingSpan | null
  /** From when the rolling span counts, ms since 1970. */
  since: number
  /** The hearth's time. */
  now: number
}>()

const emit = defineEmits<{
  /** It is rolled like this. */
  shape: [shaping: Extract<Shaping, { way: 'balls' }>]
}>()

/** Drawn, balls stand so many to a row; a hand rolls one in about so many s. */
const A_ROW = 10
const MOST_DRAWN = 60
const ONE_S = 20
const eachG = ref(props.shaped?.way === 'balls' ? props.shaped.eachG : 30)
const balls = computed(() => ballsOf(props.mass.massG, props.mass.density, { eachG: eachG.value }))
const drawn = computed(() => Array.from({ length: Math.min(MOST_DRAWN, balls.value.count) }, (_, i) => ({ x: i % A_ROW, y: Math.floor(i / A_ROW) })))
const rows = computed(() => Math.ceil(drawn.value.length / A_ROW))
function step(by: number): void {
  eachG.value = Math.min(200, Math.max(5, eachG.value + by * (eachG.value < 20 ? 1 : 2)))
}
function diameter(by: number): void {
  const wished = ballsOf(props.mass.massG, props.mass.density, { diameterMm: Math.min(100, Math.max(14, balls.value.diameterMm + by * 2)) })
  eachG.value = Math.round(wished.eachG * 10) / 10
}
function count(by: number): void {
  eachG.value = Math.round(ballsOf(props.mass.massG, props.mass.density, { count: Math.max(1, balls.value.count + by) }).eachG * 10) / 10 - 0.05
}
const at = (seconds: number): string => timeOfDay(props.since + seconds * 1000)
const minutes = computed(() => Math.max(1, Math.round(balls.value.count * ONE_S / 60)))
const says = computed(() => {
  const span = props.rolling
  if (!span) return ''
  const nowS = (props.now - props.since) / 1000
  if (span.until && nowS > span.until.late) return 'It has stood for long: a spoon of warm ghee, worked in, lets it be rolled again.'
  if (nowS < span.from.early) return `Hand-warm at about ${at(span.from.middle)}. Feel it first at ${at(span.from.early)}.`
  return 'Roll it while it is hand-warm: now.'
})
const late = computed(() => (props.rolling ? (props.rolling.until ? `Too stiff from about ${at(props.rolling.until.middle)} (${at(props.rolling.until.early)} to ${at(props.rolling.until.late)}).` : 'In this room it does not grow too stiff.') : ''))
const send = useDebounceFn(() => emit('shape', { way: 'balls', eachG: Math.min(500, Math.max(3, eachG.value)) }), 900)
watch(eachG, send)
</script>

<template>
  <ShapePane>
    <template #drawn>
      <svg
        :viewBox="`0 0 ${A_ROW * balls.diameterMm * 1.15} ${rows * balls.diameterMm * 1.15}`"
        role="img"
        :aria-label="`${balls.count} balls, ${lengthText(balls.diameterMm)} across`"
      >
        <circle
          v-for="(ball, i) in drawn"
          :key="i"
          :cx="(ball.x + 0.5) * balls.diameterMm * 1.15"
          :cy="(ball.y + 0.5) * balls.diameterMm * 1.15"
          :r="balls.diameterMm / 2"
          :fill="colour"
        />
      </svg>
    </template>
    <p class="count">
      <strong>{{ balls.count }}</strong> balls of <strong>{{ gramsText(balls.eachG) }}</strong>
    </p>
    <p>{{ balls.leftG >= 1 ? `${gramsText(balls.leftG)} left over; shared out, each is ${gramsText(balls.evenG)}.` : 'Nothing is left over.' }}</p>
    <div class="steps">
      <StepField
        label="Weight of one"
        :value="gramsText(balls.eachG)"
        @step="step"
      />
      <StepField
        label="Across"
        :value="lengthText(balls.diameterMm)"
        @step="diameter"
      />
      <StepField
        label="How many"
        :value="String(balls.count)"
        :can-less="balls.count > 1"
        @step="count"
      />
    </div>
    <section
      v-if="rolling"
      class="slab"
      aria-label="When to roll"
    >
      <h3 role="status">
        {{ says }}
      </h3>
      <p>{{ late }}</p>
      <p class="soft">
        {{ balls.count }} take one pair of hands about {{ minutes }} min.
      </p>
    </section>
    <slot />
  </ShapePane>
</template>

<style scoped>
svg { width: 100%; max-height: 430px; }
circle { stroke: var(--wall); stroke-width: 1; }
.slab { margin-top: 8px; display: grid; gap: 6px; }
@media (max-width: 900px) { svg { max-height: 240px; } }
</style>
