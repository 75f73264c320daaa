import { QueryTypes } from 'sequelize'
import type { SettlingWay } from '../../contracts/aside'
import { isMarkKind, MARK_KIND_IDS, MARK_KINDS } from '../../core/record/marks/kinds'
import { AsideFailed, type Aside } from './aside'
import type { Batches } from './batches'
import type { Cooks } from './cooks'
import type { Database } from './database'
import { Refusal } from './refusal'

/** Finished cooks become batches here, aside; what waits is the log itself, and so outlives a kill. */
export interface Settling {
  /** Something was appended to a stream. */
  heard(stream: string, kinds: readonly string[]): void
  /** Waits until what waits now is settled, but no longer than is said; a cook by itself, or all of them. */
  settled(withinMs?: number, cook?: string): Promise<void>
  /** Takes up what was cut off. */
  takeUp(): Promise<void>
  /** Begins nothing more: what waits is taken up at the next start. */
  stop(): void
}

/** Kinds after which a cook has to be run anew; and those that are only told anew. */
const RUN = MARK_KIND_IDS.filter(kind => MARK_KINDS[kind].settles === 'run')
const TOLD = MARK_KIND_IDS.filter(kind => MARK_KINDS[kind].settles === 'telling')
/** How long a cook may take to be settled, ms; longer, and it becomes a batch of what was marked alone. */
const BUDGET_MS = 90_000
const BARE_MS = 60_000
/** How often it is tried anew where the process that works on it ends. */
const MOST_TRIES = 3

/**
 * The settling of one database. How far each cook's log is settled stands with the cook: whatever was acknowledged
 * beyond it is taken up at the next start.
 *
 * @param database an open database
 * @param aside where cooks are worked out
 * @param cooks what is a cook at all
 * @param batches where they are kept
 * @returns the settling; `takeUp` begins it
 */
export function settlingOf(database: Database, aside: Aside, cooks: Cooks, batches: Batches): Settling {
  /** What waits; a cook waits once, however much is marked meanwhile. */
  const waiting = new Map<string, SettlingWay>()
  const turns = new Map<string, Promise<void>>()
  let last: Promise<void> = Promise.resolve()
  let stopped = false
  const again = new Map<string, number>()

  const work = async (cook: string): Promise<void> => {
    const way = waiting.get(cook) ?? 'settle'
    waiting.delete(cook)
    try {
      if (stopped || !await cooks.has(cook)) return
      await batches.keep(cook, await aside.ask({ kind: 'settle', cook, way }, BUDGET_MS).catch((error: unknown) => {
        if (!(error instanceof AsideFailed) || error.why === 'ended') throw error
        console.error(
          `A cook could not be settled in full (${cook}); what was marked is kept as its batch. ${error.message}`,
        )
        return aside.ask({ kind: 'settle', cook, way: 'bare' }, BARE_MS)
      }))
    }
    catch (error) {
      if (error instanceof Refusal) return
      if (error instanceof AsideFailed && error.why === 'ended') {
        // What worked on it ended by itself: it is tried again, some times; with the hearth it is taken up at the next
        // start.
        const tried = (again.get(cook) ?? 0) + 1
        again.set(cook, tried)
        if (!stopped && tried <= MOST_TRIES) settle(cook, way)
        return
      }
      console.error(
        `A batch could not be settled; its observations are safe, and it is tried again at the next start. ${String(error)}`,
      )
    }
    finally {
      if (!waiting.has(cook)) turns.delete(cook)
    }
  }
  const settle = (cook: string, way: SettlingWay): void => {
    const known = waiting.get(cook)
    waiting.set(cook, known === 'settle' ? known : way)
    if (known) return
    last = last.then(() => work(cook))
    turns.set(cook, last)
  }
  return {
    heard(stream, kinds) {
      const ways = kinds.filter(isMarkKind).map(kind => MARK_KINDS[kind].settles)
      if (ways.includes('run')) settle(stream, 'settle')
      else if (ways.includes('telling')) settle(stream, 'retell')
    },
    async settled(withinMs, cook) {
      const turn = cook === undefined ? last : turns.get(cook) ?? Promise.resolve()
      if (withinMs === undefined) return turn
      let timer: ReturnType<typeof setTimeout> | undefined
      await Promise.race([turn, new Promise<void>((done) => {
        timer = setTimeout(done, withinMs)
      })])
      clearTimeout(timer)
    },
    async takeUp() {
      const rows = await database.sequelize.query<{ id: string, run: number }>(
        `SELECT c.id AS id, max(o.kind IN (:run)) AS run FROM observations o JOIN cooks c ON c.id = o.stream
         WHERE o.kind IN (:kinds) AND o.place > c.settled_place GROUP BY c.id
         UNION SELECT c.id, 1 FROM cooks c LEFT JOIN batches b ON b.id = c.id WHERE c.finished_at IS NOT NULL AND b.id IS NULL`,
        { type: QueryTypes.SELECT, replacements: { run: RUN, kinds: [...RUN, ...TOLD] } },
      )
      for (const row of rows) settle(row.id, row.run === 1 ? 'settle' : 'retell')
    },
    stop() {
      stopped = true
    },
  }
}
