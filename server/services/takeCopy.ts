import { copyFile, link, mkdir, open, rename, rm, stat } from 'node:fs/promises'
import { join } from 'node:path'
import { copiesIn, kindOfCopy } from './copies'
import { lockFolder } from './folderLock'
import { checkCopy } from './goodCopies'
import { StartRefused } from './startRefused'

const DATABASE = 'hearth.sqlite'
const TAKING = `${DATABASE}.taking`
const FILES = [DATABASE, `${DATABASE}-wal`, `${DATABASE}-shm`]

/**
 * Puts a copy in the place of the database. The copy is looked at first; what stood there is kept in a folder
 * `aside-…`, and a cut anywhere leaves either the old database or the copy, never half of one.
 *
 * @param folder where the database lies
 * @param wish a day (`2026-11-28`) or the name of a copy
 * @param stamp text for the name of the folder where the old one is put
 * @returns the name of the copy that was taken, and where the old one lies
 * @throws StartRefused where there is no such copy, it is not good, or another hearth has the folder
 */
export async function takeCopy(
  folder: string,
  wish: string,
  stamp: string,
): Promise<{ readonly name: string, readonly aside: string }> {
  const lock = await lockFolder(folder)
  try {
    const names = await copiesIn(folder)
    const name = names.find(one => one === wish || one === `${wish}.sqlite` || one === `hearth-${wish}.sqlite`)
    if (name === undefined)
      throw new StartRefused(`There is no copy “${wish}”. Nothing was changed.\n${await saidOfCopies(folder)}`)
    const copy = join(folder, 'copies', name)
    const found = await checkCopy(copy)
    if (!found.good)
      throw new StartRefused(
        `The copy ${name} is not good: ${found.why}. Nothing was changed.\n${await saidOfCopies(folder)}`,
      )
    const half = join(folder, `${TAKING}.half`)
    await copyFile(copy, half)
    await onDisk(half)
    const aside = `aside-${stamp}`
    await mkdir(join(folder, aside), { recursive: true })
    for (const file of FILES) {
      if (
        await stat(join(folder, file)).then(
          () => true,
          () => false,
        )
      )
        await link(join(folder, file), join(folder, aside, file))
    }
    // From here on the copy is the database: whoever starts next finishes what is left.
    await rename(half, join(folder, TAKING))
    await onDisk(folder)
    await finishTaking(folder)
    return { name, aside }
  } finally {
    await lock.free()
  }
}

/**
 * Finishes taking a copy that was cut off; does nothing where none was.
 *
 * @param folder where the database lies; the caller holds its lock
 */
export async function finishTaking(folder: string): Promise<void> {
  if (!await stat(join(folder, TAKING)).then(() => true, () => false)) return
  for (const file of FILES.slice(1)) await rm(join(folder, file), { force: true })
  await rename(join(folder, TAKING), join(folder, DATABASE))
  await onDisk(folder)
}

async function onDisk(path: string): Promise<void> {
  const handle = await open(path, 'r')
  try {
    await handle.sync()
  }
  finally {
    await handle.close()
  }
}

/**
 * Which copies are good, and how each is taken, for who stands before a house that does not start.
 *
 * @param folder where the database lies
 * @param command that starts the hearth
 * @returns lines of text; the copies are only read
 */
export async function saidOfCopies(folder: string, command = 'npm start'): Promise<string> {
  const names = (await copiesIn(folder)).reverse()
  if (names.length === 0) return 'There are no copies of this house yet.'
  const lines: string[] = []
  for (const name of names) {
    const found = await checkCopy(join(folder, 'copies', name))
    const wish = kindOfCopy(name) === 'daily' ? name.slice(7, 17) : name
    lines.push(found.good
      ? `  ${wish}, ${found.batches} ${found.batches === 1 ? 'batch' : 'batches'}: ${command} -- --take-copy ${wish}`
      : `  ${wish} is not good: ${found.why}`)
  }
  return `Copies of this house (taking one keeps what stands there now in a folder beside it):\n${lines.join('\n')}`
}
