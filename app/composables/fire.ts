import { computed, type Ref } from 'vue'
import { stonesOf } from '../../core/cook/batch/stones'
import { boundaryIndex } from '../../core/formulation/dish/boundaryIndex'
import { doneIndex } from '../../core/formulation/dish/doneIndex'
import { mainLine } from '../../core/formulation/dish/mainLine'
import { mainVessel } from '../../core/formulation/dish/mainVessel'
import { sideStages } from '../../core/formulation/dish/sideStages'
import type { Forecast } from '../../core/record/plan/forecast'
import type { Window } from '../../core/maths/random/window'
import { actionsOf } from '../../core/cook/guidance/actions'
import { cueOf } from '../../core/cook/guidance/cue'
import { besideNow } from '../../core/cook/guidance/besideNow'
import { flamesNow } from '../../core/record/replay/flamesNow'
import { sweetenedAhead } from '../../core/cook/guidance/sweetenedAhead'
import { syrupNow } from '../../core/cook/guidance/syrupNow'
import type { Observation } from '../../core/record/marks/observation'
import type { CookPlan } from '../../core/record/plan/plan'
import { replay } from '../../core/record/replay/replay'
import { carryOverS } from '../../core/materials/browning/carryOverS'
import { useHearthTime } from './hearthTime'
import { useLiveForecast } from './liveForecast'
import { useRoastLook } from './roastLook'
import type { FireState, OpenWindow } from './fireState'

/** Below it nuts do not brown, and the law of their browning says nothing, °C. */
const BROWNS_C = 90

/**
 * Everything the fire screen draws, kept up to date: the replayed cook, its clock, its forecast, the cue and the
 * actions.
 *
 * @param plan the plan, or null while it is not here
 * @param observations everything marked, acknowledged or not
 * @returns readonly computed state; it stops with its scope
 */
export function useFire(plan: Readonly<Ref<CookPlan | null>>, observations: Readonly<Ref<readonly Observation[]>>): FireState {
  const now = useHearthTime(250)
  const cook = computed(() => (plan.value ? replay(plan.value, observations.value) : null))
  const running = computed(() => cook.value !== null && cook.value.startedMs !== null && cook.value.finishedS === null)
  const nowS = computed(() => {
    const current = cook.value
    if (!current || current.startedMs === null) return 0
    return current.finishedS ?? Math.max(0, (now.value - current.startedMs) / 1000)
  })
  const forecast = useLiveForecast(plan, observations, nowS, running)
  const line = computed(() => (plan.value ? mainLine(plan.value.dish) : []))
  const keystone = computed(() => (plan.value ? boundaryIndex(plan.value.dish, plan.value.dish.keystone) : 0))
  const done = computed(() => (plan.value ? doneIndex(plan.value.dish) : 0))
  const both = computed(() => (plan.value && cook.value ? { plan: plan.value, cook: cook.value } : null))
  return {
    cook, running, nowS, forecast, ahead: useRoastLook(plan, observations, cook, nowS), line, keystone, done,
    /** Where the main line is now: in a pressure pan first, where there is one. */
    main: computed(() =>
      plan.value ? (line.value[Math.max(0, cook.value?.stage ?? 0)]?.vessel ?? mainVessel(plan.value.dish)) : 'pan',
    ),
    sides: computed(() => (plan.value ? sideStages(plan.value.dish).map(stage => stage.vessel) : [])),
    beside: computed(() => (both.value ? besideNow(both.value.plan, both.value.cook, forecast.value, nowS.value) : [])),
    syrup: computed(() => (both.value ? syrupNow(both.value.plan, both.value.cook, forecast.value) : null)),
    thinning: computed(() =>
      forecast.value && both.value && both.value.cook.stage > 0
        ? sweetenedAhead(forecast.value, both.value.cook.stage)
        : null,
    ),
    surprise: computed(() => {
      const found = forecast.value?.doubts?.surprise ?? null
      return found && cook.value?.moments.some(one => one.id === found.mark && !one.withdrawn) ? found : null
    }),
    /** Nuts brown so much longer once they are out of the fat, s to the next five; they come out so much before. */
    carryS: (tempC: number | null) =>
      plan.value && tempC !== null && tempC > BROWNS_C
        ? 5 * Math.max(1, Math.round(carryOverS(tempC, plan.value.airC) / 5))
        : null,
    stage: computed(() => line.value[cook.value?.stage ?? -1] ?? null),
    cue: computed(() => (both.value ? cueOf(both.value.plan, both.value.cook, forecast.value, nowS.value) : null)),
    actions: computed(() =>
      both.value ? actionsOf(both.value.plan, both.value.cook, forecast.value, nowS.value) : [],
    ),
    flames: computed(() => (both.value ? flamesNow(both.value.plan, both.value.cook) : {})),
    windows: computed(() => openWindows(forecast.value, cook.value, keystone.value, done.value, nowS.value)),
    arch: computed(() => {
      const found = forecast.value
      const current = cook.value
      if (!found || !current) return null
      const keystoneS = current.stageStarts[keystone.value] ?? found.stages[keystone.value]!.middle
      const endS = Math.max(keystoneS + 60, current.stageStarts[done.value] ?? found.stages[done.value]!.middle)
      return { keystoneS, endS, stones: stonesOf(found, keystoneS, endS) }
    }),
    point: computed(() => {
      const stage = Math.max(0, cook.value?.stage ?? 0)
      const points = (forecast.value?.points ?? []).filter(one => one.stage === stage)
      return points.filter(one => one.timeS <= nowS.value).at(-1) ?? points[0] ?? forecast.value?.points.at(-1) ?? null
    }),
  }
}

function openWindows(
  forecast: Forecast | null,
  cook: ReturnType<typeof replay> | null,
  keystone: number,
  done: number,
  nowS: number,
): OpenWindow[] {
  if (!forecast || !cook || cook.finishedS !== null) return []
  const open = (id: OpenWindow['id'], window: Window | undefined): OpenWindow[] =>
    (window && window.late > nowS ? [{ id, fromS: Math.max(window.early, nowS), toS: window.late }] : [])
  return [
    ...(cook.stage < keystone && !cook.signs.some(tap => tap.what === 'aroma')
      ? open('aroma', forecast.signs.aroma)
      : []),
    ...(cook.stage < keystone ? open('pour', forecast.stages[keystone]) : []),
    ...(cook.stage < done ? open('end', forecast.stages[done]) : []),
  ]
}
