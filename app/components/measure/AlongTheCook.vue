<script setup lang="ts">
import { keysOf } from '../../../core/records'
import { useMediaQuery } from '@vueuse/core'
import { computed, ref } from 'vue'
import { degreesOfHouse, gramsOfHouse } from '../../composables/format'
import { degreesUnit, weightUnit } from '../../composables/typed'
import { bandChart } from '../../drawings/bandChart'
import { labToHex } from '../../../core/materials/colour/labToHex'
import type { Dish } from '../../../core/formulation/dish/dish'
import { mainLine } from '../../../core/formulation/dish/mainLine'
import type { Forecast, ForecastBand } from '../../../core/record/plan/forecast'
import type { Window } from '../../../core/maths/random/window'
import { depthMm } from '../../../core/materials/vessel/depthMm'
import { PAN_NUMBERS, type PanNumber } from '../../../words/pan'
import { stageName, stiffnessText } from '../../../words/stages'
import SegmentedChoice from '../SegmentedChoice.vue'
import ChartAxis from '../ChartAxis.vue'

const props = defineProps<{
  /** Dish with its stages. */
  dish: Dish
  /** Forecast with the pan along the cook. */
  forecast: Forecast
  /** The pan of the main line. */
  pan: { readonly innerDiameterMm: number, readonly massG: number }
}>()

/** Drawn at its own size, so that letters keep theirs. */
const narrow = useMediaQuery('(max-width: 700px)')
const room = computed(() => (narrow.value ? { width: 358, height: 250, left: 64, top: 34, bottom: 30 } : { width: 780, height: 250, left: 72, top: 34, bottom: 30 }))
/** A minute with its unit ends where it stands when there is less room than this beside it, drawing units. */
const UNIT_ROOM = 30
const chosen = ref<PanNumber>('temperature')
/** While an amount moves only an outline is run: the last bands stand. */
const bands = computed<readonly ForecastBand[]>(before => props.forecast.bands ?? before ?? [])

/** How a number is read off a band: in the units of the house, where its axis begins, and how a value is said. */
interface Reading { readonly of: (band: ForecastBand) => Window, readonly from?: number, readonly says: (value: number) => string }
const each = (window: Window, change: (value: number) => number): Window => ({ early: change(window.early), middle: change(window.middle), late: change(window.late) })
const plain = (value: number): string => String(Math.round(value))
const READINGS: Readonly<Record<Exclude<PanNumber, 'colour'>, () => Reading>> = {
  temperature: () => ({ of: band => each(band.tempC, degreesOfHouse), says: value => `${plain(value)} ${degreesUnit()}` }),
  scale: () => ({ of: band => each(band.contentG, value => gramsOfHouse(props.pan.massG + value)), says: houseGrams }),
  depth: () => ({ of: band => each(band.volumeMl, value => depthMm(value, props.pan.innerDiameterMm)), from: 0, says: value => `${plain(value)} mm` }),
  free: () => ({ of: band => each(band.freeG, gramsOfHouse), from: 0, says: houseGrams }),
  bound: () => ({ of: band => each(band.boundG, gramsOfHouse), from: 0, says: houseGrams }),
  fat: () => ({ of: band => each(band.fatOutG, gramsOfHouse), from: 0, says: houseGrams }),
  stiffness: () => ({ of: band => each(band.stiffness, value => 100 * value), from: 0, says: value => `${plain(value)} %` }),
  smell: () => ({ of: band => each(band.aroma, value => 100 * Math.min(1, value)), from: 0, says: value => `${plain(value)} %` }),
}
function houseGrams(value: number): string {
  return `${plain(value)} ${weightUnit()}`
}
const reading = computed(() => (chosen.value === 'colour' ? null : READINGS[chosen.value]()))
const chart = computed(() => {
  if (bands.value.length < 2) return null
  // Colours have no axis of their own: only the clock is needed of the chart.
  const of = reading.value?.of ?? (() => ({ early: 0, middle: 0, late: 1 }))
  return bandChart(bands.value.map(band => ({ timeS: band.timeS, window: of(band) })), room.value, reading.value?.from)
})
/** Stages where they are likeliest to begin; names that would lie on one another are left out. */
const stages = computed(() => {
  const found = chart.value
  if (!found) return []
  let free = 0
  return mainLine(props.dish).flatMap((stage, k) => {
    const window = props.forecast.stages[k]
    if (!window || window.middle > (bands.value.at(-1)?.timeS ?? 0)) return []
    const x = found.x(window.middle / 60)
    const name = stageName(stage)
    const fits = x >= free && x + 8 * name.length < room.value.width + 40
    if (fits) free = x + 8 * name.length + 12
    return [{ id: stage.id, x, name: fits ? name : '' }]
  })
})
const colours = computed(() => {
  const found = chart.value
  if (!found || chosen.value !== 'colour') return []
  return bands.value.map((band, i) => {
    const x = i === 0 ? room.value.left : found.x(bands.value[i - 1]!.timeS / 60)
    return { x, width: found.x(band.timeS / 60) - x + 0.5, shades: [band.colour.light, band.colour.middle, band.colour.dark].map(labToHex) }
  })
})
const shadeHeight = computed(() => (room.value.height - room.value.top - room.value.bottom) / 3)
const SHADES = ['lightest', 'likeliest', 'darkest']
/** The same for those who do not see the chart: as each stage begins, and at the end. */
const told = computed(() => {
  const read = reading.value
  const line = mainLine(props.dish)
  const at = (timeS: number): ForecastBand | undefined => bands.value.findLast(band => band.timeS <= timeS) ?? bands.value[0]
  return [...line.map((stage, k) => ({ name: stageName(stage), band: at(props.forecast.stages[k]?.middle ?? 0) })), { name: 'the end', band: bands.value.at(-1) }].flatMap(({ name, band }) => {
    if (!band || !read) return []
    const window = read.of(band)
    const says = chosen.value === 'stiffness' ? stiffnessText(band.stiffness.middle) : `${read.says(window.early)} to ${read.says(window.late)}`
    return [`${name}: ${says}`]
  })
})
const available = computed(() => (keysOf(PAN_NUMBERS)).filter((id) => {
  if (id === 'fat') return bands.value.some(band => band.fatOutG.late > 1)
  return id !== 'smell' || mainLine(props.dish).some(stage => stage.does === 'roast')
}))
</script>

