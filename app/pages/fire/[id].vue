<script setup lang="ts">
import { useEventListener, useMediaQuery, useWakeLock } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import ActionBar from '../../components/ActionBar.vue'
import FinishForm from '../../components/FinishForm.vue'
import FireDrawer from '../../components/FireDrawer.vue'
import FireArch from '../../components/fire/FireArch.vue'
import FireSide from '../../components/fire/FireSide.vue'
import { followStream } from '../../composables/cookStream'
import { useFire } from '../../composables/fire'
import { clockText, degreesText, gramsText, windowText } from '../../composables/format'
import { setHearthClock } from '../../composables/hearthClock'
import { outboxState } from '../../composables/outbox'
import { useCooks } from '../../stores/cooks'
import { labOnPath } from '../../../core/colour/labOnPath'
import { labToHex } from '../../../core/colour/labToHex'
import { COLOUR_STEPS, type ColourStep } from '../../../core/family/family'
import { familyOf } from '../../../core/family/families'
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

const narrow = useMediaQuery('(max-width: 700px)')
const plan = computed(() => cooks.known[id]?.plan ?? null)
const observations = computed(() => cooks.known[id]?.observations ?? [])
const fire = useFire(plan, observations)
const { cook, actions, flames, main, other, stage, cue, nowS, running } = fire

const stepColours = computed(() => {
  const family = familyOf(plan.value?.dish.family ?? 'semolina')
  return Object.fromEntries(COLOUR_STEPS.map(step => [step, labToHex(labOnPath(family.path, family.stepLightness[step] - 2))])) as Record<ColourStep, string>
})
const last = computed(() => [...(cook.value?.moments ?? [])].reverse().find(moment => !moment.withdrawn && moment.kind !== 'outcome') ?? null)
const before = ref<string | null>(null)

function mark(kind: string, payload: Readonly<Record<string, unknown>>): void {
  const pour = fire.windows.value.find(one => one.id === 'pour')
  before.value = pour ? windowText(pour.fromS, pour.toS) : null
  cooks.mark(id, kind, payload)
}
function takeBack(): void {
  if (last.value) mark('withdrawn', { replaces: last.value.id })
}
function earlier(): void {
  if (last.value) mark('corrected', { replaces: last.value.id, shiftS: -30 })
}

const drawer = ref(false)
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
    drawer.value = false
    far.value = false
  }
  else if (event.key === 'z') takeBack()
  else if (event.key === 'm') drawer.value = !drawer.value
  else if (event.key === 'f') far.value = !far.value
})

const { request, release, isSupported } = useWakeLock()
watch(running, (on) => {
  if (!isSupported.value) return
  if (on) void request('screen').catch(() => undefined)
  else void release().catch(() => undefined)
}, { immediate: true })

const kept = computed(() => {
  const { waiting, reachable } = outboxState
  if (!reachable.value) return `hearth away: ${waiting.value} kept here`
  return waiting.value > 0 ? `${waiting.value} on the way` : 'kept on the hearth'
})
</script>

<template>
  <main
    id="main"
    class="fire"
    :class="{ far }"
    :data-stage="stage?.id ?? 'none'"
    :data-now="Math.round(nowS)"
    :data-cue="cue?.code"
  >
    <p
      v-if="state === 'unknown'"
      class="lost"
    >
      There is no such cook here. <NuxtLink to="/">Back to the hearth</NuxtLink>
    </p>
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
        <FireDrawer
          v-if="drawer"
          :plan="plan"
          :cook="cook"
          :main="main"
          :other="other"
          :flames="Object.fromEntries(Object.entries(flames).map(([vessel, one]) => [vessel, one.mark]))"
          :lid="flames[main]?.lid ?? false"
          @mark="mark"
          @close="drawer = false"
        />
        <div
          v-else-if="cook.finishedS !== null"
          class="after"
        >
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
      </aside>
      <footer class="hands">
        <div class="minor">
          <button
            class="stone-button quiet"
            :disabled="!last"
            @click="takeBack"
          >
            {{ last ? `Take back: ${momentText(plan, last.kind, last.payload, { grams: gramsText, degrees: degreesText })}, ${clockText(last.timeS)}` : 'Take back' }}
          </button>
          <button
            class="stone-button quiet"
            :disabled="!last"
            @click="earlier"
          >
            It was 30 s earlier
          </button>
          <button
            class="stone-button quiet"
            :aria-expanded="drawer"
            @click="drawer = !drawer"
          >
            Everything else
          </button>
        </div>
        <ActionBar
          ref="bar"
          :plan="plan"
          :actions="actions"
          :step-colours="stepColours"
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
.side { overflow-y: auto; padding: 8px 0; min-height: 0; }
.after { display: grid; gap: 16px; }
.hands { grid-column: 1 / -1; display: grid; gap: 4px; }
.minor { display: flex; gap: 4px; flex-wrap: wrap; }
.minor .stone-button { min-height: 56px; }
.fire.far { grid-template-columns: 1fr; }
.fire.far .side, .fire.far .minor, .fire.far .facts, .fire.far :deep(.pace), .fire.far :deep(.detail), .fire.far :deep(.pan), .fire.far :deep(svg.arch) { display: none; }
.fire.far :deep(.opening) { inset: 0; justify-content: center; }
.fire.far :deep(.clock) { font-size: min(34vw, 360px); }
.fire.far :deep(.cue) { font-size: min(9vw, 104px); max-width: none; }
@media (max-width: 1000px) and (min-width: 701px) {
  .fire { grid-template: auto minmax(420px, 1fr) auto auto / minmax(0, 1fr); height: auto; min-height: 100dvh; }
  .hands { grid-row: 3; }
  .side { grid-row: 4; }
  .facts { display: none; }
}
@media (max-width: 700px) {
  .fire { grid-template: auto auto auto 1fr / minmax(0, 1fr); padding: 2px 12px 12px; min-height: 0; height: auto; row-gap: 4px; }
  .top { min-height: 30px; gap: 8px; }
  .top svg, .facts { display: none; }
  .top h1 { font-size: 1.05rem; white-space: nowrap; overflow: hidden; text-overflow: ellipsis; }
  .top .stone-button { min-height: 40px; font-size: 0.9375rem; white-space: nowrap; }
  .kept { font-size: 0.8125rem; white-space: nowrap; }
  .hands { grid-row: 3; position: sticky; bottom: 0; background: var(--wall); padding-bottom: 6px; z-index: 1; }
  .minor { flex-wrap: nowrap; font-size: 0.9375rem; }
  .minor .stone-button { padding-inline: 0.3rem; line-height: 1.15; }
  .side { grid-row: 4; overflow: visible; }
}
</style>
