/**
 * The words for a code that may be of a newer version than these are.
 *
 * @param words by code
 * @param code any
 * @returns its words; undefined where there are none
 */
export function wordFor<T>(words: Readonly<Record<string, T>>, code: string): T | undefined {
  return Object.hasOwn(words, code) ? words[code] : undefined
}
