import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { QueryTypes, Sequelize } from 'sequelize'
import sqlite3 from 'sqlite3'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { MIGRATIONS } from '../../server/migrations/all'
import { migrateTo } from '../../server/services/database'
import { openHearth } from '../../server/services/hearth'
import { onOwn } from '../../server/services/ownConnection'
import { DatabaseUnfit, FolderInUse, NewerDatabase, StartRefused } from '../../server/services/startRefused'
import { stock } from '../../server/services/stock'
import { saidOfCopies, takeCopy } from '../../server/services/takeCopy'
import { examplePlan } from '../support/plans'

const AT = 1_795_000_000_000
const clock = { now: () => AT, rate: 1 }
let folder: string
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'yon-hearth-start-'))
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))
const file = (at = folder): string => join(at, 'hearth.sqlite')
const connection = (storage: string): Sequelize =>
  new Sequelize({ dialect: 'sqlite', dialectModule: sqlite3, storage, logging: false })

/** A house as the first version left it, with batches in it. */
async function oldHouse(at: string, batches = 3): Promise<void> {
  mkdirSync(at, { recursive: true })
  const sequelize = connection(file(at))
  await sequelize.query('PRAGMA journal_mode = WAL')
  await migrateTo(sequelize, MIGRATIONS[0]!.name)
  for (let i = 0; i < batches; i++) {
    await sequelize.query("INSERT INTO cooks VALUES (:id, 'Dish', :plan, 1, 1, 1, 2)", {
      replacements: { id: `old-${i}`, plan: JSON.stringify(examplePlan({}, `old-${i}`)) },
    })
    await sequelize.query("INSERT INTO batches VALUES (:id, 'dish', 'Dish', :at, :summary, '[]', '', NULL)", {
      replacements: {
        id: `old-${i}`,
        at: AT + i,
        summary: JSON.stringify({
          stones: [],
          keystoneS: 1,
          endS: 2,
          baseG: 100,
          finishedG: 300,
          weighed: false,
          darkestStep: null,
          faults: ['dry'],
          line: '',
        }),
      },
    })
  }
  await sequelize.close()
}

describe('a migration', () => {
  it('that is cut off between statements, every second of them, has wholly run or not at all, and the next start goes on', async () => {
    await oldHouse(join(folder, 'house'))
    const cuts: string[] = []
    const plain = Sequelize.prototype.query as (...args: unknown[]) => unknown
    // What a kill leaves between two statements: the files as the operating system has them then.
    const query = vi.spyOn(Sequelize.prototype, 'query').mockImplementation(async function (
      this: Sequelize,
      ...args: Parameters<Sequelize['query']>
    ) {
      const cut = join(folder, `cut-${cuts.length}`)
      mkdirSync(cut)
      for (const name of readdirSync(join(folder, 'house')).filter(one => one.startsWith('hearth.sqlite')))
        cpSync(join(folder, 'house', name), join(cut, name))
      cuts.push(cut)
      return plain.apply(this, args) as never
    })
    const whole = await openHearth(join(folder, 'house'), clock)
    await whole.close()
    query.mockRestore()
    expect(cuts.length).toBeGreaterThan(60)
    const seen = new Set<number>()
    for (const cut of cuts.filter((_, i) => i % 2 === 1)) {
      const raw = connection(file(cut))
      const done = (
        await raw.query<{ name: string }>('SELECT name FROM SequelizeMeta ORDER BY name', { type: QueryTypes.SELECT })
      ).map(one => one.name)
      await raw.close()
      expect(done).toEqual(MIGRATIONS.slice(0, done.length).map(one => one.name))
      seen.add(done.length)
      const again = await openHearth(cut, clock)
      expect((await again.ledger.page({ limit: 10 })).batches.map(one => one.id)).toEqual(['old-2', 'old-1', 'old-0'])
      expect((await again.ledger.tally({})).faults).toEqual([{ id: 'dry', name: 'dry', count: 3 }])
      await again.close()
      rmSync(cut, { recursive: true })
    }
    expect(seen.size).toBe(MIGRATIONS.length)
  }, 240_000)
})

