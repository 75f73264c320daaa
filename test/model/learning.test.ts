import { execFile } from 'node:child_process'
import { promisify } from 'node:util'
import { beforeAll, describe, expect, it } from 'vitest'
import type { LearntAfter } from '../../cli/judge/judgeLearning'

/** Few households: what has to hold is the direction, not the figure. */
describe('households that cook a dish again and again', () => {
  let found: LearntAfter[]
  beforeAll(async () => {
    const { stdout } = await promisify(execFile)('node', ['scripts/run.mjs', 'cli/hearth.ts', 'judge-learning', '8'])
    found = JSON.parse(stdout) as LearntAfter[]
  }, 300_000)

  it('are forecast ever more narrowly', () => {
    expect(found.map(one => one.batches)).toEqual([0, 1, 2, 3, 4, 5, 6])
    expect(found[6]!.dish.width).toBeLessThan(0.85 * found[0]!.dish.width)
  })

  it('still find what happens in most windows', () => {
    const after = found.slice(1)
    const held = after.reduce((sum, one) => sum + one.dish.held * one.dish.count, 0)
    expect(found[0]!.dish.count).toBe(8)
    expect(held / after.reduce((sum, one) => sum + one.dish.count, 0)).toBeGreaterThan(0.6)
  })
})
