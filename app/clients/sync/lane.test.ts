import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Round } from './lane'

beforeEach(() => {
  vi.resetModules()
  vi.useFakeTimers()
})
afterEach(() => vi.useRealTimers())

/** A lane whose rounds end as said, the last of them again and again; and how often it worked. */
async function laneThat(...rounds: (Round | 'fails')[]) {
  const { laneOf, isReachable, tryNow } = await import('./lane')
  const { Unreachable } = await import('../api')
  let worked = 0
  const lane = laneOf(() => {
    const came = rounds[Math.min(worked++, rounds.length - 1)] ?? 'done'
    return came === 'fails' ? Promise.reject(new Unreachable()) : Promise.resolve(came)
  })
  return { lane, isReachable, tryNow, worked: () => worked }
}

describe('an errand at the hearth', () => {
  it('is done at once where there is more of it, and then rests', async () => {
    const { lane, worked } = await laneThat('more', 'more', 'done')
    await lane.now()
    expect([worked(), lane.state.value]).toEqual([3, 'idle'])
    await vi.advanceTimersByTimeAsync(120_000)
    expect(worked()).toBe(3)
  })

  it('is tried again after longer and longer, a minute at most', async () => {
    const { lane, worked, isReachable } = await laneThat('fails')
    await lane.now()
    expect([worked(), lane.state.value, isReachable.value]).toEqual([1, 'away', false])
    const seconds: number[] = []
    for (let s = 1, before = 1; s <= 190; s++) {
      await vi.advanceTimersByTimeAsync(1000)
      if (worked() > before) seconds.push(s)
      before = worked()
    }
    // 2, 4, 8, 16, 32 and then 60 s apart.
    expect(seconds).toEqual([2, 6, 14, 30, 62, 122, 182])
  })

  it('that moves nothing is no reason to ask again at once', async () => {
    const { lane, worked } = await laneThat('stuck')
    await lane.now()
    await vi.advanceTimersByTimeAsync(1900)
    expect(worked()).toBe(1)
    await vi.advanceTimersByTimeAsync(200)
    expect(worked()).toBe(2)
  })

  it('is tried at once when the connection is back', async () => {
    const { lane, worked, tryNow, isReachable } = await laneThat('fails', 'fails', 'done')
    await lane.now()
    await vi.advanceTimersByTimeAsync(2000)
    expect(worked()).toBe(2)
    tryNow()
    await vi.advanceTimersByTimeAsync(0)
    expect([worked(), lane.state.value, isReachable.value]).toEqual([3, 'idle', true])
    tryNow()
    await vi.advanceTimersByTimeAsync(0)
    expect(worked()).toBe(3)
  })

  it('waits for a pause where it is asked to, and by no means works oftener while the hearth is away', async () => {
    const { lane, worked } = await laneThat('done', 'fails')
    for (let i = 0; i < 10; i++) {
      lane.afterPause(400)
      await vi.advanceTimersByTimeAsync(300)
    }
    expect(worked()).toBe(0)
    await vi.advanceTimersByTimeAsync(100)
    expect(worked()).toBe(1)
    await lane.now()
    for (let i = 0; i < 155; i++) {
      lane.afterPause(400)
      await vi.advanceTimersByTimeAsync(400)
    }
    // 2, 6, 14 and 30 s after it was first away.
    expect(worked()).toBe(2 + 4 + 1)
  })

  it('goes on for what was asked for meanwhile', async () => {
    const { laneOf } = await import('./lane')
    let worked = 0
    let end: (round: Round) => void = () => undefined
    const lane = laneOf(() => new Promise((resolve) => {
      worked++
      end = resolve
    }))
    const first = lane.now()
    lane.soon(5000)
    end('done')
    await vi.advanceTimersByTimeAsync(0)
    expect(worked).toBe(2)
    end('done')
    await first
    expect(lane.state.value).toBe('idle')
  })
})
