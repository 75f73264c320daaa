import type { Graining } from '../core/materials/syrup/graining'
import type { Sets } from '../core/materials/syrup/syrup'

/** What a syrup of a strength sets to. */
export const SETS_WORDS: Readonly<Record<Sets, string>> = {
  runs: 'stays liquid',
  sticky: 'sticky',
  thread: 'one thread, sets soft',
  soft: 'soft ball',
  firm: 'firm ball, sets firm',
  hard: 'sets hard',
}

const PREVENTS: Readonly<Record<Graining['prevents'][number], string>> = {
  'wash-wall': 'wash sugar grains from the wall with a wet brush',
  'no-stirring': 'do not stir once it boils',
  'acid': 'a few drops of lemon in it help',
  'invert-holds': 'what is in jaggery holds most of it back',
}

/**
 * Whether sugar returns to grain, and what prevents it.
 *
 * @param graining of the syrup
 * @returns a sentence or two; empty where it cannot
 */
export function grainingText({ risk, prevents }: Graining): string {
  if (risk === 'none') return ''
  const does = prevents.map(code => PREVENTS[code]).join('; ')
  return `${risk === 'likely' ? 'Cooled, it returns to grain easily' : 'Cooled, it may return to grain in time'}: ${does}.`
}
