<script setup lang="ts">
import { ref, watch } from 'vue'
import type { Tray } from '../../../contracts/kitchen'
import ChoiceSelect from '../ChoiceSelect.vue'

const props = defineProps<{
  /** The tray in hand. */
  item: Tray
}>()

const emit = defineEmits<{
  /** The tray with something changed. */
  change: [item: Tray]
}>()

const name = ref(props.item.name)
const typed = ref({ widthMm: String(props.item.widthMm), lengthMm: String(props.item.lengthMm), depthMm: String(props.item.depthMm) })
const trouble = ref('')
watch(name, (value) => {
  if (value.trim() !== '') emit('change', { ...props.item, name: value.trim().slice(0, 60) })
})
function set(field: keyof typeof typed.value): void {
  const value = Number(typed.value[field].replace(',', '.'))
  const [min, max] = field === 'depthMm' ? [5, 200] : [50, 1000]
  if (!(value >= min && value <= max)) {
    trouble.value = `Between ${min} and ${max} mm, please. Nothing was changed.`
    return
  }
  trouble.value = ''
  const next = { ...props.item, [field]: value }
  emit('change', next.shape === 'round' ? { ...next, lengthMm: next.widthMm } : next)
}
</script>

<template>
  <div class="editor">
    <label>Name <input
      v-model="name"
      class="line"
      maxlength="60"
    ></label>
    <div>
      <ChoiceSelect
        label="Shape"
        :chosen="item.shape"
        :options="[{ value: 'rectangle', label: 'rectangle' }, { value: 'round', label: 'round' }]"
        @choose="value => emit('change', { ...item, shape: value === 'round' ? 'round' : 'rectangle', lengthMm: value === 'round' ? item.widthMm : item.lengthMm })"
      />
    </div>
    <label>{{ item.shape === 'round' ? 'Diameter, mm' : 'Width, mm' }} <input
      v-model="typed.widthMm"
      class="line"
      inputmode="decimal"
      @change="set('widthMm')"
    ></label>
    <label v-if="item.shape === 'rectangle'">Length, mm <input
      v-model="typed.lengthMm"
      class="line"
      inputmode="decimal"
      @change="set('lengthMm')"
    ></label>
    <label>Depth, mm <input
      v-model="typed.depthMm"
      class="line"
      inputmode="decimal"
      @change="set('depthMm')"
    ></label>
    <p
      class="danger"
      role="alert"
    >
      {{ trouble }}
    </p>
  </div>
</template>

<style scoped>
.line { min-height: 44px; border: 2px solid var(--ink); border-bottom-width: 4px; border-radius: 2px; background: var(--wall-raised); padding: 0 0.7rem; font-weight: 400; }
p:empty { display: none; }
</style>
