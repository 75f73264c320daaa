<script setup lang="ts">
import { FORMS, type Form } from '../../../core/formulation/dish/forms'
import { computed, ref } from 'vue'
import type { Ingredient } from '../../../contracts/ingredient'
import type { DishCard } from '../../../core/formulation/dish/dish'
import { newDish } from '../../../core/formulation/dish/newDish'
import { usualChoices } from '../../../core/formulation/dish/usualChoices'
import { FAMILY_IDS, type FamilyId } from '../../../core/formulation/family/family'
import { STYLES, type Style } from '../../../core/formulation/dish/spans'
import { CHOICE_WORDS, FAMILY_WORDS } from '../../../words/choices'
import { STYLE_WORDS } from '../../../words/measure'
import LabelledChoice from '../LabelledChoice.vue'

const props = defineProps<{
  /** The ingredient table. */
  table: readonly Ingredient[]
  /** Id for the dish that comes of it. */
  newId: () => string
}>()

const emit = defineEmits<{
  /** The new dish. */
  dish: [dish: DishCard]
}>()

const family = ref<FamilyId>('semolina')
const style = ref<Style>('everyday')
const form = ref<Form>('soft')
const base = ref('')
const name = ref('')
const bases = computed(() => props.table.filter(row => row.families.includes(family.value)))
const row = computed(() => bases.value.find(one => one.id === base.value) ?? bases.value[0])
function setFamily(value: string): void {
  family.value = FAMILY_IDS.find(id => id === value) ?? 'semolina'
  form.value = usualChoices(family.value).form
  base.value = ''
}
function make(): void {
  if (!row.value) return
  const called = name.value.trim().slice(0, 60) || `${row.value.name.split(',')[0]}, ${STYLE_WORDS[style.value]}`
  emit('dish', newDish({ id: props.newId(), name: called, family: family.value, form: form.value, style: style.value, base: row.value }))
}
</script>

<template>
  <form
    class="new"
    @submit.prevent="make"
  >
    <LabelledChoice
      asks="Family"
      :chosen="family"
      :options="FAMILY_IDS.map(id => ({ value: id, label: FAMILY_WORDS[id].name }))"
      @choose="setFamily"
    />
    <LabelledChoice
      asks="Which base"
      :chosen="row?.id"
      :options="bases.map(one => ({ value: one.id, label: one.name }))"
      @choose="value => base = value"
    />
    <LabelledChoice
      asks="Made into"
      :chosen="form"
      :options="FORMS.map(id => ({ value: id, label: CHOICE_WORDS.form.answers[id] ?? id }))"
      @choose="value => form = FORMS.find(id => id === value) ?? 'soft'"
    />
    <LabelledChoice
      asks="Style"
      :chosen="style"
      :options="STYLES.map(id => ({ value: id, label: STYLE_WORDS[id] }))"
      @choose="value => style = STYLES.find(id => id === value) ?? 'everyday'"
    />
    <label>Name <ElInput
      v-model="name"
      maxlength="60"
      placeholder="ours"
    /></label>
    <ElButton
      type="primary"
      native-type="submit"
    >
      Measure it out
    </ElButton>
  </form>
</template>

<style scoped>
.new { display: grid; grid-template-columns: repeat(auto-fill, minmax(180px, 1fr)); gap: 10px 16px; align-items: end; }
label { font-weight: 600; font-size: 0.9375rem; display: block; }
</style>
