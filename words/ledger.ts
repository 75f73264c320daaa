import type { RowTrouble } from '../core/cook/exchange/batchRows'
import type { Season } from '../contracts/batchQuery'
/** Quarters of the year. */
export const SEASON_WORDS: Readonly<Record<Season, string>> = {
  'dec-feb': 'December to February',
  'mar-may': 'March to May',
  'jun-aug': 'June to August',
  'sep-nov': 'September to November',
}

/** What the page of a dish's trend says of each figure. */
export const TREND_WORDS: Readonly<
  Record<'turn' | 'end' | 'yield', { readonly name: string, readonly more: string, readonly less: string }>
> = {
  turn: { name: 'Turned at', more: 'later', less: 'earlier' },
  end: { name: 'After that', more: 'longer', less: 'shorter' },
  yield: { name: 'Finished, for 100 g of base', more: 'heavier', less: 'lighter' },
}

/** What is wanting in a row of a table of old batches. */
export const ROW_TROUBLE_WORDS: Readonly<Record<RowTrouble, string>> = {
  dish: 'No dish of the book is called so.',
  day: 'Its day is not understood: write it as 2025-11-30.',
  future: 'Its day is still to come.',
  base: 'How much of the base is not understood: 250, or 1 cup.',
  minutes: 'Minutes at the fire, 3 to 300, are needed.',
  roast: 'The roast is not shorter than the whole.',
}

/** What became of a row. */
export const ROW_STATE_WORDS: Readonly<Record<'kept' | 'known' | 'refused', string>> = {
  kept: 'in the ledger',
  known: 'stood in the ledger already',
  refused: 'not kept: ',
}
