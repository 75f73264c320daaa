<script setup lang="ts">
import { computed, ref } from 'vue'
import { bringBack, SERVED, THROUGH_C, type ServedAs } from '../../../core/cook/after/bringBack'
import type { Standing } from '../../../core/cook/after/standing'
import { sweetnessG } from '../../../core/formulation/yield/sweetness'
import type { Nutrients } from '../../../core/materials/composition/nutrients'
import type { Allergen } from '../../../core/materials/composition/ingredient'
import type { GivenTo } from '../../../core/record/marks/afterFire'
import { degreesText, gramsText, dateTimeText } from '../../composables/format'
import { gramsToType, typedGrams, weightUnit } from '../../composables/typed'
import { allergensText, GIVEN_WORDS, SERVED_WORDS } from '../../../words/after'
import NumberField from '../kitchen/NumberField.vue'
import StepField from './StepField.vue'
import SegmentedChoice from '../SegmentedChoice.vue'
import TroubleNote from '../TroubleNote.vue'

const props = defineProps<{
  /** How the batch stands. */
  standing: Standing
  /** Weight of one portion, g. */
  portionG: number
  /** Everything that went in, g and kJ. */
  mix: Nutrients
  /** True where it is a slab or balls: eaten as the room. */
  firm: boolean
  /** Allergens of what goes in last that a share can be free of. */
  freeOf: readonly Allergen[]
  /** True where it is first offered, and a share is set apart before anyone eats. */
  firstOffered: boolean
  /** Thickness of a piece, mm. */
  thickMm: number
  /** The room, °C. */
  roomC: number
  /** Power of the lowest flame, W. */
  lowW: number
  /** What was given out already, newest last. */
  given: readonly { readonly id: string, readonly massG: number, readonly to: GivenTo }[]
  /** The hearth's time. */
  now: number
}>()

const emit = defineEmits<{
  /** Some of it went somewhere, g. */
  give: [massG: number, to: GivenTo]
  /** Nothing is left. */
  gone: []
  /** The last giving out was a mistake. */
  takeBack: []
}>()

const served = ref<ServedAs>(props.firm ? 'room' : 'warm')
const people = ref(4)
const apart = ref(gramsToType(props.portionG))
const apartG = computed(() => typedGrams(apart.value))
const portionsG = computed(() => Math.min(props.standing.leftG, people.value * props.portionG))
const back = computed(() => bringBack(props.standing.mass.contents, Math.max(1, portionsG.value), served.value, props.standing.place === 'cold', Math.min(150, Math.max(2, props.thickMm)), Math.min(50, Math.max(8, props.roomC)), props.lowW, props.standing.keeping.standsH))
const sweet = computed(() => sweetnessG(props.mix, served.value === 'hot' || served.value === 'warm' ? 'warm' : 'cold') / props.standing.mass.massG * 100)
const minutes = (seconds: number): string => (seconds < 5400 ? `${Math.max(1, Math.round(seconds / 60))} min` : `${Math.round(seconds / 1800) / 2} h`)
/** Off the fire for less than this, a pan of it is still warm, ms (estimate: 1 kg under its lid falls below 55 °C in about forty minutes). */
const STILL_WARM_MS = 30 * 60_000
const stillWarm = computed(() => props.standing.place !== 'cold' && props.now - props.standing.madeAt < STILL_WARM_MS && (served.value === 'hot' || served.value === 'warm'))
const says = computed(() => {
  if (stillWarm.value) return 'Still warm from the fire: as it stands.'
  const { outAheadS, warmed } = back.value
  const out = outAheadS > 0 ? `Out of the cold ${minutes(outAheadS)} ahead.` : ''
  const warm = warmed ? `Warm it about ${minutes(warmed.seconds)} on the lowest flame with ${gramsText(warmed.spoonG)} of ${warmed.spoonOf}, stirring${warmed.toC < THROUGH_C ? '' : `, until all of it is at ${degreesText(warmed.toC)} and steams; once only, and what is left then is not kept`}.` : ''
  return [out, warm].filter(Boolean).join(' ') || (served.value === 'cold' ? 'Straight from the cold.' : 'As it stands.')
})
const soft = computed(() => (served.value === 'cold' ? 'Cold, its fat is set: firmer, and it tastes less sweet than warm unless there is fruit in it.' : served.value === 'room' ? 'At room warmth its fat is half set.' : 'Warm, its fat runs: softer and glossier.'))
const refused = ref(false)
function setApart(to: GivenTo): void {
  refused.value = !(apartG.value > 0 && apartG.value <= props.standing.leftG)
  if (!refused.value) emit('give', apartG.value, to)
}
</script>

