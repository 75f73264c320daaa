import { describe, expect, it } from 'vitest'
import { ballsOf } from './ballsOf'
import { bowlsOf } from './bowlsOf'
import type { Cut } from './cut'
import { cutForCount } from './cutForCount'
import { cutForFewer } from './cutForFewer'
import { cutTray } from './cutTray'
import { evenCut } from './evenCut'
import { lattice } from './lattice'
import { outlineOf } from './outline'
import { placeCut } from './placeCut'
import { trayFill } from './trayFill'

/** 200 mm wide, 300 mm long, cut in squares of 100 mm. */
const TRAY = { shape: 'rectangle', widthMm: 200, lengthMm: 300 } as const
const SQUARE: Cut = { firstMm: 100, secondMm: 100, turnDeg: 0, slantDeg: 90 }
const round = (value: number): number => Math.round(value * 1e6) / 1e6 + 0

describe('a tray cut from its middle', () => {
  const middle = cutTray(TRAY, SQUARE, { first: 0, second: 0 })

  it('gives four whole squares and four halves, which make up all of it', () => {
    expect([middle.whole, middle.edge, middle.trimmings]).toEqual([4, 4, 0])
    expect(middle.pieces.map(one => [one.kind, round(one.share)]).sort()).toEqual([
      ...Array.from({ length: 4 }, () => ['edge', 0.5]), ...Array.from({ length: 4 }, () => ['whole', 1]),
    ])
    expect([middle.wholeShare, middle.edgeShare, middle.trimmingShare].map(round)).toEqual([round(1 / 6), round(1 / 3), 0])
  })

  it('has marks from wall to wall, none along a wall', () => {
    const marks = middle.marks.map(({ set, from, to }) => [set, ...[from.x, from.y, to.x, to.y].map(round)])
    const ends = marks.map(([set, ...at]) => [set, ...(Number(at[0]) + Number(at[1]) < Number(at[2]) + Number(at[3]) ? at : [at[2], at[3], at[0], at[1]])])
    expect(ends.sort()).toEqual([
      ['first', -100, -100, 100, -100], ['first', -100, 0, 100, 0], ['first', -100, 100, 100, 100], ['second', 0, -150, 0, 150],
    ].sort())
  })

  it('is better begun at the wall: six whole ones', () => {
    expect(placeCut(TRAY, SQUARE)).toEqual({ first: 0.5, second: 0 })
    expect(cutTray(TRAY, SQUARE).whole).toBe(6)
    // 45 mm goes four times into 200 and six times into 300, from any wall.
    expect(cutTray(TRAY, { ...SQUARE, firstMm: 45, secondMm: 45 }).whole).toBe(24)
  })

  it('calls a piece whole that lacks a hundredth, an edge from a third on, and a trimming below', () => {
    const kinds = (lengthMm: number) => {
      const { whole, edge, trimmings } = cutTray({ ...TRAY, lengthMm }, SQUARE, { first: 0, second: 0 })
      return [whole, edge, trimmings]
    }
    expect(kinds(198)).toEqual([4, 0, 0])
    expect(kinds(197.8)).toEqual([0, 4, 0])
    expect(kinds(270.2)).toEqual([4, 4, 0])
    expect(kinds(269)).toEqual([4, 0, 4])
  })
})

