<script setup lang="ts">
import { computed, ref } from 'vue'
import { mainLine } from '../../../../core/formulation/dish/mainLine'
import type { LiveCook } from '../../../../core/record/marks/liveCook'
import { SLIPS, UPTAKE_PACES } from '../../../../core/record/marks/kindsAtFire'
import type { CookPlan } from '../../../../core/record/plan/plan'
import { faultOfTerm } from '../../../../core/cook/faults/faultsOf'
import type { Fault } from '../../../../core/cook/faults/faults'
import { SENSES, TERMS } from '../../../../core/formulation/signs/terms'
import { perceptionsOf, type Offered } from '../../../../core/cook/senses/perceptionsOf'
import { SLIP_WORDS, UPTAKE_WORDS } from '../../../../words/repairs'
import { SENSE_WORDS, TERM_WORDS } from '../../../../words/senses'
import type { Marks } from '../panel'
import ChoiceRow from './ChoiceRow.vue'

const props = defineProps<{
  /** The plan of the cook. */
  plan: CookPlan
  /** The cook as it stands. */
  cook: LiveCook
}>()

const emit = defineEmits<Marks & {
  /** What was perceived may be a fault: it is to be looked into. */
  wrong: [fault: Fault]
}>()

const LEFT = [30, 60, 120] as const
const stage = computed(() => mainLine(props.plan.dish)[props.cook.stage] ?? null)
/** What can be perceived here, sense by sense, in the terms of this base. */
const senses = computed(() => {
  const terms = stage.value ? perceptionsOf(props.plan.dish, stage.value) : []
  return SENSES.map(sense => ({ sense, terms: terms.filter(one => one.sense === sense) })).filter(one => one.terms.length > 0)
})
const wet = computed(() => ['pour', 'cook-down', 'sweeten', 'enrich'].includes(stage.value?.does ?? ''))
/** What was perceived last, and what it means, until the next stage. */
const last = ref<{ readonly of: Offered, readonly stage: string } | null>(null)
const reply = computed(() => (last.value && last.value.stage === stage.value?.id ? { ...TERM_WORDS[last.value.of.code], ...TERMS[last.value.of.code], fault: faultOfTerm(last.value.of.code) } : null))
/** What should have gone in by now. */
const wentIn = computed(() => mainLine(props.plan.dish).slice(0, props.cook.stage + 1).flatMap(one => one.adds.map(add => add.ingredient))
  .filter((id, i, all) => all.indexOf(id) === i && id !== props.plan.dish.base && !props.cook.forgotten.some(one => one.what === id)))

function perceive(code: string): void {
  const of = senses.value.flatMap(one => one.terms).find(one => one.code === code)
  if (!of || !stage.value) return
  last.value = { of, stage: stage.value.id }
  emit('mark', of.mark)
}
</script>

<template>
  <template
    v-for="one in senses"
    :key="one.sense"
  >
    <ChoiceRow
      :legend="SENSE_WORDS[one.sense]"
      :choices="one.terms.map(term => ({ key: term.code, text: TERM_WORDS[term.code].text }))"
      @choose="perceive"
    />
    <div
      class="reply"
      role="status"
    >
      <p v-if="reply && reply.sense === one.sense">
        <strong>{{ reply.text }}.</strong> {{ reply.means ?? 'Marked.' }}
        <ElButton
          v-if="reply.fault"
          @click="emit('wrong', reply.fault)"
        >
          Put it right
        </ElButton>
      </p>
    </div>
  </template>
  <ChoiceRow
    v-if="wet"
    legend="Liquid is taken up"
    :choices="UPTAKE_PACES.map(key => ({ key, text: UPTAKE_WORDS[key] }))"
    @choose="pace => emit('mark', { kind: 'uptake.seen', payload: { pace } })"
  />
  <ChoiceRow
    v-if="stage"
    legend="Left unstirred for"
    :choices="LEFT.map(key => ({ key, text: key < 60 ? `${key} s` : `${key / 60} min` }))"
    @choose="seconds => emit('mark', { kind: 'unstirred', payload: { seconds } })"
  />
  <ChoiceRow
    v-if="stage"
    legend="A slip"
    :choices="SLIPS.map(key => ({ key, text: SLIP_WORDS[key] }))"
    @choose="what => emit('mark', { kind: 'slip', payload: { what } })"
  />
  <ChoiceRow
    v-if="stage && wentIn.length > 0"
    legend="Left out"
    :choices="wentIn.map(key => ({ key, text: `Forgot the ${key.replaceAll('-', ' ')}` }))"
    @choose="ingredient => emit('mark', { kind: 'forgotten', payload: { ingredient } })"
  />
</template>

<style scoped>
.reply:empty { display: none; }
.reply p { border-left: 5px solid var(--ink); padding: 4px 0 4px 10px; font-size: 1.2rem; line-height: 1.3; }
.reply .el-button { display: block; min-height: 56px; margin-top: 6px; }
</style>
