import { mainLine } from '../core/dish/mainLine'
import { sideStages } from '../core/dish/sideStages'
import type { Dish } from '../core/dish/dish'
import { SIGN_WORDS } from './cook'

/**
 * How a dish is cooked, read off its stages: what is dissolved beside the roast, what goes in by parts, what is fried
 * first, how far it is roasted.
 *
 * @param dish a dish
 * @returns short phrases, such as `sugar in the hot water`; none where a stage says nothing of it
 */
export function schoolOf(dish: Dish): string[] {
  const line = mainLine(dish)
  const dissolved = sideStages(dish).flatMap(stage => stage.adds.map(add => add.ingredient)).filter(id => id !== 'water')
  const parted = dish.ingredients.filter(({ id }) => line.filter(stage => stage.adds.some(add => add.ingredient === id && add.share < 1)).length > 1)
  const fried = line.find(stage => stage.does === 'fry')?.takesOut ?? []
  const until = line.find(stage => stage.does === 'roast')?.until
  return [
    ...dissolved.map(id => `${id} in the hot water`),
    ...parted.map(({ id }) => `${id} ${line.flatMap(stage => stage.adds).filter(add => add.ingredient === id).map(add => shareText(add.share)).join(' now, ')} late`),
    ...fried.map(id => `${id} fried first`),
    ...(until && 'sign' in until ? [`roast to ${SIGN_WORDS[until.sign]?.waited ?? until.sign}`] : []),
  ]
}

function shareText(share: number): string {
  return share === 0.5 ? 'half' : `${Math.round(share * 100)} %`
}
