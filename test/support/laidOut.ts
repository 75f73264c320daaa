import type { Dish } from '../../core/formulation/dish/dish'
import type { DayDish, Durations } from '../../core/day/problem/day'

/** Minutes by which a step of a dish can be told from every other: ten and its place, two and five more. */
export const toldApart = (dish: Dish): Record<string, Durations> =>
  Object.fromEntries(dish.stages.map((stage, i) => [stage.id, [10 + i, 12 + i, 15 + i] as const]))

/** The steps of a dish on a day in a line each: what is done, what waits for what, what is held from when to when. */
export function laidOut({ activities, lags, holds, hotPour, sink, ready, stands }: DayDish): string[] {
  return [
    ...activities.map(({ id, dur, hands, burner, hot, night, grinder }) =>
      [`${id} ${dur.join('/')}`, `${hands}h`, burner > 0 && 'fire', hot && 'hot', night && 'night', grinder && 'grinder'].filter(Boolean).join(' ')),
    ...lags.map(({ from, to, min, max, kind }) => `${from} > ${to} ${min}..${max ?? ''} ${kind}`),
    ...holds.map(({ need, first, last }) => `${need}: ${first} - ${last}`),
    ...(hotPour ? [`hot: ${hotPour.heat} > ${hotPour.pour} ..${hotPour.max}, again ${hotPour.reheat.dur.join('/')} ..${hotPour.reheat.maxWait}`] : []),
    ...(stands ? [`stands: ${JSON.stringify(stands)}`] : []),
    `ends with ${sink}, ready ${ready}`,
  ]
}
