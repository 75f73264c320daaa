import { browningPath } from '../family/browningPath'
import { familyOf } from '../family/families'
import type { CookPlan } from '../live/plan'
import type { ProgramColours } from './program'

/**
 * The colours the base of a cook goes through: its family's own path where one was set down, else one that begins at the
 * colour of its own base.
 *
 * @param plan family and base
 * @returns path, raw lightness, and where the steps stand on it
 */
export function coloursOf(plan: Pick<CookPlan, 'dish' | 'amounts'>): ProgramColours {
  const family = familyOf(plan.dish.family)
  const look = plan.amounts.find(one => one.id === plan.dish.base)?.look
  const { path, stepLightness } = !look || family.ownPath ? family : browningPath(look)
  return { path, stepLightness, rawLightness: !look || family.ownPath ? family.rawLightness : look.lightness }
}
