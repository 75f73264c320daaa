/** What is in the pan, g. */
export interface PanContents {
  readonly waterG: number
  readonly solidsG: number
  readonly fatG: number
  /** All sugars. */
  readonly sugarG: number
  readonly nutsG: number
}

/** A mass by its parts, as shares of its weight. */
export interface Shares { readonly water: number, readonly fat: number, readonly sugar: number }
