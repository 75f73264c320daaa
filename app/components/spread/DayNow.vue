<script setup lang="ts">
import { computed } from 'vue'
import { minuteText } from '../../composables/houseTime'
import type { Spread } from '../../../contracts/spread'
import type { Today, TodayStep } from '../../../core/day/spread/todayOf'
import { BROKEN_WORDS, spanText, stepName } from '../../../words/spread'
import TroubleNote from '../TroubleNote.vue'

const props = defineProps<{
  /** The day. */
  spread: Spread
  /** The day under way. */
  today: Today
  /** The minute it is. */
  now: number
  /** Names of dishes and meals, by id. */
  names: ReadonlyMap<string, string>
  /** Steps that are done at the fire, and the cook there, by dish. */
  cooks: ReadonlyMap<string, string>
  /** Minutes of lateness that another order saves; 0 where none is worth it. */
  savesMin: number
}>()

const emit = defineEmits<{
  /** A step is begun. */
  begin: [step: string]
  /** A step is done. */
  end: [step: string]
  /** What was marked last of a step is taken back. */
  back: [step: string]
  /** A dish is taken to the fire. */
  fire: [dish: string]
  /** The other order is taken. */
  other: []
  /** A promise is kept. */
  given: [promise: string]
}>()

const open = (steps: readonly TodayStep[]): readonly TodayStep[] => steps.filter(one => one.state !== 'done')
const own = computed(() => props.today.hands.map((steps, i) => {
  const left = open(steps)
  const going = left.filter(one => one.state === 'going')
  const next = left.filter(one => one.state !== 'going')
  return { name: props.spread.hands[i]?.name ?? '', now: going, next: next[0] ?? null, after: next[1] ?? null, last: steps.filter(one => one.state === 'done').at(-1) ?? null }
}))
const alone = computed(() => open(props.today.byThemselves).slice(0, 3))
const say = (one: TodayStep): string => `${stepName(one.activity.id)}, ${props.names.get(one.dish) ?? ''}`
const when = (one: TodayStep): string => {
  if (one.state === 'going') return one.to <= props.now ? 'should be done' : `until about ${minuteText(one.to)}`
  const wait = one.from - props.now
  return wait <= 0 ? 'now' : wait < 90 ? `in ${wait} min, at ${minuteText(one.from)}` : `at ${minuteText(one.from)}`
}
/** What is promised and not given yet, with the minute its dish is ready. */
const promised = computed(() => props.spread.promises.filter(one => !one.given).sort((a, b) => a.at - b.at).map((one) => {
  const dish = props.spread.dishes.find(other => other.id === one.dish)
  const last = props.today.hands.flat().concat(props.today.byThemselves).find(step => step.step === `${dish?.id}.${dish?.steps.sink}`)
  const ready = dish && last ? last.to + dish.steps.ready : null
  return { ...one, ready, isLate: ready !== null && ready > one.at }
}))
/** A step on the dish's own fire is marked at the fire. */
const atFire = (one: TodayStep): boolean => one.activity.burner > 0 && one.activity.hot === true
</script>

