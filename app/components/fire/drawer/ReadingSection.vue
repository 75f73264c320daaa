<script setup lang="ts">
import { computed, ref } from 'vue'
import { degreesText, gramsText } from '../../../composables/format'
import { degreesUnit, gramsToType, typedCelsius, typedGrams, typedNumber, weightUnit } from '../../../composables/typed'
import type { CookPlan } from '../../../../core/record/plan/plan'
import { vesselText } from '../../../../words/cook'
import type { Marks } from '../panel'
import ChoiceRow from './ChoiceRow.vue'
import NotMarked from './NotMarked.vue'
import ReadField from './ReadField.vue'

const props = defineProps<{
  /** The plan of the cook. */
  plan: CookPlan
  /** Vessels, the main line's first. */
  vessels: readonly string[]
}>()

const emit = defineEmits<Marks>()

const MOST = { weighed: 40_000, temperature: 300, depth: 300 } as const
const vessel = ref(props.vessels[0] ?? 'pan')
const weight = ref('')
const temperature = ref('')
const depth = ref('')
const note = ref('')
const trouble = ref('')
const tare = computed(() => props.plan.vessels[vessel.value])

function send(kind: keyof typeof MOST): void {
  const value = { weighed: typedGrams(weight.value), temperature: typedCelsius(temperature.value), depth: typedNumber(depth.value) }[kind]
  if (!(value > 0 && value < MOST[kind])) {
    trouble.value = {
      weighed: `A weight in ${weightUnit()} is needed, such as ${gramsToType(2940)}.`, temperature: `A temperature is needed, such as ${degreesText(142)}.`,
      depth: 'A depth in mm is needed, such as 34.',
    }[kind] + ' Nothing was marked.'
    return
  }
  trouble.value = ''
  const of = vessel.value
  if (kind === 'weighed') emit('mark', { kind: 'weighed', payload: { vessel: of, grossG: value } })
  else if (kind === 'temperature') emit('mark', { kind: 'temperature', payload: { vessel: of, tempC: value } })
  else emit('mark', { kind: 'depth.measured', payload: { vessel: of, depthMm: value } })
  weight.value = temperature.value = depth.value = ''
}

function sendNote(): void {
  if (note.value.trim() === '') return
  emit('mark', { kind: 'note', payload: { text: note.value.trim().slice(0, 400) } })
  note.value = ''
}
</script>

<template>
  <ChoiceRow
    v-if="vessels.length > 1"
    legend="Read in"
    :choices="vessels.map(key => ({ key, text: vesselText(plan, key), pressed: vessel === key }))"
    @choose="one => vessel = one"
  />
  <ReadField
    id="gross"
    v-model="weight"
    :label="`Pan on the scale, ${weightUnit()}`"
    button="Weighed"
    number
    :hint="`Empty ${gramsText(tare?.vessel.massG ?? 0)}, ${tare?.massGuessed ? 'a guess' : 'weighed'}`"
    @send="send('weighed')"
  />
  <ReadField
    id="temp"
    v-model="temperature"
    :label="`Thermometer in the pan, ${degreesUnit()}`"
    button="Read"
    number
    @send="send('temperature')"
  />
  <ReadField
    id="depth"
    v-model="depth"
    label="Depth by a ruler, levelled, mm"
    button="Measured"
    number
    @send="send('depth')"
  />
  <ReadField
    id="note"
    v-model="note"
    label="A note at this minute"
    button="Note"
    @send="sendNote"
  />
  <NotMarked :why="trouble" />
</template>
