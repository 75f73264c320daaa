/** What a worker is to itself: where questions come in and answers go out. */
export interface WorkerScope<Question, Answer> {
  onmessage: ((event: { readonly data: Question }) => void) | null
  postMessage(message: Answer): void
}

/**
 * The worker that this runs in.
 *
 * @returns its own scope, typed by what is said between it and the page
 */
export function workerScope<Question, Answer>(): WorkerScope<Question, Answer> {
  // The types of a page know no worker's scope; in a worker it is the global object (WHATWG HTML).
  return globalThis as unknown as WorkerScope<Question, Answer>
}
