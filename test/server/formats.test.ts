import { Buffer } from 'node:buffer'
import { createHash } from 'node:crypto'
import { mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Readable } from 'node:stream'
import { gunzipSync, gzipSync } from 'node:zlib'
import Papa from 'papaparse'
import { QueryTypes, Sequelize } from 'sequelize'
import sqlite3 from 'sqlite3'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../book/dishes'
import { BACKUP_FORMAT } from '../../contracts/backup'
import { forecastCook } from '../../core/process/forecast/forecastCook'
import { seededRandom } from '../../core/maths/random/seededRandom'
import { migrateTo } from '../../server/services/database'
import { onOwn } from '../../server/services/ownConnection'
import { openHearth, type Hearth } from '../../server/services/hearth'
import { Refusal } from '../../server/services/refusal'
import { stock } from '../../server/services/stock'
import { examplePlan } from '../support/plans'
import { jpegWithPlace } from '../support/jpegs'
import { exampleSpread } from '../support/spreads'

const START = 1_795_000_000_000
let nowMs = START
const clock = { now: () => nowMs, rate: 1 }
const folders: string[] = []
const folder = (): string => {
  const made = mkdtempSync(join(tmpdir(), 'yon-hearth-formats-'))
  folders.push(made)
  return made
}
const TABLES = ['shelf_items', 'dish_versions', 'dish_states', 'cooks', 'observations', 'batches', 'batch_faults', 'photos', 'lessons', 'spreads'] as const

async function dump(hearth: Hearth): Promise<Record<string, unknown[]>> {
  const all: Record<string, unknown[]> = {}
  for (const table of TABLES) all[table] = (await hearth.database.sequelize.query(`SELECT * FROM ${table}`, { type: QueryTypes.SELECT })).map(row => JSON.stringify(row)).sort()
  return all
}
async function cook(hearth: Hearth, id: string, at: number, faults: readonly string[]): Promise<void> {
  const plan = { ...examplePlan({}, id), plannedAt: at - 600_000 }
  await hearth.cooks.create({ ...plan, forecast: forecastCook(plan, [], 0, 30) })
  const story: [number, string, Record<string, unknown>][] = [
    [0, 'cook.started', {}], [300, 'stage.began', { stage: 'roast' }], [700, 'stage.began', { stage: 'pour' }], [760, 'stage.began', { stage: 'take-up' }], [930, 'stage.began', { stage: 'enrich' }],
    [1250, 'stage.began', { stage: 'rest' }], [1560, 'cook.finished', {}], [1600, 'outcome', { faults, line: 'said, "with care"' }], [1700, 'liked', { sweetness: 'less' }], [1710, 'from.a-newer-version', { kept: true }],
  ]
  nowMs = at + 2_000_000
  await hearth.append(id, { sentAt: nowMs, observations: story.map(([timeS, kind, payload], i) => ({ id: `${id}-${i}`, device: 'tablet', number: i + 1, deviceTime: at + timeS * 1000, kind, payload })) })
  await hearth.settled()
}
const readAll = async (stream: Readable): Promise<Buffer> => Buffer.concat(await stream.map(chunk => Buffer.from(chunk as Buffer)).toArray() as Buffer[])

let house: Hearth
let backup: Buffer
beforeAll(async () => {
  house = await openHearth(folder(), clock)
  await stock(house)
  await cook(house, 'first', START, ['runny'])
  await cook(house, 'second', START + 86_400_000, [])
  await cook(house, 'third', START + 2 * 86_400_000, ['dry', 'greasy'])
  await house.batches.note('second', 'again on Sunday')
  await house.batches.remove('third')
  await house.photos.add('first', jpegWithPlace())
  await house.lessons.put({ kind: 'new-bag', id: 'bag', at: START, family: 'semolina' })
  backup = await readAll(await house.backups.stream())
})
afterAll(async () => {
  await house.close()
  for (const one of folders) rmSync(one, { recursive: true, force: true })
})

const restoring = (bytes: Buffer, into: Hearth): Promise<{ rows: number }> => into.backups.restore(Readable.from([bytes]))

