import { CoreError } from '../error'
import type { Belief, BeliefEntry } from './belief'

/** The uncertain numbers of one member of an ensemble; units as in `firstBelief`. */
export interface MemberValues {
  mainFire: number
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
  pourTime: number
}

/** Names of the uncertain numbers in the order in which an ensemble keeps them. */
export const MEMBER_NAMES = [
  'mainFire', 'otherFire', 'heatLoss', 'contact', 'film', 'browningRate', 'browningEnergy', 'aromaDose', 'nutDose',
  'eye', 'baseMoisture', 'kept', 'uptake', 'surface', 'panMass', 'pourTime',
] as const satisfies readonly (keyof MemberValues)[]

const LIMITS: Partial<Record<keyof MemberValues, readonly [number, number]>> = {
  film: [0.02, 0.6],
  browningEnergy: [30000, 120000],
  baseMoisture: [0.04, 0.18],
  kept: [0.5, 0.99],
}

/** A belief's entries in ensemble order, as two numeric columns and a flag. */
export interface BeliefColumns {
  readonly median: Float64Array
  readonly spread: Float64Array
  readonly factor: readonly boolean[]
}

/**
 * Lays a belief out in ensemble order.
 *
 * @param belief must hold an entry for every name of `MEMBER_NAMES`
 * @returns columns indexed as `MEMBER_NAMES`
 * @throws CoreError `unknown-name` naming the first missing entry
 */
export function beliefColumns(belief: Belief): BeliefColumns {
  const byName = new Map<string, BeliefEntry>(belief.entries.map(entry => [entry.name, entry]))
  const entries = MEMBER_NAMES.map((name) => {
    const entry = byName.get(name)
    if (!entry) throw new CoreError('unknown-name', 'beliefColumns.belief', { missing: name })
    return entry
  })
  return {
    median: Float64Array.from(entries, entry => entry.median),
    spread: Float64Array.from(entries, entry => entry.spread),
    factor: entries.map(entry => entry.kind === 'factor'),
  }
}

/**
 * Reads one member: standard normal numbers stretched to the belief.
 *
 * @param columns from `beliefColumns`
 * @param normals standard normal numbers, `MEMBER_NAMES.length` for each member
 * @param member index of the member, from zero
 * @returns values in the units of the belief, kept inside what is physically possible
 */
export function memberValues(columns: BeliefColumns, normals: Float64Array, member: number): MemberValues {
  const from = member * MEMBER_NAMES.length
  const values = {} as MemberValues
  for (let i = 0; i < MEMBER_NAMES.length; i++) {
    const name = MEMBER_NAMES[i]
    const stretched = columns.spread[i] * normals[from + i]
    const value = columns.factor[i] ? columns.median[i] * Math.exp(stretched) : columns.median[i] + stretched
    const limits = LIMITS[name]
    values[name] = limits ? Math.min(limits[1], Math.max(limits[0], value)) : value
  }
  return values
}
