<script setup lang="ts">
import { computed, toRef } from 'vue'
import { clockText, degreesText, gramsText } from '../../composables/format'
import { useSayAmount } from '../../composables/houseAmounts'
import { useRepairing } from '../../composables/repairing'
import { faultsAtFire } from '../../../core/cook/faults/faultsOf'
import type { Remedy } from '../../../core/cook/remedies/remedy'
import type { Fault } from '../../../core/cook/faults/faults'
import { LOST_WORDS, RECORD_WORDS, REPAIR_NOTES, WAY_WORDS } from '../../../words/repairs'
import { CAUSE_WORDS } from '../../../words/causes'
import { FAULT_WORDS } from '../../../words/faults'
import { EXPECT_WORDS } from '../../../words/stages'
import type { FireState } from '../../composables/fireState'
import type { CookPlan } from '../../../core/record/plan/plan'
import type { AnyMark } from '../../../core/record/marks/kinds'

const props = defineProps<{
  /** What of the fire it is worked out from. */
  fire: Pick<FireState, 'cook' | 'forecast' | 'nowS'>
  /** The plan of the cook. */
  plan: CookPlan
  /** The fault it opens with, where one was named. */
  first?: Fault | null
}>()

const emit = defineEmits<{
  /** Something was marked. */
  mark: [mark: AnyMark]
  /** The panel is to close. */
  close: []
}>()

const { fault, repair, applied } = useRepairing(props.fire, toRef(props, 'plan'), props.first ?? null)
const say = useSayAmount(() => props.plan.cup)
/** Faults that can be met in what is made here. */
const offered = computed(() => faultsAtFire(props.plan.dish))
/** The cause that this cook's own record speaks for comes first. */
const likely = computed(() => repair.value?.causes.find(one => one.record === 'for') ?? null)
/** The others; what this cook's own record speaks against is no likely cause. */
const others = computed(() => (repair.value?.causes ?? []).filter(one => one !== likely.value && one.record !== 'against'))
const percent = (share: number): string => `${Math.round(100 * share)} %`

/** Amounts and what to read, in one line. */
function amounts(remedy: Remedy): string[] {
  return [
    ...remedy.adds.map(one => say(one.ingredient, one.massG)),
    ...(remedy.liftsFatG > 0 ? [`${gramsText(remedy.liftsFatG)} fat off`] : []),
    ...(remedy.drivesOffG > 0 ? [`${gramsText(remedy.drivesOffG)} water off`] : []),
  ]
}
function after(remedy: Remedy): string {
  const parts = [
    remedy.takesS === null ? '' : `about ${clockText(Math.max(30, Math.round(remedy.takesS / 30) * 30))}`,
    remedy.grossG === null ? '' : `pan on the scale ${gramsText(remedy.grossG)}`,
    remedy.tempC === null ? '' : `thermometer ${degreesText(remedy.tempC)}`,
  ]
  return parts.filter(Boolean).join(' · ')
}
const moved = (remedy: Remedy): string => (['water', 'sugar', 'fat'] as const)
  .filter(part => percent(remedy.before[part]) !== percent(remedy.after[part]))
  .map(part => `${part} ${percent(remedy.before[part])} → ${percent(remedy.after[part])}`).join(', ')
function apply(remedy: Remedy): void {
  if (fault.value) emit('mark', { kind: 'repaired', payload: applied(fault.value, remedy) })
  emit('close')
}
</script>

<template>
  <section
    class="repair"
    aria-label="Something is wrong"
  >
    <header>
      <h2>{{ fault === null ? 'What is wrong?' : FAULT_WORDS[fault].seen }}</h2>
      <ElButton @click="fault === null ? emit('close') : fault = null">
        {{ fault === null ? 'Close' : 'Other' }}
      </ElButton>
    </header>
    <div
      v-if="fault === null"
      class="faults"
    >
      <ElButton
        v-for="one in offered"
        :key="one"
        @click="fault = one"
      >
        {{ FAULT_WORDS[one].seen }}
      </ElButton>
    </div>
    <p
      v-else-if="repair === null"
      class="soft"
    >
      Light the fire first: there is nothing in the pan yet.
    </p>
    <template v-else>
      <p
        v-if="repair.expected"
        class="expected"
      >
        <strong>Expected here, not a fault yet.</strong> {{ EXPECT_WORDS[repair.expected] }}
      </p>
      <p
        v-if="repair.lost"
        class="danger"
      >
        {{ LOST_WORDS[repair.lost] }}
      </p>
      <p v-if="likely">
        <strong>Likely:</strong> {{ CAUSE_WORDS[likely.cause].name }} <span class="soft small">{{ RECORD_WORDS[likely.record] }}</span>
      </p>
      <article
        v-for="remedy in repair.remedies"
        :key="remedy.way + amounts(remedy).join()"
        class="slab"
      >
        <h3>{{ WAY_WORDS[remedy.way]?.title }}</h3>
        <p
          v-if="amounts(remedy).length > 0"
          class="amounts"
        >
          {{ amounts(remedy).join(', ') }}
        </p>
        <p>{{ WAY_WORDS[remedy.way]?.text }} <span class="soft">{{ remedy.notes.map(note => REPAIR_NOTES[note]).join(' ') }}</span></p>
        <p
          v-if="after(remedy)"
          class="reads"
        >
          {{ after(remedy) }}
        </p>
        <p
          v-if="moved(remedy)"
          class="soft small"
        >
          {{ moved(remedy) }}; finished about {{ gramsText(remedy.finishedG) }}. Forecast.
        </p>
        <ElButton
          v-if="remedy.way !== 'start-again'"
          :data-way="remedy.way"
          @click="apply(remedy)"
        >
          {{ remedy.adds.length > 0 ? 'It is in' : 'Doing it' }}
        </ElButton>
      </article>
      <section
        v-if="others.length > 0"
        class="slab"
        aria-label="Likely causes"
      >
        <h3>{{ likely ? 'Else it may be' : 'Why, likely' }}</h3>
        <ul>
          <li
            v-for="one in others"
            :key="one.cause"
          >
            {{ CAUSE_WORDS[one.cause].name }} <span class="soft small">{{ RECORD_WORDS[one.record] }}</span>
          </li>
        </ul>
      </section>
    </template>
  </section>
</template>

<style scoped>
.repair { display: grid; gap: 0.8rem; align-content: start; border-top: 3px solid var(--ink); padding-top: 0.7rem; }
header { display: flex; justify-content: space-between; align-items: center; gap: 8px; }
h2::first-letter, li::first-letter { text-transform: uppercase; }
.faults { display: grid; grid-template-columns: 1fr 1fr; gap: 8px; }
.el-button { min-height: 56px; padding-inline: 0.7rem; line-height: 1.15; }
.faults .el-button:first-letter { text-transform: uppercase; }
.amounts { font-size: 1.7rem; line-height: 1.15; font-weight: 500; }
.reads { font-size: 1.2rem; font-weight: 600; }
.expected { border-left: 6px solid var(--accent); padding-left: 12px; font-size: 1.15rem; }
article { display: grid; gap: 4px; justify-items: start; }
ul { margin: 0; padding-left: 1.1rem; }
</style>
