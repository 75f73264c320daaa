import { describe, expect, it } from 'vitest'
import { examplePlan, marked, starterPlan } from '../../../test/support/plans'
import { mainLine } from '../../formulation/dish/mainLine'
import { forecastCook } from '../../process/forecast/forecastCook'
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
