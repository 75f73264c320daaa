<script setup lang="ts">
import { useEventListener, useMediaQuery } from '@vueuse/core'
import { computed, ref } from 'vue'
import ActionBar from '../../components/ActionBar.vue'
import EnterHouse from '../../components/EnterHouse.vue'
import FinishForm from '../../components/FinishForm.vue'
import DeviceSection from '../../components/fire/drawer/DeviceSection.vue'
import HeardDevices from '../../components/fire/drawer/HeardDevices.vue'
import FireArch from '../../components/fire/FireArch.vue'
import FireDrawer from '../../components/fire/FireDrawer.vue'
import FireSide from '../../components/fire/FireSide.vue'
import OtherDish from '../../components/fire/OtherDish.vue'
import RepairPanel from '../../components/fire/RepairPanel.vue'
import StepList from '../../components/fire/StepList.vue'
import { useAnnouncing } from '../../composables/announcing'
import { lockedOut } from '../../composables/api'
import { useAwake } from '../../composables/awake'
import { enterHouse } from '../../composables/entering'
import { followStream } from '../../composables/cookStream'
import { useFire } from '../../composables/fire'
import { clockText, degreesText, gramsText, windowText } from '../../composables/format'
import { useHeardDevices } from '../../composables/heardDevices'
import { setHearthClock } from '../../composables/hearthClock'
import { useLiveCooks } from '../../composables/liveCooks'
import { outboxState } from '../../composables/outbox'
import { usePantry } from '../../composables/pantry'
import { roastColours, stepAt } from '../../composables/roastColours'
import { useCooks } from '../../stores/cooks'
import { cueText } from '../../../words/cook'
import { momentText } from '../../../words/moment'

const id = String(useRoute().params.id)
const cooks = useCooks()
const state = ref<'loading' | 'here' | 'unknown' | 'away'>('loading')
void Promise.all([cooks.load(id), setHearthClock()]).then(([found]) => {
  state.value = found
})
followStream(id, stored => cooks.receive(id, stored), () => void cooks.load(id).then((found) => {
  if (found === 'here') state.value = found
}))
// What a repair may need is read while the hearth can be reached.
usePantry()

const narrow = useMediaQuery('(max-width: 700px)')
const plan = computed(() => cooks.known[id]?.plan ?? null)
const observations = computed(() => cooks.known[id]?.observations ?? [])
const fire = useFire(plan, observations)
const { cook, actions, flames, main, sides, stage, cue, nowS, running } = fire
const live = useLiveCooks()
const heard = useHeardDevices()
const others = computed(() => live.value.filter(one => one.id !== id && one.startedAt !== null).map(one => one.id).slice(0, 3))

const colours = computed(() => (plan.value ? roastColours(plan.value) : []))
const thought = computed(() => (fire.point.value ? stepAt(colours.value, fire.point.value.colour.lightness) : null))
const last = computed(() => [...(cook.value?.moments ?? [])].reverse().find(moment => !moment.withdrawn && moment.kind !== 'outcome') ?? null)
const lastText = computed(() => (plan.value && last.value ? momentText(plan.value, last.value.kind, last.value.payload, { grams: gramsText, degrees: degreesText }) : ''))
const before = ref<{ readonly window: string, readonly by: string } | null>(null)

const words = computed(() => (cue.value && plan.value ? cueText(cue.value, plan.value, stage.value) : ''))
const announcing = useAnnouncing(computed(() => cue.value?.code ?? null), words, outboxState.reachable)
const awake = useAwake(running)
const secure = typeof window !== 'undefined' && window.isSecureContext

function mark(kind: string, payload: Readonly<Record<string, unknown>>): void {
  const pour = fire.windows.value.find(one => one.id === 'pour')
  const by = plan.value ? momentText(plan.value, kind, payload, { grams: gramsText, degrees: degreesText }) : kind
  before.value = pour ? { window: windowText(pour.fromS, pour.toS), by } : null
  cooks.mark(id, kind, payload)
  announcing.marked()
}
function takeBack(): void {
  if (last.value) mark('withdrawn', { replaces: last.value.id })
}
function earlier(): void {
  if (last.value) mark('corrected', { replaces: last.value.id, shiftS: -30 })
}

