import type { Lab } from '../../materials/colour/lab'
import { isAlike, secondBases } from '../../formulation/dish/basesOf'
import { browningPath } from '../../formulation/family/browningPath'
import { familyOf } from '../../formulation/family/families'
import type { CookPlan } from '../../record/plan/plan'
import type { ProgramColours } from '../engine/program'

/**
 * The colours the base of a cook goes through: its family's own path where one was set down, else one that begins at
 * the colour of its own base, or where two of a kind go in together of both by weight.
 *
 * @param plan family and bases
 * @returns path, raw lightness, and where the steps stand on it
 */
export function coloursOf(plan: Pick<CookPlan, 'dish' | 'amounts'>): ProgramColours {
  const family = familyOf(plan.dish.family)
  const look = rawLook(plan)
  const { path, stepLightness } = !look || family.ownPath ? family : browningPath(look)
  return { path, stepLightness, rawLightness: !look || family.ownPath ? family.rawLightness : look.lightness }
}

function rawLook({ dish, amounts }: Pick<CookPlan, 'dish' | 'amounts'>): Lab | undefined {
  const ids = [dish.base, ...secondBases(dish).filter(one => isAlike(dish, one)).map(one => one.id)]
  const seen = amounts.flatMap(({ id, look, massG }) =>
    ids.includes(id) && look && massG > 0 ? [{ look, massG }] : [],
  )
  const total = seen.reduce((sum, one) => sum + one.massG, 0)
  if (seen.length < 2) return seen[0]?.look
  const mean = (of: (look: Lab) => number): number =>
    seen.reduce((sum, one) => sum + (one.massG / total) * of(one.look), 0)
  return { lightness: mean(one => one.lightness), a: mean(one => one.a), b: mean(one => one.b) }
}
