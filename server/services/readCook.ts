import { CookPlanSchema, type Cook } from '../../contracts/cook'
import type { StoredObservation } from '../../contracts/observation'
import type { OwnConnection } from './ownConnection'
import { toObservation } from './streams'

/** Observations read at once. */
const AT_ONCE = 1000

/**
 * A cook as a connection of its own reads it: plan and log.
 *
 * @param own the connection
 * @param id of the cook
 * @returns the cook; null where there is none, or its plan cannot be read
 */
export async function readCook(own: OwnConnection, id: string): Promise<Cook | null> {
  const [row] = await own.all<{ plan: string }>('SELECT plan FROM cooks WHERE id = ?', [id])
  const plan = row ? CookPlanSchema.safeParse(parsed(row.plan)) : null
  return plan?.success ? { plan: plan.data, observations: await readLog(own, id) } : null
}

async function readLog(own: OwnConnection, stream: string): Promise<StoredObservation[]> {
  const all: StoredObservation[] = []
  for (let from = 0; ;) {
    const rows = await own.all<Record<string, unknown>>(
      'SELECT * FROM observations WHERE stream = ? AND place > ? ORDER BY place LIMIT ?',
      [stream, from, AT_ONCE],
    )
    for (const row of rows) all.push(toObservation(row))
    if (rows.length < AT_ONCE) return all
    from = Number(rows.at(-1)!.place)
  }
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  }
  catch {
    return null
  }
}
