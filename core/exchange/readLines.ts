import { parseIngredient, type Ingredient as ParsedLine } from 'parse-ingredient'
import type { Ingredient } from '../composition/ingredient'
import type { MeasureSize } from '../measures/inMeasures'
import { parseAmount, PINCH_ML, type SpokenAmount } from '../measures/parseAmount'
import { weightOf } from '../measures/weightOf'
import { foldSpelling } from '../search/foldSpelling'

/** Why a line of a pasted text wants a decision. */
export type Doubt = 'which' | 'unknown' | 'no-amount' | 'range' | 'measure'

/** One line of a pasted text, read as far as it can be. Nothing is dropped. */
export interface ReadLine {
  readonly text: string
  /** Id in the ingredient table, the best guess; null where nothing fits. */
  readonly ingredient: string | null
  /** Ids that fit as well, best first. */
  readonly others: readonly string[]
  /** g, or null where no amount was found. */
  readonly massG: number | null
  readonly doubts: readonly Doubt[]
  /** True for a heading of the list, which holds no ingredient. */
  readonly heading: boolean
}

const MOST_LINES = 60
const MOST_LENGTH = 300
/** A name that fits less well than this is no match; two nearer to one another than the second are a question (estimates). */
const LEAST_SCORE = 0.34
const NEAR = 0.12
/** Words that say how it is handled, not what it is. */
const HANDLING = /\b(chopped|finely|roughly|grated|peeled|sliced|slivered|crushed|powdered|ground|melted|fresh|ripe|large|small|medium|big|heaped|level|optional|for garnish|to taste|as needed|or more|of|about|approx)\b/g
/** Measures that only the hand that wrote them knows. */
const VAGUE = /^(?:\w+\s+)?(?:handful|fistful|knob|dash|splash|sprinkle|drizzle|packet|pack|tin|can|bunch|scoop|ladle|dollop|lump)s?\b/
const SIZES: Readonly<Record<string, 'small' | 'medium' | 'large'>> = { small: 'small', medium: 'medium', large: 'large' }
const SAID: Readonly<Record<string, string>> = { powdered: 'powdered', ground: 'ground' }

/**
 * Reads a pasted list of ingredients, in somebody else's cup: amounts by a kept parser, names against the ingredient
 * table by their folded spellings.
 *
 * @param text up to 60 lines of up to 300 characters
 * @param cup what a cup means in that text
 * @param table the ingredients
 * @returns one entry a line that is not empty; what is doubtful says why
 */
export function readLines(text: string, cup: MeasureSize, table: readonly Ingredient[]): ReadLine[] {
  const index = indexOf(table)
  return text.split(/\r?\n/).map(line => line.replace(/^[\s\-*•·–\d]*[.)]\s+/, '').replace(/^[\s\-*•·–]+/, '').trim())
    .filter(line => line !== '').slice(0, MOST_LINES).map(line => readLine(line.slice(0, MOST_LENGTH), cup, index))
}

/** Rows by their words, and how much each word says: a rare one more than one that many foods share. */
interface Index {
  readonly rows: readonly { readonly row: Ingredient, readonly words: readonly ReadonlySet<string>[] }[]
  says(word: string): number
}

function indexOf(table: readonly Ingredient[]): Index {
  const rows = table.map(row => ({ row, words: [row.name, row.name.split(',')[0] ?? '', ...row.otherNames].map(name => new Set(wordsOf(name))).filter(words => words.size > 0) }))
  const counts = new Map<string, number>()
  for (const { words } of rows) for (const word of new Set(words.flatMap(name => [...name]))) counts.set(word, (counts.get(word) ?? 0) + 1)
  return { rows, says: word => Math.log(1 + table.length / (counts.get(word) ?? 4)) }
}

function readLine(line: string, cup: MeasureSize, index: Index): ReadLine {
  const parsed = firstOf(line)
  if (!parsed || parsed.isGroupHeader) return { text: line, ingredient: null, others: [], massG: null, doubts: [], heading: true }
  const found = match(parsed.description || line, index)
  const row = found[0]?.row ?? null
  const amount = row ? amountOf(parsed, row, cup) : null
  const doubts: Doubt[] = [
    ...(row ? [] : ['unknown' as const]),
    ...(found.length > 1 ? ['which' as const] : []),
    ...(row && amount === null ? [parsed.quantity === null ? 'no-amount' as const : 'measure' as const] : []),
    ...(parsed.quantity2 === null ? [] : ['range' as const]),
  ]
  return { text: line, ingredient: row?.id ?? null, others: found.slice(1).map(one => one.row.id), massG: amount, doubts, heading: false }
}

