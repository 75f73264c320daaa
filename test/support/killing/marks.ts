import { join } from 'node:path'
import { mainLine } from '../../../core/formulation/dish/mainLine'
import { onOwn } from '../../../server/services/ownConnection'
import { kill9, killed, PLAN, read, send, start, type House, type Killing } from './house'

const STAGES = mainLine(PLAN.dish).map(stage => stage.id)

/** A mark as a device sends it. */
export interface Sent {
  readonly id: string
  readonly device: string
  readonly number: number
  readonly deviceTime: number
  readonly kind: string
  readonly payload: Record<string, unknown>
}
interface Cook { readonly id: string, number: number, waiting: Sent[], readonly acknowledged: Set<string> }

/** Marks of some cooks at once: each that was acknowledged is there once. */
export async function marks(house: House, how: Killing): Promise<void> {
  const cooks: Cook[] = []
  for (let kill = 0; kill < how.kills; kill++) {
    await killed(house, how, async (goesOn, acknowledged) => {
      // A cook lasts some kills; then others are begun.
      if (kill % 10 === 0) {
        const fresh = Array.from({ length: how.cooks }, (_, i): Cook => ({
          id: `killed-${kill}-${i}`,
          number: 0,
          waiting: [],
          acknowledged: new Set(),
        }))
        for (const cook of fresh) await send(house, 'PUT', `/cooks/${cook.id}`, { ...PLAN, id: cook.id })
        cooks.push(...fresh)
      }
      await Promise.all(cooks.slice(-how.cooks).map(cook => write(house, cook, goesOn, acknowledged)))
    }, 60 + 300 * house.uniform(), 'acknowledged')
    const times = await onOwn(join(house.folder, 'hearth.sqlite'), 'read', async (own) => {
      const rows = await own.all<{ id: string, n: number }>(
        'SELECT id, count(*) AS n FROM observations GROUP BY stream, id',
      )
      return new Map(rows.map(row => [row.id, row.n]))
    })
    house.tally.lost += cooks.reduce((sum, cook) => sum + [...cook.acknowledged].filter(id => !times.has(id)).length, 0)
    house.tally.doubled += [...times.values()].filter(n => n > 1).length
  }
  house.tally.acknowledged += cooks.reduce((sum, cook) => sum + cook.acknowledged.size, 0)
  const server = await start(house, how)
  for (const cook of cooks) {
    const { observations } = await read<{ observations: { id: string }[] }>(house, `/streams/${cook.id}/observations`)
    const there = observations.map(one => one.id)
    house.tally.lost += [...cook.acknowledged].filter(id => !there.includes(id)).length
    house.tally.doubled += there.length - new Set(there).size
  }
  await kill9(server)
}

/** Marks of one cook as fast as the server takes them, until it is gone. */
async function write(
  house: House,
  cook: Cook,
  goesOn: () => boolean,
  acknowledged: () => void,
): Promise<void> {
  while (goesOn()) {
    while (cook.waiting.length < 1 + Math.floor(3 * house.uniform())) cook.waiting.push(next(cook))
    const answer = await send<{ acknowledged: { id: string }[] }>(house, 'POST', `/streams/${cook.id}/observations`, {
      sentAt: Date.now(),
      observations: cook.waiting,
    })
    if (!answer) return
    for (const one of answer.acknowledged) cook.acknowledged.add(one.id)
    acknowledged()
    cook.waiting = cook.waiting.filter(one => !cook.acknowledged.has(one.id))
  }
}

/** The story of a cook, then notes: it starts, goes through its stages, and settles now and then. */
function next(cook: Cook): Sent {
  const number = ++cook.number
  const stage = STAGES[number - 1]
  const kind =
    number === 1
      ? 'cook.started'
      : stage
        ? 'stage.began'
        : number === STAGES.length + 1
          ? 'cook.finished'
          : number % 7 === 0
            ? 'outcome'
            : 'note'
  const payload =
    kind === 'stage.began'
      ? { stage }
      : kind === 'note'
        ? { text: `mark ${number}` }
        : kind === 'outcome'
          ? { faults: [], line: `after ${number}` }
          : {}
  return { id: `${cook.id}-${number}`, device: `device-${cook.id}`, number, deviceTime: Date.now(), kind, payload }
}
