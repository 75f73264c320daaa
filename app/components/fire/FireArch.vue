<script setup lang="ts">
import { computed } from 'vue'
import { clockText, degreesText, gramsText, windowText } from '../../composables/format'
import type { FireState } from '../../composables/fireState'
import { labToHex } from '../../../core/materials/colour/labToHex'
import type { CookPlan } from '../../../core/record/plan/plan'
import { depthMm } from '../../../core/materials/vessel/depthMm'
import { BUBBLING } from '../../../core/materials/vessel/panFit'
import { cueText as sayCue, SIGN_WORDS } from '../../../words/cook'
import { turnText } from '../../../words/dish'
import { lateText } from '../../../words/late'
import ArchDrawing, { type ArchBand } from '../ArchDrawing.vue'
import PanDrawing from '../PanDrawing.vue'
import { wordFor } from '../../../words/wordFor'

const props = defineProps<{
  /** State of the fire screen. */
  fire: FireState
  /** The plan of the cook. */
  plan: CookPlan
  /** True on a narrow screen: the arch is drawn small and without labels. */
  narrow: boolean
  /** Clock and cue alone, to be read from two metres. */
  far: boolean
  /** Something is opened beside: on a narrow screen it takes the arch's room, clock and cue stay. */
  aside: boolean
}>()

const emit = defineEmits<{
  /** The cue was touched: it is to be said. */
  say: []
}>()

/** What is drawn as a dot on the stones: signs and readings, whoever made them. */
const SHOWN = new Set(['sign.seen', 'looks.like', 'weighed', 'temperature', 'depth.measured', 'perceived', 'added', 'repaired'])
/** The turning point has the dish's own name. */
const labels = computed(() => ({ aroma: 'smell', pour: turnText(props.plan.dish).toLowerCase(), end: 'end' }))
const shape = computed(() => (props.narrow
  ? { width: 390, height: 350, stone: 26, margin: 30 }
  : { width: 880, height: 628, stone: 60, margin: 72 }))
const cook = computed(() => props.fire.cook.value)
const nowS = computed(() => props.fire.nowS.value)
/** From an hour on the seconds are small: the clock keeps its width. */
const clock = computed(() => {
  const text = clockText(nowS.value)
  const cut = text.split(':').length > 2 ? text.lastIndexOf(':') : text.length
  return { large: text.slice(0, cut), small: text.slice(cut) }
})
const bands = computed(() => props.fire.windows.value.map((one): ArchBand => ({
  id: one.id, kind: one.id === 'pour' ? 'turn' : 'sign', label: labels.value[one.id], fromS: one.fromS, toS: one.toS, times: windowText(one.fromS, one.toS),
})))
/** The open windows in words, where the arch has no room for them or is not drawn. */
const windowsText = computed(() => bands.value.filter(one => one.times).map(one => `${one.label} ${one.times}`).join(' · '))
const marks = computed(() => (cook.value?.moments ?? [])
  .filter(one => !one.withdrawn && SHOWN.has(one.kind))
  .map(one => one.timeS))