function firstOf(line: string): ParsedLine | null {
  try {
    return parseIngredient(line, { normalizeUOM: true })[0] ?? null
  }
  catch {
    return null
  }
}

/** The weight a parsed line asks for; the middle of a range. */
function amountOf(parsed: ParsedLine, row: Ingredient, cup: MeasureSize): number | null {
  if (parsed.quantity === null) return /\bpinch\b/i.test(parsed.description) ? PINCH_ML * row.bulkDensity : null
  const value = parsed.quantity2 === null ? parsed.quantity : (parsed.quantity + parsed.quantity2) / 2
  const sized = SIZES[parsed.unitOfMeasure ?? '']
  const unit = sized ? '' : parsed.unitOfMeasure ?? ''
  const size = sized ?? (/\b(large|big)\b/i.test(parsed.description) ? 'large' : /\bsmall\b/i.test(parsed.description) ? 'small' : 'medium')
  const spoken = unit === '' ? countOrMeasure(value, parsed.description, row, size, cup) : spokenOf(`${value} ${unit.replace(/-/g, '')}`, cup)
  return spoken === null || spoken.kind === 'people' ? null : weighed(spoken, row)
}

function countOrMeasure(value: number, description: string, row: Ingredient, size: 'small' | 'medium' | 'large', cup: MeasureSize): SpokenAmount | null {
  const [first = ''] = description.toLowerCase().split(' ')
  const measure = spokenOf(`${value} ${first}`, cup)
  if (measure) return measure
  if (namesAnotherMeasure(description.toLowerCase(), row)) return null
  return row.piece ? { kind: 'count', count: value, size } : null
}

/** True where what is counted is no piece of the food but a measure we do not know: two handfuls of raisins are not two raisins. */
function namesAnotherMeasure(description: string, row: Ingredient): boolean {
  const counted = /^(?:(?:large|small|medium|big|heaped|good)\s+)?([a-z]+)\s+of\s/.exec(description)?.[1]
  const own = row.piece ? wordsOf(`${row.piece.noun} ${row.piece.plural}`) : []
  return VAGUE.test(description) || (counted !== undefined && !wordsOf(counted).every(word => own.includes(word)))
}

function spokenOf(text: string, cup: MeasureSize): SpokenAmount | null {
  try {
    return parseAmount(text, cup, [])
  }
  catch {
    return null
  }
}

function weighed(amount: SpokenAmount, row: Ingredient): number | null {
  try {
    return weightOf(amount, row)
  }
  catch {
    return null
  }
}

function wordsOf(name: string): string[] {
  const plain = name.toLowerCase().replace(HANDLING, word => SAID[word] ?? ' ').replace(/\([^)]*\)/g, ' ')
  return foldSpelling(plain).split(' ').filter(word => word.length > 1).map(word => (/^[a-z]{3,}s$/.test(word) ? word.slice(0, -1) : word))
}

/** Rows whose names share most words with a description, best first; only those that are about as good as the best. */
function match(description: string, index: Index): { readonly row: Ingredient, readonly score: number }[] {
  const said = new Set(wordsOf(description))
  if (said.size === 0) return []
  const scored = index.rows.map(({ row, words }) => ({ row, score: Math.max(0, ...words.map(name => overlap(said, name, index))) }))
    .filter(one => one.score >= LEAST_SCORE).sort((p, q) => q.score - p.score)
  const best = scored[0]?.score ?? 0
  return scored.filter(one => one.score >= best - NEAR).slice(0, 5)
}

/** Shared words as a share of both names together (Dice), each word by how much it says. */
function overlap(said: ReadonlySet<string>, name: ReadonlySet<string>, index: Index): number {
  const sum = (words: Iterable<string>): number => [...words].reduce((all, word) => all + index.says(word), 0)
  return 2 * sum([...name].filter(word => said.has(word))) / (sum(said) + sum(name))
}
