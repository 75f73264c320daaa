import { beforeEach, describe, expect, it, vi } from 'vitest'
import { WorkerAnswerSchema, type WorkerAnswer, type WorkerQuestion } from '../contracts/worker'
import type { Observation } from '../core/record/marks/observation'
import { forecastCook } from '../core/process/forecast/forecastCook'
import { examplePlan, marked, starterPlan } from '../test/support/plans'
import { eventually } from '../test/support/eventually'

interface Scope {
  onmessage: ((event: { data: WorkerQuestion }) => void) | null
  postMessage: (message: WorkerAnswer) => void
}

const scope = globalThis as unknown as Scope
let told: WorkerAnswer[]
/** The page that listens gets a look at every answer. */
let hears: (message: WorkerAnswer) => void

beforeEach(async () => {
  vi.resetModules()
  told = []
  hears = () => undefined
  scope.postMessage = (message) => {
    told.push(WorkerAnswerSchema.parse(JSON.parse(JSON.stringify(message))))
    hears(message)
  }
  await import('./forecast.worker')
})
const say = (data: WorkerQuestion): void => scope.onmessage?.({ data })
const ask = (ticket: number, stream: string, observations: Observation[] = [], nowS = 0): void =>
  say({ type: 'forecast', ticket, stream, request: { plan: examplePlan(), observations, nowS, members: 60 } })
const plan = (ticket: number, stream: string): void =>
  say({
    type: 'flame-plan',
    ticket,
    stream,
    request: { plan: starterPlan('brick-kiln-wheat'), wish: { step: 'golden', patienceS: 1200, risk: 0.05 } },
  })
const final = (): number[] =>
  told
    .filter(one => one.type === 'refused' || one.type === 'forecast' || (one.type === 'flame-plan' && one.done === 1))
    .map(one => one.ticket)

describe('the forecast worker', () => {
  it('answers with the ticket of the question, with the numbers of the core', async () => {
    ask(1, 'a')
    await eventually(() => expect(told).toHaveLength(1))
    expect(told[0]).toMatchObject({ type: 'forecast', ticket: 1 })
    expect(told[0]).toHaveProperty('forecast', {
      ...(JSON.parse(JSON.stringify(forecastCook(examplePlan(), [], 0, 60))) as object),
      doubts: { asks: null, surprise: null },
    })
  })

  it('leaves off and drops what waits when a newer question of the same stream comes, and keeps streams apart', async () => {
    ask(1, 'a')
    ask(2, 'a')
    ask(3, 'b')
    ask(4, 'a')
    await eventually(() => expect(final().sort()).toEqual([3, 4]))
  })

  it('answers a tap at once from stored runs, and then from new ones', async () => {
    const before = [marked(0, 0, 'cook.started'), marked(1, 60, 'stage.began', { stage: 'roast' })]
    ask(1, 'a', before, 200)
    await eventually(() => expect(told).toHaveLength(1))
    ask(2, 'a', [...before, marked(2, 260, 'sign.seen', { sign: 'aroma' })], 260)
    await eventually(() => expect(told).toHaveLength(3))
    const [, soon, fine] = told
    expect(soon).toMatchObject({ type: 'reweighed', ticket: 2, reweighed: { restsOn: { taps: 1 } } })
    expect(fine).toMatchObject({ type: 'forecast', ticket: 2 })
    const pours = [soon?.type === 'reweighed' ? soon.reweighed : null, fine?.type === 'forecast' ? fine.forecast : null].map(
      one => one?.stages[2]!.middle ?? 0,
    )
    expect(Math.abs(Math.log(pours[0]! / pours[1]!))).toBeLessThan(0.3)
  })

  it('tells the best flame plan so far, lets a tap pass it, and gives it up when asked to', async () => {
    hears = (message) => {
      if (message.type === 'flame-plan' && told.filter(one => one.type === 'flame-plan').length === 1) ask(2, 'cook')
      if (message.type === 'flame-plan' && told.filter(one => one.type === 'flame-plan').length === 3)
        say({ type: 'give-up', ticket: 3, stream: 'flames' })
    }
    plan(1, 'flames')
    const searched = (): number => told.filter(one => one.type === 'flame-plan').length
    await eventually(() => expect([final(), searched()]).toEqual([[2], 3]))
    await new Promise(resolve => setTimeout(resolve, 300))
    expect([final(), searched()]).toEqual([[2], 3])
  })

  it('ends a flame plan with the whole of it, and looks ahead of a roast', async () => {
    plan(1, 'flames')
    await eventually(() => expect(final()).toEqual([1]))
    say({
      type: 'roast-ahead',
      ticket: 2,
      stream: 'cook',
      request: { plan: examplePlan(), observations: [marked(0, 0, 'cook.started')], nowS: 10, members: 40 },
      wish: { step: 'golden', patienceS: 1200, risk: 0.05 },
    })
    await eventually(() => expect(told.at(-1)).toMatchObject({ type: 'roast-ahead', ticket: 2 }))
  })

  it('goes on after a question it had to refuse', async () => {
    say({
      type: 'forecast',
      ticket: 1,
      stream: 'a',
      request: { plan: { ...examplePlan(), vessels: {} }, observations: [], nowS: 0, members: 20 },
    })
    ask(2, 'b')
    await eventually(() => expect(told).toHaveLength(2))
    expect(told[0]).toMatchObject({ type: 'refused', ticket: 1, code: 'unknown-name' })
    expect(told[1]).toMatchObject({ type: 'forecast', ticket: 2 })
  })
})
