<script setup lang="ts">
import { computed } from 'vue'
import type { BatchSummary } from '../../core/batch/summary'
import ArchDrawing from './ArchDrawing.vue'

const props = withDefaults(defineProps<{
  /** What the batch keeps. */
  summary: BatchSummary
  /** Draws the plan's stones instead of what happened. */
  planned?: boolean
  /** What a screen reader says. */
  title: string
  /** Width in drawing units. */
  width?: number
}>(), { planned: false, width: 120 })

const stones = computed(() => (props.planned ? props.summary.plannedStones : props.summary.stones))
const keystoneS = computed(() => (props.planned ? props.summary.plannedKeystoneS : props.summary.keystoneS) ?? stones.value[Math.floor(stones.value.length / 2)]?.toS ?? 1)
const endS = computed(() => stones.value.at(-1)?.toS ?? keystoneS.value + 60)
const shape = computed(() => ({ width: props.width, height: props.width * 1.12, stone: props.width * 0.17, margin: 6 }))
</script>

<template>
  <ArchDrawing
    :shape="shape"
    :stones="stones"
    :keystone-s="keystoneS"
    :end-s="Math.max(endS, keystoneS + 1)"
    :title="title"
    :fault="!planned && summary.faults.length > 0"
  />
</template>
