import { DataTypes, type Model, type ModelStatic, type Sequelize } from 'sequelize'

/** A row as the services read it: plain columns. */
export type Row = Record<string, unknown>
type Table = ModelStatic<Model<Row, Row>>

/** The tables of one database. */
export interface Models {
  readonly ShelfItem: Table
  readonly DishVersion: Table
  readonly DishState: Table
  readonly Cook: Table
  readonly Observation: Table
  readonly Batch: Table
  readonly BatchFault: Table
  readonly Photo: Table
  readonly Lesson: Table
  readonly HouseSetting: Table
  readonly Session: Table
  readonly DeviceLink: Table
  readonly Spread: Table
  readonly CalendarDay: Table
  readonly CalendarKey: Table
}

const text = (allowNull = false) => ({ type: DataTypes.TEXT, allowNull })
const whole = (allowNull = false) => ({ type: DataTypes.INTEGER, allowNull })

/**
 * Declares the tables on a connection. The migrations make them; nothing is synced.
 *
 * @param sequelize an open connection
 * @returns the tables
 */
export function defineModels(sequelize: Sequelize): Models {
  const plain = { timestamps: false, underscored: true }
  return {
    ShelfItem: sequelize.define(
      'ShelfItem',
      {
        shelf: { ...text(), primaryKey: true },
        id: { ...text(), primaryKey: true },
        place: whole(),
        item: text(),
        removedAt: whole(true),
      },
      { ...plain, tableName: 'shelf_items' },
    ),
    DishVersion: sequelize.define(
      'DishVersion',
      {
        dishId: { ...text(), primaryKey: true },
        version: { ...whole(), primaryKey: true },
        name: text(),
        dish: text(),
        createdAt: whole(),
      },
      { ...plain, tableName: 'dish_versions' },
    ),
    DishState: sequelize.define('DishState', {
      dishId: { ...text(), primaryKey: true }, putAsideAt: whole(true),
    }, { ...plain, tableName: 'dish_states' }),
    Cook: sequelize.define('Cook', {
      id: { ...text(), primaryKey: true }, dish: text(), plan: text(), plannedAt: whole(), createdAt: whole(),
      startedAt: whole(true), finishedAt: whole(true), settledPlace: whole(),
    }, { ...plain, tableName: 'cooks' }),
    Observation: sequelize.define(
      'Observation',
      {
        place: { ...whole(), primaryKey: true, autoIncrement: true },
        stream: text(),
        id: text(),
        device: text(),
        number: whole(),
        deviceTime: whole(),
        sentAt: whole(),
        receivedAt: whole(),
        kind: text(),
        payload: text(),
      },
      { ...plain, tableName: 'observations' },
    ),
    CalendarDay: sequelize.define('CalendarDay', {
      spreadId: { ...text(), primaryKey: true }, revision: whole(), zone: text(), told: text(),
    }, { ...plain, tableName: 'calendar_days' }),
    CalendarKey: sequelize.define('CalendarKey', {
      id: { ...text(), primaryKey: true }, name: text(), digest: text(), madeAt: whole(), readAt: whole(true),
    }, { ...plain, tableName: 'calendar_keys' }),
    Batch: sequelize.define(
      'Batch',
      {
        id: { ...text(), primaryKey: true },
        dishId: text(),
        dish: text(),
        startedAt: whole(),
        summary: text(),
        evidence: text(),
        note: text(),
        removedAt: whole(true),
        family: text(true),
        version: whole(true),
        pan: text(true),
        panName: text(true),
        fire: text(true),
        fireName: text(true),
        season: whole(true),
        faulty: whole(),
        picture: text(true),
        after: text(true),
        inHouse: whole(),
        eatBy: whole(true),
      },
      { ...plain, tableName: 'batches' },
    ),
    BatchFault: sequelize.define(
      'BatchFault',
      {
        fault: { ...text(), primaryKey: true },
        startedAt: { ...whole(), primaryKey: true },
        batchId: { ...text(), primaryKey: true },
      },
      { ...plain, tableName: 'batch_faults' },
    ),
    Photo: sequelize.define(
      'Photo',
      {
        id: { ...text(), primaryKey: true },
        batchId: text(),
        at: whole(),
        width: whole(),
        height: whole(),
        bytes: { type: DataTypes.BLOB, allowNull: false },
        removedAt: whole(true),
      },
      { ...plain, tableName: 'photos' },
    ),
    Lesson: sequelize.define(
      'Lesson',
      {
        id: { ...text(), primaryKey: true },
        kind: text(),
        at: whole(),
        lesson: text(),
        told: text(),
        removedAt: whole(true),
      },
      { ...plain, tableName: 'lessons' },
    ),
    HouseSetting: sequelize.define(
      'HouseSetting',
      { name: { ...text(), primaryKey: true }, value: text() },
      { ...plain, tableName: 'house_settings' },
    ),
    Session: sequelize.define(
      'Session',
      {
        id: { ...text(), primaryKey: true },
        secret: text(),
        name: text(),
        createdAt: whole(),
        seenAt: whole(),
        provenAt: whole(true),
      },
      { ...plain, tableName: 'sessions' },
    ),
    DeviceLink: sequelize.define(
      'DeviceLink',
      { device: { ...text(), primaryKey: true }, cook: text(), vessel: text() },
      { ...plain, tableName: 'device_links' },
    ),
    Spread: sequelize.define(
      'Spread',
      {
        id: { ...text(), primaryKey: true },
        name: text(),
        eve: text(),
        revision: whole(),
        spread: text(),
        changedAt: whole(),
        removedAt: whole(true),
      },
      { ...plain, tableName: 'spreads' },
    ),
  }
}
