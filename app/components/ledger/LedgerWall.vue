<script setup lang="ts">
import { useWindowVirtualizer } from '@tanstack/vue-virtual'
import { useElementSize, usePreferredDark } from '@vueuse/core'
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import type { BatchListLine } from '../../../contracts/batch'
import { clockText, dayText, gramsText } from '../../composables/format'
import { FAULT_WORDS } from '../../../words/cook'
import WallArch from './WallArch.vue'

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

/** Plain links, as hundreds of them come and go while the wall is scrolled; with a key held down they are the browser's. */
function open(event: MouseEvent, id: string): void {
  if (event.button !== 0 || event.metaKey || event.ctrlKey || event.shiftKey || event.altKey) return
  event.preventDefault()
  emit('open', id)
}

const CELL = 118
const HEADING = 46
const ROW = { named: 214, plain: 180 } as const
/** Older ones are asked for when so many rows are left. */
const AHEAD = 4

type Row = { readonly key: string, readonly year: string } | { readonly key: string, readonly cells: readonly BatchListLine[] }

const wall = ref<HTMLElement | null>(null)
const { width } = useElementSize(wall)
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
    const of = String(new Date(batch.startedAt).getFullYear())
    if (of !== current) {
      put()
      made.push({ key: of, year: of })
      current = of
    }
    cells.push(batch)
    if (cells.length === across.value) put()
  }
  put()
  return made
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
const shown = computed(() => virtual.value.getVirtualItems().map(({ index, key, start }) => ({ index, key, start, row: rows.value[index] })))
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
function says(batch: BatchListLine): string {
  const { faults, finishedG } = batch.summary
  return faults.length > 0 ? faults.map(one => FAULT_WORDS[one] ?? one).join(', ') : finishedG === null ? '' : gramsText(finishedG)
}
</script>

<template>
  <div
    ref="wall"
    class="wall"
    :style="{ height: `${virtual.getTotalSize()}px` }"
  >
    <div
      v-for="item in shown"
      :key="String(item.key)"
      class="row"
      :style="{ transform: `translateY(${item.start - offset}px)` }"
    >
      <h2 v-if="item.row && 'year' in item.row">
        {{ item.row.year }}
      </h2>
      <ul
        v-else-if="item.row"
        :style="{ gridTemplateColumns: `repeat(${across}, 1fr)` }"
      >
        <li
          v-for="batch in item.row.cells"
          :key="batch.id"
          :class="{ picked: picked.includes(batch.id) }"
        >
          <a
            :href="`/ledger/${batch.id}`"
            @click="event => open(event, batch.id)"
          >
            <span class="stand"><WallArch
              :picture="batch.summary"
              :line="colours.line"
              :wall="colours.wall"
            /><span
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
            <span class="visually-hidden">turned at {{ clockText(batch.summary.keystoneS ?? 0) }}</span>
          </a>
          <button
            class="pick"
            :aria-pressed="picked.includes(batch.id)"
            :aria-label="`Lay ${batch.dish} of ${dayText(batch.startedAt)} aside to compare`"
            @click="emit('pick', batch.id)"
          >
            {{ picked.includes(batch.id) ? '✓' : '+' }}
          </button>
        </li>
      </ul>
    </div>
  </div>
</template>

<style scoped>
.wall { position: relative; }
.row { position: absolute; top: 0; left: 0; width: 100%; contain: layout; }
h2 { font-size: 1.15rem; padding-top: 14px; color: var(--ink-soft); }
ul { list-style: none; margin: 0; padding: 0; display: grid; }
li { position: relative; padding-bottom: 8px; }
a { display: grid; text-align: center; text-decoration: none; line-height: 1.25; }
.stand { position: relative; display: block; border-bottom: 4px solid var(--ink); }
.picked .stand { border-color: var(--accent); }
.lozenge { position: absolute; left: 50%; bottom: 4px; width: 15px; height: 15px; border: 3px solid var(--danger); background: var(--wall); transform: translateX(-50%) rotate(45deg); }
.dish { display: -webkit-box; -webkit-line-clamp: 2; -webkit-box-orient: vertical; overflow: hidden; margin-top: 4px; font-weight: 600; font-size: 0.9375rem; line-height: 1.15; padding: 0 4px; }
.day { font-weight: 600; }
.dish + .day { font-weight: 450; }
.says { overflow: hidden; text-overflow: ellipsis; white-space: nowrap; padding: 0 4px; }
a:hover .day { text-decoration: underline; text-underline-offset: 3px; }
.pick { position: absolute; top: 0; right: 2px; width: 40px; height: 40px; border: 2px solid transparent; background: transparent; font-weight: 700; font-size: 1.1rem; color: var(--ink-soft); cursor: pointer; border-radius: 2px; }
.pick:hover { border-color: var(--ink); color: var(--ink); }
.pick[aria-pressed="true"] { background: var(--accent); color: var(--on-accent); }
</style>
