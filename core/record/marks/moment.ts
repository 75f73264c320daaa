/** An observation as it stands after every correction, with its place in the story. */
export interface Moment {
  readonly id: string
  readonly kind: string
  readonly payload: Readonly<Record<string, unknown>>
  readonly atMs: number
  /** True once it has been taken back. */
  readonly withdrawn: boolean
  /** Ids of the corrections that changed it. */
  readonly correctedBy: readonly string[]
  /** True where its time had not come when the hearth heard of it, or of the correction that moved it. */
  readonly ahead: boolean
}
