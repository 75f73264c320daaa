import { ElButton, ElInput } from 'element-plus'
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
    return () => h('select', { 'aria-label': props.label, 'onChange': (event: Event) => emit('choose', (event.target as HTMLSelectElement).value) },
      props.options.map(one => h('option', { value: one.value, selected: one.value === props.chosen }, one.label)))
  },
})

/** Mounting options with the stub in place. */
export const withChoices = { components: { ElButton, ElInput }, stubs: { ChoiceSelect: ChoiceStub } }
