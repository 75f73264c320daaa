import { CoreError } from '../../error'
import type { MeasureSize } from './inMeasures'
import { readQuantity } from './readQuantity'
import { unitOf } from './units'

/** An amount as somebody said it. */
export type SpokenAmount =
  | { readonly kind: 'mass', readonly massG: number }
  | { readonly kind: 'volume', readonly volumeMl: number }
  | { readonly kind: 'count', readonly count: number, readonly size: PieceSize }
  | { readonly kind: 'people', readonly people: number }

/** Sizes a counted thing comes in. */
export type PieceSize = 'small' | 'medium' | 'large'

const PEOPLE = new Set(['people', 'person', 'persons', 'guests', 'servings', 'portions', 'bowls', 'eaters'])
const SIZES: Readonly<Record<string, PieceSize>> = {
  small: 'small',
  little: 'small',
  medium: 'medium',
  middling: 'medium',
  large: 'large',
  big: 'large',
}

/** What may be counted: the words for one and for many. */
export interface Countable { readonly nouns: readonly string[] }

/**
 * Understands an amount as cooks speak: `1 1/2 glass`, `¾ cup`, `200 g`, `2 tbsp`, `9 large pods`, `a pinch`, `डेढ़
 * कप`, `for six people`.
 *
 * @param text what was typed, up to 80 characters
 * @param cup the cup in hand, which `cup` and `glass` stand for
 * @param measures the household's measures, known by their names
 * @param countable words of a thing that is counted, where it is one
 * @returns mass in g, volume in ml, a count, or people
 * @throws CoreError `not-understood` for anything else, `out-of-range` for nothing or more than 50 kg, 50 l, 1000
 *   pieces or 500 people
 * @example parseAmount('1 1/2 glass', glass, [glass]) // { kind: 'volume', volumeMl: 270 }
 */
export function parseAmount(
  text: string,
  cup: MeasureSize,
  measures: readonly MeasureSize[],
  countable?: Countable,
): SpokenAmount {
  const quantity = readQuantity(text.trim().replace(/^for\s+/i, ''))
  if (!quantity) throw notUnderstood(text)
  const { value } = quantity
  const unit = quantity.rest.replace(/^of /, '').replace(/\.$/, '').trim()
  if (!(value > 0)) throw new CoreError('out-of-range', 'parseAmount.text', { given: text, min: 'more than nothing' })
  if (PEOPLE.has(unit)) return { kind: 'people', people: atMost(value, 500, text) }
  const counted = countable ? countOf(value, unit, countable) : null
  if (counted) return { ...counted, count: atMost(counted.count, 1000, text) }
  const named = measureVolume(unit, measures)
  const known = unitOf(unit)
  if (named === undefined && known?.kind === 'mass')
    return { kind: 'mass', massG: atMost(value * known.massG, 50000, text) }
  const volume =
    named
    ?? (known?.kind === 'volume' ? known.volumeMl : unit === '' || known?.kind === 'vessel' ? cup.volumeMl : undefined)
  if (volume === undefined) throw notUnderstood(text)
  return { kind: 'volume', volumeMl: atMost(value * volume, 50000, text) }
}

function notUnderstood(text: string): CoreError {
  return new CoreError('not-understood', 'parseAmount.text', { given: text.slice(0, 80) })
}

function countOf(
  count: number,
  unit: string,
  countable: Countable,
): { readonly kind: 'count', readonly count: number, readonly size: PieceSize } | null {
  const [first, ...others] = unit.split(' ')
  const size = Object.hasOwn(SIZES, first ?? '') ? SIZES[first ?? ''] : undefined
  const noun = size === undefined ? unit : others.join(' ')
  const known = (noun === '' && size !== undefined) || countable.nouns.some(one => one.toLowerCase() === noun)
  return known ? { kind: 'count', count, size: size ?? 'medium' } : null
}

function measureVolume(unit: string, measures: readonly MeasureSize[]): number | undefined {
  return measures.find((one) => {
    const name = one.name.toLowerCase()
    return unit === name || unit === `${name}s` || unit === `${name}es`
  })?.volumeMl
}

function atMost(value: number, most: number, text: string): number {
  if (!(value <= most)) throw new CoreError('out-of-range', 'parseAmount.text', { given: text, max: most })
  return value
}
