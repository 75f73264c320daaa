<script setup lang="ts">
import { ref } from 'vue'
import { typedGrams, typedNumber, weightUnit } from '../../composables/typed'
import { isHeld } from '../../composables/formRules'
import { MeasureSchema, type Measure } from '../../../contracts/kitchen'
import { CoreError } from '../../../core/error'
import { cupVolumeMl } from '../../../core/formulation/measures/cupVolumeMl'
import { drawnSize } from '../../../core/formulation/measures/drawnSize'
import { ORIGIN_WORDS } from '../../../words/measure'
import EditorShell from './EditorShell.vue'
import NumberField from './NumberField.vue'

const props = defineProps<{
  /** The cup or spoon. */
  item: Measure
}>()

const emit = defineEmits<{
  /** The changed cup. */
  change: [item: Measure]
}>()

const volume = ref(String(Math.round(props.item.volumeMl * 10) / 10))
const empty = ref('')
const full = ref('')
const trouble = ref('')

function send(values: Partial<Measure>): void {
  trouble.value = ''
  emit('change', { ...props.item, ...values })
}
function enter(): void {
  const ml = typedNumber(volume.value)
  if (isHeld(MeasureSchema, { volumeMl: ml })) send({ volumeMl: ml, origin: 'entered', ...drawnSize(ml, props.item.kind) })
  else trouble.value = 'A cup holds between 1 and 5 000 ml. Nothing was changed.'
}
function weigh(): void {
  if (empty.value.trim() === '' || full.value.trim() === '') return
  try {
    const ml = Math.round(cupVolumeMl(typedGrams(empty.value), typedGrams(full.value)) * 10) / 10
    if (!isHeld(MeasureSchema, { volumeMl: ml })) throw new CoreError('out-of-range', 'cup', {})
    volume.value = String(ml)
    send({ volumeMl: ml, origin: 'weighed', ...drawnSize(ml, props.item.kind) })
  }
  catch {
    trouble.value = 'Full of water it must weigh more than empty. Nothing was changed.'
  }
}
</script>

<template>
  <EditorShell
    :name="item.name"
    :trouble="trouble"
    @rename="name => send({ name })"
    @refuse="says => trouble = says"
  >
    <NumberField
      v-model="volume"
      label="Holds"
      unit="ml"
      @done="enter"
    />
    <p class="soft">
      {{ ORIGIN_WORDS[item.origin] }}
    </p>
    <fieldset>
      <legend>Or weigh it, empty and full of water to the brim you use</legend>
      <NumberField
        v-model="empty"
        label="Empty"
        :unit="weightUnit()"
        @done="weigh"
      />
      <NumberField
        v-model="full"
        label="Full"
        :unit="weightUnit()"
        @done="weigh"
      />
    </fieldset>
  </EditorShell>
</template>
