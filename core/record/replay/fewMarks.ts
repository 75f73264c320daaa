import { itemAt } from '../../maths/table/itemAt'
import { MARK_KINDS, type ListedMarks } from '../marks/kinds'
import type { LiveCook } from '../marks/liveCook'
import type { Marked } from '../marks/marked'

/** So many marks of one kind say all that a forecast can use; a device that was left on sends far more. */
export const MOST_MARKS = 240

/** The lists that a forecast is made by. */
const OF_PAN = [
  'signs',
  ...Object.values(MARK_KINDS).flatMap(row => (row.ofPan && row.list !== null ? [row.list] : [])),
] as readonly ('signs' | keyof ListedMarks)[]

/**
 * A cook with no more than some hundreds of marks of each kind, taken evenly, the first and the last among them: what a
 * forecast costs is then bounded, however long a log is. One with fewer is the same object.
 *
 * @param cook the replayed cook
 * @returns the cook to forecast by
 */
export function fewMarks(cook: LiveCook): LiveCook {
  const lists = OF_PAN.map(name => [name, cook[name]] as const)
  if (lists.every(([, list]) => list.length <= MOST_MARKS)) return cook
  return { ...cook, ...Object.fromEntries(lists.map(([name, list]) => [name, few<unknown>(list)])) }
}

function few<T>(list: readonly Marked<T>[]): readonly Marked<T>[] {
  if (list.length <= MOST_MARKS) return list
  return Array.from({ length: MOST_MARKS }, (_, i) =>
    itemAt(list, Math.round((i * (list.length - 1)) / (MOST_MARKS - 1))),
  )
}