/** What stands beside the arch: the moment, everything else, or what is wrong. */
const beside = ref<'moment' | 'drawer' | 'repair'>('moment')
function toggle(what: 'drawer' | 'repair'): void {
  beside.value = beside.value === what ? 'moment' : what
}
const far = ref(false)
const bar = ref<InstanceType<typeof ActionBar> | null>(null)
useEventListener('keydown', (event: KeyboardEvent) => {
  if (event.ctrlKey || event.metaKey || event.altKey) return
  const focused = document.activeElement
  if (focused instanceof HTMLInputElement || focused instanceof HTMLTextAreaElement) return
  const control = focused instanceof HTMLButtonElement || focused instanceof HTMLAnchorElement
  if (event.code === 'Space' && !control) {
    event.preventDefault()
    if (!event.repeat) bar.value?.pressAt(0)
  }
  else if (/^[1-5]$/.test(event.key)) bar.value?.pressAt(Number(event.key) - 1)
  else if (event.key === 'Escape') {
    bar.value?.close()
    beside.value = 'moment'
    far.value = false
  }
  else if (event.key === 'z') takeBack()
  else if (event.key === 'm') toggle('drawer')
  else if (event.key === 'x') toggle('repair')
  else if (event.key === 'f') far.value = !far.value
  else if (event.key === 'w') announcing.whatNow()
  else if (event.key === 'q') announcing.quiet()
})

/** The end's window by the newest forecast, s since the start. */
const end = computed(() => {
  const window = fire.forecast.value?.stages[fire.done.value]
  return window ? `${Math.round(window.early)}-${Math.round(window.late)}` : undefined
})

const kept = computed(() => {
  const { waiting, reachable } = outboxState
  if (lockedOut.value) return `outside the house: ${waiting.value} kept here`
  if (!reachable.value) return `hearth away: ${waiting.value} kept here`
  return waiting.value > 0 ? `${waiting.value} on the way` : 'kept on the hearth'
})
</script>

