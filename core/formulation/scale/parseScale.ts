import { fieldAt, itemAt } from '../../maths/table/itemAt'
import type { Ingredient } from '../../materials/composition/ingredient'
import type { DishIngredient } from '../dish/dish'
import { CoreError } from '../../error'
import { countable } from '../measures/countable'
import type { MeasureSize } from '../measures/inMeasures'
import { parseAmount, type SpokenAmount } from '../measures/parseAmount'
import { readQuantity } from '../measures/readQuantity'
import { weightOf } from '../measures/weightOf'
import type { ScaleRequest, TraySize } from './request'

/** What a request may speak of. */
export interface ScaleContext {
  readonly dish: { readonly base: string, readonly ingredients: readonly DishIngredient[] }
  readonly rowOf: (ingredient: string) => Ingredient
  readonly cup: MeasureSize
  readonly measures: readonly MeasureSize[]
  /** Trays of the house, known by their names. */
  readonly trays?: readonly (TraySize & { readonly name: string, readonly depthMm: number })[]
}

const FACTORS: Readonly<Record<string, number>> = {
  double: 2,
  twice: 2,
  triple: 3,
  treble: 3,
  'half of it': 0.5,
  halve: 0.5,
  once: 1,
}
const PREPARED = /,?\s*\b(peeled|prepared|grated|cleaned|stoned|ready|shelled)\b/
const BOUGHT = /,?\s*\b(as bought|unpeeled|whole|with skin|raw)\b/
const FINISHED = /\b(finished|of halwa|halwa|of sweet|sweet|in the end)$/

/**
 * Understands how much of a dish is wanted: `2 glasses`, `300 g`, `6 people`, `930 g sweet potato, peeled`, `3 pears`,
 * `×2`, `double`, `1.2 kg finished`, `fill the pan`, `tray 20 x 20 cm, 2 cm`, `24 balls of 30 g`.
 *
 * @param text what was typed, up to 80 characters
 * @param context the dish, its rows and the household's measures
 * @returns the request; a weight of produce without a word for it is taken as bought, and says so
 * @throws CoreError `not-understood` or `out-of-range`
 */
export function parseScale(text: string, context: ScaleContext): ScaleRequest {
  const plain = text.trim().toLowerCase().replace(/\s+/g, ' ')
  return (
    asFactor(plain)
    ?? asPan(plain)
    ?? asOwnTray(plain, context)
    ?? asTray(plain)
    ?? asBalls(plain)
    ?? asFinished(plain, context)
    ?? asAmount(plain, context)
  )
}

function asFactor(text: string): ScaleRequest | null {
  if (FACTORS[text] !== undefined) return { by: 'times', factor: FACTORS[text] }
  const match = /^(?:[x×]\s*(\d+(?:\.\d+)?)|(\d+(?:\.\d+)?)\s*(?:[x×]|times))$/.exec(text)
  const factor = Number(match?.[1] ?? match?.[2])
  if (!match) return null
  if (!(factor > 0 && factor <= 50))
    throw new CoreError('out-of-range', 'parseScale.text', { given: text, min: 'more than nothing', max: 50 })
  return { by: 'times', factor }
}

function asPan(text: string): ScaleRequest | null {
  return /^(fill (the|my) pan|a panful|(the )?pan|as much as the pan holds)$/.test(text) ? { by: 'pan' } : null
}

/** A tray of the house by its name, to its brim or to a depth: `baking tin`, `baking tin, 2 cm`. */
function asOwnTray(text: string, { trays }: ScaleContext): ScaleRequest | null {
  const tray = trays?.find(one => text.startsWith(one.name.toLowerCase()))
  if (!tray) return null
  const depth = /(\d+(?:\.\d+)?)\s*(mm|cm)\b/.exec(text.slice(tray.name.length))
  const { shape, widthMm, lengthMm } = tray
  return {
    by: 'tray',
    tray: { shape, widthMm, lengthMm },
    depthMm: depth ? Number(depth[1]) * (depth[2] === 'cm' ? 10 : 1) : tray.depthMm,
  }
}

/** Centimetres unless it says mm or inch. */
function asTray(text: string): ScaleRequest | null {
  if (!/\b(tray|plate|tin|dish)\b/.test(text)) return null
  const numbers = sizesMm(text)
  const round = /\bround\b|\bplate\b/.test(text)
  const [width, second, third] = numbers
  if (width === undefined || second === undefined)
    throw new CoreError('not-understood', 'parseScale.text', { given: text, wanted: 'a tray as 20 x 20 x 2 cm' })
  const tray: TraySize = round
    ? { shape: 'round', widthMm: width, lengthMm: width }
    : { shape: 'rectangle', widthMm: width, lengthMm: third === undefined ? width : second }
  return { by: 'tray', tray, depthMm: round ? second : third ?? second }
}

