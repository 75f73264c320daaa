<script setup lang="ts">
import { ROAST_STEPS } from '../../../core/process/flame/takeOff'
import { isOneOf } from '../../../core/records'
import { computed, ref, toRef, watch } from 'vue'
import { useFlamePlanning } from '../../composables/flamePlanning'
import { minutesText } from '../../composables/format'
import type { FlameSchedule, FlameWish } from '../../../core/process/flame/flamePlan'
import type { FlameTurn } from '../../../core/record/plan/flameTurn'
import { lastRoast } from '../../../core/process/program/roastIndex'
import { mainLine } from '../../../core/formulation/dish/mainLine'
import { usualMinutes } from '../../../core/formulation/dish/usualMinutes'
import type { CookPlan } from '../../../core/record/plan/plan'
import { STEP_WORDS } from '../../../words/cook'
import { markText, oneIn, roastEndsText, ROAST_WORDS, TURN_WORDS } from '../../../words/flames'
import LabelledChoice from '../LabelledChoice.vue'
import { wordFor } from '../../../words/wordFor'

const props = defineProps<{
  /** The plan whose last roast is planned. */
  plan: CookPlan
}>()

const emit = defineEmits<{
  /** A schedule was taken: the first mark of the roast, and its turns. */
  take: [stage: string, turns: readonly FlameTurn[]]
}>()

const PATIENCE = [5, 10, 15, 20, 25, 30, 45, 60, 90, 120]
const RISKS = [0.01, 0.02, 0.05, 0.1]
const stage = computed(() => mainLine(props.plan.dish)[lastRoast(props.plan.dish)] ?? null)
const marks = computed(() => (stage.value ? props.plan.fires[stage.value.vessel]?.marks ?? [] : []))
const usual = computed(() => (stage.value ? usualMinutes(props.plan.dish, stage.value) : 10))
const patience = ref(PATIENCE.find(minutes => minutes >= 1.5 * usual.value) ?? 120)
watch(() => props.plan.dish.id, () => {
  patience.value = PATIENCE.find(minutes => minutes >= 1.5 * usual.value) ?? 120
})
const risk = ref(0.02)
const wish = computed((): FlameWish | null => {
  const until = stage.value?.until
  return until && 'sign' in until && isOneOf(ROAST_STEPS, until.sign) ? { step: until.sign, patienceS: 60 * patience.value, risk: risk.value } : null
})
const { found, done, trouble } = useFlamePlanning(toRef(() => props.plan), wish)
interface Row { readonly name: string, readonly schedule: FlameSchedule }
const rows = computed((): Row[] => {
  const best = found.value
  if (!best) return []
  return [
    { name: 'Advised', schedule: best.advised },
    ...(best.safer ? [{ name: 'Slower, safer', schedule: best.safer }] : []),
    ...(best.quicker ? [{ name: 'Quicker, riskier', schedule: best.quicker }] : []),
  ]
})
const heightOf = (mark: string): number => (mark === 'off' ? 3 : 6 + 26 * (1 + marks.value.findIndex(one => one.id === mark)) / Math.max(1, marks.value.length))
const taken = (schedule: FlameSchedule): boolean => {
  const [first, ...rest] = schedule.turns
  return stage.value !== null && props.plan.flames[stage.value.id] === first?.mark && JSON.stringify(props.plan.turns ?? []) === JSON.stringify(rest)
}
</script>

<template>
  <section
    v-if="stage && wish"
    class="planner"
    aria-label="Flames of the roast"
  >
    <h3>Flames for a roast {{ ROAST_WORDS[wish.step] }}</h3>
    <div class="wishes">
      <LabelledChoice
        asks="Within"
        :chosen="String(patience)"
        :options="PATIENCE.map(one => ({ value: String(one), label: `${one} min` }))"
        @choose="value => patience = Number(value)"
      />
      <LabelledChoice
        asks="Burnt at most"
        :chosen="String(risk)"
        :options="RISKS.map(one => ({ value: String(one), label: oneIn(one) }))"
        @choose="value => risk = Number(value)"
      />
    </div>
    <ElProgress
      v-if="done < 1"
      :percentage="Math.round(100 * done)"
      :stroke-width="12"
      aria-label="Flames tried"
    />
    <p
      class="soft small"
      role="status"
    >
      {{ trouble || (done < 1 ? 'Trying flames' : found && found.leastS > found.wish.patienceS ? `Browned in less than ${Math.ceil(found.leastS / 60)} min it is dark outside and raw within. Give it longer; nearest:` : found && !found.met ? 'Nothing on this fire does it in that time at that risk. Nearest:' : `Best of ${found?.tried ?? 0} tried.`) }}
    </p>
    <div
      v-for="row in rows"
      :key="row.name"
      class="row"
    >
      <strong>{{ row.name }}</strong>
      <ElButton
        text
        :disabled="taken(row.schedule) || done < 1"
        :aria-label="`Plan it so: ${row.name}`"
        @click="emit('take', stage!.id, row.schedule.turns)"
      >
        {{ taken(row.schedule) ? 'Planned' : 'Plan it so' }}
      </ElButton>
      <ol>
        <li
          v-for="turn in row.schedule.turns"
          :key="turn.cue"
          class="small"
        >
          <span
            class="flame"
            :style="{ height: `${heightOf(turn.mark)}px` }"
            aria-hidden="true"
          />
          <span class="soft">{{ TURN_WORDS[turn.cue] }}</span>
          <strong>{{ markText(turn.mark, marks) }}</strong>
        </li>
      </ol>
      <p class="soft small">
        {{ minutesText(row.schedule.lastsS) }} · {{ roastEndsText(wordFor(STEP_WORDS, wish.step) ?? wish.step, row.schedule.reaches, row.schedule.onColour) }} · burnt {{ oneIn(row.schedule.burns) }}
      </p>
    </div>
  </section>
</template>

<style scoped>
.planner { display: grid; gap: 8px; border-top: 2px solid var(--line); padding-top: 8px; contain: layout style; }
.wishes { display: grid; grid-template-columns: 1fr 1fr; gap: 10px; }
.row { display: grid; grid-template-columns: minmax(0, 1fr) auto; gap: 0 10px; align-items: center; }
.row .el-button { min-height: 44px; }
ol { grid-column: 1 / -1; list-style: none; margin: 0; padding: 0; display: grid; grid-auto-flow: column; grid-auto-columns: 1fr; align-items: end; gap: 10px; }
li { display: grid; line-height: 1.2; border-bottom: 3px solid var(--line); padding-bottom: 4px; }
.flame { display: block; width: 34px; background: var(--accent); border-radius: 50% 50% 2px 2px / 70% 70% 2px 2px; margin-bottom: 3px; }
.row p { grid-column: 1 / -1; }
</style>
