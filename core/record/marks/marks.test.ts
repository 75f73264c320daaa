import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { begun, examplePlan, marked, starterPlan, story } from '../../../test/support/plans'
import { forecastCook } from '../../process/forecast/forecastCook'
import { runImaginary, drawTruth } from '../../../devices/imaginaryPan'
import { seededRandom } from '../../maths/random/seededRandom'
import { actionsOf } from '../../cook/guidance/actions'
import { cueOf } from '../../cook/guidance/cue'
import type { Observation } from './observation'
import type { CookPlan } from '../plan/plan'
import { replay } from '../replay/replay'

const plan = examplePlan()
const MILK = { water: 0.87, solids: 0.04, fat: 0.04, sugar: 0.05, nuts: 0 }
const contentAt = (marks: readonly Observation[], timeS: number, of: CookPlan = plan): number => {
  const query = marked(99, timeS, 'weighed', { grossG: 3000 })
  return runImaginary(of, drawTruth(of, seededRandom(5)), [...marks, query], timeS).readings[0]!
}

describe('a mark that is made later than it happened', () => {
  it('stands at the moment it happened, whatever was marked between', () => {
    const cook = replay(plan, [
      ...story.slice(0, 2),
      marked(3, 700, 'stage.began', { stage: 'pour', agoS: 60 }),
      marked(4, 690, 'note', { text: 'x' }, 'phone'),
    ])
    expect(cook.stageStarts[2]).toBe(640)
    expect(cook.moments.map(one => one.kind)).toEqual(['cook.started', 'stage.began', 'stage.began', 'note'])
  })

  it('takes up a cook that is already under way', () => {
    const cook = replay(plan, [
      marked(1, 1000, 'cook.started', { agoS: 600 }),
      marked(2, 1001, 'stage.began', { stage: 'roast', agoS: 361 }),
    ])
    expect(cook.stage).toBe(1)
    expect(cook.stageStarts[1]).toBe(240)
  })

  it('stands where it stood when only what it says is corrected', () => {
    const begun = marked(1, 50, 'cook.started')
    const timesOf = (payload: object) =>
      replay(plan, [begun, marked(2, 60, 'corrected', { replaces: begun.id, ...payload })]).startedMs
    expect(timesOf({ payload: { from: 'memory' } })).toBe(1_795_000_050_000)
    expect(timesOf({ shiftS: 'soon' })).toBe(1_795_000_050_000)
    expect(timesOf({ shiftS: -30 })).toBe(1_795_000_020_000)
  })

  it('is taken as now where the span makes no sense', () => {
    for (const agoS of [-5, 'long', 9e9, null])
      expect(replay(plan, [marked(1, 50, 'cook.started', { agoS })]).startedMs).toBe(1_795_000_050_000)
    expect(replay(plan, [marked(1, 50, 'cook.started', { agoS: 0.5 })]).startedMs).toBe(1_795_000_049_500)
  })
})

