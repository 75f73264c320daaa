import { readdirSync } from 'node:fs'
import { cookOne, kill9, killed, start, type House, type Killing } from './house'

/** Backups that are cut off by the end of the server: nothing of them is left, and none passes for a whole one. */
export async function backups(house: House, how: Killing): Promise<void> {
  const first = await start(house, how)
  await cookOne(house, 'kept')
  await kill9(first)
  for (let kill = 0; kill < how.kills; kill++) {
    await killed(house, how, async (goesOn) => {
      while (goesOn()) {
        const answer = await fetch(`${house.url}/api/backup`)
        await answer.arrayBuffer()
        house.tally.acknowledged++
      }
    }, 60 + 1200 * house.uniform())
    if (readdirSync(house.folder).some(name => name.startsWith('.') || name.endsWith('.half'))) house.tally.half++
  }
}
