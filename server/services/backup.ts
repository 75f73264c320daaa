import { createHash } from 'node:crypto'
import { mkdtemp, rm } from 'node:fs/promises'
import { join } from 'node:path'
import { Readable, Transform } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { createGunzip, createGzip } from 'node:zlib'
import { QueryTypes, Sequelize } from 'sequelize'
import sqlite3 from 'sqlite3'
import { BACKUP_FORMAT, BackupFootSchema, BackupHeadSchema, BackupRowSchema, MOST_LINE, MOST_UNPACKED_BYTES, type BackupHead, type BackupRow } from '../../contracts/backup'
import type { HearthClock } from './clock'
import { migrateTo, type Database } from './database'
import { Refusal } from './refusal'

/** Full backups of a house. */
export interface Backups {
  /** A backup as it is written, while cooking goes on. */
  stream(): Promise<Readable>
  /** Restores one into this house, which must be empty; wholly or not at all. */
  restore(file: Readable): Promise<{ readonly rows: number }>
}

/** What a backup holds, in an order in which every row finds the one it belongs to. Who has entered the house stays out of it. */
const TABLES = ['shelf_items', 'dish_versions', 'dish_states', 'cooks', 'observations', 'batches', 'batch_faults', 'photos', 'lessons', 'spreads'] as const
/** A house where any of these holds a row is not empty. */
const LIVED_IN = ['cooks', 'lessons'] as const
const AT_ONCE = 500
/** A backup unpacks to some thirty times its size; what unpacks to far more is none. */
const MOST_TIMES = 200
const LEAST_UNPACKED = 4_000_000

/**
 * The backups of one database.
 *
 * @param database an open database
 * @param clock gives the moment of the backup
 * @param folder where copies are worked on
 * @param changed called when everything stands differently
 * @returns `restore` refuses `house-not-empty`, and `not-a-backup` with where it is at fault; the house is then as it was
 */
export function backupsOf(database: Database, clock: HearthClock, folder: string, changed: () => void): Backups {
  return {
    async stream() {
      const work = await mkdtemp(join(folder, '.backup-'))
      const copy = join(work, 'copy.sqlite')
      await database.sequelize.query('VACUUM INTO :copy', { replacements: { copy } })
      const still = open(copy)
      const done = async (): Promise<void> => {
        await still.close().catch(() => undefined)
        await rm(work, { recursive: true, force: true })
      }
      const lines = Readable.from(linesOf(still, clock.now(), done))
      const packed = createGzip()
      pipeline(lines, packed).catch(done)
      return packed
    },
    async restore(file) {
      for (const table of LIVED_IN) if (await count(database.sequelize, table) > 0) throw new Refusal('house-not-empty', table)
      const work = await mkdtemp(join(folder, '.restore-'))
      const staged = open(join(work, 'staged.sqlite'))
      try {
        const rows = await stage(staged, file)
        await migrateTo(staged, undefined)
        await whole(staged)
        await take(staged, database.file)
        changed()
        return { rows }
      }
      finally {
        await staged.close().catch(() => undefined)
        await rm(work, { recursive: true, force: true })
      }
    },
  }
}

function open(storage: string): Sequelize {
  return new Sequelize({ dialect: 'sqlite', dialectModule: sqlite3, storage, logging: false })
}

async function count(sequelize: Sequelize, table: string): Promise<number> {
  const [row] = await sequelize.query<{ n: number }>(`SELECT count(*) AS n FROM ${table}`, { type: QueryTypes.SELECT })
  return row?.n ?? 0
}

