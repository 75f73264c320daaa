import { describe, expect, it } from 'vitest'
import { marked, starterPlan } from '../../../test/support/plans'
import { CoreError } from '../../error'
import { ensembleRecord, type EnsembleRecord } from '../engine/record'
import { SIGN, SIGNS } from '../engine/signs'
import { judgeSchedule } from './judgeSchedule'
import { offPays, roastAhead, roastDue } from './roastAhead'
import { ROAST_STEPS, takeOff, withinOf, type RoastStep } from './takeOff'

const START_S = 100

/** An ensemble of one roast whose members show these steps at these seconds after it began. */
function ensemble(...members: readonly Partial<Record<RoastStep | 'flecks', number>>[]): EnsembleRecord {
  const record = ensembleRecord(members.length, 1, 0, 0)
  members.forEach((signs, i) => {
    record.starts[i] = START_S
    for (const [sign, since] of Object.entries(signs))
      record.signs[i * SIGNS.length + SIGN[sign as RoastStep]] = START_S + since
  })
  return record
}
/** A roast that takes its steps in equal parts of log time, the wanted one in its middle. */
const roast = (wanted: RoastStep, atS: number, factor = 1.25): Partial<Record<RoastStep, number>> =>
  Object.fromEntries(ROAST_STEPS.map((step, i) => [step, atS * factor ** (i - ROAST_STEPS.indexOf(wanted))]))
const even = (members: number): Float64Array => new Float64Array(members).fill(1 / members)
const golden: RoastStep = 'golden'

describe('what counts as the wanted roast', () => {
  it('lasts from the step before it until two steps after it', () => {
    const at = ROAST_STEPS.indexOf(golden)
    const one = withinOf(ensemble(roast(golden, 600)), 0, 0, golden)
    expect(one.wantedS).toBeCloseTo(600, 9)
    expect(one.fromS).toBeCloseTo(600 / 1.25, 9)
    expect(one.toS).toBeCloseTo(Math.min(600 * 1.25 ** 2, 600 * 1.25 ** (ROAST_STEPS.length - 1 - at)), 9)
  })

  it('ends where it is ruined, by burning or by flecks, whichever comes first', () => {
    const flecked = withinOf(ensemble({ ...roast(golden, 600), flecks: 640 }), 0, 0, golden)
    expect(flecked.ruinedS).toBeCloseTo(640, 9)
    expect(flecked.toS).toBeCloseTo(640, 9)
    const burnt = withinOf(ensemble({ ...roast(golden, 600), burnt: 650 }), 0, 0, golden)
    expect(burnt.ruinedS).toBeCloseTo(650, 9)
  })

  it('begins with the roast for the aroma, and never comes where it does not', () => {
    expect(withinOf(ensemble(roast('aroma', 200)), 0, 0, 'aroma').fromS).toBe(0)
    expect(withinOf(ensemble({}), 0, 0, golden)).toEqual({
      fromS: Infinity,
      wantedS: Infinity,
      toS: Infinity,
      ruinedS: Infinity,
    })
  })
})

describe('when to take a roast off', () => {
  it('is in the stretch that counts, where everybody agrees', () => {
    const record = ensemble(roast(golden, 600), roast(golden, 600))
    const { timeS, reaches } = takeOff(record, even(2), 0, golden, START_S, START_S)
    const { fromS, toS } = withinOf(record, 0, 0, golden)
    expect(timeS - START_S).toBeGreaterThan(fromS)
    expect(timeS - START_S).toBeLessThan(toS)
    expect(reaches).toBeGreaterThan(0.9)
  })

  it('is sooner where burning follows close upon the wanted colour', () => {
    const mild = ensemble(roast(golden, 600), roast(golden, 650))
    const harsh = ensemble({ ...roast(golden, 600), flecks: 630 }, { ...roast(golden, 650), flecks: 680 })
    const timeOf = (record: EnsembleRecord): number => takeOff(record, even(2), 0, golden, START_S, START_S).timeS
    expect(timeOf(harsh)).toBeLessThan(timeOf(mild))
    // Both are within reach from a step before the slower one's colour until the quicker one has flecks.
    expect(timeOf(harsh) - START_S).toBeGreaterThan(650 / 1.25)
    expect(timeOf(harsh) - START_S).toBeLessThan(630)
    expect(timeOf(mild) - START_S).toBeLessThan(600 * 1.25 ** 2)
  })

  it('follows the weight, and promises less the less the members agree', () => {
    const record = ensemble(roast(golden, 400), roast(golden, 900))
    const first = takeOff(record, Float64Array.of(0.95, 0.05), 0, golden, START_S, START_S)
    const second = takeOff(record, Float64Array.of(0.05, 0.95), 0, golden, START_S, START_S)
    expect(first.timeS).toBeLessThan(second.timeS)
    expect(first.timeS - START_S).toBeGreaterThan(400 / 1.25)
    expect(second.timeS - START_S).toBeLessThan(900 * 1.25 ** 2)
    // Either of two that never agree is all that can be reached: its weight.
    expect(first.reaches).toBeCloseTo(0.95, 1)
    expect(takeOff(record, even(2), 0, golden, START_S, START_S).reaches).toBeCloseTo(0.5, 1)
  })

  it('is never in the past', () => {
    const record = ensemble(roast(golden, 300))
    expect(takeOff(record, even(1), 0, golden, START_S, START_S + 900).timeS).toBeCloseTo(START_S + 900, 6)
  })
})

