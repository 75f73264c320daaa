import { MIGRATIONS } from '../migrations/all'
import { onOwn } from './ownConnection'

/** What a look at a database file says of it. */
export type CopyCheck =
  | { readonly good: true, readonly migration: string, readonly batches: number }
  | { readonly good: false, readonly why: string }

const KNOWN = new Set(MIGRATIONS.map(one => one.name))

/**
 * The migrations a database has behind it.
 *
 * @param file the database
 * @returns their names in order; none where it has no tables of ours yet
 * @throws what SQLite says of a file that is none, or is damaged
 */
export function migrationsIn(file: string): Promise<string[]> {
  return onOwn(file, 'read', async (own) => {
    const [table] = await own.all('SELECT 1 FROM sqlite_master WHERE name = \'SequelizeMeta\'')
    return table
      ? (await own.all<{ name: string }>('SELECT name FROM SequelizeMeta ORDER BY name')).map(one => one.name)
      : []
  })
}

/**
 * Whether a database file is whole and of a version that is known here. It is read only.
 *
 * @param file the database
 * @returns what is in it, or what is wrong with it
 */
export async function checkCopy(file: string): Promise<CopyCheck> {
  try {
    const names = await migrationsIn(file)
    const newer = names.find(name => !KNOWN.has(name))
    if (newer !== undefined) return { good: false, why: `of a newer version (${newer})` }
    return await onOwn(file, 'read', async (own): Promise<CopyCheck> => {
      const [whole] = await own.all<{ quick_check: string }>('PRAGMA quick_check(1)')
      if (whole?.quick_check !== 'ok')
        return { good: false, why: `damaged: ${whole?.quick_check ?? 'nothing could be read'}` }
      const [loose] = await own.all('PRAGMA foreign_key_check')
      if (loose) return { good: false, why: 'rows in it belong nowhere' }
      const [table] = await own.all('SELECT 1 FROM sqlite_master WHERE name = \'batches\'')
      const [count] = table
        ? await own.all<{ n: number }>('SELECT count(*) AS n FROM batches WHERE removed_at IS NULL')
        : []
      return { good: true, migration: names.at(-1) ?? '', batches: count?.n ?? 0 }
    })
  }
  catch (error) {
    return { good: false, why: `it cannot be read (${error instanceof Error ? error.message : String(error)})` }
  }
}
