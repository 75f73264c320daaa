import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { areaInCircle } from '../../maths/geometry/areaInCircle'
import { areaInRectangle } from '../../maths/geometry/areaInRectangle'
import { polygonArea } from '../../maths/geometry/polygonArea'
import type { Point } from '../../maths/geometry/point'
import { CoreError } from '../../error'
import type { TraySize } from '../scale/request'
import { ballsOf } from './ballsOf'
import { bowlsOf } from './bowlsOf'
import type { Cut } from './cut'
import { cutForCount } from './cutForCount'
import { cutForFewer } from './cutForFewer'
import { cutTray } from './cutTray'
import { evenCut } from './evenCut'
import { lattice } from './lattice'
import { outlineOf } from './outline'
import { placeCut, SLACK_MM } from './placeCut'
import { trayFill } from './trayFill'
import { traysFor } from './traysFor'

const trays: fc.Arbitrary<TraySize> = fc
  .record({
    shape: fc.constantFrom('round' as const, 'rectangle' as const),
    widthMm: fc.integer({ min: 90, max: 420 }),
    lengthMm: fc.integer({ min: 90, max: 420 }),
  })
  .map(tray => (tray.shape === 'round' ? { ...tray, lengthMm: tray.widthMm } : tray))
const cuts: fc.Arbitrary<Cut> = fc.record({
  firstMm: fc.double({ min: 18, max: 110, noNaN: true }), secondMm: fc.double({ min: 18, max: 110, noNaN: true }),
  turnDeg: fc.double({ min: -90, max: 90, noNaN: true }), slantDeg: fc.double({ min: 30, max: 150, noNaN: true }),
})
const shifts = fc.record({
  first: fc.double({ min: 0, max: 1, noNaN: true }),
  second: fc.double({ min: 0, max: 1, noNaN: true }),
})
const tin: TraySize = { shape: 'rectangle', widthMm: 200, lengthMm: 160 }
const squares = (mm: number): Cut => ({ firstMm: mm, secondMm: mm, turnDeg: 0, slantDeg: 90 })

/** The slow reference: every pixel of the tray is given to its cell. */
function pixelShares(
  tray: TraySize,
  cut: Cut,
  shift: { first: number, second: number },
  stepMm: number,
): Map<string, number> {
  const grid = lattice(cut, shift)
  const { widthMm, lengthMm } = tray
  const shares = new Map<string, number>()
  for (let x = -widthMm / 2 + stepMm / 2; x < widthMm / 2; x += stepMm) {
    for (let y = -lengthMm / 2 + stepMm / 2; y < lengthMm / 2; y += stepMm) {
      if (tray.shape === 'round' && Math.hypot(x, y) > widthMm / 2) continue
      const cell = grid.to({ x, y })
      const key = `${Math.floor(cell.x)},${Math.floor(cell.y)}`
      shares.set(key, (shares.get(key) ?? 0) + (stepMm * stepMm) / grid.areaMm2)
    }
  }
  return shares
}

describe('areas', () => {
  it('agree with what can be worked out by hand', () => {
    const square = (side: number): Point[] => [
      { x: 0, y: 0 },
      { x: side, y: 0 },
      { x: side, y: side },
      { x: 0, y: side },
    ]
    expect(polygonArea(square(3))).toBe(9)
    expect(areaInRectangle(square(9), 10, 10)).toBeCloseTo(25)
    expect(areaInCircle(square(99), 10)).toBeCloseTo(25 * Math.PI)
    expect(areaInCircle(square(2), 10)).toBeCloseTo(4)
    const far = square(5).map(({ x, y }) => ({ x: x + 40, y: y + 40 }))
    expect(areaInCircle(far, 10)).toBeCloseTo(0)
    expect(areaInRectangle(far, 10, 10)).toBe(0)
  })

  it('are the same whichever way round the corners go', () => {
    fc.assert(fc.property(cuts, shifts, (cut, shift) => {
      const corners = lattice(cut, shift).corners(0, 0)
      const back = [...corners].reverse()
      expect(areaInCircle(corners, 120)).toBeCloseTo(areaInCircle(back, 120), 6)
      expect(areaInRectangle(corners, 200, 150)).toBeCloseTo(areaInRectangle(back, 200, 150), 6)
    }))
  })
})

