<script setup lang="ts">
import { computed } from 'vue'
import { gramsText } from '../../composables/format'
import { vesselText } from '../../../words/cook'
import type { Marks } from './panel'
import type { FireState } from '../../composables/fireState'
import type { CookPlan } from '../../../core/record/plan/plan'

const props = defineProps<{
  /** What of the fire it is drawn from. */
  fire: Pick<FireState, 'cook'>
  /** The plan of the cook. */
  plan: CookPlan
}>()

const emit = defineEmits<Marks>()

const last = computed(() => props.fire.cook.value?.unsure.at(-1) ?? null)
const tareG = computed(() => props.plan.vessels[last.value?.what.vessel ?? '']?.vessel.massG ?? 0)
function itIs(grossG: number): void {
  if (last.value) emit('mark', { kind: 'corrected', payload: { replaces: last.value.id, kind: 'weighed', payload: { vessel: last.value.what.vessel, grossG } } })
}
</script>

<template>
  <section
    v-if="last"
    class="slab"
    role="status"
    data-slab="unsure"
  >
    <h2>The scale says {{ gramsText(last.what.readG) }}</h2>
    <p class="soft">
      That does not fit {{ vesselText(plan, last.what.vessel) }}. What is it?
    </p>
    <p class="row">
      <ElButton @click="itIs(last.what.readG)">
        With the pan
      </ElButton>
      <ElButton @click="itIs(last.what.readG + tareG)">
        Without the pan
      </ElButton>
      <ElButton @click="emit('mark', { kind: 'withdrawn', payload: { replaces: last.id } })">
        Neither
      </ElButton>
    </p>
  </section>
</template>

<style scoped>
.row { display: flex; flex-wrap: wrap; gap: 8px; margin-top: 6px; }
.row .el-button { min-height: 56px; }
</style>
