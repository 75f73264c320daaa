import { isOneOf, keysOf } from '../../core/records'
import { mkdir, readdir, rename, rm, stat } from 'node:fs/promises'
import { join } from 'node:path'
import type { Copies, CopyKind } from '../../contracts/backup'
import type { HearthClock } from './clock'
import { checkCopy } from './goodCopies'
import { onOwn } from './ownConnection'
import { fileDay, fileMoment } from './fileStamps'

/** Copies of the database that are made by themselves. */
export interface DailyCopies {
  /** Makes today's where there is none yet, and lets the eleventh go. */
  keep(): Promise<void>
  /** Puts everything as it stands now aside, before something takes its place; answers with the copy's name. */
  putAside(why: Exclude<CopyKind, 'daily'>): Promise<string>
  list(): Promise<Copies>
  /** Takes a removed photograph out of every copy. */
  forgetPhoto(id: string): Promise<void>
  /** Makes no more, and waits for the one that is being made. */
  stop(): Promise<void>
}

/** Copies of each kind that are kept. */
const KEPT: Readonly<Record<CopyKind, number>> = { 'daily': 10, 'before-update': 3, 'before-restore': 3 }
/** Copies dated ahead of today, by a clock that was wrong: they push out none of the others. */
const KEPT_AHEAD = 2
/** How often it is looked at, real ms. */
const EVERY_MS = 30 * 60_000

/**
 * What kind of copy a file is.
 *
 * @param name of the file
 * @returns its kind; null where it is none
 */
export function kindOfCopy(name: string): CopyKind | null {
  if (/^hearth-\d{4}-\d{2}-\d{2}\.sqlite$/.test(name)) return 'daily'
  const [, kind] = /^(before-update|before-restore)-[\dTZ-]+\.sqlite$/.exec(name) ?? []
  return isOneOf(keysOf(KEPT), kind) ? kind : null
}

/**
 * The names of the copies of a house, oldest first within each kind.
 *
 * @param folder where the database lies
 * @returns file names in the folder `copies`
 */
export async function copiesIn(folder: string): Promise<string[]> {
  return (await readdir(join(folder, 'copies')).catch(() => [])).filter(name => kindOfCopy(name) !== null).sort()
}

/**
 * Copies the database as it stands, on a connection of its own; the copy is looked at before it counts.
 *
 * @param folder where the database lies
 * @param name of the copy
 * @throws what SQLite says, or that the copy is not whole; no copy is left then
 */
export async function makeCopy(folder: string, name: string): Promise<void> {
  const place = join(folder, 'copies')
  await mkdir(place, { recursive: true })
  const half = join(place, `${name}.half`)
  await rm(half, { force: true })
  try {
    await onOwn(join(folder, 'hearth.sqlite'), 'read', own => own.run('VACUUM INTO ?', [half]))
    const found = await checkCopy(half)
    if (!found.good) throw new Error(found.why)
    await rename(half, join(place, name))
  }
  finally {
    await rm(half, { force: true })
  }
}

/**
 * Lets the oldest copies of a kind go.
 *
 * @param folder where the database lies
 * @param today calendar date, ISO 8601: daily copies dated ahead of it are counted by themselves
 */
export async function letOldGo(folder: string, today: string): Promise<void> {
  const all = await copiesIn(folder)
  const ahead = (name: string): boolean => kindOfCopy(name) === 'daily' && name > `hearth-${today}.sqlite`
  const gone = [
    ...(keysOf(KEPT)).flatMap(kind =>
      all.filter(name => kindOfCopy(name) === kind && !ahead(name)).slice(0, -KEPT[kind]),
    ),
    ...all.filter(ahead).slice(0, -KEPT_AHEAD),
  ]
  for (const name of gone) await rm(join(folder, 'copies', name), { force: true })
}

/**
 * Makes a copy of the database every day, the last ten kept, in the folder `copies` beside it.
 *
 * @param clock gives the day
 * @param folder where the database lies
 * @returns the copies; the first is made by `keep`
 */
export function copiesOf(clock: HearthClock, folder: string): DailyCopies {
  const place = join(folder, 'copies')
  const today = (): string => fileDay(clock.now())
  let keeping: Promise<unknown> = Promise.resolve()
  const inTurn = <T>(what: () => Promise<T>): Promise<T> => {
    const turn = keeping.then(what)
    keeping = turn.catch(() => undefined)
    return turn
  }
  const keepOne = async (): Promise<void> => {
    const name = `hearth-${today()}.sqlite`
    if (!(await copiesIn(folder)).includes(name)) await makeCopy(folder, name)
    await letOldGo(folder, today())
  }
  const keep = (): Promise<void> =>
    inTurn(keepOne).catch((error: unknown) =>
      console.error(`Today's copy could not be made; the database itself is not touched. ${String(error)}`),
    )
  const timer = setInterval(() => void keep(), EVERY_MS)
  timer.unref()
  return {
    keep,
    putAside: why => inTurn(async () => {
      const name = `${why}-${fileMoment(clock.now())}.sqlite`
      await makeCopy(folder, name)
      await letOldGo(folder, today())
      return name
    }),
    async list() {
      const found = await Promise.all((await copiesIn(folder)).reverse().map(async (name) => {
        const kind = kindOfCopy(name)!
        const { size, mtimeMs } = await stat(join(place, name))
        return { name, kind, at: kind === 'daily' ? Date.parse(name.slice(7, 17)) : Math.round(mtimeMs), bytes: size }
      }))
      return { copies: found.sort((p, q) => q.at - p.at), folder: 'copies' }
    },
    forgetPhoto: id => inTurn(async () => {
      for (const name of await copiesIn(folder)) {
        await onOwn(join(place, name), 'write', async (own) => {
          const [known] = await own.all('SELECT 1 FROM sqlite_master WHERE name = \'photos\'')
          if (!known) return
          await own.run('PRAGMA secure_delete = ON')
          await own.run('DELETE FROM photos WHERE id = ?', [id])
        }).catch((error: unknown) => console.error(`A removed photograph may still stand in ${name}. ${String(error)}`))
      }
    }),
    async stop() {
      clearInterval(timer)
      await keeping
    },
  }
}
