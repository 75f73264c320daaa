<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Fire } from '../../composables/fire'
import { stageBegunText } from '../../../words/stages'
import type { Marks } from './panel'

const props = defineProps<{
  /** State of the fire screen, before the start. */
  fire: Fire
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
  if (k < 0) return
  const agoS = minutes.value * 60
  const before = props.fire.forecast.value?.stages[k]?.middle ?? 0
  emit('mark', 'cook.started', { agoS: Math.round(agoS + before) })
  if (k > 0) emit('mark', 'stage.began', { stage: stage.value, agoS })
}
</script>

<template>
  <section
    class="slab"
    aria-label="Already under way"
  >
    <button
      v-if="!open"
      class="stone-button"
      @click="open = true"
    >
      Already under way?
    </button>
    <template v-else>
      <h2>Where is it?</h2>
      <p class="row">
        <button
          v-for="one in line"
          :key="one.id"
          class="stone-button"
          :aria-pressed="stage === one.id"
          @click="stage = one.id"
        >
          {{ stageBegunText(one) }}
        </button>
      </p>
      <p class="row since">
        <button
          class="stone-button"
          aria-label="One minute less"
          @click="change(-1)"
        >
          −1
        </button>
        <span class="minutes">{{ minutes }} min ago</span>
        <button
          class="stone-button"
          aria-label="One minute more"
          @click="change(1)"
        >
          +1
        </button>
        <button
          class="stone-button"
          aria-label="Five minutes more"
          @click="change(5)"
        >
          +5
        </button>
      </p>
      <button
        class="stone-button first"
        :disabled="stage === null"
        @click="takeUp"
      >
        Take it up from there
      </button>
    </template>
  </section>
</template>

<style scoped>
.row { display: flex; flex-wrap: wrap; gap: 8px; margin: 6px 0; align-items: center; }
.stone-button { min-height: 56px; }
.minutes { font-size: 1.6rem; min-width: 6.5em; text-align: center; }
</style>
