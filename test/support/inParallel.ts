/**
 * Does something with each of a list, some at a time.
 *
 * @param list of whatever
 * @param at how many at a time
 * @param what is done
 * @returns what came of each, in the order of the list
 */
export async function inParallel<T, R>(list: readonly T[], at: number, what: (one: T) => Promise<R>): Promise<R[]> {
  const found: R[] = []
  let next = 0
  await Promise.all(Array.from({ length: at }, async () => {
    while (next < list.length) {
      const i = next++
      found[i] = await what(list[i]!)
    }
  }))
  return found
}
