<script setup lang="ts">
import { create } from 'qrcode'
import { computed } from 'vue'

const props = defineProps<{
  /** The address a telephone opens. */
  address: string
}>()

/** Quiet zone of a QR code, modules (ISO/IEC 18004). */
const QUIET = 4
const code = computed(() => {
  const { modules } = create(props.address, { errorCorrectionLevel: 'M' })
  const size = modules.size
  let path = ''
  for (let y = 0; y < size; y++) for (let x = 0; x < size; x++) if (modules.get(y, x)) path += `M${x + QUIET} ${y + QUIET}h1v1h-1z`
  return { path, size: size + 2 * QUIET }
})
</script>

<template>
  <figure>
    <svg
      :viewBox="`0 0 ${code.size} ${code.size}`"
      role="img"
      :aria-label="`QR code for ${address}`"
      shape-rendering="crispEdges"
    >
      <rect
        :width="code.size"
        :height="code.size"
        fill="#ffffff"
      />
      <path
        :d="code.path"
        fill="#000000"
      />
    </svg>
    <figcaption>{{ address }}</figcaption>
  </figure>
</template>

<style scoped>
figure { margin: 0; display: grid; gap: 6px; justify-items: start; }
svg { width: 220px; height: 220px; border: 2px solid var(--ink); }
figcaption { font-size: 1.3rem; font-weight: 600; overflow-wrap: anywhere; }
</style>
