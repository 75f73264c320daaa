<script setup lang="ts">
import { ref } from 'vue'
import { typedNumber } from '../../composables/typed'
import { isHeld } from '../../composables/formRules'
import { TraySchema, type Tray } from '../../../contracts/kitchen'
import LabelledChoice from '../LabelledChoice.vue'
import EditorShell from './EditorShell.vue'
import NumberField from './NumberField.vue'

const props = defineProps<{
  /** The tray in hand. */
  item: Tray
}>()

const emit = defineEmits<{
  /** The tray with something changed. */
  change: [item: Tray]
}>()

/** What can be typed, and between how many cm. */
/** What is said where the contract's limits are not held, cm. */
const SIZES = { widthMm: [5, 100], lengthMm: [5, 100], depthMm: [0.5, 20] } as const
type Size = keyof typeof SIZES
const typed = ref({ widthMm: String(props.item.widthMm / 10), lengthMm: String(props.item.lengthMm / 10), depthMm: String(props.item.depthMm / 10) })
const trouble = ref('')

/** A round tray is as long as it is wide. */
function send(values: Partial<Tray>): void {
  trouble.value = ''
  const next = { ...props.item, ...values }
  emit('change', next.shape === 'round' ? { ...next, lengthMm: next.widthMm } : next)
}
function size(field: Size): void {
  const cm = typedNumber(typed.value[field])
  const [least, most] = SIZES[field]
  if (isHeld(TraySchema, { [field]: Math.round(cm * 10) })) send({ [field]: Math.round(cm * 10) })
  else trouble.value = `Between ${least} and ${most} cm, please. Nothing was changed.`
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
      asks="Shape"
      :chosen="item.shape"
      :options="[{ value: 'rectangle', label: 'rectangle' }, { value: 'round', label: 'round' }]"
      @choose="value => send({ shape: value === 'round' ? 'round' : 'rectangle' })"
    />
    <NumberField
      v-model="typed.widthMm"
      :label="item.shape === 'round' ? 'Across' : 'Wide'"
      unit="cm"
      @done="size('widthMm')"
    />
    <NumberField
      v-if="item.shape === 'rectangle'"
      v-model="typed.lengthMm"
      label="Long"
      unit="cm"
      @done="size('lengthMm')"
    />
    <NumberField
      v-model="typed.depthMm"
      label="Deep"
      unit="cm"
      @done="size('depthMm')"
    />
  </EditorShell>
</template>
