<script setup lang="ts">
import { computed } from 'vue'
import { degreesText, gramsText } from '../../composables/format'
import type { LessonAnswer } from '../../../contracts/lesson'
import { FIRE_KINDS } from '../../../core/materials/fire/fireKinds'
import { factorWindow } from '../../../core/maths/random/spreadWindow'
import SpanRow from './SpanRow.vue'

const props = defineProps<{
  /** The check with what it says. */
  told: LessonAnswer
}>()

const emit = defineEmits<{
  /** The thermometer is taken to be off by this much, K. */
  thermometer: [errorK: number]
  /** The house is taken to stand at this height, m. */
  altitude: [altitudeM: number]
}>()

const check = computed(() => (props.told.lesson.kind === 'boil-check' ? props.told.lesson.check : null))
const reading = computed(() => props.told.reading)
const before = computed(() => {
  const one = check.value
  return one && factorWindow(one.fire.watts, FIRE_KINDS[one.fire.kind].spread)
})
const off = computed(() => reading.value?.thermometer ?? null)
const round = (watts: number): number => Math.round(watts / 10) * 10
</script>

<template>
  <div
    v-if="reading && check && before"
    class="read"
  >
    <p class="big">
      {{ round(reading.powerW.middle) }} W <span class="soft">{{ round(reading.powerW.early) }} to {{ round(reading.powerW.late) }} W reach this pan</span>
    </p>
    <SpanRow
      name="Before"
      :window="before"
      :from="before.early * 0.8"
      :to="before.late * 1.2"
      unit="W"
      faint
    />
    <SpanRow
      name="Now"
      :window="reading.powerW"
      :from="before.early * 0.8"
      :to="before.late * 1.2"
      unit="W"
    />
    <p>
      At the boil {{ round(reading.lossW.middle) }} W ({{ round(reading.lossW.early) }} to {{ round(reading.lossW.late) }}) go into the room{{ check.boiledOn ? `: ${gramsText(check.boiledOn.lostG)} boiled off in ${Math.round(check.boiledOn.seconds / 60)} min` : ', by the first guess: boil on and weigh to know it' }}.
    </p>
    <template v-if="off">
      <p v-if="Math.abs(off.errorK) < 1">
        The thermometer is right to within a degree: water boils here at {{ degreesText(reading.boilingC) }}.
      </p>
      <template v-else>
        <p>
          The thermometer said {{ degreesText(check.atBoilC ?? 0) }}; at {{ Math.round(check.altitudeM) }} m water boils at {{ degreesText(reading.boilingC) }}. One of the two is off:
        </p>
        <p class="row">
          <ElButton @click="emit('thermometer', Math.round(off.errorK * 10) / 10)">
            It reads {{ Math.abs(off.errorK).toFixed(1) }} K too {{ off.errorK > 0 ? 'much' : 'little' }}
          </ElButton>
          <ElButton
            v-if="off.altitudeM > -400 && off.altitudeM < 6000"
            @click="emit('altitude', Math.round(off.altitudeM / 10) * 10)"
          >
            We live at about {{ Math.round(off.altitudeM / 10) * 10 }} m
          </ElButton>
        </p>
      </template>
    </template>
    <p class="soft">
      Every forecast on this fire now rests on it. Other marks of the fire move with it, less surely the further they are.
    </p>
  </div>
</template>

<style scoped>
.read { display: grid; gap: 12px; }
.big { font-size: 2.6rem; line-height: 1.1; }
.big span { font-size: 1.1rem; }
.row { display: flex; gap: 10px; flex-wrap: wrap; }
</style>
