import { execFile } from 'node:child_process'
import { promisify } from 'node:util'
import { describe, expect, it } from 'vitest'
import { faultyBatch, soundBatch } from '../../cli/faults/faultyBatch'
import type { FaultReport } from '../../cli/faults/judgeFaults'
import { findCauses } from '../../core/cook/faults/findCauses'
import { FAULTS } from '../../core/cook/faults/faults'

describe('hidden causes', () => {
  it('are found first in 70 of a hundred and among the first three in 90, and better than by how usual they are', async () => {
    const { stdout } = await promisify(execFile)(
      'node',
      ['scripts/run.mjs', 'cli/hearth.ts', 'judge-faults', '--quick', '--json'],
      { maxBuffer: 1e7 },
    )
    const report = JSON.parse(stdout) as FaultReport
    expect(report.batches).toBeGreaterThan(60)
    expect(report.first).toBeGreaterThanOrEqual(0.7)
    expect(report.firstThree).toBeGreaterThanOrEqual(0.9)
    expect(report.first).toBeGreaterThan(report.blind.first + 0.1)
    const named = Object.values(report.confusion)
      .flatMap(row => Object.values(row))
      .reduce((sum, one) => sum + one, 0)
    expect(named).toBe(report.batches)
  }, 180_000)

  it('stay out of the record', () => {
    const { record, cause, fault } = faultyBatch(5)
    expect(cause).toBe('too-wet')
    expect(Object.keys(FAULTS[fault].causes)).toContain(cause)
    const water = record.plan.amounts.find(one => one.ingredient === 'water' || one.ingredient === 'milk')!
    const perBase = record.plan.dish.ingredients.find(one => one.id === water.id)!.perBase
    expect(water.massG).toBeCloseTo(perBase * record.summary.baseG, 6)
    expect(JSON.stringify(record.cook)).not.toContain(cause)
  })

  it('are the same for the same seed, and a sound batch of the house can stand beside', () => {
    expect(faultyBatch(11)).toEqual(faultyBatch(11))
    const { record, fault } = faultyBatch(7)
    const ranked = findCauses(record, fault, [soundBatch(1, record.plan.dish.id)])
    expect(ranked.reduce((sum, one) => sum + one.share, 0)).toBeCloseTo(1, 9)
  })
})
