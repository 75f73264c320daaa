<script setup lang="ts">
import { computed } from 'vue'
import { degreesText, gramsText } from '../../composables/format'
import { labToHex } from '../../../core/colour/labToHex'
import { depthMm } from '../../../core/vessel/depthMm'
import { stiffnessText } from '../../../words/stages'
import type { FirePanel } from './panel'

const props = defineProps<FirePanel>()

/** Less fat than this out of the mass is not seen, g. */
const SEEN_FAT_G = 5
const point = computed(() => props.fire.point.value)
const pan = computed(() => props.plan.vessels[props.fire.main.value] ?? null)
const now = computed(() => props.fire.forecast.value?.panNow ?? null)
const rows = computed(() => {
  const here = point.value
  if (!here || !pan.value) return []
  const tare = pan.value.vessel.massG
  const weighs = now.value ? `${gramsText(tare + now.value.contentG.early)} to ${gramsText(tare + now.value.contentG.late)}` : gramsText(tare + here.contentG)
  const inside = now.value ? `${degreesText(now.value.tempC.early)} to ${degreesText(now.value.tempC.late)}` : degreesText(here.tempC)
  const smell = here.aroma !== undefined && props.fire.stage.value?.does === 'roast' && here.aroma < 1 ? [{ name: 'Smell', says: `${Math.round(100 * here.aroma)} % of the way` }] : []
  const fat = here.fatOutG === undefined || here.fatOutG < SEEN_FAT_G ? [] : [{ name: 'Fat running out', says: gramsText(here.fatOutG) }]
  return [
    { name: pan.value.massGuessed ? 'Pan on the scale, its own weight a guess' : 'Pan on the scale', says: weighs },
    { name: 'Inside', says: inside },
    { name: 'Depth in the pan', says: `${Math.round(depthMm(here.volumeMl, pan.value.vessel.innerDiameterMm))} mm` },
    ...(here.stiffness === undefined ? [] : [{ name: 'The mass', says: stiffnessText(here.stiffness) }]),
    ...fat, ...smell,
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
        class="chip"
        :style="{ background: point ? labToHex(point.colour) : 'transparent' }"
        role="img"
        aria-label="Colour it should have"
      /> <span class="soft">colour, as far as a screen can say</span>
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
.chip { width: 64px; height: 30px; border: 2px solid var(--ink); flex: none; }
dl { display: grid; grid-template-columns: minmax(0, 1fr) auto; gap: 2px 14px; margin: 0; }
dd { margin: 0; font-weight: 600; text-align: right; }
</style>
