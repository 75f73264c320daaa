/** The middle of some figures. */
export const median = (list: number[]): number => list.sort((p, q) => p - q)[Math.floor(list.length / 2)]!

/**
 * Median time of a call after a warm-up.
 *
 * @param runs how often it is timed
 * @param call what is timed
 * @returns ms
 */
export function timed(runs: number, call: () => void): number {
  for (let i = 0; i < Math.ceil(runs / 4); i++) call()
  return median(Array.from({ length: runs }, () => {
    const start = performance.now()
    call()
    return performance.now() - start
  }))
}
