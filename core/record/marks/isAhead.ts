/** A mark may lie so much before the start, by clocks that differ, and still be the cook's, s. */
export const CLOCKS_DIFFER_S = 900

/**
 * Whether a time had not come yet when the hearth heard of it, by more than clocks differ.
 *
 * @param atMs the time
 * @param heardMs when the hearth had it; undefined where it has not
 * @returns true where it lies ahead
 */
export function isAhead(atMs: number, heardMs: number | undefined): boolean {
  return heardMs !== undefined && atMs > heardMs + CLOCKS_DIFFER_S * 1000
}
