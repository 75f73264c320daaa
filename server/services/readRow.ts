import type { z } from 'zod'

/**
 * Reads what a row holds as JSON. One row that cannot be read ends no list.
 *
 * @param text of the column
 * @param read makes the value of what was parsed, or throws
 * @returns the value; null where it cannot be read
 */
export function readRow<T>(text: unknown, read: (value: unknown) => T): T | null {
  try {
    return read(JSON.parse(String(text)))
  }
  catch {
    return null
  }
}

/**
 * The same by a schema.
 *
 * @param text of the column
 * @param schema what it must be
 * @returns the value; null where it cannot be read
 */
export function readAs<S extends z.ZodType>(text: unknown, schema: S): z.infer<S> | null {
  return readRow(text, value => schema.parse(value))
}
