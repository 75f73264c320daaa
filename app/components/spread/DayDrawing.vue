<script setup lang="ts">
import { computed, ref } from 'vue'
import type { DayView } from '../../drawings/dayView'
import { TIGHT_MIN } from '../../../core/day/problem/slackOf'
import { WAIT_WORDS } from '../../../words/spread'
import { minuteText } from '../../composables/houseTime'
import { useDayDrag } from '../../composables/dayDrag'
import { useKeptFocus } from '../../composables/keptFocus'
import DayLanes from './DayLanes.vue'
import DayLegend from './DayLegend.vue'
import ChartAxis from '../ChartAxis.vue'

const props = defineProps<{
  /** The day as it is laid out. */
  view: DayView
  /** Name and manner of serving of each dish, by its id. */
  dishes: ReadonlyMap<string, { readonly name: string, readonly says: string }>
  /** Names of the meals, by id. */
  meals: ReadonlyMap<string, string>
  /** Minutes of slack by step. */
  slack: Readonly<Record<string, number>>
  /** Steps that are held at their time. */
  pinned: ReadonlySet<string>
  /** Steps at which something hot is poured. */
  pours: ReadonlySet<string>
  /** Dish or step that is looked at, or null. */
  chosen: string | null
  /** The minute it is now, or null where the day is not today. */
  now: number | null
}>()

const emit = defineEmits<{
  /** A step, or a dish, was picked to be looked at. */
  pick: [what: string]
  /** A dish is moved by minutes; `done` once it is let go. */
  move: [dish: string, minutes: number, done: boolean]
}>()

/** Least distance between the middle of a gap's name and a time, drawing units. */
const NAME_ROOM = 38
const svg = ref<SVGSVGElement | null>(null)
useKeptFocus(svg, 'data-dish')
/** Gaps whose width can be written without touching a time. */
const namedGaps = computed(() => props.view.scale.gaps.filter((gap) => {
  const middle = (props.view.scale.x(gap.from) + props.view.scale.x(gap.to)) / 2
  return props.view.scale.ticks.every(tick => Math.abs(props.view.scale.x(tick) - middle) > NAME_ROOM)
}))
const isTight = computed(() => Object.values(props.slack).some(minutes => minutes < TIGHT_MIN))
const dishOf = (what: string | null): string | null => what?.split('.')[0] ?? null

const { drag, key } = useDayDrag(svg, () => props.view, {
  pick: what => emit('pick', what), move: (dish, minutes, done) => emit('move', dish, minutes, done),
})
</script>

