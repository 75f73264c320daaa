import type { Least, Offer, Planned, PlannerAnswer } from '../../contracts/planner'
import type { SpreadPlan, StepProgress } from '../../core/day/spread/spread'
import type { Clash } from '../../core/day/planning/clashOf'
import type { DayTries } from '../../core/day/planning/simulateDay'
import type { DayTrouble } from '../../core/day/problem/checkDay'
import { WORTH_NEW_ORDER_MIN } from '../../core/day/spread/repairDay'

/** What is known of the plan of a day, and whether more is sought. */
export interface PlanningState {
  readonly seeking: boolean
  readonly planned: Planned | null
  readonly tries: DayTries | null
  /** Latest start of each step that still keeps every meal, minutes. */
  readonly latest: Readonly<Record<string, number>>
  readonly least: Least | null
  /** Why the day cannot be planned at all. */
  readonly troubles: readonly DayTrouble[]
  /** True where everything was sought through and nothing fits. */
  readonly cannot: boolean
  /** What cannot be had together, where nothing fits. */
  readonly clash: readonly Clash[] | null
  /** What would help, beside how it is now. */
  readonly offers: {
    readonly now: { readonly lateMin: number, readonly spanMin: number }
    readonly offers: readonly Offer[]
    readonly done: boolean
  } | null
  /** Another order of what is left, sought while the day runs late; taken only if that is asked for. */
  readonly other: Planned | null
  /** What is begun by now, from the day or from the fire; a new plan leaves it where it is. */
  readonly begun: readonly StepProgress[]
  /** How late the day was when another order was sought last, minutes. */
  readonly soughtLateMin: number
  /** Counts what has been asked for: an answer to an older question is not waited for any more. */
  readonly asked: number
}

/** What can happen to the plan of a day. */
export type PlanningEvent =
  /** The day was changed: what was offered for it as it was is gone. */
  | { readonly is: 'changed' }
  | { readonly is: 'sought' }
  /** The search ended, by itself or because it was told to. */
  | { readonly is: 'ended' }
  /** There is nothing to plan. */
  | { readonly is: 'empty' }
  | { readonly is: 'answered', readonly answer: PlannerAnswer }
  /** The plan that the day was kept with was taken. */
  | { readonly is: 'kept', readonly plan: SpreadPlan }
  | { readonly is: 'begun', readonly steps: readonly StepProgress[] }
  /** The day runs late by so many minutes; another order is sought for it, or not. */
  | { readonly is: 'late', readonly lateMin: number, readonly sought: boolean }
  | { readonly is: 'other-found', readonly plan: Planned | null }
  | { readonly is: 'other-taken' }

/** A day of which nothing is known yet. */
export const UNPLANNED: PlanningState = {
  seeking: false, planned: null, tries: null, latest: {}, least: null, troubles: [], cannot: false, clash: null, offers: null, other: null,
  begun: [], soughtLateMin: 0, asked: 0,
}

/**
 * Whether the day has become later, since another order was sought last, by as much as a new one has to save.
 *
 * @param state what is known
 * @param lateMin how late the day runs, minutes
 * @returns true where another order is worth seeking, and nothing else is sought
 */
export function worthOtherOrder(state: PlanningState, lateMin: number): boolean {
  return !state.seeking && lateMin >= soughtAt(state, lateMin) + WORTH_NEW_ORDER_MIN
}

/** A day that has caught up begins anew. */
const soughtAt = ({ soughtLateMin }: PlanningState, lateMin: number): number =>
  (lateMin < WORTH_NEW_ORDER_MIN ? 0 : soughtLateMin)

/**
 * What is known after something happened.
 *
 * @param state what was known
 * @param event what happened
 * @returns what is known then
 */
export function planningAfter(state: PlanningState, event: PlanningEvent): PlanningState {
  switch (event.is) {
    case 'changed': return { ...state, offers: null, other: null, asked: state.asked + 1 }
    case 'sought': return { ...state, seeking: true, clash: null }
    case 'ended': return { ...state, seeking: false }
    case 'empty': return { ...state, seeking: false, planned: null, troubles: [] }
    case 'answered': return answered(state, event.answer)
    case 'kept': return {
      ...state,
      // What is still sought is for a day that is not there any more.
      seeking: false,
      asked: state.asked + 1,
      planned: event.plan,
      latest: event.plan.latest,
      least: event.plan.least ?? null,
      tries: event.plan.tries && { ...event.plan.tries, meals: 0, lateMeals: 0, waitedBases: 0, spanMin: 0, tightest: [] },
    }
    case 'begun': return { ...state, begun: event.steps }
    case 'late': return {
      ...state,
      soughtLateMin: event.sought ? event.lateMin : soughtAt(state, event.lateMin),
    }
    case 'other-found': return { ...state, other: event.plan }
    case 'other-taken': return state.other ? { ...state, planned: state.other, other: null, tries: null } : state
  }
}

function answered(state: PlanningState, answer: PlannerAnswer): PlanningState {
  switch (answer.type) {
    case 'refused': return { ...state, troubles: answer.troubles, planned: null, seeking: false }
    case 'clash': return { ...state, clash: answer.clash }
    case 'tries': return { ...state, tries: answer.tries }
    case 'latest': return { ...state, latest: answer.latest, least: answer.least }
    case 'offers': return { ...state, offers: answer }
    case 'plan': return {
      ...state,
      troubles: [],
      planned: answer.plan ?? state.planned,
      cannot: answer.done && !answer.plan && state.begun.length === 0,
      seeking: state.seeking && !answer.done,
    }
  }
}
