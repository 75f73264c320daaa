import type { DishCard, Stage } from './dish'

/**
 * Ingredients of a dish that no stage takes in: with its choices they would be measured out and never used.
 *
 * @param card the dish
 * @param stages its stages, laid out
 * @returns their ids within the dish
 */
export function goesNowhere(
  card: Pick<DishCard, 'ingredients'>,
  stages: readonly Pick<Stage, 'adds' | 'handles'>[],
): string[] {
  const taken = new Set(stages.flatMap(one => [...one.adds.map(add => add.ingredient), ...(one.handles ?? [])]))
  return card.ingredients.filter(one => one.perBase > 0 && !taken.has(one.id)).map(one => one.id)
}