describe('a backup', () => {
  it('restored into an empty house gives every figure again', async () => {
    const empty = await openHearth(folder(), clock)
    await stock(empty)
    await restoring(backup, empty)
    expect(await dump(empty)).toEqual(await dump(house))
    expect(await empty.ledger.page({ limit: 10 })).toEqual(await house.ledger.page({ limit: 10 }))
    expect(await empty.batches.one('first')).toEqual(await house.batches.one('first'))
    expect((await empty.photos.bytes((await empty.photos.of('first'))[0]!.id)).equals(await house.photos.bytes((await house.photos.of('first'))[0]!.id))).toBe(true)
    await cook(empty, 'fourth', START + 5 * 86_400_000, [])
    expect((await empty.ledger.tally({})).count).toBe(3)
    await empty.close()
  })

  it('is made while cooking goes on, and leaves nothing behind', async () => {
    const busy = await openHearth(folder(), clock)
    await stock(busy)
    await restoring(backup, busy)
    const making = readAll(busy.backups.stream())
    await Promise.all(Array.from({ length: 40 }, (_, i) => busy.append('second', { sentAt: nowMs, observations: [{ id: `late-${i}`, device: 'phone', number: i, deviceTime: nowMs, kind: 'note', payload: { text: String(i) } }] })))
    const made = await making
    const rows = gunzipSync(made).toString().trim().split('\n')
    expect(JSON.parse(rows[0]!)).toMatchObject({ format: BACKUP_FORMAT, at: nowMs })
    await busy.settled()
    await busy.close()
    expect(readdirSync(folders.at(-1)!).filter(name => name.startsWith('.'))).toEqual([])
  })

  it('is refused where something was cooked already', async () => {
    const before = await dump(house)
    await expect(restoring(backup, house)).rejects.toMatchObject({ code: 'house-not-empty' })
    expect(await dump(house)).toEqual(before)
  })

  it.each<[string, (hearth: Hearth) => Promise<unknown>]>([
    ['a cup', hearth => hearth.kitchens.put('measures', { id: 'tin', name: 'Tin', kind: 'cup', volumeMl: 210, topMm: 80, bottomMm: 70, heightMm: 60, origin: 'weighed' })],
    ['a cup taken off its shelf', async hearth => hearth.kitchens.remove('measures', (await hearth.kitchens.all()).measures[0]!.id)],
    ['a dish', hearth => hearth.dishes.add({ ...STARTER_DISHES[0]!, id: 'of-the-house', version: 1 })],
    ['a dish put aside', hearth => hearth.dishes.putAside(STARTER_DISHES[0]!.id, true)],
    ['a day', hearth => hearth.spreads.put(exampleSpread())],
    ['a lesson', hearth => hearth.lessons.put({ kind: 'new-bag', id: 'bag', at: START, family: 'semolina' })],
    ['a cook on the fire', hearth => hearth.cooks.create(examplePlan({}, 'running'))],
  ])('is refused, or puts aside what was there, where nothing stands but %s', async (_, put) => {
    const touched = await openHearth(folder(), clock)
    await stock(touched)
    await put(touched)
    const before = await dump(touched)
    await expect(restoring(backup, touched)).rejects.toMatchObject({ code: 'house-not-empty' })
    expect(await dump(touched)).toEqual(before)
    const { aside } = await touched.backups.restore(Readable.from([backup]), true)
    expect(await dump(touched)).toEqual(await dump(house))
    const copy = await onOwn(join(folders.at(-1)!, 'copies', aside!), 'read', own => Promise.all(TABLES.map(async table => [table, (await own.all(`SELECT * FROM ${table}`)).map(row => JSON.stringify(row)).sort()])))
    expect(Object.fromEntries(copy)).toEqual(before)
    await touched.close()
  })

  it('leaves out who has entered and the passphrase', () => {
    const text = gunzipSync(backup).toString()
    expect(text).not.toContain('"sessions"')
    expect(text).not.toContain('house_settings')
  })

  it('of an older version is read, and brought up to date', async () => {
    const old = folder()
    const sequelize = new Sequelize({ dialect: 'sqlite', dialectModule: sqlite3, storage: join(old, 'old.sqlite'), logging: false })
    await migrateTo(sequelize, '2026-11-27-lessons')
    const known = gunzipSync(backup).toString().trim().split('\n').slice(1, -1).map(line => JSON.parse(line) as { t: string, r: Record<string, unknown> })
    const NEWER = new Set(['family', 'version', 'pan', 'pan_name', 'fire', 'fire_name', 'season', 'faulty', 'picture', 'after', 'in_house', 'eat_by'])
    const rows = known.filter(one => !['batch_faults', 'photos'].includes(one.t)).map(one => ({ t: one.t, r: Object.fromEntries(Object.entries(one.r).filter(([column]) => !(one.t === 'batches' && NEWER.has(column)) && column !== 'settled_place')) }))
    await sequelize.close()
    const empty = await openHearth(folder(), clock)
    await stock(empty)
    await restoring(packed({ migration: '2026-11-27-lessons', rows }), empty)
    const page = await empty.ledger.page({ limit: 10, fault: 'runny' })
    expect(page.batches.map(one => one.id)).toEqual(['first'])
    expect(page.batches[0]).toMatchObject({ family: 'semolina', pan: { id: examplePlan().vessels.pan!.id } })
    await empty.close()
  })
})

