import { useDebounceFn } from '@vueuse/core'
import { computed, onScopeDispose, shallowRef, type Ref } from 'vue'
import type { Least, Offer, PlanAtHand, Planned } from '../../contracts/planner'
import type { Spread } from '../../contracts/spread'
import type { DayTrouble } from '../../core/day/problem/checkDay'
import type { Clash } from '../../core/day/planning/clashOf'
import { checkPlan } from '../../core/day/problem/checkPlan'
import type { Day } from '../../core/day/problem/day'
import { dayOf } from '../../core/day/spread/dayOf'
import { paddedDay, paddingOf } from '../../core/day/problem/paddedDay'
import { planCost } from '../../core/day/problem/planCost'
import { WORTH_NEW_ORDER_MIN } from '../../core/day/spread/repairDay'
import type { DayTries } from '../../core/day/planning/simulateDay'
import type { Doing } from '../../core/day/spread/spread'
import { whatIsLeft } from '../../core/day/spread/underWay'
import { hearthNow } from '../clients/hearthClock'
import { askPlanner, plannerFailed } from '../clients/planner'
import { minuteOf } from './spreadClock'

/** Seconds a plan is sought while something is moved, once it stands, and while the day runs late. */
const QUICK_S = 0.4
const WHOLE_S = 4
const OTHER_S = 1.5
const REPLAN_MS = 60
/** So long after its last meal a day is one of the past, minutes. */
const LONG_OVER_MIN = 720

/** What the plan on the page comes to: offers are held against that, and not against another one. */
function atHand(problem: Day, plan: Planned | null): PlanAtHand | null {
  const fits =
    plan !== null
    && problem.dishes.every(dish =>
      dish.activities.every(activity => plan.starts[`${dish.id}.${activity.id}`] !== undefined),
    )
  if (!plan || !fits) return null
  const spans = planCost(paddedDay(problem, paddingOf(plan.room)), plan.starts, plan.late).spans
  const sum = (minutes: Readonly<Record<string, number>>): number =>
    Object.values(minutes).reduce((all, one) => all + one, 0)
  return { room: plan.room, lateMin: sum(plan.late), spanMin: sum(spans) }
}

/**
 * Plans the day whenever it changes; what is found goes into the day itself.
 *
 * @param spread the day
 * @param keep takes a plan that was found into it
 */
