import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { WorkerAnswer, WorkerQuestion } from '../contracts/worker'
import { examplePlan } from '../test/support/plans'

interface Scope { onmessage: ((event: { data: WorkerQuestion }) => void) | null, postMessage: (message: WorkerAnswer) => void }

const scope = globalThis as unknown as Scope
let told: WorkerAnswer[]

beforeEach(async () => {
  vi.resetModules()
  told = []
  scope.postMessage = message => void told.push(message)
  await import('./forecast.worker')
})
const question = (ticket: number, stream: string): WorkerQuestion =>
  ({ type: 'forecast', ticket, stream, request: { plan: examplePlan(), observations: [], nowS: 0, members: 20 } })
const ask = (ticket: number, stream: string): void => scope.onmessage?.({ data: question(ticket, stream) })

describe('the forecast worker', () => {
  it('answers with the ticket of the question', async () => {
    ask(1, 'a')
    await vi.waitFor(() => expect(told).toHaveLength(1))
    expect(told[0]).toMatchObject({ type: 'forecast', ticket: 1 })
  })

  it('drops what waits when a newer question of the same stream comes, and keeps streams apart', async () => {
    ask(1, 'a')
    ask(2, 'a')
    ask(3, 'b')
    ask(4, 'a')
    await vi.waitFor(() => expect(told.map(one => one.ticket).sort()).toEqual([1, 3, 4]))
  })

  it('goes on after a question it had to refuse', async () => {
    scope.onmessage?.({ data: { ...question(1, 'a'), request: { plan: { ...examplePlan(), vessels: {} }, observations: [], nowS: 0, members: 20 } } })
    ask(2, 'b')
    await vi.waitFor(() => expect(told).toHaveLength(2))
    expect(told[0]).toMatchObject({ type: 'refused', ticket: 1, code: 'unknown-name' })
    expect(told[1]).toMatchObject({ type: 'forecast', ticket: 2 })
  })
})
