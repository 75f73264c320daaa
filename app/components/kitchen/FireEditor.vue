<script setup lang="ts">
import { ref, watch } from 'vue'
import { typedNumber } from '../../composables/typed'
import { isHeld } from '../../composables/formRules'
import { FireSchema, type Fire } from '../../../contracts/kitchen'
import { FIRE_KIND_IDS } from '../../../core/materials/fire/fireKinds'
import { usualMarks } from '../../../core/materials/fire/usualMarks'
import { FIRE_KIND_WORDS, ORIGIN_WORDS } from '../../../words/measure'
import LabelledChoice from '../LabelledChoice.vue'
import EditorShell from './EditorShell.vue'

const props = defineProps<{
  /** The fire. */
  item: Fire
}>()

const emit = defineEmits<{
  /** The changed fire. */
  change: [item: Fire]
}>()

const trouble = ref('')
const typed = ref<{ label: string, watts: string }[]>([])
watch(() => props.item.marks, (marks) => {
  typed.value = marks.map(mark => ({ label: mark.label, watts: String(mark.watts) }))
}, { immediate: true })

function send(values: Partial<Fire>): void {
  trouble.value = ''
  emit('change', { ...props.item, ...values })
}
function label(at: number, text: string): void {
  const trimmed = text.trim().slice(0, 20)
  if (trimmed !== '') send({ marks: props.item.marks.map((mark, i) => (i === at ? { ...mark, label: trimmed } : mark)) })
}
function power(at: number, text: string): void {
  const watts = typedNumber(text)
  const marks = props.item.marks.map((mark, i) => (i === at ? { ...mark, watts } : mark))
  if (isHeld(FireSchema, { marks })) send({ marks, origin: 'entered' })
  else trouble.value = 'Each mark gives more than the one before, 20 to 6 000 W. Nothing was changed.'
}
/** Marks that were guessed for another kind of fire say nothing of this one; those that were entered or learned stay. */
function takeKind(value: string): void {
  const kind = FIRE_KIND_IDS.find(known => known === value) ?? 'gas'
  send(props.item.origin === 'guess' ? { kind, marks: usualMarks(kind) } : { kind })
}
/** The fire gets the marks that its kind usually has. */
function takeUsual(): void {
  send({ marks: usualMarks(props.item.kind ?? 'gas'), origin: 'guess' })
}
function addMark(): void {
  const top = props.item.marks.at(-1)!
  const id = `m${Math.max(0, ...props.item.marks.map(mark => Number(mark.id.slice(1)) || 0)) + 1}`
  if (props.item.marks.length < 12) send({ marks: [...props.item.marks, { id, label: `mark ${props.item.marks.length + 1}`, watts: Math.min(6000, Math.round(top.watts * 1.4)) }] })
}
function dropMark(): void {
  if (props.item.marks.length > 1) send({ marks: props.item.marks.slice(0, -1) })
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
      asks="Kind of fire"
      :chosen="item.kind ?? 'gas'"
      :options="FIRE_KIND_IDS.map(kind => ({ value: kind, label: FIRE_KIND_WORDS[kind] }))"
      @choose="takeKind"
    />
    <p class="soft">
      Power that reaches the pan: {{ ORIGIN_WORDS[item.origin] }}. A boil check or a batch narrows it.
    </p>
    <p class="row">
      <NuxtLink
        class="stone-button first"
        :to="`/kitchen/boil?fire=${item.id}`"
      >
        Boil check
      </NuxtLink>
      <ElButton @click="takeUsual">
        Usual marks of this kind
      </ElButton>
    </p>
    <fieldset class="marks">
      <legend>Marks, as you call them</legend>
      <span
        v-for="(mark, i) in item.marks"
        :key="mark.id"
      ><ElInput
        v-model="typed[i]!.label"
        :aria-label="`Name of mark ${i + 1}`"
        @change="(text: string) => label(i, text)"
      /><ElInput
        v-model="typed[i]!.watts"
        inputmode="numeric"
        :aria-label="`Power of mark ${i + 1}`"
        @change="(text: string) => power(i, text)"
      ><template #append>W</template></ElInput></span>
      <span>
        <ElButton @click="addMark">Another mark</ElButton>
        <ElButton
          :disabled="item.marks.length < 2"
          @click="dropMark"
        >One less</ElButton>
      </span>
    </fieldset>
  </EditorShell>
</template>

<style scoped>
.row { display: flex; gap: 10px; flex-wrap: wrap; }
.marks span { display: grid; grid-template-columns: 1fr 1fr; gap: 8px; margin-bottom: 6px; }
</style>
