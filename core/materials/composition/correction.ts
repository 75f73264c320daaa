/** One vessel of a food put on the scale, levelled as this household levels it. */
export interface MeasureWeighed {
  /** ms since 1970. */
  readonly at: number
  readonly volumeMl: number
  readonly massG: number
}

/** What a household knows better than the table of one ingredient. */
export interface Correction {
  /** Id of the ingredient. */
  readonly id: string
  /** g/ml, weighed once; newer weighings stand in `weighings`. */
  readonly bulkDensity?: number | undefined
  /** Vessels of it that were weighed, oldest first. */
  readonly weighings?: readonly MeasureWeighed[] | undefined
  /** Weight of one middling piece as bought, g. */
  readonly pieceG?: number | undefined
  /** Shares as in `Yields`. */
  readonly prepared?: number | undefined
  readonly soakGain?: number | undefined
  readonly ground?: number | undefined
  /** Price of a kilogram in the household's money. */
  readonly pricePerKg?: number | undefined
}
