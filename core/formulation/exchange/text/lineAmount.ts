import { itemAt } from '../../../maths/table/itemAt'
import { readQuantity } from '../../measures/readQuantity'
import { PINCH_ML, unitAtHead, type Unit } from '../../measures/units'
import type { PieceSize } from '../../measures/parseAmount'

/** An amount as a line gives it. */
export interface LineAmount {
  readonly value: number
  /** Upper end of a range, or null. */
  readonly to: number | null
  /** null where it is a count. */
  readonly unit: Unit | null
  readonly size: PieceSize
  /** What more is added in another unit: `1 cup + 2 tbsp`. */
  readonly more: readonly { readonly value: number, readonly unit: Unit }[]
  /** The same amount in another unit, given beside it. */
  readonly twin: { readonly value: number, readonly unit: Unit } | null
  /** True where it is heaped, scant or a count of packets: known to the hand that wrote it. */
  readonly isLoose: boolean
}

/** An amount, and what a line says beside it. */
export interface AmountAndName { readonly amount: LineAmount | null, readonly name: string }

const ABOUT = /^(?:about|approx(?:imately)?\.?|around|roughly|nearly|a scant|some|लगभग|करीब|சுமார்)\s+/i
const TO = /^\s*(?:-|–|—|~|to\b|or\b|से(?!\p{L})|முதல்(?!\p{L}))\s*/iu
const SIZES: ReadonlyMap<string, PieceSize> = new Map(
  Object.entries({
    small: 'small',
    medium: 'medium',
    large: 'large',
    big: 'large',
    छोटा: 'small',
    छोटे: 'small',
    बड़ा: 'large',
    बड़े: 'large',
    சிறிய: 'small',
    பெரிய: 'large',
  } as const),
)
const LOOSE = /^(?:heaped|heaping|rounded|scant|generous|overflowing|big|large|good)\s+/i
const EVEN = /^(?:level|full|leveled|levelled|flat|भर|சமமான)\s+/i
const FEW = /^(?:a )?(?:few|couple of|couple|several|little|bit of|कुछ|சில)\s+(?:of\s+)?/i
/** What "a few" and "a couple" are guessed as. */
const FEW_COUNT = 5

/**
 * The amount of a line, at its head or its end, and the name that is left.
 *
 * @param line one thing of a tidy line
 * @returns amount, or null where none is given
 * @example readLineAmount('Ghee – 3/4 cup') // { amount: { value: 0.75, … }, name: 'Ghee' }
 */
export function readLineAmount(line: string): AmountAndName {
  const text = line.replace(ABOUT, '')
  const few = FEW.exec(text)
  if (few) {
    const rest = text.slice(few[0].length)
    const unit = unitAtHead(rest)
    const counted = {
      value: FEW_COUNT,
      to: null,
      unit: unit?.unit ?? null,
      size: 'medium' as const,
      more: [],
      twin: null,
      isLoose: true,
    }
    return { amount: counted, name: nameOf(unit?.rest ?? rest) }
  }
  const head = amountAtHead(text)
  if (head) return { amount: head.amount, name: nameOf(head.rest) }
  return atEnd(text) ?? { amount: null, name: nameOf(text) }
}

