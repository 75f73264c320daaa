<script setup lang="ts">
import { ref } from 'vue'
import { gramsText } from '../../composables/format'
import { gramsToType, typedGrams, typedNumber, weightUnit } from '../../composables/typed'
import { isHeld } from '../../composables/formRules'
import { PanSchema, type Pan } from '../../../contracts/kitchen'
import { guessMassG } from '../../../core/materials/vessel/guessMassG'
import { MATERIALS, type Material } from '../../../core/materials/vessel/vessel'
import { ORIGIN_WORDS } from '../../../words/measure'
import LabelledChoice from '../LabelledChoice.vue'
import EditorShell from './EditorShell.vue'
import NumberField from './NumberField.vue'

const props = defineProps<{
  /** The pan or pot. */
  item: Pan
}>()

const emit = defineEmits<{
  /** The changed pan. */
  change: [item: Pan]
}>()

const diameter = ref(String(props.item.innerDiameterMm / 10))
const depth = ref(String(props.item.depthMm / 10))
const mass = ref(gramsToType(props.item.massG))
const trouble = ref('')

function send(values: Partial<Pan>): void {
  trouble.value = ''
  const item = { ...props.item, ...values }
  if (item.massOrigin === 'guess') item.massG = guessMassG(item.innerDiameterMm, item.depthMm, item.material)
  mass.value = gramsToType(item.massG)
  emit('change', item)
}
function size(): void {
  const innerDiameterMm = typedNumber(diameter.value) * 10
  const depthMm = typedNumber(depth.value) * 10
  if (isHeld(PanSchema, { innerDiameterMm, depthMm })) send({ innerDiameterMm, depthMm })
  else trouble.value = 'Pans are 8 to 70 cm across and 2 to 50 cm deep. Nothing was changed.'
}
function weigh(): void {
  const massG = typedGrams(mass.value)
  if (isHeld(PanSchema, { massG })) send({ massG, massOrigin: 'weighed' })
  else trouble.value = `Empty pans weigh ${gramsText(50)} to ${gramsText(20_000)}. Nothing was changed.`
}
</script>

<template>
  <EditorShell
    :name="item.name"
    :trouble="trouble"
    @rename="name => send({ name })"
    @refuse="says => trouble = says"
  >
    <LabelledChoice
      asks="Material"
      :chosen="item.material"
      :options="MATERIALS.map(one => ({ value: one, label: one.replace('-', ' ') }))"
      @choose="value => send({ material: value as Material })"
    />
    <NumberField
      v-model="diameter"
      label="Across, inside"
      unit="cm"
      @done="size"
    />
    <NumberField
      v-model="depth"
      label="Deep"
      unit="cm"
      @done="size"
    />
    <NumberField
      v-model="mass"
      label="Empty weight"
      :unit="weightUnit()"
      @done="weigh"
    />
    <p class="soft">
      {{ ORIGIN_WORDS[item.massOrigin] }}<template v-if="item.massOrigin === 'guess'">
        from its size; weigh it once and the scale can tell the end
      </template>
    </p>
    <ElCheckbox
      :model-value="item.coated"
      label="Coated, so that little sticks"
      @change="value => send({ coated: value === true })"
    />
  </EditorShell>
</template>
