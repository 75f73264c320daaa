/** What to do or mind after a swap. */
export const SWAP_NOTES = [
  'whisk-in', 'catches', 'brings-sugar', 'no-milk', 'no-set', 'reduce', 'longer', 'grainy', 'grate-fine', 'paler',
  'sweeter-clean', 'strain', 'darker', 'softer-set', 'by-volume', 'browns', 'foams', 'other-taste', 'brings-milk',
  'canned-sugar', 'taste-fruit', 'splits-milk', 'grain', 'roast-less',
] as const
export type SwapNote = (typeof SWAP_NOTES)[number]

/** What a swap keeps the balance of, g for each g of base. */
export const BALANCES = ['water', 'fat', 'sugar', 'milk-solids', 'starch'] as const
export type Balance = (typeof BALANCES)[number]

/** A swap of the book: what goes out, what comes in, and what of the dish may be changed to keep the balance. */
export interface SwapRule {
  readonly id: string
  /** Ingredient ids, any of which it takes out. */
  readonly from: readonly string[]
  /** Ingredient ids that come in together; their amounts are solved. */
  readonly to: readonly string[]
  /** Parts of the dish whose ingredients are changed to keep the balance. */
  readonly adjusts: readonly ('water' | 'sugar' | 'fat')[]
  /** What to do or mind. */
  readonly notes: readonly SwapNote[]
  /** Water the new grade asks for, relative to the old one; only for grades of one grain. */
  readonly liquidFactor?: number | undefined
}

/** One change of an amount by a swap. */
export interface SwapChange {
  readonly id: string
  readonly ingredient: string
  readonly before: number
  readonly after: number
}

/** What a swap does: the changed amounts and what could not be kept. */
export interface SwapOutcome {
  readonly changes: readonly SwapChange[]
  /** What is over or missing afterwards, g for each g of base; only what matters. */
  readonly unkept: readonly { readonly balance: Balance, readonly perBase: number }[]
  /** Change of sweetness, g of sucrose for each g of base, by all sugars as eaten warm. */
  readonly sweetness: number
  readonly notes: readonly SwapNote[]
}
