import type { CoreErrorCode } from '../core/error'

/** Sentences for everything the core refuses: what happened, what is safe, what to do. */
export const REFUSALS: Readonly<Record<CoreErrorCode, string>> = {
  'out-of-range': 'A number is outside of what can be. Nothing was changed; correct it and try again.',
  'not-understood': 'This was not understood. Nothing was changed; say it another way.',
  'unknown-name': 'Something is named that is not there. Nothing was changed; check the name.',
  'cannot-work': 'This cannot work as it stands. Nothing was changed.',
}
