import { computed } from 'vue'
import { INGREDIENTS } from '../../book/ingredients'
import { baseIds } from '../../core/formulation/dish/basesOf'
import type { DishCard } from '../../core/formulation/dish/dish'
import { lanesOf, stepsOf } from '../../core/day/problem/lanesOf'
import type { Day } from '../../core/day/problem/day'
import { paddedDay, paddingOf } from '../../core/day/problem/paddedDay'
import { planCost } from '../../core/day/problem/planCost'
import type { Repaired } from '../../core/day/spread/repairDay'
import { slackOf } from '../../core/day/problem/slackOf'
import { SERVING_WORDS, spanText } from '../../words/spread'
import { minuteText } from './houseTime'
import { gramsText } from './format'
import { longDayText } from './spreadClock'
import type { SpreadDay } from './spreadDay'

/** What a dish is made from, by the first of its name in the table: there is little room beside an arch. */
function baseName(card: DishCard): string {
  return baseIds(card).map((id) => {
    const base = card.ingredients.find(one => one.id === id)?.ingredient ?? id
    const row = INGREDIENTS.find(one => one.id === base)
    return row ? (row.name.split(',')[0] ?? base).toLowerCase() : base.replaceAll('-', ' ')
  }).join(' and ')
}

/** What is said of a meal, minutes. */
export interface SaidMeal {
  readonly name: string
  readonly begins: number
  readonly spanMin: number
  readonly latest: number | null
  readonly lateMin: number
}

/** A wait of what is served hot or warm is told from this on, minutes. */
const LONG_WAIT_MIN = 20

/**
 * What a page says of a day and its plan.
 *
 * @param state of the day
 */
