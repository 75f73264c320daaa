<script setup lang="ts">
import { isOneOf } from '../../../../core/records'
import { computed, ref } from 'vue'
import { clockText, degreesText, gramsText } from '../../../composables/format'
import { mainLine } from '../../../../core/formulation/dish/mainLine'
import { COLOUR_STEPS } from '../../../../core/formulation/signs/signIds'
import type { LiveCook } from '../../../../core/record/marks/liveCook'
import type { CookPlan } from '../../../../core/record/plan/plan'
import { SIGN_WORDS, STEP_WORDS } from '../../../../words/cook'
import { momentText } from '../../../../words/moment'
import { stageName } from '../../../../words/stages'
import type { Marks } from '../panel'

const props = defineProps<{
  /** The plan of the cook. */
  plan: CookPlan
  /** The cook as it stands. */
  cook: LiveCook
}>()

const emit = defineEmits<Marks>()

const SAY = { grams: gramsText, degrees: degreesText }
const SHOWN = 12
const recent = computed(() => [...props.cook.moments].reverse().slice(0, SHOWN))
const say = (moment: LiveCook['moments'][number]): string => momentText(props.plan, moment.kind, moment.payload, SAY)

/** Which moment is being changed into something else. */
const changing = ref<string | null>(null)
/** What a mark may have been instead: the signs, colours and stages of this dish. */
const instead = computed(() => [
  ...mainLine(props.plan.dish).slice(1).map(stage => ({ text: `began ${stageName(stage)}`, kind: 'stage.began', payload: { stage: stage.id } })),
  ...[...new Set(mainLine(props.plan.dish).flatMap(stage => ('sign' in stage.until ? [stage.until.sign] : [])).concat('aroma'))]
    .filter(sign => !isOneOf(COLOUR_STEPS, sign)).map(sign => ({ text: SIGN_WORDS[sign]?.waited ?? sign, kind: 'sign.seen', payload: { sign } })),
  ...COLOUR_STEPS.map(step => ({ text: STEP_WORDS[step] ?? step, kind: 'looks.like', payload: { step } })),
])
const CHANGES = new Set(['sign.seen', 'looks.like', 'stage.began'])
function change(id: string, kind: string, payload: Readonly<Record<string, unknown>>): void {
  emit('mark', { kind: 'corrected', payload: { replaces: id, kind, payload } })
  changing.value = null
}
</script>

<template>
  <section
    v-if="recent.length > 0"
    aria-label="What was marked"
  >
    <h3>What was marked</h3>
    <ul class="moments">
      <li
        v-for="moment in recent"
        :key="moment.id"
      >
        <span :class="{ gone: moment.withdrawn }">{{ clockText(moment.timeS) }} {{ moment.known ? say(moment) : moment.outside ? `${say(moment)} (its time lies outside this cook: kept, passed over)` : `${moment.kind} (unknown here, kept)` }}</span>
        <span class="moves">
          <ElButton
            :aria-label="`30 seconds earlier: ${say(moment)}`"
            @click="emit('mark', { kind: 'corrected', payload: { replaces: moment.id, shiftS: -30 } })"
          >−30 s</ElButton>
          <ElButton
            :aria-label="`30 seconds later: ${say(moment)}`"
            @click="emit('mark', { kind: 'corrected', payload: { replaces: moment.id, shiftS: 30 } })"
          >+30 s</ElButton>
          <ElButton
            v-if="CHANGES.has(moment.kind) && !moment.withdrawn"
            :aria-expanded="changing === moment.id"
            :aria-label="`It was something else: ${say(moment)}`"
            @click="changing = changing === moment.id ? null : moment.id"
          >It was …</ElButton>
          <ElButton
            :aria-label="`Take back: ${say(moment)}`"
            :disabled="moment.withdrawn"
            @click="emit('mark', { kind: 'withdrawn', payload: { replaces: moment.id } })"
          >Take back</ElButton>
        </span>
        <span
          v-if="changing === moment.id"
          class="instead"
        >
          <ElButton
            v-for="one in instead"
            :key="one.text"
            @click="change(moment.id, one.kind, one.payload)"
          >{{ one.text }}</ElButton>
        </span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h3 { margin-bottom: 4px; }
.moments { list-style: none; margin: 0; padding: 0; }
.moments li { border-top: 1px solid var(--line); padding: 6px 0; display: grid; gap: 4px; }
.moves, .instead { display: flex; gap: 6px; flex-wrap: wrap; }
.el-button { min-height: 56px; padding-inline: 0.6rem; }
.instead { border-left: 4px solid var(--ink); padding-left: 8px; }
.gone { text-decoration: line-through; color: var(--ink-soft); }
</style>
