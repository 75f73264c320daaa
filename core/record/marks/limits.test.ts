import { describe, expect, it } from 'vitest'
import { storyTo } from '../../../test/support/handForecast'
import { marked, starterPlan } from '../../../test/support/plans'
import { replay } from '../replay/replay'

const plan = starterPlan('sweet-water-semolina')
/** The cook with one mark in its roast. */
const after = (kind: string, payload: Record<string, unknown> = {}) => replay(plan, [...storyTo(plan, 'roast'), marked(9, 200, kind, payload)])

describe('a mark at the fire', () => {
  it('is a number that can be: above nothing, up to its most', () => {
    expect([0, 0.1, 100_000, 100_001].map(grossG => after('weighed', { grossG }).weighings.length)).toEqual([0, 1, 1, 0])
    expect([-50, 0, 0.1, 1000, 1001].map(tempC => after('temperature', { tempC }).temperatures.length)).toEqual([0, 0, 1, 1, 0])
    expect([0, 0.1, 500, 501].map(depthMm => after('depth.measured', { depthMm }).depths.length)).toEqual([0, 1, 1, 0])
    expect([0, 1, 7200, 7201].map(seconds => after('unstirred', { seconds }).unstirred.length)).toEqual([0, 1, 1, 0])
    expect([0, 0.01, 1, 1.01].map(share => after('kept.back', { vessel: 'pot', share }).keptBack.length)).toEqual([0, 1, 1, 0])
    expect([0, 1, 1e5, 1e5 + 1].map(readG => after('reading.unsure', { readG }).unsure.length)).toEqual([0, 1, 1, 0])
  })

  it('names what there is: a vessel, an ingredient, a step', () => {
    const sugar = plan.dish.ingredients.find(one => one.part === 'sugar')!.id
    expect([sugar, 'moon'].map(ingredient => after('forgotten', { ingredient }).forgotten.length)).toEqual([1, 0])
    expect(['pot', 'pan'].map(vessel => after('rest.poured', { vessel }).restPoured.length)).toEqual([1, 0])
    expect(['rest', 'moon'].map(stage => Object.keys(after('step.done', { stage }).steps))).toEqual([['rest'], []])
    expect(['lumps', 'moon'].map(as => after('perceived', { as }).perceived.length)).toEqual([1, 0])
  })

  it('is of the vessel that it names, or of the one over the main fire', () => {
    expect(after('weighed', { grossG: 900 }).weighings[0]!.what).toEqual({ vessel: 'pan', grossG: 900 })
    expect(after('temperature', { vessel: 'pot', tempC: 80 }).temperatures[0]!.what).toEqual({ vessel: 'pot', tempC: 80 })
    expect(after('flame.changed', { vessel: 'pot', mark: 'm1' }).controls[0]).toEqual({ id: 'tablet-9', timeS: 200, what: { vessel: 'pot', mark: 'm1' } })
    expect(after('vessel.lit', { vessel: 'pot' }).lit).toEqual({ pot: 200 })
  })

  it('is a note of the moment it is for, within a day, else of its own', () => {
    const at = (atS: number) => after('note', { text: 'x', atS }).notes[0]!.timeS
    expect([0, 60, 86_400, 86_401, -1].map(at)).toEqual([0, 60, 86_400, 200, 200])
  })

  it('is an outcome of so many faults and so long a line', () => {
    const told = after('outcome', { faults: [...Array.from({ length: 30 }, () => 'runny'), 'x'.repeat(41)], line: 'y'.repeat(500) }).outcome!
    expect([told.faults.length, told.line.length]).toEqual([20, 400])
    expect(after('outcome', { faults: ['x'.repeat(40), 'x'.repeat(41)] }).outcome).toEqual({ faults: ['x'.repeat(40)], line: '' })
  })
})