<template>
  <main
    id="main"
    class="fire"
    :class="{ far, aside: beside !== 'moment' }"
    :data-stage="stage?.id ?? 'none'"
    :data-now="Math.round(nowS)"
    :data-cue="cue?.code"
    :data-end="end"
    :data-forecast="Math.round(fire.forecast.value?.nowS ?? 0)"
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
    <template v-else-if="plan && cook && state !== 'loading'">
      <header class="top">
        <svg
          viewBox="0 0 64 64"
          width="34"
          height="34"
          aria-hidden="true"
        ><path d="M10 58V32a22 22 0 0 1 19.5-21.9V17.2A15 15 0 0 0 17 32v26zM54 58V32A22 22 0 0 0 34.5 10.1V17.2A15 15 0 0 1 47 32v26z" /></svg>
        <h1>{{ plan.dish.name }}</h1>
        <p class="facts soft">
          {{ gramsText(plan.amounts.find(one => one.id === plan!.dish.base)?.massG ?? 0) }} {{ (plan.amounts.find(one => one.id === plan!.dish.base)?.ingredient ?? '').replaceAll('-', ' ') }} · {{ plan.vessels[main]?.name.toLowerCase() }} · {{ plan.fires[main]?.name.toLowerCase() }}
        </p>
        <p
          class="kept soft"
          role="status"
        >
          {{ kept }}
        </p>
        <button
          v-if="announcing.sounds.value || announcing.speech.value"
          class="stone-button quiet"
          @click="announcing.quiet()"
        >
          quiet
        </button>
        <button
          v-if="announcing.canSpeak"
          class="stone-button quiet say"
          @click="announcing.whatNow()"
        >
          what now?
        </button>
        <button
          class="stone-button quiet"
          :aria-pressed="far"
          @click="far = !far"
        >
          {{ far ? 'near view' : 'far view' }}
        </button>
      </header>
      <FireArch
        class="arch"
        :fire="fire"
        :plan="plan"
        :narrow="narrow"
      />
      <aside
        class="side"
        aria-label="Beside the fire"
      >
        <EnterHouse
          v-if="lockedOut"
          :why="lockedOut"
          :enter="enterHouse"
        />
        <FireDrawer
          v-if="beside === 'drawer'"
          :plan="plan"
          :cook="cook"
          :main="main"
          :sides="sides"
          :flames="flames"
          @mark="mark"
          @close="beside = 'moment'"
        >
          <HeardDevices
            :plan="plan"
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
            @sounds="on => announcing.sounds.value = on"
            @speech="on => announcing.speech.value = on"
          />
        </FireDrawer>
        <RepairPanel
          v-else-if="beside === 'repair'"
          :fire="fire"
          :plan="plan"
          @mark="mark"
          @close="beside = 'moment'"
        />
        <div
          v-else-if="cook.finishedS !== null"
          class="after"
        >
          <StepList
            :plan="plan"
            :cook="cook"
            phase="after"
            @mark="mark"
          />
          <FinishForm
            :faults="cook.outcome?.faults ?? []"
            :line="cook.outcome?.line ?? ''"
            @outcome="(faults, text) => mark('outcome', { faults, line: text })"
          />
          <NuxtLink
            class="stone-button first"
            :to="`/ledger/${id}`"
          >
            See it in the ledger
          </NuxtLink>
        </div>
        <FireSide
          v-else
          :fire="fire"
          :plan="plan"
          :before="before"
          @mark="mark"
        />
        <OtherDish
          v-for="other in others"
          :id="other"
          :key="other"
        />
      </aside>
      <footer class="hands">
        <div class="minor">
          <button
            class="stone-button quiet"
            :disabled="!last"
            @click="takeBack"
          >
            {{ last ? `Take back: ${lastText}, ${clockText(last.timeS)}` : 'Take back' }}
          </button>
          <button
            class="stone-button quiet earlier"
            :disabled="!last"
            @click="earlier"
          >
            It was 30 s earlier
          </button>
          <button
            class="stone-button quiet"
            :aria-expanded="beside === 'repair'"
            @click="toggle('repair')"
          >
            Something is wrong
          </button>
          <button
            class="stone-button quiet"
            :aria-expanded="beside === 'drawer'"
            @click="toggle('drawer')"
          >
            Everything else
          </button>
        </div>
        <ActionBar
          ref="bar"
          :plan="plan"
          :actions="actions"
          :colours="colours"
          :thought="thought"
          @mark="mark"
        />
      </footer>
    </template>
  </main>
</template>

