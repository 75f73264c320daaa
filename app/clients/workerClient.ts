import { readonly, ref, type Ref } from 'vue'

/**
 * How a question to a worker ended: answered, overtaken by a newer one of its stream or given up, or with the worker.
 */
export type AnswerEnd = 'answered' | 'overtaken' | 'stopped'

/** What both sides carry: the number of the question. */
interface Ticketed { readonly ticket: number }

/** A worker as a page asks it. */
export interface WorkerClient<Q, A> {
  /** True after the worker stopped, until one answers again. */
  readonly failed: Readonly<Ref<boolean>>
  /**
   * Asks; a newer question of the same stream makes this one stale. Answers of stale questions are not heard.
   *
   * @param stream whose question it is
   * @param question without its number
   * @param hear called with each answer; true where it is the last one
   * @param over called once, when no more answers come
   */
  ask(stream: string, question: Q, hear: (answer: A) => boolean, over: (how: AnswerEnd) => void): void
  /** Gives up what is asked in a stream; true where something was. */
  giveUp(stream: string): boolean
  /** Sends what wants no answer, to a worker that was asked before. */
  tell(message: Q): void
}

/**
 * The client of one worker: it is started with the first question and again after it stopped, which can be seen.
 *
 * @param start makes the worker
 * @param read what a message says; null where it is no answer, after which the worker is not trusted any more
 * @returns the client
 */
export function workerClient<Q extends object, A extends Ticketed>(
  start: () => Worker,
  read: (message: unknown) => A | null,
): WorkerClient<Q, A> {
  const failed = ref(false)
  const pending = new Map<
    number,
    { readonly stream: string, readonly hear: (answer: A) => boolean, readonly over: (how: AnswerEnd) => void }
  >()
  let worker: Worker | null = null
  let ticket = 0

  function end(mine: number, how: AnswerEnd): void {
    const waits = pending.get(mine)
    pending.delete(mine)
    waits?.over(how)
  }

  function stopped(): void {
    failed.value = true
    worker?.terminate()
    worker = null
    for (const mine of [...pending.keys()]) end(mine, 'stopped')
  }

  function running(): Worker {
    if (worker) return worker
    worker = start()
    worker.onmessage = ({ data }: MessageEvent<unknown>) => {
      const answer = read(data)
      if (!answer) return stopped()
      failed.value = false
      if (pending.get(answer.ticket)?.hear(answer)) end(answer.ticket, 'answered')
    }
    worker.onerror = worker.onmessageerror = stopped
    return worker
  }

  function send(message: Q, mine: number): void {
    try {
      // What is reactive on the page is no message: its plain copy is.
      running().postMessage(JSON.parse(JSON.stringify({ ...message, ticket: mine })))
    } catch {
      stopped()
    }
  }

  function giveUp(stream: string): boolean {
    const stale = [...pending].filter(([, waits]) => waits.stream === stream).map(([mine]) => mine)
    for (const mine of stale) end(mine, 'overtaken')
    return stale.length > 0
  }

  return {
    failed: readonly(failed),
    giveUp,
    ask(stream, question, hear, over) {
      giveUp(stream)
      const mine = ++ticket
      pending.set(mine, { stream, hear, over })
      send(question, mine)
    },
    tell: message => worker && send(message, ++ticket),
  }
}
