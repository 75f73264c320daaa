import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Papa from 'papaparse'
import type { Readable } from 'node:stream'
import { QueryTypes } from 'sequelize'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { sortedMarks } from '../../server/http/sortedMarks'
import { openHearth, type Hearth } from '../../server/services/hearth'
import { stock } from '../../server/services/stock'
import { plainJpeg } from '../../server/services/jpeg'
import { jpegWithPlace, scansWithPlace } from '../support/jpegs'
import { examplePlan } from '../support/plans'

const AT = 1_795_000_000_000
let folder: string
let hearth: Hearth
const open = () => openHearth(folder, { now: () => AT + 4_000_000, rate: 1 })
async function cooked(id: string, outcome: Record<string, unknown> = {}): Promise<void> {
  await hearth.cooks.create(examplePlan({}, id))
  const story: [number, string, Record<string, unknown>][] = [
    [0, 'cook.started', {}],
    [300, 'stage.began', { stage: 'roast' }],
    [1560, 'cook.finished', {}],
    [1600, 'outcome', outcome],
  ]
  await hearth.append(id, {
    sentAt: AT + 4_000_000,
    observations: story.map(([timeS, kind, payload], i) => ({
      id: `${id}-${i}`,
      device: id,
      number: i + 1,
      deviceTime: AT + timeS * 1000,
      kind,
      payload,
    })),
  })
  await hearth.settled()
}
const sql = (text: string): Promise<unknown> => hearth.database.sequelize.query(text)
const textOf = async (stream: Readable): Promise<string> =>
  Buffer.concat((await stream.map(part => Buffer.from(part as Buffer)).toArray()) as Buffer[]).toString()

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'yon-hearth-damaged-'))
  hearth = await open()
  await stock(hearth)
  for (const id of ['good', 'no-picture', 'no-plan', 'no-log']) await cooked(id, { faults: ['dry'], line: 'x' })
}, 60_000)
afterAll(async () => {
  await hearth.close()
  rmSync(folder, { recursive: true, force: true })
})

describe('one row that cannot be read', () => {
  it('ends no list, no export and no start, and is shown as what it is', async () => {
    await sql('UPDATE batches SET picture = \'no json\', summary = \'{}\', after = \'[7\' WHERE id = \'no-picture\'')
    await sql('UPDATE cooks SET plan = \'{"half":\' WHERE id = \'no-plan\'')
    await sql('UPDATE observations SET payload = \'no json\' WHERE id = \'no-log-1\'')
    await sql('UPDATE observations SET device_time = \'later\' WHERE id = \'no-log-2\'')
    await sql('UPDATE dish_versions SET dish = \'{"id":1}\' WHERE dish_id = \'slow-farina\'')
    await sql('UPDATE shelf_items SET item = \'{}\' WHERE shelf = \'pans\'')
    await sql('INSERT INTO lessons VALUES (\'odd\', \'new-bag\', 1, \'{}\', \'{}\', NULL)')
    await sql('INSERT INTO spreads VALUES (\'odd-day\', \'Odd\', \'2026-11-28\', 1, \'{"id":"odd-day"}\', 1, NULL)')
    await hearth.close()
    hearth = await open()
    await stock(hearth)
    const { batches } = await hearth.ledger.page({ limit: 10 })
    expect(batches.map(one => [one.id, one.unreadable ?? false])).toEqual(
      expect.arrayContaining([
        ['good', false],
        ['no-picture', true],
        ['no-plan', false],
        ['no-log', false],
      ]),
    )
    expect((await hearth.ledger.tally({})).count).toBe(4)
    expect((await hearth.dishes.latest()).some(one => one.id === 'slow-farina')).toBe(false)
    expect((await hearth.dishes.latest()).length).toBeGreaterThan(30)
    expect((await hearth.kitchens.all()).pans).toEqual([])
    expect((await hearth.lessons.learned()).sources.length).toBeGreaterThan(0)
    expect((await hearth.spreads.all()).map(one => [one.id, one.dishes])).toEqual([['odd-day', 0]])
    for (const asking of [
      () => hearth.batches.one('no-picture'),
      () => hearth.batches.one('no-plan'),
      () => hearth.cooks.one('no-plan'),
      () => hearth.dishes.one('slow-farina'),
      () => hearth.spreads.one('odd-day'),
    ]) {
      await expect(asking()).rejects.toMatchObject({ code: 'not-readable' })
    }
    const log = (await hearth.cooks.one('no-log')).observations
    expect(log.map(one => one.kind)).toEqual(['cook.started', 'unreadable', 'unreadable', 'outcome'])
    const table = Papa.parse<Record<string, string>>((await textOf(hearth.exchange.csv())).trim(), {
      header: true,
    }).data
    expect(table.map(row => row.id).sort()).toEqual(['good', 'no-log', 'no-picture', 'no-plan'])
    expect(
      (await textOf(hearth.exchange.jsonl()))
        .trim()
        .split('\n')
        .map(line => (JSON.parse(line) as { line: { id: string } }).line.id)
        .sort(),
    ).toEqual(['good', 'no-log'])
    expect((await hearth.unreadable()).map(one => one.what).sort()).toEqual([
      'batch',
      'cook',
      'day',
      'dish',
      'lesson',
      'shelf',
      'shelf',
    ])
  })
})

