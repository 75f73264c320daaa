<script setup lang="ts">
import { computed, useId } from 'vue'
import type { CutTray } from '../../../core/formulation/tray/cut'
import type { TraySize } from '../../../core/formulation/scale/request'
import { trayView } from '../../drawings/trayView'

const props = defineProps<{
  /** The tray, mm. */
  tray: TraySize
  /** How it is cut; null for a bare tray. */
  cut: CutTray | null
  /** Colour of the food, `#rrggbb`. */
  colour: string
  /** What a screen reader says. */
  title: string
}>()

const view = computed(() => trayView(props.tray, props.cut))
const id = useId()
</script>

<template>
  <svg
    :viewBox="view.viewBox"
    role="img"
    :aria-label="title"
    class="tray"
  >
    <clipPath :id="`wall-${id}`">
      <circle
        v-if="view.round"
        :r="view.wall.width / 2"
      />
      <rect
        v-else
        v-bind="view.wall"
      />
    </clipPath>
    <g :transform="view.turn">
      <circle
        v-if="view.round"
        class="rim"
        :r="view.wall.width / 2 + 3"
      />
      <rect
        v-else
        class="rim"
        :x="view.wall.x - 3"
        :y="view.wall.y - 3"
        :width="view.wall.width + 6"
        :height="view.wall.height + 6"
        rx="3"
      />
      <g :clip-path="`url(#wall-${id})`">
        <rect
          v-bind="view.wall"
          :fill="colour"
        />
        <path
          v-for="(piece, i) in view.pieces"
          :key="i"
          :d="piece.outline"
          :class="piece.kind"
        />
      </g>
      <line
        v-for="(mark, i) in view.marks"
        :key="i"
        v-bind="mark"
        class="mark"
      />
    </g>
  </svg>
</template>

<style scoped>
.tray { display: block; width: 100%; height: 100%; }
.rim { fill: var(--wall-sunk); stroke: var(--metal); stroke-width: 2.5; }
path { fill: none; }
path.edge { fill: var(--wall); fill-opacity: 0.28; }
path.trimming { fill: var(--wall); fill-opacity: 0.72; }
.mark { stroke: var(--ink); stroke-width: 1; }
</style>
