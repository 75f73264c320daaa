<script setup lang="ts">
import { computed } from 'vue'
import { surpriseText } from '../../../words/doubts'
import { planMarkText } from '../../../words/flames'
import type { Marks } from './panel'
import type { FireState } from '../../composables/fireState'
import type { CookPlan } from '../../../core/record/plan/plan'

const props = defineProps<{
  /** What of the fire it is drawn from. */
  fire: Pick<FireState, 'cook' | 'main' | 'nowS' | 'surprise'>
  /** The plan of the cook. */
  plan: CookPlan
}>()

const emit = defineEmits<Marks>()

const found = computed(() => props.fire.surprise.value)
/** The flame was so since the stage began. */
const agoS = computed(() => {
  const cook = props.fire.cook.value
  return cook ? Math.max(0, Math.round(props.fire.nowS.value - (cook.stageStarts[cook.stage] ?? 0)) - 1) : 0
})
</script>

<template>
  <section
    v-if="found"
    class="slab doubt"
    role="status"
    data-slab="doubt"
  >
    <h2>Can that be?</h2>
    <p class="next">
      {{ surpriseText(plan, found) }}
    </p>
    <p class="row">
      <ElButton
        v-if="found.flame"
        @click="emit('mark', { kind: 'flame.changed', payload: { vessel: fire.main.value, mark: found.flame, agoS } })"
      >
        Yes, it is on {{ planMarkText(plan, found.flame) }}
      </ElButton>
      <ElButton @click="emit('mark', { kind: 'withdrawn', payload: { replaces: found.mark } })">
        A slip: take it back
      </ElButton>
      <ElButton @click="emit('mark', { kind: 'checked', payload: { what: 'flame' } })">
        It is so
      </ElButton>
    </p>
  </section>
</template>

<style scoped>
.doubt { border-top-width: 6px; }
.next { font-size: 1.2rem; }
.row { display: flex; flex-wrap: wrap; gap: 8px; margin-top: 6px; }
.row .el-button { min-height: 56px; }
</style>
