import { describe, expect, it } from 'vitest'
import { examplePlan, marked } from '../../../test/support/plans'
import { settleCook } from '../../cook/batch/settleCook'
import { drawnPlan, thinPlan } from '../../cook/batch/thinPlan'
import { forecastCook } from '../../process/forecast/forecastCook'
import { fewMarks, MOST_MARKS } from '../replay/fewMarks'
import type { Observation } from './observation'
import { isOutsideCook, MOST_COOK_S } from './outsideCook'
import { isAhead } from './isAhead'
import { replay } from '../replay/replay'

const START = 1_795_000_000_000
const DAY_S = 86_400
const plan = examplePlan()
/** Heard of an hour after it happened at the latest, by a device whose clock is right. */
const at = (number: number, timeS: number, kind: string, payload = {}, heardS = 3600): Observation => ({
  id: `o-${number}`,
  device: 'tablet',
  number,
  deviceTime: START + timeS * 1000,
  sentAt: START + heardS * 1000,
  receivedAt: START + heardS * 1000,
  kind,
  payload,
})

describe('the time of a mark', () => {
  it('lies outside the cook a year ahead, long before the fire, and a day after it', () => {
    const outside = (kind: string, timeS: number, ahead = false) =>
      isOutsideCook({ kind, atMs: START + timeS * 1000, ahead }, START)
    expect([-901, -899, 0, MOST_COOK_S, MOST_COOK_S + 1].map(timeS => outside('sign.seen', timeS))).toEqual([
      true,
      false,
      false,
      false,
      true,
    ])
    expect([-3 * DAY_S, -3 * DAY_S - 1].map(timeS => outside('step.done', timeS))).toEqual([false, true])
    expect(
      ['put.away', 'given.out', 'note', 'cook.finished', 'outcome'].map(kind => outside(kind, 90 * DAY_S)),
    ).toEqual([false, false, false, false, false])
    expect(outside('given.out', 401 * DAY_S)).toBe(true)
    expect(outside('sign.seen', 7200, true)).toBe(true)
    expect([isAhead(START + 901_000, START), isAhead(START + 899_000, START), isAhead(1e15, undefined)]).toEqual([
      true,
      false,
      false,
    ])
    expect(isOutsideCook({ kind: 'note', atMs: Number.NaN, ahead: false }, START)).toBe(true)
  })

  it('outside it is kept and passed over, and moves nothing that comes after it', () => {
    const story = [
      at(1, 0, 'cook.started'),
      at(2, 365 * DAY_S, 'stage.began', { stage: 'roast' }),
      at(3, 300, 'sign.seen', { sign: 'nuts-golden' }),
      at(4, 320, 'stage.began', { stage: 'roast' }),
      at(5, 1500, 'cook.finished'),
    ]
    const cook = replay(plan, story)
    expect(cook.moments.filter(one => one.outside).map(one => one.id)).toEqual(['o-2'])
    expect(cook.stageStarts[1]).toBe(320)
    expect(cook.finishedS).toBe(1500)
  })

  it('shifted by any number of seconds is passed over, and the rest stands', () => {
    for (const shiftS of [-1e15, 1e15, 1e300, -1e300, 40 * DAY_S]) {
      const cook = replay(plan, [
        at(1, 0, 'cook.started'),
        at(2, 300, 'stage.began', { stage: 'roast' }),
        at(3, 600, 'corrected', { replaces: 'o-2', shiftS }),
        at(4, 1500, 'cook.finished'),
      ])
      expect([shiftS, cook.stageStarts[1], cook.finishedS]).toEqual([shiftS, null, 1500])
      expect(cook.moments.filter(one => one.outside)).toHaveLength(1)
    }
  })
})

describe('settling', () => {
  it('a finish that was forgotten for a week gives what the last mark gave, without a week of fire', () => {
    const story = [
      at(1, 0, 'cook.started'),
      at(2, 300, 'stage.began', { stage: 'roast' }),
      at(3, 560, 'sign.seen', { sign: 'aroma' }),
      at(4, 720, 'stage.began', { stage: 'pour' }),
    ]
    const late = settleCook(plan, [...story, at(5, 7 * DAY_S, 'cook.finished', {}, 8 * DAY_S)])
    const soon = settleCook(plan, [...story, at(5, 720 + 7200, 'cook.finished', {}, 8 * DAY_S)])
    expect(late.summary.keystoneS).toBe(soon.summary.keystoneS)
    expect(late.summary.darkestStep).toBe(soon.summary.darkestStep)
    expect(late.summary.finishedG).toBe(soon.summary.finishedG)
    expect(late.evidence).toEqual(soon.evidence)
  })

  it('takes thousands of readings for the few hundred that say as much', () => {
    const weighed = Array.from({ length: 3000 }, (_, i) =>
      at(10 + i, i, 'weighed', { vessel: 'pan', grossG: 2400 + (i % 5) }),
    )
    const cook = replay(plan, [at(1, 0, 'cook.started'), ...weighed])
    const few = fewMarks(cook)
    expect(few.weighings).toHaveLength(MOST_MARKS)
    expect([few.weighings[0], few.weighings.at(-1)]).toEqual([cook.weighings[0], cook.weighings.at(-1)])
    expect(new Set(few.weighings.map(one => one.id)).size).toBe(MOST_MARKS)
    expect(few.moments).toBe(cook.moments)
    expect(fewMarks(few)).toBe(few)
  })
})

describe('a plan as it is kept', () => {
  it('leaves out what plan, belief and seed make again, and gives the same batch', () => {
    const whole = { ...plan, forecast: forecastCook(plan, [], 0, 120) }
    const thin = thinPlan(whole)
    expect(JSON.stringify(thin).length).toBeLessThan(JSON.stringify(whole).length / 4)
    expect(thinPlan(thin)).toBe(thin)
    expect(thinPlan(plan)).toBe(plan)
    expect(drawnPlan(thin).forecast!.points).toEqual(whole.forecast.points)
    const story = [
      marked(1, 0, 'cook.started'),
      marked(2, 330, 'stage.began', { stage: 'roast' }),
      marked(3, 720, 'stage.began', { stage: 'pour' }),
      marked(4, 1500, 'cook.finished'),
    ]
    expect(settleCook(thin, story)).toEqual(settleCook(whole, story))
  })
})
