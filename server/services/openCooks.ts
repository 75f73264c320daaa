import { QueryTypes } from 'sequelize'
import type { AppendRequest } from '../../contracts/observation'
import type { Aside } from './aside'
import type { HearthClock } from './clock'
import type { Database } from './database'
import { LEFT_OPEN_MS } from './jobs'

/** Cooks that were left open: asked about, and at last closed by their own forecast. */
export interface OpenCooks {
  /** When a cook that is still open was likeliest done, ms since 1970; null where it may still be on the fire. */
  likelyDoneAt(cook: string): number | null
  /** Says that a cook was done then; it becomes a batch. */
  close(cook: string, doneAt: number, by: 'forecast' | 'asked'): Promise<void>
  /** Looks at all of them. */
  look(): Promise<void>
  stop(): void
}

type Append = (stream: string, request: AppendRequest) => Promise<unknown>

/**
 * How often they are looked at, real ms; how long one is left alone after its last mark, ms; how long a forecast may
 * take.
 */
const EVERY_MS = 5 * 60_000
const QUIET_MS = 30 * 60_000
const BUDGET_MS = 30_000
/** One that was marked in so lately is being cooked, ms: until then the clock is not moved. */
const COOKED_MS = 2 * 3600_000
/** So many are looked at, the oldest first. */
const MOST = 50

/**
 * The cooks of one database that nobody finished.
 *
 * @param database an open database
 * @param clock the one clock
 * @param aside where forecasts are worked out
 * @param append how a mark is stored
 * @returns the watch over them
 */
export function openCooksOf(database: Database, clock: HearthClock, aside: Aside, append: Append): OpenCooks {
  const done = new Map<string, { readonly markedAt: number, readonly doneAt: number | null }>()
  const close = async (cook: string, doneAt: number, by: 'forecast' | 'asked'): Promise<void> => {
    const now = clock.now()
    // One id for each: closed once, taken back, it stays open.
    await append(cook, {
      sentAt: now,
      observations: [
        {
          id: `closed-by-${by}`,
          device: `hearth-${by}`,
          number: 1,
          deviceTime: Math.min(doneAt, now),
          kind: 'cook.finished',
          payload: { by },
        },
      ],
    })
    done.delete(cook)
  }
  const lookAt = async (cook: string, markedAt: number): Promise<void> => {
    const now = clock.now()
    const known = done.get(cook)
    if (known?.markedAt !== markedAt) done.delete(cook)
    if (now - markedAt < QUIET_MS) return
    const found =
      known?.markedAt === markedAt && known.doneAt !== null
        ? { doneAt: known.doneAt, stillLikely: false }
        : await aside.ask({ kind: 'closing', cook, nowMs: now }, BUDGET_MS)
    const doneAt = found.stillLikely ? null : found.doneAt
    done.set(cook, { markedAt, doneAt })
    if (doneAt !== null && now - Math.max(doneAt, markedAt) > LEFT_OPEN_MS) await close(cook, doneAt, 'forecast')
  }
  const isCooked = async (): Promise<boolean> => {
    const [row] = await database.sequelize.query<{ marked_at: number | null }>(
      `SELECT max(o.received_at) AS marked_at FROM cooks c JOIN observations o ON o.stream = c.id
       WHERE c.started_at IS NOT NULL AND c.finished_at IS NULL`, { type: QueryTypes.SELECT })
    return row?.marked_at != null && clock.now() - row.marked_at < COOKED_MS
  }
  let looking: Promise<void> | null = null
  const look = async (): Promise<void> => {
    const rows = await database.sequelize.query<{ id: string, marked_at: number }>(
      `SELECT c.id AS id, max(o.received_at) AS marked_at FROM cooks c JOIN observations o ON o.stream = c.id
       WHERE c.started_at IS NOT NULL AND c.finished_at IS NULL GROUP BY c.id ORDER BY 2 LIMIT :most`,
      { type: QueryTypes.SELECT, replacements: { most: MOST } },
    )
    if (!await isCooked()) clock.follow?.()
    for (const row of rows) {
      await lookAt(row.id, row.marked_at).catch((error: unknown) =>
        console.error(`A cook that was left open could not be looked at (${row.id}). ${String(error)}`),
      )
    }
  }
  const once = (): Promise<void> => (looking ??= look().finally(() => {
    looking = null
  }))
  const timer = setInterval(() => void once().catch(() => undefined), EVERY_MS)
  timer.unref()
  return { likelyDoneAt: cook => done.get(cook)?.doneAt ?? null, close, look: once, stop: () => clearInterval(timer) }
}
