<script setup lang="ts">
import { computed } from 'vue'
import { degreesText, gramsText, windowText } from '../../composables/format'
import { grainingText, SETS_WORDS } from '../../../words/syrup'
import type { FireState } from '../../composables/fireState'
import type { CookPlan } from '../../../core/record/plan/plan'

const props = defineProps<{
  /** What of the fire it is drawn from. */
  fire: Pick<FireState, 'syrup'>
  /** The plan of the cook. */
  plan: CookPlan
}>()

/** Closer than this to its strength, it is there, as a share of its sugar. */
const THERE = 0.015
const syrup = computed(() => props.fire.syrup.value)
const read = computed(() => {
  const now = syrup.value?.read
  if (!syrup.value || !now) return ''
  const share = `${Math.round(now.share * 100)} % sugar by ${now.by === 'weight' ? 'the scale' : 'the thermometer'}`
  if (Math.abs(now.share - syrup.value.share) < THERE) return `${share}: there. Off now.`
  return now.driveOffG > 0 ? `${share}: ${gramsText(now.driveOffG)} still to boil off.` : `${share}: too far. Work in ${gramsText(-now.driveOffG)} hot water.`
})
</script>

<template>
  <section
    v-if="syrup"
    class="slab"
    data-slab="syrup"
  >
    <h2>The syrup: {{ SETS_WORDS[syrup.sets] }}</h2>
    <dl>
      <dt>Thermometer</dt><dd>{{ degreesText(syrup.tempC) }}</dd>
      <template v-if="syrup.grossG !== null">
        <dt>On the scale</dt><dd>{{ gramsText(syrup.grossG) }}{{ plan.vessels[syrup.vessel]?.massGuessed ? ' *' : '' }}</dd>
      </template>
      <template v-if="syrup.window">
        <dt>By time</dt><dd>{{ windowText(syrup.window.early, syrup.window.late) }}</dd>
      </template>
    </dl>
    <p
      v-if="read"
      class="read"
      role="status"
    >
      {{ read }}
    </p>
    <p
      v-if="grainingText(syrup.graining)"
      class="grain"
    >
      {{ grainingText(syrup.graining) }}
    </p>
    <p class="soft small">
      Any one of the three. {{ plan.vessels[syrup.vessel]?.massGuessed ? '* vessel\'s own weight is a guess. ' : '' }}Read one under Everything else.
    </p>
  </section>
</template>

<style scoped>
dl { display: grid; grid-template-columns: auto 1fr; gap: 0 14px; margin: 4px 0; font-size: 1.35rem; line-height: 1.3; }
dd { margin: 0; font-weight: 600; }
.read { font-size: 1.2rem; font-weight: 600; }
</style>
