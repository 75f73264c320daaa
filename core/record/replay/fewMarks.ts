import type { LiveCook } from '../marks/liveCook'
import type { Marked } from '../marks/marked'

/** So many marks of one kind say all that a forecast can use; a device that was left on sends far more. */
export const MOST_MARKS = 240

/**
 * A cook with no more than some hundreds of marks of each kind, taken evenly, the first and the last among them: what a
 * forecast costs is then bounded, however long a log is. One with fewer is the same object.
 *
 * @param cook the replayed cook
 * @returns the cook to forecast by
 */
export function fewMarks(cook: LiveCook): LiveCook {
  const { signs, looks, controls, weighings, temperatures, depths, uptakes, releases, changes, notYet, unstirred, perceived } = cook
  const lists = { signs, looks, controls, weighings, temperatures, depths, uptakes, releases, changes, notYet, unstirred, perceived }
  if (Object.values(lists).every(list => list.length <= MOST_MARKS)) return cook
  return {
    ...cook, signs: few(signs), looks: few(looks), controls: few(controls), weighings: few(weighings), temperatures: few(temperatures), depths: few(depths),
    uptakes: few(uptakes), releases: few(releases), changes: few(changes), notYet: few(notYet), unstirred: few(unstirred), perceived: few(perceived),
  }
}

function few<T>(list: readonly Marked<T>[]): readonly Marked<T>[] {
  if (list.length <= MOST_MARKS) return list
  return Array.from({ length: MOST_MARKS }, (_, i) => list[Math.round(i * (list.length - 1) / (MOST_MARKS - 1))])
}
