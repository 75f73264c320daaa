<script setup lang="ts">
import { computed } from 'vue'
import { gramsText } from '../../composables/format'
import type { LiquidAccount } from '../../../core/formulation/proportions/liquidAccount'
import { scaleLinear } from 'd3-scale'
import { stack } from 'd3-shape'

const props = defineProps<{
  /** The account, g. */
  account: LiquidAccount
  /** Name of an ingredient of the dish. */
  nameOf: (id: string) => string
  /** True where the total is held when something changes. */
  hold: boolean
}>()

const emit = defineEmits<{
  /** Whether the total is to be held. */
  hold: [on: boolean]
}>()

/** Length of the bar and the joint between two parts, drawing units. */
const WIDTH = 1000
const JOINT = 3
const SAID = { melts: 'melts the', steeps: 'steeps the', brings: 'comes with the' } as const
const parts = computed(() => {
  const { lines, toPourG, totalG } = props.account
  const all = [
    ...lines.filter(line => line.what !== 'brings').map(line => ({ id: `${line.what}-${line.id}`, kind: 'taken', waterG: line.waterG, text: `${SAID[line.what]} ${props.nameOf(line.id)}` })),
    { id: 'pour', kind: 'pour', waterG: toPourG, text: 'still to pour' },
    ...lines.filter(line => line.what === 'brings').map(line => ({ id: `${line.what}-${line.id}`, kind: 'brings', waterG: line.waterG, text: `${SAID[line.what]} ${props.nameOf(line.id)}` })),
  ].filter(one => one.waterG >= 1)
  const spans = stack<Readonly<Record<string, number>>>().keys(all.map(one => one.id))([Object.fromEntries(all.map(one => [one.id, one.waterG]))])
  const x = scaleLinear([0, Math.max(1, totalG)], [0, WIDTH])
  return all.map((one, i) => ({ ...one, from: x(spans[i]![0]![0]), to: x(spans[i]![0]![1]) }))
})
</script>

<template>
  <section
    class="liquid"
    aria-label="Water of the whole dish"
  >
    <p>
      Water of the dish <strong>{{ gramsText(account.totalG) }}</strong>
      <template v-if="account.plainG > 0">
        · still to pour <strong class="pour">{{ gramsText(account.toPourG) }}</strong>
      </template>
      <ElCheckbox
      class="hold"
      :model-value="hold"
      label="keep the total when something changes"
      @change="value => emit('hold', value === true)"
    />
    </p>
    <svg
      class="bar"
      :viewBox="`0 0 ${WIDTH} 22`"
      preserveAspectRatio="none"
      aria-hidden="true"
    >
      <rect
        v-for="one in parts"
        :key="one.id"
        :class="one.kind"
        :x="one.from"
        :width="Math.max(2, one.to - one.from - JOINT)"
        height="22"
      />
    </svg>
    <p class="soft small">
      <span
        v-for="one in parts"
        :key="one.id"
        class="part"
      ><span
        class="key"
        :class="one.kind"
      />{{ gramsText(one.waterG) }} {{ one.text }}</span>
    </p>
    <p
      v-if="account.overdrawn"
      class="danger"
    >
      More water is taken for melting and steeping than the dish has: add some, or melt the jaggery in the milk-free part of it.
    </p>
  </section>
</template>

<style scoped>
.liquid { contain: layout style; display: grid; gap: 4px; }
.bar { display: block; width: 100%; height: 16px; }
rect.taken, .key.taken { fill: var(--ink-soft); background: var(--ink-soft); }
rect.pour, .key.pour { fill: var(--accent); background: var(--accent); }
rect.brings, .key.brings { fill: var(--water); background: var(--water); }
.part { white-space: nowrap; margin-right: 18px; display: inline-flex; align-items: center; gap: 6px; }
.key { width: 11px; height: 11px; display: inline-block; }
.hold { margin-left: 16px; color: var(--ink-soft); font-size: 0.9375rem; }
@media (max-width: 420px) {
  .hold { margin-left: 0; }
  .part { white-space: normal; }
}
</style>
