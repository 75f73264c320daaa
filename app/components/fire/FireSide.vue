<script setup lang="ts">
import { computed } from 'vue'
import { clockText, gramsText, windowText } from '../../composables/format'
import type { FireState } from '../../composables/fireState'
import { useSayAmount } from '../../composables/houseAmounts'
import { offPays } from '../../../core/process/flame/roastAhead'
import type { CookPlan } from '../../../core/record/plan/plan'
import { CAUTIONS, END_WORDS } from '../../../words/cook'
import { turnText } from '../../../words/dish'
import { inVessel } from '../../../words/inVessel'
import { EXPECT_WORDS, stiffnessText, WATCH_WORDS } from '../../../words/stages'
import DoubtSlab from './DoubtSlab.vue'
import LateSlab from './LateSlab.vue'
import OtherVessels from './OtherVessels.vue'
import PanNow from './PanNow.vue'
import PourPart from './PourPart.vue'
import StepList from './StepList.vue'
import SyrupSlab from './SyrupSlab.vue'
import TakeUpLate from './TakeUpLate.vue'
import UnsureSlab from './UnsureSlab.vue'
import type { Marks } from './panel'
import type { AnyMark } from '../../../core/record/marks/kinds'

const props = defineProps<{
  /** State of the fire screen. */
  fire: FireState
  /** The plan of the cook. */
  plan: CookPlan
  /** How the pour window stood before the last mark, and what that was; null where nothing was marked. */
  before: { readonly window: string, readonly by: string } | null
}>()

const emit = defineEmits<Marks>()

const say = useSayAmount(() => props.plan.cup)
const send = (mark: AnyMark): void => emit('mark', mark)
const nowS = computed(() => props.fire.nowS.value)
const cook = computed(() => props.fire.cook.value)
/** What the next stage of the main line takes, with weights. */
const nextIn = computed(() => {
  const next = props.fire.line.value[(cook.value?.stage ?? -1) + 1]
  return next ? inVessel(props.plan, next.id, say) : []
})
const nowIn = computed(() => {
  const first = props.fire.line.value[0]
  return first && cook.value?.startedMs === null ? inVessel(props.plan, first.id, say) : []
})
/** How the mass will run and tighten once the sugar is in. */
const thinning = computed(() => {
  const found = props.fire.thinning.value
  if (!found || props.fire.stage.value?.does !== 'sweeten') return null
  const runs = found.thinnestS > nowS.value + 20 ? `It runs more until about ${clockText(Math.round(found.thinnestS / 10) * 10)}` : 'It runs most about now'
  const [then, was] = [stiffnessText(found.stiffnessThen), stiffnessText(found.stiffnessBefore)]
  return { tight: windowText(Math.max(found.tight.early, nowS.value), Math.max(found.tight.late, nowS.value)), text: `${runs}${then === was ? '' : `: ${then}, where before it ${was}`}. Expected.` }
})
const window = (id: 'pour' | 'end'): string | null => {
  const one = props.fire.windows.value.find(open => open.id === id)
  return one ? windowText(one.fromS, one.toS) : null
}
const rests = computed(() => {
  const found = props.fire.forecast.value?.restsOn
  if (!found) return ''
  const parts = [
    found.batches > 0 ? `${found.batches} past ${found.batches === 1 ? 'batch' : 'batches'}` : 'first guesses of your fires',
    found.taps > 0 ? `${found.taps} ${found.taps === 1 ? 'mark' : 'marks'}` : '',
    found.readings > 0 ? `${found.readings} ${found.readings === 1 ? 'reading' : 'readings'}` : '',
  ]
  return `Forecast; rests on ${parts.filter(Boolean).join(', ')}.`
})
const end = computed(() => {
  const found = props.fire.forecast.value?.finishedG
  const pan = props.plan.vessels[props.fire.main.value]
  return found && pan ? { sweet: found, gross: pan.vessel.massG + found.middle, guessed: pan.massGuessed } : null
})
const alone = computed(() => {
  const seconds = props.fire.forecast.value?.leftAloneS
  return props.fire.stage.value?.does === 'roast' && seconds !== null && seconds !== undefined ? `From first colour to brown in about ${clockText(Math.round(seconds / 10) * 10)} on this flame if you turn away.` : ''
})
/** When the roast is likeliest right, as the flame stands. */
const takeOff = computed(() => {
  const end = props.fire.ahead.value?.end
  return end && end.timeS > nowS.value + 15 ? `Likeliest right at ${clockText(end.timeS)}, ${Math.min(99, Math.round(100 * end.reaches))} in 100.` : ''
})
/** Where turning the flame off now makes more of it, once a colour was seen. */
const offNow = computed(() => {
  const found = props.fire.ahead.value
  const coloured = (cook.value?.looks.length ?? 0) > 0
  const burning = (props.fire.flames.value[props.fire.main.value]?.mark ?? 'off') !== 'off'
  if (!found || !coloured || !burning || !offPays(found)) return null
  const [off, on] = [found.endIfOff.reaches, found.end.reaches].map(share => Math.min(99, Math.round(100 * share)))
  // A difference that is not seen in these numbers is not worth turning for.
  return off !== undefined && on !== undefined && off > on + 1 ? { off, on } : null
})
/** What to watch for in this stage, and what will look wrong and is not. */
const looks = computed(() => {
  const stage = props.fire.stage.value
  const say = (codes: readonly string[] | undefined, words: Readonly<Record<string, string>>): string => (codes ?? []).map(code => words[code] ?? '').filter(Boolean).join(' ')
  const watch = say(stage?.watch, WATCH_WORDS)
  const expect = say(stage?.expect, EXPECT_WORDS)
  return watch || expect ? { watch, expect } : null
})
const asked = computed(() => props.fire.cue.value?.code === 'asked')
const quietS = computed(() => nowS.value - Math.max(0, ...(cook.value?.moments ?? []).filter(one => !one.withdrawn && one.timeS <= nowS.value).map(one => one.timeS)))
const cautions = computed(() => [props.fire.cue.value?.caution, props.fire.cue.value?.heat].flatMap(code => (code ? [CAUTIONS[code]] : [])))
</script>

