import { describe, expect, it } from 'vitest'
import { SEMOLINA } from '../../formulation/family/semolina'
import { labOnPath } from './labOnPath'
import { labToHex } from './labToHex'

describe('colour', () => {
  it('keeps the asked lightness on a path, also beyond its ends', () => {
    for (let lightness = 0; lightness <= 100; lightness += 2.5)
      expect(labOnPath(SEMOLINA.path, lightness).lightness).toBe(lightness)
  })

  it('passes through the points of the path', () => {
    for (const point of SEMOLINA.path) expect(labOnPath(SEMOLINA.path, point.lightness)).toEqual(point)
  })

  it('draws white, black and grey as they are', () => {
    expect(labToHex({ lightness: 100, a: 0, b: 0 })).toBe('#ffffff')
    expect(labToHex({ lightness: 0, a: 0, b: 0 })).toBe('#000000')
    expect(labToHex({ lightness: 53.585, a: 0, b: 0 })).toBe('#808080')
  })

  it('stays inside what a screen can show', () => {
    expect(labToHex({ lightness: 60, a: 120, b: -120 })).toMatch(/^#[0-9a-f]{6}$/)
  })

  it('lets a roast only darken along its path', () => {
    const steps = Object.values(SEMOLINA.stepLightness)
    expect([...steps].sort((p, q) => q - p)).toEqual(steps)
  })
})
