<script setup lang="ts">
import { computed } from 'vue'
import { degreesText, gramsText } from '../../composables/format'
import type { CookPlan } from '../../../core/record/plan/plan'
import { syrupAim } from '../../../core/cook/guidance/syrupAim'
import { DISH_VESSEL_WORDS } from '../../../words/stages'
import { grainingText, SETS_WORDS } from '../../../words/syrup'

const props = defineProps<{
  /** The plan, with its altitude. */
  plan: CookPlan
}>()

const aims = computed(() => props.plan.dish.stages.flatMap((stage) => {
  const aim = stage.does === 'boil-syrup' ? syrupAim(props.plan, stage) : null
  return aim ? [aim] : []
}))
</script>

<template>
  <section
    v-for="aim in aims"
    :key="aim.vessel"
    class="syrup"
  >
    <h3>The syrup, {{ SETS_WORDS[aim.sets] }}</h3>
    <p>
      {{ Math.round(aim.share * 100) }} % sugar: <strong>{{ degreesText(aim.tempC) }}</strong> by your thermometer at this height, or <template v-if="aim.grossG !== null">
        <strong>{{ gramsText(aim.grossG) }}</strong> with its {{ DISH_VESSEL_WORDS[aim.vessel] ?? aim.vessel }} on the scale{{ plan.vessels[aim.vessel]?.massGuessed ? ', whose own weight is a guess' : '' }}.
      </template> {{ grainingText(aim.graining) }}
    </p>
  </section>
</template>

<style scoped>
.syrup { display: grid; gap: 2px; padding: 8px 0 10px; border-bottom: 1px solid var(--line); }
p { margin: 0; }
</style>
