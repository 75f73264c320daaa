/** What an ingredient is made of, as shares of its weight; they add to one. */
export interface Composition {
  readonly water: number
  readonly solids: number
  readonly fat: number
  /** All sugars together. */
  readonly sugar: number
  /** The part of them that is glucose and fructose. */
  readonly invert?: number | undefined
  /** Whole nuts are kept together: they can be taken out again. */
  readonly nuts: number
}