export function useSpreadReading({
  spread,
  planned,
  latest,
  least,
  day,
}: Pick<SpreadDay, 'spread' | 'planned' | 'latest' | 'least' | 'day'>) {
  const padded = computed(() => (day.value ? paddedDay(day.value, paddingOf(planned.value?.room ?? 1)) : null))
  const names = computed(
    () =>
      new Map([
        ...(spread.value?.dishes ?? []).map(dish => [dish.id, dish.card.name] as const),
        ...(spread.value?.meals ?? []).map(meal => [meal.id, meal.name] as const),
      ]),
  )
  /** The plan, if it has all steps of the day as it stands. */
  const fitting = computed(() => {
    const plan = planned.value
    return plan
      && day.value
      && day.value.dishes.every(dish =>
        dish.activities.every(activity => plan.starts[`${dish.id}.${activity.id}`] !== undefined),
      )
      ? plan
      : null
  })
  /** The planning problem with its meals where the plan has them, with room and without. */
  const going = computed(() => {
    const plan = fitting.value
    if (!plan || !padded.value || !day.value) return null
    const moved = <T extends { readonly id: string, readonly at: number }>(meals: readonly T[]): T[] =>
      meals.map(meal => ({ ...meal, at: meal.at + (plan.late[meal.id] ?? 0) }))
    return {
      planned: { ...padded.value, meals: moved(padded.value.meals) },
      own: { ...day.value, meals: moved(day.value.meals) },
      starts: plan.starts,
    }
  })
  const slack = computed(() =>
    fitting.value && day.value && padded.value
      ? slackOf(day.value, fitting.value.starts, lanesOf(padded.value, fitting.value.starts), fitting.value.late)
      : {},
  )
  const cost = computed(() =>
    fitting.value && day.value ? planCost(day.value, fitting.value.starts, fitting.value.late) : null,
  )
  /** What is said of each meal; of a day under way, as it stands now: a plan that was moved is no plan any more. */
  function mealsOf(
    today: { readonly day: Day, readonly repaired: Pick<Repaired, 'starts' | 'late' | 'moved'> } | null,
  ): SaidMeal[] {
    const moved = today !== null && today.repaired.moved.length > 0
    const found = moved ? planCost(today.day, today.repaired.starts, today.repaired.late) : cost.value
    return (spread.value?.meals ?? []).flatMap(meal => {
      const begins = found?.begins[meal.id]
      if (begins === undefined) return []
      return [
        {
          name: meal.name,
          begins,
          spanMin: found!.spans[meal.id]!,
          latest: moved ? null : (latest.value[meal.id] ?? null),
          lateMin: fitting.value?.late[meal.id] ?? 0,
        },
      ]
    })
  }
  const waits = computed(() => {
    if (!cost.value) return []
    const long = Object.entries(cost.value.waits).filter(
      ([dish, minutes]) =>
        minutes > LONG_WAIT_MIN && ['hot', 'warm'].includes(spread.value!.dishes.find(one => one.id === dish)!.serve),
    )
    const { reheats } = cost.value
    const shortest = least.value?.waitMin ?? null
    const fewest = least.value?.reheats ?? null
    return [
      ...long.map(([dish, minutes]) => `${names.value.get(dish)} waits ${spanText(minutes)} under its lid.`),
      ...(long.length > 0 && shortest !== null && shortest > 0
        ? [`No plan has its hot and warm dishes wait less than ${spanText(shortest)} together.`]
        : []),
      ...(reheats > 0
        ? [
            `${countText(reheats, 'liquid is', 'liquids are')} heated again${fewest === null ? '' : fewest === reheats ? ': no plan does with fewer' : `; ${fewest === 0 ? 'a longer day could do without' : `a longer day could do with ${fewest}`}`}.`,
          ]
        : []),
    ]
  })
  /** Who does a step. */
  const who = computed(
    () =>
      new Map(
        fitting.value && padded.value
          ? lanesOf(padded.value, fitting.value.starts).hands.flatMap((lane, i) =>
              lane.map(span => [span.step, spread.value?.hands[i]?.name ?? ''] as const),
            )
          : [],
      ),
  )
  /** A step of the plan with the minutes it takes, by its id or by the dish whose turn it is. */
  function stepOf(id: string | null) {
    if (!id || !fitting.value || !padded.value || !day.value) return null
    const steps = stepsOf(padded.value, fitting.value.starts)
    const one = steps.find(other => other.step === id) ?? steps.find(other => other.step === anchorOf(id))
    return one
      ? { ...one, spans: stepsOf(day.value, fitting.value.starts).find(other => other.step === one.step)!.activity.dur }
      : null
  }
  /** The step by which a dish is moved: where it turns, or its last. */
  function anchorOf(dish: string): string {
    const one = spread.value?.dishes.find(other => other.id === dish)
    return one ? `${dish}.${one.turn ?? one.steps.sink}` : ''
  }
  return {
    padded,
    names,
    fitting,
    going,
    slack,
    mealsOf,
    waits,
    who,
    stepOf,
    anchorOf,
    said: computed(
      () =>
        new Map(
          (spread.value?.dishes ?? []).map(dish => [
            dish.id,
            {
              name: dish.card.name,
              says: `${SERVING_WORDS[dish.serve]}, ${gramsText(dish.baseG)} ${baseName(dish.card)}`,
            },
          ]),
        ),
    ),
    pinned: computed(
      () => new Set((spread.value?.wishes ?? []).filter(wish => wish.kind === 'pin').map(wish => wish.step)),
    ),
    pours: computed(
      () =>
        new Set((day.value?.dishes ?? []).flatMap(dish => (dish.hotPour ? [`${dish.id}.${dish.hotPour.pour}`] : []))),
    ),
    title: computed(() => {
      const list = (spread.value?.meals ?? [])
        .filter(meal => spread.value!.dishes.some(dish => dish.meal === meal.id))
        .map(meal => minuteText(meal.at))
      return list.length === 0 ? spread.value?.name : `${spread.value?.name}: to the table at ${list.join(' and ')}`
    }),
    date: computed(() => (spread.value ? longDayText(spread.value.eve) : '')),
    counts: computed(() =>
      spread.value
        ? `${countText(spread.value.dishes.length, 'dish', 'dishes')}, ${countText(spread.value.hands.length, 'pair of hands', 'pairs of hands')}, ${countText(spread.value.fires.length, 'fire', 'fires')}`
        : '',
    ),
  }
}

function countText(n: number, one: string, many: string): string {
  return `${n} ${n === 1 ? one : many}`
}