describe('an outcome', () => {
  it('of any length is kept in the log and told as far as a batch keeps it', async () => {
    await cooked('long', {
      faults: [...Array.from({ length: 60 }, (_, i) => `fault-${i}`), 'x'.repeat(500)],
      line: 'y'.repeat(3000),
    })
    const { batches } = await hearth.ledger.page({ limit: 20 })
    const long = batches.find(one => one.id === 'long')!
    expect([long.unreadable, long.summary.faults.length, long.summary.line.length]).toEqual([undefined, 20, 400])
    expect(String((await hearth.streams.read('long', 0)).at(-1)!.payload.line)).toHaveLength(3000)
  })

  it('is parsed as it comes: what is wrong is named, and holds up no other mark', () => {
    const mark = (id: string, kind: string, payload: unknown) => ({
      id,
      device: 'd',
      number: 1,
      deviceTime: 1,
      kind,
      payload,
    })
    const { good, refused } = sortedMarks([
      mark('a', 'outcome', { line: 'y'.repeat(401) }),
      mark('b', 'note', { text: 'kept' }),
      mark('c', 'weighed', { grossG: 'much' }),
      mark('d', 'oven.steam', { bar: 'of a newer version' }),
      mark('e', 'corrected', { replaces: 'a', shiftS: -1e15 }),
      mark('f', 'stage.began', { stage: '../x' }),
      { id: 7 },
      null,
    ])
    expect(good.map(one => one.id)).toEqual(['b', 'd', 'e'])
    expect(refused.map(one => [one.id, one.path])).toEqual([
      ['a', 'payload.line'],
      ['c', 'payload.grossG'],
      ['f', 'payload.stage'],
      ['', 'id'],
      ['', ''],
    ])
  })
})

describe('a photograph', () => {
  it('loses every segment that is not its picture: between scans, behind its end, in thumbnails', () => {
    const given = scansWithPlace()
    const plain = plainJpeg(given)!
    expect(given.toString('latin1').match(/GPS/g)!.length).toBe(5)
    expect(plain.bytes.toString('latin1')).not.toMatch(/GPS|Exif|comment/)
    expect([plain.width, plain.height]).toEqual([2, 2])
    // Two scans, each with its coded bytes, stuffed bytes and restarts.
    expect(plain.bytes.toString('hex').match(/ffda/g)).toHaveLength(2)
    expect(plain.bytes.toString('hex')).toContain('12ff00ffd034')
    expect(plainJpeg(plain.bytes)!.bytes).toEqual(plain.bytes)
    for (let cut = 2; cut < given.length - 60; cut += 7) expect(() => plainJpeg(given.subarray(0, cut))).not.toThrow()
  })

  it('that is removed is gone from the database, its log and its copies', async () => {
    const photo = Buffer.concat([
      jpegWithPlace().subarray(0, -7),
      Buffer.from('SECRET-PICTURE-BYTES'.repeat(300)),
      Buffer.from([0xff, 0xd9]),
    ])
    const { id } = await hearth.photos.add('good', photo)
    await hearth.copies.keep()
    const { readFileSync, readdirSync } = await import('node:fs')
    const holds = (): string[] =>
      [
        ...readdirSync(folder).map(name => join(folder, name)),
        ...readdirSync(join(folder, 'copies')).map(name => join(folder, 'copies', name)),
      ].filter(path => /sqlite/.test(path) && readFileSync(path).includes('SECRET-PICTURE-BYTES'))
    expect(holds().length).toBeGreaterThan(1)
    await hearth.photos.remove(id)
    expect(holds()).toEqual([])
    expect(
      await hearth.database.sequelize.query('SELECT count(*) AS n FROM photos', { type: QueryTypes.SELECT }),
    ).toEqual([{ n: 0 }])
    await expect(hearth.photos.bytes(id)).rejects.toMatchObject({ code: 'not-found' })
  })
})