<template>
  <section
    class="now"
    aria-label="Now and next"
  >
    <TroubleNote
      v-for="broken in today.repaired.broken"
      :key="broken.kind + broken.about"
      :says="BROKEN_WORDS[broken.kind](names.get(broken.about.split('.')[0]!) ?? broken.about, spanText(broken.minutes))"
    />
    <p
      v-if="savesMin > 0"
      class="offer"
    >
      Another order of what is left would be {{ spanText(savesMin) }} less late.
      <ElButton @click="emit('other')">
        Take that order
      </ElButton>
    </p>
    <div class="hands">
      <article
        v-for="hand in own"
        :key="hand.name"
      >
        <h3>{{ hand.name }}</h3>
        <p
          v-if="hand.now.length === 0 && !hand.next"
          class="soft"
        >
          Nothing more today.
        </p>
        <div
          v-for="one in hand.now"
          :key="one.step"
          class="going"
        >
          <p><strong>{{ say(one) }}</strong> <span>{{ when(one) }}</span></p>
          <NuxtLink
            v-if="cooks.get(one.dish)"
            class="stone-button"
            :to="`/fire/${cooks.get(one.dish)}`"
          >At the fire</NuxtLink>
          <ElButton
            v-else
            type="primary"
            @click="emit('end', one.step)"
          >
            Done
          </ElButton>
        </div>
        <div
          v-if="hand.next"
          :class="{ due: hand.next.state === 'due' }"
        >
          <p><span class="soft">{{ hand.now.length > 0 ? 'then' : 'next' }}</span> <strong>{{ say(hand.next) }}</strong> <span>{{ when(hand.next) }}</span></p>
          <NuxtLink
            v-if="atFire(hand.next) && cooks.get(hand.next.dish)"
            class="stone-button"
            :to="`/fire/${cooks.get(hand.next.dish)}`"
          >At the fire</NuxtLink>
          <template v-else>
            <ElButton
              :type="hand.now.length === 0 ? 'primary' : undefined"
              @click="emit('begin', hand.next!.step)"
            >
              Begun
            </ElButton>
            <ElButton
              v-if="atFire(hand.next)"
              @click="emit('fire', hand.next!.dish)"
            >
              Take it to the fire
            </ElButton>
          </template>
        </div>
        <p
          v-if="hand.after"
          class="soft"
        >
          after that {{ say(hand.after) }}, {{ when(hand.after) }}
        </p>
        <ElButton
          v-if="hand.last && !cooks.get(hand.last.dish)"
          text
          @click="emit('back', hand.last!.step)"
        >
          Take back: {{ say(hand.last) }} done
        </ElButton>
      </article>
      <article v-if="alone.length > 0">
        <h3>By themselves</h3>
        <div
          v-for="one in alone"
          :key="one.step"
          :class="{ due: one.state === 'due' }"
        >
          <p><strong>{{ say(one) }}</strong> <span>{{ when(one) }}</span></p>
          <ElButton @click="one.state === 'going' ? emit('end', one.step) : emit('begin', one.step)">
            {{ one.state === 'going' ? 'Done' : 'Lit' }}
          </ElButton>
        </div>
      </article>
      <article v-if="promised.length > 0">
        <h3>Promised</h3>
        <div
          v-for="one in promised"
          :key="one.id"
          :class="{ due: one.isLate }"
        >
          <p>
            <strong>{{ one.whom }}, {{ minuteText(one.at) }}</strong>
            <span>{{ one.what || names.get(one.dish ?? '') }}{{ one.ready === null ? '' : one.isLate ? `: ready only about ${minuteText(one.ready)}` : `, ready about ${minuteText(one.ready)}` }}</span>
          </p>
          <ElButton @click="emit('given', one.id)">
            Given
          </ElButton>
        </div>
      </article>
    </div>
  </section>
</template>

<style scoped>
.now { border-top: 4px solid var(--ink); padding-top: 10px; display: grid; gap: 10px; }
.hands { display: grid; grid-template-columns: repeat(auto-fit, minmax(270px, 1fr)); gap: 14px 28px; }
article { display: grid; gap: 8px; align-content: start; }
article > div { display: flex; flex-wrap: wrap; gap: 8px 12px; align-items: center; justify-content: space-between; border-left: 5px solid var(--line); padding-left: 10px; }
article > div > p { flex: 1 1 150px; font-size: 1.25rem; line-height: 1.2; }
article > div > p span { display: block; font-size: 1.0625rem; }
.offer { display: flex; flex-wrap: wrap; gap: 8px 14px; align-items: center; }
.going { border-left-color: var(--accent); }
.due { border-left-color: var(--danger); }
:is(.el-button, .stone-button) { min-height: var(--touch); }
</style>
