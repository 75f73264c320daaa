import { useDebounceFn, useEventSource, useManualRefHistory } from '@vueuse/core'
import { computed, onScopeDispose, shallowRef, watch, type Ref } from 'vue'
import { SpreadSchema, type Spread } from '../../contracts/spread'
import type { Kitchen } from '../../contracts/kitchen'
import type { Offer, Planned } from '../../contracts/planner'
import type { Ingredient } from '../../contracts/ingredient'
import type { Evidence } from '../../core/belief/evidence'
import { withCorrections } from '../../core/composition/corrections'
import type { DishCard } from '../../core/dish/dish'
import type { DayTrouble } from '../../core/schedule/checkDay'
import type { Day, Serving } from '../../core/schedule/day'
import { checkPlan } from '../../core/schedule/checkPlan'
import { dayOf } from '../../core/schedule/dayOf'
import { paddedDay, paddingOf } from '../../core/schedule/paddedDay'
import type { Doing } from '../../core/schedule/spread'
import { whatIsLeft } from '../../core/schedule/underWay'
import { cookOnDay, dishOnDay, usualServing } from '../../core/schedule/putOnDay'
import type { DayTries } from '../../core/schedule/simulateDay'
import { ask, isForLater, Refused } from './api'
import { askForecast } from './forecaster'
import { hearthNow } from './hearthClock'
import { askPlanner } from './planner'

const MEMBERS = 120
/** Seconds a plan is sought while something is moved, and once it stands. */
const QUICK_S = 0.4
const WHOLE_S = 4
const REPLAN_MS = 60
/** So long after its last meal a day is one of the past, minutes. */
const LONG_OVER_MIN = 720
const SAVE_MS = 400
const RETRY_MS = 5000
const KEPT = (id: string): string => `yon-hearth.spread.${id}`

/** What a day is made from. */
export interface SpreadSources {
  readonly kitchen: Readonly<Ref<Kitchen | null>>
  readonly evidence: Readonly<Ref<readonly Evidence[]>>
  readonly ingredients: readonly Ingredient[]
}

/**
 * Minute of a day's clock for a moment: minutes since local midnight of its eve.
 *
 * @param eve calendar date, ISO 8601
 * @param atMs ms since 1970
 */
export function minuteOf(eve: string, atMs: number): number {
  return Math.floor((atMs - eveMs(eve)) / 60_000)
}

/** Local midnight of a calendar date, ms since 1970. */
export function eveMs(eve: string): number {
  const [year, month, day] = eve.split('-').map(Number)
  return new Date(year!, month! - 1, day!).getTime()
}

/**
 * One day of cooking: kept on the hearth with every change, planned anew while it changes, with undo. What was changed
 * on another device is read again.
 *
 * @param id of the day
 * @param sources kitchen, what was learned, the ingredient table
 */
export function useSpreadDay(id: string, sources: SpreadSources) {
  const spread = shallowRef<Spread | null>(null)
  const trouble = shallowRef('')
  const history = useManualRefHistory(spread, { capacity: 200 })
  const saving = useSaving(id, spread, trouble, () => history.clear())
  const planning = usePlanning(spread, () => saving.soon())
  /** Changes the day: one step to be undone, unless it is still moved. The plan follows, unless it is to be kept. */
  function change(next: (now: Spread) => Spread, how: 'planned' | 'moving' | 'kept' = 'planned'): void {
    if (!spread.value) return
    spread.value = next(spread.value)
    if (how !== 'moving') history.commit()
    saving.soon()
    if (how !== 'kept') planning.soon(how === 'moving')
  }
  async function load(): Promise<void> {
    await saving.load()
    history.commit()
    history.clear()
    if (!planning.takeKept()) planning.soon(false)
  }
  async function put(card: DishCard, baseG: number, meal: string, serve?: Serving, as?: string): Promise<void> {
    const kitchen = sources.kitchen.value
    if (!kitchen || !spread.value) return
    const taken = new Set(spread.value.dishes.map(dish => dish.id))
    const free = as ?? Array.from({ length: 400 }, (_, i) => `d${i + 1}`).find(one => !taken.has(one))!
    const wanted = { id: free, card, baseG, meal, serve: serve ?? usualServing(card) }
    const cook = cookOnDay(wanted, kitchen, withCorrections(sources.ingredients, kitchen.corrections), sources.evidence.value)
    const forecast = await askForecast(`spread-${free}`, cook.plan, [], 0, MEMBERS)
    if (!forecast) return
    const dish = dishOnDay(wanted, cook, forecast)
    change(now => ({ ...now, dishes: now.dishes.some(one => one.id === free) ? now.dishes.map(one => (one.id === free ? dish : one)) : [...now.dishes, dish], wishes: now.wishes.filter(wish => !wish.step.startsWith(`${free}.`)) }))
  }
  return {
    spread, trouble, change, load, put, ...planning.state, canUndo: history.canUndo,
    undo(): void {
      const revision = spread.value?.revision ?? 0
      history.undo()
      if (spread.value) spread.value = { ...spread.value, revision }
      saving.soon()
      if (!planning.takeKept()) planning.soon(false)
    },
    /** Waits until the hearth has the day as it stands. */
    saved: () => saving.now(),
    /** Plans once more, longer. */
    again: () => planning.soon(false),
    offers: planning.offers,
    /** Tells what is begun by now. */
    begun: planning.begun,
  }
}
/** State of one day. */
export type SpreadDay = ReturnType<typeof useSpreadDay>

