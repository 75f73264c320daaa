import { storeToRefs } from 'pinia'
import type { Ref } from 'vue'
import type { Ingredient } from '../../contracts/ingredient'
import type { Kitchen } from '../../contracts/kitchen'
import type { Spread } from '../../contracts/spread'
import type { Evidence } from '../../core/materials/belief/reading'
import { houseTable } from '../../core/materials/composition/corrections'
import type { DishCard } from '../../core/formulation/dish/dish'
import type { ServedHow } from '../../core/day/problem/day'
import { cookOnDay, dishOnDay, usualServing } from '../../core/day/spread/putOnDay'
import { followSpread } from '../clients/followed'
import { askForecast } from '../clients/forecaster'
import { useDay } from '../stores/day'
import { useSpreadPlanning } from './spreadPlanning'

const MEMBERS = 120

/** What a day is made from. */
export interface SpreadSources {
  readonly kitchen: Readonly<Ref<Kitchen | null>>
  readonly evidence: Readonly<Ref<readonly Evidence[]>>
  readonly ingredients: readonly Ingredient[]
}

/**
 * One day of cooking as a view has it open: planned anew while it changes. What was changed on another device is read
 * again.
 *
 * @param id of the day
 * @param sources kitchen, what was learned, the ingredient table
 */
export function useSpreadDay(id: string, sources: SpreadSources) {
  const store = useDay(id)
  const { spread, trouble, canUndo } = storeToRefs(store)
  followSpread(id, revision => void store.heardOf(revision))
  const planning = useSpreadPlanning(spread, plan => store.note({ plan }))
  /** Changes the day: one step to be undone, unless it is still moved. The plan follows, unless it is to be kept. */
  function change(next: (now: Spread) => Spread, how: 'planned' | 'moving' | 'kept' = 'planned'): void {
    if (!spread.value) return
    store.change(next, how === 'moving')
    if (how !== 'kept') planning.soon(how === 'moving')
  }
  function planOrTakeKept(): void {
    if (!planning.takeKept()) planning.soon(false)
  }
  async function put(
    card: DishCard,
    baseG: number,
    meal: string,
    how: {
      readonly serve?: ServedHow
      readonly thickens?: boolean | undefined
      readonly chills?: boolean | undefined
    } = {},
    as?: string,
  ): Promise<void> {
    const kitchen = sources.kitchen.value
    if (!kitchen || !spread.value) return
    const taken = new Set(spread.value.dishes.map(dish => dish.id))
    const free = as ?? Array.from({ length: 400 }, (_, i) => `d${i + 1}`).find(one => !taken.has(one))!
    const wanted = {
      id: free,
      card,
      baseG,
      meal,
      serve: how.serve ?? usualServing(card),
      ...(how.thickens ? { thickens: true } : {}),
      ...(how.chills ? { chills: true } : {}),
    }
    const cook = cookOnDay(wanted, kitchen, houseTable(sources.ingredients, kitchen), sources.evidence.value)
    const forecast = await askForecast(`spread-${free}`, cook.plan, [], 0, MEMBERS)
    if (!forecast) return
    const dish = dishOnDay(wanted, cook, forecast, sources.ingredients)
    change(now => ({
      ...now,
      dishes: now.dishes.some(one => one.id === free)
        ? now.dishes.map(one => (one.id === free ? dish : one))
        : [...now.dishes, dish],
      wishes: now.wishes.filter(wish => !wish.step.startsWith(`${free}.`)),
      shared: now.shared.filter(
        one =>
          (one.from !== free && one.for !== free) || dish.steps.activities.some(activity => activity.id === one.step),
      ),
    }))
  }
  return {
    spread, trouble, canUndo, change, put, ...planning.state,
    async load(): Promise<void> {
      await store.load()
      planOrTakeKept()
    },
    undo(): void {
      store.undo()
      planOrTakeKept()
    },
    /** Waits until the hearth has the day as it stands. */
    saved: () => store.saved(),
    /** Plans once more, longer. */
    again: () => planning.soon(false),
    offers: planning.offers,
    /** Tells what is begun by now. */
    begun: planning.begun,
    /** Tells how late the day runs, minutes: another order is sought once that is worth it. */
    runsLate: planning.runsLate,
    takeOther: planning.takeOther,
    /** Ends the search: the best plan so far is gone by. */
    enough: planning.enough,
    /** Marks a step begun or ended, minutes; null takes the last mark back. */
    mark(step: string, what: { readonly begun: number, readonly ended?: number } | null): void {
      change((was) => {
        const known = was.doings.find(one => one.step === step)
        const rest = was.doings.filter(one => one.step !== step)
        if (what === null) return { ...was, doings: known?.ended == null ? rest : [...rest, { ...known, ended: null }] }
        return { ...was, doings: [...rest, { step, begun: known?.begun ?? what.begun, ended: what.ended ?? null }] }
      }, 'kept')
    },
  }
}
/** State of one day. */
export type SpreadDay = ReturnType<typeof useSpreadDay>
