import type { Doubt } from '../core/exchange/readLines'

/** Why a line of a pasted text wants a decision. */
export const DOUBT_WORDS: Readonly<Record<Doubt, string>> = {
  'which': 'It could be more than one thing.',
  'unknown': 'Nothing in the table is called so.',
  'no-amount': 'No amount is given.',
  'range': 'It gives a range; the middle is taken unless you say.',
  'measure': 'This measure is not known: packets, tins and sprigs differ.',
}
