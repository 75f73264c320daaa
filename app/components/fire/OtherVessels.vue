<script setup lang="ts">
import { computed } from 'vue'
import { clockText, degreesText, gramsText, windowText } from '../../composables/format'
import { useSayAmount } from '../../composables/houseAmounts'
import type { Beside } from '../../../core/cook/guidance/besideNow'
import { vesselText } from '../../../words/cook'
import { inVessel } from '../../../words/inVessel'
import type { Marks } from './panel'
import type { SignId } from '../../../core/formulation/signs/signIds'
import type { FireState } from '../../composables/fireState'
import type { CookPlan } from '../../../core/record/plan/plan'

const props = defineProps<{
  /** What of the fire it is drawn from. */
  fire: Pick<FireState, 'beside' | 'carryS' | 'nowS' | 'stage'>
  /** The plan of the cook. */
  plan: CookPlan
}>()

const emit = defineEmits<Marks>()

const say = useSayAmount(() => props.plan.cup)
/** What presses comes first; what is far off is left out where something else is nearer. */
const PRESSES: Readonly<Record<Beside['status'], number>> = { 'light-now': 0, 'overdue': 1, 'cooled': 2, 'early': 3, 'heating': 4, 'ready': 5, 'later': 6 }
const FAR_S = 600
const shown = computed(() => {
  const sorted = [...props.fire.beside.value].sort((p, q) => Number(q.late) - Number(p.late) || PRESSES[p.status] - PRESSES[q.status])
  const near = sorted.filter(one => one.status !== 'later' || (one.lightInS ?? 0) < FAR_S)
  return near.length > 0 || props.fire.stage.value?.does === 'pour' ? near : sorted.slice(0, 1)
})

/** Water that is worth putting back, g. */
const WORTH_G = 15
const signOf = (one: Beside): SignId => {
  const until = props.plan.dish.stages.find(stage => stage.id === one.stage)?.until
  return until && 'sign' in until ? until.sign : 'boil'
}
const isNuts = (one: Beside): boolean => signOf(one) === 'nuts-golden'

function headline(one: Beside): string {
  const now = props.fire.nowS.value
  switch (one.status) {
    case 'later': return one.lightInS === null ? 'waits' : `on the fire in ${clockText(one.lightInS)}`
    case 'light-now': return one.lightInS !== null && one.lightInS < -30 ? `on the fire now, ${clockText(-one.lightInS)} late` : 'on the fire now'
    case 'heating': return one.ready ? `${isNuts(one) ? 'golden' : signOf(one) === 'strength' ? 'at strength' : 'boils'} ${windowText(Math.max(one.ready.early, now), Math.max(one.ready.late, now))}` : 'heating'
    case 'overdue': return isNuts(one) ? 'should be golden by now' : 'should be there by now'
    case 'cooled': return 'heat it again'
    case 'early': return 'ready, and early'
    case 'ready': return isNuts(one) ? 'out and waiting' : 'ready: keep it there'
  }
}

const outEarly = (one: Beside): string => {
  const carry = props.fire.carryS(one.tempC)
  return carry === null ? 'a shade early' : `${carry} s before the colour you want`
}

function small(one: Beside): string {
  if (one.late) return 'It comes after the pan is right: turn the pan down, or take it off and wait for it.'
  const fire = props.plan.fires[one.vessel]?.name.toLowerCase() ?? 'the other fire'
  const top = one.lostG >= WORTH_G && !isNuts(one) ? ` ${gramsText(one.lostG)} has boiled away: put that much hot water back.` : ''
  switch (one.status) {
    case 'later': case 'light-now': return `Needs about ${Math.max(1, Math.round(one.needs.middle / 60))} min on ${fire}, so it meets the pan.`
    case 'heating': return isNuts(one) ? `Turn them; out ${outEarly(one)}: they darken on.` : 'Then low, lid on.'
    case 'overdue': return 'Look at it, and mark it when it is.'
    case 'cooled': return `Down to ${one.tempC === null ? 'warm' : degreesText(one.tempC)}${one.reheatS === null ? '' : `: about ${Math.max(1, Math.round(one.reheatS / 60))} min to the boil`}.${top}`
    case 'early': return `Lowest flame, lid on, or off and heated again in time.${top}`
    case 'ready': return isNuts(one) ? 'Out of the fat: they darken on.' : `Low flame, lid on, until it goes in.${top}`
  }
}

/** The mark of a vessel's flame that only keeps it warm: its lowest. */
const lowest = (one: Beside): string | undefined => props.plan.fires[one.vessel]?.marks[0]?.id
const planned = (one: Beside): string | undefined => props.plan.flames[one.stage]
function setFlame(one: Beside, mark: string | undefined): void {
  if (mark !== undefined) emit('mark', { kind: 'flame.changed', payload: { vessel: one.vessel, mark } })
}
</script>

<template>
  <section
    v-for="one in shown"
    :key="one.vessel"
    class="slab"
    :data-vessel="one.vessel"
    :data-status="one.status"
  >
    <h2>Other vessel: {{ vesselText(plan, one.vessel) }}</h2>
    <p
      class="big"
      :class="{ danger: one.late }"
    >
      {{ headline(one) }}
    </p>
    <p class="soft">
      {{ inVessel(plan, one.stage, say).join(', ') }}. {{ small(one) }}
    </p>
    <p class="row">
      <ElButton
        v-if="one.status === 'light-now' || one.status === 'later'"
        @click="emit('mark', { kind: 'vessel.lit', payload: { vessel: one.vessel } })"
      >
        It is on
      </ElButton>
      <ElButton
        v-else-if="one.status === 'heating' || one.status === 'overdue'"
        @click="emit('mark', { kind: 'sign.seen', payload: { sign: signOf(one), vessel: one.vessel } })"
      >
        {{ isNuts(one) ? 'Golden' : signOf(one) === 'strength' ? 'At strength' : 'It boils' }}
      </ElButton>
      <ElButton
        v-else-if="one.status === 'early' && lowest(one)"
        @click="setFlame(one, lowest(one))"
      >
        Turned low
      </ElButton>
      <ElButton
        v-else-if="one.status === 'cooled' && planned(one)"
        @click="setFlame(one, planned(one))"
      >
        On again
      </ElButton>
    </p>
  </section>
</template>

<style scoped>
.big { font-size: 2.1rem; line-height: 1.15; font-weight: 450; }
.row:empty { display: none; }
.row .el-button { min-height: 56px; margin-top: 6px; }
@media (max-width: 700px) { .big { font-size: 1.6rem; } }
</style>
