import { describe, expect, it } from 'vitest'
import { examplePlan, marked } from '../../../test/support/plans'
import { forecastCook } from '../../process/forecast/forecastCook'
import { replay } from '../../record/replay/replay'
import type { CookPlan } from '../../record/plan/plan'
import { summarise } from '../batch/summarise'
import type { BatchRecord } from '../compare/difference'
import { featuresOf, type Features } from './features'
import { findCauses } from './findCauses'

const window = (early: number, middle: number, late: number) => ({ early, middle, late })
const bare = examplePlan()
/** Nuts to 100 s, roast to 700, pour to 760, take-up to 1200, enriched to 1500: told with windows of their own. */
const plan: CookPlan = {
  ...bare,
  flames: { ...bare.flames, roast: 'm3', 'take-up': 'm2', pour: 'm2', enrich: 'm2' },
  forecast: {
    ...forecastCook(bare, [], 0, 40),
    stages: [
      window(0, 0, 0), window(90, 100, 110), window(600, 700, 900), window(650, 760, 960), window(1100, 1200, 1400),
      window(1300, 1500, 1900),
    ],
    signs: { aroma: window(400, 500, 650) },
    finishedG: window(980, 1000, 1030),
    sides: [{ vessel: 'pot', meets: 2, needs: window(400, 500, 700), lightS: null, boils: null }],
  },
}
/** From the 10th to the 90th percentile of a normal distribution, in standard deviations. */
const WIDTH = 2 * 1.28155

type Mark = [timeS: number, kind: string, payload?: Record<string, unknown>]
const AS_FORECAST: readonly Mark[] = [
  [0, 'cook.started'],
  [100, 'stage.began', { stage: 'roast' }],
  [700, 'stage.began', { stage: 'pour' }],
  [760, 'stage.began', { stage: 'take-up' }],
  [1200, 'stage.began', { stage: 'enrich' }],
  [1500, 'stage.began', { stage: 'rest' }],
  [1800, 'cook.finished'],
]
function batchOf(marks: readonly Mark[], of: CookPlan = plan): BatchRecord {
  const story = [...marks]
    .sort((p, q) => p[0] - q[0])
    .map(([timeS, kind, payload], i) => marked(i + 1, timeS, kind, payload))
  const cook = replay(of, story)
  return { plan: of, cook, summary: summarise(of, cook, plan.forecast!) }
}
const read = (more: readonly Mark[] = [], of: CookPlan = plan): Features =>
  featuresOf(batchOf([...AS_FORECAST, ...more], of))
const at = (stage: string, timeS: number): readonly Mark[] =>
  AS_FORECAST.map(mark => (mark[2]?.stage === stage ? [timeS, mark[1], mark[2]] : mark))

