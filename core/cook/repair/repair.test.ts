import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { INGREDIENTS } from '../../../book/ingredients'
import { examplePlan, marked, starterPlan } from '../../../test/support/plans'
import { mainLine } from '../../formulation/dish/mainLine'
import { forecastCook } from '../../process/forecast/forecastCook'
import type { Observation } from '../../record/marks/observation'
import type { CookPlan } from '../../record/plan/plan'
import { replay } from '../../record/replay/replay'
import { aimOf } from './aimOf'
import { contentsG, contentsNow, contentsToCome, dryG } from '../../process/program/contentsNow'
import { faultsAtFire } from '../faults/faultsOf'
import { FAULT_IDS, type Fault } from '../faults/faults'
import { type Repair, repairOf } from './repairOf'

const pantry = Object.fromEntries(INGREDIENTS.map(row => [row.id, row.composition]))
const withForecast = (plan: CookPlan): CookPlan => ({ ...plan, forecast: forecastCook(plan, [], 0, 40) })
const plan = withForecast(examplePlan())
const begun = (of: CookPlan, upTo: number, everyS = 300): Observation[] => [
  marked(1, 0, 'cook.started'),
  ...mainLine(of.dish)
    .slice(1, upTo + 1)
    .map((stage, i) => marked(i + 2, everyS * (i + 1), 'stage.began', { stage: stage.id })),
]
const at = (fault: Fault, marks: readonly Observation[], nowS: number, of: CookPlan = plan): Repair =>
  repairOf(of, replay(of, marks), forecastCook(of, marks, nowS, 60), nowS, fault, pantry)!
const water = (repair: Repair, way: string) => repair.remedies.find(one => one.way === way)!

describe('what is in the pan and what the plan wants in it', () => {
  it('balance: everything that goes in ends in the aim, nuts fried first counted once', () => {
    const aim = aimOf(plan)
    const grams = (id: string) => plan.amounts.find(one => one.id === id)!.massG
    expect(aim.sugarG).toBeGreaterThan(0.95 * grams('sugar'))
    expect(aim.nutsG).toBeCloseTo(grams('cashew'), 0)
    expect(contentsG(aim)).toBeCloseTo(plan.forecast!.finishedG.middle, 0)
  })

  it('has the nuts out of the pan while they are set aside', () => {
    const fried = contentsNow(plan, replay(plan, begun(plan, 0)), { waterG: 1 })
    const roast = contentsNow(plan, replay(plan, begun(plan, 1)), { waterG: 20 })
    expect(fried.nutsG).toBeGreaterThan(20)
    expect(roast.nutsG).toBe(0)
    expect(roast.solidsG).toBeGreaterThan(200)
  })

  it('counts repairs that were made as part of the batch', () => {
    const marks = [
      ...begun(plan, 3),
      marked(20, 910, 'repaired', {
        fault: 'not-sweet',
        way: 'add-sugar',
        adds: [{ ingredient: 'sugar', massG: 50, composition: pantry.sugar }],
      }),
    ]
    const before = contentsNow(plan, replay(plan, begun(plan, 3)), { waterG: 500 })
    expect(contentsNow(plan, replay(plan, marks), { waterG: 500 }).sugarG - before.sugarG).toBeCloseTo(
      50 * pantry.sugar!.sugar,
      6,
    )
  })
})

describe('every fault of every dish', () => {
  it.each(STARTER_DISHES.map(dish => dish.id))('%s is answered at each stage in amounts that a pan can take', (id) => {
    const of = withForecast(starterPlan(id))
    for (let stage = 0; stage < mainLine(of.dish).length; stage++) {
      const marks = begun(of, stage)
      const nowS = 300 * stage + 60
      const forecast = forecastCook(of, marks, nowS, 8)
      for (const fault of FAULT_IDS) {
        const repair = repairOf(of, replay(of, marks), forecast, nowS, fault, pantry)!
        expect(repair.causes.length, fault).toBeGreaterThan(0)
        for (const one of repair.remedies) {
          for (const value of [
            one.drivesOffG,
            one.liftsFatG,
            one.finishedG,
            one.takesS ?? 0,
            one.grossG ?? 0,
            one.tempC ?? 0,
            one.after.water,
            one.after.sugar,
            ...one.adds.map(add => add.massG),
          ]) {
            expect(Number.isFinite(value) && value >= 0, `${fault} ${one.way}`).toBe(true)
          }
        }
      }
    }
  })
})

