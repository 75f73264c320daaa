<script setup lang="ts">
import type { HeardDevice } from '../../../../contracts/device'
import type { CookPlan } from '../../../../core/live/plan'
import { vesselText } from '../../../../words/cook'
import { DEVICE_WORDS } from '../../../../words/devices'

defineProps<{
  /** The plan of the cook. */
  plan: CookPlan
  /** Vessels a device can stand in. */
  vessels: readonly string[]
  /** Devices heard of lately. */
  devices: readonly HeardDevice[]
}>()

const emit = defineEmits<{
  /** A device stands in this cook's vessel. */
  link: [device: string, vessel: string]
}>()
</script>

<template>
  <fieldset v-if="devices.length > 0">
    <legend>Scale, probe, camera</legend>
    <p
      v-for="one in devices"
      :key="one.device"
      class="device"
    >
      <span>{{ one.name || DEVICE_WORDS[one.kind] }} <span class="soft">{{ one.cook === plan.id ? `reads ${vesselText(plan, one.vessel ?? vessels[0] ?? 'pan')}` : 'stands elsewhere' }}</span></span>
      <span class="marks">
        <button
          v-for="vessel in vessels"
          :key="vessel"
          class="stone-button"
          :aria-pressed="one.cook === plan.id && (one.vessel ?? vessels[0]) === vessel"
          @click="emit('link', one.device, vessel)"
        >
          in {{ vesselText(plan, vessel) }}
        </button>
      </span>
    </p>
  </fieldset>
</template>

<style scoped>
fieldset { border: 0; padding: 0; margin: 0; min-width: 0; }
legend { font-weight: 600; padding: 0 0 0.3rem; display: block; }
.device { display: grid; gap: 4px; }
.marks { display: flex; flex-wrap: wrap; gap: 8px; }
.marks .stone-button { min-height: 56px; padding-inline: 0.8rem; }
</style>
