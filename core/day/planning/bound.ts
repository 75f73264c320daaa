import { itemAt } from '../../maths/table/itemAt'
import type { Day } from '../problem/day'
import { DayModel } from './model'
import { COST_SCALE } from './modelParts'
import { PriceBound } from './priceBound'
import { SIDES_PER_CONFLICT } from '../solver/search'

/** A day, or the part of it that belongs to one meal, and what is known of its least cost, in hundredths. */
interface Part {
  readonly day: Day
  /** No plan of the part costs less. */
  low: number
  /** Model in which everything up to a target is being refuted; null before the next target is chosen. */
  model: DayModel | null
  /**
   * Conflicts spent on the target, sides propagated for all of them, and conflicts that may be spent on one before an
   * easier one is taken.
   */
  spent: number
  all: number
  patience: number
  /** A plan was found below the target: once nothing is left below it, it is the best. */
  found: boolean
  done: boolean
}

/** Conflicts after which a target is thought too hard, and by how much patience grows with each that was met. */
const FIRST_PATIENCE = 800
const PATIENCE_GROWTH = 1.4
/** A target is set so far towards the known cost; one that is too hard is brought so near again. */
const REACH = 0.35
const NEARER = 0.6

/** Prices get so much more time than a target, as long as they bring something. */
const PRICES_FIRST = 3
/** Values looked at under prices that take as long as one side propagated, about. */
const VALUES_PER_SIDE = 20

/**
 * Lower bounds. Under prices (`priceBound.ts`), and by destruction (Klein and Scholl, 1999): a cost is
 * refuted by searching all plans up to it. The latter for the whole day and for the dishes of each meal alone; leaving
 * out the other meals relaxes the day, so that the sum over the meals is a bound as well.
 */
export class LowerBound {
  private readonly whole: Part
  private readonly meals: readonly Part[]
  private readonly priced: PriceBound
  private spentOnPrices = 0

  /**
   * @param day checked by `checkDay`
   * @param least a bound known already, in minutes' worth
   */
  constructor(day: Day, least: number) {
    this.whole = partOf(day, Math.floor(least * COST_SCALE))
    this.priced = new PriceBound(day)
    const served = day.meals.filter(meal => day.dishes.some(dish => dish.meal === meal.id))
    this.meals =
      served.length < 2 || (day.links ?? []).length > 0 ? [] : served.map(meal => partOf(ofMeal(day, meal.id), 0))
  }

  /** Best bound so far, minutes' worth. */
  get value(): number {
    return (
      Math.max(
        this.whole.low,
        Math.floor(this.priced.low),
        this.meals.reduce((sum, part) => sum + part.low, 0),
      ) / COST_SCALE
    )
  }

  /**
   * Goes on for some conflicts.
   *
   * @param cost of the best plan of the whole day, minutes' worth
   * @param conflicts how many to spend
   * @param stop true ends it
   * @returns sides propagated
   */
  step(cost: number, conflicts: number, stop: () => boolean): number {
    const known = Math.round(cost * COST_SCALE)
    const sum = this.meals.reduce((total, part) => total + part.low, 0)
    const open = [this.whole, ...this.meals].filter(part => !part.done).sort((a, b) => a.all - b.all)
    const part = open[0]
    if (!this.priced.done && (!part || this.spentOnPrices <= PRICES_FIRST * part.all))
      return this.price(known, conflicts, stop)
    return part ? refute(part, part === this.whole ? known : known - sum + part.low, conflicts, stop) : 1_000_000
  }

  private price(known: number, conflicts: number, stop: () => boolean): number {
    let sides = 0
    while (!this.priced.done && sides < conflicts * SIDES_PER_CONFLICT && !stop())
      sides += this.priced.round(known) / VALUES_PER_SIDE + 1
    this.spentOnPrices += sides
    return sides
  }
}

function partOf(day: Day, low: number): Part {
  return { day, low, model: null, spent: 0, all: 0, patience: FIRST_PATIENCE, found: false, done: false }
}

function ofMeal(day: Day, meal: string): Day {
  const dishes = day.dishes.filter(dish => dish.meal === meal)
  const kept = new Set(dishes.map(dish => dish.id))
  return {
    ...day,
    dishes,
    meals: day.meals.filter(one => one.id === meal),
    wishes: (day.wishes ?? []).filter(wish => kept.has(itemAt(wish.step.split('.'), 0))),
  }
}

/** Tries to refute a cost between what is known; takes an easier one where that is too hard. */
function refute(part: Part, known: number, conflicts: number, stop: () => boolean): number {
  const { search, possible } = part.model ??= begin(part, known)
  const before = search.conflicts
  const worked = search.work
  const ended = possible ? search.run({ conflicts, stop, onFound: () => { part.found = true } }) : 'exhausted'
  const spent = search.conflicts - before
  part.spent += spent
  part.all += search.work - worked + 1
  if (ended === 'exhausted') {
    part.low = Math.max(part.low, search.objective.most + 1)
    part.model = null
    part.patience *= PATIENCE_GROWTH
    part.done = part.low >= known || part.found || !possible
  }
  else if (part.spent >= part.patience) {
    // What was learnt under a higher limit holds under a lower one: the same model goes on.
    search.objective.most = part.low + Math.floor(NEARER * (search.objective.most - part.low))
    part.spent = 0
    if (search.objective.most <= part.low) {
      part.model = null
      part.patience *= PATIENCE_GROWTH
    }
  }
  return search.work - worked + 1
}

function begin(part: Part, known: number): DayModel {
  const model = new DayModel(part.day)
  if (model.possible) part.low = Math.max(part.low, model.search.objective.least())
  model.search.objective.most = Math.min(known - 1, part.low + Math.ceil(REACH * (known - part.low)))
  part.spent = 0
  return model
}
