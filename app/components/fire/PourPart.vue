<script setup lang="ts">
import { computed } from 'vue'
import { gramsText } from '../../composables/format'
import { vesselText } from '../../../words/cook'
import type { Marks } from './panel'
import type { FireState } from '../../composables/fireState'
import type { CookPlan } from '../../../core/record/plan/plan'

const props = defineProps<{
  /** What of the fire it is drawn from. */
  fire: Pick<FireState, 'cook' | 'line'>
  /** The plan of the cook. */
  plan: CookPlan
}>()

const emit = defineEmits<Marks>()

const SHARES = [{ text: 'a little', share: 0.1 }, { text: 'a quarter', share: 0.25 }, { text: 'half', share: 0.5 }] as const
const cook = computed(() => props.fire.cook.value)
/** The last stage that poured from another vessel. */
const pour = computed(() => props.fire.line.value.slice(0, (cook.value?.stage ?? -1) + 1).filter(stage => stage.from !== undefined).at(-1) ?? null)
const heldG = computed(() => {
  const stage = props.plan.dish.stages.find(one => one.meets && one.vessel === pour.value?.from)
  return (stage?.adds ?? []).reduce((sum, add) => sum + (props.plan.amounts.find(one => one.id === add.ingredient)?.massG ?? 0) * add.share, 0)
})
const kept = computed(() => {
  const last = cook.value?.keptBack.filter(one => one.what.vessel === pour.value?.from).at(-1)
  return last && !cook.value?.restPoured.some(one => one.what === pour.value?.from) ? last.what.share : 0
})
const asks = computed(() => pour.value !== null && kept.value === 0 && cook.value?.uptakes.at(-1)?.what === 'no-more' && !cook.value.restPoured.some(one => one.what === pour.value?.from))
</script>

<template>
  <section
    v-if="pour && (asks || kept > 0)"
    class="slab"
    data-slab="kept-back"
  >
    <template v-if="kept > 0">
      <h2>{{ gramsText(heldG * kept) }} of {{ vesselText(plan, pour.from!) }} kept back</h2>
      <p class="soft">
        Keep it hot. In spoons later if the grain is still hard or it turns dry; else it stays out.
      </p>
      <ElButton @click="emit('mark', { kind: 'rest.poured', payload: { vessel: pour.from! } })">
        The rest is in
      </ElButton>
    </template>
    <template v-else>
      <h2>How much is left?</h2>
      <p class="row">
        <ElButton
          v-for="one in SHARES"
          :key="one.share"
          @click="emit('mark', { kind: 'kept.back', payload: { vessel: pour.from, share: one.share } })"
        >
          {{ one.text }}
        </ElButton>
      </p>
      <p class="soft">
        Of {{ gramsText(heldG) }}. What stays out, the forecast leaves out.
      </p>
    </template>
  </section>
</template>

<style scoped>
.row { display: flex; flex-wrap: wrap; gap: 8px; }
.el-button { min-height: 56px; }
</style>
