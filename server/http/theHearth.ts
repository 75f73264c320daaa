import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { LEAST_PASSPHRASE } from '../../contracts/house'
import { processAside, type Aside } from '../services/aside'
import { clockFrom } from '../services/clock'
import { openHearth, type Hearth } from '../services/hearth'
import { FolderInUse, FolderNotWritable } from '../services/startRefused'
import { stock } from '../services/stock'
import { saidOfCopies, takeCopy } from '../services/takeCopy'
import { fileMoment } from '../services/fileStamps'

let opening: Promise<Hearth> | null = null

/**
 * The hearth of this process, opened at the first call in the folder `HEARTH_DATA` (default `.data`).
 *
 * @returns the open hearth
 */
export function theHearth(): Promise<Hearth> {
  opening ??= opened()
  return opening
}

const folder = (): string => process.env.HEARTH_DATA ?? '.data'

/**
 * What stands against a start, in sentences: what happened, which copies are good, how each is taken.
 *
 * @param error what opening threw
 * @returns lines of text
 */
export async function whyNot(error: unknown): Promise<string> {
  if (error instanceof FolderInUse || error instanceof FolderNotWritable)
    return `The hearth did not start. ${error.message}`
  const copies = await saidOfCopies(folder(), process.env.HEARTH_COMMAND ?? 'npm start').catch(String)
  return `The hearth did not start. ${error instanceof Error ? error.message : String(error)}\n${copies}`
}

/** The program that works aside stands beside the built server; the development server has none and does it itself. */
function asideHere(): ((file: string) => Aside) | undefined {
  const program = join(dirname(process.argv[1] ?? ''), 'aside.mjs')
  return existsSync(program) ? file => processAside(program, file) : undefined
}

async function opened(): Promise<Hearth> {
  const clock = clockFrom(process.env)
  const wish = process.env.HEARTH_TAKE_COPY
  if (wish) {
    const { name, aside } = await takeCopy(folder(), wish, fileMoment(clock.now()))
    console.log(`The copy ${name} was taken. What stood there before lies in ${aside}.`)
  }
  const hearth = await openHearth(folder(), clock, asideHere())
  await stock(hearth)
  void hearth.copies.keep()
  void hearth.openCooks.look().catch((error: unknown) => console.error(error))
  if (process.env.HEARTH_FORGET_PASSPHRASE === '1') await hearth.house.forgetPassphrase()
  const first = process.env.HEARTH_PASSPHRASE
  if (first && first.length >= LEAST_PASSPHRASE && !(await hearth.house.hasPassphrase()))
    await hearth.house.setPassphrase(first, null, null)
  return hearth
}
