import { cpSync, mkdirSync, mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { onOwn } from '../../../server/services/ownConnection'
import { cookOne, kill9, killed, read, start, type House, type Killing } from './house'

/** A house with a batch in it, and a backup of another one that takes its place: it is always wholly one of the two. */
export async function restores(house: House, how: Killing): Promise<void> {
  const made = await start(house, how)
  await cookOne(house, 'of-the-backup')
  const backup = Buffer.from(await (await fetch(`${house.url}/api/backup`)).arrayBuffer())
  await kill9(made)
  rmSync(house.folder, { recursive: true })
  mkdirSync(house.folder)
  const other = await start(house, how)
  await cookOne(house, 'of-the-house')
  await kill9(other)
  const before = mkdtempSync(join(tmpdir(), 'yon-hearth-kills-before-'))
  cpSync(house.folder, before, { recursive: true })
  for (let kill = 0; kill < how.kills; kill++) {
    rmSync(house.folder, { recursive: true })
    cpSync(before, house.folder, { recursive: true })
    let restored = false
    await killed(house, how, async () => {
      const answer = await fetch(`${house.url}/api/backup/restore?putAside=1`, {
        method: 'POST',
        body: backup,
        headers: { 'content-type': 'application/gzip' },
      })
      restored = answer.ok
      if (restored) house.tally.acknowledged++
    }, 100 + 1400 * house.uniform())
    const server = await start(house, how)
    const ids = (await read<{ batches: { id: string }[] }>(house, '/batches')).batches.map(one => one.id).join()
    if (ids !== 'of-the-backup' && ids !== 'of-the-house') house.tally.half++
    if (restored && ids !== 'of-the-backup') house.tally.lost++
    if (ids === 'of-the-backup' && !(await copiesHold(house.folder, 'of-the-house'))) house.tally.lost++
    await kill9(server)
    if (isLeft(house.folder)) house.tally.half++
  }
  rmSync(before, { recursive: true, force: true })
}

async function copiesHold(folder: string, id: string): Promise<boolean> {
  for (const name of readdirSync(join(folder, 'copies'))) {
    const rows = await onOwn(join(folder, 'copies', name), 'read', own =>
      own.all('SELECT 1 FROM batches WHERE id = ?', [id]),
    ).catch(() => [])
    if (rows.length > 0) return true
  }
  return false
}

/** Whether anything of a restore stays once all have ended. */
const isLeft = (folder: string): boolean => readdirSync(folder).some(name => name.startsWith('.'))
