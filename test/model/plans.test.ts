import { execFile } from 'node:child_process'
import { promisify } from 'node:util'
import { describe, expect, it } from 'vitest'
import type { JudgedDay } from '../../cli/plans/judgePlans'

describe('the fifteen days that are judged', () => {
  it('are planned as well as anybody knows how, at least thirteen proven, none below its bound', async () => {
    const { stdout } = await promisify(execFile)(
      'node',
      ['scripts/run.mjs', 'cli/hearth.ts', 'judge-plans', '--json', '--no-tries', 'test/days'],
      { maxBuffer: 1e7 },
    )
    const { days, summary } = JSON.parse(stdout) as { days: JudgedDay[], summary: Record<string, number> }
    expect(days.flatMap(day => day.breaches)).toEqual([])
    expect(summary.days).toBe(15)
    expect(summary.bestAtEnd).toBe(15)
    expect(summary.belowBest).toBe(0)
    expect(summary.proven).toBeGreaterThanOrEqual(13)
    for (const day of days) expect(day.bound, day.id).toBeLessThanOrEqual(day.cost! + 1e-9)
  }, 320_000)
})
