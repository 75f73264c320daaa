// @vitest-environment happy-dom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { drawInTurn } from './drawInTurn'

let frames: (() => void)[] = []
let nowMs = 0
beforeEach(() => {
  frames = []
  nowMs = 0
  vi.stubGlobal('requestAnimationFrame', (frame: () => void) => frames.push(frame))
  vi.spyOn(performance, 'now').mockImplementation(() => nowMs)
})
afterEach(() => {
  vi.unstubAllGlobals()
  vi.restoreAllMocks()
})
const frame = (): void => frames.splice(0).forEach(one => one())

describe('drawings that take turns', () => {
  it('share a frame until it is full, and go on in the next', () => {
    const drawn: number[] = []
    for (let i = 0; i < 7; i++) drawInTurn(() => void (drawn.push(i), nowMs += 0.6))
    expect(frames).toHaveLength(1)
    frame()
    expect(drawn).toEqual([0, 1, 2])
    frame()
    frame()
    expect(drawn).toEqual([0, 1, 2, 3, 4, 5, 6])
    expect(frames).toHaveLength(0)
  })

  it('are drawn once however often they are asked for, and not at all once they are taken back', () => {
    const [one, other] = [vi.fn(), vi.fn()]
    drawInTurn(one)
    drawInTurn(one)
    drawInTurn(other)()
    frame()
    expect(one).toHaveBeenCalledTimes(1)
    expect(other).not.toHaveBeenCalled()
  })
})
