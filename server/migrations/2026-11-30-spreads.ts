import { DataTypes, type QueryInterface } from 'sequelize'

const text = () => ({ type: DataTypes.TEXT, allowNull: false })
const whole = (allowNull = false) => ({ type: DataTypes.INTEGER, allowNull })

/** Days of cooking as households plan and keep them. */
export const spreads = {
  name: '2026-11-30-spreads',
  async up({ context }: { context: QueryInterface }): Promise<void> {
    await context.createTable('spreads', {
      id: { ...text(), primaryKey: true }, name: text(), eve: text(), revision: whole(), spread: text(), changed_at: whole(), removed_at: whole(true),
    })
    await context.addIndex('spreads', ['eve'])
  },
}
