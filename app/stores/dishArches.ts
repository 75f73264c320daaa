import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import type { Ingredient } from '../../contracts/ingredient'
import type { Kitchen } from '../../contracts/kitchen'
import { stonesOf } from '../../core/cook/batch/stones'
import type { Stone } from '../../core/cook/batch/summary'
import type { Evidence } from '../../core/materials/belief/reading'
import { boundaryIndex } from '../../core/formulation/dish/boundaryIndex'
import type { DishCard } from '../../core/formulation/dish/dish'
import { doneIndex } from '../../core/formulation/dish/doneIndex'
import { CoreError } from '../../core/error'
import type { Window } from '../../core/maths/random/window'
import { cookOnDay } from '../../core/day/spread/putOnDay'
import { askForecast, giveUp } from '../clients/forecaster'

/** A dish as it would be cooked in this house: its arch, and when it is done, s from the fire. */
export interface DishArch {
  readonly stones: readonly Stone[]
  readonly keystoneS: number
  readonly done: Window
}

/** What a dish is forecast from: its usual amount in the smallest pan that holds it, on the first fire. */
export interface ArchSources {
  readonly kitchen: Kitchen
  readonly table: readonly Ingredient[]
  readonly evidence: readonly Evidence[]
}

const STREAM = 'dish-arches'
/** Cooks of an outline: enough for its middle and for a window to the minute. */
const MEMBERS = 60

/** Forecast arches of dishes, each worked out once for the kitchen and the lessons as they stand. */
export const useDishArches = defineStore('dish-arches', () => {
  const arches = shallowRef<Readonly<Record<string, DishArch | null>>>({})
  let made: {
    readonly dishes: Map<string, DishCard>
    readonly kitchen: Kitchen
    readonly evidence: readonly Evidence[]
  } | null = null
  let turn = 0

  async function archOf(dish: DishCard, { kitchen, table, evidence }: ArchSources): Promise<DishArch | null> {
    try {
      const { plan } = cookOnDay(
        { id: dish.id, card: dish, baseG: dish.usual.baseG, meal: '', serve: 'warm' },
        kitchen,
        table,
        evidence,
      )
      const forecast = await askForecast(STREAM, plan, [], 0, MEMBERS)
      const done = forecast?.stages[doneIndex(plan.dish)]
      if (!forecast || !done) return null
      const keystoneS = forecast.stages[boundaryIndex(plan.dish, plan.dish.keystone)]?.middle ?? done.middle / 2
      return { stones: stonesOf(forecast, keystoneS, Math.max(keystoneS + 60, done.middle)), keystoneS, done }
    }
    catch (error) {
      // A dish that cannot be cooked here has no arch.
      if (error instanceof CoreError) return null
      throw error
    }
  }

  /**
   * Works out what is wanted, one after another; wanting something else gives up what has not come.
   *
   * @param dishes in the order in which they are seen
   * @param sources what they are forecast from
   */
  async function want(dishes: readonly DishCard[], sources: ArchSources): Promise<void> {
    const mine = ++turn
    if (!made || made.kitchen !== sources.kitchen || made.evidence !== sources.evidence)
      made = { dishes: new Map(), kitchen: sources.kitchen, evidence: sources.evidence }
    const known = made.dishes
    for (const dish of dishes) {
      if (known.get(dish.id) === dish) continue
      const arch = await archOf(dish, sources).catch(() => null)
      if (mine !== turn) return
      known.set(dish.id, dish)
      arches.value = { ...arches.value, [dish.id]: arch }
    }
  }

  /** Nobody waits for arches any more. */
  function leave(): void {
    turn++
    giveUp(STREAM)
  }

  return { arches, want, leave }
})
