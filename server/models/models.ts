import { DataTypes, type Model, type ModelAttributeColumnOptions, type ModelStatic, type Sequelize } from 'sequelize'

/** A row by the table's own column names, of which nothing is known: it may be damaged. */
export type RawRow = Record<string, unknown>

/** A column, and the type of what stands in it. */
interface Column<T> extends ModelAttributeColumnOptions {
  /** Nothing at run time: the type of what stands in it. */
  readonly holds?: T
}

const column = <T>(type: Column<T>['type'], allowNull = false): Column<T> => ({ type, allowNull })
const key = <T>(of: Column<T>): Column<T> => ({ ...of, primaryKey: true })
const text = column<string>(DataTypes.TEXT)
const textOrNone = column<string | null>(DataTypes.TEXT, true)
const whole = column<number>(DataTypes.INTEGER)
const wholeOrNone = column<number | null>(DataTypes.INTEGER, true)
const bytes = column<Buffer>(DataTypes.BLOB)
/** Given by the database itself, rising. */
const counted: Column<number> = { ...key(whole), autoIncrement: true }

type Columns = Readonly<Record<string, Column<unknown>>>
const table = <C extends Columns>(tableName: string, columns: C) => ({ tableName, columns })

/** Every table with its columns, by the name of its rows; the migrations make them. */
const TABLES = {
  ShelfItem: table('shelf_items', {
    shelf: key(text),
    id: key(text),
    place: whole,
    item: text,
    removedAt: wholeOrNone,
  }),
  DishVersion: table('dish_versions', {
    dishId: key(text),
    version: key(whole),
    name: text,
    dish: text,
    createdAt: whole,
  }),
  DishState: table('dish_states', { dishId: key(text), putAsideAt: wholeOrNone }),
  Cook: table('cooks', {
    id: key(text),
    dish: text,
    plan: text,
    plannedAt: whole,
    createdAt: whole,
    startedAt: wholeOrNone,
    finishedAt: wholeOrNone,
    settledPlace: whole,
  }),
  Observation: table('observations', {
    place: counted,
    stream: text,
    id: text,
    device: text,
    number: whole,
    deviceTime: whole,
    sentAt: whole,
    receivedAt: whole,
    kind: text,
    payload: text,
  }),
  CalendarDay: table('calendar_days', { spreadId: key(text), revision: whole, zone: text, told: text }),
  CalendarKey: table('calendar_keys', {
    id: key(text),
    name: text,
    digest: text,
    madeAt: whole,
    readAt: wholeOrNone,
  }),
  Batch: table('batches', {
    id: key(text),
    dishId: text,
    dish: text,
    startedAt: whole,
    summary: text,
    evidence: text,
    note: text,
    removedAt: wholeOrNone,
    family: textOrNone,
    version: wholeOrNone,
    pan: textOrNone,
    panName: textOrNone,
    fire: textOrNone,
    fireName: textOrNone,
    season: wholeOrNone,
    faulty: whole,
    picture: textOrNone,
    after: textOrNone,
    inHouse: whole,
    eatBy: wholeOrNone,
  }),
  BatchFault: table('batch_faults', { fault: key(text), startedAt: key(whole), batchId: key(text) }),
  Photo: table('photos', {
    id: key(text),
    batchId: text,
    at: whole,
    width: whole,
    height: whole,
    bytes,
    removedAt: wholeOrNone,
  }),
  Lesson: table('lessons', {
    id: key(text),
    kind: text,
    at: whole,
    lesson: text,
    told: text,
    removedAt: wholeOrNone,
  }),
  HouseSetting: table('house_settings', { name: key(text), value: text }),
  Session: table('sessions', {
    id: key(text),
    secret: text,
    name: text,
    createdAt: whole,
    seenAt: whole,
    provenAt: wholeOrNone,
  }),
  DeviceLink: table('device_links', { device: key(text), cook: text, vessel: text }),
  Spread: table('spreads', {
    id: key(text),
    name: text,
    eve: text,
    revision: whole,
    spread: text,
    changedAt: whole,
    removedAt: wholeOrNone,
  }),
}

type Tables = typeof TABLES
/** The name of a table's rows. */
export type TableName = keyof Tables
type Held<C> = C extends Column<infer T> ? T : never

/** A row of a table as it is read: what stands in its columns. */
export type RowOf<N extends TableName> = { [K in keyof Tables[N]['columns']]: Held<Tables[N]['columns'][K]> }

/** A table of an open database. Its rows are read by `rowsOf`. */
export type Table<N extends TableName> = ModelStatic<Model<RowOf<N>, Partial<RowOf<N>>>>

/** The tables of one database. */
export type Models = { readonly [N in TableName]: Table<N> }

/**
 * Declares the tables on a connection. The migrations make them; nothing is synced.
 *
 * @param sequelize an open connection
 * @returns the tables
 */
export function defineModels(sequelize: Sequelize): Models {
  const defined = Object.entries(TABLES).map(([name, { tableName, columns }]) => {
    // What is defined is written into: each column is handed over as one of its own.
    const own = Object.fromEntries(Object.entries<Column<unknown>>(columns).map(([column, of]) => [column, { ...of }]))
    return [name, sequelize.define(name, own, { timestamps: false, underscored: true, tableName })]
  })
  return Object.fromEntries(defined) as Models // each is defined by its own columns
}
