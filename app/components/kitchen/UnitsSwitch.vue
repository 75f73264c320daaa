<script setup lang="ts">
import { celsiusOfHouse, degreesOfHouse } from '../../composables/format'
import type { ClockFormat } from '../../stores/settings'
import ChoiceSelect from '../ChoiceSelect.vue'
import DraftField from '../DraftField.vue'
import SegmentedChoice from '../SegmentedChoice.vue'

const ZONES = Intl.supportedValuesOf('timeZone').map(value => ({ value, label: value.replaceAll('_', ' ') }))
const UNITS = [{ value: 'metric', label: 'g and °C' }, { value: 'imperial', label: 'oz, lb and °F' }] as const
const CLOCKS = [{ value: '24', label: '19:05' }, { value: '12', label: '7:05 pm' }] as const

defineProps<{
  /** Units in use on all screens. */
  units: 'metric' | 'imperial'
  /** Money of the household. */
  currency: string
  /** How warm the kitchen is on a cooking day, °C. */
  roomC: number
  /** Time zone of the house. */
  zone: string
  /** How times are written. */
  clock: ClockFormat
}>()

const LEAST_C = 8
const MOST_C = 50

const emit = defineEmits<{
  /** Other units were chosen. */
  units: [units: 'metric' | 'imperial']
  /** Another name for the money. */
  currency: [currency: string]
  /** The kitchen is so warm, °C. */
  room: [roomC: number]
  /** Times are written so from now on. */
  times: [values: { readonly zone?: string, readonly clock?: ClockFormat }]
}>()
</script>

<template>
  <div
    class="units"
    role="group"
    aria-label="Numbers on all screens"
  >
    <span class="soft">Numbers on all screens</span>
    <SegmentedChoice
      label="Weights and temperatures"
      :chosen="units"
      :options="UNITS"
      @choose="value => emit('units', value)"
    />
    <label class="soft">money is called <DraftField
      class="money"
      :value="currency"
      maxlength="4"
      @set="value => emit('currency', value.trim().slice(0, 4))"
    /></label>
    <label class="soft">the kitchen is at <ElInputNumber
      :model-value="Math.round(degreesOfHouse(roomC))"
      :min="Math.round(degreesOfHouse(LEAST_C))"
      :max="Math.round(degreesOfHouse(MOST_C))"
      @change="value => value !== undefined && emit('room', celsiusOfHouse(Number(value)))"
    /> {{ units === 'imperial' ? '°F' : '°C' }} while you cook</label>
    <span class="pair"><span class="soft">times are written</span><SegmentedChoice
      label="How times are written"
      :chosen="clock"
      :options="CLOCKS"
      @choose="value => emit('times', { clock: value })"
    /></span>
    <span class="pair"><span class="soft">by the clock of</span><ChoiceSelect
      class="zone"
      label="Time zone of the house"
      :chosen="zone"
      :options="ZONES.some(one => one.value === zone) ? ZONES : [{ value: zone, label: zone }, ...ZONES]"
      @choose="value => emit('times', { zone: value })"
    /></span>
  </div>
</template>

<style scoped>
.pair { display: flex; align-items: center; gap: 10px; }
.zone { min-width: 240px; }
.units { display: flex; flex-wrap: wrap; gap: 8px 12px; align-items: center; }
.money { width: 70px; }
</style>
