import type { Stage } from './dish'

/**
 * True where an ingredient goes in once more that was taken out before, such as nuts that were fried: it is no second
 * amount.
 *
 * @param stages of the dish, in order
 * @param stage id of the stage in which it goes in
 * @param ingredient its id in the dish
 * @returns whether an earlier stage took it out
 */
export function goesInAgain(
  stages: readonly Pick<Stage, 'id' | 'takesOut'>[],
  stage: string,
  ingredient: string,
): boolean {
  const at = stages.findIndex(one => one.id === stage)
  return stages.slice(0, Math.max(0, at)).some(one => one.takesOut.includes(ingredient))
}
