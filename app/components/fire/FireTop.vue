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
    <HouseMark :size="34" />
    <h1>{{ plan.dish.name }}</h1>
    <p class="facts soft">
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
