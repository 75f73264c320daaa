import { entryAt, itemAt } from '../../maths/table/itemAt'
import { DateTime } from 'luxon'
import { END_FAULTS } from '../faults/faults'
import { foldSpelling } from '../../formulation/spelling/foldSpelling'

/** Why a row of a table cannot be taken yet. */
export type RowTrouble = 'dish' | 'day' | 'base' | 'minutes' | 'roast' | 'future'

/** One row of a table of old batches, read as far as it can be. */
export interface BatchRow {
  /** Counted from 1, the heading not among them. */
  readonly row: number
  /** Id in the table, where it has one. */
  readonly id: string | null
  readonly dish: string
  /** ISO 8601 date, and the minute of the day where it is told. */
  readonly day: string | null
  readonly minute: number | null
  /** The moment itself where the table tells it with its zone, ms since 1970. */
  readonly atMs: number | null
  /** As it was written, such as `250` or `1 cup`. */
  readonly base: string
  readonly totalMin: number | null
  readonly roastMin: number | null
  readonly pan: string
  readonly fire: string
  readonly finishedG: number | null
  readonly faults: readonly string[]
  readonly line: string
  readonly troubles: readonly RowTrouble[]
}

/** Columns by what they may be called, folded; what is in seconds is divided. */
const COLUMNS: Readonly<Record<string, readonly string[]>> = {
  id: ['id'],
  dish: ['dish', 'sweet', 'name', 'what'],
  day: ['started at', 'started', 'day', 'date', 'on', 'when'],
  base: ['base g', 'base', 'amount', 'amount of base', 'flour g', 'flour'],
  minutes: ['minutes', 'minutes at the fire', 'at the fire', 'total', 'total minutes', 'off fire min'],
  seconds: ['off fire s'],
  roast: ['roast', 'roast minutes', 'roasted', 'minutes of roast'],
  roastSeconds: ['turned s'],
  pan: ['pan', 'vessel'],
  fire: ['fire', 'stove', 'burner'],
  finished: ['finished g', 'finished', 'weight', 'weight g', 'came to'],
  faults: ['faults', 'fault', 'what went wrong'],
  line: ['line', 'how it came out', 'result', 'outcome'],
  note: ['note', 'notes', 'remark', 'remarks'],
}
/** A row that says more than this is cut (as a batch keeps it). */
const MOST_LINE = 400

/**
 * The column each heading stands for.
 *
 * @param headings of the table
 * @returns what is read by heading; headings that say nothing known are left out of it
 */
export function columnsOf(headings: readonly string[]): ReadonlyMap<string, string> {
  const found = new Map<string, string>()
  for (const heading of headings) {
    const folded = foldSpelling(heading.replaceAll('_', ' '))
    const column = Object.entries(COLUMNS).find(
      ([name, names]) => !found.has(name) && names.some(one => foldSpelling(one) === folded),
    )?.[0]
    if (column !== undefined) found.set(column, heading)
  }
  return found
}

/**
 * Reads a table of old batches: one line a batch, our own columns or plain ones.
 *
 * @param records cells by heading
 * @param today ISO 8601 date in the house
 * @returns one entry a row that is not empty; troubles say what is wanting
 */
