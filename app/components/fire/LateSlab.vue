<script setup lang="ts">
import { computed } from 'vue'
import { lateText, lateWayText } from '../../../words/late'
import type { FireState } from '../../composables/fireState'
import type { CookPlan } from '../../../core/record/plan/plan'

const props = defineProps<{
  /** What of the fire it is drawn from. */
  fire: Pick<FireState, 'cook' | 'cue'>
  /** The plan of the cook. */
  plan: CookPlan
}>()

/** What is late, and what can still be done. */
const late = computed(() => {
  const found = props.fire.cue.value?.late
  const stage = found && props.plan.dish.stages.find(one => one.id === found.stage)
  if (!found || !stage) return null
  const unlit = stage.meets !== undefined && props.fire.cook.value?.lit[stage.vessel] === undefined
  return { text: `${lateText(found)}.`, way: lateWayText(stage, unlit) }
})
</script>

<template>
  <section
    v-if="late"
    class="slab warn"
  >
    <h2 class="danger">
      Late
    </h2>
    <p class="next">
      {{ late.way }}
    </p>
    <p class="soft">
      {{ late.text }}
    </p>
  </section>
</template>

<style scoped>
.next { font-size: 1.3rem; line-height: 1.3; }
</style>
