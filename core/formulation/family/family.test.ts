import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { INGREDIENTS } from '../../../book/ingredients'
import { CoreError } from '../../error'
import { browningPath } from './browningPath'
import { FAMILIES, familyOf } from './families'
import { COLOUR_STEPS, FAMILY_IDS } from './family'

describe('families', () => {
  it('are all there, once, in the order they are offered', () => {
    expect(FAMILIES.map(family => family.id)).toEqual([...FAMILY_IDS])
    for (const id of FAMILY_IDS) expect(familyOf(id).id).toBe(id)
    expect(() => familyOf('pasta')).toThrow(CoreError)
  })

  it('have a base in the ingredient table each', () => {
    for (const id of FAMILY_IDS) expect(INGREDIENTS.some(row => row.families.includes(id)), id).toBe(true)
    for (const row of INGREDIENTS) for (const id of row.families) expect(FAMILY_IDS).toContain(id)
  })

  it('brown from light to dark, step by step', () => {
    for (const family of FAMILIES) {
      const steps = COLOUR_STEPS.map(step => family.stepLightness[step])
      expect(steps, family.id).toEqual([...steps].sort((p, q) => q - p))
      expect(steps[0]!).toBeLessThan(family.rawLightness)
      expect(steps.at(-1)!).toBeGreaterThan(family.finalLightness)
      const path = family.path.map(one => one.lightness)
      expect(path, family.id).toEqual([...path].sort((p, q) => q - p))
    }
  })

  it('say where their numbers come from', () => {
    for (const family of FAMILIES) expect(family.source).toMatch(/estimate/)
  })
})

describe('the path of browning', () => {
  it('falls in lightness from any raw colour, with steps in order', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 40, max: 96, noNaN: true }),
        fc.double({ min: -5, max: 30, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        (lightness, a, b) => {
          const { path, stepLightness } = browningPath({ lightness, a, b })
          for (let i = 1; i < path.length; i++) expect(path[i]!.lightness).toBeLessThan(path[i - 1]!.lightness + 1e-9)
          const steps = COLOUR_STEPS.map(step => stepLightness[step])
          for (let i = 1; i < steps.length; i++) expect(steps[i]!).toBeLessThan(steps[i - 1]!)
          expect(path[1]).toEqual({ lightness, a, b })
        },
      ),
    )
  })
})