/** Plans the day whenever it changes; what is found goes into the day itself. */
function usePlanning(spread: Ref<Spread | null>, keep: () => void) {
  const planned = shallowRef<Planned | null>(null)
  const tries = shallowRef<DayTries | null>(null)
  const latest = shallowRef<Readonly<Record<string, number>>>({})
  const troubles = shallowRef<readonly DayTrouble[]>([])
  const seeking = shallowRef(false)
  const cannot = shallowRef(false)
  const found = shallowRef<{ readonly now: { readonly lateMin: number, readonly spanMin: number }, readonly offers: readonly Offer[], readonly done: boolean } | null>(null)
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
    stop = askPlanner({ type: 'plan', day: problem, seconds }, (answer) => {
      if (answer.type === 'refused') {
        troubles.value = answer.troubles
        planned.value = null
        seeking.value = false
      }
      if (answer.type === 'tries') tries.value = answer.tries
      if (answer.type === 'latest') {
        latest.value = answer.latest
        keepPlan()
      }
      if (answer.type !== 'plan') return
      troubles.value = []
      if (answer.plan) planned.value = answer.plan
      cannot.value = answer.done && !answer.plan && doings.length === 0
      if (!answer.done) return
      seeking.value = false
    }, () => { seeking.value = false })
  }
  /** The plan that was found goes into the day, so that every device goes by the same one. */
  function keepPlan(): void {
    if (!spread.value || !planned.value) return
    const { starts, late, cost, bound, proven, room } = planned.value
    const said = tries.value
    spread.value = { ...spread.value, plan: {
      starts, late, cost, bound, proven, room, latest: latest.value,
      tries: said && { tries: said.tries, lateTries: said.lateTries, pours: said.pours, coldPours: said.coldPours },
    } }
    keep()
  }
  /** Takes the plan the day was kept with, if it still fits. */
  function takeKept(): boolean {
    const kept = spread.value?.plan
    const problem = day.value
    if (!kept || !problem || checkPlan({ ...paddedDay(problem, paddingOf(kept.room)), now: 0 }, kept.starts, kept.late).length > 0) return false
    planned.value = kept
    latest.value = kept.latest
    tries.value = kept.tries && { ...kept.tries, meals: 0, lateMeals: 0, waitedBases: 0, spanMin: 0, tightest: [] }
    return true
  }
  const later = useDebounceFn((seconds: number) => run(seconds), REPLAN_MS)
  onScopeDispose(() => stop())
  return {
    takeKept,
    begun: (known: readonly Doing[]): void => {
      doings = known
    },
    state: { planned, tries, latest, troubles, seeking, cannot, day, found },
    soon: (moving: boolean): void => {
      found.value = null
      void later(moving ? QUICK_S : WHOLE_S)
    },
    offers(): void {
      const problem = left()
      if (!problem) return
      stop()
      stop = askPlanner({ type: 'offers', day: problem }, (answer) => {
        if (answer.type === 'offers') found.value = answer
      })
    },
  }
}

/** Keeps the day on this device at once and on the hearth soon after. */
function useSaving(id: string, spread: Ref<Spread | null>, trouble: Ref<string>, readAnew: () => void) {
  let dirty = false
  let busy = false
  async function save(): Promise<void> {
    if (!spread.value || busy || !dirty) return
    busy = true
    const sent = spread.value
    dirty = false
    try {
      const kept = await ask('PUT', `/spreads/${id}`, SpreadSchema, sent)
      if (spread.value) spread.value = { ...spread.value, revision: kept.revision }
      if (!dirty) localStorage.removeItem(KEPT(id))
      trouble.value = ''
    }
    catch (error) {
      if (error instanceof Refused && error.problem.code === 'changed-meanwhile') {
        localStorage.removeItem(KEPT(id))
        await read()
        readAnew()
        trouble.value = error.problem.detail
      }
      else if (isForLater(error)) {
        dirty = true
        setTimeout(() => void save(), RETRY_MS)
        trouble.value = 'The hearth cannot be reached. The day is kept on this device and sent when it is back.'
      }
      else trouble.value = error instanceof Error ? error.message : String(error)
    }
    busy = false
    if (dirty) void later()
  }
  const later = useDebounceFn(() => save(), SAVE_MS)
  async function read(): Promise<void> {
    spread.value = await ask('GET', `/spreads/${id}`, SpreadSchema)
  }
  if (typeof EventSource !== 'undefined') {
    const { data } = useEventSource(`/api/spreads/${id}/events`, [], { autoReconnect: { delay: RETRY_MS } })
    watch(data, (revision) => {
      if (!dirty && !busy && spread.value && Number(revision) > spread.value.revision) void read()
    })
  }
  return {
    async load(): Promise<void> {
      const kept = SpreadSchema.safeParse(recall(KEPT(id)))
      try {
        await read()
        if (kept.success && spread.value && kept.data.revision === spread.value.revision) {
          spread.value = kept.data
          dirty = true
          void later()
        }
      }
      catch (error) {
        if (kept.success) spread.value = kept.data
        trouble.value = error instanceof Error ? error.message : String(error)
      }
    },
    now: () => save(),
    soon(): void {
      dirty = true
      if (spread.value) localStorage.setItem(KEPT(id), JSON.stringify(spread.value))
      void later()
    },
  }
}

function recall(key: string): unknown {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null')
  }
  catch {
    return null
  }
}
