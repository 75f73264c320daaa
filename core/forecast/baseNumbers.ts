import type { Family } from '../family/family'

/** The numbers of a family that a run reads, always laid out alike: objects of one form are read many times faster. */
export interface BaseNumbers {
  readonly finalLightness: number
  readonly wetLift: number
  readonly doneDarkening: number
  readonly grainRadiusMm: number
  readonly mostWaterPerSolids: number
  readonly mostFatPerSolids: number
  readonly rawAir: number
  readonly softAir: number
  readonly fresh: boolean
}

/**
 * Takes what a run reads out of a family.
 *
 * @param family the row
 * @param fresh whether it behaves as fresh tissue here: a cooked purée does, what stands beside does not
 * @param mostWaterPerSolids most water its solids can hold, g/g; 0 where nothing swells
 * @returns the numbers
 */
export function baseNumbers(family: Family, fresh = family.fresh, mostWaterPerSolids = family.mostWaterPerSolids): BaseNumbers {
  const { finalLightness, wetLift, doneDarkening, grainRadiusMm, mostFatPerSolids, rawAir, softAir } = family
  return { finalLightness, wetLift, doneDarkening, grainRadiusMm, mostWaterPerSolids, mostFatPerSolids, rawAir, softAir, fresh }
}