export function readBatchRows(records: readonly Readonly<Record<string, string>>[], today: string): BatchRow[] {
  const columns = columnsOf(Object.keys(records[0] ?? {}))
  const cells = records.map(
    record =>
      (name: string): string =>
        columns.has(name) ? (record[entryAt(columns, name)] ?? '').trim() : '',
  )
  const order = dayOrder(cells.map(cell => cell('day')))
  return cells.flatMap((cell, i): BatchRow[] => {
    if ([...columns.keys()].every(name => cell(name) === '')) return []
    const [dish, base] = [cell('dish'), cell('base')]
    const { day, minute } = dayIn(cell('day'), order)
    const totalMin = cell('minutes') !== '' ? numberIn(cell('minutes')) : divided(numberIn(cell('seconds')))
    const roastMin = cell('roast') !== '' ? numberIn(cell('roast')) : divided(numberIn(cell('roastSeconds')))
    const { faults, rest } = faultsIn(cell('faults'))
    const line = [cell('line'), rest, cell('note')]
      .filter(text => text !== '')
      .map(text => text.replace(/\.$/, ''))
      .join('. ')
      .slice(0, MOST_LINE)
    const troubles: RowTrouble[] = [
      ...(dish === '' ? ['dish' as const] : []),
      ...(day === null ? ['day' as const] : day > today ? ['future' as const] : []),
      ...(base === '' ? ['base' as const] : []),
      ...(totalMin === null || !(totalMin >= 3 && totalMin <= 300) ? ['minutes' as const] : []),
      ...(roastMin !== null && totalMin !== null && !(roastMin > 0 && roastMin < totalMin) ? ['roast' as const] : []),
    ]
    const moment = /T.*(?:Z|[+-]\d{2}:\d{2})$/.test(cell('day')) ? DateTime.fromISO(cell('day')).toMillis() : Number.NaN
    return [
      {
        row: i + 1,
        atMs: Number.isFinite(moment) ? moment : null,
        id: cell('id') === '' ? null : cell('id'),
        dish,
        day,
        minute,
        base,
        totalMin,
        roastMin,
        pan: cell('pan'),
        fire: cell('fire'),
        finishedG: numberIn(cell('finished')),
        faults,
        line,
        troubles,
      },
    ]
  })
}

const divided = (seconds: number | null): number | null => (seconds === null ? null : seconds / 60)

function numberIn(text: string): number | null {
  const found = /^(\d+(?:[.,]\d+)?)\s*(?:min|minutes?|g|s)?\.?$/i.exec(text)
  return found ? Number(itemAt(found, 1).replace(',', '.')) : null
}

/**
 * Whether days are written day first or month first: a table tells by a number above twelve; where none does, it is not
 * known.
 */
function dayOrder(days: readonly string[]): 'dmy' | 'mdy' | null {
  const pairs = days.flatMap((text) => {
    const found = /^(\d{1,2})[./-](\d{1,2})[./-]\d{2,4}/.exec(text)
    return found ? [[Number(found[1]), Number(found[2])] as const] : []
  })
  if (pairs.some(([first]) => first > 12)) return 'dmy'
  if (pairs.some(([, second]) => second > 12)) return 'mdy'
  // A full stop between is day first wherever it is written.
  return days.some(text => /^\d{1,2}\.\d{1,2}\.\d{2,4}/.test(text)) ? 'dmy' : null
}

function dayIn(
  text: string,
  order: 'dmy' | 'mdy' | null,
): { readonly day: string | null, readonly minute: number | null } {
  const iso = /^(\d{4}-\d{2}-\d{2})(?:[T ](\d{2}):(\d{2}))?/.exec(text)
  if (iso)
    return {
      day: DateTime.fromISO(itemAt(iso, 1)).isValid ? itemAt(iso, 1) : null,
      minute: iso[2] === undefined ? null : Number(iso[2]) * 60 + Number(iso[3]),
    }
  const numbers = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4})$/.exec(text)
  if (numbers && order !== null) {
    const [day, month] = order === 'dmy' ? [numbers[1], numbers[2]] : [numbers[2], numbers[1]]
    const found = DateTime.fromObject({ year: Number(numbers[3]), month: Number(month), day: Number(day) })
    return { day: found.isValid ? found.toISODate() : null, minute: null }
  }
  const named = ['d LLL yyyy', 'd LLLL yyyy', 'LLL d yyyy', 'LLLL d, yyyy']
    .map(format => DateTime.fromFormat(text, format, { locale: 'en' }))
    .find(one => one.isValid)
  return { day: named?.toISODate() ?? null, minute: null }
}

/** Faults by their codes or as they are said; other words belong to what was said of the batch. */
function faultsIn(text: string): { readonly faults: readonly string[], readonly rest: string } {
  const pieces = text.split(/[;,|]|\s(?=[a-z-]+(?:\s|$))/).map(piece => piece.trim()).filter(piece => piece !== '')
  const known = pieces.flatMap(piece => END_FAULTS.filter(fault => fault === piece.toLowerCase().replace(/\s+/g, '-')))
  return known.length === pieces.length
    ? { faults: [...new Set(known)], rest: '' }
    : { faults: [...new Set(known)], rest: text }
}
