<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import BoilRead from '../../components/boil/BoilRead.vue'
import BoilSetUp from '../../components/boil/BoilSetUp.vue'
import HousePage from '../../components/HousePage.vue'
import NumberField from '../../components/kitchen/NumberField.vue'
import PanDrawing from '../../components/PanDrawing.vue'
import { BOIL_ON_S, useBoilChecking } from '../../composables/boilChecking'
import { clockText, degreesText, gramsText, windowText } from '../../composables/format'
import { newId } from '../../clients/sync/outbox'
import { degreesUnit, typedCelsius, typedGrams, weightUnit } from '../../composables/typed'
import { useHouse } from '../../stores/house'
import type { LessonAnswer } from '../../../contracts/lesson'
import { depthMm } from '../../../core/materials/vessel/depthMm'
import TroubleNote from '../../components/TroubleNote.vue'

const house = useHouse()
const route = useRoute()
const pans = computed(() => house.kitchen?.pans ?? [])
const fires = computed(() => house.kitchen?.fires ?? [])
const check = useBoilChecking({ pans: () => pans.value, fires: () => fires.value, settings: () => house.kitchen?.settings[0] }, newId)
const { state, pan, fire, mark, step, clockS, boilingC, expected } = check
const asked = (name: string): string | undefined => (typeof route.query[name] === 'string' ? route.query[name] : undefined)
void house.load().then(() => {
  if (!state.value) check.begin(asked('pan'), asked('fire'))
})

const told = shallowRef<LessonAnswer | null>(null)
const trouble = ref('')
const temperature = ref('')
const gross = ref('')
/** A thermometer is read to a tenth here. */
const fineDegrees = (tempC: number): string => (degreesUnit() === '°F' ? degreesText(tempC) : `${tempC.toFixed(1)} °C`)
const flames = computed(() => {
  const all = fire.value?.marks ?? []
  return { on: step.value === 'heating' || step.value === 'boiling' ? all.findIndex(one => one.id === mark.value?.id) + 1 : 0, most: all.length }
})
const water = computed(() => (pan.value && state.value ? depthMm(state.value.waterG, pan.value.innerDiameterMm) : 0))
const cue = computed(() => {
  switch (step.value) {
    case 'set-up': return 'Weigh the water, then light'
    case 'heating': return 'Wait for bubbles all over'
    case 'boiling': return clockS.value > 0 ? 'Lid off, let it boil' : 'Off now, and on the scale'
    default: return 'What does it weigh now?'
  }
})
function readOnTheWay(): void {
  const tempC = typedCelsius(temperature.value)
  if (!(tempC >= 0 && tempC <= 115)) {
    trouble.value = 'A thermometer in water says between 0 and 115 °C. Nothing was changed.'
    return
  }
  trouble.value = ''
  check.read(tempC)
  temperature.value = ''
}
function weighed(): void {
  const grams = typedGrams(gross.value)
  const lost = (pan.value?.massG ?? 0) + (state.value?.waterG ?? 0) - grams
  if (!(grams > 0) || lost < 0 || lost > (state.value?.waterG ?? 0)) {
    trouble.value = `Pan and water together weighed ${gramsText((pan.value?.massG ?? 0) + (state.value?.waterG ?? 0))} at first; now it must be less, and more than the pan alone. Nothing was changed.`
    return
  }
  trouble.value = ''
  check.weighed(Math.round(lost))
  void readIt()
}
async function readIt(): Promise<void> {
  const lesson = check.lesson()
  if (!lesson) {
    trouble.value = 'This cannot be read as a boil check: it boiled within ten seconds, or took more than an hour and a half. It is kept here; begin again with more or less water.'
    return
  }
  try {
    told.value = await house.teach(lesson)
    trouble.value = ''
    check.end()
  }
  catch (error) {
    trouble.value = `Not kept yet: ${error instanceof Error ? error.message : ''} The check stays on this device; read it again when the hearth is back.`
  }
}
function again(): void {
  told.value = null
  check.end()
  check.begin(asked('pan'), asked('fire'))
}
async function keep(values: { readonly altitudeM?: number, readonly thermometerK?: number }): Promise<void> {
  const settings = house.kitchen?.settings[0]
  await house.put('settings', { id: 'house', units: settings?.units ?? 'metric', currency: settings?.currency ?? '', ...settings, ...values }).then(() => {
    trouble.value = values.altitudeM === undefined ? 'Kept: readings of the thermometer are put right from now on.' : `Kept: water boils here by ${values.altitudeM} m from now on.`
  }, () => {
    trouble.value = 'The hearth is away; this was not kept. Try again.'
  })
}
</script>

