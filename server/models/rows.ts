import type { FindOptions } from 'sequelize'
import type { RowOf, Table, TableName } from './models'

type Wanted<N extends TableName, K extends keyof RowOf<N>> =
  Omit<FindOptions<RowOf<N>>, 'raw' | 'attributes'> & { readonly attributes?: K[] & string[] }

/**
 * Rows of a table, as plain columns.
 *
 * @param table of an open database
 * @param wanted which rows, in which order, and which of their columns; all of them where that is not said
 * @returns the rows
 */
export async function rowsOf<N extends TableName, K extends keyof RowOf<N> = keyof RowOf<N>>(
  table: Table<N>, wanted: Wanted<N, K> = {},
): Promise<Pick<RowOf<N>, K>[]> {
  // Raw rows are what stands in the columns, and no models.
  return await table.findAll({ ...wanted, raw: true }) as unknown as Pick<RowOf<N>, K>[]
}

/**
 * The first row that is wanted, as plain columns.
 *
 * @param table of an open database
 * @param wanted which row, and which of its columns
 * @returns the row; null where there is none
 */
export async function rowOf<N extends TableName, K extends keyof RowOf<N> = keyof RowOf<N>>(
  table: Table<N>, wanted: Wanted<N, K>,
): Promise<Pick<RowOf<N>, K> | null> {
  return (await rowsOf(table, { ...wanted, limit: 1 }))[0] ?? null
}
