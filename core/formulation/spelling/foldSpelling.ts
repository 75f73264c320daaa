/** Letter groups that people write either way, each with the one they are folded to. Order matters. */
const SAME: readonly (readonly [RegExp, string])[] = [
  [/w/g, 'v'],
  [/ph/g, 'f'],
  [/sh/g, 's'],
  [/zh/g, 'l'],
  [/ch+h?/g, 'c'],
  [/([bdgjkpt])h/g, '$1'],
  [/th/g, 't'],
  [/oo/g, 'u'],
  [/au|ou|ow/g, 'o'],
  [/ee|ea/g, 'i'],
  [/aa+/g, 'a'],
  [/ai|ay|ae|ei|ey/g, 'e'],
  [/y\b/g, 'i'],
  [/z/g, 'j'],
  [/q/g, 'k'],
  [/x/g, 'ks'],
  [/ck/g, 'k'],
  [/c(?=[aou])/g, 'k'],
]

/**
 * Folds a name so that its usual spellings fall together: sooji and suji, halwa and halva, rawa and rava, gajar and
 * gaajar. Devanagari and Tamil letters stay, without their joiners.
 *
 * @param name in Latin, Devanagari or Tamil letters
 * @returns folded words, lower case
 * @example foldSpelling('Sooji Halwa') // 'suji halva'
 */
export function foldSpelling(name: string): string {
  const plain = name.toLowerCase().normalize('NFD').replace(/[\u0300-\u036f\u200c\u200d]/g, '').normalize('NFC')
  const folded = SAME.reduce((text, [from, to]) => text.replace(from, to), plain)
  return folded.replace(/([a-z])\1+/g, '$1').replace(/[^\p{L}\p{M}\p{N}]+/gu, ' ').trim()
}
