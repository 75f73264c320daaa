import { isOneOf } from '../../core/records'
import { createHash } from 'node:crypto'
import { statfs } from 'node:fs/promises'
import { Transform, type Readable } from 'node:stream'
import { createGunzip } from 'node:zlib'
import { Sequelize } from 'sequelize'
import sqlite3 from 'sqlite3'
import {
  BACKUP_TABLES,
  BackupFootSchema,
  BackupHeadSchema,
  BackupRowSchema,
  MOST_LINE,
  type BackupHead,
  type BackupRow,
} from '../../contracts/backup'
import { migrateTo } from './database'
import { plainJpeg } from './jpeg'
import { onOwn, openOwn, type OwnConnection } from './ownConnection'
import { Refusal } from './refusal'

/** Rows put in at once, and characters of them. */
const AT_ONCE = 500
const MOST_CHARACTERS = 8_000_000
/** A backup unpacks to some thirty times its size; what unpacks to far more is none. */
const MOST_TIMES = 200
const LEAST_UNPACKED = 4_000_000
/** Of the disk so much stays free, bytes. */
const RESERVE_BYTES = 300_000_000

const refuse = (where: string): Refusal => new Refusal('not-a-backup', where)

/** What was written into a database of its own. */
export interface Staged { readonly rows: number, readonly photosLeftOut: number }

/**
 * Writes every line of a backup into a database of its own, whose tables stand where the backup's did, and brings it up
 * to date; only then it counts. Memory stays bounded, whatever the size.
 *
 * @param storage file of that database; it must not be there yet
 * @param file the backup
 * @returns how many rows it has; photographs that could not be read are left out, and counted
 * @throws Refusal `not-a-backup` with where it is at fault
 */
export async function stageBackup(storage: string, file: Readable): Promise<Staged> {
  const staged = new Staging(storage)
  const hash = createHash('sha256')
  let head: BackupHead | null = null
  let foot = false
  try {
    for await (const line of unpacked(storage, file)) {
      if (foot) throw refuse('something after the last line')
      const value = parsed(line)
      if (head === null) head = headOf(value)
      else if (typeof value === 'object' && value !== null && 'sha256' in value) {
        const last = BackupFootSchema.safeParse(value)
        if (!last.success || last.data.rows !== staged.rows || last.data.sha256 !== hash.digest('hex'))
          throw refuse('it is not what was written')
        foot = true
        continue
      }
      else await staged.take(value, head, line.length)
      hash.update(`${line}\n`)
    }
    if (!foot || head === null) throw refuse('it ends too soon')
    await staged.end(head)
    await upToDate(storage)
    return { rows: staged.rows, photosLeftOut: staged.photosLeftOut }
  }
  finally {
    await staged.close()
  }
}

function headOf(value: unknown): BackupHead {
  const first = BackupHeadSchema.safeParse(value)
  if (!first.success) throw refuse('the first line is none of a backup')
  if (first.data.tables.some(one => !isOneOf(BACKUP_TABLES, one.name)))
    throw refuse('a table that is not known')
  return first.data
}

function parsed(line: string): unknown {
  try {
    return JSON.parse(line)
  }
  catch {
    throw refuse('a line that is no JSON')
  }
}

/**
 * Rows on their way into a database of their own; its tables are made with the first of them, for most damaged files
 * are refused before it comes to that.
 */
class Staging {
  rows = 0
  photosLeftOut = 0
  private own: OwnConnection | null = null
  private waiting: BackupRow[] = []
  private characters = 0
  private readonly counts = new Map<string, number>()

  constructor(private readonly storage: string) {}

  async take(value: unknown, head: BackupHead, characters: number): Promise<void> {
    const row = BackupRowSchema.safeParse(value)
    if (!row.success || !head.tables.some(one => one.name === row.data.t)) throw refuse(`line ${this.rows + 2}`)
    this.rows++
    this.counts.set(row.data.t, (this.counts.get(row.data.t) ?? 0) + 1)
    this.waiting.push(row.data)
    this.characters += characters
    if (this.waiting.length >= AT_ONCE || this.characters > MOST_CHARACTERS) await this.flush(head.migration)
  }

  async end(head: BackupHead): Promise<void> {
    for (const one of head.tables)
      if ((this.counts.get(one.name) ?? 0) !== one.rows) throw refuse(`rows of ${one.name}`)
    await this.flush(head.migration)
    await this.close()
  }

  async close(): Promise<void> {
    const { own } = this
    this.own = null
    await own?.close()
  }

  private async flush(migration: string): Promise<void> {
    const own = this.own ?? await layTables(this.storage, migration)
    this.own = own
    const rows = this.waiting.splice(0)
    this.characters = 0
    await own.run('BEGIN')
    try {
      for (const row of rows) if (!await insert(own, row)) this.photosLeftOut++
      await own.run('COMMIT')
    }
    catch (error) {
      await own.run('ROLLBACK')
      throw error instanceof Refusal ? error : refuse('a row that does not fit its table')
    }
  }
}

