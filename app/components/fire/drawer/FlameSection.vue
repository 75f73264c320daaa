<script setup lang="ts">
import type { CookPlan } from '../../../../core/record/plan/plan'
import { vesselText } from '../../../../words/cook'
import type { Marks } from '../panel'
import ChoiceRow, { type RowChoice } from './ChoiceRow.vue'

const props = defineProps<{
  /** The plan of the cook. */
  plan: CookPlan
  /** Vessels on the fire. */
  vessels: readonly string[]
  /** Vessel of the main line: it can be taken off the fire. */
  main: string
  /** How flame and lid of each vessel stand now. */
  flames: Readonly<Record<string, { readonly mark: string, readonly lid: boolean }>>
}>()

const emit = defineEmits<Marks>()

const LID = ' lid'
const OFF_FIRE = ' off the fire'
/** Marks of the fire, the lid, and taking the pan off. */
function choicesOf(vessel: string): RowChoice<string>[] {
  const now = props.flames[vessel]
  const lid = now?.lid ?? false
  return [
    ...[{ id: 'off', label: 'off' }, ...props.plan.fires[vessel]?.marks ?? []].map(({ id, label }) => ({ key: id, text: label, pressed: now?.mark === id })),
    { key: LID, text: lid ? 'Lid is on' : 'Lid is off', pressed: lid, label: `${lid ? 'Lid is on' : 'Lid is off'}, ${vesselText(props.plan, vessel)}` },
    ...(vessel === props.main ? [{ key: OFF_FIRE, text: 'Taken off the fire' }] : []),
  ]
}

function choose(vessel: string, choice: string): void {
  if (choice === LID) emit('mark', { kind: 'lid.changed', payload: { vessel, lid: !(props.flames[vessel]?.lid ?? false) } })
  else if (choice === OFF_FIRE) emit('mark', { kind: 'off.fire', payload: { vessel } })
  else emit('mark', { kind: 'flame.changed', payload: { vessel, mark: choice } })
}
</script>

<template>
  <ChoiceRow
    v-for="vessel in vessels"
    :key="vessel"
    :legend="`${plan.fires[vessel]?.name} under ${vesselText(plan, vessel)}`"
    :choices="choicesOf(vessel)"
    @choose="choice => choose(vessel, choice)"
  />
</template>