describe('a lattice of marks', () => {
  it('goes there and back, with cells of the area that its angle makes', () => {
    const grid = lattice({ firstMm: 30, secondMm: 50, turnDeg: 20, slantDeg: 60 }, { first: 0.25, second: 0.75 })
    expect(grid.areaMm2).toBeCloseTo(1500 / Math.sin(Math.PI / 3), 9)
    for (const cell of [{ x: 0, y: 0 }, { x: 3, y: -2 }]) {
      const there = grid.to(grid.from(cell))
      expect([there.x, there.y]).toEqual([expect.closeTo(cell.x, 9), expect.closeTo(cell.y, 9)])
    }
    // A mark of the first set runs along the turn, one of the second along turn and slant.
    const [p, q, r] = [grid.from({ x: 1, y: 0 }), grid.from({ x: 1, y: 1 }), grid.from({ x: 0, y: 1 })]
    expect(Math.abs((Math.atan2(q.y - p.y, q.x - p.x) * 180 / Math.PI + 180) % 180)).toBeCloseTo(20, 6)
    expect(Math.abs((Math.atan2(q.y - r.y, q.x - r.x) * 180 / Math.PI + 180) % 180)).toBeCloseTo(80, 6)
    // The mark that is numbered 1 lies 1.25 distances from the middle.
    expect(Math.abs(-p.x * Math.sin(20 * Math.PI / 180) + p.y * Math.cos(20 * Math.PI / 180))).toBeCloseTo(1.25 * 30, 6)
  })
})

describe('the wall of a tray', () => {
  it('holds what lies on it, and a line from wall to wall', () => {
    const box = outlineOf(TRAY)
    expect([box.areaMm2, box.reachMm]).toEqual([60_000, Math.hypot(200, 300) / 2])
    expect([{ x: 100, y: 150 }, { x: 100.1, y: 0 }, { x: 0, y: -150.1 }].map(one => box.holds(one))).toEqual([true, false, false])
    expect(box.chord({ x: 20, y: 40 }, { x: 0, y: 1 })!.map(one => [one.x, one.y])).toEqual([[20, -150], [20, 150]])
    expect(box.chord({ x: 20, y: 40 }, { x: -1, y: 0 })!.map(one => [one.x, one.y])).toEqual([[100, 40], [-100, 40]])
    expect(box.chord({ x: 101, y: 0 }, { x: 0, y: 1 })).toBeNull()
    expect(box.chord({ x: 100, y: 0 }, { x: 0, y: 1 })).toBeNull()
    const slant = box.chord({ x: 0, y: 0 }, { x: Math.SQRT1_2, y: Math.SQRT1_2 })!
    expect(slant.flatMap(one => [one.x, one.y]).map(round)).toEqual([-100, -100, 100, 100])
    expect(box.chord({ x: 300, y: 0 }, { x: Math.SQRT1_2, y: Math.SQRT1_2 })).toBeNull()
    const disc = outlineOf({ shape: 'round', widthMm: 200, lengthMm: 200 })
    expect([round(disc.areaMm2), disc.reachMm]).toEqual([round(Math.PI * 1e4), 100])
    expect(disc.chord({ x: 60, y: 10 }, { x: 0, y: 1 })!.map(one => [one.x, one.y].map(round))).toEqual([[60, -80], [60, 80]])
    expect([disc.holds({ x: 60, y: 80 }), disc.holds({ x: 60, y: 80.1 })]).toEqual([true, false])
    expect(disc.chord({ x: 100, y: 0 }, { x: 0, y: 1 })).toBeNull()
  })
})