describe('a start', () => {
  it('is refused where another hearth has the folder, and not held up by one that was killed', async () => {
    const hearth = await openHearth(folder, clock)
    await expect(openHearth(folder, clock)).rejects.toThrow(FolderInUse)
    await hearth.close()
    // A lock is the operating system's: the file that is left over says nothing.
    expect(existsSync(join(folder, 'hearth.lock'))).toBe(true)
    await (await openHearth(folder, clock)).close()
  })

  it('is refused with a newer database, and nothing of it is touched', async () => {
    const hearth = await openHearth(folder, clock)
    await hearth.database.sequelize.query('INSERT INTO SequelizeMeta VALUES (\'2031-01-01-later\')')
    await hearth.close()
    const before = readFileSync(file())
    await expect(openHearth(folder, clock)).rejects.toThrow(NewerDatabase)
    await expect(openHearth(folder, clock)).rejects.toThrow(/2031-01-01-later.*Nothing was changed/)
    expect(readFileSync(file())).toEqual(before)
    expect(readdirSync(folder).filter(one => !one.startsWith('hearth.'))).toEqual([])
  })

  it('is refused where another program holds the database, and goes well once that lets go', async () => {
    await (await openHearth(folder, clock)).close()
    const other = connection(file())
    await other.query('PRAGMA locking_mode = EXCLUSIVE')
    await other.query('BEGIN EXCLUSIVE')
    await expect(openHearth(folder, clock)).rejects.toThrow(
      /Another program holds the database. Nothing was changed. Close it/,
    )
    await other.query('COMMIT')
    await other.close()
    await (await openHearth(folder, clock)).close()
  })

  it('says of a full disk and of files that cannot be written what is safe and what to do', () => {
    expect(new DatabaseUnfit('SQLITE_FULL: database or disk is full').message).toBe(
      'The disk is full. What was acknowledged is safe; nothing was changed. Make room, then start the hearth again.',
    )
    expect(new DatabaseUnfit('SQLITE_READONLY: attempt to write a readonly database').message).toContain(
      'cannot be opened for writing. Nothing was changed.',
    )
    expect(new DatabaseUnfit('SQLITE_CORRUPT: malformed').message).toContain(
      'SQLITE_CORRUPT: malformed). Nothing was changed',
    )
  })

  it('with a damaged database says which copies are good, and takes the one that is asked for', async () => {
    const hearth = await openHearth(folder, clock)
    await stock(hearth)
    await hearth.append('s', {
      sentAt: AT,
      observations: [{ id: 'kept', device: 'd', number: 1, deviceTime: AT, kind: 'note', payload: {} }],
    })
    await hearth.copies.keep()
    await hearth.append('s', {
      sentAt: AT,
      observations: [{ id: 'later', device: 'd', number: 2, deviceTime: AT, kind: 'note', payload: {} }],
    })
    await hearth.close()
    cpSync(join(folder, 'copies', 'hearth-2026-11-18.sqlite'), join(folder, 'copies', 'hearth-2026-11-17.sqlite'))
    truncateSync(join(folder, 'copies', 'hearth-2026-11-17.sqlite'), 9000)
    const noise = Buffer.alloc(16_384, 7)
    writeFileSync(file(), noise)
    await expect(openHearth(folder, clock)).rejects.toThrow(DatabaseUnfit)
    expect(readFileSync(file())).toEqual(noise)
    const said = await saidOfCopies(folder)
    expect(said).toContain('2026-11-18, 0 batches: npm start -- --take-copy 2026-11-18')
    expect(said).toMatch(/2026-11-17 is not good: /)
    await expect(takeCopy(folder, '2026-11-17', 'now')).rejects.toThrow(StartRefused)
    await expect(takeCopy(folder, '2025-01-01', 'now')).rejects.toThrow(/There is no copy/)
    expect(readFileSync(file())).toEqual(noise)
    expect(await takeCopy(folder, '2026-11-18', 'now')).toEqual({
      name: 'hearth-2026-11-18.sqlite',
      aside: 'aside-now',
    })
    const taken = await openHearth(folder, clock)
    expect((await taken.streams.read('s', 0)).map(one => one.id)).toEqual(['kept'])
    expect(await taken.dishes.latest()).not.toHaveLength(0)
    await taken.close()
    expect(readFileSync(join(folder, 'aside-now', 'hearth.sqlite'))).toEqual(noise)
  })

  it('finishes taking a copy that was cut off, and sweeps what other work left', async () => {
    const hearth = await openHearth(folder, clock)
    await hearth.copies.keep()
    await hearth.append('s', { sentAt: AT, observations: [{ id: 'later', device: 'd', number: 2, deviceTime: AT, kind: 'note', payload: {} }] })
    await hearth.close()
    cpSync(join(folder, 'copies', 'hearth-2026-11-18.sqlite'), join(folder, 'hearth.sqlite.taking'))
    mkdirSync(join(folder, '.restore-abc'))
    mkdirSync(join(folder, '.backup-abc'))
    writeFileSync(join(folder, 'copies', 'hearth-2026-11-19.sqlite.half'), 'x')
    cpSync(file(), join(folder, 'before-update-2026-11-01T00-00-00-000Z.sqlite'))
    const again = await openHearth(folder, clock)
    expect(await again.streams.read('s', 0)).toEqual([])
    await again.close()
    expect(readdirSync(folder).sort()).toEqual(['copies', 'hearth.lock', 'hearth.sqlite'])
    expect(readdirSync(join(folder, 'copies')).sort()).toEqual([
      'before-update-2026-11-01T00-00-00-000Z.sqlite',
      'hearth-2026-11-18.sqlite',
    ])
  })
})