export function useSpreadPlanning(
  spread: Readonly<Ref<Spread | null>>,
  keep: (plan: NonNullable<Spread['plan']>) => void,
) {
  const planned = shallowRef<Planned | null>(null)
  const tries = shallowRef<DayTries | null>(null)
  const latest = shallowRef<Readonly<Record<string, number>>>({})
  const least = shallowRef<Least | null>(null)
  const troubles = shallowRef<readonly DayTrouble[]>([])
  const seeking = shallowRef(false)
  const cannot = shallowRef(false)
  /** What cannot be had together, where nothing fits. */
  const clash = shallowRef<readonly Clash[] | null>(null)
  const found = shallowRef<{
    readonly now: { readonly lateMin: number, readonly spanMin: number }
    readonly offers: readonly Offer[]
    readonly done: boolean
  } | null>(null)
  /** Another order of what is left, sought while the day runs late; taken only if that is asked for. */
  const other = shallowRef<Planned | null>(null)
  let stop: () => void = () => undefined
  const nowMin = (): number => (spread.value ? minuteOf(spread.value.eve, hearthNow()) : 0)
  /** The planning problem as it stands now; a day that is long over is looked at from its eve. */
  const day = computed(() => {
    if (!spread.value) return null
    const last = Math.max(0, ...spread.value.meals.map(meal => meal.at))
    return dayOf(spread.value, nowMin() > last + LONG_OVER_MIN ? 0 : nowMin())
  })
  /** What is begun by now, from the day or from the fire; a new plan leaves it where it is. */
  let doings: readonly Doing[] = []
  /** The problem that is left: what is begun is held, and what begins at once too. */
  function left(): Day | null {
    const problem = day.value
    const plan = planned.value
    if (!problem || !plan || doings.length === 0) return problem
    return whatIsLeft(problem, plan.starts, doings, nowMin())
  }
  function run(seconds: number): void {
    const problem = left()
    if (!problem) return
    stop()
    if (problem.dishes.length === 0) {
      planned.value = null
      troubles.value = []
      seeking.value = false
      return
    }
    seeking.value = true
    clash.value = null
    stop = askPlanner(
      { type: 'plan', day: problem, seconds },
      answer => {
        if (answer.type === 'refused') {
          troubles.value = answer.troubles
          planned.value = null
          seeking.value = false
        }
        if (answer.type === 'clash') clash.value = answer.clash
        if (answer.type === 'tries') tries.value = answer.tries
        if (answer.type === 'latest') {
          latest.value = answer.latest
          least.value = answer.least
          keepPlan()
        }
        if (answer.type !== 'plan') return
        troubles.value = []
        if (answer.plan) planned.value = answer.plan
        cannot.value = answer.done && !answer.plan && doings.length === 0
        if (!answer.done) return
        seeking.value = false
      },
      () => {
        seeking.value = false
      },
    )
  }
  /** The plan that was found goes into the day, so that every device goes by the same one. */
  function keepPlan(): void {
    if (!spread.value || !planned.value) return
    const { starts, late, cost, bound, proven, room } = planned.value
    const said = tries.value
    keep({
      starts,
      late,
      cost,
      bound,
      proven,
      room,
      latest: latest.value,
      ...(least.value ? { least: least.value } : {}),
      tries: said && { tries: said.tries, lateTries: said.lateTries, pours: said.pours, coldPours: said.coldPours },
    })
  }
  /** Takes the plan the day was kept with, if it still fits. */
  function takeKept(): boolean {
    const kept = spread.value?.plan
    const problem = day.value
    if (
      !kept
      || !problem
      || checkPlan({ ...paddedDay(problem, { ...paddingOf(kept.room), baseShare: 1 }), now: 0 }, kept.starts, kept.late)
        .length > 0
    )
      return false
    // What is still sought is for a day that is not there any more.
    asked++
    stop()
    seeking.value = false
    planned.value = kept
    latest.value = kept.latest
    least.value = kept.least ?? null
    tries.value = kept.tries && { ...kept.tries, meals: 0, lateMeals: 0, waitedBases: 0, spanMin: 0, tightest: [] }
    return true
  }
  let soughtLate = 0
  /** Seeks another order when the day has become later by as much as a new order has to save. */
  function runsLate(lateMin: number): void {
    if (lateMin < WORTH_NEW_ORDER_MIN) soughtLate = 0
    const problem = left()
    if (!problem || seeking.value || lateMin < soughtLate + WORTH_NEW_ORDER_MIN) return
    soughtLate = lateMin
    stop()
    stop = askPlanner({ type: 'plan', day: problem, seconds: OTHER_S }, answer => {
      if (answer.type === 'plan' && answer.done) other.value = answer.plan
    })
  }
  function takeOther(): void {
    if (!other.value) return
    planned.value = other.value
    other.value = null
    tries.value = null
    keepPlan()
  }
  let asked = 0
  const later = useDebounceFn((seconds: number, mine: number) => {
    if (mine === asked) run(seconds)
  }, REPLAN_MS)
  onScopeDispose(() => stop())
  return {
    takeKept,
    begun: (known: readonly Doing[]): void => {
      doings = known
    },
    runsLate,
    takeOther,
    /** Ends the search: the best plan so far is gone by. */
    enough(): void {
      stop()
      seeking.value = false
      keepPlan()
    },
    state: {
      planned,
      tries,
      latest,
      least,
      troubles,
      seeking,
      cannot,
      clash,
      day,
      found,
      other,
      stopped: plannerFailed,
    },
    soon: (moving: boolean): void => {
      found.value = null
      other.value = null
      void later(moving ? QUICK_S : WHOLE_S, ++asked)
    },
    offers(): void {
      const problem = left()
      if (!problem) return
      stop()
      stop = askPlanner({ type: 'offers', day: problem, plan: atHand(problem, planned.value) }, answer => {
        if (answer.type === 'offers') found.value = answer
      })
    },
  }
}
