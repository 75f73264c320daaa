import { DataTypes, type QueryInterface } from 'sequelize'

/** How far each cook's log is settled; plans without what can be made again; removed photographs are gone. */
export const settling = {
  name: '2026-12-02-settling',
  async up({ context }: { context: QueryInterface }): Promise<void> {
    const { sequelize } = context
    await context.addColumn('cooks', 'settled_place', { type: DataTypes.INTEGER, allowNull: false, defaultValue: 0 })
    await sequelize.query(`UPDATE cooks SET settled_place = coalesce((SELECT max(o.place) FROM observations o WHERE o.stream = cooks.id), 0)
      WHERE EXISTS (SELECT 1 FROM batches b WHERE b.id = cooks.id)`)
    await context.removeIndex('observations', ['kind', 'stream'])
    await context.addIndex('observations', ['kind', 'stream', 'place'])
    // The drawn points of a plan's forecast follow from plan, belief and seed.
    await sequelize.query(`UPDATE cooks SET plan = json_remove(json_set(plan, '$.forecast.points', json('[]')), '$.forecast.bands')
      WHERE json_valid(plan) AND json_type(plan, '$.forecast') = 'object'`)
    await sequelize.query('DELETE FROM photos WHERE removed_at IS NOT NULL')
  },
}
