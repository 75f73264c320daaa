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
