<script setup lang="ts">
import { computed } from 'vue'
import { clockText } from '../../composables/format'
import { followStream } from '../../composables/cookStream'
import { useFire } from '../../composables/fire'
import { useCooks } from '../../stores/cooks'
import { cueText } from '../../../words/cook'

const props = defineProps<{
  /** Id of the other cook; it does not change. */
  id: string
}>()

const cooks = useCooks()
void cooks.load(props.id)
followStream(props.id, stored => cooks.receive(props.id, stored), () => void cooks.load(props.id), true)
const plan = computed(() => cooks.known[props.id]?.plan ?? null)
const fire = useFire(plan, computed(() => cooks.known[props.id]?.observations ?? []))
const cue = computed(() => (fire.cue.value && plan.value ? cueText(fire.cue.value, plan.value, fire.stage.value) : ''))
</script>

<template>
  <section
    v-if="plan && fire.running.value"
    class="slab"
    :aria-label="`Also on the fire: ${plan.dish.name}`"
  >
    <h2>Also on: {{ plan.dish.name }}</h2>
    <p class="big">
      {{ clockText(fire.nowS.value) }} · {{ cue }}
    </p>
    <NuxtLink
      class="stone-button"
      :to="`/fire/${id}`"
    >
      Go to it
    </NuxtLink>
  </section>
</template>

<style scoped>
.big { font-size: 1.5rem; line-height: 1.2; font-weight: 500; }
.stone-button { min-height: 56px; margin-top: 6px; }
</style>
