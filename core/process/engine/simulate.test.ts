import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { examplePlan, marked, starterPlan } from '../../../test/support/plans'
import { firstBelief } from '../belief/firstBelief'
import { beliefColumns, MEMBER_NAMES, memberValues, type MemberValues } from '../belief/memberValues'
import { constant } from '../../materials/constants/constants'
import type { Observation } from '../../record/marks/observation'
import { replay } from '../../record/replay/replay'
import { compileProgram } from '../program/compileProgram'
import { ensembleRecord } from './record'
import { SIGNS } from './signs'
import type { SignId } from '../../formulation/signs/signIds'
import { simulate } from './simulate'
import type { TracePoint } from './trace'

const plan = examplePlan()
const middle = memberValues(beliefColumns(firstBelief()), new Float64Array(MEMBER_NAMES.length), 0)

function run(observations: readonly Observation[] = [], nowS = 0, member: MemberValues = middle) {
  const program = compileProgram(plan, replay(plan, observations), nowS)
  const record = ensembleRecord(1, program.stages.length, program.queries.length, program.sides.length)
  const trace: TracePoint[] = []
  simulate(program, member, record, 0, { everyS: 0, points: trace })
  return { record, trace, sign: (id: SignId): number => record.signs[SIGNS.indexOf(id)]! }
}
const started = marked(1, 0, 'cook.started')
const roasting = [started, marked(2, 240, 'stage.began', { stage: 'roast' })]

