import { WorkerAnswerSchema, type WorkerQuestion } from '../../contracts/worker'
import type { Forecast } from '../../core/forecast/forecast'
import type { Observation } from '../../core/live/observation'
import type { CookPlan } from '../../core/live/plan'

let worker: Worker | null = null
let ticket = 0
const pending = new Map<number, { stream: string, resolve: (forecast: Forecast | null) => void, reject: (error: Error) => void }>()

function theWorker(): Worker {
  if (worker) return worker
  worker = new Worker(new URL('../../workers/forecast.worker.ts', import.meta.url), { type: 'module' })
  worker.onmessage = (event: MessageEvent<unknown>) => {
    const answer = WorkerAnswerSchema.parse(event.data)
    const waits = pending.get(answer.ticket)
    pending.delete(answer.ticket)
    if (answer.type === 'forecast') waits?.resolve(answer.forecast)
    else waits?.reject(new Error(`${answer.code} at ${answer.path}`))
  }
  worker.onerror = () => {
    for (const waits of pending.values()) waits.reject(new Error('The forecast worker stopped.'))
    pending.clear()
    worker?.terminate()
    worker = null
  }
  return worker
}

/**
 * Asks the worker for a forecast. A newer question of the same stream makes this one stale.
 *
 * @param stream whose forecast it is
 * @param plan the plan
 * @param observations everything marked
 * @param nowS how far the cook is, s
 * @param members size of the ensemble
 * @returns the forecast, or null where a newer question has overtaken this one
 */
export function askForecast(
  stream: string,
  plan: CookPlan,
  observations: readonly Observation[],
  nowS: number,
  members: number,
): Promise<Forecast | null> {
  for (const [old, waits] of pending) {
    if (waits.stream !== stream) continue
    waits.resolve(null)
    pending.delete(old)
  }
  const mine = ++ticket
  const question: WorkerQuestion = JSON.parse(JSON.stringify({
    type: 'forecast', ticket: mine, stream, request: { plan: { ...plan, forecast: null }, observations, nowS, members },
  })) as WorkerQuestion
  return new Promise((resolve, reject) => {
    pending.set(mine, { stream, resolve, reject })
    theWorker().postMessage(question)
  })
}
