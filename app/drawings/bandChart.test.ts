import { describe, expect, it } from 'vitest'
import { bandChart } from './bandChart'

const ROOM = { width: 780, height: 250, left: 72, top: 34, bottom: 30 }
const moments = [0, 300, 600, 900].map((timeS, i) => ({
  timeS,
  window: { early: 20 + 20 * i, middle: 30 + 20 * i, late: 45 + 20 * i },
}))

describe('a window along the clock', () => {
  it('is an area around its middle, inside the room', () => {
    const { area, line } = bandChart(moments, ROOM)
    expect(line.match(/[ML]/g)).toHaveLength(4)
    expect(area.match(/[ML]/g)).toHaveLength(8)
    const numbers = [...area.matchAll(/(-?[\d.]+),(-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)] as const)
    for (const [x, y] of numbers) {
      expect(x).toBeGreaterThanOrEqual(ROOM.left)
      expect(x).toBeLessThanOrEqual(ROOM.width)
      expect(y).toBeGreaterThanOrEqual(ROOM.top - 1e-6)
      expect(y).toBeLessThanOrEqual(ROOM.height - ROOM.bottom + 1e-6)
    }
  })

  it('has whole minutes below and values beside it, rising upwards', () => {
    const { minutes, values, x, y } = bandChart(moments, ROOM)
    expect(minutes).toEqual([0, 2, 4, 6, 8, 10, 12, 14])
    expect([x(0), x(15)]).toEqual([ROOM.left, ROOM.width])
    expect(values.length).toBeGreaterThan(2)
    const places = values.map(value => y(value))
    expect(places).toEqual([...places].sort((p, q) => q - p))
  })

  it('leaves each minute room to be read, also where the drawing is narrow', () => {
    for (const lastS of [900, 1880, 6300]) {
      const { minutes, x } = bandChart([moments[0]!, { ...moments[1]!, timeS: lastS }], {
        ...ROOM,
        width: 358,
        left: 64,
      })
      expect(minutes.length).toBeGreaterThan(2)
      for (const [i, tick] of minutes.slice(1).entries()) expect(x(tick) - x(minutes[i]!)).toBeGreaterThan(45)
    }
  })

  it('begins its axis where it is told, and draws what never moves', () => {
    expect(bandChart(moments, ROOM, 0).values[0]).toBe(0)
    const still = bandChart(moments.map(one => ({ ...one, window: { early: 0, middle: 0, late: 0 } })), ROOM, 0)
    expect(still.line).not.toContain('NaN')
  })
})
