import { DataTypes, type QueryInterface } from 'sequelize'

const text = (allowNull = false) => ({ type: DataTypes.TEXT, allowNull })
const whole = (allowNull = false) => ({ type: DataTypes.INTEGER, allowNull })

/** The first tables: shelves, dish versions, cooks, observations, batches. */
export const foundation = {
  name: '2026-11-25-foundation',
  async up({ context }: { context: QueryInterface }): Promise<void> {
    await context.createTable('shelf_items', {
      id: { ...text(), primaryKey: true }, shelf: text(), place: whole(), item: text(), removed_at: whole(true),
    })
    await context.addIndex('shelf_items', ['shelf', 'place'])
    await context.createTable('dish_versions', {
      dish_id: { ...text(), primaryKey: true }, version: { ...whole(), primaryKey: true }, name: text(), dish: text(),
      created_at: whole(),
    })
    await context.createTable('cooks', {
      id: { ...text(), primaryKey: true }, dish: text(), plan: text(), planned_at: whole(), created_at: whole(),
      started_at: whole(true), finished_at: whole(true),
    })
    await context.addIndex('cooks', ['finished_at', 'planned_at'])
    await context.createTable('observations', {
      place: { ...whole(), primaryKey: true, autoIncrement: true }, stream: text(), id: text(), device: text(), number: whole(),
      device_time: whole(), sent_at: whole(), received_at: whole(), kind: text(), payload: text(),
    })
    await context.addIndex('observations', ['stream', 'id'], { unique: true })
    await context.addIndex('observations', ['stream', 'place'])
    await context.createTable('batches', {
      id: { ...text(), primaryKey: true, references: { model: 'cooks', key: 'id' } }, dish_id: text(), dish: text(),
      started_at: whole(), summary: text(), evidence: text(), note: text(), removed_at: whole(true),
    })
    await context.addIndex('batches', ['removed_at', 'started_at', 'id'])
    await context.addIndex('batches', ['dish_id', 'removed_at', 'started_at'])
  },
}
