import { access, constants, mkdir, readdir, rename, rm, stat } from 'node:fs/promises'
import { join } from 'node:path'
import { QueryTypes, Sequelize, type QueryInterface } from 'sequelize'
import sqlite3 from 'sqlite3'
import { MIGRATIONS } from '../migrations/all'
import { defineModels, type Models } from '../models/models'
import { kindOfCopy, letOldGo, makeCopy } from './copies'
import { lockFolder } from './folderLock'
import { migrationsIn } from './goodCopies'
import { DatabaseUnfit, FolderNotWritable, NewerDatabase, StartRefused } from './startRefused'
import { finishTaking } from './takeCopy'

/** An open database. One process per folder. */
export interface Database {
  readonly sequelize: Sequelize
  readonly models: Models
  readonly file: string
  close(): Promise<void>
}

/** What is left by work that was cut off: halves of copies, and folders where something was made. */
const LEFTOVER = /^\.(backup|restore)-|\.half$/

/**
 * Opens the database of a folder, making it if it is not there, and brings an older one up to date after a copy of it
 * has been put aside. A folder that another hearth has, a newer database and one that is damaged are refused before
 * anything is touched.
 *
 * @param folder where `hearth.sqlite` lies
 * @param stamp text for the name of the copy, such as a date
 * @returns the open database: WAL, synchronous FULL, foreign keys on
 * @throws StartRefused
 */
export async function openDatabase(folder: string, stamp: string): Promise<Database> {
  await mkdir(folder, { recursive: true }).catch(() => undefined)
  await access(folder, constants.W_OK).catch(() => {
    throw new FolderNotWritable(folder)
  })
  const lock = await lockFolder(folder).catch(refused)
  try {
    await finishTaking(folder)
    const file = join(folder, 'hearth.sqlite')
    const pending = await pendingIn(file)
    await sweep(folder)
    if (pending.existed && pending.names.length > 0) {
      await makeCopy(folder, `before-update-${stamp}.sqlite`)
      await letOldGo(folder, stamp.slice(0, 10))
    }
    const sequelize = await connected(file)
    return {
      sequelize, models: defineModels(sequelize), file,
      async close() {
        await sequelize.close()
        await lock.free()
      },
    }
  }
  catch (error) {
    await lock.free()
    return refused(error)
  }
}

function refused(error: unknown): never {
  throw error instanceof StartRefused
    ? error
    : new DatabaseUnfit(error instanceof Error ? error.message : String(error))
}

/** What of our migrations a file has not had; the file is only read. */
async function pendingIn(file: string): Promise<{ readonly existed: boolean, readonly names: readonly string[] }> {
  const all = MIGRATIONS.map(one => one.name)
  const existed = await stat(file).then(info => info.size > 0, () => false)
  const done = existed ? await migrationsIn(file) : []
  const newer = done.find(name => !all.includes(name))
  if (newer !== undefined) throw new NewerDatabase(newer)
  return { existed, names: all.filter(name => !done.includes(name)) }
}

async function sweep(folder: string): Promise<void> {
  // Versions before this one put copies beside the database, and never let one go.
  for (const name of (await readdir(folder)).filter(one => kindOfCopy(one) === 'before-update')) {
    await mkdir(join(folder, 'copies'), { recursive: true })
    await rename(join(folder, name), join(folder, 'copies', name))
  }
  for (const place of [folder, join(folder, 'copies')]) {
    for (const name of (await readdir(place).catch(() => [])).filter(one => LEFTOVER.test(one)))
      await rm(join(place, name), { recursive: true, force: true })
  }
}

async function connected(file: string): Promise<Sequelize> {
  const sequelize = new Sequelize({ dialect: 'sqlite', dialectModule: sqlite3, storage: file, logging: false })
  try {
    for (const pragma of [
      'journal_mode = WAL',
      'synchronous = FULL',
      'foreign_keys = ON',
      'busy_timeout = 5000',
      'secure_delete = ON',
    ]) {
      await sequelize.query(`PRAGMA ${pragma}`)
    }
    await migrateTo(sequelize, undefined)
    return sequelize
  }
  catch (error) {
    await sequelize.close().catch(() => undefined)
    throw error
  }
}

/**
 * Brings the tables of a database to where a version of the hearth had them. Each migration and the record that it has
 * run are one transaction: cut off anywhere, it has wholly run or not at all.
 *
 * @param sequelize an open connection
 * @param to name of the last migration; the newest where it is left out
 * @throws where there is no such migration
 */
export async function migrateTo(sequelize: Sequelize, to: string | undefined): Promise<void> {
  const last = to === undefined ? MIGRATIONS.length : 1 + MIGRATIONS.findIndex(one => one.name === to)
  if (last === 0) throw new RangeError(`no migration ${to}`)
  await sequelize.query('CREATE TABLE IF NOT EXISTS `SequelizeMeta` (`name` VARCHAR(255) NOT NULL UNIQUE PRIMARY KEY)')
  const done = new Set(
    (await sequelize.query<{ name: string }>('SELECT name FROM SequelizeMeta', { type: QueryTypes.SELECT })).map(
      one => one.name,
    ),
  )
  for (const one of MIGRATIONS.slice(0, last)) if (!done.has(one.name)) await migrate(sequelize, one)
}

/** Everything without a transaction of Sequelize's runs on the one connection, and so within this one. */
async function migrate(sequelize: Sequelize, { name, up }: (typeof MIGRATIONS)[number]): Promise<void> {
  const context: QueryInterface = sequelize.getQueryInterface()
  await sequelize.query('BEGIN IMMEDIATE')
  try {
    await up({ context })
    await sequelize.query('INSERT INTO SequelizeMeta (name) VALUES (:name)', { replacements: { name } })
    await sequelize.query('COMMIT')
  }
  catch (error) {
    await sequelize.query('ROLLBACK')
    throw error
  }
}

/**
 * The durability settings of the connection that writes.
 *
 * @param database an open database
 * @returns journal mode, `synchronous` (2 is FULL) and foreign keys (1 is on)
 */
export async function durability(
  database: Database,
): Promise<{ journal: string, synchronous: number, foreignKeys: number }> {
  const read = async (name: string): Promise<unknown> => {
    const rows = await database.sequelize.query<Record<string, unknown>>(`PRAGMA ${name}`, { type: QueryTypes.SELECT })
    return Object.values(rows[0] ?? {})[0]
  }
  return {
    journal: String(await read('journal_mode')),
    synchronous: Number(await read('synchronous')),
    foreignKeys: Number(await read('foreign_keys')),
  }
}
