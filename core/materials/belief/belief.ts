/** How a parameter's spread is to be read: a factor (log-normal) or a distance (normal). */
export type SpreadKind = 'factor' | 'distance'

/** One uncertain number with what is believed of it. */
export interface BeliefEntry {
  readonly name: string
  /** Middle of the belief, in `unit`. */
  readonly median: number
  /** One standard deviation: of the natural logarithm for a factor, in `unit` for a distance. */
  readonly spread: number
  readonly kind: SpreadKind
  readonly unit: string
  /** What it follows of other entries, for each of their standard deviations: in the logarithm for a factor. */
  readonly follows?: readonly { readonly name: string, readonly much: number }[] | undefined
  /** `estimate`, a citation, or `batches`. */
  readonly basis: string
  /** Ids of the batches this rests on; empty for a first guess. */
  readonly restsOn: readonly string[]
}

/** Everything uncertain in a forecast, by name. */
export interface Belief {
  readonly entries: readonly BeliefEntry[]
}
