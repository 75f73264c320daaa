import { defineComponent, h, type PropType } from 'vue'

/** A plain select in the place of the themed one, so that a test can choose as a hand would. */
export const ChoiceStub = defineComponent({
  name: 'ChoiceSelect',
  props: {
    /** Value that is chosen. */
    chosen: { type: String, default: undefined },
    /** What can be chosen. */
    options: { type: Array as PropType<readonly { readonly value: string, readonly label: string }[]>, required: true },
    /** What is chosen here. */
    label: { type: String, required: true },
  },
  emits: ['choose'],
  setup(props, { emit }) {
    return () =>
      h(
        'select',
        {
          'aria-label': props.label,
          'onChange': (event: Event) => emit('choose', (event.target as HTMLSelectElement).value),
        },
        props.options.map(one => h('option', { value: one.value, selected: one.value === props.chosen }, one.label)),
      )
  },
})

/** A plain field in the place of the pickers of days and times. */
const PickerStub = defineComponent({
  name: 'PickerStub',
  props: {
    /** What is picked. */
    modelValue: { type: String, default: '' },
  },
  emits: ['update:modelValue'],
  setup(props, { emit }) {
    return () =>
      h('input', {
        value: props.modelValue,
        onChange: (event: Event) => emit('update:modelValue', (event.target as HTMLInputElement).value),
      })
  },
})

/** Mounting options with the stubs in place. */
export const withChoices = { stubs: { ChoiceSelect: ChoiceStub, ElTimePicker: PickerStub, ElDatePicker: PickerStub } }
