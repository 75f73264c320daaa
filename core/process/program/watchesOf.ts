import type { Dish, Stage } from '../../formulation/dish/dish'
import type { LiveCook } from '../../record/marks/liveCook'
import { ROAST_SIGNS, SIGN, SIGNS } from '../engine/signs'

/**
 * The signs that can show in a stage: its own, those of a roast where it roasts, and whatever was tapped in it.
 *
 * @param dish whose stage
 * @param stage one of its main line
 * @param cook what was marked
 * @param fromS when the stage began, s; Infinity where it has not
 * @param untilS when the next one began, s; Infinity where it has not
 * @returns indices into `SIGNS`, and which of them were tapped
 */
export function watchesOf(
  dish: Pick<Dish, 'family'>,
  stage: Stage,
  cook: LiveCook,
  fromS: number,
  untilS: number,
): { readonly watches: readonly number[], readonly tapped: readonly number[] } {
  const inIt = (timeS: number): boolean => timeS >= fromS && timeS <= untilS
  const tapped = new Set([
    ...cook.signs.filter(tap => inIt(tap.timeS)).map(tap => SIGNS.indexOf(tap.what)),
    ...cook.looks
      .filter(look => inIt(look.timeS))
      .flatMap(look => [SIGNS.indexOf(look.what), SIGNS.indexOf(look.what) + 1]),
  ])
  tapped.delete(-1)
  tapped.delete(SIGN.boil)
  const own = 'sign' in stage.until ? [SIGNS.findIndex(sign => 'sign' in stage.until && sign === stage.until.sign)] : []
  const roast = stage.does === 'roast' ? [...ROAST_SIGNS, ...(dish.family === 'gram-flour' ? [SIGN.loosened] : [])] : []
  return { watches: [...new Set([...own, ...roast, ...tapped])], tapped: [...tapped] }
}