/** A file that is written as a backup is, of any rows. */
function packed({ migration = '2026-11-29-ledger', rows = [] as { t: string, r: Record<string, unknown> }[], head = {}, foot = {} }: { migration?: string, rows?: { t: string, r: Record<string, unknown> }[], head?: object, foot?: object }): Buffer {
  const tables = [...new Set(rows.map(one => one.t))].map(name => ({ name, rows: rows.filter(one => one.t === name).length }))
  const lines = [JSON.stringify({ format: BACKUP_FORMAT, at: START, migration, tables, ...head }), ...rows.map(one => JSON.stringify(one))].map(line => `${line}\n`)
  const sha256 = createHash('sha256').update(lines.join('')).digest('hex')
  return gzipSync(`${lines.join('')}${JSON.stringify({ rows: rows.length, sha256, ...foot })}\n`)
}

describe('damaged and hostile files', () => {
  it('are refused whole, a hundred and fifty of them, and nothing is changed', async () => {
    const place = folder()
    const empty = await openHearth(place, clock)
    await stock(empty)
    const before = await dump(empty)
    const uniform = seededRandom(77)
    const whole = gunzipSync(backup)
    let refused = 0
    const kinds: ((i: number) => Buffer)[] = [
      () => backup.subarray(0, Math.floor(uniform() * backup.length)),
      () => flipped(backup, Math.floor(uniform() * backup.length), 1 << Math.floor(uniform() * 8)),
      () => gzipSync(flipped(whole, Math.floor(uniform() * whole.length), 1 << Math.floor(uniform() * 7))),
      () => gzipSync(whole.subarray(0, Math.floor(uniform() * whole.length))),
      () => Buffer.concat([backup, Buffer.from('more')]),
      () => gzipSync(Buffer.concat([whole, Buffer.from('{"t":"cooks","r":{}}\n')])),
      i => packed({ rows: [{ t: 'cooks', r: { id: i, dish: null } }] }),
      () => packed({ rows: [{ t: 'batches', r: { id: 'nowhere', dish_id: 'd', dish: 'd', started_at: 1, summary: '{}', evidence: '[]', note: '' } }] }),
      () => packed({ rows: [{ t: 'sqlite_master', r: { name: 'x' } }] }),
      () => packed({ rows: [{ t: 'cooks', r: { 'id"; DROP TABLE cooks; --': 'x' } }] }),
      () => packed({ head: { migration: '../../etc/passwd' } }),
      () => packed({ head: { migration: '2099-01-01-later' } }),
      () => packed({ head: { tables: [{ name: 'cooks', rows: 4 }] } }),
      () => packed({ foot: { rows: 9 } }),
      () => packed({ foot: { sha256: 'a'.repeat(64) } }),
      () => zipWithPathTrick(),
      () => Buffer.from(Array.from({ length: 400 }, () => Math.floor(uniform() * 256))),
      () => Buffer.alloc(0),
      () => packed({ rows: [{ t: 'shelf_items', r: { shelf: 'pans', id: 'p', place: 1, item: 'no json', removed_at: null } }] }),
    ]
    for (let i = 0; i < 150; i++) {
      const error = await restoring(kinds[i % kinds.length]!(i), empty).then(() => null, (one: unknown) => one)
      if (error === null) continue
      expect(error, `kind ${i % kinds.length}`).toBeInstanceOf(Refusal)
      expect((error as Refusal).code).toBe('not-a-backup')
      expect((error as Refusal).about.length).toBeGreaterThan(3)
      refused++
    }
    expect(refused).toBe(150)
    expect(await dump(empty)).toEqual(before)
    expect(readdirSync(place).filter(name => name.startsWith('.'))).toEqual([])
    await restoring(backup, empty)
    expect((await empty.ledger.tally({})).count).toBe(2)
    await empty.close()
  }, 300_000)

  it('that unpack to a gigabyte are refused before they are', async () => {
    const empty = await openHearth(folder(), clock)
    await stock(empty)
    // Members one after another unpack as one (RFC 1952, 2.2).
    const zeros = Buffer.concat(Array<Buffer>(100).fill(gzipSync(Buffer.alloc(10_000_000))))
    expect(zeros.length).toBeLessThan(1_100_000)
    const before = process.memoryUsage().rss
    await expect(restoring(zeros, empty)).rejects.toMatchObject({ code: 'not-a-backup' })
    expect(process.memoryUsage().rss - before).toBeLessThan(300_000_000)
    const row = JSON.stringify({ t: 'dish_states', r: { dish_id: 'x', put_aside_at: null } })
    const head = JSON.stringify({ format: BACKUP_FORMAT, at: START, migration: '2026-11-29-ledger', tables: [{ name: 'dish_states', rows: 9_000_000 }] })
    await expect(restoring(gzipSync(`${head}\n${`${row}\n`.repeat(600_000)}`), empty)).rejects.toMatchObject({ code: 'not-a-backup' })
    await empty.close()
  }, 120_000)
})

