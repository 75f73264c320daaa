<script setup lang="ts">
import { useWindowVirtualizer } from '@tanstack/vue-virtual'
import { useElementSize, usePreferredDark, useWindowSize } from '@vueuse/core'
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import type { BatchListLine } from '../../../contracts/batch'
import WallRow from './WallRow.vue'
import { yearOf } from '../../../core/maths/time/moments'
import { useSettings } from '../../stores/settings'

const settings = useSettings()
const props = defineProps<{
  /** Batches read so far, newest first. */
  batches: readonly BatchListLine[]
  /** True where there are older ones. */
  more: boolean
  /** Ids laid aside to be compared. */
  picked: readonly string[]
  /** True where not all are of one dish: then each says its name. */
  named: boolean
}>()

const emit = defineEmits<{
  /** Older ones are wanted. */
  older: []
  /** One is laid aside, or put back. */
  pick: [id: string]
  /** One is looked at. */
  open: [id: string]
}>()

const CELL = 118
const HEADING = 46
const ROW = { named: 214, plain: 180 } as const
/** A heading and a row, the closest that rows can lie on average, px; and rows beyond the screen. */
const LEAST_APART = 110
const ROOM = 10
/** Older ones are asked for when so many rows are left. */
const AHEAD = 4

type Row = { readonly key: string, readonly year: string } | { readonly key: string, readonly cells: readonly BatchListLine[] }

let before: ReadonlyMap<string, Row> = new Map()
function sameCells(p: Row, q: Row): boolean {
  return 'cells' in p && 'cells' in q ? p.cells.length === q.cells.length && p.cells.every((cell, i) => cell === q.cells[i]) : 'year' in p && 'year' in q
}

const wall = ref<HTMLElement | null>(null)
const { width } = useElementSize(wall)
const screen = useWindowSize()
const across = computed(() => Math.max(2, Math.floor((width.value || 1200) / CELL)))
const rows = computed(() => {
  const made: Row[] = []
  let current = ''
  let cells: BatchListLine[] = []
  const put = (): void => {
    if (cells.length > 0) made.push({ key: cells[0]!.id, cells })
    cells = []
  }
  for (const batch of props.batches) {
    const of = String(yearOf(batch.startedAt, settings.zone))
    if (of !== current) {
      put()
      made.push({ key: of, year: of })
      current = of
    }
    cells.push(batch)
    if (cells.length === across.value) put()
  }
  put()
  // A row that holds the same batches stays the same object, and is not drawn again.
  const stay = made.map((row) => {
    const old = before.get(row.key)
    return old && sameCells(old, row) ? old : row
  })
  before = new Map(stay.map(row => [row.key, row]))
  return stay
})
const offset = ref(0)
onMounted(() => void nextTick(() => {
  offset.value = wall.value?.offsetTop ?? 0
}))
const height = (i: number): number => {
  const row = rows.value[i]
  return row && 'year' in row ? HEADING : props.named ? ROW.named : ROW.plain
}
const virtual = useWindowVirtualizer(computed(() => ({
  count: rows.value.length, estimateSize: height, overscan: 2, scrollMargin: offset.value, getItemKey: (i: number) => rows.value[i]?.key ?? i,
})))
watch(() => [across.value, props.named], () => virtual.value.measure())
/** Rows that leave on one side come in again on the other, with other batches: making them anew costs far more. */
const pool = computed(() => Math.ceil(screen.height.value / LEAST_APART) + ROOM)
const shown = computed(() => virtual.value.getVirtualItems().map(({ index, start, size }) => ({ index, start, size, row: rows.value[index] })))
watch(() => [shown.value.at(-1)?.index ?? 0, rows.value.length], ([last, all]) => {
  if (props.more && (last ?? 0) >= (all ?? 0) - AHEAD) emit('older')
}, { immediate: true })

const dark = usePreferredDark()
const colours = ref({ line: '#b9c3cd', wall: '#e9eef1' })
function readColours(): void {
  const style = getComputedStyle(document.documentElement)
  colours.value = { line: style.getPropertyValue('--line').trim(), wall: style.getPropertyValue('--wall').trim() }
}
onMounted(readColours)
watch(dark, () => void nextTick(readColours))
</script>

<template>
  <div
    ref="wall"
    class="wall"
    :class="{ unmeasured: width === 0 }"
    :style="{ height: `${virtual.getTotalSize()}px` }"
  >
    <div
      v-for="item in shown"
      :key="item.index % pool"
      v-memo="[item.row, item.start, across, width, offset, picked, named, colours]"
      class="row"
      :style="{ transform: `translateY(${item.start - offset}px)`, height: `${item.size}px` }"
    >
      <h2 v-if="item.row && 'year' in item.row">
        {{ item.row.year }}
      </h2>
      <WallRow
        v-else-if="item.row"
        :cells="item.row.cells"
        :across="across"
        :width="Math.round(width)"
        :named="named"
        :picked="picked"
        :colours="colours"
        @pick="id => emit('pick', id)"
        @open="id => emit('open', id)"
      />
    </div>
  </div>
</template>

<style scoped>
/* Before its width is known it would be laid out only to move at once. */
.unmeasured { visibility: hidden; }
.wall { position: relative; }
.row { position: absolute; top: 0; left: 0; width: 100%; contain: strict; }
h2 { font-size: 1.15rem; padding-top: 14px; color: var(--ink-soft); }
</style>
