/**
 * What stands at a place of a list that is known to reach so far.
 *
 * @param list any list
 * @param index 0 to its length less one
 * @returns the item there
 * @throws RangeError where nothing stands there: the caller's arithmetic is wrong
 */
export function itemAt<T>(list: ArrayLike<T>, index: number): T {
  const item = list[index]
  return item === undefined ? nothingAt(index, list.length) : item
}

/**
 * The last of a list that is known not to be empty.
 *
 * @param list any list of one item or more
 * @returns its last item
 * @throws RangeError where it is empty
 */
export function lastOf<T>(list: ArrayLike<T>): T {
  return itemAt(list, list.length - 1)
}

/**
 * The number at a place of a row of numbers. It sees rows of one kind only, so that the innermost loops stay fast.
 *
 * @param row numbers
 * @param index 0 to its length less one
 * @returns the number there
 * @throws RangeError where the row does not reach so far
 */
export function numberAt(row: Float64Array, index: number): number {
  const value = row[index]
  return value === undefined ? nothingAt(index, row.length) : value
}

/**
 * The same for a row of whole numbers.
 *
 * @param row whole numbers
 * @param index 0 to its length less one
 * @returns the number there
 * @throws RangeError where the row does not reach so far
 */
export function intAt(row: Int32Array, index: number): number {
  const value = row[index]
  return value === undefined ? nothingAt(index, row.length) : value
}

/**
 * The same for a list of numbers that grows: by itself, as a list of anything else would make it slow.
 *
 * @param list numbers
 * @param index 0 to its length less one
 * @returns the number there
 * @throws RangeError where the list does not reach so far
 */
export function wholeAt(list: readonly number[], index: number): number {
  const value = list[index]
  return value === undefined ? nothingAt(index, list.length) : value
}

/**
 * What a map is known to hold.
 *
 * @param map any map
 * @param key one of its keys
 * @returns the value there
 * @throws RangeError where the key is not in it
 */
export function entryAt<K, T>(map: ReadonlyMap<K, T>, key: K): T {
  return known(map.get(key), String(key))
}

/**
 * What a record is known to hold.
 *
 * @param record values by name
 * @param name one of its names
 * @returns the value there
 * @throws RangeError where the name is not in it
 */
export function fieldAt<T>(record: Readonly<Record<string, T>>, name: string): T {
  return known(record[name], name)
}

/**
 * A value that is known to be there by what came before.
 *
 * @param value the value
 * @param what what it is, for whoever has to find out why it is not
 * @returns the same value
 * @throws RangeError where it is missing
 */
export function known<T>(value: T | null | undefined, what: string): T {
  if (value === undefined || value === null) throw new RangeError(`Missing: ${what}.`)
  return value
}

function nothingAt(index: number, length: number): never {
  throw new RangeError(`Nothing stands at ${index} of ${length}.`)
}
