import type { StoredObservation } from '../../contracts/observation'
import { computed, effectScope, onScopeDispose, shallowRef, watch, type EffectScope, type Ref } from 'vue'
import type { Spread } from '../../contracts/spread'
import type { Forecast } from '../../core/record/plan/forecast'
import { replay } from '../../core/record/replay/replay'
import type { Observation } from '../../core/record/marks/observation'
import type { CookPlan } from '../../core/record/plan/plan'
import type { Day } from '../../core/day/problem/day'
import { fromFire } from '../../core/day/spread/fromFire'
import { WORTH_NEW_ORDER_MIN } from '../../core/day/spread/repairDay'
import { todayOf } from '../../core/day/spread/todayOf'
import { followStream } from './cookStream'
import { askForecast } from '../clients/forecaster'
import { minuteOf } from './spreadClock'

/** The day is on from so long before its first step to so long after its last meal, minutes. */
const BEFORE_MIN = 30
const AFTER_MIN = 120
const MEMBERS = 100
/** Forecasts of cooks at the fire are asked anew this often, ms. */
const FORECAST_MS = 20_000

/** The cooks a page hands over. */
interface Cooks {
  readonly known: Readonly<Record<string, { readonly plan: CookPlan, readonly observations: readonly Observation[] }>>
  load(id: string): Promise<unknown>
  receive(id: string, stored: readonly StoredObservation[]): void
}

/**
 * A day while it is on: what is begun and done, marked here or at the fire, and the plan repaired for it.
 *
 * @param spread the day
 * @param plan the planning problem with room and without, and the starts
 * @param other another order of what is left, if one was sought
 * @param nowMs the hearth's time, ms
 * @param cooks the cooks of this page
 */
export function useSpreadToday(
  spread: Readonly<Ref<Spread | null>>,
  plan: Readonly<
    Ref<{ readonly planned: Day, readonly own: Day, readonly starts: Readonly<Record<string, number>> } | null>
  >,
  other: Readonly<Ref<{ readonly starts: Readonly<Record<string, number>> } | null>>,
  nowMs: Readonly<Ref<number>>,
  cooks: Cooks,
) {
  const forecasts = shallowRef<Readonly<Record<string, Forecast>>>({})
  const followed = new Map<string, EffectScope>()
  watch(
    () => spread.value?.cooks.map(one => one.cook).join(' ') ?? '',
    () => {
      for (const { cook } of spread.value?.cooks ?? []) {
        if (followed.has(cook)) continue
        const scope = effectScope(true)
        followed.set(cook, scope)
        void cooks.load(cook).then(() =>
          scope.run(() =>
            followStream(
              cook,
              stored => cooks.receive(cook, stored),
              () => void cooks.load(cook),
            ),
          ),
        )
      }
    },
    { immediate: true },
  )
  onScopeDispose(() => {
    for (const scope of followed.values()) scope.stop()
  })
  const live = computed(() =>
    (spread.value?.cooks ?? []).flatMap(({ dish, cook }) => {
      const known = cooks.known[cook]
      const own = spread.value?.dishes.find(one => one.id === dish)
      return known && own
        ? [
            {
              own,
              id: cook,
              plan: known.plan,
              observations: known.observations,
              cook: replay(known.plan, known.observations),
            },
          ]
        : []
    }),
  )
  watch(
    () => live.value.map(one => `${one.id}${one.observations.length}`).join() + Math.floor(nowMs.value / FORECAST_MS),
    () => {
      for (const one of live.value) {
        if (one.cook.startedMs === null || one.cook.finishedS !== null) continue
        void askForecast(
          `today-${one.id}`,
          one.plan,
          one.observations,
          Math.max(0, (nowMs.value - one.cook.startedMs) / 1000),
          MEMBERS,
        ).then(
          forecast => {
            if (forecast) forecasts.value = { ...forecasts.value, [one.id]: forecast }
          },
          () => undefined,
        )
      }
    },
    { immediate: true },
  )
  const nowMin = computed(() => (spread.value ? minuteOf(spread.value.eve, nowMs.value) : 0))
  const isOn = computed(() => {
    if (!spread.value || !plan.value) return false
    const first = Math.min(...Object.values(plan.value.starts))
    const last = Math.max(...spread.value.meals.map(meal => meal.at))
    return nowMin.value >= first - BEFORE_MIN && nowMin.value <= last + AFTER_MIN
  })
  const fire = computed(() => {
    const day = spread.value
    return !day
      ? []
      : live.value.map(({ own, id, plan: cooked, cook }) =>
          fromFire(
            { id: own.id, steps: own.steps.activities.map(one => one.id) },
            cooked,
            cook,
            forecasts.value[id] ?? null,
            timeS => minuteOf(day.eve, (cook.startedMs ?? 0) + timeS * 1000),
          ),
        )
  })
  const today = computed(() => {
    const at = plan.value
    const day = spread.value
    if (!at || !day || (!isOn.value && day.doings.length === 0 && live.value.length === 0)) return null
    return todayOf(at.planned, at.own, at.starts, day.doings, fire.value, nowMin.value)
  })
  /** Minutes of lateness that another order saves; 0 where it is not worth it. */
  const savesMin = computed(() => {
    const at = plan.value
    if (!at || !spread.value || !today.value || !other.value || today.value.repaired.lateMin < WORTH_NEW_ORDER_MIN)
      return 0
    const { repaired } = todayOf(at.planned, at.own, other.value.starts, spread.value.doings, fire.value, nowMin.value)
    const saved = today.value.repaired.lateMin - repaired.lateMin
    return saved >= WORTH_NEW_ORDER_MIN ? saved : 0
  })
  return { today, nowMin, isOn, savesMin }
}
