import { describe, expect, it } from 'vitest'
import { begun, examplePlan, marked, story } from '../../../test/support/plans'
import { forecastCook } from '../../process/forecast/forecastCook'
import { replay } from '../replay/replay'
import type { Observation } from './observation'

const plan = examplePlan()

describe('two screens that mark the same', () => {
  it('mean one sign and one step: the first of each stands, and says no more than one would', () => {
    const smelled = marked(1, 430, 'sign.seen', { sign: 'aroma' }, 'phone')
    const once = [...story.slice(0, 3), smelled, begun('pour', 640, 7)]
    const twice = [
      ...story.slice(0, 3),
      smelled,
      marked(7, 438, 'sign.seen', { sign: 'aroma' }),
      begun('pour', 640, 8),
      marked(2, 649, 'stage.began', { stage: 'pour' }, 'phone'),
    ]
    const cook = replay(plan, twice)
    expect(cook.signs).toHaveLength(1)
    expect(cook.signs[0]!.timeS).toBe(430)
    expect(cook.stageStarts[2]).toBe(640)
    expect(cook.moments).toHaveLength(twice.length)
    const ends = (marks: readonly Observation[]) => forecastCook(plan, marks, 700, 128).stages.at(-1)
    expect(ends(twice)).toEqual(ends(once))
  })

  it('but a sign of an earlier stage can show again in a later one', () => {
    const again = replay(plan, [
      ...story,
      marked(8, 350, 'sign.seen', { sign: 'aroma' }, 'phone'),
      marked(9, 720, 'sign.seen', { sign: 'aroma' }),
    ])
    expect(again.signs).toHaveLength(2)
  })
})
