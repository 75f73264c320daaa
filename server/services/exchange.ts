import { Readable } from 'node:stream'
import Papa from 'papaparse'
import { QueryTypes } from 'sequelize'
import { MOST_LINE, type TakenIn } from '../../contracts/backup'
import { BatchSchema, type Batch } from '../../contracts/batch'
import { mainVessel } from '../../core/dish/mainVessel'
import { replay } from '../../core/live/replay'
import type { Row } from '../models/models'
import type { Batches } from './batches'
import { drawnBy, foundBy } from './batchRow'
import type { Database } from './database'
import type { Ledger } from './ledger'
import { Refusal } from './refusal'

/** Batches as files: out as CSV or JSON Lines, JSON Lines in again. */
export interface Exchange {
  /** One line a batch, newest first (RFC 4180). */
  csv(): Readable
  /** One whole batch a line. */
  jsonl(): Readable
  /** Takes batches in; what stands here already stays. All of a file or nothing. */
  takeIn(text: AsyncIterable<string>): Promise<TakenIn>
}

const AT_ONCE = 100
/** Most batches of one file. */
const MOST = 20_000
const COLUMNS = ['id', 'dish_id', 'dish', 'version', 'started_at', 'base_g', 'pan', 'fire', 'turned_s', 'off_fire_s', 'finished_g', 'weighed', 'darkest_step', 'faults', 'line', 'sweetness', 'softness', 'richness', 'note'] as const

/**
 * The files of one database's batches.
 *
 * @param database an open database
 * @param batches reads whole batches
 * @param ledger is told of every change
 * @returns `takeIn` refuses `not-a-backup` with the line at fault
 */
export function exchangeOf(database: Database, batches: Batches, ledger: Ledger): Exchange {
  async function* ids(): AsyncGenerator<string> {
    for (let at: number | null = null, last = ''; ;) {
      const rows: { id: string, started_at: number }[] = await database.sequelize.query(
        `SELECT id, started_at FROM batches WHERE removed_at IS NULL ${at === null ? '' : 'AND (started_at, id) < (:at, :last)'} ORDER BY started_at DESC, id DESC LIMIT :most`,
        { type: QueryTypes.SELECT, replacements: { at, last, most: AT_ONCE } })
      for (const row of rows) yield row.id
      if (rows.length < AT_ONCE) return
      ;({ started_at: at, id: last } = rows.at(-1)!)
    }
  }
  return {
    csv: () => Readable.from((async function* () {
      yield Papa.unparse([COLUMNS], { newline: '\r\n' }) + '\r\n'
      for await (const id of ids()) yield Papa.unparse([csvRow(await batches.one(id))], { newline: '\r\n', escapeFormulae: /^[=+\-@\t\r]/ }) + '\r\n'
    })()),
    jsonl: () => Readable.from((async function* () {
      for await (const id of ids()) yield `${JSON.stringify(numbered(await batches.one(id)))}\n`
    })()),
    async takeIn(text) {
      const read = await readBatches(text)
      const known = new Set<string>()
      for (const { line } of read) if ((await database.models.Cook.count({ where: { id: line.id } })) > 0) known.add(line.id)
      const fresh = read.filter(one => !known.has(one.line.id))
      await store(database, fresh)
      ledger.changed()
      return { taken: fresh.length, known: known.size }
    },
  }
}

/** A batch whose observations are numbered by themselves: places of another house's log mean nothing here. */
function numbered(batch: Batch): Batch {
  return { ...batch, observations: batch.observations.map((one, i) => ({ ...one, place: i + 1 })) }
}

function csvRow({ line, plan, observations }: Batch): (string | number)[] {
  const { summary } = line
  const { liked } = replay(plan, observations).after
  const main = mainVessel(plan.dish)
  const value = (one: string | number | null | undefined): string | number => one ?? ''
  return [
    line.id, line.dishId, line.dish, value(line.version), new Date(line.startedAt).toISOString(), summary.baseG, value(line.pan?.name ?? plan.vessels[main]?.name), value(line.fire?.name ?? plan.fires[main]?.name),
    value(summary.keystoneS), value(summary.endS), value(summary.finishedG), summary.weighed ? 'yes' : 'no', value(summary.darkestStep), summary.faults.join(' '), summary.line,
    value(liked.sweetness), value(liked.softness), value(liked.richness), line.note,
  ]
}

async function readBatches(text: AsyncIterable<string>): Promise<Batch[]> {
  const read: Batch[] = []
  let number = 0
  for await (const line of linesOf(text)) {
    number++
    if (line.trim() === '') continue
    if (read.length >= MOST) throw new Refusal('not-a-backup', `more than ${MOST} batches`)
    const batch = BatchSchema.safeParse(safely(line))
    if (!batch.success) throw new Refusal('not-a-backup', `line ${number}${batch.error.issues[0] ? `: ${batch.error.issues[0].path.join('.')}` : ''}`)
    const { plan, line: of, observations } = batch.data
    const ids = new Set(observations.map(one => one.id))
    if (plan.id !== of.id || read.some(one => one.line.id === of.id) || ids.size !== observations.length) throw new Refusal('not-a-backup', `line ${number}: the same id twice`)
    read.push(batch.data)
  }
  return read
}

async function* linesOf(text: AsyncIterable<string>): AsyncGenerator<string> {
  let rest = ''
  for await (const chunk of text) {
    const lines = (rest + chunk).split('\n')
    rest = lines.pop() ?? ''
    if (rest.length > MOST_LINE) throw new Refusal('not-a-backup', 'a line that is too long')
    yield* lines
  }
  if (rest !== '') yield rest
}

function safely(line: string): unknown {
  try {
    return JSON.parse(line)
  }
  catch {
    return null
  }
}

/** Cooks, observations and batches as they were, in one transaction. */
async function store(database: Database, batches: readonly Batch[]): Promise<void> {
  const { Cook, Observation, Batch: Table, BatchFault } = database.models
  const transaction = await database.sequelize.transaction()
  try {
    for (const { plan, line, observations } of batches) {
      const cook = replay(plan, observations)
      const finishedAt = cook.startedMs !== null && cook.finishedS !== null ? Math.round(cook.startedMs + cook.finishedS * 1000) : line.startedAt
      await Cook.create({ id: line.id, dish: plan.dish.name, plan: JSON.stringify(plan), plannedAt: plan.plannedAt, createdAt: plan.plannedAt, startedAt: line.startedAt, finishedAt }, { transaction })
      await Observation.bulkCreate(observations.map(({ place: _, payload, ...one }) => ({ ...one, payload: JSON.stringify(payload), stream: line.id }) as unknown as Row), { transaction })
      await Table.create({
        id: line.id, dishId: line.dishId, dish: line.dish, startedAt: line.startedAt, summary: JSON.stringify(line.summary), evidence: '[]', note: line.note, removedAt: null,
        ...foundBy(plan, line.startedAt), ...drawnBy(plan, cook, line.summary),
      }, { transaction })
      await BatchFault.bulkCreate([...new Set(line.summary.faults)].map(fault => ({ fault, startedAt: line.startedAt, batchId: line.id })), { transaction, ignoreDuplicates: true })
    }
    await transaction.commit()
  }
  catch (error) {
    await transaction.rollback()
    throw error
  }
}
