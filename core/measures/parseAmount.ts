import Fraction from 'fraction.js'
import { CoreError } from '../error'
import type { MeasureSize } from './inMeasures'

/** An amount as somebody said it. */
export type SpokenAmount =
  | { readonly kind: 'mass', readonly massG: number }
  | { readonly kind: 'volume', readonly volumeMl: number }
  | { readonly kind: 'people', readonly people: number }

const GLYPHS: Readonly<Record<string, string>> = {
  '¼': '1/4', '½': '1/2', '¾': '3/4', '⅓': '1/3', '⅔': '2/3', '⅛': '1/8', '⅜': '3/8', '⅝': '5/8', '⅞': '7/8',
}
const WORDS: Readonly<Record<string, string>> = { a: '1', an: '1', one: '1', half: '1/2', two: '2', three: '3', four: '4', five: '5', six: '6', eight: '8', ten: '10' }
/** Units with a fixed size: grams, or ml by the metric spoon. */
const MASSES: Readonly<Record<string, number>> = { g: 1, gram: 1, grams: 1, kg: 1000, oz: 28.3495, lb: 453.592, pound: 453.592, pounds: 453.592 }
const VOLUMES: Readonly<Record<string, number>> = { ml: 1, l: 1000, litre: 1000, litres: 1000, liter: 1000, liters: 1000, tbsp: 15, tablespoon: 15, tablespoons: 15, tsp: 5, teaspoon: 5, teaspoons: 5 }
const PEOPLE = new Set(['people', 'person', 'persons', 'guests', 'servings', 'portions', 'bowls'])
const CUPS = new Set(['cup', 'cups', 'glass', 'glasses', 'measure', 'measures', 'katori', 'tumbler', 'tumblers', 'bowl'])

/**
 * Understands an amount as cooks speak: `1 1/2 glass`, `¾ cup`, `200 g`, `2 tbsp`, `for six people`.
 *
 * @param text what was typed, up to 60 characters
 * @param cup the cup in hand, which `cup` and `glass` stand for
 * @param measures the household's measures, known by their names
 * @returns mass in g, volume in ml, or people
 * @throws CoreError `not-understood` for anything else, `out-of-range` for nothing or more than 50 kg, 50 l or 500 people
 * @example parseAmount('1 1/2 glass', glass, [glass]) // { kind: 'volume', volumeMl: 270 }
 */
export function parseAmount(text: string, cup: MeasureSize, measures: readonly MeasureSize[]): SpokenAmount {
  const plain = text.trim().toLowerCase().replace(/^for\s+/, '').replace(/,(\d)/, '.$1')
    .replace(/[¼½¾⅓⅔⅛⅜⅝⅞]/g, glyph => ` ${GLYPHS[glyph]} `).replace(/\s+/g, ' ').trim()
  const match = /^((?:\d+ )?\d+\/\d+|\d+(?:\.\d+)?|[a-z]+)(?:\s*)(.*)$/.exec(plain)
  const amount = match ? numberOf(match[1]) : null
  if (!match || amount === null || text.length > 60) throw new CoreError('not-understood', 'parseAmount.text', { given: text.slice(0, 60) })
  const unit = match[2].replace(/^of /, '').trim()
  if (!(amount > 0)) throw new CoreError('out-of-range', 'parseAmount.text', { given: text, min: 'more than nothing' })
  if (PEOPLE.has(unit)) return { kind: 'people', people: atMost(amount, 500, text) }
  const mass = MASSES[unit]
  if (mass !== undefined) return { kind: 'mass', massG: atMost(amount * mass, 50000, text) }
  const volume = VOLUMES[unit] ?? measureVolume(unit, cup, measures)
  if (volume === undefined) throw new CoreError('not-understood', 'parseAmount.text', { given: text })
  return { kind: 'volume', volumeMl: atMost(amount * volume, 50000, text) }
}

function numberOf(text: string): number | null {
  const written = WORDS[text] ?? text
  if (!/^(?:\d+ )?\d+(?:\/\d+|\.\d+)?$/.test(written) || /\/0+$/.test(written)) return null
  return new Fraction(written).valueOf()
}

function measureVolume(unit: string, cup: MeasureSize, measures: readonly MeasureSize[]): number | undefined {
  const named = measures.find((one) => {
    const name = one.name.toLowerCase()
    return unit === name || unit === `${name}s` || unit === `${name}es`
  })
  if (named) return named.volumeMl
  return unit === '' || CUPS.has(unit) ? cup.volumeMl : undefined
}

function atMost(value: number, most: number, text: string): number {
  if (!(value <= most)) throw new CoreError('out-of-range', 'parseAmount.text', { given: text, max: most })
  return value
}
