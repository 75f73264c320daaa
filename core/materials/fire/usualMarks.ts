import type { FlameMark } from './flameMark'
import { FIRE_KINDS, type FireKind } from './fireKinds'

/** Rated watts of induction levels and of a plate's marks; what reaches the pan of gas and wood (estimates). */
const LADDERS: Readonly<Record<FireKind, readonly (readonly [label: string, watts: number])[]>> = {
  gas: [['simmer', 200], ['low', 300], ['half-low', 430], ['half', 620], ['strong', 880], ['full', 1250]],
  induction: [['300', 300], ['500', 500], ['800', 800], ['1200', 1200], ['1600', 1600], ['2000', 2000]],
  coil: [['1', 180], ['2', 300], ['3', 500], ['4', 800], ['5', 1200], ['6', 1800]],
  wood: [['small', 350], ['middle', 700], ['big', 1300]],
}
/** Kinds whose ladder is what they draw, not what reaches the pan. */
const RATED: readonly FireKind[] = ['induction', 'coil']

/**
 * The marks a fire of a kind usually has, with the power that reaches a pan.
 *
 * @param kind of the fire
 * @returns marks, rising in power, W
 */
export function usualMarks(kind: FireKind): FlameMark[] {
  const share = RATED.includes(kind) ? FIRE_KINDS[kind].efficiency : 1
  return LADDERS[kind].map(([label, watts], i) => ({
    id: `m${i + 1}`,
    label,
    watts: Math.round((watts * share) / 5) * 5,
  }))
}
