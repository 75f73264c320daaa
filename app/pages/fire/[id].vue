<script setup lang="ts">
import { useEventListener, useMediaQuery, useWakeLock } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import ActionBar from '../../components/ActionBar.vue'
import ArchDrawing, { type ArchBand } from '../../components/ArchDrawing.vue'
import FinishForm from '../../components/FinishForm.vue'
import FireDrawer from '../../components/FireDrawer.vue'
import PanDrawing from '../../components/PanDrawing.vue'
import { followStream } from '../../composables/cookStream'
import { clockText, gramsText, windowText } from '../../composables/format'
import { useHearthTime } from '../../composables/hearthClock'
import { useLiveForecast } from '../../composables/liveForecast'
import { outboxState } from '../../composables/outbox'
import { useCooks } from '../../stores/cooks'
import { stonesOf } from '../../../core/batch/stones'
import { labOnPath } from '../../../core/colour/labOnPath'
import { labToHex } from '../../../core/colour/labToHex'
import { boundaryIndex } from '../../../core/dish/boundaryIndex'
import { mainLine } from '../../../core/dish/mainLine'
import { COLOUR_STEPS, type ColourStep } from '../../../core/family/family'
import { familyOf } from '../../../core/family/families'
import { actionsOf } from '../../../core/live/actions'
import { cueOf, dueSide } from '../../../core/live/cue'
import { flamesNow } from '../../../core/live/flamesNow'
import { replay } from '../../../core/live/replay'
import { depthMm } from '../../../core/vessel/depthMm'
import { CAUTIONS, CUES, DOING_WORDS, KIND_WORDS, SIGN_WORDS, STEP_WORDS, VESSEL_WORDS } from '../../../words/cook'

const route = useRoute()
const id = String(route.params.id)
const cooks = useCooks()
const state = ref<'loading' | 'here' | 'unknown' | 'away'>('loading')
void cooks.load(id).then((found) => {
  state.value = found
})
followStream(id, stored => cooks.receive(id, stored), () => void cooks.load(id).then((found) => {
  if (found === 'here') state.value = found
}))

const phone = useMediaQuery('(max-width: 700px)')
const known = computed(() => cooks.known[id] ?? null)
const plan = computed(() => known.value?.plan ?? null)
const observations = computed(() => known.value?.observations ?? [])
const cook = computed(() => (plan.value ? replay(plan.value, observations.value) : null))
const now = useHearthTime(150)
const running = computed(() => cook.value !== null && cook.value.startedMs !== null && cook.value.finishedS === null)
const nowS = computed(() => {
  const current = cook.value
  if (!current || current.startedMs === null) return 0
  return current.finishedS ?? Math.max(0, (now.value - current.startedMs) / 1000)
})
const forecast = useLiveForecast(plan, observations, nowS, running)

const line = computed(() => (plan.value ? mainLine(plan.value.dish) : []))
const main = computed(() => line.value[0]?.vessel ?? 'pan')
const other = computed(() => plan.value?.dish.stages.find(stage => stage.meets)?.vessel ?? null)
const stage = computed(() => line.value[cook.value?.stage ?? -1] ?? null)
const due = computed(() => (plan.value && cook.value ? dueSide(plan.value, cook.value, forecast.value, nowS.value) : null))
const cue = computed(() => (plan.value && cook.value ? cueOf(plan.value, cook.value, forecast.value, nowS.value) : null))
const actions = computed(() => (plan.value && cook.value ? actionsOf(plan.value, cook.value, due.value) : []))
const flames = computed(() => (plan.value && cook.value ? flamesNow(plan.value, cook.value) : {}))
const panFlames = computed(() => {
  const marks = plan.value?.fires[main.value]?.marks ?? []
  return { on: marks.findIndex(mark => mark.id === flames.value[main.value]?.mark) + 1, most: marks.length }
})

