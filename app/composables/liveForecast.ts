import { onScopeDispose, shallowReadonly, shallowRef, watch, type Ref } from 'vue'
import type { Forecast } from '../../core/record/plan/forecast'
import type { Observation } from '../../core/record/marks/observation'
import type { CookPlan } from '../../core/record/plan/plan'
import { askForecast } from '../clients/forecaster'
import { storyKey } from './storyKey'

/** The worker is asked again at least this often while a cook runs, in seconds of the cook and in real ms. */
const EVERY_COOK_S = 15
const EVERY_REAL_MS = 350
const MEMBERS = 300

/**
 * Keeps the forecast of a running cook up to date: at once after every mark, first from stored runs, and as time
 * passes.
 *
 * @param plan the plan, or null while it is not here
 * @param observations everything marked
 * @param nowS how far the cook is, s
 * @param running false stops the passing of time from asking
 * @returns the newest forecast, readonly
 */
export function useLiveForecast(
  plan: Readonly<Ref<CookPlan | null>>,
  observations: Readonly<Ref<readonly Observation[]>>,
  nowS: Readonly<Ref<number>>,
  running: Readonly<Ref<boolean>>,
): Readonly<Ref<Forecast | null>> {
  const forecast = shallowRef<Forecast | null>(null)
  let askedS = -1
  let askedMs = 0
  let question = 0
  /** Questions under way: the passing of time waits for them, a mark does not. */
  let underWay = 0
  const refresh = async (): Promise<void> => {
    const current = plan.value
    if (!current) return
    askedS = nowS.value
    askedMs = performance.now()
    const mine = ++question
    underWay++
    const found = await askForecast(
      current.id,
      current,
      observations.value,
      Math.max(0, nowS.value),
      MEMBERS,
      moved => {
        if (mine === question && forecast.value) forecast.value = { ...forecast.value, ...moved, doubts: undefined }
      },
    ).catch(() => null)
    underWay--
    if (found) forecast.value = found
  }
  watch([plan, () => storyKey(observations.value)], () => void refresh(), { immediate: true })
  const stop = watch(nowS, (now) => {
    if (underWay === 0 && running.value && now - askedS >= EVERY_COOK_S && performance.now() - askedMs >= EVERY_REAL_MS)
      void refresh()
  })
  onScopeDispose(stop)
  // Shallow: a deep proxy would be asked for every number of every moment at every tick.
  return shallowReadonly(forecast)
}
