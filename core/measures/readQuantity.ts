import Fraction from 'fraction.js'

const GLYPHS: Readonly<Record<string, string>> = {
  '¼': '1/4', '½': '1/2', '¾': '3/4', '⅓': '1/3', '⅔': '2/3', '⅛': '1/8', '⅜': '3/8', '⅝': '5/8', '⅞': '7/8',
}
const WORDS: Readonly<Record<string, string>> = {
  a: '1', an: '1', one: '1', half: '1/2', quarter: '1/4', two: '2', three: '3', four: '4', five: '5', six: '6', seven: '7', eight: '8', nine: '9', ten: '10', twelve: '12', dozen: '12',
}
const TEXT_MOST = 80

/** A number at the head of a text, and what is said after it. */
export interface Quantity { readonly value: number, readonly rest: string }

/**
 * Reads the number a spoken amount begins with: `1 1/2`, `¾`, `1.5`, `half a`, `two`; a decimal comma is taken too.
 *
 * @param text what was typed
 * @returns value and the rest in lower case, or null where it begins with no number or is longer than 80 characters
 * @example readQuantity('1½ glasses') // { value: 1.5, rest: 'glasses' }
 */
export function readQuantity(text: string): Quantity | null {
  if (text.length > TEXT_MOST) return null
  const plain = text.trim().toLowerCase().replace(/(\d),(\d)/g, '$1.$2').replace(/[⁄∕]/g, '/')
    .replace(/[¼½¾⅓⅔⅛⅜⅝⅞]/g, glyph => ` ${GLYPHS[glyph]} `).replace(/(\d)\s+and\s+(a\s+half|½)/, '$1 1/2').replace(/\s+/g, ' ').trim()
  const match = /^((?:\d+ )?\d+\/\d+|\d+(?:\.\d+)?|[a-z]+)\s*(.*)$/.exec(plain)
  if (!match) return null
  const written = WORDS[match[1]] ?? match[1]
  if (!/^(?:\d+ )?\d+(?:\/\d+|\.\d+)?$/.test(written) || /\/0+$/.test(written)) return null
  const rest = match[1] === 'half' || match[1] === 'quarter' ? match[2].replace(/^(?:of )?an? /, '') : match[2]
  return { value: new Fraction(written).valueOf(), rest: rest.trim() }
}
