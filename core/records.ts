/**
 * The entries of a record whose keys are known by type.
 *
 * @param record by its keys; an object that holds no others
 * @returns keys with their values, in their order
 */
export function entriesOf<K extends string, V>(record: Readonly<Partial<Record<K, V>>>): [K, V][] {
  return Object.entries(record) as [K, V][] // the type says which keys there are
}

/**
 * The keys of a record that are known by type.
 *
 * @param record an object that holds no others
 * @returns them in their order
 */
export function keysOf<T extends object>(record: T): (keyof T & string)[] {
  return Object.keys(record) as (keyof T & string)[] // the type says which keys there are
}

/**
 * A record with a value for each of some keys.
 *
 * @param keys each once
 * @param value of a key
 * @returns the record, in the order of the keys
 */
export function recordOf<K extends string, V>(keys: readonly K[], value: (key: K) => V): Record<K, V> {
  return Object.fromEntries(keys.map(key => [key, value(key)])) as Record<K, V> // each key has been given its value
}

/**
 * Whether something is one of some names, which then are its type.
 *
 * @param names that are known
 * @param one anything
 * @returns true where it is among them
 */
export function isOneOf<T extends string>(names: readonly T[], one: unknown): one is T {
  return names.some(name => name === one)
}
