/**
 * The entries of a record whose keys are known by type.
 *
 * @param record by its keys; an object that holds no others
 * @returns keys with their values, in their order
 */
export function entriesOf<K extends string, V>(record: Readonly<Partial<Record<K, V>>>): [K, V][] {
  return Object.entries(record) as [K, V][] // the type says which keys there are
}
