import { useDebounceFn } from '@vueuse/core'
import { computed, onScopeDispose, shallowRef, type Ref } from 'vue'
import type { PlanAtHand, Planned, PlannerAnswer } from '../../contracts/planner'
import type { Spread } from '../../contracts/spread'
import { checkPlan } from '../../core/day/problem/checkPlan'
import type { Day } from '../../core/day/problem/day'
import { dayOf } from '../../core/day/spread/dayOf'
import { paddedDay, paddingOf } from '../../core/day/problem/paddedDay'
import { planCost } from '../../core/day/problem/planCost'
import type { StepProgress } from '../../core/day/spread/spread'
import { whatIsLeft } from '../../core/day/spread/underWay'
import { hearthNow } from '../clients/hearthClock'
import { askPlanner, plannerFailed } from '../clients/planner'
import { planningAfter, UNPLANNED, worthOtherOrder, type PlanningEvent, type PlanningState } from './planningState'
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
 * Plans the day whenever it changes; what is found goes into the day itself. What is known of it is one state, changed
 * by `planningAfter` alone.
 *
 * @param spread the day
 * @param keep takes a plan that was found into it
 * @returns what is known, field by field, and the ways to have it planned
 */
export function useSpreadPlanning(
  spread: Readonly<Ref<Spread | null>>,
  keep: (plan: NonNullable<Spread['plan']>) => void,
) {
  const state = shallowRef<PlanningState>(UNPLANNED)
  const happened = (event: PlanningEvent): void => {
    state.value = planningAfter(state.value, event)
  }
  const part = <K extends keyof PlanningState>(key: K) => computed(() => state.value[key])
  const question = useOneQuestion()
  const nowMin = (): number => (spread.value ? minuteOf(spread.value.eve, hearthNow()) : 0)
  /** The planning problem as it stands now; a day that is long over is looked at from its eve. */
  const day = computed(() => {
    if (!spread.value) return null
    const last = Math.max(0, ...spread.value.meals.map(meal => meal.at))
    return dayOf(spread.value, nowMin() > last + LONG_OVER_MIN ? 0 : nowMin())
  })
  /** The problem that is left: what is begun is held, and what begins at once too. */
  function left(): Day | null {
    const problem = day.value
    const { planned, begun } = state.value
    return !problem || !planned || begun.length === 0
      ? problem
      : whatIsLeft(problem, planned.starts, begun, nowMin())
  }
  function run(seconds: number): void {
    const problem = left()
    if (!problem) return
    question.end()
    if (problem.dishes.length === 0) return happened({ is: 'empty' })
    happened({ is: 'sought' })
    question.ask(
      { type: 'plan', day: problem, seconds },
      answer => {
        happened({ is: 'answered', answer })
        if (answer.type === 'latest') keepPlan()
      },
      () => happened({ is: 'ended' }),
    )
  }
  /** The plan that was found goes into the day, so that every device goes by the same one. */
  function keepPlan(): void {
    const { planned, latest, least, tries } = state.value
    if (!spread.value || !planned) return
    const { starts, late, cost, bound, proven, room } = planned
    keep({
      starts,
      late,
      cost,
      bound,
      proven,
      room,
      latest,
      ...(least ? { least } : {}),
      tries: tries && { tries: tries.tries, lateTries: tries.lateTries, pours: tries.pours, coldPours: tries.coldPours },
    })
  }
  const later = useDebounceFn((seconds: number, asked: number) => {
    if (asked === state.value.asked) run(seconds)
  }, REPLAN_MS)
  return {
    /** Takes the plan the day was kept with, if it still fits. */
    takeKept(): boolean {
      const kept = spread.value?.plan
      const problem = day.value
      if (!kept || !problem || !stillFits(problem, kept)) return false
      question.end()
      happened({ is: 'kept', plan: kept })
      return true
    },
    begun: (steps: readonly StepProgress[]): void => happened({ is: 'begun', steps }),
    /** Seeks another order when the day has become later by as much as a new order has to save. */
    runsLate(lateMin: number): void {
      const problem = left()
      const worth = problem !== null && worthOtherOrder(state.value, lateMin)
      happened({ is: 'late', lateMin, sought: worth })
      if (!worth) return
      question.ask({ type: 'plan', day: problem, seconds: OTHER_S }, answer => {
        if (answer.type === 'plan' && answer.done) happened({ is: 'other-found', plan: answer.plan })
      })
    },
    takeOther(): void {
      if (!state.value.other) return
      happened({ is: 'other-taken' })
      keepPlan()
    },
    /** Ends the search: the best plan so far is gone by. */
    enough(): void {
      question.end()
      happened({ is: 'ended' })
      keepPlan()
    },
    state: {
      planned: part('planned'),
      tries: part('tries'),
      latest: part('latest'),
      least: part('least'),
      troubles: part('troubles'),
      seeking: part('seeking'),
      cannot: part('cannot'),
      clash: part('clash'),
      offered: part('offers'),
      other: part('other'),
      day,
      stopped: plannerFailed,
    },
    soon(moving: boolean): void {
      happened({ is: 'changed' })
      void later(moving ? QUICK_S : WHOLE_S, state.value.asked)
    },
    offers(): void {
      const problem = left()
      if (!problem) return
      question.ask(
        { type: 'offers', day: problem, plan: atHand(problem, state.value.planned) },
        answer => happened({ is: 'answered', answer }),
      )
    },
  }
}

/** The planner does one thing at a time for a view: a question ends the one before, and the view's end the last. */
function useOneQuestion() {
  let end: () => void = () => undefined
  onScopeDispose(() => end())
  return {
    end: (): void => end(),
    ask(
      question: Parameters<typeof askPlanner>[0],
      tell: (answer: PlannerAnswer) => void,
      failed?: () => void,
    ): void {
      end()
      end = askPlanner(question, tell, failed)
    },
  }
}

/** Whether a plan keeps to everything of a day, its steps at their plain lengths. */
function stillFits(problem: Day, { room, starts, late }: NonNullable<Spread['plan']>): boolean {
  return checkPlan({ ...paddedDay(problem, { ...paddingOf(room), baseShare: 1 }), now: 0 }, starts, late).length === 0
}
