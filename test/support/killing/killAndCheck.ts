import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { seededRandom } from '../../../core/maths/random/seededRandom'
import { freePort } from '../freePort'
import { backups } from './backups'
import { copies } from './copies'
import { days } from './days'
import { finishes } from './finishes'
import { KILLED_IN, type House, type Killed, type KilledIn, type Killing, type Tally } from './house'
import { marks } from './marks'
import { migrations } from './migrations'
import { restores } from './restores'
import { shelves } from './shelves'

type Way = (house: House, how: Killing) => Promise<void>
const WAYS: Readonly<Record<KilledIn, Way>> = { marks, finishes, days, shelves, restores, backups, copies, migrations }

/**
 * Kills a server again and again in the middle of things, and looks afterwards: on disk, by what it answers, in its
 * ledger. Devices behave as ours do: what was not acknowledged is sent again with the same id.
 *
 * @param how how often in each thing, with how many cooks at once
 * @returns what was lost, doubled or half: nothing should be
 */
export async function killAndCheck(how: Killing): Promise<Killed> {
  const tally: Tally = { kills: 0, acknowledged: 0, lost: 0, doubled: 0, half: 0, whole: 0, longestStartMs: 0 }
  for (const kind of how.of ?? KILLED_IN) {
    const folder = mkdtempSync(join(tmpdir(), `yon-hearth-kills-${kind}-`))
    const port = await freePort()
    const house: House = {
      folder,
      port,
      url: `http://127.0.0.1:${port}`,
      uniform: seededRandom(11 + KILLED_IN.indexOf(kind)),
      tally,
    }
    await WAYS[kind](house, how)
    how.say(
      `${kind}: ${tally.kills} kills so far, ${tally.acknowledged} acknowledged, ${tally.lost} lost, ${tally.doubled} doubled, ${tally.half} half, longest start ${Math.round(tally.longestStartMs)} ms`,
    )
    rmSync(folder, { recursive: true, force: true })
  }
  return tally
}
