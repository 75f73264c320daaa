<script setup lang="ts">
import { computed } from 'vue'
import { gramsText, windowText } from '../../composables/format'
import type { MeasureSheet } from '../../composables/measureSheet'
import type { Fire, Pan } from '../../../contracts/kitchen'
import { stonesOf } from '../../../core/batch/stones'
import { labToHex } from '../../../core/colour/labToHex'
import { boundaryIndex } from '../../../core/dish/boundaryIndex'
import { mainLine } from '../../../core/dish/mainLine'
import { familyOf } from '../../../core/family/families'
import { BUBBLING, panFit } from '../../../core/vessel/panFit'
import { FIT_WORDS } from '../../../words/measure'
import ArchDrawing, { type ArchBand } from '../ArchDrawing.vue'
import ChoiceSelect from '../ChoiceSelect.vue'
import PanDrawing from '../PanDrawing.vue'

const props = defineProps<{
  /** State of the Measure screen. */
  state: MeasureSheet
  /** Pans to choose from. */
  pans: readonly Pan[]
  /** Fires to choose from. */
  fires: readonly Fire[]
}>()

const { dish, sheet, pan, fire, roastMark, forecast, finished, people, set } = props.state
const arch = computed(() => {
  const found = forecast.value
  const made = dish.value
  if (!found || !made) return null
  const pour = found.stages[boundaryIndex(made, made.keystone)]!
  const end = found.stages[mainLine(made).findIndex(stage => stage.does === 'rest')]!
  const endS = Math.max(end.middle, pour.middle + 60)
  const bands: ArchBand[] = [
    { id: 'pour', kind: 'turn', label: 'pour', fromS: pour.early, toS: pour.late, times: '' },
    { id: 'end', kind: 'sign', label: 'done', fromS: end.early, toS: end.late, times: '' },
  ]
  return { keystoneS: pour.middle, endS, stones: stonesOf(found, pour.middle, endS), bands, pour, end }
})
const fit = computed(() => (forecast.value && pan.value ? panFit(Math.max(...forecast.value.points.map(one => one.volumeMl)), pan.value) : null))
const endColour = computed(() => {
  const last = forecast.value?.points.at(-1)
  return last ? labToHex(last.colour) : '#e3d3ae'
})
const scratches = computed(() => dish.value !== null && pan.value?.coated === true && familyOf(dish.value.family).scratches)
const bowls = computed(() => Math.max(1, Math.round(people.value)))
const minutes = (seconds: number): number => Math.round(seconds / 60)
const rests = computed(() => (forecast.value && forecast.value.restsOn.batches > 0
  ? `Rests on ${forecast.value.restsOn.batches} past batches.`
  : 'Rests on first guesses; it narrows as you mark what you see.'))
</script>

<template>
  <div
    v-if="sheet && dish"
    class="comes"
  >
    <p class="big">
      {{ gramsText(forecast?.finishedG.middle ?? sheet.baseG * finished) }}
      <span class="soft">{{ bowls }} {{ bowls > 1 ? 'bowls' : 'bowl' }} of {{ dish.portionG }} g</span>
    </p>
    <ChoiceSelect
      label="Pan"
      :chosen="sheet.pan"
      :options="pans.map(one => ({ value: one.id, label: `${one.name}, ${Math.round(one.innerDiameterMm / 10)} cm` }))"
      @choose="value => set({ pan: value })"
    />
    <div v-if="pan && fit">
      <PanDrawing
        class="drawn"
        :diameter-mm="pan.innerDiameterMm"
        :depth-mm="pan.depthMm"
        :content-mm="Math.min(pan.depthMm, fit.depthMm / BUBBLING)"
        :colour="endColour"
        :line-mm="Math.min(pan.depthMm + 8, fit.depthMm)"
      />
      <p :class="fit.verdict === 'tight' || fit.verdict === 'too-small' ? 'danger' : 'soft'">
        Dashed: it bubbles to {{ Math.round(fit.depthMm) }} of {{ pan.depthMm }} mm. {{ FIT_WORDS[fit.verdict] }}{{ fit.lots > 1 ? ` (${fit.lots} lots)` : '' }}.
      </p>
      <p
        v-if="scratches"
        class="danger"
      >
        <strong>Caution:</strong> coarse grain scratches a coated pan; take steel or iron.
      </p>
    </div>
    <div class="fires">
      <ChoiceSelect
        label="Fire"
        :chosen="sheet.fire"
        :options="fires.map(one => ({ value: one.id, label: one.name }))"
        @choose="value => set({ fire: value, roastMark: '' })"
      />
      <ChoiceSelect
        label="Flame for the roast"
        :chosen="roastMark ?? undefined"
        :options="(fire?.marks ?? []).map(one => ({ value: one.id, label: `roast on ${one.label}` }))"
        @choose="value => set({ roastMark: value })"
      />
    </div>
    <div
      v-if="arch"
      class="preview"
    >
      <ArchDrawing
        :shape="{ width: 300, height: 232, stone: 30, margin: 26 }"
        :stones="arch.stones"
        :keystone-s="arch.keystoneS"
        :end-s="arch.endS"
        :bands="arch.bands"
        title="Forecast: stones in the colours the food will have"
      />
      <p class="inside">
        <strong class="danger">pour {{ minutes(arch.pour.early) }}–{{ minutes(arch.pour.late) }} min</strong>
        <span>done {{ minutes(arch.end.early) }}–{{ minutes(arch.end.late) }} min</span>
        <span
          v-if="forecast?.sides[0]?.lightS != null"
          class="soft small"
        >sweet water on at {{ minutes(forecast.sides[0].lightS) }} min</span>
      </p>
    </div>
    <p
      v-if="arch"
      class="soft small"
    >
      Forecast. {{ rests }} End: {{ windowText(arch.end.early, arch.end.late) }}.
    </p>
    <p
      v-if="forecast?.turnDownS != null"
      class="danger small"
    >
      This flame runs away: from first colour to brown in {{ Math.round((forecast.leftAloneS ?? 0) / 10) * 10 }} s. Take a lower mark, or turn it down at the first smell.
    </p>
  </div>
</template>

<style scoped>
.comes { display: grid; gap: 10px; }
.big { font-size: 2.2rem; line-height: 1.1; }
.big span { font-size: 1.1rem; }
.drawn { max-width: 300px; }
.fires { display: grid; grid-template-columns: 1fr 1fr; gap: 10px; }
.preview { position: relative; max-width: 320px; }
.inside { position: absolute; inset: 42% 18% 0; display: grid; align-content: start; justify-items: center; text-align: center; gap: 2px; font-size: 1.1rem; }
</style>
