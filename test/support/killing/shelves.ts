import { join } from 'node:path'
import { onOwn } from '../../../server/services/ownConnection'
import { killed, send, type House, type Killing } from './house'

const CUP = { kind: 'cup', volumeMl: 200, topMm: 80, bottomMm: 70, heightMm: 60, origin: 'weighed' }

/** A shelf on which things change: each stands as it was acknowledged last, or as it was on its way. */
export async function shelves(house: House, how: Killing): Promise<void> {
  const stands = new Map<string, number>()
  let volume = 100
  for (let kill = 0; kill < how.kills; kill++) {
    const sent = new Map<string, number>()
    await killed(house, how, async (goesOn, acknowledged) => {
      while (goesOn()) {
        const id = `cup-${Math.floor(5 * house.uniform())}`
        volume++
        sent.set(id, volume)
        if (!(await send(house, 'PUT', `/kitchen/measures/${id}`, { ...CUP, id, name: `Cup ${id}`, volumeMl: volume })))
          return
        stands.set(id, volume)
        house.tally.acknowledged++
        acknowledged()
      }
    }, 60 + 300 * house.uniform(), 'acknowledged')
    const rows = await onOwn(join(house.folder, 'hearth.sqlite'), 'read', own =>
      own.all<{ id: string, item: string }>("SELECT id, item FROM shelf_items WHERE shelf = 'measures'"),
    )
    const found = new Map(rows.map(row => [row.id, (JSON.parse(row.item) as { volumeMl: number }).volumeMl]))
    for (const [id, was] of stands) {
      const now = found.get(id)
      if (now === undefined || (now !== was && now !== sent.get(id))) house.tally.lost++
      else stands.set(id, now)
    }
    house.tally.doubled += rows.length - found.size
  }
}