const keystone = computed(() => (plan.value ? boundaryIndex(plan.value.dish, plan.value.dish.keystone) : 0))
const done = computed(() => line.value.findIndex(one => one.does === 'rest'))
const arch = computed(() => {
  const found = forecast.value
  if (!found || !cook.value) return null
  const keystoneS = cook.value.stageStarts[keystone.value] ?? found.stages[keystone.value]!.middle
  const endS = Math.max(keystoneS + 60, cook.value.stageStarts[done.value] ?? found.stages[done.value]!.middle)
  return { keystoneS, endS, stones: stonesOf(found, keystoneS, endS) }
})
const pace = computed(() => {
  const stones = arch.value?.stones ?? []
  return stones.length > 1 ? Math.max(...stones.map(stone => Math.round((stone.toS - stone.fromS) / 60))) : 1
})
const bands = computed((): ArchBand[] => {
  const found = forecast.value
  const current = cook.value
  if (!found || !current) return []
  const list: ArchBand[] = []
  const window = (bandId: string, kind: ArchBand['kind'], label: string, one: { early: number, late: number } | undefined): void => {
    if (one && one.late > nowS.value) list.push({ id: bandId, kind, label, fromS: Math.max(one.early, nowS.value), toS: one.late, times: windowText(Math.max(one.early, nowS.value), one.late) })
  }
  if (current.stage < keystone.value) {
    if (!current.signs.some(tap => tap.what === 'aroma')) window('aroma', 'sign', SIGN_WORDS.aroma!.short, found.signs.aroma)
    window('pour', 'turn', 'pour', found.stages[keystone.value])
  }
  if (current.stage < done.value) window('end', 'sign', 'end', found.stages[done.value])
  return list
})
const pourWindow = computed(() => bands.value.find(band => band.id === 'pour') ?? null)
const endWindow = computed(() => bands.value.find(band => band.id === 'end') ?? null)

