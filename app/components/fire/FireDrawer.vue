<script setup lang="ts">
import { computed } from 'vue'
import type { CookPlan } from '../../../core/record/plan/plan'
import type { LiveCook } from '../../../core/record/marks/liveCook'
import type { Fault } from '../../../core/cook/faults/faults'
import AddedSection from './drawer/AddedSection.vue'
import FlameSection from './drawer/FlameSection.vue'
import MarkedList from './drawer/MarkedList.vue'
import ReadingSection from './drawer/ReadingSection.vue'
import SeenSection from './drawer/SeenSection.vue'
import type { AnyMark } from '../../../core/record/marks/kinds'

const props = defineProps<{
  /** The plan of the cook. */
  plan: CookPlan
  /** The cook as it stands. */
  cook: LiveCook
  /** Vessel of the main line. */
  main: string
  /** Vessels beside it. */
  sides: readonly string[]
  /** How flame and lid of each vessel stand now. */
  flames: Readonly<Record<string, { readonly mark: string, readonly lid: boolean }>>
}>()

const emit = defineEmits<{
  /** Something was marked. */
  mark: [mark: AnyMark]
  /** What was perceived may be a fault: it is to be looked into. */
  wrong: [fault: Fault]
  /** The drawer is to close. */
  close: []
}>()

const vessels = computed(() => [props.main, ...props.sides])
const send = (mark: AnyMark): void => emit('mark', mark)
</script>

<template>
  <section
    class="drawer"
    aria-label="Everything else"
  >
    <header>
      <h2>Everything else</h2>
      <ElButton @click="emit('close')">
        Close
      </ElButton>
    </header>
    <FlameSection
      :plan="plan"
      :vessels="[main]"
      :flames="flames"
      :main="main"
      @mark="send"
    />
    <SeenSection
      :plan="plan"
      :cook="cook"
      @mark="send"
      @wrong="fault => emit('wrong', fault)"
    />
    <FlameSection
      v-if="sides.length > 0"
      :plan="plan"
      :vessels="sides"
      :flames="flames"
      :main="main"
      @mark="send"
    />
    <AddedSection
      v-if="cook.stage >= 0"
      :plan="plan"
      @mark="send"
    />
    <ReadingSection
      :plan="plan"
      :vessels="vessels"
      @mark="send"
    />
    <slot />
    <MarkedList
      :plan="plan"
      :cook="cook"
      @mark="send"
    />
    <p>
      <NuxtLink to="/">Back to the hearth; the cook goes on</NuxtLink>
    </p>
  </section>
</template>

<style scoped>
.drawer { display: grid; gap: 0.9rem; align-content: start; border-top: 3px solid var(--ink); padding-top: 0.7rem; }
header { display: flex; justify-content: space-between; align-items: center; }
header .el-button { min-height: 56px; }
</style>
