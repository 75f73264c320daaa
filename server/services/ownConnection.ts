import sqlite3 from 'sqlite3'

type Value = string | number | null | Buffer
type Values = readonly Value[]

/** A connection to a database file beside the one that serves: what takes long on it holds nobody up. */
export interface OwnConnection {
  all<T extends object>(sql: string, values?: Values): Promise<T[]>
  run(sql: string, values?: Values): Promise<void>
  close(): Promise<void>
}

/** How long it waits for another one that writes, ms. */
const BUSY_MS = 10_000
/** Pages kept in memory, kB, so that many connections stay small (negative: SQLite counts kB then). */
const CACHE_KB = -4000

/**
 * Opens a connection of its own.
 *
 * @param file the database
 * @param how to read it only, to change it, or to make it
 * @param busyMs how long it waits for another one that writes, ms
 * @returns the connection; the caller closes it
 * @throws what SQLite says, such as SQLITE_NOTADB
 */
export async function openOwn(
  file: string,
  how: 'read' | 'write' | 'make' = 'read',
  busyMs = BUSY_MS,
): Promise<OwnConnection> {
  const flags =
    how === 'read'
      ? sqlite3.OPEN_READONLY
      : how === 'write'
        ? sqlite3.OPEN_READWRITE
        : sqlite3.OPEN_READWRITE | sqlite3.OPEN_CREATE
  const database = await new Promise<sqlite3.Database>((done, fail) => {
    const opened = new sqlite3.Database(file, flags, error => (error ? fail(error) : done(opened)))
  })
  database.configure('busyTimeout', busyMs)
  const one: OwnConnection = {
    all: <T extends object>(sql: string, values: Values = []) =>
      new Promise<T[]>((done, fail) => {
        database.all<T>(sql, values, (error, rows) => (error ? fail(error) : done(rows)))
      }),
    run: (sql, values = []) =>
      new Promise((done, fail) => {
        database.run(sql, values, error => (error ? fail(error) : done()))
      }),
    close: () => new Promise(done => database.close(() => done())),
  }
  try {
    await one.run(`PRAGMA cache_size = ${CACHE_KB}`)
    return one
  } catch (error) {
    await one.close()
    throw error
  }
}

/**
 * Does something on a connection of its own and closes it.
 *
 * @param file the database
 * @param how to read it only, to change it, or to make it
 * @param what is done
 * @returns what came of it
 */
export async function onOwn<T>(
  file: string,
  how: 'read' | 'write' | 'make',
  what: (own: OwnConnection) => Promise<T>,
): Promise<T> {
  const own = await openOwn(file, how)
  try {
    return await what(own)
  } finally {
    await own.close()
  }
}
