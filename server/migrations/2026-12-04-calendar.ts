import { DataTypes, type QueryInterface } from 'sequelize'

/** What was told of each day's calendar, and the addresses under which it is read. */
export const calendar = {
  name: '2026-12-04-calendar',
  async up({ context }: { context: QueryInterface }): Promise<void> {
    await context.createTable('calendar_days', {
      spread_id: { type: DataTypes.TEXT, primaryKey: true }, revision: { type: DataTypes.INTEGER, allowNull: false },
      zone: { type: DataTypes.TEXT, allowNull: false }, told: { type: DataTypes.TEXT, allowNull: false },
    })
    await context.createTable('calendar_keys', {
      id: { type: DataTypes.TEXT, primaryKey: true }, name: { type: DataTypes.TEXT, allowNull: false }, digest: { type: DataTypes.TEXT, allowNull: false, unique: true },
      made_at: { type: DataTypes.INTEGER, allowNull: false }, read_at: { type: DataTypes.INTEGER, allowNull: true },
    })
  },
}
