<script setup lang="ts">
import { computed } from 'vue'
import { gramsText, minutesText } from '../../composables/format'
import type { MeasureSheet } from '../../composables/measureSheet'
import type { Fire, Pan } from '../../../contracts/kitchen'
import { stonesOf } from '../../../core/cook/batch/stones'
import { labToHex } from '../../../core/materials/colour/labToHex'
import { boundaryIndex } from '../../../core/formulation/dish/boundaryIndex'
import { doneIndex } from '../../../core/formulation/dish/doneIndex'
import { mainLine } from '../../../core/formulation/dish/mainLine'
import type { FlameTurn } from '../../../core/record/plan/flameTurn'
import { familyOf } from '../../../core/formulation/family/families'
import { BUBBLING } from '../../../core/materials/vessel/panFit'
import { turnText } from '../../../words/dish'
import { FIT_WORDS, pressureText } from '../../../words/measure'
import { besideText } from '../../../words/stages'
import ArchDrawing, { type ArchBand } from '../ArchDrawing.vue'
import ChoiceSelect from '../ChoiceSelect.vue'
import PanDrawing from '../PanDrawing.vue'
import FlamePlanner from './FlamePlanner.vue'
import ServingFacts from './ServingFacts.vue'

const props = defineProps<{
  /** State of the Measure screen. */
  state: MeasureSheet
  /** Pans to choose from. */
  pans: readonly Pan[]
  /** Fires to choose from. */
  fires: readonly Fire[]
  /** Money of the household. */
  currency: string
}>()

const { dish, sheet, pan, fire, plan, forecast, fit, pressure, dishYield, set } = props.state
const SHAPE = { width: 300, height: 220, stone: 30, margin: 26 }
const turnName = computed(() => (dish.value ? turnText(dish.value).toLowerCase() : ''))
const arch = computed(() => {
  const found = forecast.value
  const made = dish.value
  if (!found || !made || found.stages.length !== mainLine(made).length + 1) return null
  const turn = found.stages[boundaryIndex(made, made.keystone)]!
  const end = found.stages[doneIndex(made)]!
  const endS = Math.max(end.middle, turn.middle + 60)
  const bands: ArchBand[] = [
    { id: 'pour', kind: 'turn', label: turnName.value, fromS: turn.early, toS: turn.late, times: '' },
    { id: 'end', kind: 'sign', label: 'done', fromS: end.early, toS: end.late, times: '' },
  ]
  return { keystoneS: turn.middle, endS, stones: stonesOf(found, turn.middle, endS), bands, turn, end }
})
const endColour = computed(() => {
  const last = forecast.value?.points.at(-1)
  return last ? labToHex(last.colour) : '#e3d3ae'
})
const family = computed(() => (dish.value ? familyOf(dish.value.family) : null))
const cautions = computed(() => [
  ...(family.value?.scratches && pan.value?.coated ? ['Coarse grain scratches a coated pan: take steel or iron.'] : []),
  ...(family.value?.acid && pan.value && (pan.value.material === 'aluminium' || pan.value.material === 'copper' || pan.value.material === 'cast-iron') && !pan.value.coated
    ? ['Acid fruit and long cooking take metal and taste from bare iron, copper and aluminium: take steel or a lined pan.']
    : []),
])
/** The stage whose flame is asked for here: the roast, or else the longest at the fire. */
const flameStage = computed(() => {
  const line = dish.value ? mainLine(dish.value) : []
  return line.findLast(stage => stage.does === 'roast') ?? line.find(stage => stage.does === 'cook-down') ?? null
})
const underPressure = computed(() => (pressure.value ? pressureText(pressure.value, pressure.value.pan, gramsText) : null))
const options = computed(() => ({
  pans: props.pans.map(one => ({ value: one.id, label: `${one.name}, ${Math.round(one.innerDiameterMm / 10)} cm` })),
  fires: props.fires.map(one => ({ value: one.id, label: one.name })),
}))
const flameWord = computed(() => (flameStage.value?.does === 'roast' ? 'roast' : 'cook'))
const flameOptions = computed(() => (fire.value?.marks ?? []).map(one => ({ value: one.id, label: `${flameWord.value} on ${one.label}` })))
/** Takes a flame plan: its first mark stands at the roast, its turns come at the fire. */
function takeFlames(stage: string, turns: readonly FlameTurn[]): void {
  const [first, ...rest] = turns
  if (first) set({ marks: { ...sheet.value?.marks, [stage]: first.mark }, turns: rest })
}
const minutes = (seconds: number): number => Math.round(seconds / 60)
const rests = computed(() => {
  if (!forecast.value) return ''
  return forecast.value.restsOn.batches > 0 ? `Rests on ${forecast.value.restsOn.batches} past batches.` : 'Rests on first guesses; it narrows as you mark what you see.'
})
const ways = computed(() => {
  const advice = fit.value
  if (!advice || advice.fit.verdict === 'fits' || advice.fit.verdict === 'roomy') return ''
  return [
    advice.otherPan ? `take the ${advice.otherPan.name.toLowerCase()}` : '', advice.lots ? `cook ${advice.lots} lots` : '',
    advice.inStages ? 'hold half the fat and the last third of the liquid back and add them as room comes' : '',
  ].filter(Boolean).join(', or ')
})
</script>

