import { cpSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Sequelize } from 'sequelize'
import sqlite3 from 'sqlite3'
import { MIGRATIONS } from '../../../server/migrations/all'
import { migrateTo } from '../../../server/services/database'
import { kill9, killedRunning, PLAN, read, spawned, start, type House, type Killing } from './house'

const OLD_BATCHES = 120

/**
 * A house of the first version that is killed while it is brought up to date: it starts, and everything stands in it.
 */
export async function migrations(house: House, how: Killing): Promise<void> {
  const old = mkdtempSync(join(tmpdir(), 'yon-hearth-kills-old-'))
  await firstHouse(old)
  for (let kill = 0; kill < how.kills; kill++) {
    rmSync(house.folder, { recursive: true, force: true })
    cpSync(old, house.folder, { recursive: true })
    const server = spawned(house, how)
    await killedRunning(house, server, () => Promise.resolve(), 350 + 700 * house.uniform())
    const again = await start(house, how)
    const { batches } = await read<{ batches: { id: string }[] }>(house, '/batches?limit=200')
    house.tally.acknowledged += batches.length
    house.tally.lost += OLD_BATCHES - batches.length
    house.tally.doubled += batches.length - new Set(batches.map(one => one.id)).size
    await kill9(again)
  }
  rmSync(old, { recursive: true, force: true })
}

async function firstHouse(folder: string): Promise<void> {
  const sequelize = new Sequelize({
    dialect: 'sqlite',
    dialectModule: sqlite3,
    storage: join(folder, 'hearth.sqlite'),
    logging: false,
  })
  await sequelize.query('PRAGMA journal_mode = WAL')
  await migrateTo(sequelize, MIGRATIONS[0]!.name)
  const summary = JSON.stringify({
    stones: [],
    plannedStones: [],
    keystoneS: 1,
    endS: 2,
    plannedKeystoneS: null,
    plannedEndS: null,
    plannedKeystoneWindow: null,
    plannedEndWindow: null,
    moments: [],
    baseG: 100,
    finishedG: 300,
    plannedFinishedG: null,
    weighed: false,
    darkestStep: null,
    faults: ['dry'],
    line: '',
  })
  for (let i = 0; i < OLD_BATCHES; i++) {
    const id = `old-${i}`
    await sequelize.query("INSERT INTO cooks VALUES (:id, 'Dish', :plan, 1, 1, 1, 2)", {
      replacements: { id, plan: JSON.stringify({ ...PLAN, id }) },
    })
    await sequelize.query("INSERT INTO batches VALUES (:id, 'dish', 'Dish', :at, :summary, '[]', '', NULL)", {
      replacements: { id, at: 1_790_000_000_000 + i, summary },
    })
  }
  await sequelize.close()
}
