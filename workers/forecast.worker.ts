import type { WorkerAnswer, WorkerQuestion } from '../contracts/worker'
import { answer } from './answer'

interface WorkerScope {
  onmessage: ((event: { data: WorkerQuestion }) => void) | null
  postMessage(message: WorkerAnswer): void
}

const scope = globalThis as unknown as WorkerScope
const waiting = new Map<string, WorkerQuestion>()
let busy = false

/** The newest question of each stream waits; older ones of the same stream are dropped unanswered. */
scope.onmessage = ({ data }) => {
  waiting.set(data.stream, data)
  if (!busy) void work()
}

async function work(): Promise<void> {
  busy = true
  for (let next = waiting.entries().next(); !next.done; next = waiting.entries().next()) {
    const [stream, question] = next.value
    waiting.delete(stream)
    scope.postMessage(answer(question))
    // Lets messages that came meanwhile replace what is waiting.
    await new Promise<void>(resolve => queueMicrotask(resolve))
  }
  busy = false
}
