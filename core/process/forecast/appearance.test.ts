import { describe, expect, it } from 'vitest'
import { pan } from '../../../test/support/pans'
import { starterPlan } from '../../../test/support/plans'
import { labOnPath } from '../../materials/colour/labOnPath'
import { constant } from '../../materials/constants/constants'
import { replay } from '../../record/replay/replay'
import { VAPOUR, type VesselState } from '../engine/layout'
import type { TracePoint } from '../engine/trace'
import { compileProgram } from '../program/compileProgram'
import { appearance } from './appearance'

const plan = starterPlan('sweet-water-semolina')
const program = compileProgram(plan, replay(plan, []), 0)
const { family, colours } = program
const [ROAST, TAKE_UP] = [1, 3]
const seen = (stage: number, state: VesselState) =>
  appearance(program, { stage, lightness: 70, state, all: new Float64Array() } as unknown as TracePoint)
const steamed = (waterG: number, heldG: number, vapourG: number): VesselState => {
  const made = pan({ solids: 200, water: waterG, held: heldG, fat: 100 }, 95)
  made[VAPOUR] = vapourG
  return made
}

describe('how a content looks', () => {
  it('is fat alone where nothing is in it, and the roast\'s own colour until it is wetted', () => {
    expect(seen(ROAST, pan({ fat: 100 }, 120))).toEqual({ lightness: 87, a: 1, b: 30 })
    expect(seen(ROAST, steamed(10, 10, 5))).toEqual(labOnPath(colours.path, 70))
  })

  it('is lifted by wetting, and darkens as what boiled off leaves none of it free', () => {
    const lifted = (darker: number) =>
      labOnPath(colours.path, 70 + family.wetLift + program.stages[TAKE_UP]!.tint + darker * family.doneDarkening)
    expect(seen(TAKE_UP, steamed(300, 0, 400))).toEqual(lifted(0))
    expect(seen(TAKE_UP, steamed(300, 300, 0))).toEqual(lifted(0))
    // Half is free; a tenth of the water boiled off is so much of what makes it dense.
    const dense = 30 / (constant('denseLoss') * 300)
    expect(seen(TAKE_UP, steamed(270, 135, 30)).lightness).toBeCloseTo(lifted(0.5 * dense).lightness, 9)
    // No water at all is none that is free.
    expect(seen(TAKE_UP, steamed(0, 0, 300))).toEqual(lifted(1))
  })
})
