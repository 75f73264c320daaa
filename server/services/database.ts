import { access, constants, mkdir, stat } from 'node:fs/promises'
import { join } from 'node:path'
import { QueryTypes, Sequelize, type QueryInterface } from 'sequelize'
import sqlite3 from 'sqlite3'
import { SequelizeStorage, Umzug } from 'umzug'
import { MIGRATIONS } from '../migrations/all'
import { defineModels, type Models } from '../models/models'

/** An open database. One process per file. */
export interface Database {
  readonly sequelize: Sequelize
  readonly models: Models
  readonly file: string
  close(): Promise<void>
}

/** The folder for the database cannot be written. */
export class FolderNotWritable extends Error {
  constructor(readonly folder: string) {
    super(`The folder ${folder} cannot be written. Nothing was changed. Set HEARTH_DATA to a folder you may write to.`)
    this.name = 'FolderNotWritable'
  }
}

/**
 * Opens the database of a folder, making it if it is not there, and brings an older one up to date after a copy of it
 * has been put aside.
 *
 * @param folder where `hearth.sqlite` lies
 * @param stamp text for the name of the copy, such as a date
 * @returns the open database: WAL, synchronous FULL, foreign keys on
 * @throws FolderNotWritable
 */
export async function openDatabase(folder: string, stamp: string): Promise<Database> {
  await mkdir(folder, { recursive: true }).catch(() => undefined)
  await access(folder, constants.W_OK).catch(() => {
    throw new FolderNotWritable(folder)
  })
  const file = join(folder, 'hearth.sqlite')
  const existed = await stat(file).then(info => info.size > 0, () => false)
  const sequelize = new Sequelize({ dialect: 'sqlite', dialectModule: sqlite3, storage: file, logging: false })
  for (const pragma of ['journal_mode = WAL', 'synchronous = FULL', 'foreign_keys = ON', 'busy_timeout = 5000']) {
    await sequelize.query(`PRAGMA ${pragma}`)
  }
  await migrate(sequelize, existed, join(folder, `before-update-${stamp}.sqlite`))
  return { sequelize, models: defineModels(sequelize), file, close: () => sequelize.close() }
}

function migrations(sequelize: Sequelize): Umzug<QueryInterface> {
  return new Umzug({ migrations: MIGRATIONS, context: sequelize.getQueryInterface(), storage: new SequelizeStorage({ sequelize }), logger: undefined })
}

/**
 * Brings the tables of a database to where a version of the hearth had them.
 *
 * @param sequelize an open connection
 * @param to name of the last migration; the newest where it is left out
 * @throws where there is no such migration
 */
export async function migrateTo(sequelize: Sequelize, to: string | undefined): Promise<void> {
  await (to === undefined ? migrations(sequelize).up() : migrations(sequelize).up({ to }))
}

async function migrate(sequelize: Sequelize, existed: boolean, copy: string): Promise<void> {
  const umzug = migrations(sequelize)
  const pending = await umzug.pending()
  if (pending.length === 0) return
  if (existed) await sequelize.query('VACUUM INTO :copy', { replacements: { copy } })
  await umzug.up()
}

/**
 * The durability settings of the connection that writes.
 *
 * @param database an open database
 * @returns journal mode, `synchronous` (2 is FULL) and foreign keys (1 is on)
 */
export async function durability(database: Database): Promise<{ journal: string, synchronous: number, foreignKeys: number }> {
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