describe('a cut tray', () => {
  it('has the pieces that a count of pixels finds, for any tray, angle and size', () => {
    fc.assert(fc.property(trays, cuts, shifts, (tray, cut, shift) => {
      const cutUp = cutTray(tray, cut, shift)
      const grid = lattice(cut, shift)
      const counted = pixelShares(tray, cut, shift, 1)
      const known = new Map(cutUp.pieces.map((piece) => {
        const middle = piece.corners.reduce((sum, p) => ({ x: sum.x + p.x / 4, y: sum.y + p.y / 4 }), { x: 0, y: 0 })
        const cell = grid.to(middle)
        return [String([Math.floor(cell.x), Math.floor(cell.y)]), piece] as const
      }))
      // A millimetre of pixels is off by less than its perimeter times half of it.
      const off = 1.2 * (cut.firstMm + cut.secondMm) / Math.sin(cut.slantDeg * Math.PI / 180) / grid.areaMm2
      for (const [key, share] of counted)
        if (share > off) expect(Math.abs((known.get(key)?.share ?? 0) - share), key).toBeLessThan(off)
      for (const [key, piece] of known) if (piece.share > off) expect(counted.has(key), key).toBe(true)
      const surely = [...counted.values()].filter(share => share > 0.99 + off).length
      const maybe = [...counted.values()].filter(share => share > 0.99 - off).length
      expect(cutUp.whole).toBeGreaterThanOrEqual(surely)
      expect(cutUp.whole).toBeLessThanOrEqual(maybe)
    }), { numRuns: 60 })
  })

  it('loses nothing: all shares add to the whole tray', () => {
    fc.assert(fc.property(trays, cuts, (tray, cut) => {
      const one = cutTray(tray, cut)
      const all = one.pieces.reduce((sum, piece) => sum + piece.share, 0) * one.wholeShare
      expect(all).toBeCloseTo(1, 6)
      expect(one.edgeShare + one.trimmingShare).toBeLessThanOrEqual(1 + 1e-9)
      expect(one.whole + one.edge + one.trimmings).toBe(one.pieces.length)
    }), { numRuns: 60 })
  })

  it('lies where no other place tried gives more whole pieces', () => {
    fc.assert(fc.property(trays, cuts, shifts, (tray, cut, shift) => {
      const grid = { first: Math.round(shift.first * 12) / 12, second: Math.round(shift.second * 12) / 12 }
      const { holds } = outlineOf({
        ...tray,
        widthMm: tray.widthMm + 2 * SLACK_MM,
        lengthMm: tray.lengthMm + 2 * SLACK_MM,
      })
      const wholeOf = (at: typeof grid): number =>
        cutTray(tray, cut, at).pieces.filter(piece => piece.corners.every(holds)).length
      expect(wholeOf(placeCut(tray, cut))).toBeGreaterThanOrEqual(wholeOf(grid))
    }), { numRuns: 40 })
  })

  it('is the same turned by half a turn', () => {
    const cut = { firstMm: 41, secondMm: 33, turnDeg: 25, slantDeg: 70 }
    const one = cutTray(tin, cut, { first: 0.3, second: 0.1 })
    const other = cutTray(tin, cut, { first: -0.3, second: -0.1 })
    expect(other.pieces.map(piece => piece.share).sort()).toHaveLength(one.pieces.length)
    expect(other.whole).toBe(one.whole)
    expect(other.edgeShare).toBeCloseTo(one.edgeShare, 9)
  })

  it('counts squares of a tin exactly, and its marks run from wall to wall', () => {
    const one = cutTray(tin, squares(40))
    expect(one).toMatchObject({ whole: 20, edge: 0, trimmings: 0 })
    expect(one.wholeShare).toBeCloseTo(1 / 20)
    const outline = outlineOf(tin)
    for (const mark of one.marks) {
      expect(outline.holds(mark.from) && outline.holds(mark.to)).toBe(true)
      expect(Math.hypot(mark.from.x - mark.to.x, mark.from.y - mark.to.y)).toBeGreaterThan(150)
    }
    expect(one.marks).toHaveLength(3 + 4)
  })

  it('evens what runs along a wall, and leaves what runs slantwise', () => {
    expect(evenCut({ shape: 'rectangle', widthMm: 250, lengthMm: 180 }, squares(40))).toMatchObject({
      firstMm: 36,
      secondMm: 250 / 6,
    })
    expect(evenCut(tin, { ...squares(33), slantDeg: 45 })).toMatchObject({ firstMm: 32, secondMm: 33 })
    expect(evenCut({ shape: 'round', widthMm: 200, lengthMm: 200 }, squares(33))).toEqual(squares(33))
  })

  it('finds the largest pieces of which there are enough', () => {
    fc.assert(fc.property(trays, fc.integer({ min: 4, max: 40 }), (tray, count) => {
      const cut = cutForCount(tray, squares(40), count)
      expect(cut).not.toBeNull()
      expect(cutTray(tray, cut!).whole).toBeGreaterThanOrEqual(count)
    }), { numRuns: 15 })
    expect(cutForCount({ shape: 'round', widthMm: 90, lengthMm: 90 }, squares(40), 400)).toBeNull()
  })

  it('goes back to fewer pieces, and evens only to what a knife can make', () => {
    fc.assert(fc.property(trays, fc.integer({ min: 12, max: 60 }), (tray, firstMm) => {
      const before = evenCut(tray, squares(firstMm))
      expect(Math.min(before.firstMm, before.secondMm)).toBeGreaterThanOrEqual(8)
      expect(Math.max(evenCut(tray, squares(240)).firstMm, evenCut(tray, squares(240)).secondMm)).toBeLessThanOrEqual(
        300,
      )
      const { whole } = cutTray(tray, before)
      if (whole < 2 || whole > 400) return
      const fewer = cutForFewer(tray, squares(firstMm), whole)
      if (fewer) expect(cutTray(tray, fewer).whole).toBeLessThan(whole)
    }), { numRuns: 25 })
    expect(cutForFewer(tin, squares(38), 2)).not.toBeNull()
    expect(cutForFewer({ shape: 'round', widthMm: 60, lengthMm: 60 }, squares(40), 1)).toBeNull()
  })

  it('refuses cuts no knife makes', () => {
    expect(() => cutTray(tin, squares(2))).toThrow(CoreError)
    expect(() => cutTray(tin, { ...squares(30), slantDeg: 5 })).toThrow(CoreError)
    expect(() => cutTray({ ...tin, widthMm: Number.NaN }, squares(30))).toThrow(CoreError)
  })
})

