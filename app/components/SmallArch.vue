<script setup lang="ts">
import { computed } from 'vue'
import type { Stone } from '../../core/cook/batch/summary'
import ArchDrawing from './ArchDrawing.vue'

const props = withDefaults(defineProps<{
  /** Stones in time order, s since the start. */
  stones: readonly Stone[]
  /** The turning point, s; null takes the middle joint. */
  keystoneS: number | null
  /** True where a fault was named. */
  fault?: boolean
  /** What a screen reader says. */
  title: string
  /** Width in drawing units. */
  width?: number
}>(), { fault: false, width: 120 })

const turn = computed(() => props.keystoneS ?? props.stones[Math.floor(props.stones.length / 2)]?.toS ?? 1)
const endS = computed(() => Math.max(props.stones.at(-1)?.toS ?? 0, turn.value + 1))
const shape = computed(() => ({ width: props.width, height: props.width * 1.12, stone: props.width * 0.17, margin: 6 }))
</script>

<template>
  <ArchDrawing
    :shape="shape"
    :stones="stones"
    :keystone-s="turn"
    :end-s="endS"
    :title="title"
    :fault="fault"
  />
</template>
