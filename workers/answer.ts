import type { WorkerAnswer, WorkerQuestion } from '../contracts/worker'
import { CoreError } from '../core/error'
import { withDoubts } from '../core/process/doubt/withDoubts'
import { searchFlames } from '../core/process/flame/planFlames'
import { roastAheadSteps } from '../core/process/flame/roastAhead'
import { reweighed, storeRunsSteps, type StoredRuns } from '../core/process/forecast/storedRuns'

/** Runs that are kept for the next mark, by stream. */
export type RunsByStream = Map<string, StoredRuns>

/**
 * Answers one question in steps: a tap first from stored runs, a flame plan by the best so far. Every failure becomes a
 * `refused` answer.
 *
 * @param question from the page
 * @param kept runs by stream, changed in place
 * @returns yields answers with the question's ticket, the last one final, and null where something more urgent may be
 *   done
 */
export function* answers(question: WorkerQuestion, kept: RunsByStream): Generator<WorkerAnswer | null, void> {
  const { ticket } = question
  try {
    yield* work(question, kept)
  }
  catch (error) {
    const refusal = error instanceof CoreError ? error : new CoreError('cannot-work', question.type)
    yield { type: 'refused', ticket, code: refusal.code, path: refusal.path }
  }
}

function* work(question: WorkerQuestion, kept: RunsByStream): Generator<WorkerAnswer | null, void> {
  const { ticket, stream } = question
  switch (question.type) {
    case 'forecast': {
      const { plan, observations, nowS, members } = question.request
      const before = kept.get(stream)
      const soon =
        before && samePlan(before, plan) && observations.length > before.cook.moments.length
          ? reweighed(before, observations, nowS)
          : null
      if (soon) yield { type: 'reweighed', ticket, reweighed: soon }
      const standing = yield* quietly(storeRunsSteps(plan, observations, nowS, members))
      const forecast = withDoubts(standing)
      kept.set(stream, { ...standing, forecast })
      yield { type: 'forecast', ticket, forecast }
      return
    }
    case 'flame-plan': {
      const search = searchFlames(question.request.plan, question.request.wish)
      for (let next = search.next(); ; next = search.next()) {
        if (next.done) {
          yield { type: 'flame-plan', ticket, flamePlan: next.value, done: 1 }
          return
        }
        yield { type: 'flame-plan', ticket, flamePlan: next.value.best, done: Math.min(0.99, next.value.done) }
      }
    }
    case 'roast-ahead': {
      const { plan, observations, nowS, members } = question.request
      yield {
        type: 'roast-ahead',
        ticket,
        ahead: yield* quietly(roastAheadSteps(plan, observations, nowS, question.wish, members)),
      }
      return
    }
    default:
  }
}

/** Steps that are told to nobody. */
function* quietly<T>(steps: Generator<void, T>): Generator<null, T> {
  for (let step = steps.next(); ; step = steps.next()) {
    if (step.done) return step.value
    yield null
  }
}

/** Plans of one cook differ in nothing but what was told of them. */
function samePlan(standing: StoredRuns, plan: StoredRuns['plan']): boolean {
  return standing.plan.id === plan.id && JSON.stringify(standing.plan) === JSON.stringify(plan)
}