describe('what a mass fills', () => {
  const deep = { ...tin, depthMm: 35 }

  it('says how deep it lies and how much it would take', () => {
    const fill = trayFill(640, deep, 20)
    expect(fill).toMatchObject({ verdict: 'right', timesForWanted: 1 })
    expect(fill.depthMm).toBeCloseTo(20)
    expect(trayFill(320, deep, 20)).toMatchObject({ verdict: 'thin', timesForWanted: 2, coversAtWanted: 0.5 })
    expect(trayFill(1000, deep, 20).verdict).toBe('thick')
    expect(trayFill(2000, deep, 20).verdict).toBe('over')
  })

  it('takes the tray that comes nearest, and never first one that runs over', () => {
    const house = [
      { ...deep, id: 'tin' },
      { id: 'plate', shape: 'round' as const, widthMm: 260, lengthMm: 260, depthMm: 10 },
      { id: 'small', shape: 'round' as const, widthMm: 160, lengthMm: 160, depthMm: 30 },
    ]
    expect(traysFor(640, house, 20).map(one => one.tray.id)[0]).toBe('tin')
    expect(traysFor(700, house, 13)[0]!.tray.id).not.toBe('plate')
    expect(traysFor(350, house, 18)[0]!.tray.id).toBe('small')
  })

  it('rolls balls by weight, diameter and count, and loses nothing', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 100, max: 5000, noNaN: true }),
        fc.double({ min: 0.8, max: 1.4, noNaN: true }),
        fc.double({ min: 8, max: 90, noNaN: true }),
        (massG, density, eachG) => {
          const balls = ballsOf(massG, density, { eachG })
          expect(balls.count * balls.evenG).toBeCloseTo(massG, 6)
          if (massG > eachG) expect(balls.count * balls.eachG + balls.leftG).toBeCloseTo(massG, 6)
          if (balls.diameterMm > 12 && balls.diameterMm < 120)
            expect(ballsOf(massG, density, { diameterMm: balls.diameterMm }).eachG).toBeCloseTo(eachG, 6)
        },
      ),
    )
    expect(ballsOf(600, 1.15, { count: 40 })).toMatchObject({ count: 40, eachG: 15, leftG: 0 })
  })

  it('fills bowls', () => {
    expect(bowlsOf(1000, 1, 180)).toEqual({ full: 5, lastMl: 100, eachG: 180 })
  })
})
