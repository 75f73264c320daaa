import { createHash } from 'node:crypto'
import { Readable, type Writable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { createGzip } from 'node:zlib'
import Papa from 'papaparse'
import {
  BACKUP_FORMAT,
  BACKUP_TABLES,
  ExportWishSchema,
  type BackupHead,
  type ExportWish,
} from '../../contracts/backup'
import { BatchSummarySchema } from '../../contracts/batch'
import type { CookPlan } from '../../core/record/plan/plan'
import { lineOf } from './ledger'
import { onOwn, openOwn, type OwnConnection } from './ownConnection'
import { readCook } from './readCook'
import { isoMoment } from '../../core/maths/time/moments'

/** Rows read at once: of tables with long rows few, so that memory stays bounded whatever a house holds. */
const AT_ONCE: Readonly<Partial<Record<string, number>>> = {
  photos: 4,
  cooks: 50,
  batches: 100,
  lessons: 50,
  spreads: 50,
  dish_versions: 50,
}
const AT_ONCE_ELSE = 500
const CSV_COLUMNS = [
  'id',
  'dish_id',
  'dish',
  'version',
  'started_at',
  'base_g',
  'pan',
  'fire',
  'turned_s',
  'off_fire_s',
  'finished_g',
  'weighed',
  'darkest_step',
  'faults',
  'line',
  'sweetness',
  'softness',
  'richness',
  'note',
] as const
type Row = Record<string, unknown>

/**
 * Writes an export of a house: a backup, its batches whole, or as a table. It is read in one transaction, so that it is
 * of one moment while cooking goes on, and leaves nothing behind however it ends.
 *
 * @param file the database
 * @param wanted what is wanted, as JSON
 * @param out where it goes
 */
export async function writeExport(file: string, wanted: string, out: Writable): Promise<void> {
  const wish = ExportWishSchema.parse(JSON.parse(wanted))
  await onOwn(file, 'read', async (own) => {
    await own.run('BEGIN')
    const text = Readable.from(exported(own, wish))
    await (wish.kind === 'backup' ? pipeline(text, createGzip(), out) : pipeline(text, out))
  })
}

/**
 * The same as a stream of this very process.
 *
 * @param file the database
 * @param wish what is wanted
 * @returns its bytes
 */
export function exportStream(file: string, wish: ExportWish): Readable {
  const text = Readable.from((async function* () {
    const own = await openOwn(file)
    try {
      await own.run('BEGIN')
      yield* exported(own, wish)
    }
    finally {
      await own.close()
    }
  })())
  if (wish.kind !== 'backup') return text
  const packed = createGzip()
  pipeline(text, packed).catch((error: unknown) =>
    packed.destroy(error instanceof Error ? error : new Error(String(error))),
  )
  return packed
}

function exported(own: OwnConnection, wish: ExportWish): AsyncGenerator<string> {
  if (wish.kind === 'backup') return backup(own, wish)
  return wish.kind === 'csv' ? csv(own) : jsonl(own)
}

async function* pages(own: OwnConnection, table: string): AsyncGenerator<Row[]> {
  const most = AT_ONCE[table] ?? AT_ONCE_ELSE
  for (let from = 0; ;) {
    const rows = await own.all<Row>(`SELECT rowid AS rowid_, * FROM ${table} WHERE rowid > ? ORDER BY rowid LIMIT ?`, [
      from,
      most,
    ])
    if (rows.length > 0) yield rows
    if (rows.length < most) return
    from = Number(rows.at(-1)!.rowid_)
  }
}

/** Head, rows and foot, line by line; every line before the foot goes into its sum. */
async function* backup(own: OwnConnection, wish: Extract<ExportWish, { kind: 'backup' }>): AsyncGenerator<string> {
  const hash = createHash('sha256')
  const lined = (values: readonly unknown[]): string => {
    const text = values.map(value => `${JSON.stringify(value)}\n`).join('')
    hash.update(text)
    return text
  }
  const names = BACKUP_TABLES.filter(name => wish.photos || name !== 'photos')
  const tables: { name: string, rows: number }[] = []
  for (const name of names)
    tables.push({ name, rows: (await own.all<{ n: number }>(`SELECT count(*) AS n FROM ${name}`))[0]?.n ?? 0 })
  const [last] = await own.all<{ name: string }>('SELECT name FROM SequelizeMeta ORDER BY name DESC LIMIT 1')
  yield lined([{ format: BACKUP_FORMAT, at: wish.at, migration: last?.name ?? '', tables } satisfies BackupHead])
  let count = 0
  for (const name of names) {
    for await (const rows of pages(own, name)) {
      count += rows.length
      yield lined(
        rows.map(({ rowid_: _, ...row }) => ({
          t: name,
          r: Object.fromEntries(
            Object.entries(row).map(([column, cell]) => [
              column,
              Buffer.isBuffer(cell) ? { base64: cell.toString('base64') } : cell,
            ]),
          ),
        })),
      )
    }
  }
  yield `${JSON.stringify({ rows: count, sha256: hash.digest('hex') })}\n`
}

async function* newestFirst(own: OwnConnection, columns: string): AsyncGenerator<Row[]> {
  for (let at: number | null = null, last = ''; ;) {
    const rows: Row[] = await own.all<Row>(
      `SELECT ${columns} FROM batches b WHERE b.removed_at IS NULL ${at === null ? '' : 'AND (b.started_at, b.id) < (?, ?)'} ORDER BY b.started_at DESC, b.id DESC LIMIT ?`,
      at === null ? [AT_ONCE_ELSE] : [at, last, AT_ONCE_ELSE],
    )
    if (rows.length > 0) yield rows
    if (rows.length < AT_ONCE_ELSE) return
    const end = rows.at(-1)
    at = Number(end?.started_at)
    last = String(end?.id)
  }
}

/** One line a batch (RFC 4180), all of it from columns; a byte order mark tells table programs that it is UTF-8. */
async function* csv(own: OwnConnection): AsyncGenerator<string> {
  yield `\uFEFF${Papa.unparse([CSV_COLUMNS], { newline: '\r\n' })}\r\n`
  const of = (column: string, path: string): string =>
    `CASE WHEN json_valid(b.${column}) THEN json_extract(b.${column}, '${path}') END`
  const columns = `b.id, b.dish_id, b.dish, b.version, b.started_at, b.pan_name, b.fire_name, b.note, ${of('picture', '$.baseG')} AS base_g, ${of('picture', '$.keystoneS')} AS turned_s, ${of('picture', '$.endS')} AS off_fire_s,
    ${of('picture', '$.finishedG')} AS finished_g, ${of('picture', '$.weighed')} AS weighed, ${of('picture', '$.darkestStep')} AS darkest_step, ${of('picture', '$.faults')} AS faults, ${of('picture', '$.line')} AS line,
    ${of('after', '$.liked.sweetness')} AS sweetness, ${of('after', '$.liked.softness')} AS softness, ${of('after', '$.liked.richness')} AS richness`
  for await (const rows of newestFirst(own, columns)) {
    yield `${Papa.unparse(rows.map(csvRow), { newline: '\r\n', escapeFormulae: /^[=+\-@\t\r]/ })}\r\n`
  }
}

function csvRow(row: Row): (string | number)[] {
  const value = (one: unknown): string | number => (typeof one === 'number' || typeof one === 'string' ? one : '')
  return [
    value(row.id), value(row.dish_id), value(row.dish), value(row.version), isoMoment(Number(row.started_at)), value(row.base_g), value(row.pan_name), value(row.fire_name), value(row.turned_s), value(row.off_fire_s),
    value(row.finished_g), row.weighed === 1 ? 'yes' : 'no', value(row.darkest_step), faultsOf(row.faults), value(row.line), value(row.sweetness), value(row.softness), value(row.richness), value(row.note),
  ]
}

function faultsOf(text: unknown): string {
  try {
    const list: unknown = JSON.parse(String(text ?? '[]'))
    return Array.isArray(list) ? list.map(String).join(' ') : ''
  }
  catch {
    return ''
  }
}

/** One whole batch a line; one that cannot be read is left out of the file, and stays in the house. */
async function* jsonl(own: OwnConnection): AsyncGenerator<string> {
  for await (const rows of newestFirst(own, 'b.*')) {
    for (const row of rows) {
      const line = await wholeLine(own, row)
      if (line !== null) yield line
    }
  }
}

async function wholeLine(own: OwnConnection, row: Row): Promise<string | null> {
  const cook = await readCook(own, String(row.id))
  try {
    const line = { ...lineOf(row), summary: BatchSummarySchema.parse(JSON.parse(String(row.summary))) }
    const plan: CookPlan | null = cook?.plan ?? null
    // Places of another house's log mean nothing here: observations are numbered by themselves.
    return plan && cook ? `${JSON.stringify({ format: 'yon-hearth/batch/1', line, plan, forecast: plan.forecast, observations: cook.observations.map((one, i) => ({ ...one, place: i + 1 })) })}\n` : null
  }
  catch {
    return null
  }
}