const point = computed(() => {
  const points = forecast.value?.points ?? []
  return points.find(one => one.timeS >= nowS.value) ?? points.at(-1) ?? null
})
const pan = computed(() => plan.value?.vessels[main.value]?.vessel ?? null)
const content = computed(() => {
  const here = point.value
  if (!here || !pan.value) return { depth: 0, colour: '#dddddd' }
  return { depth: cook.value?.startedMs === null ? 0 : depthMm(here.volumeMl, pan.value.innerDiameterMm), colour: labToHex(here.colour) }
})
const greatest = computed(() => {
  const most = Math.max(0, ...(forecast.value?.points ?? []).map(one => one.volumeMl))
  return pan.value ? depthMm(most * 1.16, pan.value.innerDiameterMm) : 0
})
const stepColours = computed(() => {
  const family = familyOf(plan.value?.dish.family ?? 'semolina')
  return Object.fromEntries(COLOUR_STEPS.map(step => [step, labToHex(labOnPath(family.path, family.stepLightness[step] - 2))])) as Record<ColourStep, string>
})
const side = computed(() => forecast.value?.sides[0] ?? null)
const sideText = computed(() => {
  const one = side.value
  if (!one || !cook.value || cook.value.stage >= one.meets) return null
  if (one.lightS !== null) {
    const left = one.lightS - nowS.value
    return { big: left > 10 ? `on the fire in ${clockText(left)}` : 'on the fire now', small: `Boils in about ${Math.round(one.needs.middle / 60)} min on ${plan.value?.fires[one.vessel]?.name.toLowerCase() ?? 'the other fire'}, so it meets the pour.` }
  }
  const boiled = cook.value.signs.some(tap => tap.what === 'boil')
  if (boiled) return { big: 'at the boil', small: 'Keep it there, low, lid on, until the pour.' }
  return one.boils ? { big: `boils ${windowText(Math.max(one.boils.early, 0), one.boils.late)}`, small: 'Then keep it there, low, lid on.' } : null
})
const sideAmounts = computed(() => {
  const stageOf = plan.value?.dish.stages.find(one => one.vessel === other.value)
  return (stageOf?.adds ?? []).map((add) => {
    const amount = plan.value?.amounts.find(one => one.id === add.ingredient)
    return amount ? `${gramsText(amount.massG * add.share)} ${add.ingredient}` : ''
  }).join(', ')
})
const rests = computed(() => {
  const found = forecast.value?.restsOn
  if (!found) return ''
  const parts = [
    found.batches > 0 ? `${found.batches} past ${found.batches === 1 ? 'batch' : 'batches'}` : 'first guesses of your fires',
    found.taps > 0 ? `${found.taps} ${found.taps === 1 ? 'mark' : 'marks'}` : '',
    found.readings > 0 ? `${found.readings} ${found.readings === 1 ? 'reading' : 'readings'}` : '',
  ]
  return `Rests on ${parts.filter(Boolean).join(', ')}.`
})
const before = shallowRef<string | null>(null)
const detail = computed(() => {
  if (state.value === 'loading') return ''
  const next = cue.value?.next
  if (!next) {
    const current = stage.value
    if (current?.does === 'rest' && cook.value && forecast.value) {
      const until = forecast.value.stages[forecast.value.stages.length - 1]!.middle
      return until > nowS.value ? `${clockText(until - nowS.value)} to go` : ''
    }
    return ''
  }
  const early = Math.max(0, next.window.early - nowS.value)
  const late = Math.max(0, next.window.late - nowS.value)
  const words = SIGN_WORDS[next.sign]!.waited
  if (late <= 5) return `${words}: any moment`
  return early < 30 ? `${words} within ${Math.max(1, Math.ceil(late / 60))} min` : `${words} next, in ${Math.floor(early / 60) || 1} to ${Math.ceil(late / 60)} min`
})
const endWeight = computed(() => {
  const found = forecast.value?.finishedG
  const vessel = plan.value?.vessels[main.value]
  if (!found || !vessel) return null
  return { content: found, gross: vessel.vessel.massG + found.middle, guessed: vessel.massGuessed }
})
const last = computed(() => [...(cook.value?.moments ?? [])].reverse().find(moment => !moment.withdrawn && moment.kind !== 'outcome') ?? null)
const lastText = computed(() => {
  const moment = last.value
  if (!moment) return ''
  const { sign, step, stage: stageId, mark, vessel } = moment.payload as Record<string, string | undefined>
  const doing = line.value.find(one => one.id === stageId)?.does
  const what = sign ? SIGN_WORDS[sign]?.short : step ? STEP_WORDS[step] : doing ? DOING_WORDS[doing] : mark ?? (vessel ? VESSEL_WORDS[vessel] : '')
  return `${KIND_WORDS[moment.kind] ?? moment.kind}${what ? ` ${what}` : ''}, ${clockText(moment.timeS)}`
})

