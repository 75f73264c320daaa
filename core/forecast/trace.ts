/** A run's moments as they are kept. */
export interface Trace {
  /** Shortest time between two kept moments, s; 0 keeps every step. */
  readonly everyS: number
  readonly points: TracePoint[]
}

/** One moment of one run, for drawing and for checking balances. */
export interface TracePoint {
  readonly timeS: number
  /** Index of the main-line stage. */
  readonly stage: number
  readonly tempC: number
  readonly panC: number
  /** Lightness of the roasted base, before the liquid changes it. */
  readonly lightness: number
  readonly waterG: number
  readonly heldG: number
  readonly contentG: number
  readonly volumeMl: number
  /** Copy of the whole flat state. */
  readonly state: Float64Array
}
