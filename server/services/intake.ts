import { mkdtemp, rm } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import type { Readable } from 'node:stream'
import {
  BACKUP_TABLES,
  IntakeWishSchema,
  MOST_LINE,
  type IntakeWish,
  type Restored,
  type TakenIn,
} from '../../contracts/backup'
import { BatchSchema, type Batch } from '../../contracts/batch'
import { thinPlan } from '../../core/cook/batch/thinPlan'
import { replay } from '../../core/record/replay/replay'
import type { RawRow } from '../models/models'
import { drawnBy, foundBy } from './batchRow'
import { makeCopy } from './copies'
import { houseHolds, isUntouched } from './houseHolds'
import { onOwn, openOwn, type OwnConnection } from './ownConnection'
import { Refusal } from './refusal'
import { stageBackup } from './stagedFile'
import { fileMoment } from '../../core/maths/time/moments'

/** Most batches of one file. */
const MOST_BATCHES = 100_000

/**
 * Takes a file into a house: a backup in the place of what is there, or batches beside it. It is first written into a
 * database of its own; only when all of it is understood it is taken over, in one transaction.
 *
 * @param file the database of the house
 * @param wish what it is
 * @param input the file's bytes
 * @returns what came of it
 * @throws Refusal `not-a-backup` with where it is at fault; `house-not-empty` with what is there, where it was not said
 *   that this is to be put aside. The house is then as it was
 */
export async function takeFile(file: string, wish: IntakeWish, input: Readable): Promise<Restored | TakenIn> {
  const kind = IntakeWishSchema.parse(wish)
  const folder = dirname(file)
  // Said before the file is read, and once more when it is taken over.
  if (kind.kind === 'backup' && !kind.putAside) await onOwn(file, 'read', own => demandEmpty(own, 'main'))
  const work = await mkdtemp(join(folder, '.restore-'))
  const storage = join(work, 'staged.sqlite')
  try {
    if (kind.kind === 'batches') {
      const known = await stageBatches(storage, file, input)
      return { taken: await takeBatches(storage, file), known }
    }
    const { rows, photosLeftOut } = await stageBackup(storage, input)
    return { rows, photosLeftOut, aside: await takeHouse(storage, file, kind.putAside) }
  }
  finally {
    await rm(work, { recursive: true, force: true })
  }
}

async function demandEmpty(own: OwnConnection, schema: string): Promise<boolean> {
  const holds = await houseHolds(own, schema)
  if (isUntouched(holds)) return true
  throw new Refusal(
    'house-not-empty',
    Object.entries(holds)
      .flatMap(([what, count]) => (count > 0 ? [`${count} ${what}`] : []))
      .join(', '),
  )
}

/**
 * Takes everything over in one transaction. Where something stood there, a copy of it is made and looked at while
 * nobody can write: nothing that was acknowledged is in neither.
 */
async function takeHouse(storage: string, file: string, putAside: boolean): Promise<string | null> {
  return onOwn(storage, 'write', async (own) => {
    await own.all('PRAGMA busy_timeout = 20000')
    await own.run('ATTACH ? AS house', [file])
    await own.all('PRAGMA house.synchronous = FULL')
    await own.run('BEGIN IMMEDIATE')
    try {
      const untouched = putAside ? isUntouched(await houseHolds(own, 'house')) : await demandEmpty(own, 'house')
      const aside = untouched ? null : `before-restore-${fileMoment(Date.now())}.sqlite`
      if (aside !== null) await makeCopy(dirname(file), aside)
      for (const table of [...BACKUP_TABLES].reverse()) await own.run(`DELETE FROM house.${table}`)
      for (const table of BACKUP_TABLES) {
        const columns = (await own.all<{ name: string }>(`SELECT name FROM pragma_table_info('${table}')`))
          .map(one => `"${one.name}"`)
          .join(', ')
        await own.run(`INSERT INTO house.${table} (${columns}) SELECT ${columns} FROM main.${table}`)
      }
      await own.run('COMMIT')
      return aside
    }
    catch (error) {
      await own.run('ROLLBACK')
      throw error
    }
  })
}

/** The tables that a batch has rows in, without anything the house would make of them. */
const STAGED = {
  cooks: ['id', 'dish', 'plan', 'planned_at', 'created_at', 'started_at', 'finished_at'],
  observations: ['stream', 'id', 'device', 'number', 'device_time', 'sent_at', 'received_at', 'kind', 'payload'],
  batches: [
    'id',
    'dish_id',
    'dish',
    'started_at',
    'summary',
    'evidence',
    'note',
    'family',
    'version',
    'pan',
    'pan_name',
    'fire',
    'fire_name',
    'season',
    'faulty',
    'picture',
    'after',
    'in_house',
    'eat_by',
  ],
  batch_faults: ['fault', 'started_at', 'batch_id'],
} as const