function mark(kind: string, payload: Readonly<Record<string, unknown>>): void {
  before.value = pourWindow.value ? `Was ${pourWindow.value.times} before your last mark.` : null
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
  const typing = focused instanceof HTMLInputElement || focused instanceof HTMLTextAreaElement
  if (typing) return
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

const shape = computed(() => (phone.value
  ? { width: 390, height: 430, stone: 44, margin: 34 }
  : { width: 880, height: 628, stone: 62, margin: 62 }))
const cueText = computed(() => (cue.value ? CUES[cue.value.code] : ''))
const kept = outboxState
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
    <h1 class="visually-hidden">
      {{ plan?.dish.name ?? 'Fire' }}
    </h1>
    <p
      v-if="state === 'unknown'"
      class="lost"
    >
      There is no such cook here. <NuxtLink to="/">Back to the hearth</NuxtLink>
    </p>
    <p
      v-else-if="state === 'away'"
      class="lost"
    >
      The hearth is away and this cook is not on this device. It will be read as soon as the hearth is back.
    </p>
    <template v-else-if="plan && cook">
      <header class="top">
        <svg
          viewBox="0 0 64 64"
          width="34"
          height="34"
          aria-hidden="true"
        ><path d="M10 58V32a22 22 0 0 1 19.5-21.9V17.2A15 15 0 0 0 17 32v26zM54 58V32A22 22 0 0 0 34.5 10.1V17.2A15 15 0 0 1 47 32v26z" /></svg>
        <p class="name">
          {{ plan.dish.name }}
        </p>
        <p class="facts soft">
          {{ gramsText(plan.amounts.find(one => one.id === plan!.dish.base)?.massG ?? 0) }} base · {{ plan.vessels[main]?.name }} · {{ plan.fires[main]?.name }}
        </p>
        <p
          class="kept soft"
          role="status"
        >
          {{ kept.reachable.value ? (kept.waiting.value > 0 ? `${kept.waiting.value} on the way` : 'kept on the hearth') : `hearth away: ${kept.waiting.value} kept here` }}
        </p>
        <button
          class="stone-button quiet farkey"
          :aria-pressed="far"
          @click="far = !far"
        >
          {{ far ? 'near view' : 'far view' }}
        </button>
      </header>

      <section
        class="hearth"
        aria-label="The cook"
      >
        <ArchDrawing
          v-if="arch"
          :shape="shape"
          :stones="arch.stones"
          :keystone-s="arch.keystoneS"
          :end-s="arch.endS"
          :bands="bands"
          :now-s="cook.startedMs === null ? null : nowS"
          :marks="cook.moments.filter(one => !one.withdrawn && (one.kind === 'sign.seen' || one.kind === 'looks.like')).map(one => one.timeS)"
          :labels="!phone"
          title="The arch of this cook: raw at the left foot, the pour at the crown, done at the right foot"
        />
        <div class="opening">
          <p
            class="clock"
            role="timer"
            aria-live="off"
          >
            {{ clockText(nowS) }}
          </p>
          <p
            class="cue"
            role="status"
            :class="{ danger: cue?.caution === 'pour' }"
          >
            {{ cueText }}
          </p>
          <p class="detail soft">
            {{ detail }}
          </p>
          <div
            v-if="pan"
            class="pan"
          >
            <PanDrawing
              :diameter-mm="pan.innerDiameterMm"
              :depth-mm="pan.depthMm"
              :content-mm="content.depth"
              :colour="content.colour"
              :line-mm="(cook.stage < keystone) ? Math.min(greatest, pan.depthMm + 6) : null"
              :flames="panFlames.on"
              :most-flames="panFlames.most"
              :lid="flames[main]?.lid"
            />
            <p class="under soft">
              {{ panFlames.on > 0 ? `flame ${plan.fires[main]?.marks[panFlames.on - 1]?.label}` : 'flame off' }}<template v-if="point && cook.startedMs !== null">
                · about {{ Math.round(point.tempC) }} °C · {{ gramsText(point.contentG) }} in the pan
              </template>
            </p>
          </div>
        </div>
        <p class="pace soft">
          1 stone = {{ pace }} min
        </p>
      </section>

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
        <template v-else-if="cook.finishedS !== null">
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
        </template>
        <template v-else>
          <section
            v-if="cue?.caution"
            class="slab warn caution"
          >
            <h2 class="danger">
              {{ CAUTIONS[cue.caution].title }}
            </h2>
            <p>{{ CAUTIONS[cue.caution].text }}</p>
          </section>
          <section
            v-if="sideText"
            class="slab"
          >
            <h2>Other vessel: {{ VESSEL_WORDS[side?.vessel ?? ''] }}</h2>
            <p class="big">
              {{ sideText.big }}
            </p>
            <p class="soft">
              {{ sideAmounts }}. {{ sideText.small }}
            </p>
          </section>
          <section
            v-if="pourWindow"
            class="slab"
          >
            <h2>Pour window</h2>
            <p class="big">
              {{ pourWindow.times }}
            </p>
            <p class="soft">
              {{ before ?? '' }} {{ rests }}
            </p>
          </section>
          <section
            v-if="cook.stage >= keystone && endWeight"
            class="slab"
          >
            <h2>The end</h2>
            <p class="big">
              {{ endWindow?.times ?? '' }}
            </p>
            <p class="soft">
              No puddle, leaves the sides, ghee at the edge, moves as one.
              The pan on the scale: {{ gramsText(endWeight.gross) }}{{ endWeight.guessed ? ', its empty weight a guess' : '' }}
              (sweet {{ gramsText(endWeight.content.early) }} to {{ gramsText(endWeight.content.late) }}). {{ rests }}
            </p>
          </section>
        </template>
      </aside>

      <footer class="hands">
        <div class="minor">
          <button
            class="stone-button quiet"
            :disabled="!last"
            @click="takeBack"
          >
            Take back<span
              v-if="last"
              class="soft"
            >: {{ lastText }}</span>
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
          :actions="actions"
          :step-colours="stepColours"
          @mark="mark"
        />
      </footer>
    </template>
  </main>
</template>

<style scoped>
.fire { display: grid; grid-template: auto 1fr auto / minmax(0, 1fr) 340px; column-gap: 30px; height: 100dvh; min-height: 720px; max-width: 1360px; margin: 0 auto; padding: 8px 28px 18px; }
.lost { grid-column: 1 / -1; padding: 4rem 0; font-size: 1.3rem; }
.top { grid-column: 1 / -1; display: flex; align-items: center; gap: 16px; min-height: 48px; }
.top svg { fill: var(--ink); }
.name { font: 650 1.5rem var(--voice); }
.kept { margin-left: auto; }
.hearth { position: relative; display: flex; justify-content: center; align-items: flex-end; min-height: 0; }
.hearth :deep(svg.arch) { height: 100%; width: auto; max-width: 100%; aspect-ratio: 880 / 628; }
.opening { position: absolute; inset: 18% 17% 0; display: flex; flex-direction: column; align-items: center; text-align: center; }
.clock { font-size: 92px; line-height: 1; font-weight: 450; letter-spacing: -1px; font-variant-numeric: tabular-nums; }
.cue { font: 650 2.1rem/1.1 var(--voice); margin-top: 4px; max-width: 15em; text-wrap: balance; }
.detail { font-size: 1.4rem; margin-top: 6px; min-height: 1.4em; }
.pan { margin-top: auto; width: min(64%, 400px); padding-bottom: 6px; }
.under { font-size: 1.0625rem; }
.pace { position: absolute; left: 17%; bottom: 0; font-size: 0.9375rem; display: none; }
.side { display: grid; gap: 18px; align-content: start; overflow-y: auto; padding-bottom: 8px; }
.big { font-size: 2.25rem; line-height: 1.15; font-weight: 450; }
.caution p { font-size: 1.15rem; }
.hands { grid-column: 1 / -1; display: grid; gap: 6px; }
.minor { display: flex; gap: 4px; flex-wrap: wrap; }
.minor .stone-button { min-height: 56px; }
.fire.far .side, .fire.far .minor, .fire.far .detail, .fire.far .pan, .fire.far .facts, .fire.far :deep(svg.arch) { display: none; }
.fire.far { grid-template-columns: 1fr; }
.fire.far .opening { inset: 0; justify-content: center; }
.fire.far .clock { font-size: min(30vw, 330px); }
.fire.far .cue { font-size: min(9vw, 104px); max-width: none; }
@media (max-width: 1000px) and (min-width: 701px) {
  .fire { grid-template: auto auto auto 1fr auto / 1fr; }
  .hands { order: 0; }
}
@media (max-width: 700px) {
  .fire { grid-template: auto auto auto 1fr / minmax(0, 1fr); padding: 4px 12px 12px; min-height: 0; height: auto; row-gap: 6px; }
  .top { min-height: 30px; gap: 8px; }
  .top svg, .facts { display: none; }
  .name { font-size: 1.15rem; }
  .kept { font-size: 0.875rem; }
  .hearth :deep(svg.arch) { height: auto; width: 100%; aspect-ratio: 390 / 430; }
  .opening { inset: 22% 21% 0; }
  .clock { font-size: 84px; }
  .cue { font-size: 1.75rem; }
  .detail { font-size: 1.125rem; }
  .pan { width: 100%; }
  .under { font-size: 0.875rem; }
  .big { font-size: 1.7rem; }
  .hands { order: 3; position: sticky; bottom: 0; background: var(--wall); padding-bottom: 6px; }
  .side { order: 4; gap: 10px; }
}
</style>
