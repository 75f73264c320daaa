<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import ActionBar from '../../components/ActionBar.vue'
import EnterHouse from '../../components/EnterHouse.vue'
import AfterPanel from '../../components/fire/AfterPanel.vue'
import DeviceSection from '../../components/fire/drawer/DeviceSection.vue'
import HeardDevices from '../../components/fire/drawer/HeardDevices.vue'
import FireArch from '../../components/fire/FireArch.vue'
import FireFrame from '../../components/fire/FireFrame.vue'
import FireDrawer from '../../components/fire/FireDrawer.vue'
import FireMinor from '../../components/fire/FireMinor.vue'
import FireSide from '../../components/fire/FireSide.vue'
import FireTop from '../../components/fire/FireTop.vue'
import OtherDish from '../../components/fire/OtherDish.vue'
import RepairPanel from '../../components/fire/RepairPanel.vue'
import { useAnnouncing } from '../../composables/announcing'
import { ask, lockedOut } from '../../clients/api'
import { useAwake } from '../../composables/awake'
import { enterHouse } from '../../composables/entering'
import { followStream } from '../../composables/cookStream'
import { useFire } from '../../composables/fire'
import { useOpenedPanel } from '../../composables/openedPanel'
import { useFireKeys } from '../../composables/fireKeys'
import { degreesText, gramsText, windowText } from '../../composables/format'
import { useHeardDevices } from '../../composables/heardDevices'
import { setHearthClock } from '../../clients/hearthClock'
import { useLiveCooks } from '../../composables/liveCooks'
import { forecastFailed } from '../../clients/forecaster'
import { outboxState } from '../../clients/sync/outbox'
import { useIngredients } from '../../stores/ingredients'
import { useMeasures } from '../../stores/measures'
import { roastColours, stepAt } from '../../composables/roastColours'
import { useCooks } from '../../stores/cooks'
import { KitchenSchema } from '../../../contracts/kitchen'
import type { Fault } from '../../../core/cook/faults/faults'
import { keepingText } from '../../../words/keeping'
import { cueText } from '../../../words/cook'
import { momentText } from '../../../words/moment'
import { pageTitle } from '../../../words/titles'
import type { AnyMark } from '../../../core/record/marks/kinds'

const id = String(useRoute().params.id)
const cooks = useCooks()
const state = ref<'loading' | 'here' | 'unknown' | 'away'>('loading')
void Promise.all([cooks.load(id), setHearthClock()]).then(([found]) => {
  state.value = found
})
followStream(id, stored => cooks.receive(id, stored), () => void cooks.load(id).then((found) => {
  if (found === 'here') state.value = found
}), true)
// What a repair may need is read while the hearth can be reached.
useIngredients()
void ask('GET', '/kitchen', KitchenSchema).then(useMeasures().measureIn).catch(() => undefined)

const narrow = useMediaQuery('(max-width: 700px)')
const plan = computed(() => cooks.known[id]?.plan ?? null)
const observations = computed(() => cooks.known[id]?.observations ?? [])
const fire = useFire(plan, observations)
useHead({ title: () => pageTitle('/fire/', plan.value?.dish.name) })
const { cook, actions, flames, main, sides, stage, cue, nowS, running } = fire
/** What the parts show, once it is read. */
const lit = computed(() =>
  plan.value && cook.value && state.value !== 'loading' ? { plan: plan.value, cook: cook.value } : null,
)
const live = useLiveCooks()
const heard = useHeardDevices()
const others = computed(() => live.value.filter(one => one.id !== id && one.startedAt !== null).map(one => one.id).slice(0, 3))

const colours = computed(() => (plan.value ? roastColours(plan.value) : []))
const thought = computed(() => (fire.point.value ? stepAt(colours.value, fire.point.value.colour.lightness) : null))
const last = computed(() => [...(cook.value?.moments ?? [])].reverse().find(moment => !moment.withdrawn && moment.kind !== 'outcome') ?? null)
const lastSaid = computed(() => plan.value && last.value && ({
  text: momentText(plan.value, last.value.kind, last.value.payload, { grams: gramsText, degrees: degreesText }),
  timeS: last.value.timeS,
}))
const before = ref<{ readonly window: string, readonly by: string } | null>(null)

const words = computed(() => (cue.value && plan.value ? cueText(cue.value, plan.value, stage.value) : ''))
const announcing = useAnnouncing(computed(() => cue.value?.code ?? null), words, outboxState.reachable, computed(() => cue.value?.late?.level ?? null))
const awake = useAwake(running)
const secure = typeof window !== 'undefined' && window.isSecureContext

function mark(mark: AnyMark): void {
  const pour = fire.windows.value.find(one => one.id === 'pour')
  const by = plan.value ? momentText(plan.value, mark.kind, mark.payload, { grams: gramsText, degrees: degreesText }) : mark.kind
  before.value = pour ? { window: windowText(pour.fromS, pour.toS), by } : null
  cooks.mark(id, mark)
  announcing.marked()
}
function takeBack(): void {
  if (last.value) mark({ kind: 'withdrawn', payload: { replaces: last.value.id } })
}
function earlier(): void {
  if (last.value) mark({ kind: 'corrected', payload: { replaces: last.value.id, shiftS: -30 } })
}

