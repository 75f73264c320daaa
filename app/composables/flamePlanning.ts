import { onScopeDispose, ref, shallowRef, watch, type Ref } from 'vue'
import { useDebounceFn } from '@vueuse/core'
import type { FlamePlan, FlameWish } from '../../core/process/flame/flamePlan'
import { lastRoast } from '../../core/process/program/roastIndex'
import type { CookPlan } from '../../core/record/plan/plan'
import { askFlamePlan, giveUp } from '../clients/forecaster'

const STREAM = 'flame-plan'
/** The plan has stood still so long before its flames are searched, ms. */
const REST_MS = 500

/**
 * Plans the flames of a roast whenever the plan, apart from its flames, or the wish has changed and stands still.
 *
 * @param plan the plan, or null while there is none
 * @param wish roast, patience, risk; null where nothing is wished
 * @returns the best plan so far, how much of the search is done, and what went wrong
 */
export function useFlamePlanning(plan: Readonly<Ref<CookPlan | null>>, wish: Readonly<Ref<FlameWish | null>>) {
  const found = shallowRef<FlamePlan | null>(null)
  const done = ref(0)
  const trouble = ref('')
  let question = 0
  const search = useDebounceFn(async (current: CookPlan, wanted: FlameWish, mine: number) => {
    if (mine !== question) return
    const { turns: _, ...bare } = current
    try {
      const best = await askFlamePlan(STREAM, bare, wanted, (soFar, share) => {
        if (mine !== question) return
        found.value = soFar
        done.value = share
      })
      if (mine !== question || !best) return
      found.value = best
      done.value = 1
    }
    catch {
      if (mine === question) trouble.value = 'The flames could not be planned for this dish. Everything else stands.'
    }
  }, REST_MS)
  /** Flames are what is looked for: a change of theirs alone asks nothing. */
  const key = (): string | null => {
    const current = plan.value
    if (!current || !wish.value || lastRoast(current.dish) < 0) return null
    return JSON.stringify([wish.value, current.dish, current.amounts, current.vessels, current.fires])
  }
  watch(key, (now) => {
    const mine = ++question
    giveUp(STREAM)
    trouble.value = ''
    done.value = 0
    if (now === null || !plan.value || !wish.value) found.value = null
    else void search(plan.value, wish.value, mine)
  }, { immediate: true })
  onScopeDispose(() => {
    question++
    giveUp(STREAM)
  })
  return { found, done, trouble }
}
