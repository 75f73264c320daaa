/**
 * Works something that is done in steps through to its end at once.
 *
 * @param steps a generator that yields between its steps
 * @returns what it returns
 */
export function finish<T>(steps: Generator<unknown, T>): T {
  for (let step = steps.next(); ; step = steps.next()) if (step.done) return step.value
}