/**
 * Sizes of a tray, mm: each number in the unit that comes next after it, the last ones in the one before; cm where none
 * is said.
 */
function sizesMm(text: string): number[] {
  const CM = 10
  const MM: Readonly<Record<string, number>> = { mm: 1, cm: CM, inch: 25.4, inches: 25.4, in: 25.4 }
  const found = [...text.matchAll(/(\d+(?:\.\d+)?)\s*(mm|cm|inches|inch|in)?\b/g)].map(match => ({
    value: Number(match[1]),
    unit: match[2] === undefined ? null : fieldAt(MM, match[2]),
  }))
  return found.map(
    ({ value }, i) =>
      value
      * (found.slice(i).find(one => one.unit !== null)?.unit
        ?? found
          .slice(0, i)
          .reverse()
          .find(one => one.unit !== null)?.unit
        ?? CM),
  )
}

function asBalls(text: string): ScaleRequest | null {
  const match = /^(.+?)\s+(?:balls|rounds)(?:\s+of\s+(\d+(?:\.\d+)?)\s*g)?$/.exec(text)
  if (!match) return null
  const count = readQuantity(itemAt(match, 1))
  if (!count || count.rest !== '' || !(count.value > 0 && count.value <= 2000))
    throw new CoreError('not-understood', 'parseScale.text', { given: text, wanted: '24 balls of 30 g' })
  return { by: 'balls', count: count.value, eachG: match[2] === undefined ? null : Number(match[2]) }
}

function asFinished(text: string, context: ScaleContext): ScaleRequest | null {
  if (!FINISHED.test(text)) return null
  try {
    const amount = parseAmount(text.replace(FINISHED, '').trim(), context.cup, context.measures)
    return amount.kind === 'mass' ? { by: 'finished', massG: amount.massG } : null
  }
  catch {
    return null
  }
}

function asAmount(text: string, context: ScaleContext): ScaleRequest {
  const prepared = PREPARED.test(text)
  const bought = BOUGHT.test(text)
  const bare = text.replace(PREPARED, '').replace(BOUGHT, '').replace(/,\s*$/, '').trim()
  for (const one of context.dish.ingredients) {
    const row = context.rowOf(one.ingredient)
    const amount = amountOf(bare, row, context)
    if (!amount || amount.kind === 'people') continue
    const asBought = amount.kind === 'mass' && !prepared && (bought || row.kind === 'produce')
    const massG = weightOf(amount, row) * (asBought ? row.yields.prepared : 1)
    return one.id === context.dish.base && row.kind !== 'produce'
      ? { by: 'base', massG }
      : { by: 'on-hand', id: one.id, massG, asBought }
  }
  const amount = parseAmount(bare, context.cup, context.measures)
  if (amount.kind === 'people') return { by: 'people', people: amount.people }
  const base = context.dish.ingredients.find(one => one.id === context.dish.base)
  if (!base) throw new CoreError('unknown-name', 'parseScale.dish', { missing: context.dish.base })
  return { by: 'base', massG: weightOf(amount, context.rowOf(base.ingredient)) }
}

/**
 * The amount in a text that ends with one of an ingredient's names, or counts it; null where it speaks of something
 * else.
 */
function amountOf(text: string, row: Ingredient, context: ScaleContext): SpokenAmount | null {
  const counts = countable(row)
  const names = [
    row.name,
    ...row.name.split(/,| or /),
    ...row.otherNames,
    row.name.split(/[ ,]/).at(-1) ?? '',
    row.piece?.noun ?? '',
  ]
    .map(name => name.trim().toLowerCase())
    .filter(name => name.length > 2)
    .sort((p, q) => q.length - p.length)
  for (const name of names) {
    const ending = new RegExp(`^(.+?)\\s+(?:of )?${name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}(?:e?s)?$`).exec(text)
    if (!ending) continue
    const spoken =
      tryParse(itemAt(ending, 1), context)
      ?? (counts ? tryParse(`${ending[1]} ${row.piece?.noun ?? ''}`, context, row) : null)
    if (spoken && spoken.kind !== 'people')
      return bareCount(itemAt(ending, 1)) && counts
        ? tryParse(`${ending[1]} ${row.piece?.noun ?? ''}`, context, row)
        : spoken
  }
  const spoken = counts ? tryParse(text, context, row) : null
  return spoken?.kind === 'count' ? spoken : null
}

const bareCount = (text: string): boolean => readQuantity(text)?.rest === ''

function tryParse(text: string, context: ScaleContext, row?: Ingredient): SpokenAmount | null {
  try {
    return parseAmount(text, context.cup, context.measures, row ? countable(row) : undefined)
  }
  catch (error) {
    if (error instanceof CoreError && error.code === 'not-understood') return null
    throw error
  }
}
