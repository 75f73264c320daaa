import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cutTray } from '../../core/formulation/tray/cutTray'
import { archOf } from './arch'
import { archStrokes } from './archStrokes'
import { guideSheets, SHEET } from './cuttingGuide'
import { ALIGNED, laidOver } from './laidOver'
import { trayView } from './trayView'
import { trendLine } from './trendLine'

const SHAPE = { width: 100, height: 112, stone: 17, margin: 5 }
const stones = [
  { fromS: 0, toS: 300, colour: '#eeddcc' },
  { fromS: 300, toS: 600, colour: '#ddbb99' },
  { fromS: 600, toS: 1200, colour: '#aa7744' },
]
const batch = (times: number) => ({
  stones: stones.map(one => ({ ...one, fromS: one.fromS * times, toS: one.toS * times })),
  keystoneS: 600 * times,
  endS: 1200 * times,
})

describe('an arch in strokes', () => {
  it('runs along the middle of the ring, stone after stone without a gap', () => {
    const strokes = archStrokes(SHAPE, stones, { keystoneS: 600, endS: 1200 })
    const arch = archOf(SHAPE)
    expect(strokes.stones[0]!.points[0]).toEqual(arch.at(-1, 0))
    expect(strokes.stones.at(-1)!.points.at(-1)).toEqual(arch.at(1, 0))
    for (let i = 1; i < strokes.stones.length; i++) {
      const [end, start] = [strokes.stones[i - 1]!.points.at(-1)!, strokes.stones[i]!.points[0]!]
      expect(Math.hypot(end.x - start.x, end.y - start.y)).toBeLessThan(1e-9)
    }
    expect(strokes.joints).toHaveLength(2)
  })
})

describe('batches laid over one another', () => {
  it('coincide at the fire, at the turn or at the end, at one pace', () => {
    const two = [batch(1), batch(1.5)]
    const crown = archOf(SHAPE).at(0, 0)
    for (const aligned of ALIGNED) {
      const { rings } = laidOver(two, aligned, SHAPE, 8)
      const first = rings.map(ring => ring.stones[0]!.points[0]!)
      const last = rings.map(ring => ring.stones.at(-1)!.points.at(-1)!)
      const turns = rings.map(ring => ring.turn[1].x)
      if (aligned === 'fire') for (const point of first) expect(point.y).toBeCloseTo(SHAPE.height, 6)
      if (aligned === 'end') for (const point of last) expect(point.y).toBeCloseTo(SHAPE.height, 6)
      if (aligned === 'turn') for (const x of turns) expect(x).toBeCloseTo(crown.x, 6)
      expect(rings[1]!.inset).toBe(8)
    }
  })
})

describe('a tray from above', () => {
  it('lies with its long side across, and holds every piece and mark', () => {
    const tray = { shape: 'rectangle' as const, widthMm: 180, lengthMm: 240 }
    const cut = cutTray(tray, { firstMm: 40, secondMm: 30, turnDeg: 20, slantDeg: 70 })
    const view = trayView(tray, cut)
    expect(view.turn).toBe('rotate(90)')
    expect(view.widthMm).toBeGreaterThan(view.heightMm)
    expect(view.pieces).toHaveLength(cut.pieces.length)
    expect(view.marks).toHaveLength(cut.marks.length)
    expect(trayView({ shape: 'round', widthMm: 200, lengthMm: 200 }, null)).toMatchObject({
      round: true,
      turn: '',
      pieces: [],
    })
  })

  it('is printed on sheets that cover all of it and lap over', () => {
    fc.assert(fc.property(fc.integer({ min: 60, max: 900 }), fc.integer({ min: 60, max: 900 }), (widthMm, lengthMm) => {
      const sheets = guideSheets({ shape: 'rectangle', widthMm, lengthMm })
      expect(Math.min(...sheets.map(one => one.x))).toBeLessThanOrEqual(-widthMm / 2)
      expect(Math.max(...sheets.map(one => one.x + one.width))).toBeGreaterThanOrEqual(widthMm / 2)
      expect(Math.max(...sheets.map(one => one.y + one.height))).toBeGreaterThanOrEqual(lengthMm / 2)
      const row = sheets.filter(one => one.row === 1)
      for (let i = 1; i < row.length; i++) expect(row[i - 1]!.x + SHEET.width - row[i]!.x).toBeCloseTo(SHEET.overlap, 9)
    }))
    expect(guideSheets({ shape: 'rectangle', widthMm: 180, lengthMm: 240 })).toHaveLength(1)
  })
})

describe('a trend', () => {
  it('draws every batch between its walls, a figure that does not move in the middle', () => {
    const points = [610, 640, 580, 700].map((value, i) => ({ id: `b${i}`, at: i, value, faulty: i === 2 }))
    const { dots, ticks } = trendLine(points, 380, 74)
    expect(dots.map(dot => dot.faulty)).toEqual([false, false, true, false])
    for (const dot of dots) expect(dot.x >= 0 && dot.x <= 380 && dot.y >= 0 && dot.y <= 74).toBe(true)
    expect(dots[3]!.y).toBeLessThan(dots[2]!.y)
    expect(ticks.length).toBeGreaterThan(0)
    expect(trendLine([{ id: 'a', at: 0, value: 0, faulty: false }], 380, 74).dots[0]!.y).toBeCloseTo(37, 6)
    expect(trendLine([], 380, 74)).toMatchObject({ dots: [], ticks: [], line: '' })
  })
})
