import { ROAST_STEPS } from '../../core/process/flame/takeOff'
import { isOneOf } from '../../core/records'
import { useDebounceFn } from '@vueuse/core'
import { onScopeDispose, shallowRef, watch, type Ref } from 'vue'
import { mainLine } from '../../core/formulation/dish/mainLine'
import { usualMinutes } from '../../core/formulation/dish/usualMinutes'
import type { FlameWish } from '../../core/process/flame/flamePlan'
import type { RoastAhead } from '../../core/process/flame/roastAhead'
import { lastRoast } from '../../core/process/program/roastIndex'
import type { Observation } from '../../core/record/marks/observation'
import type { CookPlan } from '../../core/record/plan/plan'
import type { LiveCook } from '../../core/record/marks/liveCook'
import { askRoastAhead } from '../clients/forecaster'
import { storyKey } from './storyKey'

const EVERY_S = 20
const EVERY_REAL_MS = 1000
/** After a mark the windows are drawn first, real ms. */
const AFTER_MS = 300
const MEMBERS = 120
/** So many times its usual minutes a roast is looked ahead. */
const AHEAD = 3

/**
 * Looks ahead of a running roast: when it is likeliest right, and what turning the flame off would make of it.
 *
 * @param plan the plan, or null while it is not here
 * @param observations everything marked
 * @param cook the replayed cook
 * @param nowS how far the cook is, s
 * @returns what is ahead; null outside the last roast
 */
export function useRoastLook(
  plan: Readonly<Ref<CookPlan | null>>,
  observations: Readonly<Ref<readonly Observation[]>>,
  cook: Readonly<Ref<LiveCook | null>>,
  nowS: Readonly<Ref<number>>,
): Readonly<Ref<RoastAhead | null>> {
  const ahead = shallowRef<RoastAhead | null>(null)
  let askedS = 0
  let askedMs = 0
  let question = 0
  let underWay = 0
  const look = async (): Promise<void> => {
    const current = plan.value
    const live = cook.value
    const mine = ++question
    const at = current ? lastRoast(current.dish) : -1
    const stage = current ? mainLine(current.dish)[at] : undefined
    if (!current || !live || !stage || live.stage !== at || live.finishedS !== null || !('sign' in stage.until) || !isOneOf(ROAST_STEPS, stage.until.sign)) {
      ahead.value = null
      return
    }
    askedS = nowS.value
    askedMs = performance.now()
    const wish: FlameWish = {
      step: stage.until.sign,
      patienceS: Math.min(7200, 60 * AHEAD * Math.max(5, usualMinutes(current.dish, stage))),
      risk: 0.02,
    }
    underWay++
    const found = await askRoastAhead(
      `${current.id}-roast`,
      current,
      observations.value,
      nowS.value,
      wish,
      MEMBERS,
    ).catch(() => null)
    underWay--
    if (mine === question && found) ahead.value = found
  }
  const later = useDebounceFn(look, AFTER_MS)
  watch([plan, () => storyKey(observations.value)], () => void later(), { immediate: true })
  const stop = watch(nowS, (now) => {
    if (underWay === 0 && ahead.value && now - askedS >= EVERY_S && performance.now() - askedMs >= EVERY_REAL_MS)
      void look()
  })
  onScopeDispose(stop)
  return ahead
}