<template>
  <HousePage :trouble="house.trouble || ''">
    <div class="boil">
      <section
        class="at"
        aria-label="The check"
      >
        <h1>Boil check</h1>
        <p class="soft">
          A known weight of water, this pan, this mark, and a clock. It takes the guess out of every forecast on this fire. A scale and a thermometer make it better; neither is needed.
        </p>
        <template v-if="told">
          <BoilRead
            :told="told"
            @thermometer="errorK => keep({ thermometerK: errorK })"
            @altitude="altitudeM => keep({ altitudeM })"
          />
          <p class="row">
            <ElButton @click="again">
              Another mark or pan
            </ElButton>
            <NuxtLink
              class="stone-button"
              to="/kitchen/learned"
            >
              What the forecast rests on
            </NuxtLink>
          </p>
        </template>
        <template v-else-if="state">
          <p
            v-if="step !== 'set-up'"
            class="clock"
            role="timer"
            aria-live="off"
          >
            {{ step === 'weigh' ? clockText(BOIL_ON_S) : clockText(clockS) }}
          </p>
          <p
            class="cue"
            role="status"
          >
            {{ cue }}
          </p>
          <BoilSetUp
            v-if="step === 'set-up' && pans.length > 0"
            :check="check"
            :pans="pans"
            :fires="fires"
            :cups="house.cups"
          />
          <p
            v-else-if="step === 'heating' && expected"
            class="soft"
          >
            With nothing known: {{ windowText(expected.early, expected.late) }}. {{ state.half ? `On the way: ${degreesText(state.half.tempC)} at ${clockText(state.half.timeS)}.` : '' }}
          </p>
          <p
            v-else-if="step === 'boiling'"
            class="soft"
          >
            Boiled after {{ clockText(((state.boiledMs ?? 0) - (state.startedMs ?? 0)) / 1000) }}. Four minutes more and a weighing tell what this pan loses to the room. {{ state.atBoilC !== null ? `Thermometer at the boil: ${fineDegrees(state.atBoilC)}.` : '' }}
          </p>
          <div
            v-if="step === 'heating' || step === 'boiling'"
            class="reading"
          >
            <NumberField
              v-model="temperature"
              :label="step === 'heating' ? 'Thermometer on the way, if you have one' : `Thermometer in the boiling water (${degreesText(boilingC)} by the height)`"
              :unit="degreesUnit()"
              @done="readOnTheWay"
            />
          </div>
          <div
            v-if="step === 'weigh'"
            class="reading"
          >
            <NumberField
              v-model="gross"
              label="Pan and water on the scale"
              :unit="weightUnit()"
              @done="weighed"
            />
          </div>
          <div class="hands">
            <ElButton
              v-if="step === 'set-up'"
              class="huge"
              type="primary"
              @click="check.light()"
            >
              On the fire: start the clock
            </ElButton>
            <ElButton
              v-if="step === 'heating'"
              class="huge"
              type="primary"
              @click="check.boils()"
            >
              It boils
            </ElButton>
            <ElButton
              v-if="step === 'boiling'"
              class="huge"
              :type="clockS <= 0 ? 'primary' : undefined"
              @click="check.off()"
            >
              Off, and weigh it
            </ElButton>
            <ElButton
              v-if="step === 'boiling' || step === 'weigh'"
              class="huge"
              @click="readIt"
            >
              Enough: read it
            </ElButton>
            <ElButton
              v-if="step !== 'set-up'"
              text
              @click="again"
            >
              Begin again
            </ElButton>
          </div>
        </template>
        <ElAlert
          v-if="trouble.startsWith('Kept')"
          type="success"
          :title="trouble"
          :closable="false"
        />
        <TroubleNote
          v-else
          :says="trouble"
        />
      </section>
      <aside
        v-if="pan"
        class="beside"
        aria-label="The pan"
      >
        <PanDrawing
          :diameter-mm="pan.innerDiameterMm"
          :depth-mm="pan.depthMm"
          :content-mm="Math.min(pan.depthMm, water)"
          colour="#a9c8d6"
          :flames="flames.on"
          :most-flames="flames.most"
          :lid="state?.lid === true && (step === 'set-up' || step === 'heating')"
          :handle="pan.kind === 'pan'"
        />
        <p class="soft">
          {{ pan.name }}, {{ gramsText(pan.massG) }}{{ pan.massOrigin === 'guess' ? ' (a guess: weigh it once, it matters here)' : '' }}. {{ fire?.name }}, {{ mark?.label }}.
        </p>
        <section class="slab warn">
          <h2 class="danger">
            Boiling water
          </h2>
          <p>Lift the lid away from you: the steam burns first. Carry nothing full of boiling water; weigh it where it stands, on a scale that bears heat, or let it stop boiling first.</p>
        </section>
      </aside>
    </div>
  </HousePage>
</template>

<style scoped>
.boil { display: grid; grid-template-columns: minmax(0, 1fr) 360px; gap: 40px; padding-top: 16px; }
.at { display: grid; gap: 12px; align-content: start; max-width: 760px; }
.clock { font-size: 96px; line-height: 0.95; font-weight: 480; font-variant-numeric: tabular-nums; }
.cue { font: 650 2.15rem/1.1 var(--voice); }
.reading { max-width: 340px; }
.reading :deep(label) { display: grid; gap: 3px; font-weight: 600; font-size: 0.9375rem; }
.hands, .row { display: flex; gap: 12px; flex-wrap: wrap; align-items: center; }
.huge { min-height: 72px; font-size: 1.35rem; padding-inline: 1.6rem; }
.beside { display: grid; gap: 14px; align-content: start; border-left: 3px solid var(--line); padding-left: 26px; }
@media (max-width: 1000px) {
  .boil { grid-template-columns: minmax(0, 1fr); gap: 18px; }
  .beside { border-left: 0; padding-left: 0; }
  .clock { font-size: 84px; }
  .huge { flex: 1 1 100%; }
}
</style>
