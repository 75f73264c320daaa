import { describe, expect, it } from 'vitest'
import { orderObservations } from './orderObservations'

describe('the order of what several devices marked', () => {
  const base = { kind: 'note', payload: {} }
  const of = (id: string, device: string, number: number, deviceTime: number, sentAt?: number, receivedAt?: number) =>
    ({ ...base, id, device, number, deviceTime, ...(sentAt === undefined ? {} : { sentAt }), ...(receivedAt === undefined ? {} : { receivedAt }) })
  const order = (list: Parameters<typeof orderObservations>[0]) => orderObservations(list).map(one => [one.observation.id, one.atMs])

  it('is by time, each device\'s clock set right by when the hearth heard of it', () => {
    // B's clock is a minute fast.
    expect(order([of('b', 'B', 1, 70_000, 80_000, 20_000), of('a', 'A', 1, 11_000, 30_000, 30_000)])).toEqual([['b', 10_000], ['a', 11_000]])
    expect(order([of('b', 'B', 1, 70_000, 80_000), of('a', 'A', 1, 11_000)])).toEqual([['a', 11_000], ['b', 70_000]])
  })

  it('is by the device\'s own number within it: its time never falls', () => {
    expect(order([of('2', 'A', 2, 5000), of('1', 'A', 1, 9000), of('3', 'A', 3, 9500)])).toEqual([['1', 9000], ['2', 9000], ['3', 9500]])
  })

  it('is by the name of the device, then its number, where times are the same; the same mark counts once', () => {
    expect(order([of('b', 'B', 1, 5000), of('a', 'A', 1, 5000), of('c', 'C', 1, 5000)]).map(one => one[0])).toEqual(['a', 'b', 'c'])
    expect(order([of('a2', 'A', 2, 5000), of('a1', 'A', 1, 5000)]).map(one => one[0])).toEqual(['a1', 'a2'])
    const once = orderObservations([of('a', 'A', 1, 5000), of('a', 'A', 1, 5000, 6000, 7000), of('a', 'A', 1, 5000, 6000, 9000)])
    expect(once.map(one => [one.observation.receivedAt, one.atMs])).toEqual([[7000, 6000]])
  })
})
