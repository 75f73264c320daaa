import { itemAt, numberAt } from '../../maths/table/itemAt'
import { CoreError } from '../../error'
import type { Belief, BeliefEntry } from '../../materials/belief/belief'
import { firstBelief } from './firstBelief'

/** The uncertain numbers of one member of an ensemble; units as in `firstBelief`. */
export interface MemberValues {
  mainFire: number
  mainLadder: number
  otherFire: number
  heatLoss: number
  contact: number
  film: number
  browningRate: number
  browningEnergy: number
  aromaDose: number
  nutDose: number
  eye: number
  baseMoisture: number
  kept: number
  uptake: number
  surface: number
  panMass: number
  softening: number
  wetEye: number
  strength: number
  roastPace: number
  wetPace: number
  pourTime: number
}

/** Names of the uncertain numbers in the order in which an ensemble keeps them. */
export const MEMBER_NAMES = [
  'mainFire',
  'mainLadder',
  'otherFire',
  'heatLoss',
  'contact',
  'film',
  'browningRate',
  'browningEnergy',
  'aromaDose',
  'nutDose',
  'eye',
  'baseMoisture',
  'kept',
  'uptake',
  'surface',
  'panMass',
  'softening',
  'wetEye',
  'strength',
  'roastPace',
  'wetPace',
  'pourTime',
] as const satisfies readonly (keyof MemberValues)[]

const LIMITS: Partial<Record<keyof MemberValues, readonly [number, number]>> = {
  film: [0.02, 0.6],
  browningEnergy: [30000, 120000],
  baseMoisture: [0.04, 0.18],
  kept: [0.03, 0.99],
}

/** A belief's entries in ensemble order, as numeric columns. */
export interface BeliefColumns {
  readonly median: Float64Array
  readonly spread: Float64Array
  readonly factor: readonly boolean[]
  /**
   * What an entry follows of others: position of the entry, position of what it follows, how much a standard deviation.
   */
  readonly follows: readonly (readonly [entry: number, followed: number, much: number])[]
}

/**
 * Lays a belief out in ensemble order. What a belief of an older format does not hold is taken from the first belief.
 *
 * @param belief entries by name
 * @returns columns indexed as `MEMBER_NAMES`
 */
export function beliefColumns(belief: Belief): BeliefColumns {
  const byName = new Map<string, BeliefEntry>(
    [...firstBelief().entries, ...belief.entries].map(entry => [entry.name, entry]),
  )
  const entries = MEMBER_NAMES.map((name) => {
    const entry = byName.get(name)
    if (!entry) throw new CoreError('unknown-name', 'beliefColumns.belief', { missing: name })
    return entry
  })
  const position = (name: string): number => MEMBER_NAMES.findIndex(one => one === name)
  return {
    median: Float64Array.from(entries, entry => entry.median),
    spread: Float64Array.from(entries, entry => entry.spread),
    factor: entries.map(entry => entry.kind === 'factor'),
    follows: entries.flatMap((entry, i) => (entry.follows ?? [])
      .filter(one => position(one.name) >= 0)
      .map(one => [i, position(one.name), one.much] as const)),
  }
}

/**
 * A member laid down in full at once: an object that grows by computed names is read many times slower.
 *
 * @returns every value zero
 */
export function blankMember(): MemberValues {
  return {
    mainFire: 0,
    mainLadder: 0,
    otherFire: 0,
    heatLoss: 0,
    contact: 0,
    film: 0,
    browningRate: 0,
    browningEnergy: 0,
    aromaDose: 0,
    nutDose: 0,
    eye: 0,
    baseMoisture: 0,
    kept: 0,
    uptake: 0,
    surface: 0,
    panMass: 0,
    softening: 0,
    wetEye: 0,
    strength: 0,
    roastPace: 0,
    wetPace: 0,
    pourTime: 0,
  }
}

/**
 * Reads one member: standard normal numbers stretched to the belief.
 *
 * @param columns from `beliefColumns`
 * @param normals standard normal numbers, `MEMBER_NAMES.length` for each member
 * @param member index of the member, from zero
 * @param into object to write to, so that none is made anew
 * @returns values in the units of the belief, kept inside what is physically possible
 */
export function memberValues(
  columns: BeliefColumns,
  normals: Float64Array,
  member: number,
  into = blankMember(),
): MemberValues {
  const from = member * MEMBER_NAMES.length
  for (let i = 0; i < MEMBER_NAMES.length; i++) {
    let stretched = numberAt(columns.spread, i) * numberAt(normals, from + i)
    for (let k = 0; k < columns.follows.length; k++) {
      if (itemAt(columns.follows, k)[0] === i)
        stretched += itemAt(columns.follows, k)[2] * numberAt(normals, from + itemAt(columns.follows, k)[1])
    }
    const value = columns.factor[i]
      ? numberAt(columns.median, i) * Math.exp(stretched)
      : numberAt(columns.median, i) + stretched
    const name = itemAt(MEMBER_NAMES, i)
    const limits = LIMITS[name]
    into[name] = limits ? Math.min(limits[1], Math.max(limits[0], value)) : value
  }
  return into
}
