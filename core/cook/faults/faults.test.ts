import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { examplePlan, marked, rowOf } from '../../../test/support/plans'
import { settleCook } from '../batch/settleCook'
import type { BatchRecord } from '../compare/difference'
import { troublesOf } from '../../formulation/dish/troublesOf'
import { stageDish } from '../../formulation/stages/stageDish'
import { forecastCook } from '../../process/forecast/forecastCook'
import { replay } from '../../record/replay/replay'
import { CAUSES, FAULT_CAUSES } from './causes'
import { changeWorked } from './changeWorked'
import { editedDish, editFor, editForLiking } from './dishEdit'
import { END_FAULTS, FAULT_IDS, FAULTS } from './faults'
import { faultsAtEnd, faultsAtFire } from './faultsOf'
import { findCauses } from './findCauses'

const plan = { ...examplePlan(), forecast: forecastCook(examplePlan(), [], 0, 80) }
const at = (k: number): number => plan.forecast.stages[k]!.middle
/** A batch whose stages took so many times what was forecast, with whatever else was marked. */
function batch(
  times: { roast?: number, after?: number, weight?: number } = {},
  more: Parameters<typeof marked>[] = [],
): BatchRecord {
  const roastS = at(1)
  const pourS = roastS + (at(2) - roastS) * (times.roast ?? 1)
  const endS = pourS + (at(5) - at(2)) * (times.after ?? 1)
  const story = [
    marked(1, 0, 'cook.started'),
    marked(2, roastS, 'stage.began', { stage: 'roast' }),
    marked(3, pourS, 'stage.began', { stage: 'pour' }),
    marked(4, pourS + 55, 'stage.began', { stage: 'take-up' }),
    marked(5, pourS + (endS - pourS) * 0.5, 'stage.began', { stage: 'enrich' }),
    marked(6, endS, 'stage.began', { stage: 'rest' }),
    ...(times.weight === undefined
      ? []
      : [
          marked(7, endS + 5, 'weighed', {
            vessel: 'pan',
            grossG: plan.forecast.finishedG.middle * times.weight + plan.vessels.pan!.vessel.massG,
          }),
        ]),
    marked(8, endS + 300, 'cook.finished'),
    ...more.map(one => marked(...one)),
  ]
  return { plan, cook: replay(plan, story), summary: settleCook(plan, story).summary }
}

describe('the causes of a fault', () => {
  it('are shares that add to one, for every fault, whatever was marked', () => {
    const sound = batch()
    for (const fault of END_FAULTS) {
      const ranked = findCauses(sound, fault)
      if (ranked.length > 0) expect(ranked.reduce((sum, one) => sum + one.share, 0), fault).toBeCloseTo(1, 9)
      expect(ranked.map(one => one.share)).toEqual([...ranked.map(one => one.share)].sort((p, q) => q - p))
    }
    for (const fault of FAULT_IDS)
      expect(
        Object.values(FAULTS[fault].causes).reduce((sum, one) => sum + one, 0),
        fault,
      ).toBeCloseTo(1, 9)
    expect(FAULT_CAUSES.filter(cause => !FAULT_IDS.some(fault => cause in FAULTS[fault].causes))).toEqual([])
    // What is named of a finished sweet has a cause that a finished batch can tell.
    for (const fault of END_FAULTS)
      expect(
        FAULT_CAUSES.some(cause => cause in FAULTS[fault].causes && CAUSES[cause].features !== null),
        fault,
      ).toBe(true)
  })

  it('follow the record: short after the turn and heavy is off too soon, heavy in its time is too wet', () => {
    expect(findCauses(batch({ after: 0.25, weight: 1.03 }), 'runny')[0]!.cause).toBe('off-early')
    expect(findCauses(batch({ after: 1, weight: 1.12 }), 'runny')[0]!.cause).toBe('too-wet')
    expect(findCauses(batch({ after: 3.2, weight: 0.97 }), 'dry')[0]!.cause).toBe('off-late')
    const short = findCauses(batch({ roast: 0.4 }), 'raw-taste')[0]!
    expect(short.cause).toBe('roast-short')
    expect(short.for.length).toBeGreaterThan(0)
  })

  it('believe a cook who says it', () => {
    const told = findCauses(batch({}, [[20, at(2) + 2, 'slip', { what: 'liquid-cold' }]]), 'hard-grain')
    expect(told[0]!.cause).toBe('cold-liquid')
    expect(told[0]!.for[0]!.of).toBe('slip-liquid-cold')
  })

  it('are weighed against the house: what its good batches do as well is no cause', () => {
    const light = batch({ weight: 0.93 })
    const house = Array.from({ length: 4 }, () => batch({ weight: 0.93 }))
    const share = (good: readonly BatchRecord[]): number =>
      findCauses(light, 'dry', good).find(one => one.cause === 'too-dry')!.share
    const [alone, inHouse] = [findCauses(light, 'dry')[0]!, findCauses(light, 'dry', house)[0]!]
    expect(inHouse.for.length + inHouse.against.length).toBeGreaterThan(0)
    expect(share(house)).not.toBe(share([]))
    expect(alone.share).toBeGreaterThan(0.4)
  })

  it('are only those a dish can have', () => {
    for (const dish of STARTER_DISHES) {
      const faults = faultsAtEnd(stageDish(dish))
      expect(faults.length).toBeGreaterThan(4)
      expect(faults.includes('balls-crumble')).toBe(dish.choices.form === 'balls')
      expect(faults.includes('slab-hard')).toBe(dish.choices.form === 'slab')
    }
  })

  it('are told by one rule at the fire and at the table: only their names there differ', () => {
    for (const dish of STARTER_DISHES) {
      const [fire, end] = [faultsAtFire(dish), faultsAtEnd(dish)]
      const onlyThere = end.filter(fault => !(fire as readonly string[]).includes(fault))
      expect(onlyThere, dish.id).toEqual(dish.choices.sugar === 'syrup' ? ['grainy'] : [])
      expect(
        fire.filter(fault => FAULTS[fault].atEnd === true && !(end as readonly string[]).includes(fault)),
        dish.id,
      ).toEqual([])
      expect(end.includes('runny'), dish.id).toBe(dish.choices.form === 'soft')
    }
    const hard = STARTER_DISHES.filter(dish => faultsAtFire(dish).includes('hard-grain')).map(dish => dish.family)
    expect(new Set(hard)).toEqual(
      new Set(
        ['semolina', 'broken-wheat', 'vermicelli', 'lentil'].filter(family =>
          STARTER_DISHES.some(dish => dish.family === family),
        ),
      ),
    )
  })
})

