<script setup lang="ts">
import { computed } from 'vue'
import { degreesText, gramsText } from '../../composables/format'
import type { Window } from '../../../core/maths/random/window'
import { labToHex } from '../../../core/materials/colour/labToHex'
import { depthMm } from '../../../core/materials/vessel/depthMm'
import { stiffnessText } from '../../../words/stages'
import type { FireState } from '../../composables/fireState'
import type { CookPlan } from '../../../core/record/plan/plan'

const props = defineProps<{
  /** What of the fire it is drawn from. */
  fire: Pick<FireState, 'forecast' | 'main' | 'point' | 'stage'>
  /** The plan of the cook. */
  plan: CookPlan
}>()

/** Less fat or water than this, loose in the mass, is not seen, g. */
const SEEN_G = 5
const point = computed(() => props.fire.point.value)
const pan = computed(() => props.plan.vessels[props.fire.main.value] ?? null)
const now = computed(() => props.fire.forecast.value?.panNow ?? null)
/** The rest of what the pan holds now, in windows; missing until the worker has run many. */
const band = computed(() => props.fire.forecast.value?.bands?.find(one => one.timeS === props.fire.forecast.value?.nowS) ?? null)
const shades = computed(() => {
  const colours = band.value ? [band.value.colour.light, band.value.colour.middle, band.value.colour.dark] : point.value ? [point.value.colour] : []
  return [...new Set(colours.map(labToHex))]
})
const between = (window: Window, says: (value: number) => string): string => {
  const [from, to] = [says(window.early), says(window.late)]
  return from === to ? from : `${from} to ${to}`
}
const alone = (value: number): Window => ({ early: value, middle: value, late: value })
const rows = computed(() => {
  const here = point.value
  if (!here || !pan.value) return []
  const { massG: tare, innerDiameterMm } = pan.value.vessel
  const content = now.value?.contentG ?? alone(here.contentG)
  const fat = band.value?.fatOutG ?? alone(here.fatOutG ?? 0)
  const smell = band.value?.aroma ?? alone(here.aroma ?? 1)
  const free = band.value?.freeG ?? alone(here.waterG - here.heldG)
  return [
    { name: pan.value.massGuessed ? 'Pan on the scale, its own weight a guess' : 'Pan on the scale', says: between(content, value => gramsText(tare + value)) },
    { name: 'Inside', says: between(now.value?.tempC ?? alone(here.tempC), degreesText) },
    { name: 'Depth in the pan', says: between(band.value?.volumeMl ?? alone(here.volumeMl), value => `${Math.round(depthMm(value, innerDiameterMm))} mm`) },
    ...(here.stiffness === undefined ? [] : [{ name: 'The mass', says: between(band.value?.stiffness ?? alone(here.stiffness), stiffnessText) }]),
    ...(free.late < SEEN_G ? [] : [{ name: 'Water that runs', says: between(free, gramsText) }]),
    ...(fat.late < SEEN_G ? [] : [{ name: 'Fat running out', says: between(fat, gramsText) }]),
    ...(props.fire.stage.value?.does === 'roast' && smell.early < 1 ? [{ name: 'Smell, of the way', says: between(smell, value => `${Math.min(100, Math.round(100 * value))} %`) }] : []),
  ]
})
</script>

<template>
  <section
    v-if="rows.length > 0"
    class="slab now"
  >
    <h2>By the forecast, now</h2>
    <p class="colour">
      <span
        class="chips"
        role="img"
        aria-label="Colours it may have, light to dark"
      ><span
        v-for="shade in shades"
        :key="shade"
        class="chip"
        :style="{ background: shade }"
      /></span> <span class="soft">colour, light to dark, as far as a screen can say</span>
    </p>
    <dl>
      <template
        v-for="row in rows"
        :key="row.name"
      >
        <dt class="soft">
          {{ row.name }}
        </dt>
        <dd>{{ row.says }}</dd>
      </template>
    </dl>
  </section>
</template>

<style scoped>
.now { display: grid; gap: 6px; }
.colour { display: flex; gap: 10px; align-items: center; }
.chips { display: flex; border: 2px solid var(--ink); flex: none; }
.chip { width: 26px; height: 28px; }
dl { display: grid; grid-template-columns: minmax(0, 1fr) auto; gap: 2px 14px; margin: 0; }
dd { margin: 0; font-weight: 600; text-align: right; }
</style>
