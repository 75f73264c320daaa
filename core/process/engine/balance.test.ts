import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { examplePlan, marked } from '../../../test/support/plans'
import { beliefColumns, MEMBER_NAMES, memberValues } from '../belief/memberValues'
import { fillNormal } from '../../maths/random/fillNormal'
import { seededRandom } from '../../maths/random/seededRandom'
import { replay } from '../../record/replay/replay'
import type { CookPlan } from '../../record/plan/plan'
import type { Observation } from '../../record/marks/observation'
import { compileProgram } from '../program/compileProgram'
import { heatCapacity } from './heatCapacity'
import { HEAT, NUTS, PAN_TEMP, TEMP, VAPOUR, VAPOUR_HEAT, vesselIn, VESSEL_SIZE } from './layout'
import { contentG } from './contentG'
import { ensembleRecord } from './record'
import { flamePower, paceOf } from './run'
import { SIGNS } from './signs'
import { simulate } from './simulate'
import type { TracePoint } from './trace'

/** One run of a plan with drawn hidden values, with its trace. */
function traced(plan: CookPlan, seed: number, observations: readonly Observation[] = [], nowS = 0) {
  const program = compileProgram(plan, replay(plan, observations), nowS)
  const member = memberValues(
    beliefColumns(plan.belief),
    fillNormal(new Float64Array(MEMBER_NAMES.length), seededRandom(seed)),
    0,
  )
  const record = ensembleRecord(1, program.stages.length, program.queries.length, program.sides.length)
  const trace: TracePoint[] = []
  simulate(program, member, record, 0, { everyS: 0, points: trace })
  return { program, member, record, trace }
}

/** Everything in all vessels and in the air, g. */
function total(point: TracePoint): number {
  let sum = 0
  for (let v = 0; v < point.all.length / VESSEL_SIZE; v++)
    sum += contentG(vesselIn(point.all, v)) + vesselIn(point.all, v)[VAPOUR]
  return sum
}

describe('mass', () => {
  it('is conserved at every step within a stage, and over the whole cook', () => {
    fc.assert(fc.property(fc.integer({ min: 1, max: 1e6 }), fc.integer({ min: 60, max: 900 }), (seed, baseG) => {
      const plan = examplePlan({ baseG })
      const { trace } = traced(plan, seed)
      for (let i = 1; i < trace.length; i++) {
        if (trace[i]!.stage !== trace[i - 1]!.stage) continue
        expect(Math.abs(total(trace[i]!) / total(trace[i - 1]!) - 1)).toBeLessThan(1e-12)
      }
      const given = plan.amounts.reduce((sum, one) => sum + one.massG, 0)
      const nuts = plan.amounts.find(one => one.id === 'cashew')!.massG
      // The nuts go in twice: the first time they are taken out again.
      expect(trace.at(-1)!.state[NUTS]!).toBeCloseTo(nuts, 9)
      expect(Math.abs(total(trace.at(-1)!) / given - 1)).toBeLessThan(1e-9)
    }), { numRuns: 25 })
  })
})

describe('energy', () => {
  it('is conserved at every step within a stage', () => {
    const { trace, program, member } = traced(
      examplePlan(),
      4,
      [marked(1, 0, 'cook.started'), marked(2, 100, 'vessel.lit', { vessel: 'pot' })],
      0,
    )
    const vessels = [...program.vessels, ...program.sides.map(side => side.vessel)]
    const held = (point: TracePoint, v: number): number =>
      vessels[v]!.panHeat * member.panMass * vesselIn(point.all, v)[PAN_TEMP]
      + heatCapacity(vesselIn(point.all, v)) * vesselIn(point.all, v)[TEMP]
    const flow = (point: TracePoint, v: number): number =>
      vesselIn(point.all, v)[HEAT] - vesselIn(point.all, v)[VAPOUR_HEAT]
    let checked = 0
    for (let i = 1; i < trace.length; i++) {
      for (let v = 0; v < vessels.length; v++) {
        const empty = [trace[i - 1]!, trace[i]!].some(({ all }) => contentG(vesselIn(all, v)) < 1)
        if (trace[i]!.stage !== trace[i - 1]!.stage || empty) continue
        const change = held(trace[i]!, v) - held(trace[i - 1]!, v)
        const flowed = flow(trace[i]!, v) - flow(trace[i - 1]!, v)
        expect(Math.abs(change - flowed) / held(trace[i]!, v)).toBeLessThan(1e-9)
        checked++
      }
    }
    expect(checked).toBeGreaterThan(200)
  })
})