describe('a run', () => {
  it('goes from stage to stage by the signs when nothing has happened yet', () => {
    const { record, sign } = run()
    expect(record.starts[1]).toBeGreaterThanOrEqual(sign('nuts-golden'))
    expect(record.starts[1]! - sign('nuts-golden')).toBeLessThanOrEqual(4)
    expect(record.starts[2]).toBeGreaterThanOrEqual(sign('pale'))
    const pouredG = plan.amounts
      .filter(one => plan.dish.stages.find(stage => stage.meets)!.adds.some(add => add.ingredient === one.id))
      .reduce((sum, one) => sum + one.massG, 0)
    expect(record.starts[3]! - record.starts[2]!).toBeCloseTo(
      middle.pourTime * Math.sqrt(pouredG / constant('usualPour')),
      3,
    )
    expect(record.starts[5]).toBeGreaterThanOrEqual(sign('leaves-sides'))
  })

  it('pours four times as much in twice the time, and in parts in twice that', () => {
    const lasts = (times: number, minutes: number): number => {
      const more = {
        ...plan,
        amounts: plan.amounts.map(one => ({ ...one, massG: one.massG * times })),
        dish: {
          ...plan.dish,
          stages: plan.dish.stages.map(stage => (stage.does === 'pour' ? { ...stage, until: { minutes } } : stage)),
        },
      }
      const program = compileProgram(more, replay(more, []), 0)
      const pour = program.stages.findIndex(stage => stage.pours > 0)
      return program.stages[pour]!.pours * middle.pourTime
    }
    expect(lasts(4, 1)).toBeCloseTo(2 * lasts(1, 1), 6)
    expect(lasts(1, 2)).toBeCloseTo(2 * lasts(1, 1), 6)
  })

  it('takes what has happened at its own times, however early or late', () => {
    const late = run([started, marked(2, 900, 'stage.began', { stage: 'roast' })], 900)
    expect(late.record.starts[1]).toBe(900)
    expect(late.sign('nuts-golden')).toBeLessThan(600)
    const early = run([started, marked(2, 60, 'stage.began', { stage: 'roast' })], 60)
    expect(early.record.starts[1]).toBe(60)
  })

  it('never lets an unmarked stage end before now', () => {
    const { record } = run(roasting, 2400)
    expect(record.starts[2]).toBeGreaterThanOrEqual(2400)
  })

  it('runs on in a shadow for a sign that was tapped in a stage cut short', () => {
    const cut = [
      ...roasting,
      marked(3, 300, 'sign.seen', { sign: 'aroma' }),
      marked(4, 320, 'stage.began', { stage: 'pour' }),
    ]
    const whole = run(roasting, 240).sign('aroma')
    const { record, sign } = run(cut, 330)
    expect(record.starts[2]).toBe(320)
    expect(whole).toBeGreaterThan(320)
    expect(Math.abs(sign('aroma') - whole)).toBeLessThanOrEqual(8)
    expect(run(roasting.concat(marked(4, 320, 'stage.began', { stage: 'pour' })), 330).sign('golden')).toBe(
      Number.POSITIVE_INFINITY,
    )
  })

  it('pours at the boil when nobody lit the other vessel, and cooler when it was lit late', () => {
    const poured = [...roasting, marked(4, 700, 'stage.began', { stage: 'pour' })]
    const late = [
      ...roasting,
      marked(3, 650, 'vessel.lit', { vessel: 'pot' }),
      marked(4, 700, 'stage.began', { stage: 'pour' }),
    ]
    const temp = (observations: readonly Observation[]): number =>
      run(observations, 705).trace.find(point => point.timeS > 702)!.tempC
    expect(temp(poured)).toBeGreaterThan(95)
    expect(temp(late)).toBeLessThan(80)
    expect(run(late, 705).sign('boil')).toBeGreaterThan(700)
  })

  it('boils sooner the sooner it is lit, and is kept at the boil', () => {
    const lit = (timeS: number): number =>
      run([...roasting, marked(3, timeS, 'vessel.lit', { vessel: 'pot' })], timeS).sign('boil')
    expect(lit(250)).toBeLessThan(lit(400))
    expect(lit(400) - lit(250)).toBeCloseTo(150, -1)
  })

  it('cools when it is taken off the fire', () => {
    const off = [...roasting, marked(3, 500, 'off.fire', { vessel: 'pan' })]
    const { trace } = run(off, 900)
    const at = (timeS: number): number => trace.find(point => point.timeS >= timeS)!.panC
    expect(at(800)).toBeLessThan(at(500))
    // Two thirds of the way down takes a time constant: that of pan and content together, some minutes.
    const [first, second, third] = [at(500) - 27, at(650) - 27, at(800) - 27]
    expect(Math.abs(second / Math.sqrt(first * third) - 1)).toBeLessThan(0.06)
    expect(third).toBeGreaterThan(0.2 * first)
  })

  it('tells every member\'s weight and temperature at the moments asked for', () => {
    const asked = [
      ...roasting,
      marked(3, 400, 'weighed', { vessel: 'pan', grossG: 1830 }),
      marked(4, 500, 'temperature', { vessel: 'pan', tempC: 130 }),
    ]
    const { record, trace } = run(asked, 510)
    expect(record.readings[0]).toBeCloseTo(trace.find(point => point.timeS >= 400)!.contentG, 6)
    expect(record.readings[1]).toBeCloseTo(trace.find(point => point.timeS >= 500)!.tempC, 6)
  })

  it('takes nuts out and puts them back', () => {
    const { trace } = run()
    const mass = (stage: number): number => trace.filter(point => point.stage === stage).at(-1)!.contentG
    expect(mass(0)).toBeCloseTo(97.5 + 40, 0)
    expect(mass(1)).toBeLessThan(97.5 + 250)
    expect(mass(4) - mass(3)).toBeGreaterThan(100)
  })
})

describe('the length of a step', () => {
  it.each(STARTER_DISHES.map(dish => dish.id))('moves no stage of %s by more than a hundredth of the cook', (id) => {
    const plan = starterPlan(id)
    const program = compileProgram(plan, replay(plan, []), 0)
    const member = memberValues(beliefColumns(plan.belief), new Float64Array(MEMBER_NAMES.length), 0)
    const starts = (stepS: number | null): number[] => {
      const stages = program.stages.map(stage => (stepS === null ? stage : { ...stage, stepS }))
      const record = ensembleRecord(1, stages.length, program.queries.length, program.sides.length)
      simulate({ ...program, stages }, member, record, 0)
      return [...record.starts, record.ends[0]!]
    }
    const [own, fine] = [starts(null), starts(1)]
    for (const [k, timeS] of own.entries()) expect(Math.abs(timeS - fine[k]!)).toBeLessThan(0.01 * fine.at(-1)!)
  })
})
