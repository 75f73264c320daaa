import { QueryTypes } from 'sequelize'
import type { SettledAside } from '../../contracts/aside'
import { BatchSummarySchema, type Batch } from '../../contracts/batch'
import type { EvidenceSource } from '../../contracts/lesson'
import type { Evidence } from '../../core/materials/belief/reading'
import type { DishChange } from '../../core/record/marks/afterFire'
import { replay } from '../../core/record/replay/replay'
import type { RawRow } from '../models/models'
import type { HearthClock } from './clock'
import type { Cooks } from './cooks'
import type { Database } from './database'
import { lineOf, type Ledger } from './ledger'
import { readAs, readRow } from './readRow'
import { Refusal } from './refusal'
import { rowOf, rowsOf } from '../models/rows'

/** Batches: what finished cooks leave. */
export interface Batches {
  /** Keeps what came of settling a cook, its batch where it is finished. */
  keep(cookId: string, settled: SettledAside): Promise<void>
  one(id: string): Promise<Batch>
  /** The same without its observations. */
  head(id: string): Promise<Omit<Batch, 'observations'>>
  note(id: string, note: string): Promise<void>
  remove(id: string): Promise<void>
  restore(id: string): Promise<void>
  /** Changes of a dish that were made of its batches' faults, with the moment, ms since 1970. */
  changesOf(dish: string): Promise<{ readonly at: number, readonly change: DishChange }[]>
  /** What the newest batches say, and which they are. */
  evidence(): Promise<{ readonly evidence: Evidence[], readonly sources: Omit<EvidenceSource, 'forgotten'>[] }>
}

/** How many of the newest batches the household's belief rests on. */
const REMEMBERED = 80
/** Batches that are read for the changes they led to. */
const MOST_CHANGES = 20

/**
 * The batches of one database. A batch is made of a finished cook, aside, and keeps its summary for ever.
 *
 * @param database an open database
 * @param clock gives the time of removal
 * @param cooks plans and observations
 * @param ledger is told of every change
 * @returns the batches
 */
export function batchesOf(database: Database, clock: HearthClock, cooks: Cooks, ledger: Ledger): Batches {
  const { Batch, BatchFault } = database.models
  const row = async (id: string): Promise<RawRow> => {
    const [found] = await database.sequelize.query<RawRow>('SELECT * FROM batches WHERE id = :id', {
      type: QueryTypes.SELECT,
      replacements: { id },
    })
    if (!found) throw new Refusal('not-found', `batches/${id}`)
    return found
  }
  const change = async (id: string, values: RawRow): Promise<void> => {
    await row(id)
    await Batch.update(values, { where: { id } })
    ledger.changed()
  }
  const head = async (id: string): Promise<Omit<Batch, 'observations'>> => {
    const [found, plan] = await Promise.all([row(id), cooks.plan(id)])
    const summary = readAs(found.summary, BatchSummarySchema)
    if (!summary) throw new Refusal('not-readable', `batches/${id}`)
    return { format: 'yon-hearth/batch/1', line: { ...lineOf(found), summary }, plan, forecast: plan.forecast }
  }
  const nameFaults = async (id: string, startedAt: number, faults: readonly string[]): Promise<void> => {
    await BatchFault.destroy({ where: { batchId: id } })
    await BatchFault.bulkCreate(
      [...new Set(faults)].map(fault => ({ fault, startedAt, batchId: id })),
      { ignoreDuplicates: true },
    )
  }
  return {
    async keep(cookId, { startedAt, finishedAt, upTo, batch }) {
      if (batch && startedAt !== null) {
        const known = await rowOf(Batch, { where: { id: cookId }, attributes: ['note', 'removedAt'] })
        await Batch.upsert({
          id: cookId,
          dishId: batch.dishId,
          dish: batch.dish,
          startedAt,
          summary: JSON.stringify(batch.summary),
          evidence: JSON.stringify(batch.evidence),
          ...batch.columns,
          note: known ? String(known.note) : '',
          removedAt: known?.removedAt ?? null,
        })
        await nameFaults(cookId, startedAt, known?.removedAt ? [] : batch.summary.faults)
        ledger.changed()
      }
      // Last of all: cut off before it, the cook is settled once more, which gives the same.
      await cooks.settled(cookId, startedAt, finishedAt, upTo)
    },
    head,
    async one(id) {
      const [first, { observations }] = await Promise.all([head(id), cooks.one(id)])
      return { ...first, observations }
    },
    note: (id, note) => change(id, { note }),
    async remove(id) {
      await change(id, { removedAt: clock.now() })
      await BatchFault.destroy({ where: { batchId: id } })
      ledger.changed()
    },
    async restore(id) {
      await change(id, { removedAt: null })
      const found = await row(id)
      await nameFaults(id, Number(found.started_at), readAs(found.summary, BatchSummarySchema)?.faults ?? [])
      ledger.changed()
    },
    async changesOf(dish) {
      const rows = await database.sequelize.query<{ stream: string }>(
        "SELECT DISTINCT o.stream FROM observations o JOIN batches b ON b.id = o.stream WHERE b.dish_id = :dish AND b.removed_at IS NULL AND o.kind = 'dish.changed' LIMIT :most",
        { type: QueryTypes.SELECT, replacements: { dish, most: MOST_CHANGES } },
      )
      const batches = await Promise.all(rows.map(row => cooks.one(row.stream).catch(() => null)))
      return batches.flatMap((found) => {
        if (!found) return []
        const { plan, observations } = found
        const cook = replay(plan, observations)
        return cook.after.changed.map(one => ({
          at: Math.round((cook.startedMs ?? 0) + one.timeS * 1000),
          change: one.what,
        }))
      })
    },
    async evidence() {
      const rows = await rowsOf(Batch, { where: { removedAt: null },
        order: [['startedAt', 'DESC']],
        limit: REMEMBERED,
        attributes: ['id', 'dish', 'startedAt', 'evidence', 'after'] })
      return {
        evidence: rows.flatMap(
          one => readRow(one.evidence, value => (Array.isArray(value) ? (value as Evidence[]) : [])) ?? [],
        ),
        sources: rows.map(one => ({
          id: String(one.id),
          kind: String(one.after).includes('"fromMemory":true') ? ('remembered' as const) : ('batch' as const),
          name: String(one.dish),
          at: Number(one.startedAt),
        })),
      }
    },
  }
}