describe('marks that come out even', () => {
  it('divide the side they run along by the nearest whole number', () => {
    const even = (cut: Partial<Cut>) => {
      const { firstMm, secondMm } = evenCut({ shape: 'rectangle', widthMm: 250, lengthMm: 180 }, { ...SQUARE, firstMm: 40, secondMm: 40, ...cut })
      return [round(firstMm), round(secondMm)]
    }
    // Marks along the width divide the length, four into 180 being 45 and five 36.
    expect(even({ firstMm: 41 })).toEqual([45, round(250 / 6)])
    expect(even({})).toEqual([36, round(250 / 6)])
    expect(even({ turnDeg: 90 })).toEqual([round(250 / 6), 36])
    expect(even({ turnDeg: -90 })).toEqual([round(250 / 6), 36])
    expect(even({ turnDeg: 45 })).toEqual([40, 40])
    expect(even({ slantDeg: 60 })).toEqual([36, 40])
    expect(even({ firstMm: 8, secondMm: 300 })).toEqual([round(180 / 22), 250])
    expect(evenCut({ shape: 'round', widthMm: 250, lengthMm: 250 }, SQUARE)).toBe(SQUARE)
  })

  it('give so many whole pieces at their largest, and fewer one step on', () => {
    const six = cutForCount(TRAY, SQUARE, 6)!
    expect([six.firstMm, six.secondMm]).toEqual([100, 100])
    expect(cutTray(TRAY, six).whole).toBe(6)
    expect(cutTray(TRAY, cutForCount(TRAY, SQUARE, 7)!).whole).toBeGreaterThanOrEqual(7)
    const fewer = cutForFewer(TRAY, SQUARE, 6)!
    expect(cutTray(TRAY, fewer).whole).toBeLessThan(6)
    expect(cutForFewer({ shape: 'rectangle', widthMm: 40, lengthMm: 40 }, { ...SQUARE, firstMm: 40, secondMm: 40 }, 1)).toBeNull()
    expect(cutForCount({ shape: 'rectangle', widthMm: 20, lengthMm: 20 }, { ...SQUARE, firstMm: 10, secondMm: 10 }, 5)).toBeNull()
    expect(cutTray({ shape: 'rectangle', widthMm: 20, lengthMm: 20 }, cutForCount({ shape: 'rectangle', widthMm: 20, lengthMm: 20 }, { ...SQUARE, firstMm: 10, secondMm: 10 }, 4)!).whole).toBe(4)
  })
})

describe('balls, bowls and depths', () => {
  it('balls by weight, by diameter or by count: what is left over, and shared out', () => {
    const sphere = (eachG: number, density: number) => 10 * Math.cbrt(6 * eachG / (Math.PI * density))
    expect(ballsOf(620, 1.2, { eachG: 30 })).toEqual({ count: 20, eachG: 30, diameterMm: sphere(30, 1.2), leftG: 20, evenG: 31 })
    expect(ballsOf(600, 1.2, { count: 24 })).toEqual({ count: 24, eachG: 25, diameterMm: sphere(25, 1.2), leftG: 0, evenG: 25 })
    const wide = ballsOf(600, 1.2, { diameterMm: 40 })
    expect(wide.eachG).toBeCloseTo(1.2 * 4 / 3 * Math.PI * 8, 9)
    expect([wide.count, round(wide.diameterMm)]).toEqual([14, 40])
    expect(ballsOf(20, 1.2, { eachG: 30 })).toMatchObject({ count: 1, leftG: 0, evenG: 20 })
    expect(ballsOf(600, 1.2, { eachG: 100 }).count).toBe(6)
  })

  it('bowls by volume, the last one not full', () => {
    expect(bowlsOf(1000, 1.25, 150)).toEqual({ full: 5, lastMl: 50, eachG: 187.5 })
    expect(bowlsOf(1125, 1.25, 150)).toEqual({ full: 6, lastMl: 0, eachG: 187.5 })
  })

  it('a mass is right within an eighth of the depth that is wanted, and never over the brim', () => {
    const deep = { ...TRAY, depthMm: 30 }
    const fill = (depthMm: number, wantedMm = 20) => trayFill(depthMm * 60, deep, wantedMm)
    expect(fill(20)).toEqual({ depthMm: 20, verdict: 'right', timesForWanted: 1, coversAtWanted: 1 })
    expect([17.5, 17.6, 22.4, 22.5, 30, 30.1].map(depthMm => fill(depthMm).verdict)).toEqual(['thin', 'right', 'right', 'thick', 'thick', 'over'])
    expect(fill(16)).toMatchObject({ timesForWanted: 1.25, coversAtWanted: 0.8 })
    expect(fill(25)).toMatchObject({ timesForWanted: 0.8, coversAtWanted: 1 })
  })
})
