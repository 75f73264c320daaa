import type { FaultCause } from './causes'
import type { Feature } from './features'

/** Where a feature lies under a cause, and how far it spreads, in the feature's own unit. */
export type Expectation = readonly [middle: number, spread: number]

/** How features lie where a cause is not at work: a batch as forecast. */
export const USUAL: Readonly<Record<Feature, Expectation>> = {
  roastTime: [0, 1.1], roastColour: [0, 0.8], aromaTime: [0, 1.1], roastFlame: [0, 0.5], afterTime: [0, 1.1], afterFlame: [0, 0.5], weight: [0, 1.1], pourTime: [0, 1.1], liquidBoil: [0.4, 0.7], uptake: [0.3, 0.7],
  coolTime: [0, 1.1], syrupTime: [0, 1.1], thinPan: [0, 0.8], unstirred: [0.1, 0.5],
}

/**
 * How each cause moves what is marked, by physics alone (estimates in standard deviations): what is taken off early was
 * shorter on the fire and weighs more; too much liquid weighs more in the usual time; a low flame after the turn weighs
 * more though it stood as long; a hotter fire brings the smell early. What is not named stays as usual.
 */
export const EXPECTED: Readonly<Record<FaultCause, Readonly<Partial<Record<Feature, Expectation>>>>> = {
  'flame-high': { aromaTime: [-1.8, 1.2], roastTime: [-0.8, 1.3], roastColour: [0.8, 1.4], roastFlame: [1.2, 1] },
  'roast-short': { roastTime: [-2, 1.2], roastColour: [-1.4, 0.9] },
  'roast-long': { roastTime: [2, 1.2], roastColour: [1.5, 1] },
  'too-wet': { weight: [2, 1.3], uptake: [-0.6, 0.7], afterTime: [0.3, 1.1] },
  'too-dry': { weight: [-2, 1.3], uptake: [0.8, 0.6], afterTime: [-0.2, 1.1] },
  'off-early': { afterTime: [-2, 1.2], weight: [1.4, 1.2] },
  'off-late': { afterTime: [2, 1.2], weight: [-1.4, 1.2] },
  'low-after-turn': { afterFlame: [-1.2, 0.8], weight: [1.2, 1.2], afterTime: [0.2, 1.2] },
  'cold-liquid': { liquidBoil: [-1.5, 1] },
  'poured-fast': { pourTime: [-2, 1.2] },
  'sugar-early': {},
  'more-fat': { weight: [0.5, 1.2] },
  'less-fat': { weight: [-0.5, 1.2] },
  'more-sugar': { weight: [0.5, 1.2] },
  'less-sugar': { weight: [-0.5, 1.2] },
  'syrup-weak': { syrupTime: [-2, 1.2], weight: [1, 1.2] },
  'syrup-far': { syrupTime: [2, 1.2], weight: [-1, 1.2] },
  'unstirred': { unstirred: [1.6, 1] },
  'thin-pan': { thinPan: [1, 0.5] },
  'rolled-warm': { coolTime: [-2, 1.2] },
  'rolled-cool': { coolTime: [2, 1.2] },
  'sour': {},
}
