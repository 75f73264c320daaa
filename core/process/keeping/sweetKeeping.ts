import type { Kind } from '../../materials/composition/ingredient'
import { familyOf } from '../../formulation/family/families'
import type { CookPlan } from '../../record/plan/plan'
import type { PanContents } from '../../materials/composition/panContents'
import { activityRange, type ActivityRange } from './activityRange'
import { keepingOf, type Keeping } from './keepingOf'

/** How a sweet keeps, and the water activity that says so. */
export interface SweetKeeping { readonly activity: ActivityRange, readonly keeping: Keeping }

/**
 * How a finished sweet keeps, by what went into it and the water that is left.
 *
 * @param plan what went in, and the room
 * @param contents of the finished sweet, g
 * @param invertShare part of its sugar that is glucose and fructose, 0 to 1
 * @param hands whether hands rolled or pressed it
 * @param kindOf kind of an ingredient by its id; undefined where it is not known
 * @returns the one verdict that plans, tray, shelf and labels share
 * @throws CoreError `out-of-range`
 */
export function sweetKeeping(
  plan: Pick<CookPlan, 'dish' | 'amounts' | 'airC'>,
  contents: PanContents,
  invertShare: number,
  hands: boolean,
  kindOf: (ingredient: string) => Kind | undefined,
): SweetKeeping {
  const activity = activityRange(contents, invertShare)
  return { activity, keeping: keepingOf({ activity, ...perishables(plan, kindOf), hands, roomC: plan.airC }) }
}

function perishables(
  { dish, amounts }: Pick<CookPlan, 'dish' | 'amounts'>,
  kindOf: (ingredient: string) => Kind | undefined,
): { milk: boolean, produce: boolean, coconut: boolean } {
  const kinds = amounts.filter(one => one.massG > 0).map(one => kindOf(one.ingredient))
  const has = (...of: readonly Kind[]): boolean => kinds.some(kind => kind !== undefined && of.includes(kind))
  return {
    milk: has('milk', 'milk-solids', 'condensed'),
    produce: has('produce', 'juice') || familyOf(dish.family).kind === 'produce',
    coconut: has('coconut'),
  }
}
