import { computed, ref, type Ref } from 'vue'
import type { MarkOf } from '../../core/record/marks/kinds'
import type { CookPlan } from '../../core/record/plan/plan'
import type { Remedy } from '../../core/cook/remedies/remedy'
import type { Fault } from '../../core/cook/faults/faults'
import { repairOf } from '../../core/cook/repair/repairOf'
import type { FireState } from './fireState'
import { useIngredients } from '../stores/ingredients'

/**
 * What is wrong with a pan, and what can be done: worked out anew as the cook goes on.
 *
 * @param fire state of the fire screen
 * @param plan the plan of the cook
 * @param first the fault that is looked at first, or null
 * @returns the fault that is looked at, its repair, and what applying a remedy marks
 */
export function useRepairing(fire: Pick<FireState, 'cook' | 'forecast' | 'nowS'>, plan: Readonly<Ref<CookPlan>>, first: Fault | null = null) {
  const pantry = useIngredients()
  const fault = ref<Fault | null>(first)
  // Worked out every five seconds: amounts that jump under the eye cannot be weighed out.
  const everyS = computed(() => Math.floor(fire.nowS.value / 5) * 5)
  return {
    fault,
    repair: computed(() => (fault.value && fire.cook.value
      ? repairOf(plan.value, fire.cook.value, fire.forecast.value, everyS.value, fault.value, pantry.compositions)
      : null)),
    /** What is marked when a remedy is applied. */
    applied(of: Fault, remedy: Remedy): MarkOf<'repaired'>['payload'] {
      return { fault: of, way: remedy.way, adds: remedy.adds, liftsFatG: remedy.liftsFatG }
    },
  }
}