<template>
  <div class="drawing">
  <svg
    ref="svg"
    class="day"
    :viewBox="`0 0 ${view.width} ${view.height}`"
    role="group"
    aria-label="The day: dishes as arches on the clock, and who and what is busy beneath"
  >
    <g aria-hidden="true">
      <g
        v-for="gap in view.scale.gaps"
        :key="gap.from"
      >
        <rect
          class="gap"
          :x="view.scale.x(gap.from)"
          y="26"
          :width="view.scale.x(gap.to) - view.scale.x(gap.from)"
          :height="view.height - 28"
        />
        <text
          v-if="namedGaps.includes(gap)"
          class="gapname"
          :x="(view.scale.x(gap.from) + view.scale.x(gap.to)) / 2"
          y="20"
        >{{ Math.round((gap.to - gap.from) / 60) }} h</text>
      </g>
      <ChartAxis
        side="top"
        class="clock"
        transform="translate(0,26)"
        :scale="view.scale.axis"
        :values="view.scale.ticks.map(minute => minute * 60_000)"
        :says="ms => minuteText(ms / 60_000)"
        :rule="view.height - 26"
        :padding="6"
      />
    </g>
    <g
      v-for="meal in view.meals"
      :key="meal.id"
    >
      <line
        class="meal"
        :x1="meal.x"
        y1="26"
        :x2="meal.x"
        :y2="view.height"
      />
      <text
        class="mealname"
        :x="meal.x - 7"
        :y="view.ground - 3"
      >{{ meals.get(meal.id) }} {{ minuteText(meal.at) }}</text>
    </g>
    <g
      v-for="row in view.rows"
      :key="row.dish"
      class="dish"
      :class="{ chosen: dishOf(chosen) === row.dish, held: drag?.dish === row.dish }"
      role="button"
      tabindex="0"
      :data-dish="row.dish"
      :aria-pressed="dishOf(chosen) === row.dish"
      :aria-label="`${dishes.get(row.dish)?.name}, ${row.fireMin ? `on the fire from ${minuteText(row.fireMin.from)} to ${minuteText(row.fireMin.to)}` : 'nothing on the fire'}. Left and right move it.`"
      @keydown="key($event, row.dish)"
    >
      <rect
        class="ground"
        x="0"
        :y="row.top - 8"
        :width="view.width"
        :height="view.rowHeight"
      />
      <text
        class="name"
        x="2"
        :y="view.namesAbove ? row.top + 6 : row.ground - view.rowHeight / 2 + 4"
      >{{ dishes.get(row.dish)?.name }}</text>
      <text
        v-if="!view.namesAbove"
        class="says"
        x="2"
        :y="row.ground - view.rowHeight / 2 + 22"
      >{{ dishes.get(row.dish)?.says }}</text>
      <line
        class="floor"
        :x1="view.left"
        :y1="row.ground"
        :x2="view.width"
        :y2="row.ground"
      />
      <g
        v-for="wait in row.waits"
        :key="`${wait.kind}${wait.from}`"
      >
        <path
          class="wait"
          :d="`M${wait.from} ${row.ground - 2}V${row.ground - 11}H${wait.to}V${row.ground - 2}`"
        />
        <text
          v-if="wait.to - wait.from > 46"
          class="waits"
          :x="(wait.from + wait.to) / 2"
          :y="row.ground - 16"
        >{{ WAIT_WORDS[wait.kind] ?? wait.kind }}{{ wait.to - wait.from > 120 ? ` until ${minuteText(wait.until)}` : '' }}</text>
      </g>
      <rect
        v-for="block in row.blocks"
        :key="block.step"
        class="block"
        :x="block.from"
        :y="row.ground - 8"
        :width="Math.max(2, block.to - block.from)"
        height="8"
      />
      <path
        v-for="(stone, i) in row.stones"
        :key="i"
        class="stone"
        :d="stone.path"
        :fill="stone.colour"
        :stroke="stone.colour"
      />
      <g v-if="row.arch && row.arch.turnMin !== null && row.arch.right - row.arch.left > 66 && view.rowHeight > 60">
        <text
          class="turn"
          :x="(row.arch.left + row.arch.right) / 2"
          :y="row.ground - 27"
        >{{ minuteText(row.arch.turnMin) }}</text>
        <text
          class="turnword"
          :x="(row.arch.left + row.arch.right) / 2"
          :y="row.ground - 13"
        >{{ [...pours].some(step => step.startsWith(`${row.dish}.`)) ? 'pour' : 'turns' }}</text>
      </g>
      <path
        v-if="row.arch && [...pinned].some(step => step.startsWith(`${row.dish}.`))"
        class="pin"
        :d="`M${row.arch.left - 6} ${row.ground}l6 -9l6 9z`"
      />
    </g>
    <line
      class="base"
      x1="0"
      :y1="view.ground"
      :x2="view.width"
      :y2="view.ground"
    />
    <DayLanes
      :view="view"
      :dishes="dishes"
      :slack="slack"
      :pinned="pinned"
      :pours="pours"
      :chosen="chosen"
      @pick="what => emit('pick', what)"
    />
    <line
      v-if="now !== null && now >= view.scale.from && now <= view.scale.to"
      class="now"
      :x1="view.scale.x(now)"
      y1="26"
      :x2="view.scale.x(now)"
      :y2="view.height"
    />
  </svg>
  </div>
  <DayLegend
    :pours="pours.size > 0"
    :tight="isTight"
    :pinned="pinned.size > 0"
  />
</template>

<style scoped>
.drawing { overflow-x: auto; }
.day { display: block; width: 100%; min-width: 640px; height: auto; touch-action: pan-x pan-y; user-select: none; }
text { fill: var(--ink); font: 500 13px var(--text); }
.clock :deep(text) { fill: var(--ink); font-weight: 650; font-size: 15px; }
.clock :deep(line) { stroke-width: 1.2; }
.gap { fill: var(--wall-sunk); }
.gapname { text-anchor: middle; fill: var(--ink-soft); }
.meal { stroke: var(--ink); stroke-width: 4; }
.mealname { text-anchor: end; font-weight: 650; font-size: 14px; }
.base { stroke: var(--ink); stroke-width: 3.5; }
.floor { stroke: var(--line); stroke-width: 1; }
.ground { fill: transparent; }
.dish { cursor: grab; outline: none; touch-action: pan-y; }
.dish.held { cursor: grabbing; }
.dish.chosen .ground, .dish:hover .ground { fill: var(--wall-raised); }
.dish:focus-visible .ground { stroke: var(--accent); stroke-width: 3; }
.name { font-weight: 650; font-size: 16px; paint-order: stroke; stroke: var(--wall); stroke-width: 4px; }
.says { fill: var(--ink-soft); font-size: 14px; }
.stone { stroke-width: 0.6; }
.block { fill: var(--ink-soft); }
.wait { fill: none; stroke: var(--ink-soft); stroke-width: 2; stroke-dasharray: 2.5 4; }
.waits { text-anchor: middle; fill: var(--ink-soft); paint-order: stroke; stroke: var(--wall); stroke-width: 4px; }
.turn { text-anchor: middle; font-weight: 650; font-size: 15px; }
.turnword { text-anchor: middle; fill: var(--ink-soft); }
/* The line of a meal may run through what is said there. */
.turn, .turnword { paint-order: stroke; stroke: var(--wall); stroke-width: 5px; }
.pin { fill: var(--accent); }
.now { stroke: var(--accent); stroke-width: 3; stroke-dasharray: 8 5; }
</style>
