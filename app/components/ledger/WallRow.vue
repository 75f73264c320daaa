<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import type { BatchListLine } from '../../../contracts/batch'
import { drawInTurn } from '../../composables/drawInTurn'
import { clockText, dayText, gramsText } from '../../composables/format'
import { archStrokes } from '../../drawings/archStrokes'
import { faultName } from '../../../words/faults'

const props = defineProps<{
  /** Batches of this row. */
  cells: readonly BatchListLine[]
  /** How many a full row has. */
  across: number
  /** Width of the row, px. */
  width: number
  /** True where not all are of one dish: then each says its name. */
  named: boolean
  /** Ids laid aside to be compared. */
  picked: readonly string[]
  /** Colours of the ring behind the stones and of the wall. */
  colours: { readonly line: string, readonly wall: string }
}>()

const emit = defineEmits<{
  /** One is laid aside, or put back. */
  pick: [id: string]
  /** One is looked at. */
  open: [id: string]
}>()

/** Plain links, as hundreds of them come and go while the wall is scrolled; with a key held down they are the browser's. */
function open(event: MouseEvent, id: string): void {
  if (event.button !== 0 || event.metaKey || event.ctrlKey || event.shiftKey || event.altKey) return
  event.preventDefault()
  emit('open', id)
}
function says(batch: BatchListLine): string {
  if (batch.unreadable) return 'cannot be read here; kept as it is'
  const { faults, finishedG } = batch.summary
  return faults.length > 0 ? faults.map(one => faultName(one)).join(', ') : finishedG === null ? '' : gramsText(finishedG)
}

const SHAPE = { width: 96, height: 108, stone: 16, margin: 5 } as const
const RING = SHAPE.stone + 5
const JOINT = 2.5
/** Whole pixels, so that the line they stand on has no gaps. */
const cell = computed(() => Math.floor(props.width / props.across))
const canvas = ref<HTMLCanvasElement | null>(null)

/** All arches of the row on one canvas: one each would be a layer each for the browser to put together. */
function clear(): CanvasRenderingContext2D | null {
  const pen = canvas.value?.getContext('2d') ?? null
  if (!canvas.value || !pen) return null
  const sharp = Math.min(2, window.devicePixelRatio || 1)
  const [width, height] = [Math.round(props.width * sharp), SHAPE.height * sharp]
  if (canvas.value.width !== width) canvas.value.width = width
  if (canvas.value.height !== height) canvas.value.height = height
  pen.reset()
  pen.scale(sharp, sharp)
  return pen
}
function drawArch(pen: CanvasRenderingContext2D, { stones, keystoneS }: BatchListLine['summary'], left: number): void {
  const turn = keystoneS ?? stones[Math.floor(stones.length / 2)]?.toS ?? 1
  const strokes = archStrokes(SHAPE, stones, { keystoneS: turn, endS: Math.max(stones.at(-1)?.toS ?? 0, turn + 1) })
  const stroke = (points: readonly { readonly x: number, readonly y: number }[], colour: string, width: number): void => {
    pen.beginPath()
    points.forEach((point, i) => (i === 0 ? pen.moveTo(left + point.x, point.y) : pen.lineTo(left + point.x, point.y)))
    pen.strokeStyle = colour
    pen.lineWidth = width
    pen.stroke()
  }
  stroke(strokes.ring, props.colours.line, RING)
  for (const stone of strokes.stones) stroke(stone.points, stone.colour, SHAPE.stone)
  for (const joint of strokes.joints) stroke(joint, props.colours.wall, 1)
  stroke(strokes.keystone, props.colours.wall, JOINT)
}
let waiting: (() => void)[] = []
function takeBack(): void {
  for (const one of waiting) one()
  waiting = []
}
/** What stood here a moment ago is another row's: it goes at once, the new arches come in turn. */
function drawSoon(): void {
  takeBack()
  const pen = clear()
  if (!pen) return
  waiting = props.cells.map(({ summary }, i) => drawInTurn(() => drawArch(pen, summary, Math.round((i + 0.5) * cell.value - SHAPE.width / 2))))
}
onMounted(drawSoon)
onBeforeUnmount(takeBack)
watch(() => [props.cells, props.across, props.width, props.colours], drawSoon)
</script>

<template>
  <div class="cells">
    <canvas
      ref="canvas"
      aria-hidden="true"
    />
    <ul>
      <li
        v-for="(batch, i) in cells"
        :key="i"
        :class="{ picked: picked.includes(batch.id) }"
        :style="{ left: `${i * cell}px`, width: `${cell}px` }"
      >
        <a
          :href="`/ledger/${batch.id}`"
          :aria-label="`${batch.dish}, ${dayText(batch.startedAt)}: ${says(batch)}, turned at ${clockText(batch.summary.keystoneS ?? 0)}`"
          @click="event => open(event, batch.id)"
        >
          <span class="stand"><span
            v-if="batch.summary.faults.length > 0"
            class="lozenge"
          /></span>
          <strong
            v-if="named"
            class="dish"
          >{{ batch.dish }}</strong>
          <span class="day">{{ dayText(batch.startedAt) }}</span>
          <span
            class="small says"
            :class="batch.summary.faults.length > 0 ? 'danger' : 'soft'"
          >{{ says(batch) }}</span>
        </a>
        <ElButton
          class="pick"
          :aria-pressed="picked.includes(batch.id)"
          :aria-label="`Lay ${batch.dish} of ${dayText(batch.startedAt)} aside to compare`"
          @click="emit('pick', batch.id)"
        >
          {{ picked.includes(batch.id) ? '✓' : '+' }}
        </ElButton>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.cells { position: relative; height: 100%; }
canvas { position: absolute; top: 0; left: 0; width: 100%; height: 108px; }
ul { list-style: none; margin: 0; padding: 0; }
/* Each stands for itself: what changes in one moves nothing else, and is laid out alone. */
li { position: absolute; top: 0; bottom: 0; contain: size layout; }
a { display: block; height: 100%; text-align: center; text-decoration: none; line-height: 1.25; }
.stand { position: relative; display: block; height: 112px; border-bottom: 4px solid var(--ink); }
.picked .stand { border-color: var(--accent); }
.lozenge { position: absolute; left: 50%; bottom: 4px; width: 15px; height: 15px; border: 3px solid var(--danger); background: var(--wall); transform: translateX(-50%) rotate(45deg); }
.dish { display: block; max-height: 2.3em; overflow: hidden; margin-top: 4px; font-weight: 600; font-size: 0.9375rem; line-height: 1.15; padding: 0 4px; }
.day { display: block; font-weight: 600; }
.dish + .day { font-weight: 450; }
.says { display: block; overflow: hidden; text-overflow: ellipsis; white-space: nowrap; padding: 0 4px; }
a:hover .day { text-decoration: underline; text-underline-offset: 3px; }
.pick { position: absolute; top: 38px; left: calc(50% - 22px); width: 44px; height: 44px; border: 2px solid transparent; background: transparent; font-weight: 700; font-size: 1.1rem; color: var(--ink-soft); cursor: pointer; border-radius: 2px; }
.pick:hover { border-color: var(--ink); color: var(--ink); }
.pick[aria-pressed="true"] { background: var(--accent); color: var(--on-accent); }
</style>
