import { isAlike, secondBases } from '../../formulation/dish/basesOf'
import { familyOf } from '../../formulation/family/families'
import type { Family } from '../../formulation/family/family'
import type { CookPlan } from '../../record/plan/plan'
import type { BaseNumbers } from '../engine/baseNumbers'

/**
 * Takes what a run reads out of a family.
 *
 * @param family the row
 * @param fresh whether it behaves as fresh tissue here: a cooked purée does, what stands beside does not
 * @param mostWaterPerSolids most water its solids can hold, g/g; 0 where nothing swells
 * @returns the numbers
 */
export function baseNumbers(
  family: Family,
  fresh = family.fresh,
  mostWaterPerSolids = family.mostWaterPerSolids,
): BaseNumbers {
  const { finalLightness, wetLift, doneDarkening, grainRadiusMm, mostFatPerSolids, rawAir, softAir } = family
  return {
    finalLightness,
    wetLift,
    doneDarkening,
    grainRadiusMm,
    mostWaterPerSolids,
    mostFatPerSolids,
    rawAir,
    softAir,
    fresh,
  }
}

/** Numbers that mix by weight of dry solids. */
const MIXED = [
  'finalLightness', 'wetLift', 'doneDarkening', 'mostWaterPerSolids', 'mostFatPerSolids', 'rawAir', 'softAir',
] as const

/**
 * The numbers of a plan's base; of two bases of a kind mixed by their dry solids, a grain's size by its square, as its
 * time to swell goes (estimates: each behaves as it does alone).
 *
 * @param plan dish and amounts
 * @param fresh whether it behaves as fresh tissue here
 * @returns the numbers
 */
export function basesNumbers(plan: Pick<CookPlan, 'dish' | 'amounts'>, fresh: boolean): BaseNumbers {
  const first = baseNumbers(familyOf(plan.dish.family), fresh)
  const seconds = secondBases(plan.dish).filter(one => isAlike(plan.dish, one))
  if (seconds.length === 0) return first
  const solidsOf = (id: string): number => {
    const amount = plan.amounts.find(one => one.id === id)
    return amount ? amount.massG * amount.composition.solids : 0
  }
  const all = [
    { numbers: first, solids: solidsOf(plan.dish.base) },
    ...seconds.map(one => ({ numbers: baseNumbers(familyOf(one.asBase.family), fresh), solids: solidsOf(one.id) })),
  ]
  const total = all.reduce((sum, one) => sum + one.solids, 0)
  if (!(total > 0)) return first
  const mean = (of: (numbers: BaseNumbers) => number): number =>
    all.reduce((sum, one) => sum + one.solids / total * of(one.numbers), 0)
  return {
    ...first, ...Object.fromEntries(MIXED.map(name => [name, mean(numbers => numbers[name])])),
    grainRadiusMm: Math.sqrt(mean(numbers => numbers.grainRadiusMm ** 2)),
  }
}
