import { describe, expect, it } from 'vitest'
import { examplePlan, marked } from '../../../test/support/plans'
import { forecastCook } from '../../process/forecast/forecastCook'
import { effectiveMembers, normalisedWeights } from '../../process/ensemble/normalisedWeights'

const started = marked(1, 0, 'cook.started')

describe('a forecast', () => {
  it('gives the same numbers for the same seed', () => {
    const plan = examplePlan()
    expect(forecastCook(plan, [], 0, 60)).toEqual(forecastCook(plan, [], 0, 60))
  })

  it('has windows in order and stages that follow one another', () => {
    const { stages, signs, finishedG } = forecastCook(examplePlan(), [], 0, 120)
    for (const window of [...stages, ...Object.values(signs), finishedG]) {
      expect(window.early).toBeLessThanOrEqual(window.middle)
      expect(window.middle).toBeLessThanOrEqual(window.late)
    }
    for (let i = 1; i < stages.length; i++) expect(stages[i]!.middle).toBeGreaterThan(stages[i - 1]!.middle)
    expect(signs.aroma!.middle).toBeLessThan(signs.pale!.middle)
  })

  it('narrows with each mark and follows it', () => {
    const plan = examplePlan()
    const wide = forecastCook(plan, [started], 0, 300)
    const late = [
      started,
      marked(2, 260, 'stage.began', { stage: 'roast' }),
      marked(3, 640, 'sign.seen', { sign: 'aroma' }),
    ]
    const narrow = forecastCook(plan, late, 640, 300)
    const width = (window: { early: number, middle: number, late: number }): number =>
      (window.late - window.early) / window.middle
    expect(width(narrow.signs.pale!)).toBeLessThan(0.7 * width(wide.signs.pale!))
    const soon = [
      started,
      marked(2, 200, 'stage.began', { stage: 'roast' }),
      marked(3, 420, 'sign.seen', { sign: 'aroma' }),
    ]
    expect(forecastCook(plan, soon, 420, 300).signs.pale!.middle).toBeLessThan(narrow.signs.pale!.middle)
  })

  it('moves later while the sign that is waited for does not come', () => {
    const plan = examplePlan()
    const marks = [started, marked(2, 300, 'stage.began', { stage: 'roast' })]
    const first = forecastCook(plan, marks, 310, 300).signs.pale!
    const later = forecastCook(plan, marks, first.late, 300).signs.pale!
    expect(later.middle).toBeGreaterThan(first.middle)
  })

  it('takes a higher flame as sooner and the fire off as cooling', () => {
    const plan = examplePlan()
    const marks = [started, marked(2, 300, 'stage.began', { stage: 'roast' })]
    const plain = forecastCook(plan, marks, 320, 200).signs.pale!
    const higher = forecastCook(
      plan,
      [...marks, marked(3, 310, 'flame.changed', { vessel: 'pan', mark: 'm6' })],
      320,
      200,
    ).signs.pale!
    expect(higher.middle).toBeLessThan(plain.middle)
    const off = [...marks, marked(3, 310, 'off.fire', { vessel: 'pan' })]
    const cooled = forecastCook(plan, off, 900, 200).panNow!.tempC
    const kept = forecastCook(plan, marks, 900, 200).panNow!.tempC
    expect(cooled.late).toBeLessThan(kept.early)
  })

  it('follows the weight of the pan at the end', () => {
    const plan = examplePlan({ pans: { pan: { ...examplePan, massOrigin: 'weighed' }, pot: examplePan } })
    const marks = [
      started, marked(2, 300, 'stage.began', { stage: 'roast' }), marked(3, 800, 'stage.began', { stage: 'pour' }),
      marked(4, 860, 'stage.began', { stage: 'take-up' }),
    ]
    const heavy = forecastCook(
      plan,
      [...marks, marked(5, 1000, 'weighed', { vessel: 'pan', grossG: 1500 + 1640 })],
      1000,
      300,
    )
    const light = forecastCook(
      plan,
      [...marks, marked(5, 1000, 'weighed', { vessel: 'pan', grossG: 1500 + 1560 })],
      1000,
      300,
    )
    expect(light.signs['leaves-sides']!.middle).toBeLessThan(heavy.signs['leaves-sides']!.middle)
  })

  it('says when the other vessel goes on, so that it boils before the pour', () => {
    const { sides, stages } = forecastCook(examplePlan(), [], 0, 200)
    expect(sides).toHaveLength(1)
    expect(sides[0]!.lightS! + sides[0]!.needs.middle).toBeLessThanOrEqual(stages[2]!.middle + 1)
    const lit = forecastCook(examplePlan(), [started, marked(2, 200, 'vessel.lit', { vessel: 'pot' })], 210, 200)
    expect(lit.sides[0]!.lightS).toBeNull()
    expect(lit.sides[0]!.boils!.middle).toBeGreaterThan(300)
  })

  it('warns to turn the flame down on a flame that runs away, and not on a low one', () => {
    expect(forecastCook(examplePlan({ flames: { nuts: 'm6', roast: 'm6' } }), [], 0, 60).turnDownS).not.toBeNull()
    expect(forecastCook(examplePlan({ flames: { nuts: 'm2', roast: 'm2' } }), [], 0, 60).turnDownS).toBeNull()
  })

  it('is finite even where the flame never gets there', () => {
    const cold = examplePlan({ baseG: 4000, flames: { 'nuts': 'm1', 'roast': 'm1', 'take-up': 'm1', 'enrich': 'm1' } })
    const { stages, finishedG } = forecastCook(cold, [], 0, 40)
    expect([...stages, finishedG].every(window => Number.isFinite(window.early + window.middle + window.late))).toBe(
      true,
    )
  })

  it('survives a tap that cannot be true', () => {
    const { signs, effective } = forecastCook(
      examplePlan(),
      [started, marked(2, 2, 'sign.seen', { sign: 'leaves-sides' })],
      3,
      100,
    )
    expect(Number.isFinite(signs.pale!.middle)).toBe(true)
    expect(effective).toBeGreaterThanOrEqual(1)
  })
})

const examplePan = {
  id: 'p',
  name: 'Pan',
  material: 'steel' as const,
  innerDiameterMm: 260,
  depthMm: 75,
  massG: 1500,
  massOrigin: 'weighed',
  coated: false,
}

describe('the weights of an ensemble', () => {
  it('add to one without underflow and count the effective members', () => {
    const weights = normalisedWeights(new Float64Array([-2000, -2000, Number.NEGATIVE_INFINITY]))
    expect(Array.from(weights)).toEqual([0.5, 0.5, 0])
    expect(effectiveMembers(weights)).toBeCloseTo(2)
    expect(Array.from(normalisedWeights(new Float64Array([Number.NaN, Number.NaN])))).toEqual([0.5, 0.5])
  })
})
