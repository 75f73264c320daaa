import { workerScope } from './scope'
import type { WorkerAnswer, WorkerQuestion } from '../contracts/worker'
import { answers, type RunsByStream } from './answer'
import { breath } from './breath'

const scope = workerScope<WorkerQuestion, WorkerAnswer>()
const waiting = new Map<string, WorkerQuestion>()
const kept: RunsByStream = new Map()
/** What is more urgent passes what is less. */
const URGENCY: Readonly<Record<WorkerQuestion['type'], number>> = {
  'give-up': 3,
  'forecast': 3,
  'roast-ahead': 2,
  'flame-plan': 1,
}
/** Cooks whose runs are kept; older ones are let go. */
const MOST_KEPT = 4
let busy = false

/** The newest question of each stream waits; older ones of the same stream are dropped unanswered. */
scope.onmessage = ({ data }) => {
  waiting.delete(data.stream)
  waiting.set(data.stream, data)
  if (!busy) void work()
}

async function work(): Promise<void> {
  busy = true
  for (let next = waiting.values().next(); !next.done; next = waiting.values().next()) {
    await answer(next.value)
    for (const stream of kept.keys()) if (kept.size > MOST_KEPT) kept.delete(stream)
  }
  busy = false
}

/**
 * Gives all answers to one question, unless a newer one of its stream comes meanwhile. A tap waits neither for a look
 * ahead nor for a search.
 */
async function answer(question: WorkerQuestion): Promise<void> {
  waiting.delete(question.stream)
  for (const one of answers(question, kept)) {
    if (one) scope.postMessage(one)
    await breath()
    if (waiting.has(question.stream)) return
    for (const other of [...waiting.values()]) if (URGENCY[other.type] > URGENCY[question.type]) await answer(other)
  }
}
