import { describe, expect, it } from 'vitest'
import { between, handForecast, storyTo, type More } from '../../../test/support/handForecast'
import { examplePlan, marked, starterPlan } from '../../../test/support/plans'
import { mainLine } from '../../formulation/dish/mainLine'
import { forecastCook } from '../../process/forecast/forecastCook'
import { SPECIFIC_HEAT } from '../../materials/composition/specificHeat'
import { STRONGEST, WEAKEST } from '../../materials/syrup/syrup'
import { syrupAtShare } from '../../materials/syrup/syrupAtShare'
import { airPressurePa } from '../../materials/water/airPressurePa'
import type { ForecastPoint, SideForecast } from '../../record/plan/forecast'
import { besideNow } from './besideNow'
import type { Observation } from '../../record/marks/observation'
import type { CookPlan } from '../../record/plan/plan'
import { replay } from '../../record/replay/replay'
import { sweetenedAhead } from './sweetenedAhead'
import { syrupNow } from './syrupNow'

const plan = examplePlan()
const roast = [marked(1, 0, 'cook.started'), marked(2, 240, 'stage.began', { stage: 'roast' })]
const lit = [...roast, marked(3, 260, 'vessel.lit', { vessel: 'pot' })]
const at = (marks: readonly Observation[], nowS: number, of: CookPlan = plan) =>
  besideNow(of, replay(of, marks), forecastCook(of, marks, nowS, 80), nowS)

describe('a vessel beside the pan', () => {
  it('is lit later, then now, and is late when the pan cannot wait', () => {
    expect(at([], 0)[0]).toMatchObject({ status: 'later', late: false })
    expect(at(roast, 700)[0]).toMatchObject({ status: 'light-now' })
    expect(at(roast, 700)[0]!.lightInS!).toBeLessThan(0)
    const brown = [
      ...roast,
      marked(3, 500, 'sign.seen', { sign: 'aroma' }),
      marked(4, 640, 'looks.like', { step: 'pale' }),
    ]
    expect(at(brown, 650)[0]!.late).toBe(true)
  })

  it('heats, boils, waits, and has to be heated again', () => {
    expect(at(lit, 320)[0]).toMatchObject({ status: 'heating', reheatS: expect.any(Number) as number })
    expect(at(lit, 3000)[0]!.status).toBe('overdue')
    const boils = [...lit, marked(4, 330, 'sign.seen', { sign: 'boil' })]
    expect(at(boils, 335, examplePlan({ flames: { roast: 'm1' } }))[0]!.status).toBe('early')
    const off = [...boils, marked(5, 600, 'flame.changed', { vessel: 'pot', mark: 'off' })]
    const cooled = at(off, 2600)[0]!
    expect(cooled.status).toBe('cooled')
    expect(cooled.reheatS!).toBeGreaterThan(20)
    expect(at([...boils, marked(6, 620, 'stage.began', { stage: 'pour' })], 640)).toEqual([])
  })
})

describe('a syrup', () => {
  const cashew = starterPlan('diamond-cashew')
  const now = (marks: readonly Observation[], of: CookPlan = cashew) =>
    syrupNow(of, replay(of, marks), forecastCook(of, marks, 300, 60))!
  const started = [marked(1, 0, 'cook.started')]

  it('is told by temperature, weight and time, and by what it sets to', () => {
    const syrup = now(started)
    expect(syrup.tempC).toBeGreaterThan(108)
    expect(syrup.grossG!).toBeGreaterThan(cashew.vessels.pan!.vessel.massG)
    expect(syrup.window).not.toBeNull()
    expect(syrup.sets).toBe('thread')
    expect(now(started, { ...cashew, altitudeM: 1500 }).tempC).toBeLessThan(syrup.tempC - 4)
  })

  it('is as far as scale or thermometer say, whichever was read last', () => {
    const sugar = cashew.amounts.find(one => one.id === 'sugar')!.massG
    const tare = cashew.vessels.pan!.vessel.massG
    const weighed = [...started, marked(2, 200, 'weighed', { vessel: 'pan', grossG: tare + sugar / 0.7 })]
    expect(now(weighed).read).toMatchObject({ by: 'weight' })
    expect(now(weighed).read!.share).toBeCloseTo(0.7, 2)
    expect(now(weighed).read!.driveOffG).toBeCloseTo(sugar / 0.7 - sugar / 0.78, 0)
    const hot = [...weighed, marked(3, 280, 'temperature', { vessel: 'pan', tempC: 114 })]
    expect(now(hot).read).toMatchObject({ by: 'temperature' })
    expect(now(hot).read!.driveOffG).toBeLessThan(0)
    expect(now([...started, marked(4, 280, 'temperature', { vessel: 'pan', tempC: 40 })]).read).toBeNull()
  })

  it('is not there where none is boiled, and beside the pan only from when it is on until it is poured', () => {
    expect(syrupNow(plan, replay(plan, roast), forecastCook(plan, roast, 300, 60))).toBeNull()
    const slab = starterPlan('syrup-set-semolina')
    const line = mainLine(slab.dish)
    expect(now(started, slab)).toBeNull()
    const lit = [...started, marked(5, 200, 'vessel.lit', { vessel: 'pot' })]
    expect(now(lit, slab)).toMatchObject({ vessel: 'pot', window: expect.anything() })
    const poured = [...lit, marked(2, 600, 'stage.began', { stage: line.find(stage => stage.from)!.id })]
    expect(syrupNow(slab, replay(slab, poured), forecastCook(slab, poured, 650, 60))).toBeNull()
  })
})

