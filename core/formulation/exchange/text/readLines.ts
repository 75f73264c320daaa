import { itemAt } from '../../../maths/table/itemAt'
import type { Ingredient } from '../../../materials/composition/ingredient'
import type { MeasureSize } from '../../measures/inMeasures'
import { unitAtHead, type Unit, type LooseVessel } from '../../measures/units'
import { weightOf } from '../../measures/weightOf'
import type { FoodIndex, FoundFood } from './foodNames'
import { amountAtHead, readLineAmount, type LineAmount } from './lineAmount'
import { partBeginning, passedOver, type Passed } from './passedOver'
import { thingsOf } from './thingsOf'
import { plainText, tidyLine } from './tidyLine'

/** Why a line of a pasted text wants a decision. */
export type Doubt = 'which' | 'unknown' | 'no-amount' | 'range' | 'measure' | 'either'

/** One thing of a pasted text, read as far as it can be. Nothing is dropped. */
export interface ReadLine {
  /** Which line it stands in, counted from 0. */
  readonly at: number
  /** The line as it was pasted, tidied. */
  readonly text: string
  /** What of the line this is, where it names several things; otherwise the same. */
  readonly says: string
  /** Id in the ingredient table, the best guess; null where nothing fits. */
  readonly ingredient: string | null
  /** Ids that fit as well, best first. */
  readonly others: readonly string[]
  /** g, a guess where it is doubted, or null where there is none. */
  readonly massG: number | null
  /** True where the text gives it in grams or the like: then it weighs so much, whatever it is. */
  readonly isWeight: boolean
  readonly doubts: readonly Doubt[]
  /** Why it holds no ingredient, or null where it does. */
  readonly passed: Passed | null
}

/** What is read, and what was too much. */
export interface ReadText {
  readonly lines: readonly ReadLine[]
  /** Lines beyond the most that are read. */
  readonly beyond: readonly string[]
}

/** Most lines that are read, and the longest of each. */
export const MOST_LINES = 200
const MOST_LENGTH = 400
/** Twice the same amount agrees within this share: volumes are rounded. */
const TWIN_AGREES = 0.35
/** Vessels by what a text's "cup" means first. */
const VESSELS: readonly LooseVessel[] = ['cup', 'glass', 'katori', 'bowl']

/**
 * Reads a pasted text of ingredients, in somebody else's cup, in English, Hindi or Tamil: an amount at the head or the
 * end of a line, names against the ingredient table. Every word that says what a thing is must be understood, or it is
 * asked.
 *
 * @param text up to 200 lines; what is beyond comes back as it is
 * @param cup what a cup means in that text
 * @param foods the ingredients by their names, from `foodNames`
 * @returns one entry a thing that is named, in their order; what is doubtful says why
 */
export function readLines(text: string, cup: MeasureSize, foods: FoodIndex): ReadText {
  const tidy = plainText(text)
    .split(/\r?\n|[;•●▪](?=\s)|(?<=\S)\s{4,}(?=\d)/)
    .map(tidyLine)
    .filter(line => /[\p{L}\p{N}]/u.test(line))
  const lines: ReadLine[] = []
  const firstVessel = VESSELS.find(one => tidy.some(line => mentions(line, one)))
  let inMethod = false
  for (const [at, line] of tidy.slice(0, MOST_LINES).entries()) {
    const begins = partBeginning(line)
    if (begins !== null) inMethod = begins === 'method'
    const text = line.slice(0, MOST_LENGTH)
    const { amount, name } = readLineAmount(text)
    const found = foods.find(name)
    const passed = passedOver(text, { hasAmount: amount !== null, hasFood: found.sure, inMethod })
    if (passed !== null) {
      lines.push({
        at,
        text,
        says: text,
        ingredient: null,
        others: [],
        massG: null,
        isWeight: false,
        doubts: [],
        passed,
      })
      continue
    }
    lines.push(...thingsOf(text, foods).map(says => readThing(at, text, says, cup, foods, firstVessel)))
  }
  return { lines, beyond: tidy.slice(MOST_LINES) }
}

/**
 * A passed-over line read as the ingredient it was after all.
 *
 * @param text the line
 * @param cup what a cup means in that text
 * @param foods the ingredients by their names
 * @returns what is read of it
 */
export function readAnyway(text: string, cup: MeasureSize, foods: FoodIndex): ReadLine {
  return readThing(0, text, text, cup, foods, undefined)
}