/** Head, rows and foot, line by line, from a copy that stands still. */
async function* linesOf(still: Sequelize, at: number, done: () => Promise<void>): AsyncGenerator<string> {
  try {
    const hash = createHash('sha256')
    const line = (value: unknown): string => {
      const text = `${JSON.stringify(value)}\n`
      hash.update(text)
      return text
    }
    const tables = []
    for (const name of TABLES) tables.push({ name, rows: await count(still, name) })
    const [last] = await still.query<{ name: string }>('SELECT name FROM SequelizeMeta ORDER BY name DESC LIMIT 1', { type: QueryTypes.SELECT })
    yield line({ format: BACKUP_FORMAT, at, migration: last?.name ?? '', tables } satisfies BackupHead)
    let rows = 0
    for (const name of TABLES) {
      for (let from = 0; ;) {
        const found = await still.query<Record<string, unknown>>(`SELECT rowid AS rowid_, * FROM ${name} WHERE rowid > :from ORDER BY rowid LIMIT :most`, { type: QueryTypes.SELECT, replacements: { from, most: AT_ONCE } })
        if (found.length === 0) break
        for (const { rowid_: _, ...row } of found) {
          rows++
          yield line({ t: name, r: Object.fromEntries(Object.entries(row).map(([column, cell]) => [column, Buffer.isBuffer(cell) ? { base64: cell.toString('base64') } : cell])) })
        }
        from = Number(found.at(-1)!.rowid_)
      }
    }
    yield `${JSON.stringify({ rows, sha256: hash.digest('hex') })}\n`
  }
  finally {
    await done()
  }
}

const refuse = (where: string): Refusal => new Refusal('not-a-backup', where)

/** Writes every line into a database of its own, whose tables stand where the backup's did. */
async function stage(staged: Sequelize, file: Readable): Promise<number> {
  const hash = createHash('sha256')
  let head: BackupHead | null = null
  let foot = false
  let rows = 0
  let waiting: BackupRow[] = []
  const counts = new Map<string, number>()
  let tables = false
  /** Tables are made with the first rows: most damaged files are refused before it comes to that. */
  const flush = async (migration: string): Promise<void> => {
    if (!tables) await layTables(staged, migration)
    tables = true
    await insert(staged, waiting)
    waiting = []
  }
  for await (const line of unpacked(file)) {
    if (foot) throw refuse('something after the last line')
    const value = parsed(line)
    if (head === null) {
      const first = BackupHeadSchema.safeParse(value)
      if (!first.success) throw refuse('the first line is none of a backup')
      head = first.data
      if (head.tables.some(one => !(TABLES as readonly string[]).includes(one.name))) throw refuse('a table that is not known')
    }
    else if (typeof value === 'object' && value !== null && 'sha256' in value) {
      const last = BackupFootSchema.safeParse(value)
      if (!last.success || last.data.rows !== rows || last.data.sha256 !== hash.digest('hex')) throw refuse('it is not what was written')
      foot = true
      continue
    }
    else {
      const row = BackupRowSchema.safeParse(value)
      if (!row.success || !head.tables.some(one => one.name === row.data.t)) throw refuse(`line ${rows + 2}`)
      rows++
      counts.set(row.data.t, (counts.get(row.data.t) ?? 0) + 1)
      waiting.push(row.data)
      if (waiting.length >= AT_ONCE) await flush(head.migration)
    }
    hash.update(`${line}\n`)
  }
  if (!foot || head === null) throw refuse('it ends too soon')
  for (const one of head.tables) if ((counts.get(one.name) ?? 0) !== one.rows) throw refuse(`rows of ${one.name}`)
  await flush(head.migration)
  return rows
}

/** Tables as the version that wrote the backup had them. The database is thrown away whatever happens: nothing of it has to outlive a power cut until it is taken over. */
async function layTables(staged: Sequelize, migration: string): Promise<void> {
  for (const pragma of ['synchronous = OFF', 'journal_mode = MEMORY']) await staged.query(`PRAGMA ${pragma}`)
  await migrateTo(staged, migration).catch(() => {
    throw refuse(`of a newer version: ${migration}`)
  })
}

function parsed(line: string): unknown {
  try {
    return JSON.parse(line)
  }
  catch {
    throw refuse('a line that is no JSON')
  }
}

