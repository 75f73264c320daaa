import { itemAt } from '../../maths/table/itemAt'
import type { CookPlan } from '../../record/plan/plan'
import { milkFor } from '../../formulation/preparing/milkYields'
import { milkMark, reduceMilk } from '../../formulation/preparing/reduceMilk'
import { Z90 } from '../../maths/random/normalCdf'
import type { Durations } from '../problem/day'

/** Ingredient that can be boiled down from milk at home, the milk, and the step that does it. */
export const THICKENED = { ingredient: 'khoya', from: 'milk', step: 'khoya' } as const
/** Least and most that is made at a time, g: a cup of milk, and what twenty litres give (estimates). */
const LEAST_G = 5
const MOST_G = 4000

/** Whether so much thickened milk, g, can be made as one step of a day: 5 to 4000 g. */
export function canThicken(thickenedG: number): boolean {
  return thickenedG >= LEAST_G && thickenedG <= MOST_G
}

/**
 * Minutes in which milk of room warmth boils down to a weight of thickened milk, by `reduceMilk` at the power believed
 * of the fire under the pan; their spread is that of the belief.
 *
 * @param thickenedG wanted, g, 5 to 4000
 * @param plan of the cook it is for: its fire, what is believed of it, and the room
 * @returns 10th, 50th and 90th percentile, whole minutes
 * @throws CoreError `out-of-range`
 */
export function thickenedSpan(thickenedG: number, plan: Pick<CookPlan, 'fires' | 'belief' | 'airC'>): Durations {
  const fire = plan.belief.entries.find(entry => entry.name === 'mainFire')
  const { marks } = plan.fires.pan ?? itemAt(Object.values(plan.fires), 0)
  const watts = Math.min(6000, Math.max(50, milkMark(marks).watts * (fire?.median ?? 1)))
  const stray = fire ? Math.exp(Z90 * fire.spread) : undefined
  const { early, minutes, late } = reduceMilk(
    milkFor(thickenedG, 'thickened').middle,
    thickenedG,
    watts,
    plan.airC,
    stray,
  )
  return [Math.max(1, Math.floor(early)), Math.max(1, Math.round(minutes)), Math.max(1, Math.ceil(late))]
}

/** Thickened milk among amounts of a dish, g; 0 where it takes none. */
export function thickenedG(amounts: readonly { readonly ingredient: string, readonly massG: number }[]): number {
  return amounts.filter(one => one.ingredient === THICKENED.ingredient).reduce((sum, one) => sum + one.massG, 0)
}