function flipped(bytes: Buffer, at: number, bit: number): Buffer {
  const copy = Buffer.from(bytes)
  copy[at] = copy[at]! ^ bit
  return copy
}

/** A stored zip (APPNOTE 6.3) whose one entry climbs out of its folder. */
function zipWithPathTrick(): Buffer {
  const name = Buffer.from('../../../../tmp/hearth-evil')
  const local = Buffer.alloc(30)
  local.writeUInt32LE(0x04034B50, 0)
  local.writeUInt16LE(name.length, 26)
  return Buffer.concat([local, name])
}

describe('batches as files', () => {
  it('go out as JSON Lines and come in again without loss', async () => {
    const out = (await readAll(house.exchange.jsonl())).toString()
    expect(out.trim().split('\n')).toHaveLength(2)
    const other = await openHearth(folder(), clock)
    await stock(other)
    expect(await other.exchange.takeIn(Readable.from([out.slice(0, 777), out.slice(777)]))).toEqual({ taken: 2, known: 0 })
    expect((await readAll(other.exchange.jsonl())).toString()).toBe(out)
    expect(await other.exchange.takeIn(Readable.from([out]))).toEqual({ taken: 0, known: 2 })
    expect((await other.ledger.page({ limit: 5, fault: 'runny' })).batches.map(one => one.id)).toEqual(['first'])
    await other.close()
  })

  it('are taken in whole or not at all', async () => {
    const out = (await readAll(house.exchange.jsonl())).toString()
    const other = await openHearth(folder(), clock)
    await stock(other)
    const [one = '', two = ''] = out.trim().split('\n')
    for (const bad of [`${one}\n{"format":"other"}`, `${one}\n${one}`, `${one}\nno json`, `${one}\n${two.replace('"observations":[', '"observations":[{},')}`]) {
      await expect(other.exchange.takeIn(Readable.from([bad]))).rejects.toMatchObject({ code: 'not-a-backup', about: expect.stringContaining('line 2') as string })
    }
    expect((await other.ledger.tally({})).count).toBe(0)
    await other.close()
  })

  it('go out as CSV that any reader takes, with quotes and formulae made harmless', async () => {
    await house.batches.note('second', '=1+1, "so"\nand on')
    const text = (await readAll(house.exchange.csv())).toString()
    expect(text.split('\r\n').length).toBeGreaterThan(3)
    const { data, errors } = Papa.parse<Record<string, string>>(text.trim(), { header: true })
    expect(errors).toEqual([])
    expect(data.map(row => row.id)).toEqual(['second', 'first'])
    expect(data[1]).toMatchObject({ faults: 'runny', sweetness: 'less', line: 'said, "with care"' })
    expect(data[0]!.note).toBe('\'=1+1, "so"\nand on')
  })
})

describe('copies', () => {
  it('are made once a day, and the last ten are kept', async () => {
    const place = folder()
    const kept = await openHearth(place, clock)
    await stock(kept)
    for (let day = 0; day < 13; day++) {
      nowMs = START + day * 86_400_000
      await kept.copies.keep()
      await kept.copies.keep()
    }
    const { copies } = await kept.copies.list()
    expect(copies).toHaveLength(10)
    expect(copies[0]!.at).toBeGreaterThan(copies[9]!.at)
    const copy = new Sequelize({ dialect: 'sqlite', dialectModule: sqlite3, storage: join(place, 'copies', copies[0]!.name), logging: false })
    expect(await copy.query('PRAGMA integrity_check', { type: QueryTypes.SELECT })).toEqual([{ integrity_check: 'ok' }])
    await copy.close()
    await kept.close()
  })
})
