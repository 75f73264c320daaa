import { QueryTypes } from 'sequelize'
import { readDishCard } from '../../contracts/firstFormat'
import { SHELF_NAMES, SHELVES } from '../../contracts/kitchen'
import { LessonSchema } from '../../contracts/lesson'
import { SpreadSchema } from '../../contracts/spread'
import type { Database } from './database'
import { readRow } from './readRow'

type Row = Readonly<Record<string, unknown>>
interface Kind { readonly sql: string, readonly read: ((value: unknown, row: Row) => unknown) | null }

/** What is looked at: small tables row by row, batches and cooks by whether they are JSON at all. */
const KINDS: readonly Kind[] = [
  {
    sql: "SELECT 'dish' AS what, name || ', version ' || version AS name, dish AS text FROM dish_versions",
    read: readDishCard,
  },
  {
    sql: "SELECT 'shelf' AS what, shelf || ', ' || id AS name, shelf, item AS text FROM shelf_items WHERE removed_at IS NULL",
    read: (value, row) => SHELVES[SHELF_NAMES.find(name => name === row.shelf)!].parse(value),
  },
  {
    sql: "SELECT 'lesson' AS what, kind || ', ' || id AS name, lesson AS text FROM lessons WHERE removed_at IS NULL",
    read: value => LessonSchema.parse(value),
  },
  {
    sql: "SELECT 'day' AS what, name || ', ' || eve AS name, spread AS text, revision FROM spreads WHERE removed_at IS NULL",
    read: (value, row) => SpreadSchema.parse(Object.assign({}, value, { revision: row.revision })),
  },
  {
    sql: "SELECT 'batch' AS what, dish || ', ' || id AS name, summary AS text FROM batches WHERE NOT json_valid(summary) OR NOT json_valid(picture)",
    read: null,
  },
  {
    sql: "SELECT 'cook' AS what, dish || ', ' || id AS name, plan AS text FROM cooks WHERE NOT json_valid(plan)",
    read: null,
  },
]

/**
 * What stands in a house and cannot be read by this version: it ends no list, and it is kept as it is.
 *
 * @param database an open database
 * @returns what each is, and its name
 */
export async function unreadableIn(database: Database): Promise<{ readonly what: string, readonly name: string }[]> {
  const found: { what: string, name: string }[] = []
  for (const { sql, read } of KINDS) {
    const rows = await database.sequelize.query<Record<string, unknown>>(sql, { type: QueryTypes.SELECT })
    for (const row of rows)
      if (read === null || readRow(row.text, value => read(value, row) ?? true) === null)
        found.push({ what: String(row.what), name: String(row.name) })
  }
  return found
}
