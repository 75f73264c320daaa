<script setup lang="ts">
import { computed, ref } from 'vue'
import { gramsToType, typedGrams, weightUnit } from '../../../composables/typed'
import { useIngredients } from '../../../stores/ingredients'
import type { CookPlan } from '../../../../core/record/plan/plan'
import type { Composition } from '../../../../core/materials/composition/composition'
import { MOST_ADDED_G } from '../../../../core/record/marks/panChange'
import type { Marks } from '../panel'
import ChoiceRow from './ChoiceRow.vue'
import NotMarked from './NotMarked.vue'
import ReadField from './ReadField.vue'

const props = defineProps<{
  /** The plan of the cook. */
  plan: CookPlan
}>()

const emit = defineEmits<Marks>()

/** What goes into a pan beside its plan, whatever the dish. */
const USUAL = ['water', 'milk', 'ghee', 'sugar', 'milk-powder'] as const
/** Fat off the pan goes the other way. */
const OFF = 'fat-off'
const pantry = useIngredients()
/** What can have gone in, with its composition: what the dish is made of, and the usual things. */
const things = computed(() => new Map<string, Composition>([
  ...props.plan.amounts.map(one => [one.ingredient, one.composition] as const),
  ...USUAL.flatMap(id => (pantry.compositions[id] ? [[id, pantry.compositions[id]] as const] : [])),
]))
const chosen = ref<string | null>(null)
const weight = ref('')
const trouble = ref('')
const name = (id: string): string => (id === OFF ? 'fat off' : id.replaceAll('-', ' '))

function send(): void {
  const massG = typedGrams(weight.value)
  const composition = things.value.get(chosen.value ?? '')
  const most = chosen.value === OFF ? 5000 : MOST_ADDED_G
  const told = chosen.value === OFF ? { liftsFatG: massG } : chosen.value !== null && composition ? { adds: [{ ingredient: chosen.value, massG, composition }] } : null
  if (!(massG > 0 && massG <= most) || told === null) {
    trouble.value = chosen.value === null ? 'Say first what went in. Nothing was marked.' : `A weight in ${weightUnit()} is needed, such as ${gramsToType(40)}. Nothing was marked.`
    return
  }
  emit('mark', { kind: 'added', payload: told })
  chosen.value = null
  weight.value = trouble.value = ''
}
</script>

<template>
  <ChoiceRow
    legend="More went in, or out"
    :choices="[...things.keys(), OFF].map(key => ({ key, text: name(key), pressed: chosen === key }))"
    @choose="key => chosen = chosen === key ? null : key"
  />
  <ReadField
    v-if="chosen !== null"
    id="added"
    v-model="weight"
    :label="`How much: ${name(chosen)}, ${weightUnit()}`"
    :button="chosen === OFF ? 'It is off' : 'It is in'"
    number
    hint="The windows are worked out anew with it."
    @send="send"
  />
  <NotMarked :why="trouble" />
</template>
