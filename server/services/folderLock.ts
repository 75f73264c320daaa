import { join } from 'node:path'
import { openOwn } from './ownConnection'
import { FolderInUse } from './startRefused'

/** One hearth per folder, for as long as this is held; it goes with the process, however that ends. */
export interface FolderLock { free(): Promise<void> }

/** One that is just ending is waited for, ms. */
const ENDING_MS = 1500

/**
 * Takes the lock of a folder: the write lock of a database of its own, which the operating system takes back from a
 * process that ends (SQLite, *File Locking and Concurrency*, 2.0).
 *
 * @param folder where the database lies
 * @returns the lock
 * @throws FolderInUse
 */
export async function lockFolder(folder: string): Promise<FolderLock> {
  try {
    const own = await openOwn(join(folder, 'hearth.lock'), 'make', ENDING_MS)
    await own.run('BEGIN EXCLUSIVE').catch(async (error: unknown) => {
      await own.close()
      throw error
    })
    return { free: () => own.close() }
  }
  catch (error) {
    throw /SQLITE_BUSY/.test(String(error)) ? new FolderInUse(folder) : error
  }
}
