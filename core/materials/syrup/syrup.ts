/** Range of strengths for which the formula was held against published tables, sugar by weight of all. */
export const WEAKEST = 0.1
export const STRONGEST = 0.92

/** A syrup at one strength. */
export interface SyrupAt {
  /** Sugar over all of it, by weight, and how much of the sugar is invert. */
  readonly share: number
  readonly invertShare: number
  /** Boiling point in the air's pressure, °C. */
  readonly boilsAtC: number
  /** Water activity at 25 °C. */
  readonly activity: number
}

/** What a syrup sets to when it has cooled, by its strength. */
export const SETS = ['runs', 'sticky', 'thread', 'soft', 'firm', 'hard'] as const
export type Sets = (typeof SETS)[number]
