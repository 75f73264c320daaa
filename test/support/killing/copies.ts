import { readdirSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { checkCopy } from '../../../server/services/goodCopies'
import { killedRunning, spawned, type House, type Killing } from './house'

/** Copies of the day that are cut off: each that counts as a copy is whole. */
export async function copies(house: House, how: Killing): Promise<void> {
  for (let kill = 0; kill < how.kills; kill++) {
    rmSync(join(house.folder, 'copies'), { recursive: true, force: true })
    const server = spawned(house, how)
    await killedRunning(house, server, () => Promise.resolve(), 500 + 1500 * house.uniform())
    for (const name of readdirSync(house.folder).includes('copies') ? readdirSync(join(house.folder, 'copies')) : []) {
      if (name.endsWith('.half')) continue
      if (!(await checkCopy(join(house.folder, 'copies', name))).good) house.tally.half++
      house.tally.acknowledged++
    }
  }
}