<template>
  <div class="along">
    <p class="soft small">
      {{ PAN_NUMBERS[chosen].says }} The band holds eight in ten; the line is the middle. A forecast: no pan was measured.
    </p>
    <SegmentedChoice
      label="What of the pan"
      :chosen="chosen"
      :options="available.map(value => ({ value, label: PAN_NUMBERS[value].name }))"
      @choose="value => chosen = value"
    />
    <svg
      v-if="chart"
      :viewBox="`0 0 ${room.width} ${room.height}`"
      role="img"
      :aria-label="`${PAN_NUMBERS[chosen].name} along the cook`"
    >
      <g
        v-for="stage in stages"
        :key="stage.id"
      >
        <line
          class="stage"
          :x1="stage.x"
          :x2="stage.x"
          y1="18"
          :y2="room.height - room.bottom"
        />
        <text
          class="name"
          :x="stage.x + 4"
          y="14"
        >{{ stage.name }}</text>
      </g>
      <template v-if="reading">
        <ChartAxis
          side="left"
          :transform="`translate(${room.left},0)`"
          :scale="chart.y"
          :values="chart.values"
          :says="reading.says"
          :rule="room.width - room.left"
        />
        <path
          class="band"
          :d="chart.area"
        />
        <path
          class="middle"
          :d="chart.line"
        />
      </template>
      <template v-else>
        <g
          v-for="column in colours"
          :key="column.x"
        >
          <rect
            v-for="(shade, k) in column.shades"
            :key="k"
            :x="column.x"
            :width="column.width"
            :y="room.top + k * shadeHeight"
            :height="shadeHeight"
            :fill="shade"
          />
        </g>
        <text
          v-for="(shade, k) in SHADES"
          :key="shade"
          :x="room.left - 8"
          :y="room.top + (k + 0.5) * shadeHeight + 5"
          text-anchor="end"
        >{{ shade }}</text>
      </template>
      <line
        class="ground"
        :x1="room.left"
        :x2="room.width"
        :y1="room.height - room.bottom"
        :y2="room.height - room.bottom"
      />
      <ChartAxis
        side="bottom"
        :transform="`translate(0,${room.height - room.bottom})`"
        :scale="chart.x"
        :values="chart.minutes"
        :says="(value, i) => `${value}${i === chart!.minutes.length - 1 ? ' min' : ''}`"
        :anchor="value => (chart!.x(value) > room.width - UNIT_ROOM ? 'end' : 'middle')"
      />
    </svg>
    <p
      v-if="told.length > 0"
      class="soft small"
    >
      As each stage is likeliest to begin:
    </p>
    <ul class="told">
      <li
        v-for="line in told"
        :key="line"
      >
        {{ line }}
      </li>
    </ul>
  </div>
</template>

<style scoped>
.along { display: grid; gap: 10px; }
svg { width: 100%; height: auto; overflow: visible; }
text { fill: var(--ink-soft); font-size: 14px; font-variant-numeric: tabular-nums; }
.name { fill: var(--ink); }
.stage { stroke: var(--line); stroke-width: 1.5; stroke-dasharray: 3 4; }
.ground { stroke: var(--ink); stroke-width: 3; }
.band { fill: var(--accent); fill-opacity: 0.35; }
.middle { fill: none; stroke: var(--ink); stroke-width: 2.5; }
.told { columns: 2; margin: 0; padding-left: 1.2em; font-size: 0.9375rem; color: var(--ink-soft); }
@media (max-width: 700px) {
  .told { columns: 1; }
}
</style>
