import { mkdir, readdir, rename, rm, stat } from 'node:fs/promises'
import { join } from 'node:path'
import type { Copies } from '../../contracts/backup'
import type { HearthClock } from './clock'
import type { Database } from './database'

/** Copies of the database that are made by themselves. */
export interface DailyCopies {
  /** Makes today's where there is none yet, and lets the eleventh go. */
  keep(): Promise<void>
  list(): Promise<Copies>
  stop(): void
}

const KEPT = 10
/** How often it is looked at, real ms. */
const EVERY_MS = 30 * 60_000
const NAME = /^hearth-\d{4}-\d{2}-\d{2}\.sqlite$/

/**
 * Makes a copy of the database every day, the last ten kept, in the folder `copies` beside it.
 *
 * @param database an open database
 * @param clock gives the day
 * @param folder where the database lies
 * @returns the copies; the first is made by `keep`
 */
export function copiesOf(database: Database, clock: HearthClock, folder: string): DailyCopies {
  const place = join(folder, 'copies')
  const names = async (): Promise<string[]> => (await readdir(place).catch(() => [])).filter(name => NAME.test(name)).sort()
  let keeping: Promise<void> = Promise.resolve()
  const keepOne = async (): Promise<void> => {
    await mkdir(place, { recursive: true })
    const name = `hearth-${new Date(clock.now()).toISOString().slice(0, 10)}.sqlite`
    if ((await names()).includes(name)) return
    const half = join(place, `${name}.half`)
    await rm(half, { force: true })
    await database.sequelize.query('VACUUM INTO :half', { replacements: { half } })
    await rename(half, join(place, name))
    const all = await names()
    for (const old of all.slice(0, Math.max(0, all.length - KEPT))) await rm(join(place, old), { force: true })
  }
  const keep = (): Promise<void> => {
    keeping = keeping.then(keepOne).catch((error: unknown) => console.error(`Today's copy could not be made; the database itself is not touched. ${String(error)}`))
    return keeping
  }
  const timer = setInterval(() => void keep(), EVERY_MS)
  timer.unref()
  return {
    keep,
    async list() {
      const found = await Promise.all((await names()).reverse().map(async (name) => {
        const { size } = await stat(join(place, name))
        return { name, at: Date.parse(name.slice(7, 17)), bytes: size }
      }))
      return { copies: found, folder: 'copies' }
    },
    stop: () => clearInterval(timer),
  }
}
