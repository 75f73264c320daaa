import type { Dish } from '../../formulation/dish/dish'
import { mainLine } from '../../formulation/dish/mainLine'
import { COLOUR_STEPS } from '../../formulation/signs/signIds'
import { CoreError } from '../../error'

const STEPS: readonly string[] = ['aroma', ...COLOUR_STEPS]

/**
 * The last stage that roasts to a colour or an aroma.
 *
 * @param dish with its stages
 * @returns index into its main line; −1 where there is none
 */
export function lastRoast(dish: Dish): number {
  return mainLine(dish).findLastIndex(
    stage => stage.does === 'roast' && 'sign' in stage.until && STEPS.includes(stage.until.sign),
  )
}

/**
 * The roast whose flames are planned: the last one.
 *
 * @param plan with its dish
 * @returns index into its main line
 * @throws CoreError `cannot-work` where nothing is roasted
 */
export function roastIndex({ dish }: { readonly dish: Dish }): number {
  const index = lastRoast(dish)
  if (index < 0) throw new CoreError('cannot-work', 'flamePlan.dish', { trouble: 'nothing-is-roasted' })
  return index
}
