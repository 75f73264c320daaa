<script setup lang="ts">
import { computed } from 'vue'
import { mainLine } from '../../../../core/dish/mainLine'
import { COLOUR_STEPS, SIGN_IDS, type SignId } from '../../../../core/dish/signIds'
import { SLIPS, UPTAKE_PACES, type LiveCook } from '../../../../core/live/liveCook'
import type { CookPlan } from '../../../../core/live/plan'
import { SIGN_WORDS } from '../../../../words/cook'
import { SLIP_WORDS, UPTAKE_WORDS } from '../../../../words/repairs'
import type { Marks } from '../panel'
import ChoiceRow from './ChoiceRow.vue'

const props = defineProps<{
  /** The plan of the cook. */
  plan: CookPlan
  /** The cook as it stands. */
  cook: LiveCook
}>()

const emit = defineEmits<Marks>()

/** Signs of a mass that can be seen, smelled or felt wherever something wet is cooked down. */
const WET: readonly SignId[] = ['taken-up', 'leaves-sides', 'one-mass', 'fat-shows', 'tightened', 'dry']
const ROAST: readonly SignId[] = ['aroma', 'loosened', 'flecks']
const LEFT = [30, 60, 120] as const
const stage = computed(() => mainLine(props.plan.dish)[props.cook.stage] ?? null)
const signs = computed(() => {
  const here = stage.value
  if (!here) return []
  const own = 'sign' in here.until ? [here.until.sign as SignId] : []
  const more = here.does === 'roast' ? ROAST.filter(one => one !== 'loosened' || props.plan.dish.family === 'gram-flour') : here.does === 'cook-down' || here.does === 'enrich' || here.does === 'sweeten' || here.does === 'pour' ? WET : []
  return [...new Set([...own, ...more])].filter(one => SIGN_IDS.includes(one) && !(COLOUR_STEPS as readonly string[]).includes(one))
})
const wet = computed(() => ['pour', 'cook-down', 'sweeten', 'enrich'].includes(stage.value?.does ?? ''))
/** What should have gone in by now. */
const wentIn = computed(() => mainLine(props.plan.dish).slice(0, props.cook.stage + 1).flatMap(one => one.adds.map(add => add.ingredient))
  .filter((id, i, all) => all.indexOf(id) === i && id !== props.plan.dish.base && !props.cook.forgotten.some(one => one.what === id)))
</script>

<template>
  <ChoiceRow
    v-if="signs.length > 0"
    legend="Seen, smelled, felt"
    :choices="signs.map(key => ({ key, text: SIGN_WORDS[key]?.marked ?? key }))"
    @choose="sign => emit('mark', 'sign.seen', { sign })"
  />
  <ChoiceRow
    v-if="wet"
    legend="Liquid is taken up"
    :choices="UPTAKE_PACES.map(key => ({ key, text: UPTAKE_WORDS[key] }))"
    @choose="pace => emit('mark', 'uptake.seen', { pace })"
  />
  <ChoiceRow
    v-if="stage"
    legend="Left unstirred for"
    :choices="LEFT.map(key => ({ key, text: key < 60 ? `${key} s` : `${key / 60} min` }))"
    @choose="seconds => emit('mark', 'unstirred', { seconds })"
  />
  <ChoiceRow
    v-if="stage"
    legend="A slip"
    :choices="SLIPS.map(key => ({ key, text: SLIP_WORDS[key] }))"
    @choose="what => emit('mark', 'slip', { what })"
  />
  <ChoiceRow
    v-if="stage && wentIn.length > 0"
    legend="Left out"
    :choices="wentIn.map(key => ({ key, text: `Forgot the ${key.replaceAll('-', ' ')}` }))"
    @choose="ingredient => emit('mark', 'forgotten', { ingredient })"
  />
</template>
