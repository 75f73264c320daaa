import { itemAt } from '../../maths/table/itemAt'
import Fraction from 'fraction.js'
import { speltPlain } from './speltPlain'

const GLYPHS: Readonly<Record<string, string>> = {
  '¼': '1/4',
  '½': '1/2',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅕': '1/5',
  '⅖': '2/5',
  '⅙': '1/6',
}
/** Numbers in words: English, Hindi and Tamil, and Hindi in Latin letters. */
const WORDS: ReadonlyMap<string, string> = new Map(
  Object.entries({
    '1/4': 'quarter|one quarter|a quarter|one fourth|पाव|चौथाई|chauthai|கால்',
    '1/2': 'half|one half|a half|आधा|आधी|आधे|aadha|aadhi|adha|அரை|பாதி',
    '3/4': 'three quarters|three quarter|three fourths|three fourth|पौन|पौना|पौनी|तीन चौथाई|pauna|paun|முக்கால்',
    '1/3': 'a third|one third|third|तिहाई|एक तिहाई|மூன்றில் ஒரு',
    '2/3': 'two thirds|two third|दो तिहाई',
    '1': 'a|an|one|एक|ek|ஒரு|ஒன்று',
    '5/4': 'one and a quarter|सवा|सवा एक|sava|ஒன்றேகால்',
    '3/2': 'one and a half|one and half|डेढ़|डेढ|dedh|ஒன்றரை',
    '7/4': 'one and three quarters|पौने दो|ஒன்றேமுக்கால்',
    '2': 'two|दो|இரண்டு|ரெண்டு',
    '9/4': 'two and a quarter|सवा दो',
    '5/2': 'two and a half|two and half|ढाई|ढाइ|dhai|இரண்டரை',
    '11/4': 'two and three quarters|पौने तीन',
    '3': 'three|तीन|teen|மூன்று|மூணு',
    '7/2': 'three and a half|साढ़े तीन|மூன்றரை',
    '4': 'four|चार|chaar|நான்கு|நாலு',
    '9/2': 'four and a half|साढ़े चार',
    '5': 'five|पांच|पाँच|paanch|ஐந்து|அஞ்சு',
    '6': 'six|छह|छः|ஆறு',
    '7': 'seven|सात|ஏழு',
    '8': 'eight|आठ|எட்டு',
    '9': 'nine|नौ|ஒன்பது',
    '10': 'ten|दस|பத்து',
    '11': 'eleven',
    '12': 'twelve|dozen|a dozen|one dozen|बारह',
    '15': 'fifteen',
    '20': 'twenty|बीस|இருபது',
    '24': 'two dozen',
    '25': 'twenty five',
    '30': 'thirty',
    '40': 'forty',
    '50': 'fifty|पचास',
    '100': 'hundred|a hundred|one hundred|सौ|நூறு',
  }).flatMap(([value, names]) => names.split('|').map(name => [speltPlain(name), value] as const)),
)
const MOST_WORDS = 4
const TEXT_MOST = 80
/** "half of a", "three quarters of a": the article belongs to the number. */
const ARTICLE = /^(?:of )?an? (?=\p{L})/u

/** A number at the head of a text, and what is said after it. */
export interface Quantity { readonly value: number, readonly rest: string }

/**
 * Reads the number a spoken amount begins with: `1 1/2`, `¾`, `1.5`, `half a`, `two`, `one and a half`, `डेढ़`, `அரை`,
 * `१`; a decimal comma is taken too, and a comma before three figures as one of thousands.
 *
 * @param text what was typed
 * @returns value and the rest in lower case, or null where it begins with no number or is longer than 80 characters
 * @example readQuantity('1½ glasses') // { value: 1.5, rest: 'glasses' }
 */
export function readQuantity(text: string): Quantity | null {
  if (text.length > TEXT_MOST) return null
  const plain = plainNumbers(text)
  const figures = /^((?:\d+ )?\d+\/\d+|\d+(?:\.\d+)?|\.\d+)(?![\d.,/]*\d)\s*(.*)$/.exec(plain)
  if (figures) {
    const written = itemAt(figures, 1).startsWith('.') ? `0${figures[1]}` : itemAt(figures, 1)
    if (/\/0+$/.test(written)) return null
    const value = new Fraction(written).valueOf()
    const more = /^(?:and a half|and half|और आधा|और आधी)(?!\p{L})\s*(.*)$/u.exec(itemAt(figures, 2))
    return more ? { value: value + 0.5, rest: itemAt(more, 1).trim() } : { value, rest: itemAt(figures, 2).trim() }
  }
  return inWords(plain)
}

function inWords(plain: string): Quantity | null {
  const words = [...plain.matchAll(/[\p{L}\p{M}]+/gu)]
  if (words[0]?.index !== 0) return null
  for (let count = Math.min(MOST_WORDS, words.length); count > 0; count--) {
    const last = itemAt(words, count - 1)
    const end = last.index + last[0].length
    const written = WORDS.get(speltPlain(plain.slice(0, end).replace(/[-\s]+/g, ' ')))
    if (written === undefined) continue
    const rest = plain.slice(end).replace(/^-/, '').trim()
    return { value: new Fraction(written).valueOf(), rest: written.includes('/') ? rest.replace(ARTICLE, '') : rest }
  }
  return null
}

/** Figures of every script as ours, fractions as written with a stroke, thousands without their comma. */
function plainNumbers(text: string): string {
  return text
    .trim()
    .toLowerCase()
    .normalize('NFC')
    .replace(/[०-९]/g, figure => String(figure.charCodeAt(0) - 0x0966))
    .replace(/[௦-௯]/g, figure => String(figure.charCodeAt(0) - 0x0be6))
    .replace(/(\d),(\d{3})(?!\d)/g, '$1$2')
    .replace(/(\d),(\d)/g, '$1.$2')
    .replace(/[⁄∕]/g, '/')
    .replace(/(\d)\s*\/\s*(\d)/g, '$1/$2')
    .replace(/(\d)\s*(?:-|&|and)?\s*([¼½¾⅓⅔⅛⅜⅝⅞⅕⅖⅙])/g, '$1 $2')
    .replace(/[¼½¾⅓⅔⅛⅜⅝⅞⅕⅖⅙]/g, glyph => ` ${GLYPHS[glyph]} `)
    .replace(/\b(\d+)-(\d+\/\d+)/g, '$1 $2')
    .replace(/\b(\d+) and (\d+\/\d+)/g, '$1 $2')
    .replace(/\s+/g, ' ')
    .trim()
}
