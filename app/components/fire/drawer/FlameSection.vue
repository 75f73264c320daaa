<script setup lang="ts">
import type { CookPlan } from '../../../../core/live/plan'
import { vesselText } from '../../../../words/cook'

defineProps<{
  /** The plan of the cook. */
  plan: CookPlan
  /** Vessels, the main line's first. */
  vessels: readonly string[]
  /** How flame and lid of each vessel stand now. */
  flames: Readonly<Record<string, { readonly mark: string, readonly lid: boolean }>>
}>()

const emit = defineEmits<{
  /** Something was marked. */
  mark: [kind: string, payload: Readonly<Record<string, unknown>>]
}>()
</script>

<template>
  <fieldset
    v-for="(vessel, i) in vessels"
    :key="vessel"
  >
    <legend>{{ plan.fires[vessel]?.name }} under {{ vesselText(plan, vessel) }}</legend>
    <div class="marks">
      <button
        class="stone-button"
        :aria-pressed="flames[vessel]?.mark === 'off'"
        @click="emit('mark', 'flame.changed', { vessel, mark: 'off' })"
      >
        off
      </button>
      <button
        v-for="mark in plan.fires[vessel]?.marks ?? []"
        :key="mark.id"
        class="stone-button"
        :aria-pressed="flames[vessel]?.mark === mark.id"
        @click="emit('mark', 'flame.changed', { vessel, mark: mark.id })"
      >
        {{ mark.label }}
      </button>
      <button
        class="stone-button"
        :aria-pressed="flames[vessel]?.lid ?? false"
        :aria-label="`${flames[vessel]?.lid ? 'Lid is on' : 'Lid is off'}, ${vesselText(plan, vessel)}`"
        @click="emit('mark', 'lid.changed', { vessel, lid: !(flames[vessel]?.lid ?? false) })"
      >
        {{ flames[vessel]?.lid ? 'Lid is on' : 'Lid is off' }}
      </button>
      <button
        v-if="i === 0"
        class="stone-button"
        @click="emit('mark', 'off.fire', { vessel })"
      >
        Taken off the fire
      </button>
    </div>
  </fieldset>
</template>

<style scoped>
fieldset { border: 0; padding: 0; margin: 0; min-width: 0; }
legend { font-weight: 600; padding: 0 0 0.3rem; display: block; }
.marks { display: flex; flex-wrap: wrap; gap: 8px; }
.marks .stone-button { min-height: 56px; min-width: 56px; padding-inline: 0.8rem; }
</style>
