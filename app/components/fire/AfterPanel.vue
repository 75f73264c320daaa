<script setup lang="ts">
import { faultsAtEnd } from '../../../core/cook/faults/faultsOf'
import type { LiveCook } from '../../../core/record/marks/liveCook'
import type { CookPlan } from '../../../core/record/plan/plan'
import FinishForm from '../FinishForm.vue'
import type { Marks } from './panel'
import StepList from './StepList.vue'
import type { AnyMark } from '../../../core/record/marks/kinds'

defineProps<{
  /** Id of the cook. */
  id: string
  /** Its plan. */
  plan: CookPlan
  /** The cook, finished. */
  cook: LiveCook
}>()

const emit = defineEmits<Marks>()
const send = (mark: AnyMark): void => emit('mark', mark)
</script>

<template>
  <div class="after">
    <StepList
      :plan="plan"
      :cook="cook"
      phase="after"
      @mark="send"
    />
    <FinishForm
      :offered="faultsAtEnd(plan.dish)"
      :faults="cook.outcome?.faults ?? []"
      :line="cook.outcome?.line ?? ''"
      @outcome="(faults, text) => emit('mark', { kind: 'outcome', payload: { faults, line: text } })"
    />
    <NuxtLink
      class="stone-button first"
      :to="`/tray/${id}`"
    >
      To the tray: shape, serve, keep
    </NuxtLink>
    <NuxtLink
      class="stone-button"
      :to="`/ledger/${id}`"
    >
      See it in the ledger
    </NuxtLink>
  </div>
</template>

<style scoped>
.after { display: grid; gap: 16px; }
</style>
