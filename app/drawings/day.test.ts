import { describe, expect, it } from 'vitest'
import { dayOf } from '../../core/day/spread/dayOf'
import { paddedDay } from '../../core/day/problem/paddedDay'
import { DaySolver } from '../../core/day/planning/solveDay'
import { exampleSpread } from '../../test/support/spreads'
import { dayScale } from './dayScale'
import { rowHeightFor, viewOfSpread } from './spreadView'

const spread = exampleSpread()
const day = paddedDay(dayOf(spread, 2000))
const solver = new DaySolver(day)
for (let i = 0; i < 40 && !solver.done; i++) solver.step(() => false)
const plan = solver.plan!
const view = viewOfSpread(spread, day, plan, 1200, 78)

describe('the clock of a day', () => {
  it('folds hours in which nothing happens, and gives back the minute it was given', () => {
    const scale = dayScale([{ from: 1340, to: 1350 }, { from: 2400, to: 2520 }, { from: 2500, to: 2580 }], 200, 1200)
    expect(scale.gaps).toHaveLength(1)
    expect(scale.gaps[0]!.from).toBeGreaterThan(1350)
    expect(scale.gaps[0]!.to).toBeLessThan(2400)
    for (const minute of [1345, 2400, 2450, 2580])
      expect(Math.abs(scale.minute(scale.x(minute)) - minute)).toBeLessThanOrEqual(1)
    expect(scale.x(2400)).toBeLessThan(scale.x(2401))
    expect(scale.x(1340)).toBeGreaterThanOrEqual(200)
    expect(scale.x(2580)).toBeLessThanOrEqual(1200)
  })

  it('has a time for every stretch, even a short one', () => {
    const { ticks } = dayScale([{ from: 1341, to: 1347 }, { from: 2400, to: 2580 }], 200, 700)
    expect(ticks.some(tick => tick >= 1330 && tick <= 1355)).toBe(true)
  })
})

describe('a day drawn', () => {
  it('stands each arch on the clock at its first and last minute on the fire, its colours in order', () => {
    expect(view.rows).toHaveLength(2)
    for (const row of view.rows) {
      expect(row.arch!.left).toBeCloseTo(view.scale.x(plan.starts[`${row.dish}.roast`]!), 6)
      expect(row.arch!.right).toBeGreaterThan(view.scale.x(plan.starts[`${row.dish}.pour`]!))
      expect(row.arch!.turnMin).toBe(plan.starts[`${row.dish}.pour`])
      expect(row.stones[0]!.colour).toBe('#f0dfb0')
      expect(row.stones.at(-1)!.colour).toBe('#c89a55')
      expect(row.stones.every(stone => !stone.path.includes('NaN'))).toBe(true)
      expect(row.waits.map(wait => wait.kind)).toEqual(['soak'])
    }
  })

  it('gives every pair of hands a lane and leaves out what nobody uses', () => {
    expect(view.lanes.filter(lane => lane.kind === 'hands').map(lane => lane.name)).toEqual(['You', 'Ilan'])
    for (const lane of view.lanes)
      for (const span of lane.spans) expect(span.x + span.width).toBeLessThanOrEqual(view.width)
    expect(view.lanes.filter(lane => lane.kind === 'vessel').every(lane => lane.spans.length > 0)).toBe(true)
    expect(view.height).toBeGreaterThan(view.ground)
  })

  it('keeps what is made beside a dish out of its arch', () => {
    const [first, second] = spread.dishes
    const beside = {
      ...first!,
      steps: {
        ...first!.steps,
        activities: [
          ...first!.steps.activities,
          { id: 'khoya', dur: [20, 30, 45] as const, hands: 0.5 as const, burner: 1 as const },
        ],
        lags: [...first!.steps.lags, { from: 'khoya', to: 'pour', min: 30, max: 2880, kind: 'thickened' }],
        holds: [...first!.steps.holds, { need: 'heavy' as const, first: 'khoya', last: 'khoya' }],
      },
    }
    const whole = exampleSpread({ dishes: [beside, second!] })
    const plain = dayOf(whole, 2000)
    const starts: Record<string, number> = { ...plan.starts, 'd1.khoya': 2100 }
    const row = viewOfSpread(whole, plain, { ...plan, starts }, 1200, 78).rows[0]!
    expect(row.fireMin!.from).toBe(starts['d1.roast'])
    expect(row.blocks.map(block => block.step)).toContain('d1.khoya')
  })

  it('stands lower with more dishes', () => {
    expect([2, 5, 7, 12].map(rowHeightFor)).toEqual([...[2, 5, 7, 12].map(rowHeightFor)].sort((a, b) => b - a))
  })
})