describe('what to change', () => {
  const card = STARTER_DISHES[0]!

  it('is a next version that can be cooked, for every cause that a dish can answer', () => {
    fc.assert(fc.property(fc.constantFrom(...FAULT_CAUSES), fc.constantFrom(...STARTER_DISHES), (cause, dish) => {
      const record = { ...batchOnce, plan: { ...plan, dish: stageDish(dish) } }
      const edit = editFor(cause, record)
      const next = edit ? editedDish(dish, edit, rowOf, 'why') : null
      if (!next) return
      expect(next.version).toBe(dish.version + 1)
      expect(JSON.stringify({ ...next, version: 0, note: '' })).not.toBe(
        JSON.stringify({ ...dish, version: 0, note: '' }),
      )
      expect(
        troublesOf(next).filter(one => !troublesOf(dish).some(known => JSON.stringify(known) === JSON.stringify(one))),
      ).toEqual([])
    }), { numRuns: 80 })
  })

  it('takes as much liquid off as the weight was too much', () => {
    const edit = editFor('too-wet', batch({ weight: 1.1 }))!
    expect(edit.kind === 'amount' && edit.times < 0.92 && edit.times > 0.8).toBe(true)
    const next = editedDish(card, edit, rowOf, 'runny')!
    const water = (dish: typeof card): number => dish.ingredients.find(one => one.part === 'water')!.perBase
    expect(water(next)).toBeLessThan(water(card))
  })

  it('follows those who ate it', () => {
    expect(editForLiking('sweetness', 'less')).toEqual({ kind: 'amount', role: 'sugar', times: 0.9 })
    expect(editForLiking('softness', 'right')).toBeNull()
    expect(editForLiking('richness', 'more')).toMatchObject({ role: 'fat', times: 1.1 })
  })

  it('is asked whether it worked', () => {
    const change = { dish: 'd', version: 2, fault: 'runny', cause: 'too-wet' }
    const of = (startedAt: number, version: number, faults: string[]) => ({ dishId: 'd', startedAt, version, faults })
    const batches = [
      of(1, 1, ['runny']),
      of(20, 2, []),
      of(30, 3, ['runny']),
      of(40, 1, ['runny']),
      { ...of(50, 2, ['runny']), dishId: 'other' },
    ]
    expect(changeWorked([{ change, at: 10 }], batches)).toEqual([{ change, at: 10, since: 2, again: 1 }])
  })
})

const batchOnce = batch()
