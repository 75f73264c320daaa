import type { WorkerAnswer, WorkerQuestion } from '../contracts/worker'
import { CoreError } from '../core/error'
import { forecastCook } from '../core/forecast/forecastCook'

/**
 * Answers one question; every failure becomes a `refused` answer.
 *
 * @param question from the page
 * @returns the answer with the question's ticket
 */
export function answer(question: WorkerQuestion): WorkerAnswer {
  const { ticket, request } = question
  try {
    return { type: 'forecast', ticket, forecast: forecastCook(request.plan, request.observations, request.nowS, request.members) }
  }
  catch (error) {
    const refusal = error instanceof CoreError ? error : new CoreError('cannot-work', 'forecastCook')
    return { type: 'refused', ticket, code: refusal.code, path: refusal.path }
  }
}