describe('heat', () => {
  it('never passes the steady temperature of the biggest flame used', () => {
    fc.assert(fc.property(fc.integer({ min: 1, max: 1e6 }), fc.constantFrom('m2', 'm4', 'm6'), (seed, mark) => {
      const plan = examplePlan({ flames: { nuts: mark, roast: mark } })
      const { trace, program, member } = traced(plan, seed, [marked(1, 0, 'cook.started')], 3600)
      // The ladder of marks and the pace of roasts are part of the power that reaches this member's pan.
      const power = Math.max(
        ...program.stages.slice(0, 2).map(stage => flamePower(stage.flame, member) * paceOf(stage, member)),
      )
      const loss = (tempC: number): number =>
        member.heatLoss * program.vessels[0]!.wallArea * (tempC - 27) * (1 + (tempC - 27) / 500)
      let steady = 27
      while (loss(steady) < power) steady += 0.01
      for (const point of trace) {
        if (point.stage > 1) break
        expect(point.panC).toBeLessThan(steady + 0.6)
        expect(point.tempC).toBeLessThan(steady + 0.6)
      }
    }), { numRuns: 12 })
  })

  it('roasts never later with more power', () => {
    fc.assert(fc.property(fc.integer({ min: 1, max: 1e6 }), fc.integer({ min: 1, max: 4 }), (seed, step) => {
      const slow = traced(examplePlan({ flames: { nuts: `m${step}`, roast: `m${step}` } }), seed).record
      const fast = traced(examplePlan({ flames: { nuts: `m${step + 1}`, roast: `m${step + 1}` } }), seed).record
      const pale = SIGNS.indexOf('pale')
      expect(fast.signs[pale]!).toBeLessThanOrEqual(slow.signs[pale]!)
      expect(fast.starts[1]!).toBeLessThanOrEqual(slow.starts[1]!)
    }), { numRuns: 20 })
  })

  it('takes longer for twice the mass, at every stage', () => {
    fc.assert(fc.property(fc.integer({ min: 1, max: 1e6 }), fc.integer({ min: 100, max: 400 }), (seed, baseG) => {
      const once = traced(examplePlan({ baseG }), seed).record
      const twice = traced(examplePlan({ baseG: baseG * 2 }), seed).record
      for (let stage = 1; stage < once.stages; stage++)
        expect(twice.starts[stage]!).toBeGreaterThan(once.starts[stage]!)
      expect(twice.needs[0]!).toBeGreaterThan(once.needs[0]!)
    }), { numRuns: 15 })
  })

  it('comes to the boil sooner in water than the flame alone could, never', () => {
    const plan = examplePlan()
    const { record } = traced(plan, 5)
    const water = plan.amounts.find(one => one.id === 'water')!.massG
    const most = plan.fires.pot!.marks.at(-1)!.watts * Math.exp(4 * 0.3)
    expect(record.needs[0]!).toBeGreaterThan(water * 4.18 * 70 / most)
  })
})

describe('the step', () => {
  it('gives finite numbers for the smallest and the largest cook the contracts admit', () => {
    for (const baseG of [5, 20000]) {
      const { trace, record } = traced(examplePlan({ baseG }), 2)
      for (const point of trace) expect(Array.from(point.all).every(Number.isFinite)).toBe(true)
      expect(record.starts[1]).toBeGreaterThan(0)
    }
  })
})