describe('what a cook sees and does beside the signs', () => {
  it('is kept by kind, and refused as unknown where it makes no sense', () => {
    const cook = replay(plan, [
      ...story,
      marked(6, 710, 'uptake.seen', { pace: 'slowly' }),
      marked(7, 720, 'depth.measured', { depthMm: 31 }),
      marked(8, 730, 'release.heard'),
      marked(9, 740, 'unstirred', { seconds: 90 }),
      marked(10, 750, 'slip', { what: 'poured-early' }),
      marked(11, 760, 'not.yet', { sign: 'taken-up' }),
      marked(12, 770, 'step.done', { stage: 'rest' }),
      marked(13, 780, 'forgotten', { ingredient: 'sugar' }),
      marked(14, 790, 'checked', { what: 'flame' }),
      marked(20, 800, 'uptake.seen', { pace: 'sideways' }),
      marked(21, 801, 'depth.measured', { depthMm: -3 }),
      marked(22, 802, 'unstirred', {}),
      marked(23, 803, 'slip', { what: 'dropped the moon' }),
      marked(24, 804, 'forgotten', { ingredient: 'no-such' }),
      marked(25, 805, 'added', { adds: [] }),
      marked(26, 806, 'added', { adds: [{ ingredient: 'milk', massG: 1e9, composition: MILK }] }),
      marked(27, 807, 'repaired', { fault: 'runny' }),
      marked(28, 808, 'kept.back', { vessel: 'pot', share: 2 }),
      marked(29, 809, 'rest.poured', { vessel: 'bath' }),
    ])
    expect(
      [
        cook.uptakes,
        cook.depths,
        cook.releases,
        cook.unstirred,
        cook.slips,
        cook.notYet,
        cook.forgotten,
        cook.checked,
      ].map(list => list.length),
    ).toEqual(Array(8).fill(1))
    expect(cook.steps).toEqual({ rest: 770 })
    expect(cook.changes).toEqual([])
    expect(cook.moments.filter(one => !one.known)).toHaveLength(10)
  })

  it('of two vessels beside the pan, makes the one ready that was meant', () => {
    const two = starterPlan('two-liquids-wheat')
    const lit = [
      marked(1, 0, 'cook.started'),
      marked(2, 10, 'vessel.lit', { vessel: 'pot' }),
      marked(3, 20, 'vessel.lit', { vessel: 'second-pot' }),
    ]
    expect(replay(two, [...lit, marked(4, 300, 'sign.seen', { sign: 'boil', vessel: 'second-pot' })]).ready).toEqual({
      'second-pot': 300,
    })
    expect(
      replay(two, [
        ...lit,
        marked(4, 300, 'sign.seen', { sign: 'boil' }),
        marked(5, 400, 'sign.seen', { sign: 'boil' }),
      ]).ready,
    ).toEqual({ 'pot': 300, 'second-pot': 400 })
  })

  it('never breaks a cook or its forecast, whatever a payload holds', () => {
    const kinds = [
      'added',
      'repaired',
      'kept.back',
      'rest.poured',
      'depth.measured',
      'forgotten',
      'unstirred',
      'slip',
      'not.yet',
      'checked',
      'uptake.seen',
      'release.heard',
      'step.done',
    ]
    const part = fc.oneof(fc.double(), fc.string(), fc.constant(null), fc.double({ min: 0, max: 1 }))
    const added = fc.record({
      ingredient: fc.string(),
      massG: fc.double({ min: 0, max: 900 }),
      composition: fc.record({ water: part, solids: part, fat: part, sugar: part, nuts: part }),
    })
    const payload = fc.record(
      {
        adds: fc.array(added, { maxLength: 3 }),
        liftsFatG: fc.double(),
        vessel: fc.constantFrom('pot', 'pan', 'x'),
        share: fc.double(),
        depthMm: fc.double(),
        seconds: fc.double(),
        what: fc.constantFrom('poured-early', 'x'),
        sign: fc.constantFrom('aroma', 'taken-up', 'x'),
        ingredient: fc.constantFrom('sugar', 'x'),
        pace: fc.constantFrom('quickly', 'x'),
        fault: fc.string(),
        way: fc.string(),
      },
      { requiredKeys: [] },
    )
    fc.assert(fc.property(fc.array(fc.tuple(fc.constantFrom(...kinds), payload), { maxLength: 6 }), (marks) => {
      const all = [
        ...story,
        ...marks.map(([kind, what], i) => marked(10 + i, 720 + 10 * i, kind, what as Record<string, unknown>)),
      ]
      const forecast = forecastCook(plan, all, 800, 20)
      expect(Number.isFinite(forecast.finishedG.middle)).toBe(true)
    }), { numRuns: 25 })
  })
})