describe('sugar in a swollen mass', () => {
  it('makes it run before it tightens', () => {
    const carrot = starterPlan('winter-market-carrot')
    const stage = mainLine(carrot.dish).findIndex(one => one.id === 'sweeten')
    const ahead = sweetenedAhead(forecastCook(carrot, [], 0, 100), stage)!
    expect(ahead.stiffnessThen).toBeLessThan(ahead.stiffnessBefore)
    expect(ahead.tight.late).toBeGreaterThan(ahead.thinnestS)
    expect(sweetenedAhead(forecastCook(carrot, [], 0, 100), 90)).toBeNull()
  })
})

describe('a vessel beside, by hand', () => {
  const side: SideForecast = { vessel: 'pot', meets: 2, needs: between(200, 300), lightS: 500, boils: null }
  const stages = [between(0, 0), between(90, 110), between(900, 1000)]
  const now = (nowS: number, told: Partial<SideForecast>, more: More = [], of: CookPlan = plan, stage = 'roast') =>
    besideNow(of, replay(of, storyTo(of, stage, more)), handForecast({ stages, sides: [{ ...side, ...told }] }), nowS)
  const put: More = [[150, 'vessel.lit', { vessel: 'pot' }]]
  const boiled: More = [...put, [400, 'sign.seen', { sign: 'boil', vessel: 'pot' }]]

  it('is put on from ten seconds before its time', () => {
    expect(now(489, {})).toEqual([{
      vessel: 'pot', stage: 'sweet-water', needs: side.needs, ready: null, lightInS: 11, status: 'later', late: false, tempC: null, lostG: 0, reheatS: null,
    }])
    expect(now(490, {})[0]).toMatchObject({ status: 'light-now', lightInS: 10 })
    expect(besideNow(plan, replay(plan, []), handForecast({ stages, sides: [side] }), 490)[0]!.status).toBe('later')
    expect(now(490, { lightS: null })[0]).toMatchObject({ status: 'later', lightInS: null })
    expect(now(490, {}, put)[0]!.lightInS).toBeNull()
  })

  it('is late where it cannot be ready before the pan is, at their nearest', () => {
    expect(now(800, {})[0]!.late).toBe(false)
    expect(now(801, {})[0]!.late).toBe(true)
    expect(now(801, { lightS: null })[0]!.late).toBe(false)
    const lit = (early: number) => now(801, { boils: between(early, 1100) }, put)[0]!.late
    expect([lit(1000), lit(1001)]).toEqual([false, true])
    expect(now(801, { boils: between(1001, 1100) }, boiled)[0]!.late).toBe(false)
    expect(besideNow(plan, replay(plan, storyTo(plan, 'roast')), handForecast({ sides: [side] }), 5000)[0]!.late).toBe(false)
  })

  it('heats until its window is past, then is early, in time, or cooled', () => {
    const boils = between(400, 450)
    expect([450, 451].map(nowS => now(nowS, { boils }, put)[0]!.status)).toEqual(['heating', 'overdue'])
    expect([779, 780].map(nowS => now(nowS, { boils }, boiled)[0]!.status)).toEqual(['early', 'ready'])
    const off: More = [...boiled, [600, 'flame.changed', { vessel: 'pot', mark: 'off' }]]
    const at = (tempC: number, of: CookPlan = plan) => now(700, { now: { tempC, contentG: 1000, heldG: 1050 } }, off, of)[0]!
    expect([at(91.2).status, at(90.8).status]).toEqual(['early', 'cooled'])
    expect(now(700, { now: { tempC: 60, contentG: 1000, heldG: 1050 } }, boiled)[0]!.status).toBe('early')
    expect(at(60).lostG).toBe(50)
    expect(now(700, { now: { tempC: 60, contentG: 1060, heldG: 1050 } }, off)[0]!.lostG).toBe(0)
  })

  it('is heated again with the flame that was planned for it, by what it holds', () => {
    const mark = plan.fires.pot!.marks.at(-1)!
    const planned = { ...plan, flames: { ...plan.flames, 'sweet-water': mark.id }, belief: { ...plan.belief, entries: [] } }
    const again = (tempC: number, of: CookPlan = planned) => now(700, { now: { tempC, contentG: 1000, heldG: 1050 } }, boiled, of)[0]!.reheatS
    expect(again(60)!).toBeCloseTo(1000 * SPECIFIC_HEAT.water * 40 / mark.watts, 0)
    expect(again(92)).toBeNull()
    const known = { ...planned, belief: { ...plan.belief, entries: [{ name: 'otherFire', median: 0.5, spread: 0.1 } as typeof plan.belief.entries[number]] } }
    expect(again(60, known)! / again(60)!).toBeCloseTo(2, 9)
    expect(again(60, { ...planned, flames: {} })).toBeNull()
  })

  it('is gone once it has met the pan, and when all is over', () => {
    expect(now(300, {}, [], plan, 'pour')).toEqual([])
    expect(now(300, {}, [[200, 'cook.finished', {}]])).toEqual([])
  })
})

