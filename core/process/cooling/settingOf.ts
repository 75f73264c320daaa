import { lastOf } from '../../maths/table/itemAt'
import { constant } from '../../materials/constants/constants'
import type { Window } from '../../maths/random/window'
import type { Sets } from '../../materials/syrup/syrup'
import { coolSlab } from './coolSlab'
import type { Slab } from './slab'

/** What makes a layer hold its shape: a syrup by its strength, or the fat and the swollen grain of the mass. */
export type SetsBy = Extract<Sets, 'thread' | 'soft' | 'firm' | 'hard'> | 'fat'

/** When a layer can be scored, looked at and cut, s since it was spread. */
export interface Setting {
  readonly by: SetsBy
  /** Warmest layer at which it holds, °C. */
  readonly holdsAtC: number
  /** It can be scored until about then: the top still gives. */
  readonly scoreUntilS: number
  /** When it is set enough to cut; null where this place never gets so cool. */
  readonly cut: Window | null
  /** When to look for the first time, s. */
  readonly lookS: number | null
}

/**
 * Temperatures at which a layer holds, °C, and how long after that it is left, s (estimates): stronger syrup holds
 * warmer and sooner; butterfat is half solid near 20 °C and nearly melted at 35 °C (recalled, unchecked).
 */
const HOLDS: Readonly<Record<SetsBy, readonly [holdsC: number, thenS: number]>> = {
  hard: [constant('holdsHard'), 300],
  firm: [constant('holdsFirm'), 900],
  soft: [constant('holdsSoft'), 2400],
  thread: [constant('holdsThread'), 5400],
  fat: [constant('holdsFat'), 2400],
}
/** How far the temperature may be off, K, and films and waiting, share. */
const OFF_K = 4
const FILM_OFF = 0.25
const THEN_OFF = 0.4
/** The top can be scored while it is this much warmer than it will hold, K (estimate). */
const SCORE_K = 8

/**
 * When a spread layer has set: its warmest layer has to come down to where its syrup or fat holds, then it is left.
 *
 * @param slab the layer
 * @param by what makes it hold
 * @returns windows, s since it was spread
 */
export function settingOf(slab: Slab, by: SetsBy): Setting {
  const [holdsC, thenS] = HOLDS[by]
  const moments = coolSlab(slab, Math.max(holdsC - OFF_K, slab.airC + 0.2))
  const cameTo = (of: Slab, toC: number): number | null => {
    const last = lastOf(coolSlab(of, toC))
    return last.warmestC <= toC ? last.timeS : null
  }
  const films = (share: number): Slab => ({ ...slab, topW: slab.topW * share, baseW: slab.baseW * share })
  const early = cameTo(films(1 + FILM_OFF), holdsC + OFF_K)
  const middle = cameTo(slab, holdsC)
  const late = cameTo(films(1 - FILM_OFF), holdsC - OFF_K)
  const cut =
    early === null || middle === null
      ? null
      : {
          early: early + thenS * (1 - THEN_OFF),
          middle: middle + thenS,
          late: late === null ? 2 * (middle + thenS) : late + thenS * (1 + THEN_OFF),
        }
  const scored = moments.find(one => one.coolestC <= holdsC + SCORE_K) ?? lastOf(moments)
  return { by, holdsAtC: holdsC, scoreUntilS: scored.timeS, cut, lookS: cut?.early ?? null }
}