describe('what goes in beside the plan', () => {
  it('is in the pan from then on, and fat that is lifted off is not', () => {
    const before = contentAt(story, 760)
    const milk = marked(6, 730, 'added', { adds: [{ ingredient: 'milk', massG: 200, composition: MILK }] })
    expect(contentAt([...story, milk], 760) - before).toBeGreaterThan(180)
    expect(contentAt([...story, milk], 729)).toBeCloseTo(contentAt(story, 729), 6)
    const lifted = marked(7, 730, 'repaired', { fault: 'greasy', way: 'lift-off', adds: [], liftsFatG: 40 })
    expect(before - contentAt([...story, lifted], 760)).toBeCloseTo(40, 0)
  })

  it('is less where liquid was kept back, until the rest goes in', () => {
    const kept = marked(6, 640, 'kept.back', { vessel: 'pot', share: 0.25 })
    const missing = contentAt(story, 720) - contentAt([...story, kept], 720)
    expect(missing).toBeGreaterThan(150)
    const rest = marked(7, 710, 'rest.poured', { vessel: 'pot' })
    expect(Math.abs(contentAt([...story, kept, rest], 720) - contentAt(story, 720))).toBeLessThan(25)
  })

  it('is without what was forgotten', () => {
    const late = starterPlan('winter-market-carrot')
    const line = late.dish.stages.filter(stage => !stage.meets && (stage.phase ?? 'fire') === 'fire')
    const sweeten = line.findIndex(stage => stage.id === 'sweeten')
    const all = [
      marked(1, 0, 'cook.started'),
      ...line.slice(1, sweeten + 1).map((stage, i) => begun(stage.id, 400 * (i + 1), i + 2)),
    ]
    const at = 400 * sweeten + 60
    const sugar = late.amounts.find(one => one.id === 'sugar')!.massG
    expect(
      contentAt(all, at, late)
        - contentAt([...all, marked(50, at - 1, 'forgotten', { ingredient: 'sugar' })], at, late),
    ).toBeCloseTo(sugar, -1)
  })

  it('says by depth and ruler what is in the pan', () => {
    const read = (...depths: number[]) =>
      forecastCook(plan, [...story, ...depths.map(depthMm => marked(6, 800, 'depth.measured', { depthMm }))], 801, 400)
        .panNow!.contentG
    const [unread, flat, deep] = [read(), read(28), read(34)]
    // Two normal numbers of one mass, by their sharpness; eight in ten lie within 2.563 deviations.
    const mlPerMm = Math.PI / 4 * 26 ** 2 / 10
    const [knownG, rulerG] = [(unread.late - unread.early) / 2.563, mlPerMm * Math.hypot(3, 0.05 * 31)]
    const expected = 6 * mlPerMm * knownG ** 2 / (knownG ** 2 + rulerG ** 2)
    expect((deep.middle - flat.middle) / expected).toBeGreaterThan(0.7)
    expect((deep.middle - flat.middle) / expected).toBeLessThan(1.3)
    // What cannot be, twice as deep as it is, is a slip of the hand.
    expect(read(60).middle).toBeCloseTo(unread.middle, 1)
  })

  it('believes a cook who says that it was poured too early', () => {
    const owned = forecastCook(plan, [...story, marked(6, 720, 'slip', { what: 'poured-early' })], 721, 300)
    const silent = forecastCook(plan, story, 721, 300)
    expect(owned.signs.pale!.middle).toBeGreaterThan(silent.signs.pale!.middle)
  })
})

describe('pouring in parts', () => {
  const parts = examplePlan({
    dish: {
      ...plan.dish,
      stages: plan.dish.stages.map(stage =>
        stage.id === 'pour' ? { ...stage, watch: ['in-parts', 'face-back'] } : stage,
      ),
    },
  })
  const at = (...marks: Observation[]) => {
    const cook = replay(parts, [...story.slice(0, 4), ...marks])
    return { cue: cueOf(parts, cook, null, 660).code, codes: actionsOf(parts, cook, null, 660).map(one => one.code) }
  }

  it('goes on while it is taken up, and stops when it is not any more', () => {
    expect(at()).toEqual({ cue: 'pouring', codes: ['uptake.quickly', 'uptake.no-more', 'begin.take-up'] })
    expect(at(marked(6, 655, 'uptake.seen', { pace: 'quickly' })).cue).toBe('pour-on')
    expect(at(marked(6, 655, 'uptake.seen', { pace: 'slowly' })).cue).toBe('pour-less')
    expect(at(marked(6, 655, 'uptake.seen', { pace: 'no-more' }))).toEqual({
      cue: 'pour-stop',
      codes: ['begin.take-up'],
    })
  })
})

describe('under pressure', () => {
  it('counts from the first release that was heard', () => {
    const beet = starterPlan('cellar-beetroot')
    const heard = [marked(1, 0, 'cook.started'), marked(2, 200, 'release.heard')]
    expect(actionsOf(beet, replay(beet, heard), null, 210)[0]!.code).toBe('release')
    const first = forecastCook(beet, heard, 210, 60).stages[1]!
    expect(first.early).toBeCloseTo(560, 0)
    expect(first.late).toBeCloseTo(560, 0)
  })
})

describe('a vessel beside the pan', () => {
  it('is marked ready by its own action once it may be, and cools when its flame goes off', () => {
    const hot = [...story.slice(0, 3), marked(7, 500, 'sign.seen', { sign: 'aroma' })]
    const forecast = forecastCook(plan, hot, 900, 100)
    expect(actionsOf(plan, replay(plan, hot), forecast, 900).map(one => one.code)).toContain('ready.sweet-water')
    expect(forecast.sides[0]!.now!.tempC).toBeGreaterThan(85)
    const off = forecastCook(plan, [...hot, marked(8, 800, 'flame.changed', { vessel: 'pot', mark: 'off' })], 2600, 100)
    expect(off.sides[0]!.now!.tempC).toBeLessThan(85)
  })
})