const pace = computed(() => Math.max(1, ...(props.fire.arch.value?.stones ?? []).map(stone => Math.round((stone.toS - stone.fromS) / 60))))
const pan = computed(() => props.plan.vessels[props.fire.main.value]?.vessel ?? null)
const content = computed(() => {
  const here = props.fire.point.value
  if (!here || !pan.value || cook.value?.startedMs === null) return { depth: 0, colour: '#dddddd' }
  return { depth: Math.max(8, depthMm(here.volumeMl, pan.value.innerDiameterMm)), colour: labToHex(here.colour) }
})
const greatest = computed(() => {
  const most = Math.max(0, ...(props.fire.forecast.value?.points ?? []).map(one => one.volumeMl))
  return pan.value ? Math.min(pan.value.depthMm + 6, depthMm(most * BUBBLING, pan.value.innerDiameterMm)) : 0
})
const flame = computed(() => {
  const marksOf = props.plan.fires[props.fire.main.value]?.marks ?? []
  const on = marksOf.findIndex(mark => mark.id === props.fire.flames.value[props.fire.main.value]?.mark) + 1
  return { on, most: marksOf.length, label: on > 0 ? `flame ${marksOf[on - 1]?.label}` : 'flame off' }
})
const cueText = computed(() => (props.fire.cue.value ? sayCue(props.fire.cue.value, props.plan, props.fire.stage.value) : ''))
/** How long nuts brown on once they are out of fat as hot as it will be then. */
const carryAt = (timeS: number): number | null => {
  const then = props.fire.forecast.value?.points.filter(one => one.stage === cook.value?.stage && one.timeS <= timeS).at(-1)
  return props.fire.carryS(then?.tempC ?? null)
}
const detail = computed(() => {
  const late = props.fire.cue.value?.late
  if (late) return lateText(late)
  const next = props.fire.cue.value?.next
  if (next) {
    // What browns on once it is out comes out so much before.
    const carry = next.sign === 'nuts-golden' ? carryAt(next.window.middle) : null
    const early = Math.max(0, next.window.early - (carry ?? 0) - nowS.value)
    const late = Math.max(0, next.window.late - (carry ?? 0) - nowS.value)
    const words = carry === null ? wordFor(SIGN_WORDS, next.sign)?.waited ?? next.sign : `out, ${carry} s before golden`
    if (late <= 20) return `${words}: any moment`
    const upTo = Math.ceil(late / 60)
    return early < 45 ? `${words} within ${upTo} min` : `${words} in ${Math.max(1, Math.round(early / 60))} to ${upTo} min`
  }
  const stages = props.fire.forecast.value?.stages
  const until = stages?.[stages.length - 1]?.middle ?? 0
  return cook.value?.finishedS === null && props.fire.stage.value?.does === 'rest' && until > nowS.value ? `${clockText(until - nowS.value)} to go` : ''
})
</script>

<template>
  <section
    class="hearth"
    :class="{ far, aside }"
    aria-label="The cook"
  >
    <div class="frame">
      <ArchDrawing
        v-if="fire.arch.value"
        v-show="!far"
        class="arch"
        :shape="shape"
        :stones="fire.arch.value.stones"
        :keystone-s="fire.arch.value.keystoneS"
        :end-s="fire.arch.value.endS"
        :bands="bands"
        :now-s="cook?.startedMs == null ? null : nowS"
        :marks="marks"
        :labels="!narrow"
        :title="`The arch of this cook, raw at the left foot, ${labels.pour} at the crown, done at the right foot. One stone is ${pace} min. ${windowsText ? `Still open, from the lighting: ${windowsText}.` : ''}`"
      />
      <div class="opening">
        <p
          class="clock"
          role="timer"
          aria-live="off"
        >
          {{ clock.large }}<span
            v-if="clock.small"
            class="seconds"
          >{{ clock.small }}</span>
        </p>
        <p
          class="cue"
          role="status"
          :class="[{ danger: fire.cue.value?.caution === 'pour' || fire.cue.value?.late }, fire.cue.value?.late ? `late-${fire.cue.value.late.level}` : '']"
          @click="emit('say')"
        >
          {{ cueText }}
        </p>
        <p class="detail soft">
          {{ detail }}
        </p>
        <p
          v-if="windowsText"
          class="windows soft"
        >
          {{ windowsText }}
        </p>
        <div
          v-if="pan && !far"
          class="vessel"
        >
          <PanDrawing
            class="drawing"
            :diameter-mm="pan.innerDiameterMm"
            :depth-mm="pan.depthMm"
            :content-mm="content.depth"
            :colour="content.colour"
            :line-mm="(cook?.stage ?? 0) < fire.keystone.value ? greatest : null"
            :flames="flame.on"
            :most-flames="flame.most"
            :lid="fire.flames.value[fire.main.value]?.lid"
            :handle="!narrow"
          />
          <p class="under soft">
            {{ flame.label }}<template v-if="fire.point.value && cook?.startedMs !== null">
              · about {{ degreesText(fire.point.value.tempC) }} · {{ gramsText(fire.point.value.contentG) }}
            </template>
          </p>
        </div>
      </div>
      <p
        v-if="!far"
        class="pace soft small"
      >
        1 stone = {{ pace }} min
      </p>
    </div>
  </section>
</template>

