import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { ForecastSchema } from '../contracts/forecast'
import { ForecastRequestSchema } from '../contracts/cook'
import { FlameQuestionSchema } from '../contracts/heart'
import type { WorkerAnswer } from '../contracts/worker'
import { forecastCook } from '../core/process/forecast/forecastCook'
import { answers } from '../workers/answer'
import { boilcheck, flameplan, forecast, learn, syrup } from './forecasting'

const example = (name: string): unknown => JSON.parse(readFileSync(`docs/examples/${name}.json`, 'utf8'))
/** What the page's worker says last of a question. */
function workerSays(question: Parameters<typeof answers>[0]): WorkerAnswer {
  return [...answers(question, new Map())].filter(one => one !== null).at(-1)!
}

describe('page, worker and command line', () => {
  it('forecast the same numbers for the same seed', () => {
    const request = ForecastRequestSchema.parse(example('forecast'))
    const told = forecast(example('forecast'))
    const worker = workerSays({ type: 'forecast', ticket: 1, stream: 'any', request })
    expect(worker).toEqual({ type: 'forecast', ticket: 1, forecast: told })
    const { doubts, ...page } = ForecastSchema.parse(told)
    expect(doubts).toBeDefined()
    expect(page).toEqual(forecastCook(request.plan, request.observations, request.nowS, request.members))
  })

  it('plan the same flames for the same seed', () => {
    const told = flameplan(example('flameplan'))
    expect(
      workerSays({
        type: 'flame-plan',
        ticket: 2,
        stream: 'any',
        request: FlameQuestionSchema.parse(example('flameplan')),
      }),
    ).toEqual({ type: 'flame-plan', ticket: 2, flamePlan: told, done: 1 })
  })
})

describe('the command line', () => {
  it('reads a boil check, a finished cook and a syrup', () => {
    expect(boilcheck(example('boilcheck'))).toMatchObject({ powerW: { middle: expect.any(Number) as number } })
    expect(learn(example('learn'))).toMatchObject({
      evidence: expect.arrayContaining([expect.objectContaining({ of: 'mainFire' })]) as unknown[],
    })
    expect(syrup(example('syrup'))).toMatchObject({ setsTo: expect.any(String) as string })
  })

  it('refuses what a syrup was never held against, with what is allowed', () => {
    expect(() => syrup({ invertShare: 0, altitudeM: 0, strength: { by: 'share', share: 0.97 } })).toThrow()
    expect(() => forecast({})).toThrow()
  })
})