describe('what a schedule comes to', () => {
  const wish = { step: 'golden' as const, patienceS: 900, risk: 0.05 }
  const turns = [{ cue: 'start' as const, mark: 'm3' }]

  it('is measured over the members by their weight', () => {
    const record = ensemble(roast(golden, 500), roast(golden, 700))
    const judged = judgeSchedule(turns, wish, record, even(2), 0)
    expect(judged.lastsS.early).toBeGreaterThanOrEqual(500 - 1e-9)
    expect(judged.lastsS.late).toBeLessThanOrEqual(700 + 1e-9)
    expect(judged.onColour).toBeCloseTo(1, 12)
    for (const share of [judged.reaches, judged.burns, judged.inTime, judged.onColour])
      expect(share).toBeGreaterThanOrEqual(0)
    expect(judged.reaches + judged.burns).toBeLessThanOrEqual(1 + 1e-9)
  })

  it('burns more often the nearer burning lies, and is in time less often the less patience there is', () => {
    const near = judgeSchedule(turns, wish, ensemble({ ...roast(golden, 600), flecks: 620 }), even(1), 0)
    const far = judgeSchedule(turns, wish, ensemble({ ...roast(golden, 600), flecks: 1200 }), even(1), 0)
    expect(near.burns).toBeGreaterThan(far.burns + 0.2)
    const hurried = judgeSchedule(turns, { ...wish, patienceS: 450 }, ensemble(roast(golden, 600)), even(1), 0)
    expect(hurried.inTime).toBeLessThan(judgeSchedule(turns, wish, ensemble(roast(golden, 600)), even(1), 0).inTime)
  })

  it('counts a roast that never comes as neither reached nor in time, and as long', () => {
    const never = judgeSchedule(turns, wish, ensemble({}), even(1), 0)
    expect(never).toMatchObject({ reaches: 0, inTime: 0, onColour: 0 })
    expect(never.lastsS.middle).toBe(3 * wish.patienceS)
  })

  it('takes a flame that is turned off a step short for what it is then', () => {
    const short = ensemble({
      ...roast(golden, 600),
      golden: Infinity,
      amber: Infinity,
      brown: Infinity,
      burnt: Infinity,
    } as Partial<Record<RoastStep, number>>)
    const off = judgeSchedule([...turns, { cue: 'pale', mark: 'off' }], wish, short, even(1), 0)
    expect(off.onColour).toBe(0)
    expect(off.reaches).toBeGreaterThan(0.9)
    expect(judgeSchedule(turns, wish, short, even(1), 0).reaches).toBe(0)
  })
})

describe('what is ahead of a running roast', () => {
  const plan = starterPlan('brick-kiln-wheat')
  const wish = { step: 'golden' as const, patienceS: 1800, risk: 0.03 }
  const roastStage = plan.dish.stages.find(stage => stage.does === 'roast')!.id
  const story = [marked(1, 0, 'cook.started'), marked(2, 200, 'stage.began', { stage: roastStage })]

  it('has its steps in order, none before the roast began', () => {
    const { due, end } = roastDue(plan, story, 260, wish, 60)
    const times = ROAST_STEPS.flatMap(step => (due[step] === undefined ? [] : [due[step]]))
    expect(times.length).toBeGreaterThan(2)
    expect(times).toEqual([...times].sort((a, b) => a - b))
    expect(times[0]!).toBeGreaterThan(200)
    expect(end.timeS).toBeGreaterThan(260)
    expect(end.reaches).toBeGreaterThan(0)
    expect(end.reaches).toBeLessThanOrEqual(1)
  })

  it('agrees with the look that asks what turning the flame off would do', () => {
    const whole = roastAhead(plan, story, 260, wish, 60)
    expect({ due: whole.due, end: whole.end }).toEqual(roastDue(plan, story, 260, wish, 60))
    // Hardly begun: off now, it would not get there.
    expect(whole.endIfOff.reaches).toBeLessThan(whole.end.reaches)
    expect(offPays(whole)).toBe(false)
    expect(offPays({ end: whole.endIfOff, endIfOff: whole.end })).toBe(true)
  })

  it('comes sooner once a colour was seen sooner', () => {
    const blind = roastDue(plan, story, 420, wish, 200)
    const seen = roastDue(plan, [...story, marked(3, 400, 'sign.seen', { sign: 'aroma' })], 420, wish, 200)
    expect(blind.due.aroma!).toBeGreaterThan(400)
    expect(seen.due.golden!).toBeLessThan(blind.due.golden!)
  })

  it('is refused where nothing is roasted', () => {
    const carrot = starterPlan('winter-market-carrot')
    expect(() => roastDue(carrot, [marked(1, 0, 'cook.started')], 60, wish, 20)).toThrow(CoreError)
  })
})