describe('what the record of a batch says', () => {
  it('is nothing of a batch that went as forecast', () => {
    expect(read()).toMatchObject({
      roastTime: 0, afterTime: 0, pourTime: 0, roastFlame: 0, afterFlame: 0, unstirred: 0,
      aromaTime: null, weight: null, liquidBoil: null, uptake: null, coolTime: null, syrupTime: null,
    })
  })

  it('is how long a stage took, in logs over the width of its window', () => {
    const short = featuresOf(batchOf(at('pour', 550)))
    // The roast of 600 s, 500 to 800, was left after 450 s; the rest then took 950 s for 800, 600 to 1200.
    expect(short.roastTime).toBeCloseTo(Math.log(450 / 600) / (Math.log(800 / 500) / WIDTH), 3)
    expect(short.afterTime).toBeCloseTo(Math.log(950 / 800) / (Math.log(1200 / 600) / WIDTH), 3)
    // A minute's pour, from nothing to 260 s: a window that begins before its stage counts from one second.
    expect(featuresOf(batchOf(at('take-up', 730))).pourTime).toBeCloseTo(Math.log(30 / 60) / (Math.log(260) / WIDTH), 3)
  })

  it('is also of a roast that comes first', () => {
    const [, ...line] = plan.dish.stages
    const first = { ...plan, dish: { ...plan.dish, stages: line }, forecast: { ...plan.forecast!, stages: plan.forecast!.stages.slice(1) } }
    const roasted = AS_FORECAST.filter(mark => mark[2]?.stage !== 'roast').map(
      ([timeS, kind, payload]): Mark => [Math.max(0, timeS - 100), kind, payload],
    )
    const late = roasted.map((mark): Mark => (mark[2]?.stage === 'pour' ? [630, mark[1], mark[2]] : mark))
    expect(featuresOf(batchOf(late, first)).roastTime).toBeCloseTo(Math.log(630 / 600) / (Math.log(800 / 500) / WIDTH), 3)
  })

  it('knows no time finer than a tenth', () => {
    const sure = {
      ...plan,
      forecast: {
        ...plan.forecast!,
        stages: plan.forecast!.stages.map(one => window(one.middle, one.middle, one.middle)),
      },
    }
    expect(featuresOf(batchOf(at('pour', 550), sure)).roastTime).toBeCloseTo(Math.log(450 / 600) / 0.12, 6)
    const sharp = { ...plan, forecast: { ...plan.forecast!, finishedG: window(1000, 1000, 1000) } }
    const tare = plan.vessels.pan!.vessel.massG
    expect(read([[1510, 'weighed', { vessel: 'pan', grossG: 1030 + tare }]], sharp).weight).toBeCloseTo(0.03 / 0.015, 6)
  })

  it('is the finished weight over the width of its window', () => {
    const tare = plan.vessels.pan!.vessel.massG
    const weighed = (netG: number): number => read([[1510, 'weighed', { vessel: 'pan', grossG: netG + tare }]]).weight!
    expect(weighed(1000)).toBeCloseTo(0, 9)
    expect(weighed(1040)).toBeCloseTo(40 / (50 / WIDTH), 2)
    expect(weighed(970)).toBeCloseTo(-30 / (50 / WIDTH), 2)
  })

  it('is how early it smelled, from the start of the roast', () => {
    expect(read([[340, 'sign.seen', { sign: 'aroma' }]]).aromaTime).toBeCloseTo(
      Math.log(240 / 400) / (Math.log(550 / 300) / WIDTH),
      3,
    )
    expect(read([[500, 'sign.seen', { sign: 'aroma' }]]).aromaTime).toBeCloseTo(0, 9)
    expect(read([[90, 'sign.seen', { sign: 'aroma' }]]).aromaTime).toBeNull()
    const { aroma: _, ...others } = plan.forecast!.signs
    expect(
      read([[340, 'sign.seen', { sign: 'aroma' }]], { ...plan, forecast: { ...plan.forecast!, signs: others } })
        .aromaTime,
    ).toBeNull()
  })

  it('is the marks of the flame above the plan, weighed by their time', () => {
    const flame = (timeS: number, mark: string): Mark => [timeS, 'flame.changed', { vessel: 'pan', mark }]
    // Two marks higher for half of the roast.
    expect(read([flame(400, 'm5')]).roastFlame).toBeCloseTo(1, 9)
    expect(read([flame(400, 'm5'), flame(550, 'm2')]).roastFlame).toBeCloseTo((2 * 150 - 150) / 600, 9)
    // Just before it began counts for all of it; long before is the stage before.
    expect(read([flame(80, 'm4')]).roastFlame).toBeCloseTo(1, 9)
    expect(read([flame(60, 'm4')]).roastFlame).toBeCloseTo(0, 9)
    // Off is below every mark: the third of them by three.
    const marks = plan.fires.pan!.marks.map(one => one.id)
    expect(read([flame(550, 'off')]).roastFlame).toBeCloseTo(-(marks.indexOf('m3') + 1) * 150 / 600, 9)
    expect(read([[550, 'flame.changed', { vessel: 'pot', mark: 'm5' }]]).roastFlame).toBeCloseTo(0, 9)
    const batch = batchOf(AS_FORECAST)
    expect(featuresOf({ ...batch, plan: { ...plan, flames: {} } }).roastFlame).toBeNull()
  })

  it('is whether the liquid boiled before it was poured', () => {
    const lit: Mark = [100, 'vessel.lit', { vessel: 'pot' }]
    expect(read([lit, [690, 'sign.seen', { sign: 'boil', vessel: 'pot' }]]).liquidBoil).toBe(1)
    expect(read([lit, [710, 'sign.seen', { sign: 'boil', vessel: 'pot' }]]).liquidBoil).not.toBe(1)
    // 600 s for what needs 500, 400 to 700: half a deviation counts as one, as nobody saw it.
    expect(read([lit]).liquidBoil).toBeCloseTo(Math.log(600 / 500) / (Math.log(700 / 400) / WIDTH) / 2, 3)
    expect(read([[690, 'vessel.lit', { vessel: 'pot' }]]).liquidBoil).toBe(-3)
    expect(read([lit, [705, 'slip', { what: 'liquid-cold' }]]).liquidBoil).toBe(-3)
  })

  it('is how it took the liquid up, on the mean', () => {
    const uptake = (...how: string[]): number | null =>
      read(how.map((what, i) => [800 + i, 'uptake.seen', { pace: what }])).uptake
    expect(uptake('quickly')).toBe(1)
    expect(uptake('slowly')).toBeCloseTo(-0.7, 9)
    expect(uptake('no-more')).toBe(-1)
    expect(uptake('quickly', 'slowly')).toBeCloseTo(0.15, 9)
  })

  it('is how long it stood unstirred, in minutes, three at most', () => {
    const alone = (...seconds: number[]): number | null =>
      read(seconds.map((leftS, i) => [200 + i, 'unstirred', { seconds: leftS }])).unstirred
    expect(alone(30)).toBeCloseTo(0.5, 9)
    expect(alone(30, 60)).toBeCloseTo(1.5, 9)
    expect(alone(900)).toBe(3)
  })

  it('is how thin the pan is for its size', () => {
    const pan = (massG: number, material: 'steel' | 'aluminium' | 'cast-iron' = 'steel'): CookPlan => ({
      ...plan,
      vessels: {
        ...plan.vessels,
        pan: { ...plan.vessels.pan!, vessel: { innerDiameterMm: 200, depthMm: 70, massG, material } },
      },
    })
    // A base of 3.14 dm².
    expect([400, 410, 690, 700].map(massG => read([], pan(massG)).thinPan)).toEqual([1, 0, 0, -1])
    expect(read([], pan(400, 'cast-iron')).thinPan).toBe(-1)
    expect(featuresOf({ ...batchOf(AS_FORECAST), plan: { ...plan, vessels: {} } }).thinPan).toBeNull()
  })

  it('is how far the colour went past the one that was wanted', () => {
    const colour = (darkestStep: BatchRecord['summary']['darkestStep'], of = plan): number | null => {
      const batch = batchOf(AS_FORECAST, of)
      return featuresOf({ ...batch, summary: { ...batch.summary, darkestStep } }).roastColour
    }
    const wanted = (sign: string): CookPlan => ({
      ...plan,
      dish: {
        ...plan.dish,
        stages: plan.dish.stages.map(one =>
          one.does === 'roast' ? { ...one, until: { sign } as typeof one.until } : one,
        ),
      },
    })
    expect(colour('golden', wanted('golden'))).toBe(0)
    expect(colour('brown', wanted('golden'))).toBeGreaterThan(0)
    expect(colour(null, wanted('aroma'))).toBe(-0.5)
    expect(colour('golden', wanted('boil'))).toBeNull()
  })
})

