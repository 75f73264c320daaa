import type { NextDish } from '../core/process/usual/nextDishes'

/** Why a dish may be next, short, above its name. */
export const NEXT_WORDS: Readonly<
  Record<NextDish['why'], (told: { readonly uses: string, readonly by: string, readonly made: number }) => string>
> = {
  'perishes': ({ uses, by }) => `Uses the ${uses}, good until ${by}`,
  'in-house': ({ made }) => (made > 0 ? `All in the house; made ${times(made)}` : 'All of it is in the house'),
  'often': ({ made }) => (made > 0 ? `Made ${times(made)}` : 'Not made here yet'),
  'first': () => 'A good one to begin with',
}

function times(count: number): string {
  return count === 1 ? 'once' : count === 2 ? 'twice' : `${count} times`
}
