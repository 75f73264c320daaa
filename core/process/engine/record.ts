import { SIGNS } from './signs'

/** What an ensemble remembers of its members, flat: member after member. Times in s since the start, masses in g. */
export interface EnsembleRecord {
  readonly members: number
  readonly stages: number
  readonly queries: number
  readonly sides: number
  /** First time each sign shows; Infinity if it never did. */
  readonly signs: Float64Array
  /** When each main-line stage began; Infinity if it never did. */
  readonly starts: Float64Array
  /** Content of the main vessel as each stage began, before anything was added. */
  readonly masses: Float64Array
  readonly readings: Float64Array
  /** Time each side vessel needs from cold until it is ready. */
  readonly needs: Float64Array
  /** When the last main-line stage ended; Infinity if it never did. */
  readonly ends: Float64Array
}

/**
 * Room for an ensemble's results.
 *
 * @param members how many, 1 to 100 000
 * @param stages main-line stages
 * @param queries readings asked for
 * @param sides side vessels
 * @returns arrays filled with Infinity (times) and NaN (masses, readings)
 */
export function ensembleRecord(members: number, stages: number, queries: number, sides: number): EnsembleRecord {
  return {
    members, stages, queries, sides,
    signs: new Float64Array(members * SIGNS.length).fill(Number.POSITIVE_INFINITY),
    starts: new Float64Array(members * stages).fill(Number.POSITIVE_INFINITY),
    masses: new Float64Array(members * stages).fill(Number.NaN),
    readings: new Float64Array(members * queries).fill(Number.NaN),
    needs: new Float64Array(members * sides).fill(Number.POSITIVE_INFINITY),
    ends: new Float64Array(members).fill(Number.POSITIVE_INFINITY),
  }
}

/**
 * Two ensembles of one program as one.
 *
 * @param one record
 * @param other record of the same program
 * @returns a record of all their members, those of the first before those of the second
 */
export function joinedRecords(one: EnsembleRecord, other: EnsembleRecord): EnsembleRecord {
  const joined = (a: Float64Array, b: Float64Array): Float64Array => {
    const all = new Float64Array(a.length + b.length)
    all.set(a)
    all.set(b, a.length)
    return all
  }
  return {
    members: one.members + other.members,
    stages: one.stages,
    queries: one.queries,
    sides: one.sides,
    signs: joined(one.signs, other.signs),
    starts: joined(one.starts, other.starts),
    masses: joined(one.masses, other.masses),
    readings: joined(one.readings, other.readings),
    needs: joined(one.needs, other.needs),
    ends: joined(one.ends, other.ends),
  }
}