describe('a full disk', () => {
  it('refuses what does not go on it, keeps what was acknowledged, and takes marks again once there is room', async () => {
    const hearth = await openHearth(folder, clock)
    await hearth.cooks.create(examplePlan({}, 'full'))
    const mark = (number: number) =>
      hearth.append('full', {
        sentAt: AT,
        observations: [
          {
            id: `m${number}`,
            device: 'd',
            number,
            deviceTime: AT + number,
            kind: 'note',
            payload: { text: 'x'.repeat(1500) },
          },
        ],
      })
    await mark(1)
    const [[{ page_count: pages }]] = (await hearth.database.sequelize.query('PRAGMA page_count')) as [
      [{ page_count: number }],
      unknown,
    ]
    await hearth.database.sequelize.query(`PRAGMA max_page_count = ${pages + 3}`)
    const kept = ['m1']
    const filling = async (): Promise<void> => {
      for (let number = 2; number < 200; number++) {
        await mark(number)
        kept.push(`m${number}`)
      }
    }
    await expect(filling()).rejects.toThrow(/SQLITE_FULL/)
    expect(kept.length).toBeLessThan(60)
    expect((await hearth.streams.read('full', 0)).map(one => one.id)).toEqual(kept)
    await hearth.database.sequelize.query('PRAGMA max_page_count = 1000000')
    await mark(kept.length + 1)
    expect(await hearth.streams.read('full', 0)).toHaveLength(kept.length + 1)
    const [check] = await hearth.database.sequelize.query<{ integrity_check: string }>('PRAGMA integrity_check', {
      type: QueryTypes.SELECT,
    })
    expect(check!.integrity_check).toBe('ok')
    await hearth.close()
  })
})

describe('copies', () => {
  it('dated ahead by a wrong clock push out neither today\'s nor one another for ever', async () => {
    const hearth = await openHearth(folder, clock)
    await hearth.copies.keep()
    const today = join(folder, 'copies', 'hearth-2026-11-18.sqlite')
    for (let day = 10; day < 25; day++) cpSync(today, join(folder, 'copies', `hearth-2031-01-${day}.sqlite`))
    await hearth.copies.keep()
    const names = readdirSync(join(folder, 'copies')).sort()
    expect(names).toEqual(['hearth-2026-11-18.sqlite', 'hearth-2031-01-23.sqlite', 'hearth-2031-01-24.sqlite'])
    await hearth.close()
  })

  it('before an update are kept three, and none is made where nothing is updated', async () => {
    await oldHouse(folder)
    for (let i = 1; i < 6; i++) {
      mkdirSync(join(folder, 'copies'), { recursive: true })
      cpSync(file(), join(folder, 'copies', `before-update-2026-10-0${i}T00-00-00-000Z.sqlite`))
    }
    await (await openHearth(folder, clock)).close()
    await (await openHearth(folder, clock)).close()
    const names = readdirSync(join(folder, 'copies')).filter(one => one.startsWith('before-update')).sort()
    expect(names).toHaveLength(3)
    expect(names.at(-1)).toContain('2026-11-18')
    expect(
      await onOwn(join(folder, 'copies', names.at(-1)!), 'read', own => own.all('SELECT name FROM SequelizeMeta')),
    ).toEqual([{ name: MIGRATIONS[0]!.name }])
  })
})