describe('sugar that thins, by hand', () => {
  const point = (timeS: number, stage: number, stiffness?: number): ForecastPoint => ({
    timeS, stage, tempC: 90, panC: 100, colour: { lightness: 70, a: 5, b: 20 }, waterG: 1, heldG: 1, contentG: 1, volumeMl: 1,
    ...(stiffness === undefined ? {} : { stiffness }),
  })
  const stages = [between(0, 0), between(50, 60), between(100, 120), between(290, 320)]
  const points = [point(0, 0, 0.2), point(80, 1, 0.5), point(95, 1, 0.6), point(110, 2, 0.4), point(150, 2, 0.3), point(200, 2, 0.3), point(250, 2, 0.7), point(260, 2)]

  it('is thinnest where the forecast is, and tight at the end of its stage', () => {
    expect(sweetenedAhead(handForecast({ points, stages }), 2))
      .toEqual({ thinnestS: 150, stiffnessBefore: 0.6, stiffnessThen: 0.3, tight: { early: 290, late: 320 } })
    expect(sweetenedAhead(handForecast({ points, stages: stages.slice(0, 3) }), 2)).toBeNull()
    expect(sweetenedAhead(handForecast({ points: points.slice(3), stages }), 2)).toBeNull()
    expect(sweetenedAhead(handForecast({ points: points.slice(0, 3), stages }), 2)).toBeNull()
    expect(sweetenedAhead(handForecast({ points: [...points.slice(0, 2), point(95, 1), ...points.slice(3)], stages }), 2)).toBeNull()
  })
})

describe('what was read of a syrup, by hand', () => {
  const cashew = { ...starterPlan('diamond-cashew'), thermometerK: undefined }
  const sugarG = cashew.amounts.find(one => one.id === 'sugar')!.massG * cashew.amounts.find(one => one.id === 'sugar')!.composition.sugar
  const tareG = cashew.vessels.pan!.vessel.massG
  const read = (more: More, of: CookPlan = cashew) => syrupNow(of, replay(of, storyTo(of, 'syrup', more)), null)!.read
  const weighed = (timeS: number, share: number) => [timeS, 'weighed', { vessel: 'pan', grossG: tareG + sugarG / share }] as const
  const felt = (timeS: number, tempC: number) => [timeS, 'temperature', { vessel: 'pan', tempC }] as const
  const boils = (share: number) => syrupAtShare(share, 0, airPressurePa(0)).boilsAtC

  it('is a strength a syrup can have, by the newest reading', () => {
    expect(read([weighed(100, WEAKEST - 0.01)])).toBeNull()
    expect(read([weighed(100, WEAKEST + 0.01)])!.share).toBeCloseTo(WEAKEST + 0.01, 6)
    expect(read([weighed(100, STRONGEST + 0.005)])).toBeNull()
    expect(read([weighed(100, STRONGEST - 0.005)])!.share).toBeCloseTo(STRONGEST - 0.005, 6)
    expect(read([felt(90, boils(0.7)), weighed(100, 0.75)])!.by).toBe('weight')
    expect(read([weighed(100, 0.75), felt(100, boils(0.7))])!.by).toBe('weight')
    expect(read([weighed(100, 0.75), felt(101, boils(0.7))])).toMatchObject({ by: 'temperature', share: expect.closeTo(0.7, 3) as number })
    expect(read([[90, 'weighed', { vessel: 'pot', grossG: 900 }]])).toBeNull()
  })

  it('is a temperature with the thermometer\'s own error taken off', () => {
    expect(read([felt(100, boils(0.7) + 2)], { ...cashew, thermometerK: 2 })!.share).toBeCloseTo(0.7, 3)
    expect(read([felt(100, boils(WEAKEST) - 0.1)])).toBeNull()
    expect(read([felt(100, boils(STRONGEST) + 0.1)])).toBeNull()
    const gone = read([weighed(100, 0.8)])!
    expect(gone.driveOffG).toBeCloseTo(sugarG / 0.8 - sugarG / 0.78, 6)
  })
})