/** Lines of a gzipped file; what unpacks to too much, or is no gzip, is refused before it is taken in. */
async function* unpacked(file: Readable): AsyncGenerator<string> {
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
      next(bytes > MOST_UNPACKED_BYTES || bytes > LEAST_UNPACKED + MOST_TIMES * packed ? refuse('it unpacks to too much') : null, chunk)
    },
  })
  const text = file.pipe(counted).pipe(createGunzip()).on('error', error => limit.destroy(error)).pipe(limit)
  file.on('error', error => limit.destroy(error))
  text.setEncoding('utf8')
  let rest = ''
  try {
    for await (const chunk of text) {
      const lines = (rest + String(chunk)).split('\n')
      rest = lines.pop() ?? ''
      if (rest.length > MOST_LINE) throw refuse('a line that is too long')
      yield* lines
    }
  }
  catch (error) {
    throw error instanceof Refusal ? error : refuse('it is no whole gzip file')
  }
  finally {
    file.destroy()
  }
  if (rest !== '') throw refuse('it ends in the middle of a line')
}

async function insert(staged: Sequelize, rows: readonly BackupRow[]): Promise<void> {
  const transaction = await staged.transaction()
  try {
    for (const { t, r } of rows) {
      const columns = Object.keys(r)
      const bind = columns.map((column) => {
        const cell = r[column]
        return typeof cell === 'object' && cell !== null ? Buffer.from(cell.base64, 'base64') : cell
      })
      await staged.query(`INSERT INTO ${t} (${columns.map(column => `"${column}"`).join(', ')}) VALUES (${columns.map((_, i) => `$${i + 1}`).join(', ')})`, { bind, transaction })
    }
    await transaction.commit()
  }
  catch (error) {
    await transaction.rollback()
    throw error instanceof Refusal ? error : refuse('a row that does not fit its table')
  }
}

/** Every row belongs somewhere, and the file is whole. */
async function whole(staged: Sequelize): Promise<void> {
  const [check] = await staged.query<{ integrity_check: string }>('PRAGMA integrity_check', { type: QueryTypes.SELECT })
  const loose = await staged.query('PRAGMA foreign_key_check', { type: QueryTypes.SELECT })
  if (check?.integrity_check !== 'ok' || loose.length > 0) throw refuse('rows that belong nowhere')
  for (const [table, column] of [['cooks', 'plan'], ['observations', 'payload'], ['batches', 'summary'], ['dish_versions', 'dish'], ['shelf_items', 'item'], ['lessons', 'lesson']] as const) {
    const [bad] = await staged.query<{ n: number }>(`SELECT count(*) AS n FROM ${table} WHERE NOT json_valid(${column})`, { type: QueryTypes.SELECT })
    if ((bad?.n ?? 0) > 0) throw refuse(`what stands in ${table}`)
  }
}

/**
 * Takes everything over in one transaction of its own connection, so that nothing else is written in its midst; what the
 * empty house was stocked with gives way.
 */
async function take(staged: Sequelize, house: string): Promise<void> {
  await staged.query('PRAGMA busy_timeout = 10000')
  await staged.query('ATTACH :house AS house', { replacements: { house } })
  await staged.query('PRAGMA house.synchronous = FULL')
  await staged.query('BEGIN IMMEDIATE')
  try {
    for (const table of LIVED_IN) if (await count(staged, `house.${table}`) > 0) throw new Refusal('house-not-empty', table)
    for (const table of [...TABLES].reverse()) await staged.query(`DELETE FROM house.${table}`)
    for (const table of TABLES) {
      const columns = (await staged.query<{ name: string }>(`SELECT name FROM pragma_table_info('${table}')`, { type: QueryTypes.SELECT })).map(one => `"${one.name}"`).join(', ')
      await staged.query(`INSERT INTO house.${table} (${columns}) SELECT ${columns} FROM main.${table}`)
    }
    await staged.query('COMMIT')
  }
  catch (error) {
    await staged.query('ROLLBACK')
    throw error
  }
  await staged.query('DETACH house')
}
