<script setup lang="ts">
import { computed } from 'vue'
import { useSayAmount } from '../../composables/houseAmounts'
import { baseIds } from '../../../core/formulation/dish/basesOf'
import type { CookPlan } from '../../../core/record/plan/plan'
import HouseMark from '../HouseMark.vue'

const props = defineProps<{
  /** The plan of the cook. */
  plan: CookPlan
  /** Its main vessel. */
  main: string
  /** Whether everything marked is on the hearth, in words. */
  kept: string
  /** True where sounds or spoken cues are on. */
  sounding: boolean
  /** True where this device can speak. */
  canSpeak: boolean
  /** True in the view for two metres. */
  far: boolean
}>()

const emit = defineEmits<{
  /** All sounds off, or on again. */
  quiet: []
  /** The cue is to be heard once. */
  whatNow: []
  /** To the far view, or back. */
  far: []
}>()

const say = useSayAmount(() => props.plan.cup)
const bases = computed(() => baseIds(props.plan.dish).flatMap((id) => {
  const amount = props.plan.amounts.find(one => one.id === id)
  return amount ? [say(amount.ingredient, amount.massG)] : []
}))
/** What it is made from, and on what; there is room for two bases, or for one with its pan and fire. */
const facts = computed(() => (bases.value.length > 1
  ? bases.value.join(' + ')
  : [...bases.value, props.plan.vessels[props.main]?.name.toLowerCase(), props.plan.fires[props.main]?.name.toLowerCase()].join(' · ')))
</script>

<template>
  <header class="top">
    <HouseMark
      class="mark"
      :size="34"
    />
    <h1>{{ plan.dish.name }}</h1>
    <p
      v-if="!far"
      class="facts soft"
    >
      {{ facts }}
    </p>
    <p
      class="kept soft"
      role="status"
    >
      {{ kept }}
    </p>
    <ElButton
      text
      :aria-pressed="!sounding"
      @click="emit('quiet')"
    >
      {{ sounding ? 'quiet' : 'sound on' }}
    </ElButton>
    <ElButton
      v-if="canSpeak"
      class="say"
      text
      @click="emit('whatNow')"
    >
      what now?
    </ElButton>
    <ElButton
      text
      :aria-pressed="far"
      @click="emit('far')"
    >
      {{ far ? 'near view' : 'far view' }}
    </ElButton>
  </header>
</template>

<style scoped>
.top { grid-area: top; display: flex; align-items: center; gap: 16px; min-height: 46px; }
.mark { fill: var(--ink); flex: none; }
h1, .kept, .el-button { white-space: nowrap; flex: none; }
h1 { font-size: 1.5rem; }
.el-button { min-height: 56px; }
.facts { flex: 1 1 0; min-width: 0; max-height: 2.6em; line-height: 1.25; overflow: hidden; }
.kept { margin-left: auto; }
@media (max-width: 1000px) { .facts { display: none; } }
@media (max-width: 700px) {
  .top { min-height: 30px; gap: 0 8px; display: grid; grid-template-columns: 1fr 1fr 1fr; }
  .mark { display: none; }
  h1 { font-size: 1.05rem; overflow: hidden; text-overflow: ellipsis; grid-column: span 2; }
  .el-button { font-size: 0.9375rem; padding-inline: 0.3rem; }
  .kept { font-size: 0.8125rem; overflow: hidden; text-overflow: ellipsis; }
}
@media (max-height: 520px) and (orientation: landscape) {
  .top { min-height: 34px; display: flex; gap: 8px; }
  .mark, .facts { display: none; }
  h1 { font-size: 1.05rem; overflow: hidden; text-overflow: ellipsis; flex: 0 1 auto; min-width: 0; }
}
@media (max-width: 420px) and (max-height: 420px) {
  .top { flex: none; display: flex; flex-wrap: wrap; }
  h1, .kept, .el-button { white-space: normal; flex: none; }
}
</style>
