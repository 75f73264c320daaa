import { CoreError } from './error'

/**
 * Refuses a number outside [min, max]; NaN is outside of everything.
 *
 * @param path function and argument, for the error
 * @param value the number to be checked, in the unit of the argument
 * @param min smallest value accepted
 * @param max largest value accepted
 * @returns the value itself
 * @throws CoreError `out-of-range`
 * @example requireRange('cupVolumeMl.fullG', 412, 1, 20000)
 */
export function requireRange(path: string, value: number, min: number, max: number): number {
  if (!(value >= min && value <= max)) throw new CoreError('out-of-range', path, { given: String(value), min, max })
  return value
}