describe('amounts', () => {
  const down = [...begun(plan, 3), marked(30, 905, 'lid.changed', { lid: false })]

  it('drive off from a runny mass what brings it to the plan, and say what the pan weighs then', () => {
    const repair = at('runny', down, 960)
    const off = water(repair, 'boil-off')
    const now = contentsNow(
      plan,
      replay(plan, down),
      forecastCook(plan, down, 960, 60)
        .points.filter(one => one.stage <= 3 && one.timeS <= 960)
        .at(-1)!,
    )
    const aim = aimOf(plan)
    const toCome = contentsToCome(plan, replay(plan, down), now)
    const inTheEnd = (now.waterG + toCome.waterG - off.drivesOffG) / (dryG(now) + dryG(toCome))
    expect(inTheEnd / (aim.waterG / dryG(aim))).toBeCloseTo(1, 1)
    expect(off.grossG).toBeCloseTo(plan.vessels.pan!.vessel.massG + contentsG(now) - off.drivesOffG, -1)
    expect(off.takesS!).toBeGreaterThan(60)
    expect(water(repair, 'bind-base').notes).toContain('roast-it-first')
    expect(water(repair, 'bind-powder').notes).toContain('contains-milk')
  })

  it('put liquid back into a dry one, of the kind the dish is made with', () => {
    const dried = withForecast(examplePlan())
    const late = [...begun(dried, 4), marked(40, 1210, 'weighed', { grossG: dried.vessels.pan!.vessel.massG + 900 })]
    const repair = at('dry', late, 1230, dried)
    expect(repair.remedies[0]!.adds[0]!.ingredient).toBe('water')
    expect(repair.remedies[0]!.after.water).toBeGreaterThan(repair.remedies[0]!.before.water)
    const carrot = withForecast(starterPlan('winter-market-carrot'))
    expect(at('dry', begun(carrot, 3), 960, carrot).remedies[0]!.adds[0]!.ingredient).toBe('milk')
  })

  it('make it noticeably sweeter or less sweet, and no more', () => {
    const sweeter = at('not-sweet', down, 960).remedies[0]!
    const milder = at('too-sweet', down, 960).remedies.find(one => one.way === 'dilute')!
    const dry = (shares: { water: number, sugar: number }): number => shares.sugar / (1 - shares.water)
    expect(dry(sweeter.after) / dry(sweeter.before)).toBeCloseTo(1.12, 1)
    expect(dry(milder.after) / dry(milder.before)).toBeCloseTo(0.88, 1)
    expect(milder.finishedG).toBeGreaterThan(sweeter.finishedG)
  })

  it('put in exactly what was forgotten', () => {
    const carrot = withForecast(starterPlan('winter-market-carrot'))
    const line = mainLine(carrot.dish)
    const sweeten = line.findIndex(stage => stage.id === 'sweeten')
    const marks = [...begun(carrot, sweeten), marked(40, 300 * sweeten + 30, 'forgotten', { ingredient: 'sugar' })]
    const repair = at('not-sweet', marks, 300 * sweeten + 60, carrot)
    expect(repair.causes[0]).toEqual({ cause: 'forgotten', record: 'for' })
    expect(water(repair, 'add-forgotten').adds[0]!.massG).toBe(
      Math.round(carrot.amounts.find(one => one.id === 'sugar')!.massG),
    )
  })

  it('take a syrup to its strength by weight and by temperature, lower on a mountain', () => {
    const cashew = withForecast(starterPlan('diamond-cashew'))
    const marks = begun(cashew, 0)
    const weak = water(at('syrup-weak', marks, 120, cashew), 'boil-syrup-on')
    expect(weak.tempC!).toBeGreaterThan(108)
    expect(weak.tempC!).toBeLessThan(113)
    expect(weak.after.sugar).toBeCloseTo(0.78, 2)
    const high = water(at('syrup-weak', marks, 120, { ...cashew, altitudeM: 2000 }), 'boil-syrup-on')
    expect(weak.tempC! - high.tempC!).toBeGreaterThan(5)
    const far = at('syrup-far', [...marks, marked(20, 900, 'note', { text: 'late' })], 1500, cashew).remedies[0]!
    expect(far.adds[0]!.ingredient).toBe('water')
  })

  it('lift fat off or bind it', () => {
    const repair = at('greasy', down, 960)
    expect(repair.remedies[0]!.liftsFatG).toBeGreaterThan(2)
    expect(repair.remedies[0]!.after.fat).toBeLessThan(repair.remedies[0]!.before.fat)
  })
})

