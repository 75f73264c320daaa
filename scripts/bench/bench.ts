// npm run bench [-- --json] [-- --no-page]: speed figures with their ratio to a floor or a rival measured in the same
// run.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sqlite3 from 'sqlite3'
import { beliefColumns, MEMBER_NAMES, memberValues } from '../../core/process/belief/memberValues'
import { compileProgram } from '../../core/process/program/compileProgram'
import { ensembleRecord } from '../../core/process/engine/record'
import { runEnsemble } from '../../core/process/ensemble/runEnsemble'
import { simulate } from '../../core/process/engine/simulate'
import { replay } from '../../core/record/replay/replay'
import { fillNormal } from '../../core/maths/random/fillNormal'
import { seededRandom } from '../../core/maths/random/seededRandom'
import { openHearth } from '../../server/services/hearth'
import { examplePlan } from '../../test/support/plans'
import type { Figure } from './figure'
import { dragging } from './dragging'
import { firstView } from './firstView'
import { forecasting } from './forecasting'
import { measuring } from './measuring'
import { planning } from './planning'
import { median, timed } from './timed'
import { tightLoop } from './tightLoop'

const COOK_S = 1800
function simulation(): Figure[] {
  const plan = examplePlan()
  const program = { ...compileProgram(plan, replay(plan, []), 0), mostS: COOK_S }
  const columns = beliefColumns(plan.belief)
  const record = ensembleRecord(1, program.stages.length, 0, program.sides.length)
  const middle = memberValues(columns, new Float64Array(MEMBER_NAMES.length), 0)
  const batch = 40
  const one = timed(60, () => {
    for (let i = 0; i < batch; i++) {
      record.signs.fill(Number.POSITIVE_INFINITY)
      simulate(program, middle, record, 0)
    }
  }) / batch
  let sink = 0
  const steps = Math.min(COOK_S, record.starts[5]! + 300) / 4
  const floor = timed(60, () => {
    for (let i = 0; i < batch; i++) sink += tightLoop(steps, 4, 450)
  }) / batch
  const normals = fillNormal(new Float64Array(1000 * MEMBER_NAMES.length), seededRandom(1))
  const thousand = timed(5, () => {
    sink += runEnsemble(program, columns, normals).needs[0]!
  })
  if (!Number.isFinite(sink)) throw new RangeError('bench')
  return [
    {
      name: 'one 30-minute cook simulated',
      value: one,
      unit: 'ms',
      ratio: one / floor,
      limit: 'ratio to the same equations of one vessel in a tight loop <= 4',
    },
    {
      name: '1000-member ensemble',
      value: thousand,
      unit: 'ms',
      ratio: thousand / (1000 * floor),
      limit: 'ratio to 1000 tight loops <= 5',
    },
  ]
}

async function saving(): Promise<Figure> {
  const folder = mkdtempSync(join(tmpdir(), 'yon-hearth-bench-'))
  const hearth = await openHearth(folder, { now: Date.now, rate: 1 })
  const raw = new sqlite3.Database(join(folder, 'raw.sqlite'))
  const run = (sql: string, values: unknown[] = []): Promise<void> =>
    new Promise((resolve, reject) => raw.run(sql, values, error => (error ? reject(error) : resolve())))
  for (const pragma of ['journal_mode = WAL', 'synchronous = FULL']) await run(`PRAGMA ${pragma}`)
  await run(
    'CREATE TABLE o (place INTEGER PRIMARY KEY AUTOINCREMENT, stream TEXT, id TEXT, device TEXT, number INT, device_time INT, sent_at INT, received_at INT, kind TEXT, payload TEXT)',
  )
  await run('CREATE UNIQUE INDEX u ON o (stream, id)')
  const ours: number[] = []
  const theirs: number[] = []
  for (let i = 0; i < 400; i++) {
    let start = performance.now()
    await hearth.append('s', {
      sentAt: 1,
      observations: [{ id: `a${i}`, device: 'd', number: i, deviceTime: i, kind: 'note', payload: { text: 'golden' } }],
    })
    ours.push(performance.now() - start)
    start = performance.now()
    await run(
      'INSERT OR IGNORE INTO o (stream, id, device, number, device_time, sent_at, received_at, kind, payload) VALUES (?,?,?,?,?,?,?,?,?)',
      ['s', `a${i}`, 'd', i, i, 1, 2, 'note', '{"text":"golden"}'],
    )
    theirs.push(performance.now() - start)
  }
  await hearth.close()
  await new Promise<void>(resolve => raw.close(() => resolve()))
  rmSync(folder, { recursive: true, force: true })
  const value = median(ours)
  return {
    name: 'saving one observation',
    value,
    unit: 'ms',
    ratio: value / median(theirs),
    limit: 'ratio to a raw insert with the same durability <= 6',
  }
}

const figures: Figure[] = [
  ...simulation(),
  ...forecasting(),
  ...measuring(),
  ...planning(),
  await saving(),
  ...(process.argv.includes('--no-page') ? [] : [...(await dragging()), ...(await firstView())]),
]
if (process.argv.includes('--json')) console.log(JSON.stringify(figures, null, 2))
else
  for (const one of figures)
    console.log(
      `${one.name}: ${one.value.toPrecision(4)} ${one.unit}${one.ratio === null ? '' : `, ratio ${one.ratio.toFixed(2)}`} (${one.limit})`,
    )