/** What stands beside the arch: the moment, everything else, or what is wrong. */
const beside = ref<'moment' | 'drawer' | 'repair'>('moment')
const wrong = ref<Fault | null>(null)
function toggle(what: 'drawer' | 'repair', fault: Fault | null = null): void {
  wrong.value = fault
  beside.value = beside.value === what ? 'moment' : what
}
// A component that takes any type has no instance to be named: what it exposes is.
const frame = ref<{ fromTop(): void, readonly side: HTMLElement | null } | null>(null)
// What comes beside the arch is read from its beginning, wherever the one before it had been scrolled to.
watch(beside, async () => {
  await nextTick()
  frame.value?.fromTop()
})
useOpenedPanel(computed(() => frame.value?.side ?? null), () => (beside.value === 'moment' ? null : beside.value))
const far = ref(false)
const bar = ref<InstanceType<typeof ActionBar> | null>(null)
const keys = useFireKeys({
  act: place => bar.value?.pressAt(place),
  close() {
    bar.value?.close()
    beside.value = 'moment'
    far.value = false
  },
  takeBack, everything: () => toggle('drawer'), wrong: () => toggle('repair'),
  far: () => {
    far.value = !far.value
  },
  whatNow: announcing.whatNow, quiet: announcing.quiet,
})

/** When the newest whole forecast was made, s; none while a first answer stands in for it. */
const whole = computed(() => (fire.forecast.value?.doubts === undefined ? undefined : Math.round(fire.forecast.value.nowS)))
/** The end's window by the newest forecast, s since the start. */
const end = computed(() => {
  const window = fire.forecast.value?.stages[fire.done.value]
  return window ? `${Math.round(window.early)}-${Math.round(window.late)}` : undefined
})

const kept = computed(() => {
  const { waiting, reachable, setAside, keeping } = outboxState
  const said = keepingText({ waiting: waiting.value, reachable: reachable.value, setAside: setAside.value, keeping: keeping.value, outside: lockedOut.value !== null })
  return forecastFailed.value ? `${said}. The forecast has stopped on this device: reload when your hands are free` : said
})
</script>

<template>
  <FireFrame
    ref="frame"
    :lit="lit"
    :far="far"
    :aside="beside !== 'moment'"
    :data-stage="stage?.id ?? 'none'"
    :data-now="Math.round(nowS)"
    :data-cue="cue?.code"
    :data-end="end"
    :data-forecast="whole"
  >
    <p
      v-if="state === 'unknown'"
      class="lost"
    >
      There is no such cook here. <NuxtLink to="/">Back to the hearth</NuxtLink>
    </p>
    <EnterHouse
      v-else-if="state === 'away' && !plan && lockedOut"
      :why="lockedOut"
      :enter="enterHouse"
    />
    <p
      v-else-if="state === 'away' && !plan"
      class="lost"
    >
      The hearth is away and this cook is not on this device. It will be read as soon as the hearth is back.
    </p>
    <template #top="shown">
      <FireTop
        :plan="shown.plan"
        :main="main"
        :kept="kept"
        :sounding="announcing.sounds.value || announcing.speech.value"
        :can-speak="announcing.canSpeak"
        :far="far"
        @quiet="announcing.quiet()"
        @what-now="announcing.whatNow()"
        @far="far = !far"
      />
    </template>
    <template #arch="shown">
      <FireArch
        :fire="fire"
        :plan="shown.plan"
        :narrow="narrow"
        :far="far"
        :aside="beside !== 'moment'"
        @say="announcing.whatNow()"
      />
    </template>
    <template #side="shown">
      <EnterHouse
        v-if="lockedOut"
        :why="lockedOut"
        :enter="enterHouse"
      />
      <FireDrawer
        v-if="beside === 'drawer'"
        :plan="shown.plan"
        :cook="shown.cook"
        :main="main"
        :sides="sides"
        :flames="flames"
        @mark="mark"
        @wrong="fault => toggle('repair', fault)"
        @close="beside = 'moment'"
      >
        <HeardDevices
          :plan="shown.plan"
          :vessels="[main, ...sides]"
          :devices="heard.devices.value"
          @link="(device, vessel) => heard.link(device, id, vessel)"
        />
        <DeviceSection
          :sounds="announcing.sounds.value"
          :speech="announcing.speech.value"
          :can-speak="announcing.canSpeak"
          :awake="awake"
          :secure="secure"
          :letters="keys.letters.value"
          @letters="on => keys.letters.value = on"
          @sounds="on => announcing.sounds.value = on"
          @speech="on => announcing.speech.value = on"
          @hear="meaning => announcing.hear(meaning)"
        />
      </FireDrawer>
      <RepairPanel
        v-else-if="beside === 'repair'"
        :fire="fire"
        :plan="shown.plan"
        :first="wrong"
        @mark="mark"
        @close="beside = 'moment'"
      />
      <AfterPanel
        v-else-if="shown.cook.finishedS !== null"
        :id="id"
        :plan="shown.plan"
        :cook="shown.cook"
        @mark="mark"
      />
      <FireSide
        v-else
        :fire="fire"
        :plan="shown.plan"
        :before="before"
        @mark="mark"
      />
      <OtherDish
        v-for="other in others"
        :id="other"
        :key="other"
      />
    </template>
    <template #hands="shown">
      <FireMinor
        v-if="!far"
        :last="lastSaid"
        :beside="beside"
        @take-back="takeBack"
        @earlier="earlier"
        @toggle="what => toggle(what)"
      />
      <ActionBar
        ref="bar"
        :plan="shown.plan"
        :first-only="beside !== 'moment'"
        :actions="actions"
        :colours="colours"
        :thought="thought"
        @mark="mark"
      />
    </template>
  </FireFrame>
</template>

<style scoped>
.lost { grid-column: 1 / -1; padding: 4rem 0; font-size: 1.3rem; }
</style>
