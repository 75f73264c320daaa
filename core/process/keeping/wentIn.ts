import type { CookPlan } from '../../record/plan/plan'
import type { PanContents } from '../../materials/composition/panContents'

/**
 * A finished sweet of which nothing was kept back: all that went in, with the water that is left.
 *
 * @param amounts what goes in
 * @param waterG water that is left, g
 * @returns masses, g, and the part of the sugar that is glucose and fructose
 */
export function wentIn(
  amounts: CookPlan['amounts'],
  waterG: number,
): { readonly contents: PanContents, readonly invertShare: number } {
  const of = (part: 'solids' | 'fat' | 'sugar' | 'nuts' | 'invert'): number =>
    amounts.reduce((sum, one) => sum + one.massG * (one.composition[part] ?? 0), 0)
  const [sugarG, invertG] = [of('sugar'), of('invert')]
  return {
    contents: { waterG, solidsG: of('solids'), fatG: of('fat'), sugarG, nutsG: of('nuts') },
    invertShare: sugarG > 0 ? Math.min(1, invertG / sugarG) : 0,
  }
}