<template>
  <div class="panels">
    <DoubtSlab
      :fire="fire"
      :plan="plan"
      @mark="send"
    />
    <UnsureSlab
      :fire="fire"
      :plan="plan"
      @mark="send"
    />
    <LateSlab
      :fire="fire"
      :plan="plan"
    />
    <section
      v-for="caution in cautions"
      :key="caution.title"
      class="slab warn caution"
    >
      <h2 class="danger">
        {{ caution.title }}
      </h2>
      <p>{{ caution.text }}</p>
    </section>
    <section
      v-if="nowIn.length > 0"
      class="slab"
    >
      <h2>Into the pan first</h2>
      <ul class="next">
        <li
          v-for="one in nowIn"
          :key="one"
        >
          {{ one }}
        </li>
      </ul>
    </section>
    <template v-if="cook && cook.startedMs === null">
      <StepList
        :plan="plan"
        :cook="cook"
        phase="before"
        @mark="send"
      />
      <TakeUpLate
        :fire="fire"
        @mark="send"
      />
    </template>
    <section
      v-if="asked"
      class="slab"
    >
      <h2>One question first</h2>
      <p class="next">
        Nothing was marked for {{ clockText(Math.round(quietS / 10) * 10) }}. The forecast goes on from your answer; the time can be moved afterwards.
      </p>
    </section>
    <template v-else>
      <PourPart
        :fire="fire"
        :plan="plan"
        @mark="send"
      />
      <SyrupSlab
        :fire="fire"
        :plan="plan"
      />
      <OtherVessels
        :fire="fire"
        :plan="plan"
        @mark="send"
      />
      <section
        v-if="thinning"
        class="slab"
      >
        <h2>Tight again</h2>
        <p class="big">
          {{ thinning.tight }}
        </p>
        <p class="soft">
          {{ thinning.text }}
        </p>
      </section>
      <section
        v-if="window('pour')"
        class="slab"
      >
        <h2>{{ turnText(plan.dish) }} window</h2>
        <p class="big">
          {{ window('pour') }}
        </p>
        <p class="soft">
          {{ before && before.window !== window('pour') ? `Was ${before.window} before “${before.by}”. ` : '' }}{{ takeOff }} {{ alone }} {{ rests }}
        </p>
      </section>
      <section
        v-if="offNow"
        class="slab"
      >
        <h2>Flame off now</h2>
        <p class="next">
          Pan and fat bring it there: right {{ offNow.off }} in 100, left on {{ offNow.on }}. Keep stirring.
        </p>
        <ElButton @click="emit('mark', { kind: 'flame.changed', payload: { vessel: fire.main.value, mark: 'off' } })">
          Flame is off
        </ElButton>
      </section>
      <section
        v-if="looks"
        class="slab"
      >
        <p
          v-if="looks.watch"
          class="next"
        >
          {{ looks.watch }}
        </p>
        <p
          v-if="looks.expect"
          class="soft"
        >
          <strong>Looks wrong, is not:</strong> {{ looks.expect }}
        </p>
      </section>
    </template>
    <PanNow
      v-if="cook && cook.stage >= 0 && !asked"
      :fire="fire"
      :plan="plan"
    />
    <section
      v-if="nextIn.length > 0 && cook && cook.stage >= 0"
      class="slab"
    >
      <h2>Next in</h2>
      <ul class="next">
        <li
          v-for="one in nextIn"
          :key="one"
        >
          {{ one }}
        </li>
      </ul>
    </section>
    <section
      v-if="cook && cook.stage >= fire.keystone.value && end"
      class="slab"
    >
      <h2>{{ cook.stage >= fire.done.value ? 'Off the fire' : 'The end' }}</h2>
      <p
        v-if="window('end')"
        class="big"
      >
        {{ window('end') }}
      </p>
      <p>{{ END_WORDS[plan.dish.choices?.form ?? 'soft'] }}</p>
      <p class="soft">
        Pan on the scale: <strong>{{ gramsText(end.gross) }}</strong>{{ end.guessed ? ', its empty weight a guess' : '' }};
        the sweet {{ gramsText(end.sweet.early) }} to {{ gramsText(end.sweet.late) }}. {{ rests }}
      </p>
    </section>
  </div>
</template>

<style scoped>
.panels { display: grid; gap: 16px; align-content: start; }
.big { font-size: 2.1rem; line-height: 1.15; font-weight: 450; }
.next { font-size: 1.3rem; }
ul.next { list-style: none; margin: 0; padding: 0; display: grid; gap: 4px; }
.caution p { font-size: 1.2rem; line-height: 1.3; }
@media (max-width: 700px) {
  .panels { gap: 10px; }
  .big { font-size: 1.6rem; }
}
</style>
