import { join } from 'node:path'
import { onOwn } from '../../../server/services/ownConnection'
import { killed, send, type House, type Killing } from './house'

const DAY = {
  name: 'Killed',
  eve: '2026-11-28',
  meals: [],
  dishes: [],
  hands: [],
  nights: null,
  fires: [],
  vessels: [],
  washMin: 3,
  wishes: [],
  shared: [],
  promises: [],
  plan: null,
  doings: [],
  cooks: [],
}

/**
 * A day that is changed again and again: the last revision that was acknowledged stands, or the one that was on its
 * way.
 */
export async function days(house: House, how: Killing): Promise<void> {
  let revision = 0
  for (let kill = 0; kill < how.kills; kill++) {
    const id = `day-${Math.floor(kill / 10)}`
    if (kill % 10 === 0) revision = 0
    await killed(house, how, async (goesOn, acknowledged) => {
      while (goesOn()) {
        const kept = await send<{ revision: number }>(house, 'PUT', `/spreads/${id}`, {
          ...DAY,
          id,
          revision,
          name: `Killed ${revision + 1}`,
        })
        if (!kept) return
        revision = kept.revision
        house.tally.acknowledged++
        acknowledged()
      }
    }, 60 + 300 * house.uniform(), 'acknowledged')
    const [row] = await onOwn(join(house.folder, 'hearth.sqlite'), 'read', own =>
      own.all<{ revision: number, name: string, spread: string }>(
        'SELECT revision, name, spread FROM spreads WHERE id = ?',
        [id],
      ),
    )
    if (row && (row.revision < revision || row.revision > revision + 1)) house.tally.lost++
    if (!row && revision > 0) house.tally.lost++
    if (
      row
      && (row.name !== `Killed ${row.revision}`
        || (JSON.parse(row.spread) as { revision: number }).revision !== row.revision)
    )
      house.tally.half++
    revision = row?.revision ?? 0
  }
}
