import { describe, expect, it } from 'vitest'
import { drawnSize } from './drawnSize'
import { inMeasures } from './inMeasures'
import { usableBelow, usableCount } from './usableCount'
import { weightOf } from './weightOf'

const glass = { id: 'g', name: 'glass', volumeMl: 200 }
const spoon = { id: 's', name: 'spoon', volumeMl: 15 }
const small = { id: 't', name: 'teaspoon', volumeMl: 5 }
const said = (volumeMl: number) => {
  const { name, text, rest } = inMeasures(volumeMl, [small, glass, spoon])
  return [`${text} ${name}`, rest && `${rest.text} ${rest.name}`]
}

describe('an amount in the house\'s measures', () => {
  it('is in the biggest of which it is a quarter, or of a smaller one near half', () => {
    expect(said(48)).toEqual(['¼ glass', null])
    expect(said(47.9)[0]).toBe('3¼ spoon')
    expect(said(6.8)[0]).toBe('½ spoon')
    expect(said(6.7)[0]).toBe('1⅓ teaspoon')
    expect(said(1)[0]).toBe('¼ teaspoon')
  })

  it('has the rest in a smaller one where a mark alone is more than 3.5 % off, and that is nearer', () => {
    // 103 % of a glass is near enough to one; 108 % is a glass and a spoon.
    expect(said(206)).toEqual(['1 glass', null])
    expect(said(216)).toEqual(['1 glass', '1 spoon'])
    expect(said(280)).toEqual(['1⅓ glass', '1 spoon'])
    const one = inMeasures(216, [glass, spoon])
    expect(one).toMatchObject({ exact: 1.08, count: 1, error: expect.closeTo(1 / 216, 9) as number, rest: { count: 1 } })
    expect(inMeasures(0, [glass]).error).toBe(0)
  })

  it('counts what can be filled by eye, from ten on in whole ones', () => {
    expect([0.1, 0.3, 0.45, 0.6, 0.72, 0.9, 1.46, 9.9, 10.4, 10.6].map(count => usableCount(count).text))
      .toEqual(['0', '⅓', '½', '⅔', '¾', '1', '1½', '10', '10', '11'])
    expect([0.1, 0.3, 0.45, 0.6, 0.72, 0.9, 1.46, 9.9, 10.9].map(count => usableBelow(count).text))
      .toEqual(['0', '¼', '⅓', '½', '⅔', '¾', '1⅓', '9¾', '10'])
  })
})

describe('a weight, and a vessel to draw', () => {
  const row = { id: 'pear', bulkDensity: 0.6, yields: { prepared: 0.84 }, piece: { noun: 'pear', plural: 'pears', small: 120, medium: 165, large: 220 } } as never
  it('is by density, or by the size of one and what is left of it', () => {
    expect(weightOf({ kind: 'mass', massG: 50 }, row)).toBe(50)
    expect(weightOf({ kind: 'volume', volumeMl: 200 }, row)).toBeCloseTo(120, 9)
    expect(weightOf({ kind: 'count', count: 3, size: 'large' }, row)).toBeCloseTo(3 * 220 * 0.84, 9)
  })

  it('is drawn as a cone that holds its volume', () => {
    for (const [volumeMl, kind] of [[200, 'cup'], [15, 'spoon']] as const) {
      const { topMm, bottomMm, heightMm } = drawnSize(volumeMl, kind)
      // A truncated cone: π/12 · h · (D² + D·d + d²).
      expect(Math.PI / 12 * heightMm * (topMm ** 2 + topMm * bottomMm + bottomMm ** 2) / 1000).toBeCloseTo(volumeMl, volumeMl > 100 ? 0 : 1)
      expect([bottomMm / topMm, heightMm / topMm]).toEqual(kind === 'cup' ? [expect.closeTo(0.76, 2), expect.closeTo(1.1, 2)] : [expect.closeTo(0.55, 2), expect.closeTo(0.26, 2)])
    }
  })
})
