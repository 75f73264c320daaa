import type { Activity, Day, DayDish, HotPour } from './day'

/** How a day is padded against what goes slower than likely. */
export interface Padding {
  /** Share of the way from the likely to the longest end of a triangle that each step is given. */
  readonly share: number
  /** Minutes everything is ready before the meal. */
  readonly readyMin: number
  /** Least and longest minutes a liquid is hot before its pour. */
  readonly hotMin: number
  readonly hotMax: number
  /** Share of the time a roasted base bears before its pour that is planned with. */
  readonly baseShare: number
}

/**
 * From the middle of a triangle to its end, over the way to its 90th percentile: that percentile of a symmetric
 * triangle of half-width h lies h (1 - sqrt 0.2) above the middle.
 */
const TRIANGLE = 1 / (1 - Math.sqrt(0.2))

/** Measured to bring late meals and cold pours near none for a day about an eighth longer (`docs/planning.md`). */
export const PADDING: Padding = { share: 0.25, readyMin: 10, hotMin: 2, hotMax: 8, baseShare: 0.5 }

/**
 * Padding with more or less room.
 *
 * @param room 1 for the usual room, 2 for twice as much on each step
 */
export function paddingOf(room: number): Padding {
  return { ...PADDING, share: PADDING.share * room }
}

/**
 * A day in which every step is given a little more than is likely, everything is ready a little before the meal, and
 * liquids are hot a little before the pour: a plan of it bears what usually goes wrong.
 *
 * @param day as it is
 * @param padding how much
 */
export function paddedDay(day: Day, padding: Padding = PADDING): Day {
  return {
    ...day,
    dishes: day.dishes.map(dish =>
      paddedDish(dish, day.spans === 'percentiles' ? { ...padding, share: padding.share * TRIANGLE } : padding),
    ),
  }
}

function paddedDish(dish: DayDish, padding: Padding): DayDish {
  const { hotPour } = dish
  const lags = dish.lags.map(lag =>
    lag.kind === 'hotbase' && lag.max !== null
      ? { ...lag, max: Math.max(lag.min, Math.ceil(padding.baseShare * lag.max)) }
      : lag,
  )
  return {
    ...dish,
    lags,
    ready: dish.ready + padding.readyMin,
    activities: dish.activities.map((activity): Activity => ({
      ...activity,
      dur: [activity.dur[0], paddedMinutes(activity, padding), activity.dur[2]],
    })),
    ...(hotPour
      ? {
          hotPour: { ...hotPour, max: Math.min(hotPour.max, padding.hotMax) } satisfies HotPour,
          lags: [...lags, { from: hotPour.heat, to: hotPour.pour, min: padding.hotMin, max: null, kind: 'hotliquid' }],
        }
      : {}),
  }
}

/** Minutes a step is planned with. */
function paddedMinutes(activity: Pick<Activity, 'dur'>, padding: Padding): number {
  return activity.dur[1] + Math.round(padding.share * (activity.dur[2] - activity.dur[1]))
}
