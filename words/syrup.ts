import type { Sets } from '../core/syrup/syrup'

/** What a syrup of a strength sets to. */
export const SETS_WORDS: Readonly<Record<Sets, string>> = {
  runs: 'stays liquid', sticky: 'sticky', thread: 'one thread, sets soft', soft: 'soft ball', firm: 'firm ball, sets firm', hard: 'sets hard',
}
