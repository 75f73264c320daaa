<script setup lang="ts">
import { computed } from 'vue'
import { mainLine } from '../../../../core/dish/mainLine'
import { COLOUR_STEPS, SIGN_IDS, type SignId } from '../../../../core/dish/signIds'
import { SLIPS, UPTAKE_PACES, type LiveCook } from '../../../../core/live/liveCook'
import type { CookPlan } from '../../../../core/live/plan'
import { SIGN_WORDS } from '../../../../words/cook'
import { SLIP_WORDS, UPTAKE_WORDS } from '../../../../words/repairs'

const props = defineProps<{
  /** The plan of the cook. */
  plan: CookPlan
  /** The cook as it stands. */
  cook: LiveCook
}>()

const emit = defineEmits<{
  /** Something was marked. */
  mark: [kind: string, payload: Readonly<Record<string, unknown>>]
}>()

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
  <fieldset v-if="signs.length > 0">
    <legend>Seen, smelled, felt</legend>
    <div class="marks">
      <button
        v-for="sign in signs"
        :key="sign"
        class="stone-button"
        @click="emit('mark', 'sign.seen', { sign })"
      >
        {{ SIGN_WORDS[sign]?.marked ?? sign }}
      </button>
    </div>
  </fieldset>
  <fieldset v-if="wet">
    <legend>Liquid is taken up</legend>
    <div class="marks">
      <button
        v-for="pace in UPTAKE_PACES"
        :key="pace"
        class="stone-button"
        @click="emit('mark', 'uptake.seen', { pace })"
      >
        {{ UPTAKE_WORDS[pace] }}
      </button>
    </div>
  </fieldset>
  <fieldset v-if="stage">
    <legend>Left unstirred for</legend>
    <div class="marks">
      <button
        v-for="seconds in LEFT"
        :key="seconds"
        class="stone-button"
        @click="emit('mark', 'unstirred', { seconds })"
      >
        {{ seconds < 60 ? `${seconds} s` : `${seconds / 60} min` }}
      </button>
    </div>
  </fieldset>
  <fieldset v-if="stage">
    <legend>A slip</legend>
    <div class="marks">
      <button
        v-for="what in SLIPS"
        :key="what"
        class="stone-button"
        @click="emit('mark', 'slip', { what })"
      >
        {{ SLIP_WORDS[what] }}
      </button>
      <button
        v-for="ingredient in wentIn"
        :key="ingredient"
        class="stone-button"
        @click="emit('mark', 'forgotten', { ingredient })"
      >
        Forgot the {{ ingredient.replaceAll('-', ' ') }}
      </button>
    </div>
  </fieldset>
</template>

<style scoped>
fieldset { border: 0; padding: 0; margin: 0; min-width: 0; }
legend { font-weight: 600; padding: 0 0 0.3rem; display: block; }
.marks { display: flex; flex-wrap: wrap; gap: 8px; }
.marks .stone-button { min-height: 56px; padding-inline: 0.8rem; }
</style>
