import type { EndFault } from './endFaults'

/** What a fault can come from. */
export const FAULT_CAUSES = [
  'flame-high', 'roast-short', 'roast-long', 'too-wet', 'too-dry', 'off-early', 'off-late', 'low-after-turn', 'cold-liquid', 'poured-fast', 'sugar-early',
  'more-fat', 'less-fat', 'more-sugar', 'less-sugar', 'syrup-weak', 'syrup-far', 'unstirred', 'thin-pan', 'rolled-warm', 'rolled-cool', 'sour',
] as const
export type FaultCause = (typeof FAULT_CAUSES)[number]

/**
 * Causes of each fault with how often they are it, before anything is known of the batch (craft, section 6; the shares are
 * estimates).
 */
export const CAUSES_OF: Readonly<Record<EndFault, Readonly<Partial<Record<FaultCause, number>>>>> = {
  'burnt': { 'flame-high': 0.4, 'roast-long': 0.3, 'unstirred': 0.2, 'thin-pan': 0.1 },
  'raw-taste': { 'roast-short': 0.7, 'flame-high': 0.3 },
  'gluey': { 'roast-short': 0.35, 'too-wet': 0.25, 'low-after-turn': 0.25, 'off-early': 0.15 },
  'hard-grain': { 'sugar-early': 0.3, 'too-dry': 0.25, 'cold-liquid': 0.25, 'off-early': 0.2 },
  'lumpy': { 'poured-fast': 0.4, 'cold-liquid': 0.3, 'unstirred': 0.3 },
  'runny': { 'off-early': 0.35, 'too-wet': 0.35, 'low-after-turn': 0.3 },
  'dry': { 'off-late': 0.5, 'too-dry': 0.5 },
  'greasy': { 'more-fat': 0.7, 'off-late': 0.3 },
  'too-sweet': { 'more-sugar': 0.8, 'off-late': 0.2 },
  'not-sweet': { 'less-sugar': 0.8, 'too-wet': 0.2 },
  'slab-soft': { 'syrup-weak': 0.4, 'off-early': 0.3, 'too-wet': 0.2, 'more-fat': 0.1 },
  'slab-hard': { 'syrup-far': 0.5, 'off-late': 0.4, 'too-dry': 0.1 },
  'grainy': { 'syrup-far': 0.6, 'unstirred': 0.1, 'off-late': 0.3 },
  'balls-crumble': { 'rolled-cool': 0.35, 'less-fat': 0.4, 'roast-long': 0.25 },
  'balls-flatten': { 'rolled-warm': 0.5, 'more-fat': 0.5 },
  'milk-split': { 'sour': 0.6, 'flame-high': 0.4 },
}
