<script setup lang="ts">
import { onMounted, ref, watch } from 'vue'
import type { BatchPicture } from '../../../core/batch/summary'
import { archStrokes } from '../../drawings/archStrokes'

const props = defineProps<{
  /** What is drawn of the batch. */
  picture: BatchPicture
  /** Colour of the ring behind the stones, and of the joint. */
  line: string
  /** Colour of the wall. */
  wall: string
}>()

const SHAPE = { width: 96, height: 108, stone: 16, margin: 5 } as const
const RING = SHAPE.stone + 5
const JOINT = 2.5
const canvas = ref<HTMLCanvasElement | null>(null)

function draw(): void {
  const pen = canvas.value?.getContext('2d')
  if (!canvas.value || !pen) return
  const sharp = Math.min(2, window.devicePixelRatio || 1)
  canvas.value.width = SHAPE.width * sharp
  canvas.value.height = SHAPE.height * sharp
  pen.setTransform(sharp, 0, 0, sharp, 0, 0)
  const { stones, keystoneS } = props.picture
  const turn = keystoneS ?? stones[Math.floor(stones.length / 2)]?.toS ?? 1
  const strokes = archStrokes(SHAPE, stones, { keystoneS: turn, endS: Math.max(stones.at(-1)?.toS ?? 0, turn + 1) })
  const stroke = (points: readonly { readonly x: number, readonly y: number }[], colour: string, width: number): void => {
    pen.beginPath()
    points.forEach((point, i) => (i === 0 ? pen.moveTo(point.x, point.y) : pen.lineTo(point.x, point.y)))
    pen.strokeStyle = colour
    pen.lineWidth = width
    pen.stroke()
  }
  pen.lineJoin = 'round'
  stroke(strokes.ring, props.line, RING)
  for (const stone of strokes.stones) stroke(stone.points, stone.colour, SHAPE.stone)
  for (const joint of strokes.joints) stroke(joint, props.wall, 1)
  stroke(strokes.keystone, props.wall, JOINT)
}
onMounted(draw)
watch(() => [props.picture, props.line, props.wall], draw)
</script>

<template>
  <canvas
    ref="canvas"
    aria-hidden="true"
  />
</template>

<style scoped>
canvas { display: block; width: 96px; height: 108px; margin: 0 auto; }
</style>
