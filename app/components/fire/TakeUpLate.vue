<script setup lang="ts">
import { computed, ref } from 'vue'
import type { FireState } from '../../composables/fireState'
import { stageBegunText } from '../../../words/stages'
import type { Marks } from './panel'
import SegmentedChoice from '../SegmentedChoice.vue'

const props = defineProps<{
  /** State of the fire screen, before the start. */
  fire: Pick<FireState, 'forecast' | 'line'>
}>()

const emit = defineEmits<Marks>()

const open = ref(false)
const stage = ref<string | null>(null)
const minutes = ref(5)
const MOST_MINUTES = 120
const line = computed(() => props.fire.line.value)

function change(by: number): void {
  minutes.value = Math.min(MOST_MINUTES, Math.max(0, minutes.value + by))
}

/** What went before is taken to have lasted as the plan forecast. */
function takeUp(): void {
  const k = line.value.findIndex(one => one.id === stage.value)
  const began = line.value[k]
  if (!began) return
  const agoS = minutes.value * 60
  const before = props.fire.forecast.value?.stages[k]?.middle ?? 0
  emit('mark', { kind: 'cook.started', payload: { agoS: Math.round(agoS + before) } })
  if (k > 0) emit('mark', { kind: 'stage.began', payload: { stage: began.id, agoS } })
}
</script>

<template>
  <section
    class="slab"
    aria-label="Already under way"
  >
    <ElButton
      v-if="!open"
      @click="open = true"
    >
      Already under way?
    </ElButton>
    <template v-else>
      <h2>Where is it?</h2>
      <SegmentedChoice
        label="Where is it?"
        :chosen="stage"
        :options="line.map(one => ({ value: one.id, label: stageBegunText(one) }))"
        @choose="value => stage = value"
      />
      <p class="row since">
        <ElButton
          aria-label="One minute less"
          @click="change(-1)"
        >
          −1
        </ElButton>
        <span class="minutes">{{ minutes }} min ago</span>
        <ElButton
          aria-label="One minute more"
          @click="change(1)"
        >
          +1
        </ElButton>
        <ElButton
          aria-label="Five minutes more"
          @click="change(5)"
        >
          +5
        </ElButton>
      </p>
      <ElButton
        type="primary"
        :disabled="stage === null"
        @click="takeUp"
      >
        Take it up from there
      </ElButton>
    </template>
  </section>
</template>

<style scoped>
.row { display: flex; flex-wrap: wrap; gap: 8px; margin: 6px 0; align-items: center; }
.el-button { min-height: 56px; }
.minutes { font-size: 1.6rem; min-width: 6.5em; text-align: center; }
</style>
