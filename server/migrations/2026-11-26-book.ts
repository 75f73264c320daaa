import { DataTypes, type QueryInterface } from 'sequelize'

const text = () => ({ type: DataTypes.TEXT, allowNull: false })
const whole = (allowNull = false) => ({ type: DataTypes.INTEGER, allowNull })

/** Shelves may hold the same id more than once, each on its own shelf; dishes can be put aside. */
export const book = {
  name: '2026-11-26-book',
  async up({ context }: { context: QueryInterface }): Promise<void> {
    await context.createTable('shelf_items_new', {
      shelf: { ...text(), primaryKey: true }, id: { ...text(), primaryKey: true }, place: whole(), item: text(), removed_at: whole(true),
    })
    await context.sequelize.query('INSERT INTO shelf_items_new (shelf, id, place, item, removed_at) SELECT shelf, id, place, item, removed_at FROM shelf_items')
    await context.dropTable('shelf_items')
    await context.renameTable('shelf_items_new', 'shelf_items')
    await context.addIndex('shelf_items', ['shelf', 'place'])
    await context.createTable('dish_states', { dish_id: { ...text(), primaryKey: true }, put_aside_at: whole(true) })
  },
}