describe('the faults that are offered', () => {
  const of = (id: string) => faultsAtFire(starterPlan(id).dish)

  it('are those of the form, the sugar and the base', () => {
    expect(of('winter-market-carrot')).toEqual(expect.arrayContaining(['pasty', 'milk-split']))
    expect(of('winter-market-carrot')).not.toContain('hard-grain')
    expect(of('sweet-water-semolina')).toContain('hard-grain')
    expect(
      of('sweet-water-semolina').some(one => one.startsWith('slab') || one.startsWith('balls') || one === 'pasty'),
    ).toBe(false)
    expect(of('diamond-cashew')).toEqual(expect.arrayContaining(['syrup-weak', 'slab-hard']))
    expect(of('marble-gram-balls')).toContain('balls-crumble')
  })

  it('brown pasty shreds in their fat until the scale says they are dry, and say that they stay so', () => {
    const carrot = withForecast(starterPlan('winter-market-carrot'))
    const milk = mainLine(carrot.dish).findIndex(stage => stage.id === 'milk')
    const repair = at('pasty', begun(carrot, milk), 300 * milk + 60, carrot)
    const brown = water(repair, 'brown-in-fat')
    expect(brown.drivesOffG).toBeGreaterThan(20)
    expect(brown.adds[0]!.composition.fat).toBeGreaterThan(0.8)
    expect(brown.after.water).toBeLessThan(brown.before.water)
    expect(brown.grossG).toBeGreaterThan(carrot.vessels.pan!.vessel.massG)
    expect(repair.lost).toBe('pasty-stays')
  })
})

describe('what the record of the cook says', () => {
  it('speaks for a cause, against it, or is silent', () => {
    const cold = [...begun(plan, 3), marked(30, 905, 'slip', { what: 'liquid-cold' })]
    expect(at('lumpy', cold, 960).causes[0]).toEqual({ cause: 'cold-liquid', record: 'for' })
    const boiled = [
      ...begun(plan, 1),
      marked(20, 310, 'vessel.lit', { vessel: 'pot' }),
      marked(21, 590, 'sign.seen', { sign: 'boil' }),
      ...begun(plan, 3).slice(2),
    ]
    expect(at('lumpy', boiled, 960).causes.find(one => one.cause === 'cold-liquid')!.record).toBe('against')
    const low = [...begun(plan, 3), marked(30, 905, 'flame.changed', { vessel: 'pan', mark: 'm1' })]
    expect(at('runny', low, 960).causes[0]).toEqual({ cause: 'low-after-turn', record: 'for' })
  })

  it('knows what looks wrong and is not, until the stage is late', () => {
    expect(at('runny', begun(plan, 3), 930).expected).toBe('looks-too-thin')
    expect(at('burnt', begun(plan, 1), 400).expected).toBeNull()
    const carrot = withForecast(starterPlan('winter-market-carrot'))
    const sweeten = mainLine(carrot.dish).findIndex(stage => stage.id === 'sweeten')
    expect(at('runny', begun(carrot, sweeten), 300 * sweeten + 60, carrot).expected).toBe('runs-again')
  })

  it('says what cannot be saved, and that nothing burnt is used again', () => {
    const repair = at('burnt', begun(plan, 1), 500)
    expect(repair.lost).toBe('burnt-stays')
    expect(water(repair, 'start-again').adds.map(one => one.ingredient)).toEqual(
      ['semolina-fine', 'ghee'].map(id =>
        plan.amounts.some(one => one.ingredient === id)
          ? id
          : plan.amounts.find(one => one.id === plan.dish.base)!.ingredient,
      ),
    )
    expect(at('raw-taste', begun(plan, 1), 500).lost).toBeNull()
    expect(at('raw-taste', begun(plan, 4), 1300).lost).toBe('raw-stays')
    expect(repairOf(plan, replay(plan, []), null, 0, 'runny', pantry)).toBeNull()
  })
})