/** Puts a row in; false where it is a photograph that is none. No photograph comes in with where it was taken. */
async function insert(own: OwnConnection, { t, r }: BackupRow): Promise<boolean> {
  const columns = Object.keys(r)
  const values: (string | number | null | Buffer)[] = columns.map((column) => {
    const cell = r[column]
    return typeof cell === 'object' && cell !== null ? Buffer.from(cell.base64, 'base64') : cell ?? null
  })
  if (t === 'photos') {
    const at = columns.indexOf('bytes')
    const bytes = values[at]
    const plain = Buffer.isBuffer(bytes) ? plainJpeg(bytes) : null
    if (!plain) return false
    values[at] = plain.bytes
  }
  await own.run(
    `INSERT INTO ${t} (${columns.map(column => `"${column}"`).join(', ')}) VALUES (${columns.map(() => '?').join(', ')})`,
    values,
  )
  return true
}

/**
 * Tables as the version that wrote the backup had them. The database is thrown away whatever happens: nothing of it has
 * to outlive a power cut until it is taken over.
 */
async function layTables(storage: string, migration: string): Promise<OwnConnection> {
  await withTables(storage, migration)
  const own = await openOwn(storage, 'write')
  for (const pragma of ['synchronous = OFF', 'journal_mode = MEMORY']) await own.all(`PRAGMA ${pragma}`)
  return own
}

async function withTables(storage: string, migration: string | undefined): Promise<void> {
  const sequelize = new Sequelize({ dialect: 'sqlite', dialectModule: sqlite3, storage, logging: false })
  try {
    for (const pragma of ['synchronous = OFF', 'journal_mode = MEMORY']) await sequelize.query(`PRAGMA ${pragma}`)
    await migrateTo(sequelize, migration)
  }
  catch (error) {
    if (migration === undefined)
      throw refuse(`it cannot be brought up to date: ${error instanceof Error ? error.message : String(error)}`)
    throw refuse(`of a newer version: ${migration}`)
  }
  finally {
    await sequelize.close()
  }
}

/** Every row belongs somewhere, every text that should be JSON is, and the file is whole. */
async function upToDate(storage: string): Promise<void> {
  await withTables(storage, undefined)
  await onOwn(storage, 'read', async (own) => {
    const [check] = await own.all<{ integrity_check: string }>('PRAGMA integrity_check')
    const [loose] = await own.all('PRAGMA foreign_key_check')
    if (check?.integrity_check !== 'ok' || loose) throw refuse('rows that belong nowhere')
    for (const [table, column] of [
      ['cooks', 'plan'],
      ['observations', 'payload'],
      ['batches', 'summary'],
      ['dish_versions', 'dish'],
      ['shelf_items', 'item'],
      ['lessons', 'lesson'],
      ['spreads', 'spread'],
    ] as const) {
      const [bad] = await own.all<{ n: number }>(`SELECT count(*) AS n FROM ${table} WHERE NOT json_valid(${column})`)
      if ((bad?.n ?? 0) > 0) throw refuse(`what stands in ${table}`)
    }
  })
}

/**
 * Lines of a gzipped file; what unpacks to too much, or is no gzip, is refused before it is taken in. What is left of
 * the file is left where it is: who sent it gets the sentence.
 */
async function* unpacked(storage: string, file: Readable): AsyncGenerator<string> {
  const { bavail, bsize } = await statfs(storage.replace(/[^/]*$/, '') || '.')
  const most = bavail * bsize - RESERVE_BYTES
  let [packed, bytes] = [0, 0]
  const counted = new Transform({
    transform(chunk: Buffer, _, next) {
      packed += chunk.length
      next(null, chunk)
    },
  })
  const limit = new Transform({
    transform(chunk: Buffer, _, next) {
      bytes += chunk.length
      next(
        bytes > LEAST_UNPACKED + MOST_TIMES * packed
          ? refuse('it unpacks to too much')
          : bytes > most
            ? refuse('there is no room for it on the disk')
            : null,
        chunk,
      )
    },
  })
  const text = file.pipe(counted).pipe(createGunzip()).on('error', error => limit.destroy(error)).pipe(limit)
  const gone = (): void => void limit.destroy(refuse('it was cut off on its way'))
  file.on('error', gone).on('aborted', gone)
  text.setEncoding('utf8')
  try {
    yield* linesOf(text)
  }
  catch (error) {
    throw error instanceof Refusal ? error : refuse('it is no whole gzip file')
  }
  finally {
    file.off('error', gone).off('aborted', gone).unpipe(counted)
  }
}

async function* linesOf(text: Readable): AsyncGenerator<string> {
  let rest = ''
  for await (const chunk of text) {
    const lines = (rest + String(chunk)).split('\n')
    rest = lines.pop() ?? ''
    if (rest.length > MOST_LINE) throw refuse('a line that is too long')
    yield* lines
  }
  if (rest !== '') throw refuse('it ends in the middle of a line')
}
