import type { Day } from './day'
import { COST_SCALE, DayModel } from './model'

/** A day, or the part of it that belongs to one meal, and what is known of its least cost, in hundredths. */
interface Part {
  readonly day: Day
  /** No plan of the part costs less. */
  low: number
  /** Model in which everything up to a target is being refuted; null before the next target is chosen. */
  model: DayModel | null
  /** How far towards the known cost the next target is set. */
  reach: number
  /** Conflicts spent on the target, on all of them, and what may be spent on one before an easier one is taken. */
  spent: number
  all: number
  patience: number
  done: boolean
}

/** Conflicts after which a first target is thought too hard, and how far it is set. */
const FIRST_PATIENCE = 1000
const FIRST_REACH = 0.4
const LEAST_REACH = 0.02

/**
 * Lower bounds by destruction (Klein and Scholl, 1999): a cost is refuted by searching all plans up to it. Done for the
 * whole day and for the dishes of each meal alone; leaving out the other meals relaxes the day, so that the sum over the
 * meals is a bound as well.
 */
export class LowerBound {
  private readonly whole: Part
  private readonly meals: readonly Part[]

  /**
   * @param day checked by `checkDay`
   * @param least a bound known already, in minutes' worth
   */
  constructor(day: Day, least: number) {
    this.whole = partOf(day, Math.floor(least * COST_SCALE))
    const served = day.meals.filter(meal => day.dishes.some(dish => dish.meal === meal.id))
    this.meals = served.length < 2 || (day.links ?? []).length > 0 ? [] : served.map(meal => partOf(ofMeal(day, meal.id), 0))
  }

  /** Best bound so far, minutes' worth. */
  get value(): number {
    return Math.max(this.whole.low, this.meals.reduce((sum, part) => sum + part.low, 0)) / COST_SCALE
  }

  /**
   * Goes on for some conflicts.
   *
   * @param cost of the best plan of the whole day, minutes' worth
   * @param conflicts how many to spend
   * @param stop true ends it
   */
  step(cost: number, conflicts: number, stop: () => boolean): void {
    const known = Math.round(cost * COST_SCALE)
    const sum = this.meals.reduce((total, part) => total + part.low, 0)
    const open = [this.whole, ...this.meals].filter(part => !part.done).sort((a, b) => a.all - b.all)
    const part = open[0]
    if (part) refute(part, part === this.whole ? known : known - sum + part.low, conflicts, stop)
  }
}

function partOf(day: Day, low: number): Part {
  return { day, low, model: null, reach: FIRST_REACH, spent: 0, all: 0, patience: FIRST_PATIENCE, done: false }
}

function ofMeal(day: Day, meal: string): Day {
  const dishes = day.dishes.filter(dish => dish.meal === meal)
  const kept = new Set(dishes.map(dish => dish.id))
  return { ...day, dishes, meals: day.meals.filter(one => one.id === meal), wishes: (day.wishes ?? []).filter(wish => kept.has(wish.step.split('.')[0]!)) }
}

/** Tries to refute a cost between what is known; takes an easier one where that is too hard. */
function refute(part: Part, known: number, conflicts: number, stop: () => boolean): void {
  const { search, possible } = part.model ??= begin(part, known)
  const before = search.conflicts
  const ended = possible ? search.run({ conflicts, stop, onFound: () => undefined }) : 'exhausted'
  const spent = search.conflicts - before
  part.spent += spent
  part.all += spent + 1
  if (ended === 'exhausted') {
    part.low = Math.max(part.low, search.objective.most + 1)
    part.model = null
    part.done = part.low >= known || !possible
  }
  else if (part.spent >= part.patience) {
    part.model = null
    part.reach /= 2
    if (part.reach >= LEAST_REACH) return
    part.reach = FIRST_REACH
    part.patience *= 3
  }
}

function begin(part: Part, known: number): DayModel {
  const model = new DayModel(part.day)
  if (model.possible) part.low = Math.max(part.low, model.search.objective.least())
  model.search.objective.most = Math.min(known - 1, part.low + Math.ceil(part.reach * (known - part.low)))
  part.spent = 0
  return model
}
