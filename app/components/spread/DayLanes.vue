<script setup lang="ts">
import { computed, ref } from 'vue'
import { TIGHT_MIN } from '../../../core/day/problem/slackOf'
import type { DayView } from '../../drawings/dayView'
import { stepName } from '../../../words/spread'
import { minuteText } from '../../composables/houseTime'
import { useKeptFocus } from '../../composables/keptFocus'

const props = defineProps<{
  /** The day as it is laid out. */
  view: DayView
  /** Name and manner of serving of each dish, by its id. */
  dishes: ReadonlyMap<string, { readonly name: string, readonly says: string }>
  /** Minutes of slack by step. */
  slack: Readonly<Record<string, number>>
  /** Steps that are held at their time. */
  pinned: ReadonlySet<string>
  /** Steps at which something hot is poured. */
  pours: ReadonlySet<string>
  /** Dish or step that is looked at, or null. */
  chosen: string | null
}>()

const emit = defineEmits<{
  /** A step was picked to be looked at. */
  pick: [what: string]
}>()

const root = ref<SVGGElement | null>(null)
useKeptFocus(root, 'data-step')

const isTight = (step: string): boolean => (props.slack[step] ?? Infinity) < TIGHT_MIN
const dishOf = (what: string | null): string | null => what?.split('.')[0] ?? null
const short = (step: string): string => stepName(step.split('.')[1] ?? step)
const says = (step: string, from: number, to: number): string => {
  const slack = props.slack[step]
  return `${short(step)}, ${props.dishes.get(step.split('.')[0]!)?.name ?? ''}, ${minuteText(from)} to ${minuteText(to)}${slack === undefined ? '' : isTight(step) ? `, tight: ${Math.max(0, slack)} min to spare` : `, ${slack} min to spare`}${props.pinned.has(step) ? ', held' : ''}`
}
/** Height in which letters stand, drawing units: half a bar has none. */
const LETTERS_HIGH = 17
/** Text fits a span from about this many units a letter. */
const fits = (text: string, width: number): boolean => text.length * 7.4 + 8 <= width
const labels = computed(() => new Map(props.view.lanes.flatMap(lane => lane.spans.map((span) => {
  const own = short(span.step)
  const dish = props.dishes.get(span.dish)?.name ?? ''
  const text = lane.kind === 'hands' ? own : lane.kind === 'fire' ? (own === 'pour' ? '' : own) : dish
  return [`${lane.key} ${span.step}`, span.tall >= LETTERS_HIGH && fits(text, span.width) ? text : ''] as const
}))))
/** A name as far as there is room for it. */
const LETTER = 8.2
function shortened(name: string): string {
  const most = Math.floor((props.view.left - 8) / LETTER)
  return name.length > most ? `${name.slice(0, most - 1)}…` : name
}
</script>

<template>
  <g ref="root">
    <defs>
      <pattern
        id="tight"
        width="7"
        height="7"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      ><line
        x1="0"
        y1="0"
        x2="0"
        y2="7"
        class="hatch"
      /></pattern>
    </defs>
    <g
      v-for="lane in view.lanes"
      :key="lane.key"
      :aria-label="lane.name"
      role="group"
    >
      <text
        class="lane"
        x="2"
        :y="lane.y + 18"
      ><title>{{ lane.name }}</title>{{ shortened(lane.name) }}</text>
      <g
        v-for="span in lane.spans"
        :key="span.step"
        class="span"
        :class="[lane.kind, { chosen: chosen === span.step, mine: dishOf(chosen) === span.dish, whole: span.much === 1 }]"
        :role="lane.kind === 'hands' ? 'button' : undefined"
        :tabindex="lane.kind === 'hands' ? 0 : undefined"
        :aria-label="says(span.step, span.from, span.to)"
        :data-step="lane.kind === 'hands' ? span.step : undefined"
        @click="emit('pick', span.step)"
        @keydown.enter.prevent="emit('pick', span.step)"
        @keydown.space.prevent="emit('pick', span.step)"
      >
        <title>{{ says(span.step, span.from, span.to) }}</title>
        <rect
          :x="span.x + 0.5"
          :y="span.top + 0.5"
          :width="Math.max(1, span.width - 1)"
          :height="span.tall - 1"
        />
        <rect
          v-if="lane.kind === 'hands' && isTight(span.step)"
          class="tight"
          :x="span.x + 0.5"
          :y="span.top + span.tall - 6"
          :width="Math.max(1, span.width - 1)"
          height="5"
        />
        <path
          v-if="lane.kind === 'hands' && pours.has(span.step)"
          class="hot"
          :d="`M${span.x + span.width / 2} ${span.top + 7}l-7 -10h14z`"
        />
        <text
          v-if="labels.get(`${lane.key} ${span.step}`)"
          :x="span.x + span.width / 2"
          :y="span.top + span.tall / 2 + 5"
        >{{ labels.get(`${lane.key} ${span.step}`) }}</text>
      </g>
    </g>
  </g>
</template>

<style scoped>
text { fill: var(--ink); font: 500 13px var(--text); }
.lane { font-weight: 600; font-size: 15px; }
.span rect { fill: var(--wall-sunk); stroke: var(--ink); stroke-width: 1.4; }
.span text { text-anchor: middle; font-weight: 600; pointer-events: none; }
.span.hands { cursor: pointer; outline: none; }
.span.hands.whole rect { fill: var(--ink); stroke: var(--wall); }
.span.hands.whole text { fill: var(--wall); }
/* Each for whole hands as well, whose own rule weighs more. */
.span.mine rect, .span.hands.whole.mine rect:not(.tight) { stroke: var(--accent); stroke-width: 3; }
.span.chosen rect, .span.hands.whole.chosen rect:not(.tight) { stroke: var(--accent); stroke-width: 4; }
.span:focus-visible rect, .span.hands.whole:focus-visible rect:not(.tight) { stroke: var(--accent); stroke-width: 4; }
.span rect.tight { fill: url("#tight"); stroke: none; }
.hatch { stroke: var(--danger-pale); stroke-width: 6; }
.hot { fill: var(--danger); stroke: var(--wall); stroke-width: 1.2; }
</style>
