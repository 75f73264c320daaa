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
  opening ??= openHearth(process.env.HEARTH_DATA ?? '.data', clockFrom(process.env)).then(async (hearth) => {
    await stock(hearth)
    void hearth.copies.keep()
    const first = process.env.HEARTH_PASSPHRASE
    if (first && first.length >= LEAST_PASSPHRASE && !await hearth.house.hasPassphrase()) await hearth.house.setPassphrase(first, null)
    return hearth
  })
  return opening
}
