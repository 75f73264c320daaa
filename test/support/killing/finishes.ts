import { kill9, killed, pause, PLAN, read, send, start, type House, type Killing } from './house'
import type { Sent } from './marks'

/** Cooks that are finished as fast as they can be: each that was acknowledged is a batch in the end, once. */
export async function finishes(house: House, how: Killing): Promise<void> {
  const finished: string[] = []
  let made = 0
  for (let kill = 0; kill < how.kills; kill++) {
    await killed(house, how, async (goesOn, acknowledged) => {
      while (goesOn()) {
        const id = `finished-${made++}`
        const now = Date.now()
        if (!await send(house, 'PUT', `/cooks/${id}`, { ...PLAN, id })) return
        const observations = ['cook.started', 'cook.finished', 'outcome'].map((kind, k): Sent => ({
          id: `${id}-${k}`,
          device: id,
          number: k + 1,
          deviceTime: now - 1000 * (3 - k),
          kind,
          payload: kind === 'outcome' ? { faults: ['dry'], line: id } : {},
        }))
        if (!await send(house, 'POST', `/streams/${id}/observations`, { sentAt: now, observations })) return
        finished.push(id)
        acknowledged()
        // Some a second, as fast as a whole house could: each is settled before the next kill is looked at.
        await pause(160 * house.uniform())
      }
    }, 300 + 1500 * house.uniform(), 'acknowledged')
  }
  house.tally.acknowledged += finished.length
  const server = await start(house, how)
  // As long as it goes on: a slow machine settles one in some seconds. What was kept without being acknowledged is
  // settled too,
  // and what is a batch is no longer on the fire.
  let found = new Map<string, Listed[]>()
  let burning: readonly string[] = []
  for (
    let still = 0;
    still < 120 && (still === 0 || burning.length > 0 || finished.some(id => !found.has(id)));
    still++
  ) {
    await pause(500)
    burning = await finishedOnFire(house)
    const now = await settledBatches(house)
    if (now.size > found.size) still = 0
    found = now
  }
  house.tally.lost += finished.filter(id => !found.has(id)).length
  house.tally.doubled += [...found.values()].filter(times => times.length > 1).length
  house.tally.half += [...found.values()]
    .flat()
    .filter(one => one.summary.line !== one.id || one.summary.faults[0] !== 'dry').length
  house.tally.half += burning.length
  await kill9(server)
}

interface Listed {
  readonly id: string
  readonly summary: { readonly faults: readonly string[], readonly line: string }
}

/** Cooks that are finished and yet on the fire; one whose plan alone was kept before a kill is there by right. */
async function finishedOnFire(house: House): Promise<string[]> {
  const found: string[] = []
  for (const { id } of (await read<{ cooks: { id: string }[] }>(house, '/cooks')).cooks) {
    const { observations } = await read<{ observations: { kind: string }[] }>(house, `/cooks/${id}`)
    if (observations.some(one => one.kind === 'cook.finished')) found.push(id)
  }
  return found
}

/** Every batch of the ledger by its id, as often as it is listed. */
async function settledBatches(house: House): Promise<Map<string, Listed[]>> {
  const found = new Map<string, Listed[]>()
  for (let cursor: string | null = ''; cursor !== null;) {
    const page: { batches: Listed[], next: string | null } = await read(
      house,
      `/batches?limit=200${cursor ? `&cursor=${cursor}` : ''}`,
    )
    for (const one of page.batches) found.set(one.id, [...found.get(one.id) ?? [], one])
    cursor = page.next
  }
  return found
}
