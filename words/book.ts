import type { Doubt } from '../core/formulation/exchange/text/readLines'
import type { Passed } from '../core/formulation/exchange/text/passedOver'

/** Why a line of a pasted text wants a decision. */
export const DOUBT_WORDS: Readonly<Record<Doubt, string>> = {
  'which': 'It could be more than one thing, or another thing altogether.',
  'unknown': 'Nothing in the table is called so.',
  'no-amount': 'No amount is given.',
  'range': 'It gives a range; the middle is meant here.',
  'measure': 'This measure is not known for sure: spoons, bowls and packets differ.',
  'either': 'It says one or the other.',
}

/** What a line is that holds no ingredient. */
export const PASSED_WORDS: Readonly<Record<Passed, string>> = {
  heading: 'a heading', title: 'a title', method: 'a step of the method', about: 'times, servings or a note',
}
