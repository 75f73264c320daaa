<script setup lang="ts">
import type { HeardDevice } from '../../../../contracts/device'
import type { CookPlan } from '../../../../core/record/plan/plan'
import { vesselText } from '../../../../words/cook'
import { DEVICE_WORDS } from '../../../../words/devices'
import ChoiceRow from './ChoiceRow.vue'

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
  <ChoiceRow
    v-for="one in devices"
    :key="one.device"
    :legend="`${one.name || DEVICE_WORDS[one.kind]}: ${one.cook === plan.id ? `reads ${vesselText(plan, one.vessel ?? vessels[0] ?? 'pan')}` : 'stands elsewhere'}`"
    :choices="vessels.map(key => ({ key, text: `in ${vesselText(plan, key)}`, pressed: one.cook === plan.id && (one.vessel ?? vessels[0]) === key }))"
    @choose="vessel => emit('link', one.device, vessel)"
  />
</template>
