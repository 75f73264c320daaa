import type { WorkerQuestion } from '../../contracts/worker'
import type { StoredRuns } from '../../core/process/forecast/storedRuns'
import { answers } from '../../workers/answer'

/** A worker in the same thread, with few members: every answer comes a moment after its question. */
export class WorkerHere {
  onmessage: ((event: { data: unknown }) => void) | null = null
  private readonly kept = new Map<string, StoredRuns>()

  postMessage(question: WorkerQuestion): void {
    const few: WorkerQuestion =
      question.type === 'forecast' || question.type === 'roast-ahead'
        ? { ...question, request: { ...question.request, members: 30 } }
        : question
    setTimeout(() => {
      for (const answer of answers(few, this.kept))
        if (answer) this.onmessage?.({ data: JSON.parse(JSON.stringify(answer)) })
    })
  }

  terminate(): void { /* nothing runs on */ }
}