/** `Ghee – 3/4 cup`, `Cashews 10 nos`, `सूजी - 1 कप (बारीक)`. */
function atEnd(text: string): AmountAndName | null {
  const starts = [...text.matchAll(/(?<=[\s:–—\-=,(])(?=[\p{L}\d½¼¾⅓⅔⅛.])/gu)].map(found => found.index)
  for (const at of starts) {
    const found = amountAtHead(text.slice(at).replace(/\)\s*$/, ''))
    const isNumber = /^[\d½¼¾⅓⅔⅛.०-९]/.test(text.slice(at))
    if (!found || (!isNumber && found.amount.unit === null)) continue
    const left = found.rest.replace(/^(?:nos?|pcs?|pieces?|each|नग|எண்ணம்)\b\.?/i, '').trim()
    const before = text.slice(0, at).replace(/[\s:–—\-=,(]+$/, '')
    if (before === '' || !(left === '' || /^[(,]/.test(left) || /^\p{L}+$/u.test(left))) continue
    return { amount: found.amount, name: nameOf(`${before} ${left}`) }
  }
  return null
}

interface AtHead { readonly amount: LineAmount, readonly rest: string }

/**
 * An amount a text begins with.
 *
 * @param text any text
 * @returns the amount and what is said after it, or null
 */
export function amountAtHead(text: string): AtHead | null {
  const first = number(text) ?? unsaid(text)
  if (!first) return null
  const range = rangeEnd(first.rest)
  let rest = range ? range.rest : first.rest
  let [value, to] = [first.value, range?.value ?? null]
  const dozen = /^(?:dozens?|दर्जन|டஜன்)\s+/i.exec(rest)
  if (dozen) [value, rest] = [value * 12, rest.slice(dozen[0].length)]
  const times = /^\s*[x×*]\s*(?=[\d½¼¾])/i.exec(rest)
  const each = times ? number(rest.slice(times[0].length)) : null
  if (each) [value, to, rest] = [value * each.value, null, each.rest]
  const opening = takeBracket(rest)
  rest = opening?.rest ?? rest
  let [isLoose, size]: [boolean, PieceSize] = [false, 'medium']
  const sized = /^([\p{L}\p{M}]+)(?:[\s-]*sized?)?\s+/u.exec(rest)
  const said = sized ? SIZES.get(itemAt(sized, 1)) : undefined
  if (sized && said && !unitAtHead(rest)) {
    const unit = unitAtHead(rest.slice(sized[0].length))?.unit
    if (!unit) [size, rest] = [said, rest.slice(sized[0].length)]
  }
  rest = rest.replace(EVEN, '')
  if (LOOSE.test(rest) && unitAtHead(rest.replace(LOOSE, ''))) [isLoose, rest] = [true, rest.replace(LOOSE, '')]
  const unit = unitAtHead(rest)
  rest = unit?.rest ?? rest
  const closing = opening ? null : takeBracket(rest)
  rest = closing?.rest ?? rest
  const [more, afterMore] = unit ? moreOf(rest) : [[], rest]
  const slash = /^\s*(?:\/|or|=)\s*(?=[\d½¼¾])/i.exec(afterMore)
  const beside = slash ? amountOnly(afterMore.slice(slash[0].length)) : null
  const bracket = opening ?? closing
  const loose = isLoose || unit?.unit.kind === 'loose'
  const twin = bracket?.twin ?? beside?.twin ?? null
  const multiplied = opening?.twin && loose ? { value: opening.twin.value * value, unit: opening.twin.unit } : twin
  return {
    amount: { value, to, unit: unit?.unit ?? null, size, more, twin: multiplied, isLoose: loose },
    rest: beside?.rest ?? afterMore,
  }
}

function number(text: string): { readonly value: number, readonly rest: string } | null {
  const found = readQuantity(text.slice(0, 80))
  if (!found) return null
  // What is after the first 80 characters is said too.
  return { value: found.value, rest: `${found.rest}${text.slice(80)}` }
}

/** `pinch of saffron` is one. */
function unsaid(text: string): { readonly value: number, readonly rest: string } | null {
  const unit = unitAtHead(text)
  return unit && (unit.unit.kind === 'loose' || (unit.unit.kind === 'volume' && unit.unit.volumeMl === PINCH_ML))
    ? { value: 1, rest: text }
    : null
}

function rangeEnd(rest: string): { readonly value: number, readonly rest: string } | null {
  const to = TO.exec(rest)
  const next = to ? number(rest.slice(to[0].length)) : null
  if (!to || !next) return null
  // "1 or 1/2 cup" is a range; "1 a" is not one.
  return /^[\d½¼¾⅓⅔⅛.०-९]|^(?:half|two|three|four|five|six)/.test(rest.slice(to[0].length)) ? next : null
}

/** `+ 2 tbsp`, `plus 1 teaspoon`, `1 kg 200 g`. */
function moreOf(rest: string): [{ readonly value: number, readonly unit: Unit }[], string] {
  const sign = /^\s*(?:\+|plus|and|&|और|மற்றும்)?\s*(?=[\d½¼¾⅓⅔])/i.exec(rest)
  const next = sign ? number(rest.slice(sign[0].length)) : null
  const unit = next ? unitAtHead(next.rest) : null
  // "2 tbsp ghee and 1 cup milk" is two things: here nothing stands between.
  return sign && next && unit && unit.unit.kind !== 'loose'
    ? [[{ value: next.value, unit: unit.unit }], unit.rest]
    : [[], rest]
}

/** `(200 g)`, `(about 7 oz)`: the same amount once more. */
function takeBracket(rest: string): { readonly twin: LineAmount['twin'], readonly rest: string } | null {
  const found = /^\s*\(([^)]*)\)\s*/.exec(rest)
  if (found && isVessel(itemAt(found, 1))) return { twin: null, rest: rest.slice(found[0].length) }
  const inside = found ? amountOnly(itemAt(itemAt(found, 1).replace(ABOUT, '').replace(/^(?:or|=)\s+/i, '').split(/[/;,]/), 0)) : null
  return found && inside && inside.rest.trim() === '' ? { twin: inside.twin, rest: rest.slice(found[0].length) } : null
}

/** `200 g (1 cup)`: the weight says more. */
function isVessel(text: string): boolean {
  const unit = unitAtHead(number(text.replace(ABOUT, ''))?.rest ?? '')
  return unit?.unit.kind === 'vessel' && unit.rest === ''
}

function amountOnly(text: string): { readonly twin: LineAmount['twin'], readonly rest: string } | null {
  const value = number(text)
  const unit = value ? unitAtHead(value.rest) : null
  if (!value || !unit || unit.unit.kind === 'vessel') return null
  return { twin: { value: value.value, unit: unit.unit }, rest: unit.rest.replace(/^\s*each\b/i, '') }
}

function nameOf(rest: string): string {
  return rest
    .replace(/^\s*(?:bhar|भर)\s+/i, '')
    .replace(/^\s*(?:of|की|का|के)\s+/i, '')
    .replace(/^[\s:–—\-=,.]+/, '')
    .trim()
}