<template>
  <section
    class="slab serve"
    aria-labelledby="serve"
  >
    <h2 id="serve">
      Serve
    </h2>
    <p class="left">
      <strong>{{ gramsText(standing.leftG) }}</strong> left: {{ Math.floor(standing.leftG / portionG + 0.05) }} portions of {{ gramsText(portionG) }}<span v-if="standing.readyAt > now">, ready {{ dateTimeText(standing.readyAt, now) }}</span>
    </p>
    <div
      v-if="firstOffered || freeOf.length > 0"
      class="apart"
    >
      <p class="strong">
        {{ firstOffered ? 'Before anyone eats: set the share apart.' : '' }} {{ freeOf.length > 0 ? `Before the last goes in: take the share without ${allergensText(freeOf)}, with a spoon and into a bowl that touched none of it. A shared pan is not allergen-free.` : '' }}
      </p>
      <div class="row">
        <NumberField
          v-model="apart"
          label="Share"
          :unit="weightUnit()"
        />
        <ElButton
          v-if="firstOffered"
          @click="setApart('set-apart')"
        >
          Set apart
        </ElButton>
        <ElButton
          v-if="freeOf.length > 0"
          @click="setApart('nut-free')"
        >
          Without {{ allergensText(freeOf) }}, set apart
        </ElButton>
      </div>
      <TroubleNote
        v-if="refused"
        :says="`More than nothing and at most ${gramsText(standing.leftG)}, please. Nothing was changed.`"
      />
    </div>
    <SegmentedChoice
      class="how"
      label="Eaten"
      :chosen="served"
      :options="SERVED.map(value => ({ value, label: SERVED_WORDS[value] }))"
      @choose="value => served = value"
    />
    <StepField
      label="Portions now"
      :value="String(people)"
      :can-less="people > 1"
      @step="by => people += by"
    />
    <p
      class="says"
      role="status"
    >
      {{ says }}
    </p>
    <p class="soft">
      {{ soft }} As sweet as {{ Math.round(sweet) }} g of sugar in 100 g.
    </p>
    <div class="row">
      <ElButton
        type="primary"
        :disabled="portionsG < 1"
        @click="emit('give', Math.round(portionsG), 'eaten')"
      >
        {{ gramsText(portionsG) }} eaten
      </ElButton>
      <ElButton @click="emit('give', Math.round(portionsG), 'given')">
        given away
      </ElButton>
      <ElButton
        text
        @click="emit('gone')"
      >
        Nothing left
      </ElButton>
    </div>
    <ul
      v-if="given.length > 0"
      class="given"
    >
      <li
        v-for="one in given"
        :key="one.id"
      >
        {{ gramsText(one.massG) }} {{ GIVEN_WORDS[one.to] }}
      </li>
      <li>
        <ElButton
          text
          @click="emit('takeBack')"
        >
          Take the last back
        </ElButton>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.serve { display: grid; gap: 10px; align-content: start; }
.left { font-size: 1.2rem; }
.left strong { font-size: 1.5rem; }
.strong { font-weight: 600; }
.how { display: grid; grid-template-columns: repeat(4, 1fr); gap: 6px; }
.how .el-button { padding-inline: 0.2rem; }
.serve :deep(.step) { max-width: 260px; }
.says { font: 500 1.2rem var(--voice); }
.row { display: flex; flex-wrap: wrap; gap: 8px; align-items: end; }
.row label { width: 9em; font-weight: 600; }
.given { list-style: none; margin: 0; padding: 0; display: flex; flex-wrap: wrap; gap: 2px 18px; align-items: center; color: var(--ink-soft); }
</style>
