/**
 * What one batch or one check says of one lasting number, as a reading of it: value and variance in the belief's own
 * scale.
 */
export interface Evidence {
  /** Name in the household's belief, such as `fire.front` or `kept.sweet-water-semolina`. */
  readonly name: string
  /** Name of the number in a plan's belief. */
  readonly of: string
  readonly value: number
  readonly variance: number
  /** Batch or check it comes from. */
  readonly batch: string
  /** Of a fire: natural logarithm of the power of the mark over 700 W. */
  readonly ladder?: number | undefined
  /** When it was read, ms since 1970. */
  readonly when?: number | undefined
}
