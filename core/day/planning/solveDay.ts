import { fieldAt, known, wholeAt } from '../../maths/table/itemAt'
import { seededRandom } from '../../maths/random/seededRandom'
import { LowerBound } from './bound'
import type { Day, Starts } from '../problem/day'
import { DayModel } from './model'
import { COST_SCALE } from './modelParts'
import { keptOf, neighbourhood } from './neighbourhoods'
import { SIDES_PER_CONFLICT } from '../solver/search'

/** A plan, and what it costs in minutes' worth. */
export interface FoundPlan {
  readonly starts: Starts
  readonly cost: number
  /** Minutes each meal is moved, by its id; empty where all are kept. */
  readonly late: Readonly<Record<string, number>>
}

/** Conflicts of the first slice of complete search, and how slices grow. */
const FIRST_SLICE = 400
const SLICE_GROWTH = 1.5
const LONGEST_SLICE = 4000
/** A slice longer than this, conflicts, tells of a hard day; then complete search has one turn in so many. */
const HARD_SLICE = 500
const SEARCH_EVERY = 6
/** Conflicts spent on one neighbourhood. */
const NEIGHBOURHOOD_CONFLICTS = 100
/** Conflicts of one step: a few hundredths of a second. */
const STEP_CONFLICTS = 200

/**
 * Plans a day, a little at a time: a first plan by taking the latest times, then large neighbourhoods and complete
 * search with learning in turns, which share what they learn, and lower bounds between. Where the meals cannot be kept,
 * the least delay is sought first.
 *
 * @param day checked by `checkDay`
 * @param seed of the chance in the neighbourhoods; the same seed takes the same steps
 * @example const solver = new DaySolver(day); while (!solver.done) solver.step(() => false)
 */
export class DaySolver {
  /** Best plan so far. */
  plan: FoundPlan | null = null
  /** True if nothing is left to be found. */
  done = false
  /** True if it is done and the day cannot be planned even with meals moved to the horizon. */
  impossible = false
  private phase: 'first' | 'plan' | 'lateness' = 'first'
  private model: DayModel
  private values: readonly number[] = []
  private late: Record<string, number> = {}
  private bounds: LowerBound | null = null
  private slice = FIRST_SLICE
  private left = FIRST_SLICE
  private turn: 'search' | 'neighbourhoods' | 'bound' = 'search'
  private share = 0.3
  private turns = 0
  private readonly uniform

  constructor(
    private day: Day,
    seed = 1,
  ) {
    this.uniform = seededRandom(seed)
    this.model = new DayModel(day)
  }

  /** No plan costs less than this, minutes' worth; the cost of the plan once that is proven. */
  get bound(): number {
    if (this.done && this.plan) return this.plan.cost
    return (
      this.bounds?.value
      ?? (this.phase === 'lateness' || !this.model.possible ? 0 : this.model.search.objective.least() / COST_SCALE)
    )
  }

  /** True once the meals are known not to be kept: the least delay is sought, or has been. */
  get movesMeals(): boolean {
    return this.phase === 'lateness' || Object.values(this.late).some(minutes => minutes > 0)
  }

  /** True once the plan is known to be the best. */
  get proven(): boolean {
    return this.done && this.plan !== null
  }

  /**
   * Goes on for a few hundredths of a second.
   *
   * @param stop asked now and then; true ends the step
   */
  step(stop: () => boolean): void {
    if (this.done) return
    if (this.phase === 'lateness') this.seekLateness(stop)
    else if (!this.model.possible) this.ended()
    else if (this.phase === 'first') this.first(stop)
    else this.improve(stop)
  }

  private readonly found = (values: readonly number[]): void => {
    this.values = values
    this.plan = {
      starts: this.model.starts(values),
      cost: (this.model.search.objective.most + 1) / COST_SCALE,
      late: this.late,
    }
  }

  private first(stop: () => boolean): void {
    const { search } = this.model
    const earliest = search.conflicts < 60
    search.run({ conflicts: earliest ? 60 : STEP_CONFLICTS, earliest, first: true, stop, onFound: this.found })
    if (search.closed) this.ended()
    else if (this.plan) this.phase = 'plan'
  }

  private improve(stop: () => boolean): void {
    const { search } = this.model
    const { cost } = known(this.plan, 'plan')
    const before = search.work
    let spent = 0
    if (this.turn === 'search')
      search.run({ conflicts: Math.min(STEP_CONFLICTS, Math.ceil(this.left)), stop, onFound: this.found })
    else if (this.turn === 'neighbourhoods') this.look(stop)
    else spent = (this.bounds ??= new LowerBound(this.day, this.bound)).step(cost, STEP_CONFLICTS, stop)
    this.left -= (spent + search.work - before) / SIDES_PER_CONFLICT + 1
    if (search.closed || (this.bounds && this.bounds.value >= known(this.plan, 'plan').cost)) return this.ended()
    if (this.left <= 0) this.nextTurn()
  }

  /** A few neighbourhoods, larger ones as long as they are seen through. */
  private look(stop: () => boolean): void {
    const { model } = this
    for (let round = 0; round < 4 && !model.search.closed; round++) {
      const open = neighbourhood(model, this.values, this.share, this.uniform)
      const ended = model.search.run({
        conflicts: NEIGHBOURHOOD_CONFLICTS,
        assumed: keptOf(model, this.values, open),
        stop,
        onFound: this.found,
      })
      this.share = Math.min(0.9, Math.max(0.1, this.share * (ended === 'exhausted' ? 1.05 : 0.97)))
    }
  }

  /** Once a day proves hard, bounds get half of the time, and complete search a turn now and then. */
  private nextTurn(): void {
    this.turns++
    const hard = this.slice > HARD_SLICE
    if (this.turn === 'search') this.turn = 'neighbourhoods'
    else if (this.turn === 'neighbourhoods' && hard) this.turn = 'bound'
    else {
      this.turn = hard && this.turns % SEARCH_EVERY !== 0 ? 'neighbourhoods' : 'search'
      this.slice = Math.min(LONGEST_SLICE, this.slice * SLICE_GROWTH)
    }
    this.left = this.slice
  }

  /** The search has seen everything: the plan is the best, or the meals cannot be kept. */
  private ended(): void {
    if (this.plan) {
      this.done = true
      return
    }
    if (Object.keys(this.late).length > 0) {
      this.done = this.impossible = true
      return
    }
    this.phase = 'lateness'
    this.model = new DayModel(this.day, 'lateness')
  }

  private seekLateness(stop: () => boolean): void {
    const { model } = this
    const ended = model.possible
      ? model.search.run({
          conflicts: STEP_CONFLICTS,
          stop,
          onFound: values => {
            this.values = values
          },
        })
      : 'exhausted'
    if (ended !== 'exhausted' && model.search.conflicts < LONGEST_SLICE) return
    if (this.values.length === 0) {
      this.done = this.impossible = ended === 'exhausted'
      return
    }
    this.day.meals.forEach((meal, index) => {
      this.late[meal.id] = wholeAt(this.values, wholeAt(model.lateness, index))
    })
    this.day = {
      ...this.day,
      meals: this.day.meals.map(meal => ({ ...meal, at: meal.at + fieldAt(this.late, meal.id) })),
    }
    this.model = new DayModel(this.day)
    this.phase = 'first'
  }
}
