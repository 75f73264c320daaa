import { describe, expect, it } from 'vitest'
import { examplePlan, marked } from '../../../test/support/plans'
import { drawTruth, runImaginary, signAt } from '../../../devices/imaginaryPan'
import { seededRandom } from '../../maths/random/seededRandom'
import { firstBelief } from '../../process/belief/firstBelief'
import { settleCook } from '../../cook/batch/settleCook'
import { beliefFor } from '../../process/belief/beliefFor'
import type { Evidence } from './reading'
import { beliefColumns, MEMBER_NAMES, memberValues } from '../../process/belief/memberValues'

describe('the first belief', () => {
  it('holds an entry for every uncertain number, each with unit and basis', () => {
    const { entries } = firstBelief()
    expect(entries.map(entry => entry.name).sort()).toEqual([...MEMBER_NAMES].sort())
    for (const entry of entries) {
      expect(entry.unit).not.toBe('')
      expect(entry.basis).not.toBe('')
      expect(entry.spread).toBeGreaterThan(0)
    }
  })

  it('fills what a belief of an older format does not hold', () => {
    const columns = beliefColumns({ entries: firstBelief().entries.filter(entry => entry.name !== 'wetPace') })
    expect(columns.median[MEMBER_NAMES.indexOf('wetPace')]).toBe(1)
  })

  it('lets an entry follow another one', () => {
    const entries = firstBelief().entries.map(entry =>
      entry.name === 'mainLadder' ? { ...entry, spread: 0.1, follows: [{ name: 'mainFire', much: -0.05 }] } : entry,
    )
    const normals = new Float64Array(MEMBER_NAMES.length)
    normals[MEMBER_NAMES.indexOf('mainFire')] = 2
    expect(memberValues(beliefColumns({ entries }), normals, 0).mainLadder).toBeCloseTo(-0.1, 12)
  })

  it('gives its medians at zero and stays possible far out', () => {
    const columns = beliefColumns(firstBelief())
    const middle = memberValues(columns, new Float64Array(MEMBER_NAMES.length), 0)
    expect(middle.mainFire).toBe(1)
    const far = memberValues(columns, new Float64Array(MEMBER_NAMES.length).fill(9), 0)
    expect(far.kept).toBeLessThanOrEqual(0.99)
    expect(far.film).toBeLessThanOrEqual(0.6)
  })
})

describe('learning from batches', () => {
  const plan = examplePlan()

  function batch(fire: number, seed: number): Evidence[] {
    const truth = { ...drawTruth(plan, seededRandom(seed)), mainFire: fire }
    const first = runImaginary(plan, truth, [], 0)
    const nutsS = signAt(first, 'nuts-golden')
    const seen = [marked(1, 0, 'cook.started'), marked(2, nutsS, 'stage.began', { stage: 'roast' })]
    const roast = runImaginary(plan, truth, seen, nutsS)
    const told = [
      ...seen,
      marked(3, signAt(roast, 'aroma'), 'sign.seen', { sign: 'aroma' }),
      marked(4, signAt(roast, 'pale'), 'stage.began', { stage: 'pour' }),
      marked(5, signAt(roast, 'pale') + 900, 'cook.finished'),
    ]
    return [...settleCook({ ...plan, id: `batch-${seed}` }, told).evidence]
  }

  it('moves the power of a fire towards the truth and narrows it, batch by batch', () => {
    const evidence = [1, 2, 3, 4].flatMap(seed => batch(1.45, seed))
    const entry = (list: readonly Evidence[]) =>
      beliefFor(firstBelief(), list, plan).entries.find(one => one.name === 'mainFire')!
    const one = entry(evidence.filter(reading => reading.batch === 'batch-1'))
    const four = entry(evidence)
    expect(four.median).toBeGreaterThan(1.15)
    expect(four.median).toBeLessThan(1.8)
    expect(one.spread).toBeLessThan(0.3)
    expect(four.spread).toBeLessThan(one.spread)
    expect(four.spread).toBeGreaterThanOrEqual(0.12)
    expect(four.restsOn).toEqual(['batch-1', 'batch-2', 'batch-3', 'batch-4'])
  })

  it('keeps one fire apart from another', () => {
    const evidence = batch(1.45, 1)
    const other = { ...plan, fires: { ...plan.fires, pan: { ...plan.fires.pan!, id: 'veranda' } } }
    expect(beliefFor(firstBelief(), evidence, other).entries.find(one => one.name === 'mainFire')!.restsOn).toEqual([])
  })

  it('takes a dish\'s own wetness', () => {
    const wet = { ...plan, dish: { ...plan.dish, kept: { share: 0.8, spread: 0.02 } } }
    expect(beliefFor(firstBelief(), [], wet).entries.find(one => one.name === 'kept')!.median).toBe(0.8)
  })
})
