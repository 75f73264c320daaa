/** One figure; `ratio` is to its floor or rival in the same run, `limit` says how much ratio or value may be. */
export interface Figure {
  readonly name: string
  readonly value: number
  readonly unit: string
  readonly ratio: number | null
  readonly limit: string
}
