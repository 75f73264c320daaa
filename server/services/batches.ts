import { Op } from 'sequelize'
import { z } from 'zod'
import { BatchPictureSchema, BatchSummarySchema, type Batch, type BatchLine, type BatchListLine, type BatchPage } from '../../contracts/batch'
import type { EvidenceSource } from '../../contracts/lesson'
import type { Evidence } from '../../core/belief/evidence'
import { settleCook } from '../../core/batch/settleCook'
import { replay } from '../../core/live/replay'
import type { Row } from '../models/models'
import type { HearthClock } from './clock'
import type { Cooks } from './cooks'
import type { Database } from './database'
import { Refusal } from './refusal'

/** The ledger. */
export interface Batches {
  settle(cookId: string): Promise<void>
  page(query: { limit: number, cursor?: string, dish?: string }): Promise<BatchPage>
  one(id: string): Promise<Batch>
  note(id: string, note: string): Promise<void>
  remove(id: string): Promise<void>
  restore(id: string): Promise<void>
  /** What the newest batches say, and which they are. */
  evidence(): Promise<{ readonly evidence: Evidence[], readonly sources: Omit<EvidenceSource, 'forgotten'>[] }>
}

/** How many of the newest batches the household's belief rests on. */
const REMEMBERED = 80

/**
 * The ledger of one database. A batch is made by `settle` from a finished cook and keeps its summary for ever; lists
 * read summaries and never replay.
 *
 * @param database an open database
 * @param clock gives the time of removal
 * @param cooks plans and observations
 * @returns the ledger
 */
export function batchesOf(database: Database, clock: HearthClock, cooks: Cooks): Batches {
  const { Batch } = database.models
  const row = async (id: string): Promise<Row> => {
    const found = await Batch.findByPk(id, { raw: true }) as unknown as Row | null
    if (!found) throw new Refusal('not-found', `batches/${id}`)
    return found
  }
  const change = async (id: string, values: Row): Promise<void> => {
    await row(id)
    await Batch.update(values, { where: { id } })
  }
  const settle = async (cookId: string): Promise<void> => {
    const { plan, observations } = await cooks.one(cookId)
    const cook = replay(plan, observations)
    const finishedAt = cook.finishedS === null || cook.startedMs === null ? null : Math.round(cook.startedMs + cook.finishedS * 1000)
    await cooks.mark(cookId, cook.startedMs === null ? null : Math.round(cook.startedMs), finishedAt)
    if (finishedAt === null || cook.startedMs === null) return
    const { summary, evidence } = settleCook(plan, observations)
    const known = await Batch.findByPk(cookId, { raw: true }) as unknown as Row | null
    await Batch.upsert({
      id: cookId, dishId: plan.dish.id, dish: plan.dish.name, startedAt: Math.round(cook.startedMs),
      summary: JSON.stringify(summary),
      evidence: JSON.stringify(evidence),
      note: known ? String(known.note) : '', removedAt: known?.removedAt ?? null,
    })
  }
  return {
    settle,
    page: query => pageOf(database, query),
    async one(id) {
      const found = await row(id)
      const { plan, observations } = await cooks.one(id)
      return { format: 'yon-hearth/batch/1', line: toLine(found), plan, forecast: plan.forecast, observations }
    },
    note: (id, note) => change(id, { note }),
    remove: id => change(id, { removedAt: clock.now() }),
    restore: id => change(id, { removedAt: null }),
    async evidence() {
      const rows = await Batch.findAll({
        where: { removedAt: null }, order: [['startedAt', 'DESC']], limit: REMEMBERED, attributes: ['id', 'dish', 'startedAt', 'evidence'], raw: true,
      }) as unknown as Row[]
      return {
        evidence: rows.flatMap(one => JSON.parse(String(one.evidence)) as Evidence[]),
        sources: rows.map(one => ({ id: String(one.id), kind: 'batch', name: String(one.dish), at: Number(one.startedAt) })),
      }
    },
  }
}

async function pageOf(database: Database, query: { limit: number, cursor?: string, dish?: string }): Promise<BatchPage> {
  const [startedAt, id] = query.cursor?.split('_') ?? []
  const before = startedAt === undefined
    ? {}
    : { [Op.or]: [{ startedAt: { [Op.lt]: Number(startedAt) } }, { startedAt: Number(startedAt), id: { [Op.lt]: id ?? '' } }] }
  const rows = await database.models.Batch.findAll({
    where: { removedAt: null, ...(query.dish === undefined ? {} : { dishId: query.dish }), ...before },
    order: [['startedAt', 'DESC'], ['id', 'DESC']],
    limit: query.limit + 1,
    raw: true,
  }) as unknown as Row[]
  const lines = rows.slice(0, query.limit).map(toListLine)
  const last = lines.at(-1)
  return { batches: lines, next: rows.length > query.limit && last ? `${last.startedAt}_${last.id}` : null }
}

const Picture = z.object(BatchPictureSchema.shape)

/** Lists carry as much of a summary as an arch needs. */
function toListLine(row: Row): BatchListLine {
  return { ...plain(row), summary: Picture.parse(JSON.parse(String(row.summary))) }
}

function toLine(row: Row): BatchLine {
  return { ...plain(row), summary: BatchSummarySchema.parse(JSON.parse(String(row.summary))) }
}

function plain(row: Row) {
  return {
    id: String(row.id), dishId: String(row.dishId), dish: String(row.dish), startedAt: Number(row.startedAt), note: String(row.note),
  }
}
