import { execFile } from 'node:child_process'
import { promisify } from 'node:util'
import { beforeAll, describe, expect, it } from 'vitest'
import { JudgeReportSchema, type JudgeReport } from '../../contracts/judge'

/** A small judging: bounds are wider than those the full one has to meet by what so few cooks scatter. */
describe('the forecast, judged on a few imaginary cooks', () => {
  let report: JudgeReport
  beforeAll(async () => {
    const { stdout } = await promisify(execFile)(
      'node',
      ['scripts/run.mjs', 'cli/hearth.ts', 'judge', '--quick', '--json'],
      { maxBuffer: 1e7 },
    )
    report = JudgeReportSchema.parse(JSON.parse(stdout))
  }, 900_000)

  it('holds the truth in most windows of its own laws, in every state of knowledge', () => {
    expect(report.cooks).toBe(60)
    expect(report.coverage.own).toBeGreaterThan(0.7)
    expect(report.coverage.own).toBeLessThan(0.9)
    for (const [state, held] of Object.entries(report.coverage.byState)) expect(held, state).toBeGreaterThan(0.62)
  })

  it('still holds it under laws of another structure', () => {
    expect(report.coverage.wrong.length).toBeGreaterThanOrEqual(3)
    for (const [i, held] of report.coverage.wrong.entries()) {
      expect(held, report.coverage.worlds[i]!.name).toBeGreaterThan(0.55)
      expect(Math.abs(report.coverage.worlds[i]!.roastMovedBy)).toBeGreaterThan(0.05)
    }
  })

  it('narrows with the boil check and with taps', () => {
    const { none, boil, boilAroma, boilTwoTaps } = report.width
    expect(none).toBeLessThan(1.1)
    expect(boil).toBeLessThan(0.6 * none)
    expect(boilAroma).toBeLessThan(0.95 * boil)
    expect(boilTwoTaps).toBeLessThan(0.98 * boilAroma)
    expect(report.weight.afterOne).toBeLessThan(report.weight.first)
  })

  it('beats the same minutes always, and usual minutes scaled, on roasts, and is no worse on wet stages', () => {
    const { roast, wet } = report.rivals
    expect(roast.ours).toBeLessThan(Math.min(roast.same, roast.scaled))
    expect(wet.ours).toBeLessThan(Math.min(wet.same, wet.scaled))
  })

  it('plans flames that end near the wanted roast more often than one mark does', () => {
    expect(report.flamePlan.roasts).toBeGreaterThan(6)
    expect(report.flamePlan.reached).toBeGreaterThanOrEqual(report.flamePlan.fixedMark)
    expect(report.flamePlan.burnt).toBeLessThan(0.25)
  })

  it('keeps to the published syrups', () => {
    expect(report.syrup.maxErrorK).toBeLessThan(0.7)
    expect(report.syrup.errorAt908K).toBeLessThan(4)
    expect(report.syrup.maxErrorAw).toBeLessThan(0.02)
  })
})