function readThing(
  at: number,
  text: string,
  says: string,
  cup: MeasureSize,
  foods: FoodIndex,
  firstVessel: LooseVessel | undefined,
): ReadLine {
  const { amount, name } = readLineAmount(says)
  const { found, isEither } = eitherOf(name, foods)
  const { row } = found
  const weight = amount ? massOf(amount, row, cup, firstVessel) : null
  const isUnread = /\d/.test(name.replace(/\([^)]*\)/g, '')) || (amount !== null && name === '')
  const doubts: Doubt[] = [
    ...(row ? [] : ['unknown' as const]),
    ...(isEither ? ['either' as const] : row && (!found.sure || isUnread) ? ['which' as const] : []),
    ...(amount === null
      ? ['no-amount' as const]
      : row && (weight === null || !weight.sure)
        ? ['measure' as const]
        : []),
    ...(amount?.to != null ? ['range' as const] : []),
  ]
  return {
    at,
    text,
    says,
    ingredient: row?.id ?? null,
    others: found.others.map(one => one.id),
    massG: weight?.massG ?? null,
    isWeight: amount?.unit?.kind === 'mass' || amount?.twin?.unit.kind === 'mass',
    doubts,
    passed: null,
  }
}

const EITHER = /\s+or\s+|\s*\/\s*|\s+या\s+|\s+அல்லது\s+/iu
/** After these an "or" offers no other food. */
const OR_SO =
  /\b(?:or|as) (?:as (?:needed|required|per)|to taste|more|less|so|according)[^,)]*|or (?:thereabouts|adjust)[^,)]*/gi

/** `milk or water`: two foods. `sooji / rava`: one by two names. */
function eitherOf(name: string, foods: FoodIndex): { readonly found: FoundFood, readonly isEither: boolean } {
  const plain = name.replace(OR_SO, ' ')
  const whole = foods.find(plain.replace(EITHER, ' '))
  const pieces = plain.replace(/[()]/g, ' ').split(EITHER).map(piece => piece.trim()).filter(piece => piece !== '')
  if (pieces.length < 2) return { found: foods.find(plain), isEither: false }
  const each = pieces.map(piece => foods.find(amountAtHead(piece)?.rest ?? piece))
  const rows = [...new Set(each.flatMap(one => (one.row && one.sure ? [one.row] : [])))]
  if (rows.length > 1 && !whole.sure)
    return { found: { row: itemAt(rows, 0), others: rows.slice(1), sure: true }, isEither: true }
  const isOne = rows.length === 1 && each.every(one => one.sure)
  return { found: isOne ? itemAt(each, 0) : { ...(whole.row ? whole : itemAt(each, 0)), sure: false }, isEither: false }
}

interface Weight { readonly massG: number, readonly sure: boolean }

/** The weight of an amount; the middle of a range. */
function massOf(
  amount: LineAmount,
  row: Ingredient | null,
  cup: MeasureSize,
  firstVessel: LooseVessel | undefined,
): Weight | null {
  const value = amount.to === null ? amount.value : (amount.value + amount.to) / 2
  const said = amount.unit === null ? counted(value, amount, row) : inUnit(value, amount.unit, row, cup, firstVessel)
  const more = amount.more.flatMap(one => inUnit(one.value, one.unit, row, cup, firstVessel) ?? [])
  const twin = amount.twin ? inUnit(amount.twin.value, amount.twin.unit, row, cup, firstVessel) : null
  // A weight is a weight: what stands beside it says the same in other units, and is rounded.
  if (twin && amount.twin && amount.unit?.kind !== 'mass' && amount.twin.unit.kind !== 'loose') {
    const agrees =
      said === null
      || amount.isLoose
      || amount.unit?.kind === 'vessel'
      || Math.abs(said.massG - twin.massG) <= TWIN_AGREES * twin.massG
    return { massG: twin.massG, sure: agrees && (amount.unit !== null || amount.twin.unit.kind === 'mass') }
  }
  if (said === null || more.length < amount.more.length) return null
  return {
    massG: said.massG + more.reduce((sum, one) => sum + one.massG, 0),
    sure: said.sure && !amount.isLoose && more.every(one => one.sure),
  }
}

function counted(value: number, amount: LineAmount, row: Ingredient | null): Weight | null {
  return row?.piece
    ? { massG: weightOf({ kind: 'count', count: value, size: amount.size }, row), sure: !amount.isLoose }
    : null
}

function inUnit(
  value: number,
  unit: Unit,
  row: Ingredient | null,
  cup: MeasureSize,
  firstVessel: LooseVessel | undefined,
): Weight | null {
  if (unit.kind === 'mass') return { massG: value * unit.massG, sure: true }
  if (row === null) return null
  switch (unit.kind) {
    case 'volume':
      return { massG: value * unit.volumeMl * row.bulkDensity, sure: true }
    // One answer says what a cup holds; a second kind of vessel in the same text holds something else.
    case 'vessel':
      return {
        massG: value * cup.volumeMl * row.bulkDensity,
        sure: firstVessel === undefined || unit.vessel === firstVessel,
      }
    default:
      return unit.volumeMl === null ? null : { massG: value * unit.volumeMl * row.bulkDensity, sure: false }
  }
}

function mentions(line: string, vessel: LooseVessel): boolean {
  return [...line.matchAll(/[\p{L}\p{M}]+/gu)].some(({ index }) => {
    const found = unitAtHead(line.slice(index))?.unit
    return found?.kind === 'vessel' && found.vessel === vessel
  })
}
