<script setup lang="ts">
import { useEventListener, useMediaQuery } from '@vueuse/core'
import { computed } from 'vue'

const props = defineProps<{
  /** True while it is open. */
  open: boolean
  /** What it is about: its heading. */
  title: string
  /** Where it stands on a wide screen, so that what it changes is seen beside it; on a narrow one always below. */
  side: 'below' | 'right'
}>()

const emit = defineEmits<{
  /** It was closed: by its cross, by Escape. */
  close: []
}>()
/** What belongs to a drawer though it does not stand in it: lists that drop from its fields, and what is asked above it. */
const ITS_OWN = '.panel-drawer, .el-popper, .el-overlay-dialog'
// Whoever goes on beside it has done with it: a drawer that stayed would keep the keyboard to itself.
useEventListener(document, 'pointerdown', (event) => {
  if (props.open && event.target instanceof Element && event.target.isConnected && !event.target.closest(ITS_OWN)) emit('close')
}, { capture: true })

const narrow = useMediaQuery('(max-width: 1000px)')
const below = computed(() => narrow.value || props.side === 'below')
</script>

<template>
  <ElDrawer
    :model-value="open"
    :title="title"
    :direction="below ? 'btt' : 'rtl'"
    :size="below ? 'auto' : '440px'"
    :modal="false"
    modal-penetrable
    :lock-scroll="false"
    destroy-on-close
    class="panel-drawer"
    @close="emit('close')"
  >
    <slot />
  </ElDrawer>
</template>

<style>
/* The drawer stands at the end of the page: no mark of ours reaches it but its class. */
.panel-drawer.btt { max-height: 58dvh; }
.panel-drawer.btt .el-drawer__body { max-width: 1280px; width: 100%; margin: 0 auto; }
</style>
