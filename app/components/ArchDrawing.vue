<script setup lang="ts">
import { computed } from 'vue'
import type { Stone } from '../../core/cook/batch/summary'
import { archOf, placeOf, type ArchShape } from '../drawings/arch'

/** A window drawn outside the stones. */
export interface ArchBand {
  readonly id: string
  readonly fromS: number
  readonly toS: number
  readonly kind: 'sign' | 'turn'
  readonly label: string
  readonly times: string
}

const props = withDefaults(defineProps<{
  /** Sizes of the arch in drawing units. */
  shape: ArchShape
  /** Stones in time order, s since the start. */
  stones: readonly Stone[]
  /** The turning point, s. */
  keystoneS: number
  /** The end, s, after the keystone. */
  endS: number
  /** Windows outside the ring. */
  bands?: readonly ArchBand[]
  /** How far the cook is, s, or null where nothing runs. */
  nowS?: number | null
  /** Moments marked, s. */
  marks?: readonly number[]
  /** True where labels are drawn beside the bands. */
  labels?: boolean
  /** What a screen reader says of the drawing. */
  title: string
  /** A fault: a mark of its own shape at the foot. */
  fault?: boolean
}>(), { bands: () => [], nowS: null, marks: () => [], labels: false, fault: false })

const arch = computed(() => archOf(props.shape))
const place = (timeS: number): number => placeOf(timeS, { keystoneS: props.keystoneS, endS: props.endS })
const half = computed(() => props.shape.stone / 2)

const stones = computed(() => props.stones.map(stone => ({
  path: arch.value.segment(place(stone.fromS), place(stone.toS), -half.value, half.value),
  colour: stone.colour,
})))
/** All joints as one path each: the keystone's, and the others. */
const joints = computed(() => {
  const lines = props.stones.slice(1).map((stone) => {
    const at = place(stone.fromS)
    const inner = arch.value.at(at, -half.value)
    const outer = arch.value.at(at, half.value)
    return { key: Math.abs(stone.fromS - props.keystoneS) < 1, path: `M${inner.x.toFixed(2)} ${inner.y.toFixed(2)}L${outer.x.toFixed(2)} ${outer.y.toFixed(2)}` }
  })
  const together = (key: boolean): string => lines.filter(line => line.key === key).map(line => line.path).join('')
  return { key: together(true), others: together(false) }
})
const ring = computed(() => arch.value.segment(-1, 1, -half.value - 5, half.value + 5))
const tracks = computed(() => Math.max(0, ...tracked(props.bands).map(one => one.track)))
/** Labels on the right shoulder need this much room to their right; inside they stand below what is said in the opening, and apart. */
const LABEL_WIDTH = 92
const BELOW_WORDS = 0.64
const LABEL_HEIGHT = 46
const placed = computed(() => tracked(props.bands).map(({ band, track }) => {
  const from = place(band.fromS)
  const to = Math.max(place(band.toS), from + 0.012)
  const out = half.value + 13 + track * 13
  const spot = band.kind === 'turn' ? (from + to) / 2 : to < 0.2 ? from : (from + Math.min(to, 0.9)) / 2
  // Outside where there is room, else inside.
  const outside = arch.value.at(spot, half.value + (Math.abs(spot) < 0.3 ? 36 : spot < 0 ? 30 : 44) + 13 * tracks.value)
  const inside = spot < -0.55 || (spot > 0.12 && outside.x + LABEL_WIDTH > props.shape.width)
  const label = inside ? arch.value.at(Math.sign(spot) * Math.max(BELOW_WORDS, Math.abs(spot)), -half.value - 16) : outside
  return {
    ...band,
    path: arch.value.segment(from, to, out - 4.5, out + 4.5),
    label: { x: label.x, y: Math.max(22, label.y) },
    inside,
    anchor: Math.abs(spot) < 0.12 ? 'middle' : (spot < 0) === inside ? 'start' : 'end',
    text: band.label,
    below: inside || Math.abs(spot) > 0.34,
  }
}))
/** Labels inside on the right do not stand on one another. */
const bands = computed(() => {
  let last = Number.NEGATIVE_INFINITY
  return placed.value.map((band) => {
    if (!band.inside || band.label.x < props.shape.width / 2) return band
    last = Math.max(band.label.y, last + LABEL_HEIGHT)
    return { ...band, label: { ...band.label, y: last } }
  })
})
/** Each band on the innermost track on which it overlaps nothing. */
function tracked(list: readonly ArchBand[]): { readonly band: ArchBand, readonly track: number }[] {
  const ends: number[] = []
  return [...list].sort((p, q) => p.fromS - q.fromS).map((band) => {
    const free = ends.findIndex(end => end < band.fromS)
    const track = free < 0 ? ends.length : free
    ends[track] = band.toS
    return { band, track }
  })
}
const hand = computed(() => {
  if (props.nowS === null) return null
  const at = place(Math.min(props.nowS, props.endS))
  return {
    path: arch.value.segment(at - 0.006, at + 0.006, -half.value - 9, half.value + 9),
    gone: arch.value.segment(-1, at, half.value + 2, half.value + 7),
  }
})
const marks = computed(() => props.marks.map(timeS => arch.value.at(place(timeS), half.value - 12)))
</script>

<template>
  <svg
    class="arch"
    :viewBox="`0 0 ${shape.width} ${shape.height}`"
    role="img"
    :aria-label="title"
  >
    <path
      class="bed"
      :d="ring"
    />
    <path
      v-for="(stone, i) in stones"
      :key="`s${i}`"
      :d="stone.path"
      :fill="stone.colour"
    />
    <path
      class="joint"
      :d="joints.others"
    />
    <path
      class="joint key"
      :d="joints.key"
    />
    <path
      v-if="hand"
      class="gone"
      :d="hand.gone"
    />
    <g
      v-for="band in bands"
      :key="band.id"
      :class="band.kind"
    >
      <path
        class="band"
        :d="band.path"
      />
      <text
        v-if="labels"
        :x="band.label.x"
        :y="band.label.y"
        :text-anchor="band.anchor"
      >{{ band.text }}<tspan
        class="times"
        :x="band.below ? band.label.x : undefined"
        :dx="band.below ? undefined : 8"
        :dy="band.below ? '1.25em' : undefined"
      >{{ band.times }}</tspan></text>
    </g>
    <circle
      v-for="(mark, i) in marks"
      :key="`m${i}`"
      class="mark"
      :cx="mark.x"
      :cy="mark.y"
      r="5"
    />
    <path
      v-if="hand"
      class="hand"
      :d="hand.path"
    />
    <path
      v-if="fault"
      class="fault"
      :d="`M${shape.width / 2} ${shape.height - 22}l9 9l-9 9l-9 -9z`"
    />
  </svg>
</template>

<style scoped>
.arch { display: block; width: 100%; height: auto; overflow: visible; }
.bed { fill: var(--line); }
.joint { stroke: var(--wall); stroke-width: 1.5; }
.joint.key { stroke-width: 5; }
.band { fill: var(--accent); }
.turn .band { fill: var(--danger); }
text { fill: var(--accent); font: 650 1.25rem var(--text); }
.turn text { fill: var(--danger); }
.times { font-weight: 450; font-size: 1.0625rem; fill: var(--ink-soft); }
.gone, .hand { fill: var(--ink); }
.mark { fill: var(--ink); stroke: var(--wall); stroke-width: 2; }
.fault { fill: var(--wall); stroke: var(--danger); stroke-width: 3; }
</style>
