<script setup lang="ts">
import { computed, ref } from 'vue'
import { heightShare, vesselShape } from '../drawings/vesselShape'
import { useDrag } from '../composables/dragging'

const props = defineProps<{
  /** Exact count of cups. */
  count: number
  /** Cup as drawn, mm. */
  cup: { readonly topMm: number, readonly bottomMm: number, readonly heightMm: number }
  /** Colour of the food, `#rrggbb`. */
  colour: string
  /** Name for the screen reader. */
  name: string
  /** Amount in words, for the screen reader. */
  valueText: string
  /** Drawing units per mm. */
  scale: number
  /** Room for the cups, drawing units. */
  width: number
}>()

const emit = defineEmits<{
  /** A new exact count of cups, while it is dragged. */
  change: [count: number]
}>()

const GAP = 8
/** Room for half the wall's stroke. */
const EDGE = 4
const ROW_GAP = 14
const svg = ref<SVGSVGElement | null>(null)
/** Height on the screen as the drag began, px, how far the hand has moved since the last frame, and that frame. */
let grip = 1
let moved = 0
let frame = 0
const size = computed(() => {
  const count = Math.max(1, Math.ceil(props.count - 0.02))
  const shrink = Math.min(1, 6 / Math.ceil(count / 2))
  return { count, top: props.cup.topMm * props.scale * shrink, bottom: props.cup.bottomMm * props.scale * shrink, height: props.cup.heightMm * props.scale * shrink }
})
const columns = computed(() => Math.max(1, Math.floor((props.width - 2 * EDGE + GAP) / (size.value.top + GAP))))
const rows = computed(() => Math.ceil(size.value.count / columns.value))
const height = computed(() => rows.value * (size.value.height + ROW_GAP))
/** All walls as one path and all contents as another: a level moves many times a second. */
const drawn = computed(() => {
  const { count, top, bottom, height: tall } = size.value
  const cups = Array.from({ length: count }, (_, i) => {
    const fill = heightShare(Math.min(1, Math.max(0, props.count - i)), props.cup.topMm, props.cup.bottomMm) * 0.94
    const row = Math.floor(i / columns.value)
    return vesselShape(top, bottom, tall, fill, { x: (i % columns.value) * (top + GAP) + EDGE, y: height.value - (row + 1) * (tall + ROW_GAP) + ROW_GAP })
  })
  return { walls: cups.map(one => one.wall).join(''), contents: cups.map(one => one.content).join('') }
})

/** Dragging up by the height of one cup adds one cup. The page is what it is measured by: the drawing grows under the hand. */
useDrag(svg, {
  within: () => document.body,
  start: () => {
    grip = svg.value?.getBoundingClientRect().height ?? height.value
    moved = 0
  },
  by: (_, dy) => {
    moved += dy
    if (frame === 0) frame = requestAnimationFrame(change)
  },
})
/** One change a frame, however often the hand moves in it. */
function change(): void {
  frame = 0
  if (!svg.value || moved === 0) return
  const perCup = size.value.height * (grip / height.value)
  emit('change', Math.max(0.02, props.count - moved / perCup))
  moved = 0
}
function key(event: KeyboardEvent): void {
  const step = { ArrowUp: 0.25, ArrowRight: 0.25, ArrowDown: -0.25, ArrowLeft: -0.25, PageUp: 1, PageDown: -1 }[event.key]
  if (step === undefined) return
  event.preventDefault()
  emit('change', Math.max(0.05, Math.round((props.count + step) * 4) / 4))
}
</script>

<template>
  <svg
    ref="svg"
    class="cups"
    :viewBox="`0 0 ${width} ${height}`"
    role="slider"
    tabindex="0"
    :aria-label="name"
    :aria-valuenow="Math.round(count * 100) / 100"
    aria-valuemin="0"
    aria-valuemax="40"
    :aria-valuetext="valueText"
    @keydown="key"
  >
    <rect
      class="ground"
      :width="width"
      :height="height"
    />
    <path
      :d="drawn.contents"
      :fill="colour"
    />
    <path
      class="wall"
      :d="drawn.walls"
    />
  </svg>
</template>

<style scoped>
.cups { display: block; width: 100%; cursor: ns-resize; touch-action: none; }
.ground { fill: transparent; }
.wall { fill: none; stroke: var(--metal); stroke-width: 4; stroke-linejoin: round; stroke-linecap: round; }
</style>
