import type { Dish } from './dish'
import { usualMinutes } from './usualMinutes'

/**
 * Minutes a dish takes from its first fire to its last, on usual minutes alone.
 *
 * @param dish a dish with its stages
 * @returns minutes at its usual amount
 */
export function usualTotalMinutes(dish: Pick<Dish, 'family' | 'usual' | 'stages'>): {
  readonly before: number
  readonly fire: number
  readonly after: number
} {
  const sum = (phase: string): number =>
    dish.stages
      .filter(stage => !stage.meets && (stage.phase ?? 'fire') === phase)
      .reduce((minutes, stage) => minutes + usualMinutes(dish, stage), 0)
  return { before: sum('before'), fire: sum('fire'), after: sum('after') }
}