describe('what speaks for a cause', () => {
  it('is no louder than a factor of nine, and is told from a third on', () => {
    const long = findCauses(
      batchOf(
        at('pour', 6000).map(mark => (mark[0] > 700 && mark[0] < 6000 ? [mark[0] + 6000, mark[1], mark[2]!] : mark)),
      ),
      'burnt',
    )
    for (const one of long) {
      for (const clue of one.for) expect(clue.weight >= 0.3 && (clue.weight <= 2.2 || clue.of.includes('-'))).toBe(true)
      for (const clue of one.against)
        expect(clue.weight <= -0.3 && (clue.weight >= -2.2 || clue.of.includes('-'))).toBe(true)
    }
    expect(long.find(one => one.cause === 'roast-long')!.for.find(clue => clue.of === 'roastTime')!.weight).toBeCloseTo(
      2.2,
      9,
    )
  })

  it('weighs a feature by the two densities it may come from, and shares by Bayes', () => {
    // One weight 40 g over the middle, everything else as forecast, and nothing told.
    const tare = plan.vessels.pan!.vessel.massG
    const batch = batchOf([...AS_FORECAST, [1510, 'weighed', { vessel: 'pan', grossG: 1030 + tare }]])
    const z = 30 / (50 / WIDTH)
    const density = (value: number, middle: number, spread: number): number =>
      Math.exp(-(((value - middle) / spread) ** 2) / 2) / spread
    const odds = density(z, 2, 1.3) / density(z, 0, 1.1)
    const wet = findCauses(batch, 'runny').find(one => one.cause === 'too-wet')!
    expect(wet.for.find(clue => clue.of === 'weight')!.weight).toBeCloseTo(Math.log(odds), 3)
    const shares = findCauses(batch, 'runny').map(one => one.share)
    expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 12)
  })
})