<style scoped>
.hearth { grid-area: arch; display: grid; place-items: end center; min-height: 0; container-type: size; }
.frame { position: relative; width: min(100cqw, 100cqh * 880 / 628); height: min(100cqh, 100cqw * 628 / 880); }
.frame .arch { height: 100%; width: 100%; }
.opening { position: absolute; inset: 23% 19% 0; display: flex; flex-direction: column; align-items: center; text-align: center; }
.clock { font-size: 96px; line-height: 0.95; font-weight: 480; letter-spacing: -1px; font-variant-numeric: tabular-nums; }
.seconds { font-size: 0.5em; }
.cue { font: 650 2.15rem/1.1 var(--voice); margin-top: 6px; max-width: 13em; text-wrap: balance; }
/* The later, the harder to pass over. */
.late-2 { background: var(--danger); color: var(--on-danger); padding: 2px 14px; }
.late-3 { background: var(--danger); color: var(--on-danger); padding: 2px 14px; animation: late 1.2s steps(2, jump-none) infinite; }
@keyframes late { to { background: var(--ink); } }
@media (prefers-reduced-motion: reduce) { .late-3 { animation: none; outline: 6px double var(--danger); outline-offset: 4px; } }
.detail { font-size: 1.4rem; line-height: 1.25; margin-top: 6px; min-height: 1.25em; max-width: 55%; text-wrap: balance; }
.windows { display: none; font-size: 1.2rem; font-variant-numeric: tabular-nums; text-wrap: balance; }
.vessel { margin-top: auto; width: min(84%, 470px); padding-bottom: 4px; }
.vessel .drawing { width: min(84%, 470px); margin-left: 12%; padding-bottom: 4px; }
.under { font-size: 1.0625rem; white-space: nowrap; }
.pace { position: absolute; left: 13%; bottom: 0; padding-left: 6%; }
@container (max-width: 800px) {
  .pace { display: none; }
  .vessel { width: 60%; }
}
/* From two metres: clock and cue take all the room that there is. */
.far .frame { width: 100%; height: 100%; }
.far .opening { inset: 0; justify-content: center; }
.far .clock { font-size: min(28vw, 30vh, 330px); }
.far .cue { font-size: min(8vw, 10vh, 92px); max-width: none; }
.far .detail { font-size: min(4.6vw, 6vh, 56px); max-width: none; }
.far .windows { display: block; max-width: none; font-size: min(3.2vw, 4.4vh, 40px); }
@media (max-width: 700px) {
  .hearth:not(.far) { container-type: inline-size; display: block; }
  .hearth:not(.far) .frame { width: auto; height: min(40dvh, 89vw); aspect-ratio: 390 / 350; margin: 0 auto; }
  /* Clear of the feet of the arch. */
  .hearth:not(.far) .opening { inset: 24% 20% 0; }
  .opening > * { flex: none; }
  .hearth:not(.far) .clock { font-size: 84px; }
  .hearth:not(.far) .cue { font-size: 1.75rem; }
  .hearth:not(.far) .detail { font-size: 1.0625rem; max-width: none; margin-top: 2px; min-height: 0; }
  .vessel .drawing { display: none; }
  .hearth:not(.far) .windows { display: block; font-size: 0.9375rem; }
  .vessel { width: 84%; }
  .under { font-size: 0.875rem; }
  .aside:not(.far) :is(.arch, .vessel, .detail) { display: none; }
  .aside:not(.far) .frame { aspect-ratio: auto; height: auto; }
  .aside:not(.far) .opening { position: static; }
  .far .cue { font-size: 11vw; }
  .far .detail { font-size: 6vw; }
  .far .windows { font-size: 5.6vw; }
}
@media (max-height: 520px) and (orientation: landscape) {
  .hearth:not(.far) { container-type: inline-size; display: grid; place-items: center; }
  .hearth:not(.far) .frame { width: 100%; height: auto; aspect-ratio: auto; }
  .frame .arch, .vessel, .pace { display: none; }
  .hearth:not(.far) .opening { position: static; }
  .hearth:not(.far) .clock { font-size: 110px; }
  .hearth:not(.far) .detail { max-width: none; }
  .aside:not(.far) .clock { font-size: 84px; }
  .aside:not(.far) .detail { display: none; }
  .far .clock { font-size: min(24vw, 32vh); }
  .far .cue { font-size: min(6.4vw, 13vh); }
  .far .detail { font-size: min(4.6vw, 6vh); }
  .far .windows { font-size: min(3.2vw, 5.5vh); }
}
@media (max-width: 420px) and (max-height: 420px) {
  .hearth, .hearth:not(.far) { flex: none; container-type: inline-size; }
  .far .frame, .hearth:not(.far) .frame { height: auto; max-height: none; aspect-ratio: auto; width: 100%; }
  .far .opening { position: static; }
  .clock, .hearth:not(.far) .clock { font-size: 56px; }
  .cue, .hearth:not(.far) .cue { font-size: 1.4rem; }
}
</style>
