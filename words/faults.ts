import type { Fault } from '../core/cook/faults/faults'
import { wordFor } from './wordFor'

/** Every fault: its name in the ledger, and as it is seen at the fire. */
export const FAULT_WORDS: Readonly<Record<Fault, { readonly name: string, readonly seen: string }>> = {
  'runny': { name: 'runny', seen: 'runny, will not tighten' },
  'dry': { name: 'dry', seen: 'dry, crumbly' },
  'lumpy': { name: 'lumpy', seen: 'lumpy' },
  'gluey': { name: 'gluey', seen: 'gluey' },
  'hard-grain': { name: 'hard grain', seen: 'hard grain' },
  'raw-taste': { name: 'raw taste', seen: 'tastes raw' },
  'too-sweet': { name: 'too sweet', seen: 'too sweet' },
  'not-sweet': { name: 'not sweet enough', seen: 'not sweet enough' },
  'greasy': { name: 'greasy', seen: 'greasy pool' },
  'sticking': { name: 'sticks to the pan', seen: 'sticks to the pan' },
  'burnt': { name: 'burnt note', seen: 'burnt note, flecks' },
  'syrup-weak': { name: 'syrup too weak', seen: 'syrup too weak' },
  'syrup-far': { name: 'syrup gone too far', seen: 'syrup gone too far' },
  'slab-soft': { name: 'slab too soft', seen: 'slab will not set' },
  'slab-hard': { name: 'slab too hard', seen: 'slab too hard' },
  'grainy': { name: 'sugar back to grain', seen: 'sugar back to grain' },
  'balls-crumble': { name: 'balls fall apart', seen: 'balls fall apart' },
  'balls-flatten': { name: 'balls flatten', seen: 'balls flatten' },
  'milk-split': { name: 'milk split', seen: 'milk splits' },
  'milk-catches': { name: 'milk catches', seen: 'milk catches' },
  'pasty': { name: 'pasty, not in shreds', seen: 'pasty, not in shreds' },
}

/**
 * The name of a fault.
 *
 * @param fault its code
 * @returns such as `too sweet`; the code itself for one of a newer or an older version
 */
export function faultName(fault: string): string {
  return wordFor(FAULT_WORDS, fault)?.name ?? fault
}
