<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import type { FinishedMass } from '../../../core/cook/after/finishedMass'
import type { Shaping } from '../../../core/record/marks/afterFire'
import type { Cut } from '../../../core/formulation/tray/cut'
import { cutForCount } from '../../../core/formulation/tray/cutForCount'
import { cutForFewer } from '../../../core/formulation/tray/cutForFewer'
import { cutTray } from '../../../core/formulation/tray/cutTray'
import { evenCut } from '../../../core/formulation/tray/evenCut'
import { trayFill } from '../../../core/formulation/tray/trayFill'
import { traysFor } from '../../../core/formulation/tray/traysFor'
import type { Tray } from '../../../contracts/kitchen'
import { gramsText, lengthText } from '../../composables/format'
import { FILL_WORDS } from '../../../words/after'
import LabelledChoice from '../LabelledChoice.vue'
import ShapePane from './ShapePane.vue'
import StepField from './StepField.vue'
import TrayDrawing from './TrayDrawing.vue'
import SegmentedChoice from '../SegmentedChoice.vue'

const props = defineProps<{
  /** What was made. */
  mass: FinishedMass
  /** Trays of the house. */
  trays: readonly Tray[]
  /** Colour of the food, `#rrggbb`. */
  colour: string
  /** How it was cut already, if it was. */
  shaped: Shaping | null
}>()

const emit = defineEmits<{
  /** It is cut like this. */
  shape: [shaping: Extract<Shaping, { way: 'tray' }>]
}>()

const KINDS = (['squares', 'rectangles', 'diamonds'] as const).map(value => ({ value, label: value }))
type Kind = (typeof KINDS)[number]['value']
const SIZE_MM = 38
const STEP_MM = 2
const TURN_DEG = 5

const before = props.shaped?.way === 'tray' ? props.shaped : null
const wantedMm = ref(18)
const ranked = computed(() => traysFor(props.mass.volumeMl, props.trays, wantedMm.value))
const known = before ? props.trays.find(one => one.name === before.tray.name) : undefined
const trayId = ref<string | null>(known?.id ?? null)
const tray = computed(() => ranked.value.find(one => one.tray.id === trayId.value)?.tray ?? ranked.value[0]?.tray ?? null)
const kind = ref<Kind>(before ? (before.cut.slantDeg !== 90 ? 'diamonds' : Math.abs(before.cut.firstMm / before.cut.secondMm - 1) < 0.2 ? 'squares' : 'rectangles') : 'squares')
const wished = ref<Cut>(before?.cut ?? { firstMm: SIZE_MM, secondMm: SIZE_MM, turnDeg: 0, slantDeg: 90 })
const even = ref(true)
const cut = computed(() => (tray.value && even.value ? evenCut(tray.value, wished.value) : wished.value))
const cutUp = computed(() => (tray.value ? cutTray(tray.value, cut.value) : null))
const fill = computed(() => (tray.value ? trayFill(props.mass.volumeMl, tray.value, wantedMm.value) : null))
const none = ref(false)

function choose(value: Kind): void {
  kind.value = value
  const mm = wished.value.firstMm
  wished.value = { ...wished.value, secondMm: value === 'rectangles' ? Math.min(240, mm * 1.6) : mm, slantDeg: value === 'diamonds' ? 60 : 90 }
}
function size(of: 'firstMm' | 'secondMm', by: number): void {
  const next = Math.min(240, Math.max(10, wished.value[of] + by * STEP_MM))
  wished.value = kind.value === 'rectangles' ? { ...wished.value, [of]: next } : { ...wished.value, firstMm: next, secondMm: next }
}
function turn(by: number): void {
  const turnDeg = wished.value.turnDeg + by * TURN_DEG
  wished.value = { ...wished.value, turnDeg: turnDeg > 90 ? turnDeg - 180 : turnDeg < -90 ? turnDeg + 180 : turnDeg }
}
function pieces(by: number): void {
  if (!tray.value || !cutUp.value) return
  const found = by > 0 ? cutForCount(tray.value, wished.value, cutUp.value.whole + by) : cutForFewer(tray.value, wished.value, cutUp.value.whole)
  none.value = found === null
  if (found) wished.value = found
}
const figures = computed(() => {
  const one = cutUp.value
  if (!one) return null
  return { whole: one.whole, each: props.mass.massG * one.wholeShare, edges: one.edge, edgesG: props.mass.massG * one.edgeShare, trimmingsG: props.mass.massG * one.trimmingShare }
})
const send = useDebounceFn(() => {
  const of = tray.value
  if (of) emit('shape', { way: 'tray', tray: { name: of.name, shape: of.shape, widthMm: of.widthMm, lengthMm: of.lengthMm, depthMm: of.depthMm }, cut: cut.value })
}, 900)
watch([cut, tray], send)
</script>