/** Reads batches line by line into a database of its own; those that stand in the house are counted and left out. */
async function stageBatches(storage: string, file: string, input: Readable): Promise<number> {
  const [own, house] = [await openOwn(storage, 'make'), await openOwn(file)]
  try {
    for (const pragma of ['synchronous = OFF', 'journal_mode = MEMORY']) await own.all(`PRAGMA ${pragma}`)
    for (const [table, columns] of Object.entries(STAGED))
      await own.run(`CREATE TABLE ${table} (${columns.join(', ')}${table === 'cooks' ? ', PRIMARY KEY (id)' : ''})`)
    await own.run('CREATE TABLE seen (id PRIMARY KEY)')
    await own.run('BEGIN')
    let [number, known] = [0, 0]
    for await (const line of textLines(input)) {
      number++
      if (line.trim() === '') continue
      if (number > MOST_BATCHES) throw new Refusal('not-a-backup', `more than ${MOST_BATCHES} batches`)
      const batch = batchIn(line, number)
      await own.run('INSERT INTO seen VALUES (?)', [batch.line.id]).catch(() => {
        throw new Refusal('not-a-backup', `line ${number}: the same id twice`)
      })
      const [there] = await house.all('SELECT 1 FROM cooks WHERE id = ?', [batch.line.id])
      if (there) known++
      else await stageBatch(own, batch)
    }
    await own.run('COMMIT')
    return known
  }
  finally {
    await own.close()
    await house.close()
  }
}

function batchIn(line: string, number: number): Batch {
  const parsed = BatchSchema.safeParse(safely(line))
  if (!parsed.success)
    throw new Refusal(
      'not-a-backup',
      `line ${number}${parsed.error.issues[0] ? `: ${parsed.error.issues[0].path.join('.')}` : ''}`,
    )
  const { plan, line: of, observations } = parsed.data
  if (plan.id !== of.id || new Set(observations.map(one => one.id)).size !== observations.length)
    throw new Refusal('not-a-backup', `line ${number}: the same id twice`)
  return parsed.data
}

function safely(line: string): unknown {
  try {
    return JSON.parse(line)
  }
  catch {
    return null
  }
}

async function* textLines(input: Readable): AsyncGenerator<string> {
  input.setEncoding('utf8')
  let rest = ''
  for await (const chunk of input.iterator({ destroyOnReturn: false })) {
    const lines = (rest + String(chunk)).split('\n')
    rest = lines.pop() ?? ''
    if (rest.length > MOST_LINE) throw new Refusal('not-a-backup', 'a line that is too long')
    yield* lines
  }
  if (rest !== '') yield rest
}

const UNDERSCORED = (name: string): string => name.replace(/[A-Z]/g, letter => `_${letter.toLowerCase()}`)

async function stageBatch(own: OwnConnection, { plan, line, observations }: Batch): Promise<void> {
  const cook = replay(plan, observations)
  const finishedAt =
    cook.startedMs !== null && cook.finishedS !== null
      ? Math.round(cook.startedMs + cook.finishedS * 1000)
      : line.startedAt
  const put = async (table: keyof typeof STAGED, row: RawRow): Promise<void> => {
    const named = Object.fromEntries(Object.entries(row).map(([name, value]) => [UNDERSCORED(name), value]))
    await own.run(
      `INSERT INTO ${table} VALUES (${STAGED[table].map(() => '?').join(', ')})`,
      STAGED[table].map(column => (named[column] ?? null) as string | number | null),
    )
  }
  await put('cooks', {
    id: line.id,
    dish: plan.dish.name,
    plan: JSON.stringify(thinPlan(plan)),
    plannedAt: plan.plannedAt,
    createdAt: plan.plannedAt,
    startedAt: line.startedAt,
    finishedAt,
  })
  for (const { place: _, payload, ...one } of observations)
    await put('observations', { ...one, payload: JSON.stringify(payload), stream: line.id })
  await put('batches', {
    id: line.id,
    dishId: line.dishId,
    dish: line.dish,
    startedAt: line.startedAt,
    summary: JSON.stringify(line.summary),
    evidence: '[]',
    note: line.note,
    ...foundBy(plan, line.startedAt),
    ...drawnBy(plan, cook, line.summary),
  })
  for (const fault of new Set(line.summary.faults))
    await put('batch_faults', { fault, startedAt: line.startedAt, batchId: line.id })
}

/** Cooks, observations and batches as they were, in one transaction; they are settled already. */
async function takeBatches(storage: string, file: string): Promise<number> {
  return onOwn(storage, 'write', async (own) => {
    await own.all('PRAGMA busy_timeout = 20000')
    await own.run('ATTACH ? AS house', [file])
    await own.all('PRAGMA house.synchronous = FULL')
    await own.run('BEGIN IMMEDIATE')
    try {
      // What was begun here meanwhile under the same id stays as it is.
      await own.run('DELETE FROM main.cooks WHERE id IN (SELECT id FROM house.cooks)')
      const [count] = await own.all<{ n: number }>('SELECT count(*) AS n FROM main.cooks')
      for (const [table, id] of [
        ['cooks', 'id'],
        ['observations', 'stream'],
        ['batches', 'id'],
        ['batch_faults', 'batch_id'],
      ] as const) {
        const columns = STAGED[table].join(', ')
        await own.run(
          `INSERT INTO house.${table} (${columns}) SELECT ${columns} FROM main.${table} WHERE ${id} IN (SELECT id FROM main.cooks) ORDER BY rowid`,
        )
      }
      await own.run(
        'UPDATE house.cooks SET settled_place = coalesce((SELECT max(o.place) FROM house.observations o WHERE o.stream = house.cooks.id), 0) WHERE id IN (SELECT id FROM main.cooks)',
      )
      await own.run('COMMIT')
      return count?.n ?? 0
    }
    catch (error) {
      await own.run('ROLLBACK')
      throw error
    }
  })
}