<template>
  <div
    v-if="sheet && dishYield"
    class="comes"
  >
    <p class="big">
      {{ gramsText(dishYield.finishedG.middle) }}
      <span class="soft">{{ gramsText(dishYield.finishedG.early) }} to {{ gramsText(dishYield.finishedG.late) }}</span>
    </p>
    <ServingFacts
      part="first"
      :dish-yield="dishYield"
      :currency="currency"
    />
    <ChoiceSelect
      label="Pan"
      :chosen="sheet.pan"
      :options="options.pans"
      @choose="value => set({ pan: value })"
    />
    <div
      v-if="pan && fit"
      class="panfit"
    >
      <PanDrawing
        class="drawn"
        :diameter-mm="pan.innerDiameterMm"
        :depth-mm="pan.depthMm"
        :content-mm="Math.min(pan.depthMm, fit.fit.depthMm / BUBBLING)"
        :colour="endColour"
        :line-mm="Math.min(pan.depthMm + 8, fit.fit.depthMm)"
      />
      <p :class="fit.fit.verdict === 'tight' || fit.fit.verdict === 'too-small' ? 'danger' : 'soft'">
        <strong>{{ FIT_WORDS[fit.fit.verdict] }}.</strong> Dashed: it rises to {{ Math.round(fit.fit.depthMm) }} of {{ pan.depthMm }} mm.<template v-if="ways">
          Better: {{ ways }}.
        </template>
      </p>
    </div>
    <p
      v-for="caution in cautions"
      :key="caution"
      class="danger small"
    >
      <strong>Caution:</strong> {{ caution }}
    </p>
    <p
      v-if="underPressure"
      :class="underPressure.danger ? 'danger small' : 'soft small'"
    >
      {{ underPressure.text }}
    </p>
    <div class="fires">
      <ChoiceSelect
        label="Fire"
        :chosen="sheet.fire"
        :options="options.fires"
        @choose="value => set({ fire: value, marks: {}, turns: [] })"
      />
      <ChoiceSelect
        v-if="flameStage"
        label="Flame"
        :chosen="plan?.flames[flameStage.id]"
        :options="flameOptions"
        @choose="value => set({ marks: { ...sheet?.marks, ...(flameStage ? { [flameStage.id]: value } : {}) }, turns: [] })"
      />
    </div>
    <div
      v-if="arch"
      class="preview"
    >
      <ArchDrawing
        :shape="SHAPE"
        :stones="arch.stones"
        :keystone-s="arch.keystoneS"
        :end-s="arch.endS"
        :bands="arch.bands"
        title="Forecast: stones in the colours the food will have"
      />
      <p class="inside">
        <strong class="danger">{{ turnName }} {{ minutesText(arch.turn) }}</strong>
        <span>done {{ minutesText(arch.end) }}</span>
        <span
          v-for="side in forecast?.sides.slice(0, 1)"
          :key="side.vessel"
          class="soft small"
        >{{ besideText(dish?.stages.find(one => one.meets && one.vessel === side.vessel)?.id ?? '') ?? 'other vessel' }} on at {{ minutes(side.lightS ?? 0) }} min</span>
      </p>
    </div>
    <p
      v-if="arch"
      class="soft small"
    >
      Forecast. {{ rests }}
    </p>
    <p
      v-if="forecast?.turnDownS != null"
      class="danger small"
    >
      This flame runs away: from first colour to brown in {{ Math.round((forecast.leftAloneS ?? 0) / 10) * 10 }} s. Take a plan from below, a lower mark, or turn it down at the first smell.
    </p>
    <FlamePlanner
      v-if="plan"
      :plan="plan"
      @take="takeFlames"
    />
    <ServingFacts
      part="rest"
      :dish-yield="dishYield"
      :currency="currency"
    />
  </div>
</template>

<style scoped>
.comes { display: grid; gap: 9px; }
.big { font-size: 2.1rem; line-height: 1.1; }
.big span { font-size: 1rem; white-space: nowrap; }
.panfit, .preview { contain: layout style; }
.panfit { display: grid; grid-template-columns: 150px minmax(0, 1fr); gap: 14px; align-items: center; }
.fires { display: grid; grid-template-columns: 1fr 1fr; gap: 10px; }
.preview { position: relative; max-width: 320px; }
.inside { position: absolute; inset: 42% 25% 0; text-wrap: balance; line-height: 1.25; display: grid; align-content: start; justify-items: center; text-align: center; gap: 2px; font-size: 1.0625rem; }
</style>
