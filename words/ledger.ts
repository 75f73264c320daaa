/** Quarters of the year. */
export const SEASON_WORDS: Readonly<Record<string, string>> = { 'dec-feb': 'December to February', 'mar-may': 'March to May', 'jun-aug': 'June to August', 'sep-nov': 'September to November' }

/** What the page of a dish's trend says of each figure. */
export const TREND_WORDS: Readonly<Record<'turn' | 'end' | 'yield', { readonly name: string, readonly more: string, readonly less: string }>> = {
  turn: { name: 'Turned at', more: 'later', less: 'earlier' },
  end: { name: 'After that', more: 'longer', less: 'shorter' },
  yield: { name: 'Finished, for 100 g of base', more: 'heavier', less: 'lighter' },
}
