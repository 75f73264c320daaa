import { entryAt, intAt, numberAt } from '../../maths/table/itemAt'
import type { Day, VesselKind } from '../problem/day'
import type { DayModel } from './model'
import type { Step } from './modelParts'
import { cooksThere } from '../problem/presence'

/**
 * Something of which there is only so much at a minute: hands of some people, fires, vessels of a kind. Mirrored time.
 */
export interface Priced {
  readonly capacity: Float64Array
  /** Price of one for a minute, never below 0. */
  readonly price: Float64Array
  /** `before[t]` is what all minutes before t cost together. */
  readonly before: Float64Array
  /** Use at each minute; differences between neighbouring minutes while it is being counted. */
  readonly used: Float64Array
  /** Meal whose presence gives it, by index; -1 where it is there anyway. */
  readonly meal: number
}

/** How much of something is drawn on. */
export interface Draw { readonly from: Priced, readonly weight: number }

/**
 * Prices of what the dishes of a day share, minute by minute of mirrored time: the multipliers of the Lagrangian
 * relaxation in which capacities may be exceeded at a price (Möhring, Schulz, Stork and Uetz, 2003).
 */
export class Prices {
  readonly all: Priced[] = []
  /** Minutes that are priced. */
  readonly minutes: number
  /** Cooks there at each minute. */
  readonly there: Float64Array
  private readonly hands: {
    readonly cooks: readonly number[]
    readonly anyway: Priced | null
    readonly ofMeal: ReadonlyMap<number, Priced>
  }[]
  private readonly fires: Priced
  private readonly vessels = new Map<VesselKind, Priced>()

  /** @param model whose bounds are propagated */
  constructor(model: DayModel) {
    const { day, origin } = model
    this.minutes =
      Math.max(...model.steps.map(step => step.length - intAt(model.search.domains.bound, 2 * step.variable + 1)))
      + (day.washMin ?? 0)
      + 1
    const everybody = Array.from({ length: day.cooks }, (_, cook) => cook)
    this.there = thereOf(day, everybody, origin, this.minutes)
    const meals = day.meals.flatMap((meal, index) => (day.dishes.some(dish => dish.meal === meal.id) ? [index] : []))
    this.hands = ableOf(day).map((cooks) => {
      const capacity = thereOf(day, cooks, origin, this.minutes).map(cook => 2 * cook)
      return {
        cooks,
        anyway: meals.length > 1 ? this.add(capacity, -1) : null,
        ofMeal: new Map(meals.map(meal => [meal, this.add(capacity, meal)])),
      }
    })
    const level = (count: number): Float64Array => new Float64Array(this.minutes).fill(count)
    this.fires = this.add(level(day.burners), -1)
    const count = (kind: VesselKind): number => day.vessels.filter(vessel => vessel.kind === kind).length
    for (const kind of new Set(day.vessels.map(vessel => vessel.kind)))
      if (kind !== 'heavy') this.vessels.set(kind, this.add(level(count(kind)), -1))
    this.vessels.set('heavy', this.add(level(count('heavy') + count('heavyL')), -1))
  }

  private add(capacity: Float64Array, meal: number): Priced {
    const priced = {
      capacity,
      price: new Float64Array(this.minutes),
      before: new Float64Array(this.minutes + 1),
      used: new Float64Array(this.minutes + 1),
      meal,
    }
    this.all.push(priced)
    return priced
  }

  /**
   * What a step draws on as long as it lasts.
   *
   * @param step of the model
   * @param meal index of its meal, whose presence gives its hands
   */
  ofStep(step: Step, meal: number): Draw[] {
    return [
      ...this.ofHands(step.activity.hands, step.activity.cooks, step.activity.night ? -1 : meal),
      ...(step.activity.burner > 0 ? [{ from: this.fires, weight: 1 }] : []),
    ]
  }

  /** What heating a liquid again draws on. */
  ofReheat(heat: Step): Draw[] {
    return [...this.ofHands(heat.activity.hands, heat.activity.cooks, -1), { from: this.fires, weight: 1 }]
  }

  private ofHands(hands: number, cooks: readonly number[] | undefined, meal: number): Draw[] {
    if (hands === 0) return []
    return this.hands
      .filter(pool =>
        !cooks || cooks.length === 0 ? pool === this.hands[0] : cooks.every(cook => pool.cooks.includes(cook)),
      )
      .flatMap(pool => [
        ...(pool.anyway ? [pool.anyway] : []),
        ...(pool.ofMeal.has(meal) ? [entryAt(pool.ofMeal, meal)] : []),
      ])
      .map(from => ({ from, weight: 2 * hands }))
  }

  /** What holding a vessel draws on: a large heavy pan is one of the heavy ones too. */
  ofHold(need: VesselKind): Draw[] {
    const kinds: VesselKind[] = need === 'heavyL' ? ['heavyL', 'heavy'] : [need]
    return kinds.flatMap(kind => this.vessels.has(kind) ? [{ from: entryAt(this.vessels, kind), weight: 1 }] : [])
  }

  /** Sums prices up, once they have changed. */
  sum(): void {
    for (const { price, before } of this.all) {
      let sum = 0
      for (let t = 0; t < price.length; t++) {
        before[t] = sum
        sum += numberAt(price, t)
      }
      before[price.length] = sum
    }
  }
}

/** Groups of cooks that some step is only for, everybody first. */
function ableOf(day: Day): number[][] {
  const groups = [Array.from({ length: day.cooks }, (_, cook) => cook)]
  for (const { activities } of day.dishes) {
    for (const { cooks, hands } of activities) {
      const able = cooks && hands > 0 ? [...new Set(cooks)].filter(cook => cook < day.cooks).sort((a, b) => a - b) : []
      if (able.length > 0 && !groups.some(group => group.join() === able.join())) groups.push(able)
    }
  }
  return groups
}

/** How many of some cooks are there at each minute of mirrored time. */
function thereOf(day: Day, cooks: readonly number[], origin: number, minutes: number): Float64Array {
  return Float64Array.from({ length: minutes }, (_, t) => cooksThere(day, origin - t - 1, cooks))
}
