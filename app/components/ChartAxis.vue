<script setup lang="ts">
import { axisBottom, axisLeft, axisRight, axisTop, type AxisScale } from 'd3-axis'
import type { NumberValue } from 'd3-scale'
import { select } from 'd3-selection'
import { ref, watchEffect } from 'vue'

const props = withDefaults(defineProps<{
  /** On which side of the drawing its numbers stand. */
  side: 'top' | 'bottom' | 'left' | 'right'
  /** Places of values, drawing units. */
  scale: AxisScale<NumberValue>
  /** Values that are written. */
  values: readonly number[]
  /** How a value is said. */
  says: (value: number, place: number) => string
  /** How far a line runs from each value across the drawing, drawing units. */
  rule?: number
  /** Room between the edge and a number, drawing units. */
  padding?: number
  /** Where a number stands to its place, if not as its side wants it. */
  anchor?: (value: number) => 'start' | 'middle' | 'end'
}>(), { rule: 0, padding: 8, anchor: undefined })

const AXES = { top: axisTop, bottom: axisBottom, left: axisLeft, right: axisRight } as const
const USUAL = { top: 'middle', bottom: 'middle', left: 'end', right: 'start' } as const
const group = ref<SVGGElement | null>(null)

watchEffect(() => {
  if (!group.value) return
  const axis = AXES[props.side]<NumberValue>(props.scale).tickValues([...props.values]).tickFormat((value, i) => props.says(Number(value), i))
    .tickSizeInner(-props.rule).tickSizeOuter(0).tickPadding(props.padding)
  const drawn = select(group.value).call(axis)
  drawn.select('.domain').remove()
  drawn.selectAll<SVGTextElement, NumberValue>('.tick text').attr('text-anchor', value => props.anchor?.(Number(value)) ?? USUAL[props.side])
}, { flush: 'post' })
</script>

<template>
  <g
    ref="group"
    class="chart-axis"
  />
</template>

<style>
/* What D3 draws carries no mark of ours: by its class alone. */
.chart-axis { font: inherit; }
.chart-axis text { fill: var(--ink-soft); font-size: 14px; font-variant-numeric: tabular-nums; }
.chart-axis line { stroke: var(--line); stroke-width: 1; }
</style>
