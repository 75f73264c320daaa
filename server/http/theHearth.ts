import { LEAST_PASSPHRASE } from '../../contracts/house'
import { clockFrom } from '../services/clock'
import { openHearth, type Hearth } from '../services/hearth'
import { stock } from '../services/stock'

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

async function opened(): Promise<Hearth> {
  const hearth = await openHearth(process.env.HEARTH_DATA ?? '.data', clockFrom(process.env))
  await stock(hearth)
  void hearth.copies.keep()
  if (process.env.HEARTH_FORGET_PASSPHRASE === '1') await hearth.house.forgetPassphrase()
  const first = process.env.HEARTH_PASSPHRASE
  if (first && first.length >= LEAST_PASSPHRASE && !await hearth.house.hasPassphrase()) await hearth.house.setPassphrase(first, null, null)
  return hearth
}