<style scoped>
.fire { display: grid; grid-template: auto minmax(0, 1fr) auto / minmax(0, 1fr) 348px; column-gap: 30px; height: 100dvh; min-height: 720px; max-width: 1360px; margin: 0 auto; padding: 6px 28px 16px; }
.lost { grid-column: 1 / -1; padding: 4rem 0; font-size: 1.3rem; }
.top { grid-column: 1 / -1; display: flex; align-items: center; gap: 16px; min-height: 46px; }
.top svg { fill: var(--ink); flex: none; }
.top h1 { font-size: 1.5rem; }
.kept { margin-left: auto; }
.side { overflow-y: auto; padding: 8px 0; min-height: 0; display: grid; gap: 16px; align-content: start; }
.after { display: grid; gap: 16px; }
.hands { grid-column: 1 / -1; display: grid; gap: 4px; }
.minor { display: flex; gap: 4px; flex-wrap: wrap; }
.minor .stone-button { min-height: 56px; }
.fire.far { grid-template-columns: 1fr; }
.fire.far .side, .fire.far .minor, .fire.far .facts, .fire.far :deep(.pace), .fire.far :deep(.detail), .fire.far :deep(.pan), .fire.far :deep(svg.arch) { display: none; }
.fire.far :deep(.opening) { inset: 0; justify-content: center; }
.fire.far :deep(.clock) { font-size: min(34vw, 360px); }
.fire.far :deep(.cue) { font-size: min(9vw, 104px); max-width: none; }
@media (max-width: 1000px) and (min-width: 701px) and (min-height: 521px) {
  .fire { grid-template: auto minmax(420px, 1fr) auto minmax(300px, auto) / minmax(0, 1fr); height: auto; min-height: 100dvh; }
  .hands { grid-row: 3; }
  .side { grid-row: 4; }
  .facts { display: none; }
  /* What is opened stands below the actions and scrolls by itself: clock and cue stay where they are. */
  .fire.aside { height: 100dvh; grid-template-rows: auto minmax(300px, 1fr) auto minmax(0, 1fr); }
}
@media (max-width: 700px) {
  .fire { grid-template: auto auto auto 1fr / minmax(0, 1fr); padding: 2px 12px 12px; min-height: 0; height: auto; row-gap: 4px; }
  .top { min-height: 30px; gap: 6px; }
  .top svg, .facts, .say, .earlier { display: none; }
  .top h1 { font-size: 1.05rem; white-space: nowrap; overflow: hidden; text-overflow: ellipsis; }
  .top .stone-button { min-height: 40px; font-size: 0.9375rem; white-space: nowrap; padding-inline: 0.3rem; }
  .kept { font-size: 0.8125rem; white-space: nowrap; }
  .hands { grid-row: 3; position: sticky; bottom: 0; background: var(--wall); padding-bottom: 6px; z-index: 1; }
  .minor { flex-wrap: nowrap; font-size: 0.9375rem; justify-content: space-between; }
  .minor .stone-button { padding-inline: 0.3rem; line-height: 1.15; }
  .side { grid-row: 4; overflow: visible; }
  /* What is opened stands between the cue and the hands: the arch gives way, clock and cue do not. */
  .fire.aside { height: 100dvh; grid-template-rows: auto auto minmax(0, 1fr) auto; }
  .fire.aside .side { grid-row: 3; overflow-y: auto; }
  .fire.aside .hands { grid-row: 4; position: static; }
  .fire.aside :deep(svg.arch), .fire.aside :deep(.pan), .fire.aside :deep(.detail) { display: none; }
  .fire.aside :deep(.frame) { aspect-ratio: auto; }
  .fire.aside :deep(.opening) { position: static; }
  .fire.aside :deep(.big:not(.first):not([data-first])) { display: none; }
}
@media (max-height: 520px) and (orientation: landscape) {
  .fire { grid-template: auto minmax(0, 1fr) auto / minmax(0, 1fr) minmax(0, 1fr); min-height: 0; height: auto; padding: 2px 16px 8px; column-gap: 20px; }
  .top { min-height: 34px; }
  .top svg, .facts { display: none; }
  .top h1 { font-size: 1.05rem; white-space: nowrap; }
  .top .stone-button { min-height: 36px; }
  .arch { grid-column: 1; }
  .hands { grid-column: 2; grid-row: 2; align-content: center; }
  .minor { order: 2; flex-wrap: nowrap; font-size: 0.875rem; }
  .minor .stone-button { padding-inline: 0.2rem; line-height: 1.1; }
  .earlier { display: none; }
  .side { grid-column: 1 / -1; grid-row: 3; overflow: visible; }
  .fire.aside { height: 100dvh; grid-template-rows: auto minmax(0, 1fr); }
  .fire.aside .side { grid-column: 2; grid-row: 2; overflow-y: auto; }
  .fire.aside .hands { grid-column: 1; align-content: end; }
  .fire.aside .arch { grid-row: 2; }
  .fire.far :deep(.clock) { font-size: 52vh; }
  .fire.far :deep(.cue) { font-size: min(8vw, 22vh); }
}
</style>
