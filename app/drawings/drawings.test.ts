import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { FIRST_KITCHEN } from '../../book/firstKitchen'
import { archOf, placeOf } from './arch'
import { cupDrawing, fireDrawing, panDrawing, trayDrawing } from './things'
import { heightShare, vesselShape } from './vesselShape'

const arch = archOf({ width: 880, height: 628, stone: 62, margin: 62 })

describe('an arch', () => {
  it('has its crown in the middle and its feet on the ground', () => {
    expect(arch.at(0, 0).x).toBeCloseTo(440)
    expect(arch.at(-1, 0).y).toBeCloseTo(628)
    expect(arch.at(1, 0).y).toBeCloseTo(628)
    expect(arch.at(-1, 0).x).toBeCloseTo(880 - arch.at(1, 0).x)
  })

  it('is as long on the left as on the right, evenly paced', () => {
    const step = (from: number, to: number): number =>
      Math.hypot(arch.at(to, 0).x - arch.at(from, 0).x, arch.at(to, 0).y - arch.at(from, 0).y)
    expect(step(-0.9, -0.89)).toBeCloseTo(step(0.4, 0.41), 1)
  })

  it('stays inside its width, bands and all', () => {
    fc.assert(fc.property(fc.double({ min: -1, max: 1, noNaN: true }), (place) => {
      const { x, y } = arch.at(place, 62)
      expect(x).toBeGreaterThanOrEqual(-1)
      expect(x).toBeLessThanOrEqual(881)
      expect(y).toBeGreaterThanOrEqual(-1)
    }))
  })

  it('puts the keystone at the crown whatever the times', () => {
    expect(placeOf(700, { keystoneS: 700, endS: 1300 })).toBe(0)
    expect(placeOf(0, { keystoneS: 700, endS: 1300 })).toBe(-1)
    expect(placeOf(1300, { keystoneS: 700, endS: 1300 })).toBe(1)
    expect(placeOf(5000, { keystoneS: 700, endS: 1300 })).toBe(1)
  })

  it('draws closed outlines', () => {
    expect(arch.segment(-0.5, 0.5, -10, 10)).toMatch(/^M.*Z$/)
  })
})

describe('a drawn vessel', () => {
  it('fills a cylinder evenly and a cone faster at its narrow base', () => {
    expect(heightShare(0.5, 100, 100)).toBeCloseTo(0.5)
    expect(heightShare(0.5, 100, 60)).toBeGreaterThan(0.5)
    expect(heightShare(0, 100, 60)).toBe(0)
    expect(heightShare(1, 100, 60)).toBeCloseTo(1)
  })

  it('has nothing in it when it is empty', () => {
    expect(vesselShape(80, 60, 90, 0).content).toBe('')
    expect(vesselShape(80, 60, 90, 0.5).level).toBeCloseTo(45)
    expect(vesselShape(80, 60, 90, 0.5, { x: 100, y: 7 }).wall).toBe('M100 7L110 97H170L180 7')
  })
})

describe('things of the kitchen', () => {
  const [cup, spoon] = FIRST_KITCHEN.measures
  const widthOf = (drawing: { viewBox: string }): number => Number(drawing.viewBox.split(' ')[2])

  it('are drawn to one scale on their shelf', () => {
    const [pan, pot] = FIRST_KITCHEN.pans.map(panDrawing)
    expect(pan!.widthPx / widthOf(pan!)).toBeCloseTo(pot!.widthPx / widthOf(pot!))
    expect(pan!.widthPx / pot!.widthPx).toBeCloseTo((260 + 12) / (180 + 12))
    expect(cupDrawing(cup!).widthPx / widthOf(cupDrawing(cup!))).toBeCloseTo(
      cupDrawing(spoon!).widthPx / widthOf(cupDrawing(spoon!)),
    )
    expect(panDrawing({ innerDiameterMm: 200, depthMm: 30 })).toEqual(trayDrawing({ widthMm: 200, depthMm: 30 }))
  })

  it('give a spoon a handle and a cup none', () => {
    expect(widthOf(cupDrawing(spoon!))).toBeGreaterThan(2 * spoon!.topMm)
    expect(widthOf(cupDrawing(cup!))).toBe(cup!.topMm + 8)
  })

  it('give a fire a flame for each mark, the stronger the higher', () => {
    const fire = FIRST_KITCHEN.fires[0]!
    const drawn = fireDrawing(fire)
    const tops = [...drawn.path.matchAll(/M[\d.]+ ([-\d.]+)q/g)].map(match => Number(match[1]))
    expect(tops).toHaveLength(fire.marks.length)
    expect(tops).toEqual([...tops].sort((p, q) => q - p))
  })
})
