import type { Dish, Stage } from './dish'

/** Least minutes of a stage that waits for minutes, and to what they are rounded. */
const LEAST_MIN = 0.5

/**
 * A dish whose stages in minutes fit an amount: on a flame less takes less in proportion, as what is in the pan is
 * warmed through sooner; more takes longer with the square root, as elsewhere (estimate). What waits without a flame,
 * comes to pressure or is poured keeps its minutes.
 *
 * @param dish with its stages, their minutes those of its usual amount
 * @param baseG base, g, above 0
 * @returns the dish
 */
export function scaledMinutes<D extends Pick<Dish, 'stages' | 'usual'>>(dish: D, baseG: number): D {
  const times = baseG / dish.usual.baseG
  if (times === 1) return dish
  const factor = times < 1 ? times : Math.sqrt(times)
  const scaled = (stage: Stage): Stage => {
    const follows =
      'minutes' in stage.until
      && stage.flame !== 'off'
      && stage.does !== 'press'
      && stage.does !== 'pour'
      && (stage.phase ?? 'fire') === 'fire'
    if (!follows || !('minutes' in stage.until)) return stage
    return { ...stage, until: { minutes: Math.max(LEAST_MIN, Math.round(stage.until.minutes * factor * 10) / 10) } }
  }
  return { ...dish, stages: dish.stages.map(scaled) }
}
