/** One stone of an arch: a span of the cook and the colour the food had or was forecast to have. */
export interface Stone {
  readonly fromS: number
  readonly toS: number
  /** `#rrggbb` */
  readonly colour: string
}

/** As much of a summary as an arch in a list needs. */
export type BatchPicture = Pick<
  BatchSummary,
  'stones' | 'keystoneS' | 'endS' | 'baseG' | 'finishedG' | 'weighed' | 'darkestStep' | 'faults' | 'line'
>

/** What a batch keeps for ever of how it went beside how it was planned; times in s since the start, weights in g. */
export interface BatchSummary {
  readonly stones: readonly Stone[]
  readonly plannedStones: readonly Stone[]
  readonly keystoneS: number | null
  readonly endS: number | null
  readonly plannedKeystoneS: number | null
  readonly plannedEndS: number | null
  readonly plannedKeystoneWindow: readonly [number, number] | null
  readonly plannedEndWindow: readonly [number, number] | null
  readonly moments: readonly { readonly kind: string, readonly what: string, readonly timeS: number }[]
  readonly baseG: number
  readonly finishedG: number | null
  readonly plannedFinishedG: number | null
  /** True where the finished weight was weighed and not forecast. */
  readonly weighed: boolean
  /** Darkest colour step the roast reached in the middle run, or null. */
  readonly darkestStep: string | null
  readonly faults: readonly string[]
  readonly line: string
}
