import { PlannerAnswerSchema, type PlannerAnswer, type PlannerQuestion } from '../../contracts/planner'
import type { Day } from '../../core/day/problem/day'

let worker: Worker | null = null
let ticket = 0
let hearing: { readonly ticket: number, readonly tell: (answer: PlannerAnswer) => void, readonly failed: () => void } | null = null

function theWorker(): Worker {
  if (worker) return worker
  worker = new Worker(new URL('../../workers/planner.worker.ts', import.meta.url), { type: 'module' })
  worker.onmessage = (event: MessageEvent<unknown>) => {
    const answer = PlannerAnswerSchema.parse(event.data) as PlannerAnswer
    if (hearing?.ticket === answer.ticket) hearing.tell(answer)
  }
  worker.onerror = () => {
    worker?.terminate()
    worker = null
    hearing?.failed()
    hearing = null
  }
  return worker
}

type Without<T> = T extends unknown ? Omit<T, 'ticket'> : never

/**
 * Asks the planner; a newer question ends the one before it.
 *
 * @param question a day to be planned, or to be helped
 * @param tell hears every answer, those on the way among them
 * @param failed hears that the planner stopped; it starts anew with the next question
 * @returns ends the question
 */
export function askPlanner(question: Without<Exclude<PlannerQuestion, { type: 'stop' }>> & { readonly day: Day }, tell: (answer: PlannerAnswer) => void, failed: () => void = () => undefined): () => void {
  const mine = ++ticket
  hearing = { ticket: mine, tell, failed }
  theWorker().postMessage(JSON.parse(JSON.stringify({ ...question, ticket: mine })))
  return () => {
    if (hearing?.ticket !== mine) return
    hearing = null
    theWorker().postMessage({ type: 'stop', ticket: ++ticket })
  }
}