<template>
  <ShapePane>
    <template #drawn>
      <figure v-if="tray && cutUp">
        <TrayDrawing
          :tray="tray"
          :cut="cutUp"
          :colour="colour"
          :title="`${tray.name}: ${cutUp.whole} whole pieces, ${cutUp.edge} edge pieces`"
        />
        <figcaption class="soft small">
          {{ tray.name }}, {{ lengthText(tray.widthMm) }}{{ tray.shape === 'round' ? ' across' : ` × ${lengthText(tray.lengthMm)}` }}. Drawn to scale; pale pieces are cut by the wall.
        </figcaption>
        <slot name="under" />
      </figure>
      <p
        v-else
        class="soft"
      >
        No tray or plate stands in the kitchen yet. <NuxtLink to="/kitchen">Put one on the shelf</NuxtLink> and it can be cut here.
      </p>
    </template>
    <template v-if="tray && cutUp && figures && fill">
      <p class="count">
        <strong>{{ figures.whole }}</strong> pieces of <strong>{{ gramsText(figures.each) }}</strong>
      </p>
      <p>
        {{ figures.edges > 0 ? `and ${figures.edges} edge pieces, ${gramsText(figures.edgesG)} together` : 'no edge pieces' }}{{ figures.trimmingsG >= 0.5 ? `; trimmings ${gramsText(figures.trimmingsG)}` : '; no trimmings' }}
      </p>
      <LabelledChoice
        asks="Tray"
        :chosen="tray.id"
        :options="ranked.map(one => ({ value: one.tray.id, label: `${one.tray.name}: ${lengthText(one.fill.depthMm)} deep, ${FILL_WORDS[one.fill.verdict]}` }))"
        @choose="value => trayId = value"
      />
      <p
        :class="fill.verdict === 'right' ? 'soft' : ''"
        role="status"
      >
        {{ fill.verdict === 'right' ? `It fills the ${tray.name.toLowerCase()} as wanted: ${lengthText(fill.depthMm)} deep.` : `It comes to ${lengthText(fill.depthMm)}: ${FILL_WORDS[fill.verdict]}. To fill it to ${lengthText(wantedMm)}, make × ${Math.round(fill.timesForWanted * 100) / 100} next time${fill.verdict === 'thin' ? `, or spread it over ${Math.round(fill.coversAtWanted * 100)} % of the tray` : ''}.` }}
      </p>
      <SegmentedChoice
        label="Pieces"
        :chosen="kind"
        :options="KINDS"
        @choose="choose"
      />
      <div class="steps">
        <StepField
          :label="kind === 'rectangles' ? 'One side' : 'Width'"
          :value="lengthText(cut.firstMm)"
          @step="by => size('firstMm', by)"
        />
        <StepField
          v-if="kind === 'rectangles'"
          label="Other side"
          :value="lengthText(cut.secondMm)"
          @step="by => size('secondMm', by)"
        />
        <StepField
          label="Whole pieces"
          :value="String(cutUp.whole)"
          :can-less="cutUp.whole > 1"
          @step="pieces"
        />
        <StepField
          label="Turned"
          :value="`${Math.round(cut.turnDeg)}°`"
          @step="turn"
        />
        <StepField
          v-if="kind === 'diamonds'"
          label="Slant"
          :value="`${Math.round(cut.slantDeg)}°`"
          :can-less="wished.slantDeg > 25"
          :can-more="wished.slantDeg < 85"
          @step="by => wished = { ...wished, slantDeg: wished.slantDeg + 5 * by }"
        />
        <StepField
          label="Wanted depth"
          :value="lengthText(wantedMm)"
          :can-less="wantedMm > 6"
          :can-more="wantedMm < 60"
          @step="by => wantedMm += 2 * by"
        />
      </div>
      <ElCheckbox
        v-model="even"
        class="even"
        label="Even out along the walls"
      />
      <p
        v-if="none"
        role="status"
      >
        No knife cuts so many whole ones out of this tray.
      </p>
      <slot />
    </template>
  </ShapePane>
</template>

<style scoped>
figure { margin: 0; }
figure :deep(svg) { max-height: 430px; }
figure :deep(.setting) { margin-top: 20px; }
figcaption { margin-top: 6px; text-align: center; }
.kinds { display: grid; grid-template-columns: repeat(3, 1fr); gap: 8px; margin-top: 4px; }
.kinds .el-button { padding-inline: 0.3rem; min-height: 48px; }
.even { display: flex; gap: 0.6rem; align-items: center; min-height: 44px; font-weight: 600; }
@media (max-width: 900px) { figure :deep(svg) { max-height: 300px; } }
</style>
