<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import type { FinishedMass } from '../../../core/cook/after/finishedMass'
import type { Shaping } from '../../../core/record/marks/afterFire'
import { bowlsOf } from '../../../core/formulation/tray/bowlsOf'
import type { Measure } from '../../../contracts/kitchen'
import { vesselShape } from '../../drawings/vesselShape'
import { gramsText } from '../../composables/format'
import LabelledChoice from '../LabelledChoice.vue'
import ShapePane from './ShapePane.vue'

const props = defineProps<{
  /** What was made. */
  mass: FinishedMass
  /** Cups of the house that can serve as moulds. */
  cups: readonly Measure[]
  /** Colour of the food, `#rrggbb`. */
  colour: string
  /** How it was moulded already, if it was. */
  shaped: Shaping | null
}>()

const emit = defineEmits<{
  /** It is pressed into bowls like this. */
  shape: [shaping: Extract<Shaping, { way: 'bowls' }>]
}>()

const MOST_DRAWN = 12
const id = ref(props.cups.find(one => props.shaped?.way === 'bowls' && one.volumeMl === props.shaped.bowlMl)?.id ?? props.cups[0]?.id ?? '')
const cup = computed(() => props.cups.find(one => one.id === id.value) ?? props.cups[0] ?? null)
const bowls = computed(() => (cup.value ? bowlsOf(props.mass.massG, props.mass.density, Math.max(20, cup.value.volumeMl)) : null))
const drawn = computed(() => {
  const of = cup.value
  if (!of || !bowls.value) return []
  const { full, lastMl } = bowls.value
  const count = Math.min(MOST_DRAWN, full + (lastMl > 1 ? 1 : 0))
  return Array.from({ length: count }, (_, i) => vesselShape(of.topMm, of.bottomMm, of.heightMm, i < full ? 1 : lastMl / Math.max(20, of.volumeMl)))
})
const send = useDebounceFn(() => {
  if (cup.value) emit('shape', { way: 'bowls', bowlMl: Math.max(20, cup.value.volumeMl) })
}, 900)
watch(id, send)
</script>

<template>
  <ShapePane v-if="cup && bowls">
    <template #drawn>
      <div
        class="row"
        role="img"
        :aria-label="`${bowls.full} full ${cup.name.toLowerCase()}s`"
      >
        <svg
          v-for="(one, i) in drawn"
          :key="i"
          :viewBox="`-4 -4 ${cup.topMm + 8} ${cup.heightMm + 8}`"
          :width="(cup.topMm + 8) * 1.3"
        >
          <path
            :d="one.content"
            :fill="colour"
          />
          <path
            class="wall"
            :d="one.wall"
          />
        </svg>
      </div>
    </template>
    <p class="count">
      <strong>{{ bowls.full }}</strong> full, <strong>{{ gramsText(bowls.eachG) }}</strong> each
    </p>
    <p>{{ bowls.lastMl > 1 ? `and ${gramsText(bowls.lastMl * mass.density)} in one more` : 'and nothing left over' }}</p>
    <LabelledChoice
      asks="Pressed into"
      :chosen="cup.id"
      :options="cups.map(one => ({ value: one.id, label: `${one.name}, ${one.volumeMl} ml` }))"
      @choose="value => id = value"
    />
    <p class="soft">
      Greased, pressed in while warm, turned out when it holds.
    </p>
    <slot />
  </ShapePane>
</template>

<style scoped>
.row { display: flex; flex-wrap: wrap; gap: 10px; align-items: end; }
.wall { stroke: var(--metal); stroke-width: 3; fill: none; }
</style>
